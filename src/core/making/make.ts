import type { Food } from "../food";
import { fail, succeed, withShare, type Result } from "../numeric";
import { contentsOf, massOf, waterIn, type Portion } from "./contents";
import type { Made, Making, MakingProblem } from "./making";
import { makeMilk } from "./milk";
import { makeRoast } from "./roast";
import { makeCaramel, makeSyrup } from "./sweet";
import type { MakingTables } from "./tables";

/** Half the 80 % interval of what was only weighed together. */
const MIXED_SHARE = 0.02;

/** Why nothing can be made: a food that is not (or no longer) in the pantry, or a material that the tables do not hold. */
export type Unmakeable = { readonly kind: "no such food"; readonly foodId: string } | { readonly kind: "not a material"; readonly foodId: string };

/** Makes it: what comes out, with composition and spread, and what is wrong or doubtful. Fails where a food is not known. */
export function make(making: Making, foods: ReadonlyMap<string, Food>, tables: MakingTables): Result<Made, Unmakeable> {
  switch (making.kind) {
    case "mixture": {
      const portions = making.parts.flatMap(({ foodId, grams }) => {
        const food = foods.get(foodId);
        return food ? [{ food, grams }] : [];
      });
      const missing = making.parts.find(({ foodId }) => !foods.has(foodId));
      if (missing) return fail({ kind: "no such food", foodId: missing.foodId });
      const largest = [...portions].sort((a, b) => b.grams - a.grams)[0];
      return succeed(mixed(portions, making.finished, "parts", "", largest?.food.id ?? ""));
    }
    case "milk": {
      const material = tables.milks.find(({ foodId }) => foodId === making.material);
      return withFoods(foods, material, [making.material], (found, [food]) => makeMilk(making, food, found, tables));
    }
    case "paste": {
      const paste = tables.pastes.find(({ foodId }) => foodId === making.fruit);
      return withFoods(foods, paste, [making.fruit, "water"], ({ name, like }, [fruit, water]) =>
        mixed(
          [
            { food: fruit, grams: making.grams },
            { food: water, grams: making.water },
          ],
          making.finished,
          "grams",
          name,
          like,
        ),
      );
    }
    case "syrup": {
      const sugar = tables.syrups.find(({ foodId }) => foodId === making.sugar);
      return withFoods(foods, sugar, [making.sugar, "water"], (found, [food, water]) => makeSyrup(making, food, water, found, tables));
    }
    case "caramel": {
      const stage = tables.caramel.find(({ id }) => id === making.stage);
      return withFoods(foods, stage, [making.sugar, "water"], (found, [food, water]) => makeCaramel(making, food, water, found, tables));
    }
    case "roast": {
      const stage = tables.roasts.find(({ id }) => id === making.stage);
      return withFoods(foods, stage, [making.flour], (found, [flour]) => makeRoast(making, flour, found));
    }
  }
}

type Foods<Ids extends readonly string[]> = { readonly [K in keyof Ids]: Food };

function withFoods<T, const Ids extends readonly string[]>(
  foods: ReadonlyMap<string, Food>,
  row: T | undefined,
  ids: Ids,
  work: (row: T, found: Foods<Ids>) => Made,
): Result<Made, Unmakeable> {
  const found = ids.map((id) => foods.get(id));
  const missing = ids.find((id) => !foods.has(id));
  if (missing !== undefined) return fail({ kind: "no such food", foodId: missing });
  return row === undefined ? fail({ kind: "not a material", foodId: ids[0] ?? "" }) : succeed(work(row, found as Foods<Ids>));
}

function mixed(portions: readonly Portion[], finished: number | null, field: string, name: string, like: string): Made {
  const massIn = massOf(portions);
  const problems: MakingProblem[] = [];
  if (massIn <= 0) problems.push({ field, grave: true, why: "Name at least one food that it is made of." });
  if (finished !== null && finished > massIn + 0.5)
    problems.push({ field: "finished", grave: true, why: `It cannot weigh more than went in (${massIn.toFixed(0)} g): name the water too.` });
  const driest = massIn - waterIn(portions);
  if (finished !== null && finished < driest - 0.5)
    problems.push({ field: "finished", grave: true, why: `Without any water it would still weigh ${driest.toFixed(0)} g. Is something left in the pan?` });
  // No more can boil away than there is water.
  const grams = finished === null ? massIn : Math.min(massIn, Math.max(driest, finished));
  return {
    parts: grams > 0 ? [{ key: "whole", name, grams: withShare(grams, MIXED_SHARE), contents: contentsOf(portions, grams), like }] : [],
    went: portions.map(({ food, grams: mass }) => ({ name: food.name.toLowerCase(), grams: mass })).filter((each) => each.grams > 0),
    away: [{ name: "boiled away", grams: massIn - grams }].filter((each) => each.grams > 0),
    working: [
      { name: "went in", value: massIn, unit: "g" },
      { name: "of it not water", value: driest, unit: "g" },
      { name: finished === null ? "weighs, nothing boiled away" : "weighs when done", value: grams, unit: "g" },
    ],
    problems,
  };
}

/** The foods that a making starts from, by id: what its allergens, its origin and its cost come from. */
export function foodsIn(making: Making): readonly { readonly foodId: string; readonly grams: number }[] {
  switch (making.kind) {
    case "mixture":
      return making.parts;
    case "milk":
      return [{ foodId: making.material, grams: making.grams }];
    case "paste":
      return [{ foodId: making.fruit, grams: making.grams }];
    case "syrup":
    case "caramel":
      return [{ foodId: making.sugar, grams: making.grams }];
    case "roast":
      return [{ foodId: making.flour, grams: making.grams }];
  }
}
