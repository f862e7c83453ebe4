import { pressedId, type LineId, type Recipe } from "../recipe";
import type { DiningTable } from "../table";
import { newRowId, type VersionRow } from "../substitution";
import type { Role } from "../food";
import type { StoredBench } from "./stored-bench";

/** A bench of the second schema: rows without ids of their own. */
export interface StoredBench2 extends Omit<StoredBench, "schema" | "rows"> {
  readonly schema: 2;
  readonly rows: readonly Omit<StoredBench["rows"][number], "id">[];
}

/** Rows with ids: the recipe's line, or one of its own for an added food. */
export const withRowIds = <Row extends { readonly line: LineId | null }>(rows: readonly Row[]): (Row & { readonly id: LineId })[] => {
  const taken = new Set<LineId>();
  return rows.map((row) => {
    const id = row.line !== null && !taken.has(row.line) ? row.line : newRowId([...taken].map((each) => ({ id: each })));
    taken.add(id);
    return { ...row, id };
  });
};

/** A bench as it is stored today, of the second schema or this. */
export const benchFrom2 = (bench: StoredBench | StoredBench2): StoredBench =>
  bench.schema === 3 ? bench : { ...bench, schema: 3, rows: withRowIds(bench.rows) };

/** A bench as it was stored at first: lines by their places, and a hash of what it was worked out for. */
export interface StoredBench1 {
  readonly basis: string;
  readonly label: string;
  readonly evaporation: number;
  readonly from?: string;
  readonly rows: readonly {
    readonly line: number | null;
    readonly foodId: string | null;
    readonly grams: number;
    readonly role: Role;
    readonly change: VersionRow["change"];
    readonly why: string;
  }[];
}

const PRESSED_AT = /^pressed-(\d+)$/;

/** The id of a food of a first-schema store: what a recipe presses itself was called by the place of its line. */
export function foodIdOf1(id: string, recipe: Pick<Recipe, "lines">): string {
  const [, place] = PRESSED_AT.exec(id) ?? [];
  const line = place === undefined ? undefined : recipe.lines[Number(place)];
  return line ? pressedId(line.id) : id;
}

/** The line at a place, as first-schema stores point to it; null where there is none. */
export const lineIdOf1 = (place: number | null, { lines }: Pick<Recipe, "lines">): LineId | null => (place === null ? null : (lines[place]?.id ?? null));

/** A first-schema bench for the recipe and table that stand beside it. It was thrown away where these had changed, so that it is taken to be made for them. */
export function benchFrom1({ label, evaporation, from, rows }: StoredBench1, recipe: Pick<Recipe, "lines">, table: DiningTable): StoredBench {
  return {
    schema: 3,
    madeFor: { rules: table.rules, limits: table.limits, servings: table.servings, serve: table.serve },
    byHand: true,
    label,
    evaporation,
    ...(from === undefined ? {} : { from }),
    rows: withRowIds(
      rows.flatMap(({ line, foodId, ...row }) => {
        const id = lineIdOf1(line, recipe);
        if (line !== null && id === null && (foodId === null || row.change === "as is" || row.change === "amount")) return [];
        const change = line !== null && id === null ? ("added" as const) : row.change;
        return [{ ...row, change, line: id, foodId: foodId === null ? null : foodIdOf1(foodId, recipe), was: null }];
      }),
    ),
  };
}
