import type { Food, Role } from "../food";
import { INDEX } from "../food";
import type { Archetype } from "../recipe";
import { mayEnter, rolesOf, type Opening } from "./open-roles";
import type { AdaptationProblem, SourceLine } from "./problem";
import type { Candidate } from "./tables";
import { askedOf, type Asked } from "./wishes";

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
  /** Between what the maker wants it, g; null where nothing is said of it. */
  readonly asked: readonly [least: number, most: number] | null;
}

const REPAIR_ROLES: readonly Role[] = ["thickener", "bulk"];
const LOCKED_RANGE: Readonly<Partial<Record<Role, number>>> = { crunch: 0.3, aroma: 0.1, colour: 0.1, seasoning: 0.1, acid: 0.3 };
const DEFAULT_LOCKED_RANGE = 0.5;
const VEGETABLE_RANGE = 0.1;
const MOST_WATER_SHARE = 0.8;

/** All foods the version may be made of, with their bounds in grams. `finished` is the recipe's finished mass. */
export function slots(problem: AdaptationProblem, opening: Opening, finished: number): Slot[] {
  const kept: Slot[] = [];
  const asked = askedOf(problem);
  for (const line of problem.lines) {
    if (opening.banned.has(line.id)) continue;
    const opened = opening.opened.has(line.role);
    const water = line.food.id === "water" && line.inCaramel !== true;
    const range =
      line.food.family === "vegetable" || line.food.family === "root" || (line.food.family === "fruit" && !opened)
        ? VEGETABLE_RANGE
        : (LOCKED_RANGE[line.role] ?? DEFAULT_LOCKED_RANGE);
    const wanted = wantedOf(line, asked);
    const held = ({ least, most, ...slot }: Omit<Slot, "asked">): Slot =>
      wanted
        ? {
            ...slot,
            asked: wanted,
            least: Math.min(Math.max(least, wanted[0]), wanted[1]),
            most: Math.max(wanted[0], Math.min(most, wanted[1])),
            optional: slot.optional && wanted[0] === 0,
          }
        : { ...slot, least, most, asked: null };
    kept.push(
      held({
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
      }),
    );
  }
  const roles = new Set<Role>([...opening.opened, ...REPAIR_ROLES]);
  // What is not wanted in its line does not come back by another.
  const present = new Set([...kept.map((slot) => slot.food.id), ...problem.lines.flatMap(({ id, food }) => (asked.leaves.has(id) ? [food.id] : []))]);
  const isFast = problem.rules.some(({ kind }) => kind === "fast");
  // What was set by a gel is set by one, where one fits.
  const isGelled =
    problem.lines.some(({ food }) => isGel(food)) &&
    problem.tables.candidates.some(({ foodId, role }) => {
      const food = role === "setting" ? problem.reference.foods.get(foodId) : undefined;
      return food !== undefined && isGel(food) && mayEnter(food, problem);
    });
  const isCreamShort =
    problem.lines.some(({ id, food }) => opening.banned.has(id) && (food.family === "dairy" || food.family === "egg")) &&
    !DRY_HALWA.includes(problem.archetype);
  const isSugarShort =
    opening.passed.some(({ id }) => SUGAR_LIMITS.includes(id)) ||
    problem.lines.some(({ id, food }) => opening.banned.has(id) && PLAIN_SUGARS.includes(food.sugarClass) && food.origin === "plant");
  const leadForms = new Set(problem.lines.flatMap(({ role, food }) => (role === "body" ? [leadForm(food)] : [])));
  const isSmooth = SMOOTH.includes(problem.archetype) && problem.lines.every(({ food, role }) => !isPiece(food, role) && !isFruitPiece(food));
  const entering = problem.tables.candidates.filter(
    (candidate) => candidate.archetypes.includes(problem.archetype) && roles.has(candidate.role) && !present.has(candidate.foodId),
  );
  const fresh = new Set<string>();
  for (const candidate of [...namedFor(problem, opening, present, finished), ...entering]) {
    const food = problem.reference.foods.get(candidate.foodId);
    const key = `${candidate.role}:${candidate.foodId}`;
    if (!food || !mayEnter(food, problem) || fresh.has(key) || (isSmooth && isFruitPiece(food))) continue;
    // A paste or pieces of fruit would soften what has to snap.
    if (problem.cracks && candidate.role === "sweetener" && food.family === "fruit") continue;
    // None for a child, a rule of thumb.
    if (ISOLATES.includes(food.id) && (!isSugarShort || problem.children)) continue;
    // What fills is let in where something creamy leaves, or its own role is open.
    if (candidate.role === "bulk" && !opening.opened.has("bulk") && !isCreamShort) continue;
    if (candidate.role === "setting" && !opening.opened.has("setting")) continue;
    if (candidate.role === "setting" && isGelled && !isGel(food)) continue;
    // What sets stands in for what set: it is not thickened besides.
    if (candidate.role === "thickener" && problem.archetype === "set pudding" && opening.opened.has("setting")) continue;
    if (candidate.role === "body" && LED_BY_FORM.includes(problem.archetype) && leadForms.size > 0 && !leadForms.has(leadForm(food))) continue;
    fresh.add(key);
    kept.push({
      key,
      role: candidate.role,
      food,
      source: null,
      least: (candidate.least * finished) / 100,
      most: (candidate.most * finished) / 100,
      affinity: candidate.affinity - (isFast ? (problem.tables.fastFavours.get(food.id) ?? 0) : 0),
      optional: true,
      locked: false,
      asked: null,
    });
  }
  for (const [id, grams] of asked.goesIn) {
    const food = problem.reference.foods.get(id);
    const [role] = rolesOf(id, problem);
    if (!food || !role || present.has(id) || !mayEnter(food, problem)) continue;
    const at = kept.findIndex((slot) => slot.food.id === id);
    const known = kept[at];
    const least = Math.max(grams, known?.least ?? 0.005 * finished);
    const slot: Slot = {
      key: `${role}:${id}`,
      role,
      food,
      source: null,
      least,
      most: Math.max(1.5 * least, known?.most ?? 0.1 * finished),
      affinity: 0,
      optional: false,
      locked: false,
      asked: [least, Infinity],
    };
    if (known) kept[at] = slot;
    else kept.push(slot);
  }
  const water = problem.reference.foods.get("water");
  const hasWater = problem.lines.some(({ food, inCaramel }) => food.id === "water" && inCaramel !== true);
  if (water && !hasWater && !WITHOUT_WATER.includes(problem.archetype))
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
      asked: null,
    });
  return kept;
}

