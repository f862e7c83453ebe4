import { asAdded, type Food, type Role, type Treatment } from "../food";
import type { EvaluationInput } from "../evaluate";
import type { Archetype, BalancedLine, LineId } from "../recipe";

export type ChangeKind = "as is" | "amount" | "replaced" | "added" | "left out";

/** One row of the ledger: a line as handed down, and what stands for it in a version. */
export interface VersionRow {
  /** Its own in the version: the line's, or another for a food added. */
  readonly id: LineId;
  /** The recipe's line; null for a food added. */
  readonly line: LineId | null;
  /** What the version holds; null where the line is left out. */
  readonly food: Food | null;
  readonly grams: number;
  readonly role: Role;
  readonly change: ChangeKind;
  /** Why it changed, in a few words: "no dairy", "gives body". */
  readonly why: string;
}

/** An id for a food that is added to these rows. */
export function newRowId(rows: readonly { readonly id: LineId }[]): LineId {
  const taken = new Set(rows.map(({ id }) => id));
  let n = 1;
  while (taken.has(`added-${n}`)) n++;
  return `added-${n}`;
}

/** A version: its rows and what is driven off. */
export interface Version {
  readonly rows: readonly VersionRow[];
  readonly evaporation: number;
}

/** Amounts of a version are weighed: half the 80 % interval is 2 %; unchanged lines keep the recipe's own spread. */
const WEIGHED_SD = 0.016;

/** Whether something in a sweet is wet, so that what is left in pieces stays apart from it. */
export const isWet = (lines: readonly Pick<BalancedLine, "role" | "food">[]): boolean =>
  lines.some(({ role, food }) => role === "liquid" || food.id === "water");

/** What the steps do to a food of a version: what they do to the line it stands for; dried fruit that is new to a wet sweet goes in whole. */
export function treatmentFor(food: Food, source: Pick<BalancedLine, "food" | "treated"> | undefined, wet: boolean): Treatment | undefined {
  const own = wet && source?.food.id !== food.id ? asAdded(food) : undefined;
  return own === undefined ? source?.treated : { ...source?.treated, ...(source?.treated?.ground ? {} : own) };
}

/** What is served beside stays so, and what the steps do is done to whatever stands for it; peel is bought along with a food that stays. */
const besideOf = (source: BalancedLine | undefined, { food, grams }: VersionRow) => ({
  ...(source?.apart ? { apart: true } : {}),
  ...(source?.bought !== undefined && source.food.id === food?.id && source.grams > 0 ? { bought: (source.bought * grams) / source.grams } : {}),
});

/** Evaporation of a version is the maker's aim: half the 80 % interval is a quarter of it. */
const EVAPORATION_SD = 0.2;

/** What of a recipe a version of it is evaluated by, for the table's servings. */
export interface VersionGround {
  readonly lines: readonly (BalancedLine & { readonly id: LineId })[];
  readonly apart: number;
  readonly servings: number;
  readonly cookMinutes: number | null;
  readonly archetype: Archetype;
}

/** A version as the models take it: the one place where it is put together. */
export const versionInput = (version: Version, { lines, apart, servings, cookMinutes, archetype }: VersionGround): EvaluationInput => ({
  lines: versionLines(version, lines),
  apart,
  evaporation: { value: version.evaporation, sd: version.evaporation * EVAPORATION_SD },
  servings,
  cookMinutes,
  archetype,
});

/** The lines of a version for the models. */
export function versionLines(version: Version, recipe: readonly (BalancedLine & { readonly id: LineId })[]): BalancedLine[] {
  const wet = isWet(recipe);
  return version.rows.flatMap((row) => {
    if (!row.food || row.grams <= 0) return [];
    const source = row.line === null ? undefined : recipe.find((line) => line.id === row.line);
    const same = row.change === "as is" && source;
    const treated = treatmentFor(row.food, source, wet);
    return [
      {
        ...(treated ? { treated } : {}),
        food: row.food,
        grams: row.grams,
        sd: same ? source.sd : row.grams * WEIGHED_SD,
        role: row.role,
        ...besideOf(source, row),
      },
    ];
  });
}
