import { recipeInput } from "../adaptation";
import { evaluatePoint, propertyOf, type PropertyId } from "../evaluate";
import type { Food, Reference } from "../food";
import { judge, type Rule } from "../models/diet";
import type { LineId, ReadRecipe } from "../recipe";
import type { DiningTable } from "../table";

/** A group of foods that are taken for one another, with what tells them apart. */
export interface LookAlikes {
  readonly foods: readonly string[];
  /** Words that may mean more than one of them. */
  readonly ambiguous: readonly string[];
  readonly apart: string;
}

/** What comes of taking a food's look-alike for it, in the same weight. */
export interface Mistake {
  readonly line: LineId;
  readonly food: Food;
  readonly other: Food;
  readonly apart: string;
  readonly changes: readonly { readonly property: PropertyId; readonly before: number; readonly after: number }[];
  /** Rules of the table that the look-alike breaks and the food itself does not. */
  readonly breaks: readonly Rule[];
}

/** What a mistake is told by, and from what difference on (absolute; for sweetness, body and richness what is noticed). */
const LEAST_FREE_SUGARS = 2;
const LEAST_LOAD = 5;

/**
 * Of each line whose words may mean another food too, the look-alike that would do most harm to this sweet at this table;
 * none where nobody would notice.
 */
export function mistakes(read: ReadRecipe, table: DiningTable, groups: readonly LookAlikes[], reference: Reference, rules: readonly Rule[]): Mistake[] {
  const { constants, foods } = reference;
  const input = recipeInput(read, table);
  const before = evaluatePoint(input, constants);
  const sweetness: PropertyId = table.serve === "hot" ? "sweetness.hot" : "sweetness.chilled";
  const body: PropertyId = table.serve === "hot" ? "body.hot" : "body.chilled";
  const noticed = (id: PropertyId) => [id, propertyOf(id).noticed?.(before[id].value, constants.noticeable.value) ?? Infinity] as const;
  const least: readonly (readonly [PropertyId, number])[] = [
    noticed(sweetness),
    ["serving.freeSugarsUk", LEAST_FREE_SUGARS],
    ["serving.glycaemicLoad", LEAST_LOAD],
    noticed(body),
    noticed("richness"),
  ];
  const found: (Mistake & { readonly harm: number })[] = [];
  for (const line of read.lines) {
    const reading = read.byLine.get(line.id);
    const said = reading && "description" in reading ? wordsOf(reading.description) : "";
    const group = groups.find((each) => each.foods.includes(line.food.id) && each.ambiguous.some((words) => wordsOf(words) === said));
    if (!group) continue;
    let worst: (Mistake & { readonly harm: number }) | null = null;
    for (const id of group.foods) {
      const other = foods.get(id);
      if (!other || id === line.food.id) continue;
      const lines = input.lines.map((each, i) => (read.lines[i]?.id === line.id ? { ...each, food: other } : each));
      const after = evaluatePoint({ ...input, lines }, constants);
      const changes = least.flatMap(([property, from]) => {
        const [a, b] = [before[property].value, after[property].value];
        return Math.abs(b - a) > from ? [{ property, before: a, after: b, harm: Math.abs(b - a) / Math.max(from, 1e-9) }] : [];
      });
      const breaks = rules.filter((rule) => judge(other, rule).verdict === "avoid" && judge(line.food, rule).verdict !== "avoid");
      const harm = changes.reduce((sum, each) => sum + Math.min(10, each.harm), 0) + 20 * breaks.length;
      if (harm > 0 && (worst === null || harm > worst.harm))
        worst = {
          line: line.id,
          food: line.food,
          other,
          apart: group.apart,
          changes: changes.map(({ property, before: a, after: b }) => ({ property, before: a, after: b })),
          breaks,
          harm,
        };
    }
    if (worst) found.push(worst);
  }
  return found.sort((a, b) => b.harm - a.harm);
}

/** The words of a name in one order, in the singular. */
const wordsOf = (text: string): string =>
  [
    ...new Set(
      text
        .toLowerCase()
        .split(/[^a-z]+/)
        .filter(Boolean)
        .map((word) => word.replace(/([^s])s$/, "$1")),
    ),
  ]
    .sort()
    .join(" ");
