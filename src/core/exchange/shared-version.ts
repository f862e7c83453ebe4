import type { Snapshot } from "../adaptation";
import { lineWithoutPraise, notesWithoutClaims, stepWithoutPraise, titleWithoutClaims } from "../cautions";
import type { Food } from "../food";
import type { Recipe } from "../recipe";
import type { ShareWishes } from "./shared-sweet";

/** What a household says of a food for itself alone. */
const plainFood = (food: Food): Food => ({ ...food, pricePerGram: null, weighed: [], note: food.provenance === "label" ? null : food.note });

/** A recipe as it goes out: without its notes unless they are wanted, and without what it claims. */
export function recipeAsShared(recipe: Recipe, { notes }: ShareWishes): Recipe {
  const { notes: own, ...rest } = recipe;
  const told = notes ? notesWithoutClaims(own ?? "") : "";
  return {
    ...rest,
    title: titleWithoutClaims(recipe.title),
    lines: recipe.lines.map((line) => ({ ...line, text: lineWithoutPraise(line.text) })),
    steps: recipe.steps.map((step) => ({ ...step, text: stepWithoutPraise(step.text) })),
    ...(told === "" ? {} : { notes: told }),
  };
}

/** A kept version as it goes out: what its table leaves out, whose that is, and why anything changed stay here unless they are wanted. */
export function asShared(snapshot: Snapshot, wishes: ShareWishes): Snapshot {
  const { table, recipe, verdict, notes, label, method, asHandedDown, forThisTable, ...rest } = snapshot;
  const { rules } = wishes;
  const side = (of: Snapshot["forThisTable"]): Snapshot["forThisTable"] => ({
    ...of,
    input: { ...of.input, lines: of.input.lines.map((line) => ({ ...line, food: plainFood(line.food) })) },
  });
  return {
    ...rest,
    label: rules ? label : "As it was sent",
    recipe: recipeAsShared(recipe, wishes),
    // Who sat there stays here in any case: what somebody leaves out is theirs to tell.
    table: {
      rules: rules ? table.rules : [],
      limits: rules ? table.limits : [],
      servings: table.servings,
      serve: table.serve,
      ...(table.batch ? { batch: "hand" as const } : {}),
    },
    madeOn: null,
    notes: rules ? notes : [],
    rows: snapshot.rows.map((row) => ({ ...row, food: row.food && plainFood(row.food), why: rules ? row.why : "" })),
    steps: snapshot.steps.map((step) => (rules ? step : { ...step, why: "" })),
    method: method && {
      ...method,
      needless: method.needless.map((each) => (rules ? each : { ...each, why: "" })),
      steps: method.steps.map((step) => (rules ? step : { ...step, reasons: [] })),
    },
    ...(rules && verdict ? { verdict: { ...verdict, notFor: [] } } : {}),
    asHandedDown: side(asHandedDown),
    forThisTable: side(forThisTable),
  };
}
