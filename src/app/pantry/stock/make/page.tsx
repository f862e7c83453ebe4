import type { Metadata } from "next";
import { dueOf, dueWords } from "@/core/stock";
import { madeOfStock } from "@/server/kitchen/made-of-stock";
import { MakeOfStock } from "@/ui/places/stock/make-of-stock";

export const metadata: Metadata = { title: "What can I make of this" };

export default async function Page() {
  const { rows, of, today, inStock } = await madeOfStock();
  return (
    <MakeOfStock
      of={of}
      inStock={inStock}
      rows={rows.map(({ id, title, unread, uses, missing }) => ({
        id,
        title,
        unread,
        uses: uses.map(({ item, grams, share }) => ({
          name: item.name,
          grams,
          isAll: share > 0.99,
          due: dueOf(item, today) === "soon" ? dueWords(item, today) : null,
        })),
        missing: missing.map(({ name, grams }) => ({ name, grams })),
      }))}
    />
  );
}
