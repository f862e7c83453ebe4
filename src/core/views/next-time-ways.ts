import { withOwnWords } from "../adaptation";
import { propertyOf, valueOf, type EvaluationInput, type PropertyId } from "../evaluate";
import type { Food, Role } from "../food";
import type { Kitchen } from "../kitchen";
import { kitchenMeasure } from "../recipe";
import { limitProperty, mayEnter, newRowId, versionInput, type VersionRow } from "../substitution";
import { lowerFirst } from "../units";
import type { StoveQuestion, StoveStanding } from "./stove-standing";

/** One way to bring a change about. */
export interface NextTimeWay {
  /** The row of the version; null for a food that is new in it. */
  readonly row: string | null;
  readonly food: string;
  readonly name: string;
  /** More (above 0) or less (below 0), g, of the whole batch. */
  readonly grams: number;
  readonly measure: string;
  /** Limits of the table that it would pass, in words. */
  readonly over: readonly string[];
}

/** What of a version is changed for a figure, by its role; and foods that may be offered beside where there is to be more of it. */
export interface Means {
  readonly roles: readonly Role[];
  readonly others: readonly string[];
}
interface WaysGround {
  readonly stands: StoveStanding;
  readonly question: Pick<StoveQuestion, "table" | "bench">;
  readonly kitchen: Kitchen;
}

/** How much more or less of each thing alone brings a figure to what is wanted, all else as it was; limits that it would pass are said. */
export function waysTo(
  id: PropertyId,
  wanted: number,
  { roles, others }: Means,
  { stands, question: { table, bench }, kitchen }: WaysGround,
): readonly NextTimeWay[] {
  const { version, input, by, ground } = stands;
  const { constants, foods } = kitchen.reference;
  const judged = withOwnWords(ground.problem, ground.read, version, bench?.steps, kitchen.reading.find);
  const inputOf = (rows: readonly VersionRow[]): EvaluationInput => ({ ...versionInput({ ...version, rows }, by), evaporation: input.evaporation });
  const own = version.rows.filter(({ food, grams, role }) => food !== null && grams > 0 && roles.includes(role));
  const isMore = wanted > valueOf(input, id, constants);
  const beside = isMore
    ? others.flatMap((food) => foods.get(food) ?? []).filter((food) => mayEnter(food, judged) && !own.some((row) => row.food?.id === food.id))
    : [];
  const rowFor = (food: Food): VersionRow => ({ id: newRowId(version.rows), line: null, food, grams: 0, role: food.role, change: "added", why: "" });
  const all = version.rows.reduce((sum, { grams }) => sum + grams, 0);
  return [...own, ...beside.map(rowFor)].flatMap((row): NextTimeWay[] => {
    const { food } = row;
    if (!food) return [];
    const isOwn = version.rows.some((each) => each.id === row.id);
    const rowsWith = (grams: number) =>
      isOwn ? version.rows.map((each) => (each.id === row.id ? { ...each, grams } : each)) : [...version.rows, { ...row, grams }];
    const at = (grams: number) => valueOf(inputOf(rowsWith(grams)), id, constants);
    // More of it may make the figure more or less; so much that it is another sweet is no way.
    const [least, most] = [MOST_LESS * row.grams, Math.max(MOST_MORE * row.grams, isOwn ? 0 : all / 4)];
    const rises = at(most) > at(least);
    if ((wanted - at(least)) * (wanted - at(most)) > 0) return [];
    let [low, high] = [least, most];
    for (let i = 0; i < 30; i++) {
      const middle = (low + high) / 2;
      if (at(middle) < wanted === rises) low = middle;
      else high = middle;
    }
    const change = (low + high) / 2 - row.grams;
    const grams = Math.abs(change) < 3 ? Math.round(10 * change) / 10 : Math.round(change);
    if (grams === 0) return [];
    const then = inputOf(rowsWith(row.grams + grams));
    const over = table.limits.flatMap((limit) => {
      const property = limitProperty(limit);
      const value = valueOf(then, property, constants);
      const { name, unit } = propertyOf(property);
      return value > limit.most * 1.001 ? [`then ${value.toFixed(1)} ${unit} of ${lowerFirst(name)} a serving, over the ${limit.most} that were set`] : [];
    });
    // What sweetens a shaped sweet holds it too.
    const [held, holds] = stands.isBound ? [valueOf(input, "binding", constants), valueOf(then, "binding", constants)] : [0, 0];
    const crumbles = constants.binding.value.words[0]?.[0] ?? 0;
    if (held > 0 && held >= crumbles && holds < crumbles)
      over.push(`then it has ${Math.round(100 * holds)} % of the binder that it takes up, and crumbles: bind it otherwise too`);
    const measure = kitchenMeasure(food, Math.abs(grams), ground.read.measures)?.text ?? "";
    return [{ row: isOwn ? row.id : null, food: food.id, name: food.name, grams, measure, over }];
  });
}
/** Of what is there at least and at most so much. */
const MOST_LESS = 0.4;
const MOST_MORE = 2;
