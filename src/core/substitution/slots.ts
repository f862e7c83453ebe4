import type { Food, Role } from "../food";
import { INDEX } from "../food";
import { mayEnter, type Opening } from "./open-roles";
import type { AdaptationProblem, SourceLine } from "./problem";
import type { Candidate } from "./tables";

/** One food that a version can hold: a line of the recipe, or a candidate for an opened role. */
export interface Slot {
  readonly key: string;
  readonly role: Role;
  readonly food: Food;
  /** The recipe's line this is; null for a food new to the sweet. */
  readonly source: SourceLine | null;
  /** Grams when used. */
  readonly least: number;
  readonly most: number;
  readonly affinity: number;
  /** May be left out altogether. */
  readonly optional: boolean;
  /** Moves only a little, at a cost: its role is not opened. */
  readonly locked: boolean;
}

const REPAIR_ROLES: readonly Role[] = ["thickener", "bulk"];
const LOCKED_RANGE: Readonly<Partial<Record<Role, number>>> = { crunch: 0.3, aroma: 0.1, colour: 0.1, seasoning: 0.1, acid: 0.3 };
const DEFAULT_LOCKED_RANGE = 0.5;
const VEGETABLE_RANGE = 0.1;
const MOST_WATER_SHARE = 0.8;

/** All foods the version may be made of, with their bounds in grams. `finished` is the recipe's finished mass. */
export function slots(problem: AdaptationProblem, opening: Opening, finished: number): Slot[] {
  const kept: Slot[] = [];
  for (const line of problem.lines) {
    if (opening.banned.has(line.id)) continue;
    const opened = opening.opened.has(line.role);
    const water = line.food.id === "water";
    const range =
      line.food.family === "vegetable" || (line.food.family === "fruit" && !opened) ? VEGETABLE_RANGE : (LOCKED_RANGE[line.role] ?? DEFAULT_LOCKED_RANGE);
    kept.push({
      key: `line${line.id}`,
      role: line.role,
      food: line.food,
      source: line,
      least: water ? 0 : opened ? Math.min(line.grams, finished * 0.01) : line.grams * (1 - range),
      most: water
        ? Math.max(line.grams * 2, finished * MOST_WATER_SHARE)
        : opened
          ? Math.max(line.grams * 1.5, mostOf(problem, line, finished))
          : line.grams * (1 + range),
      affinity: 0,
      optional: opened || line.optional,
      locked: !opened && !water,
    });
  }
  const roles = new Set<Role>([...opening.opened, ...REPAIR_ROLES]);
  const present = new Set(kept.map((slot) => slot.food.id));
  const entering = problem.tables.candidates.filter(
    (candidate) => candidate.archetypes.includes(problem.archetype) && roles.has(candidate.role) && !present.has(candidate.foodId),
  );
  const fresh = new Set<string>();
  for (const candidate of [...namedFor(problem, opening, present, finished), ...entering]) {
    const food = problem.reference.foods.get(candidate.foodId);
    const key = `${candidate.role}:${candidate.foodId}`;
    if (!food || !mayEnter(food, problem) || fresh.has(key)) continue;
    fresh.add(key);
    kept.push({
      key,
      role: candidate.role,
      food,
      source: null,
      least: (candidate.least * finished) / 100,
      most: (candidate.most * finished) / 100,
      affinity: candidate.affinity,
      optional: true,
      locked: false,
    });
  }
  const water = problem.reference.foods.get("water");
  if (water && !present.has("water"))
    kept.push({
      key: "liquid:water",
      role: "liquid",
      food: water,
      source: null,
      least: finished * 0.01,
      most: finished * 0.5,
      affinity: 0.1,
      optional: true,
      locked: false,
    });
  return kept;
}

/** What the writer's own words would let stand for a line: before all others, where custom has nothing it favours more. */
const NAMED_AFFINITY = -0.4;

/** Foods that lines name to choose from, as candidates for what the line does. */
function namedFor({ lines, tables, archetype }: AdaptationProblem, opening: Opening, present: ReadonlySet<string>, finished: number): readonly Candidate[] {
  return lines.flatMap(({ beside, role, grams }) => {
    if (!opening.opened.has(role)) return [];
    return (beside?.alternatives ?? [])
      .filter(({ id }) => !present.has(id))
      .map(({ id }): Candidate => {
        const usual = tables.candidates.find((each) => each.role === role && each.foodId === id && each.archetypes.includes(archetype));
        const share = (100 * grams) / finished;
        return {
          role,
          foodId: id,
          least: Math.min(usual?.least ?? Infinity, share * 0.4),
          most: Math.max(usual?.most ?? 0, share * 1.5),
          affinity: Math.min(usual?.affinity ?? 0, 0) + NAMED_AFFINITY,
          archetypes: [archetype],
        };
      });
  });
}

function mostOf(problem: AdaptationProblem, line: SourceLine, finished: number): number {
  const candidate = problem.tables.candidates.find(
    (each) => each.role === line.role && each.foodId === line.food.id && each.archetypes.includes(problem.archetype),
  );
  return candidate ? (candidate.most * finished) / 100 : line.grams * 1.5;
}

/** A whole or cracked grain or pearl: it is chewed, not only thickening. */
export function isPiece(food: Food, role: Role): boolean {
  const starch = food.thickening.starch;
  return role === "body" && starch !== undefined && (starch.grain !== "ground" || starch.form === "pearl");
}

/** A plant or animal milk, as against water: what counts as the sweet's liquid. */
export const isMilk = (slot: { readonly role: Role; readonly food: Food }): boolean =>
  slot.role === "liquid" && slot.food.id !== "water" && (slot.food.per100g[INDEX.water] ?? 0) > 50;
