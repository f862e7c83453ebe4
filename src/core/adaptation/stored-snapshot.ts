import { MICRONUTRIENTS, NUTRIENTS, type Food, type Micronutrient, type Nutrient } from "../food";
import type { StepId } from "../recipe";
import type { Snapshot, SnapshotInput, SnapshotLine } from "./snapshot";
import { foodIdOf1, lineIdOf1, withRowIds } from "./upcast";

/** A food as it is stored: its composition by the names of what it holds. What is absent is not known. */
export interface StoredFood extends Omit<Food, "per100g" | "sd" | "micro" | "microSd"> {
  readonly per100g: Readonly<Partial<Record<Nutrient, number>>>;
  readonly sd: Readonly<Partial<Record<Nutrient, number>>>;
  readonly micro: Readonly<Partial<Record<Micronutrient, number>>>;
  readonly microSd: Readonly<Partial<Record<Micronutrient, number>>>;
}

/** What was served apart and the kind were not noted at first. */
type StoredInput = Omit<SnapshotInput, "lines" | "apart" | "archetype"> &
  Partial<Pick<SnapshotInput, "apart" | "archetype">> & {
    readonly lines: readonly (Omit<SnapshotLine, "food"> & { readonly foodId: string })[];
  };
interface StoredSide {
  readonly input: StoredInput;
  readonly figures: Snapshot["forThisTable"]["figures"];
}

/** A kept version as it is stored: each food once, and pointed to by its id. */
export interface StoredSnapshot extends Omit<Snapshot, "rows" | "asHandedDown" | "forThisTable"> {
  readonly schema: 3;
  readonly foods: readonly StoredFood[];
  readonly rows: readonly (Omit<Snapshot["rows"][number], "food"> & { readonly foodId: string | null })[];
  readonly asHandedDown: StoredSide;
  readonly forThisTable: StoredSide;
}

/** The second schema: rows without ids of their own, the method in words alone. */
export interface StoredSnapshot2 extends Omit<StoredSnapshot, "schema" | "rows" | "steps" | "method"> {
  readonly schema: 2;
  readonly rows: readonly Omit<StoredSnapshot["rows"][number], "id">[];
  readonly steps: readonly Omit<Snapshot["steps"][number], "step">[];
}

/** The first schema: lines and steps by their places, compositions by position, a food anew at each place. */
export interface StoredSnapshot1 extends Omit<Snapshot, "rows" | "steps" | "madeOn" | "method"> {
  readonly schema: 1;
  readonly rows: readonly (Omit<Snapshot["rows"][number], "id" | "line"> & { readonly line: number | null })[];
  readonly steps: readonly (Omit<Snapshot["steps"][number], "step" | "from"> & { readonly from: number | null })[];
}

const named = <Name extends string>(names: readonly Name[], values: readonly (number | null)[]): Partial<Record<Name, number>> =>
  Object.fromEntries(names.flatMap((name, i) => (values[i] === null || values[i] === undefined ? [] : [[name, values[i]]]))) as Partial<Record<Name, number>>;

const packFood = ({ per100g, sd, micro, microSd, ...food }: Food): StoredFood => ({
  ...food,
  per100g: named(NUTRIENTS, per100g),
  sd: named(NUTRIENTS, sd),
  micro: named(MICRONUTRIENTS, micro),
  microSd: named(MICRONUTRIENTS, microSd),
});

function unpackFood({ per100g, sd, micro, microSd, ...food }: StoredFood): Food {
  const absent = NUTRIENTS.filter((name) => per100g[name] === undefined);
  return {
    ...food,
    unknown: [...new Set([...food.unknown, ...absent])],
    per100g: NUTRIENTS.map((name) => per100g[name] ?? 0),
    sd: NUTRIENTS.map((name) => sd[name] ?? 0),
    micro: MICRONUTRIENTS.map((name) => micro[name] ?? null),
    microSd: MICRONUTRIENTS.map((name) => microSd[name] ?? null),
  };
}