/** Between what a line is wanted, g; null where nothing is said of it. */
function wantedOf({ id, food, grams }: SourceLine, { stays, lineMost, goesIn }: Asked): Slot["asked"] {
  if (stays.has(id)) return [grams, grams];
  const [least, most] = [goesIn.get(food.id), lineMost.get(id)];
  if (least === undefined && most === undefined) return null;
  return [least === undefined ? 0 : Math.max(least, 0.01), most ?? Infinity];
}

/** What sweetens or fills by itself and is no food of a kitchen: only where sugar itself has to be less. */
export const ISOLATES: readonly string[] = ["erythritol", "xylitol", "allulose", "inulin", "stevia"];
const SUGAR_LIMITS: readonly string[] = ["freeSugars", "energy", "glycaemicLoad"];
const PLAIN_SUGARS: readonly Food["sugarClass"][] = ["added"];
const isGel = ({ thickening }: Food): boolean => thickening.agar === true || thickening.gelatine === true;
const DRY_HALWA: readonly Archetype[] = ["flour halwa", "pulse halwa"];
/** No water is put into these that the recipe does not put in: it would spoil how they hold. */
const WITHOUT_WATER: readonly Archetype[] = ["ladoo", "loose mix", "barfi", "fruit-bound", "cultured"];
/** A sweet of seeds is no sweet of flour: what leads it is of one make. */
const LED_BY_FORM: readonly Archetype[] = ["ladoo", "barfi", "loose mix"];
const leadForm = ({ family, nature }: Food): string =>
  nature?.form === "puffed" || nature?.processing === "popped"
    ? "popped"
    : family === "nut" || family === "oilseed" || nature?.form === "whole" || nature?.form === "shreds"
      ? "seed"
      : "flour";

/** In what is smooth no fruit is left in pieces: it would sweeten its own mouthful only. */
const SMOOTH: readonly Archetype[] = ["pudding", "set pudding", "frozen", "cultured", "sauce"];
const isFruitPiece = ({ family, nature }: Food): boolean => family === "fruit" && nature !== null && nature.form !== "paste" && nature.form !== "liquid";

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
