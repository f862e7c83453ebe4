import type { Metadata } from "next";
import { DAYS_DELETED } from "@/server/data/database";
import { deletedItems } from "@/server/data/deleted";
import { DeletedPage } from "@/ui/places/recipes/deleted-page";
import { dateWords } from "../../words";

export const metadata: Metadata = { title: "Deleted lately" };

export default async function Page() {
  const items = await deletedItems();
  return (
    <DeletedPage
      days={DAYS_DELETED}
      items={items.map(({ kind, id, title, deletedAt }) => ({ kind: kind === "recipe" ? "recipes" : "versions", id, title, deleted: dateWords(deletedAt) }))}
    />
  );
}
