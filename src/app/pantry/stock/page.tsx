import type { Metadata } from "next";
import { getStock } from "@/server/kitchen/stock";
import { StockPage } from "@/ui/places/stock/stock-page";
import { dateWords } from "../../words";

export const metadata: Metadata = { title: "In stock" };

export default async function Page() {
  const at = new Date().getTime();
  const { items, moves, today } = await getStock(at);
  return <StockPage items={items} moves={moves.map((move) => ({ ...move, when: dateWords(move.at) }))} today={today} at={at} />;
}
