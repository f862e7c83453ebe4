import type { StoveState } from "../cook";
import { valueOf, type EvaluationInput, type PropertyId } from "../evaluate";
import { INDEX, sumOf, type Food } from "../food";
import type { Version } from "../substitution";
import type { Constants } from "./stove-aim";

/** What is sweet of itself, and how much sweetener it then takes. */
export interface ToldFruit {
  readonly line: string;
  readonly name: string;
  /** Of it, g in 100 g, by the tables. */
  readonly sugars: number;
  /** The sweetener that is still to come, as meant and as the fruit wants it; null where none is, or nobody tasted. */
  readonly sweetener: { readonly line: string; readonly name: string; readonly meant: number; readonly wanted: number } | null;
}

/** What has less sugar of its own than this is not tasted for it, g in 100 g; and what it brings has to count, g. Rules of thumb. */
const SWEET_OF_ITSELF = 2;
const COUNTS = 5;
const OWN_SWEETNESS: readonly Food["family"][] = ["fruit", "vegetable", "root"];
const OWN_SUGARS = [INDEX.fructose, INDEX.glucose, INDEX.sucrose];

interface FruitGround {
  readonly inputOf: (rows: Version["rows"]) => EvaluationInput;
  /** What such a pot then has to drive off, g. */
  readonly drivenOf: (input: EvaluationInput) => number;
  readonly wanted: number;
  readonly driven: number;
  readonly sweetness: PropertyId;
}

/** Fruit and roots, whose own sweetness nobody knows before it is tasted, and what the sweetener then is. */
export function fruitsOf(stove: StoveState, { rows }: Version, ground: FruitGround, constants: Constants): readonly ToldFruit[] {
  const inNow = new Map(stove.lines.map((line) => [line.id, line.inNow] as const));
  const sweetener = rows
    .filter(({ id, role, food, grams }) => role === "sweetener" && food && grams > 0 && (inNow.get(id) ?? 0) < 0.5 * grams)
    .sort((a, b) => b.grams - a.grams)[0];
  return rows.flatMap(({ id, food, grams }): ToldFruit[] => {
    // What is dried is sweet whatever it was.
    if (!food || !OWN_SWEETNESS.includes(food.family) || food.nature?.processing === "dried" || grams <= 0) return [];
    const sugars = sumOf(food.per100g, OWN_SUGARS);
    const tasted = stove.fruits.some(({ line }) => line === id);
    if (!tasted && (sugars < SWEET_OF_ITSELF || (sugars * grams) / 100 < COUNTS)) return [];
    const told = { line: id, name: food.name, sugars };
    if (!tasted || !sweetener?.food) return [{ ...told, sweetener: null }];
    const { id: line, grams: meant } = sweetener;
    const wanted = sweetenerFor((amount) => ground.inputOf(rows.map((row) => (row.id === line ? { ...row, grams: amount } : row))), meant, ground, constants);
    return [{ ...told, sweetener: { line, name: sweetener.food.name, meant, wanted: Math.round(wanted) } }];
  });
}

/** So much of a sweetener makes it as sweet as it was meant, cooked down to the body that was meant. */
function sweetenerFor(inputAt: (amount: number) => EvaluationInput, meant: number, ground: FruitGround, constants: Constants): number {
  const { drivenOf, wanted, sweetness } = ground;
  let [amount, driven] = [meant, ground.driven];
  // Other sugar is another body, which wants another amount driven off: it settles in a few rounds.
  for (let round = 0; round < 4; round++) {
    let [low, high] = [0, 3 * meant];
    for (let i = 0; i < 30; i++) {
      const middle = (low + high) / 2;
      if (valueOf({ ...inputAt(middle), evaporation: { value: driven, sd: 0 } }, sweetness, constants) < wanted) low = middle;
      else high = middle;
    }
    amount = (low + high) / 2;
    driven = drivenOf(inputAt(amount));
  }
  return amount;
}
