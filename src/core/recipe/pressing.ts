import type { Food } from "../food";
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

/**
 * Presses a pot of one nut, grain or seed and water: the milk takes the place of both. In words what keeps it from being
 * reckoned; null where there is nothing in the pot that milk is pressed from.
 */
export function pressed(
  items: readonly { readonly line: LineId; readonly food: Food; readonly grams: number }[],
  soaked: boolean,
  { foods, tables }: { readonly foods: ReadonlyMap<string, Food>; readonly tables: PantryTables },
): Pressed | string | null {
  const materials = items.filter(({ food }) => tables.making.milks.some(({ foodId }) => foodId === food.id));
  const [material] = materials;
  if (!material) return null;
  if (new Set(materials.map(({ line }) => line)).size > 1)
    return `${materials.map(({ food }) => food.name.toLowerCase()).join(" and ")} are pressed together: what leaves with the pulp is not known. Press them in components of their own.`;
  const waters = items.filter(({ food }) => food.id === "water");
  const others = items.filter((item) => item !== material && !waters.includes(item));
  if (others.length > 0)
    return `${others.map(({ food }) => food.name.toLowerCase()).join(" and ")} ${others.length === 1 ? "is" : "are"} in the pot when it is pressed: what of it leaves with the pulp is not known. Press first, add after.`;
  const water = waters.reduce((sum, { grams }) => sum + grams, 0);
  if (water <= 0) return "No water is named that it is pressed with.";
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
  if (!part) return "The pulp would hold all the water: give it more.";
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
  if (!food) return null;
  return {
    line: material.line,
    milk: { food, grams: part.grams.value, sd: part.grams.sd },
  };
}
