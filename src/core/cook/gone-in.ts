import type { Needed } from "../stock";
import type { CookSession } from "./session";
import { stoveLines } from "./stove";

/** What went into a batch that is done, by food, g: as it was put in and weighed, else by plan; what is not of the tables is not among it. Empty where it is not done. */
export function goneIn(session: CookSession): readonly Needed[] {
  if (session.endedAt === null) return [];
  const all = [
    ...stoveLines(session).map(({ food, name, all: grams }) => ({ food, name, grams })),
    ...session.putIn.flatMap(({ line, food, name, grams }) => (line === null && food !== null ? [{ food, name, grams }] : [])),
  ];
  const byFood = new Map<string, Needed>();
  for (const { food, name, grams } of all)
    if (grams > 0) byFood.set(food, { food, name: byFood.get(food)?.name ?? name, grams: (byFood.get(food)?.grams ?? 0) + grams });
  return [...byFood.values()];
}
