import type { Metadata } from "next";
import { DAYS_DELETED } from "@/server/data/database";
import { deletedItems } from "@/server/data/deleted";
import { DeletedPage } from "@/ui/places/recipes/deleted-page";
import { dateWords } from "../../words";

export const metadata: Metadata = { title: "Deleted lately" };

const KINDS = { recipe: "recipes", version: "versions", batch: "batches", gathering: "gatherings" } as const;

export default async function Page() {
  const items = await deletedItems();
  return (
    <DeletedPage days={DAYS_DELETED} items={items.map(({ kind, id, title, deletedAt }) => ({ kind: KINDS[kind], id, title, deleted: dateWords(deletedAt) }))} />
  );
}