/** A snapshot for the store. */
export function packSnapshot({ rows, asHandedDown, forThisTable, ...snapshot }: Snapshot): StoredSnapshot {
  const foods = new Map<string, StoredFood>();
  const idOf = (food: Food): string => {
    if (!foods.has(food.id)) foods.set(food.id, packFood(food));
    return food.id;
  };
  const side = ({ input, figures }: Snapshot["forThisTable"]): StoredSide => ({
    input: { ...input, lines: input.lines.map(({ food, ...line }) => ({ foodId: idOf(food), ...line })) },
    figures,
  });
  const packed = {
    rows: rows.map(({ food, ...row }) => ({ ...row, foodId: food ? idOf(food) : null })),
    asHandedDown: side(asHandedDown),
    forThisTable: side(forThisTable),
  };
  return { schema: 3, ...snapshot, ...packed, foods: [...foods.values()] };
}

/** A stored snapshot with its foods in their places; null where it points to a food that it does not hold. */
export function unpackSnapshot({ schema: _, foods, rows, asHandedDown, forThisTable, ...snapshot }: StoredSnapshot): Snapshot | null {
  const byId = new Map(foods.map((food) => [food.id, unpackFood(food)] as const));
  const pointed = [
    ...rows.flatMap(({ foodId }) => foodId ?? []),
    ...[asHandedDown, forThisTable].flatMap(({ input }) => input.lines.map(({ foodId }) => foodId)),
  ];
  if (pointed.some((id) => !byId.has(id))) return null;
  const side = ({ input, figures }: StoredSide): Snapshot["forThisTable"] => ({
    input: {
      ...input,
      apart: input.apart ?? 0,
      archetype: input.archetype ?? null,
      lines: input.lines.flatMap(({ foodId, ...line }) => (byId.has(foodId) ? [{ food: byId.get(foodId) as Food, ...line }] : [])),
    },
    figures,
  });
  return {
    ...snapshot,
    rows: rows.map(({ foodId, ...row }) => ({ ...row, food: foodId === null ? null : (byId.get(foodId) ?? null) })),
    asHandedDown: side(asHandedDown),
    forThisTable: side(forThisTable),
  };
}

/** Steps in words, each with an id: the recipe's own, or one of its own. */
const withStepIds = <Words extends Omit<Snapshot["steps"][number], "step">>(steps: readonly Words[]): (Words & { readonly step: StepId })[] =>
  steps.map((words, i) => ({ ...words, step: words.from ?? `new-${i + 1}` }));

/** A second-schema snapshot as it is stored today. */
export const snapshotFrom2 = ({ rows, steps, ...snapshot }: StoredSnapshot2): StoredSnapshot => ({
  ...snapshot,
  schema: 3,
  rows: withRowIds(rows),
  method: null,
  steps: withStepIds(steps),
});

/** What was not kept of a food at first is not known today. */
const SILENT = {
  micro: MICRONUTRIENTS.map(() => null),
  microSd: MICRONUTRIENTS.map(() => null),
  unknown: [],
  weighed: [],
  lookAlikes: [],
  pricePerGram: null,
  nature: null,
  cooked: null,
  parts: [],
};

/** A first-schema snapshot as it is read today: lines and steps by the ids of the recipe that it holds. */
export function snapshotFrom1({ schema: _, rows, steps, asHandedDown, forThisTable, ...snapshot }: StoredSnapshot1): Snapshot {
  const { recipe } = snapshot;
  // Of the steps those that held nothing were left out before they were numbered.
  const told = recipe.steps.filter(({ text, choice }) => text.trim() !== "" || Object.keys(choice).length > 0);
  const whole = (food: Food): Food => ({ ...SILENT, ...food, id: foodIdOf1(food.id, recipe) });
  const side = ({ input, figures }: Snapshot["forThisTable"]): Snapshot["forThisTable"] => ({
    figures,
    input: {
      ...input,
      apart: (input as { readonly apart?: number }).apart ?? 0,
      archetype: null,
      lines: input.lines.map((line) => ({ ...line, food: whole(line.food) })),
    },
  });
  return {
    ...snapshot,
    madeOn: null,
    method: null,
    rows: withRowIds(rows.map((row) => ({ ...row, line: lineIdOf1(row.line, recipe), food: row.food && whole(row.food) }))),
    steps: withStepIds(steps.map((step) => ({ ...step, from: step.from === null ? null : (told[step.from]?.id ?? null) }))),
    asHandedDown: side(asHandedDown),
    forThisTable: side(forThisTable),
  };
}
