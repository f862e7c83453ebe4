import { INDEX } from "../food";
import type { Archetype, BalancedLine } from "./recipe";

export interface ArchetypeGuess {
  readonly archetype: Archetype;
  readonly why: string;
}

/** Tells the kind of sweet from its name, else from what is in it: shares of the mass put in. Rules of thumb; the maker can change it. */
export function guessArchetype(lines: readonly Pick<BalancedLine, "food" | "grams" | "role">[], title = ""): ArchetypeGuess {
  const total = lines.reduce((sum, line) => sum + line.grams, 0) || 1;
  const share = (test: (line: Pick<BalancedLine, "food" | "grams" | "role">) => boolean) =>
    lines.filter(test).reduce((sum, line) => sum + line.grams, 0) / total;
  const water = lines.reduce((sum, line) => sum + (line.grams * (line.food.per100g[INDEX.water] ?? 0)) / 100, 0) / total;
  const flour = share(({ food }) => food.thickening.starch?.grain === "ground" && food.thickening.starch.form === "flour" && food.family !== "drink");
  const freeFat = share(({ food }) => food.freeOil >= 0.9);
  const vegetable = share(({ food }) => food.family === "vegetable" || food.family === "root");
  const setting = share(({ food }) => food.role === "setting");
  const fruit = share(({ food }) => food.family === "fruit");
  const milk = share(({ role, food }) => role === "liquid" && food.family !== "water");

  const named = (archetype: Archetype): ArchetypeGuess => ({ archetype, why: "its name says so" });
  if (/\b(?:ladd?oos?|laddus?|ladus?)\b/i.test(title)) return named("ladoo");
  if (/\bhalwa\b/i.test(title)) return named(vegetable > 0.3 ? "vegetable halwa" : "flour halwa");
  if (/\b(?:kheer|payasam|phirni|firni)\b/i.test(title)) return named("pudding");
  if (/\bcustard\b/i.test(title)) return named("set pudding");
  if (fruit > 0.4 && water < 0.35) return { archetype: "fruit-bound", why: "more than two fifths is fruit, with little water" };
  if (water < 0.2) return { archetype: "ladoo", why: "under a fifth of it is water" };
  if (setting > 0.002 && milk > 0.4) return { archetype: "set pudding", why: "a milk with something that sets it" };
  if (flour > 0.07 && freeFat > 0.25 * flour) return { archetype: "flour halwa", why: "flour or semolina with at least a quarter of its weight in fat" };
  if (vegetable > 0.3) return { archetype: "vegetable halwa", why: "three tenths or more is vegetable" };
  return { archetype: "pudding", why: "mostly milk or another liquid" };
}
