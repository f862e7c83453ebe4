import type { Food } from "../food";
import { Z80 } from "../numeric";
import { make, type MilkMaking } from "../making";
import type { LineId } from "./recipe";
import { foodFromMaking, type PantryTables } from "../pantry";

/** What is pressed out of a pot, as one food. */
export interface Pressed {
  /** The line that is pressed. */
  readonly line: LineId;
  readonly milk: { readonly food: Food; readonly grams: number; readonly sd: number };
}

/** Id of a food that a recipe presses itself, by its line. */
export const pressedId = (line: LineId): string => `pressed-${line}`;

/** Half the 80 % interval of a milk that is pressed beside another: that they share the water by mass is a rule of thumb. */
const TOGETHER_SHARE = 0.1;

interface InPot {
  readonly line: LineId;
  readonly food: Food;
  readonly grams: number;
}

/**
 * Presses a pot of nuts, grains or seeds and water: their milks take the place of all of it. Several share the water by their
 * mass; of what else is in the pot, as much stays in the pulp as the pulp is of the whole (rules of thumb). In words what keeps
 * it from being reckoned; null where there is nothing in the pot that milk is pressed from.
 */
export function pressed(
  items: readonly InPot[],
  soaked: boolean,
  kitchen: { readonly foods: ReadonlyMap<string, Food>; readonly tables: PantryTables },
): { readonly milks: readonly Pressed[]; readonly others: readonly InPot[] } | string | null {
  const { milks: rows } = kitchen.tables.making;
  const materials = items.filter(({ food }) => rows.some(({ foodId }) => foodId === food.id));
  if (materials.length === 0) return null;
  const waters = items.filter(({ food }) => food.id === "water");
  const beside = items.filter((item) => !materials.includes(item) && !waters.includes(item));
  const mass = (of: readonly InPot[]) => of.reduce((sum, { grams }) => sum + grams, 0);
  const water = mass(waters);
  if (water <= 0) return "No water is named that it is pressed with.";
  const milks: Pressed[] = [];
  for (const material of materials) {
    const milk = milkOf(material, (water * material.grams) / mass(materials), soaked, kitchen);
    if (milk === null) return "The pulp would hold all the water: give it more.";
    const { grams, sd } = milk.milk;
    milks.push(materials.length === 1 ? milk : { ...milk, milk: { ...milk.milk, sd: Math.hypot(sd, (TOGETHER_SHARE * grams) / Z80) } });
  }
  const pulp = Math.max(0, mass(materials) + water - milks.reduce((sum, { milk }) => sum + milk.grams, 0));
  const kept = 1 - pulp / (mass(materials) + water);
  return { milks, others: beside.map((item) => ({ ...item, grams: item.grams * kept })) };
}

/** The milk of one material; null where the pulp holds all the water. */
function milkOf(
  material: InPot,
  water: number,
  soaked: boolean,
  { foods, tables }: { readonly foods: ReadonlyMap<string, Food>; readonly tables: PantryTables },
): Pressed | null {
  const row = tables.making.milks.find(({ foodId }) => foodId === material.food.id);
  const making: MilkMaking = {
    kind: "milk",
    material: material.food.id,
    grams: material.grams,
    soaked: soaked ? (row?.soak?.usual ?? 0) : 0,
    presses: [water],
    squeeze: "hard",
    holds: null,
    weighedMilk: null,
    weighedPulp: null,
  };
  const made = make(making, foods, tables.making);
  const part = made.ok ? made.value.parts.find(({ key }) => key === "milk") : undefined;
  if (!part) return null;
  const food = foodFromMaking(
    {
      id: pressedId(material.line),
      name: `${part.name}, pressed here`,
      synonyms: [],
      family: "drink",
      origin: material.food.origin,
      allergens: material.food.allergens,
      traces: [],
      made: { kind: "made", making, part: "milk" },
      density: 1.01,
      note: "",
      revision: material.food.revision,
    },
    making,
    "milk",
    foods,
    tables,
  );
  return food ? { line: material.line, milk: { food, grams: part.grams.value, sd: part.grams.sd } } : null;
}
