import { INDEX, ROLES, type Food, type Role } from "../food";
import { strictestVerdict } from "../models/diet";
import type { LineId } from "../recipe";
import { evaluate, type Figures, type KeptPropertyId } from "../evaluate";
import type { AdaptationProblem } from "./problem";
import type { GoalId, Limit, LimitId } from "../table";
import { askedOf, goalBounds, goalProperty } from "./wishes";

/** The figure that a limit bounds. */
export function limitProperty(limit: Limit): KeptPropertyId {
  if (limit.id === "freeSugars") return limit.school === "uk" ? "serving.freeSugarsUk" : "serving.freeSugarsWho";
  return `serving.${limit.id}`;
}

/** Roles whose foods a limit can be met through. */
const ROLES_TOUCHED: Readonly<Record<LimitId, readonly Role[]>> = {
  freeSugars: ["sweetener"],
  energy: ["sweetener", "richness"],
  saturatedFat: ["richness", "liquid", "bulk"],
  glycaemicLoad: ["sweetener", "body"],
  sodium: ["seasoning"],
};

/** Roles through whose foods a goal can be met. */
const ROLES_OF_GOAL: Readonly<Record<GoalId, readonly Role[]>> = {
  sweetness: ["sweetener"],
  body: ["thickener"],
  richness: ["richness", "liquid"],
  fibre: ["bulk", "body"],
  protein: ["bulk", "liquid"],
};

/** Of these, for richness, those that give fat in the recipe. */
function rolesOfGoal(goal: GoalId, { lines }: AdaptationProblem): readonly Role[] {
  const roles = ROLES_OF_GOAL[goal];
  if (goal !== "richness") return roles;
  const fat = (of: readonly Role[]) => lines.reduce((sum, { food, grams, role }) => sum + (of.includes(role) ? grams * (food.per100g[INDEX.fat] ?? 0) : 0), 0);
  const giving = roles.filter((role) => fat([role]) > GIVES_MUCH * fat(ROLES));
  return giving.length > 0 ? giving : roles.slice(0, 1);
}

/** The roles that a food can take in a sweet of this kind; its usual one where none is known. */
export function rolesOf(id: string, { tables, archetype, reference, lines }: AdaptationProblem): readonly Role[] {
  const own = lines.flatMap(({ food, role }) => (food.id === id ? [role] : []));
  if (own.length > 0) return own;
  const known = tables.candidates.flatMap(({ foodId, role, archetypes }) => (foodId === id && archetypes.includes(archetype) ? [role] : []));
  const food = reference.foods.get(id);
  return known.length > 0 ? known.slice(0, 1) : food ? [food.role] : [];
}

/** Of what costs too much, the roles that cost most of it. */
function dearRoles({ lines, servings }: AdaptationProblem, most: number): readonly Role[] {
  const costs = lines.map(({ food, grams, role }) => ({ role, cost: grams * (food.pricePerGram ?? 0) }));
  const all = costs.reduce((sum, { cost }) => sum + cost, 0);
  return all > most * servings ? costs.filter(({ cost }) => cost > GIVES_MUCH * all).map(({ role }) => role) : [];
}
/** A role that gives more than this share of something is one that it can be changed through. */
const GIVES_MUCH = 0.15;

export interface Opening {
  /** Roles whose foods may be exchanged, because a line is banned or a limit is passed. */
  readonly opened: ReadonlySet<Role>;
  /** Lines that a rule avoids, or that are not wanted. */
  readonly banned: ReadonlySet<LineId>;
  readonly passed: readonly Limit[];
  readonly recipeFigures: Figures;
}

/** What has to give way: banned lines, and roles that a passed limit or a wish touches. Nothing else is opened. */
export function openRoles(problem: AdaptationProblem): Opening {
  const { figures } = evaluate(problem, problem.reference.constants);
  const asked = askedOf(problem);
  const banned = new Set(
    problem.lines
      .filter(({ id }) => !problem.parted?.has(id))
      .filter(({ id, food }) => strictestVerdict(food, problem.rules) === "avoid" || asked.leaves.has(id) || asked.never.has(food.id))
      .map(({ id }) => id),
  );
  const passed = problem.limits.filter((limit) => figures[limitProperty(limit)].value > limit.most);
  const opened = new Set<Role>();
  // What the writer calls optional is left out, and opens nothing.
  for (const line of problem.lines) if (banned.has(line.id) && !line.optional) opened.add(line.role);
  for (const limit of passed) for (const role of ROLES_TOUCHED[limit.id]) opened.add(role);
  for (const { id, grams, role } of problem.lines) if (grams > (asked.lineMost.get(id) ?? Infinity)) opened.add(role);
  for (const food of asked.goesIn.keys()) for (const role of rolesOf(food, problem)) opened.add(role);
  for (const goal of asked.goals) {
    const value = figures[goalProperty(goal.goal, problem)].value;
    const [least, most] = goalBounds(goal, value, problem);
    if (value < least || value > most) for (const role of rolesOfGoal(goal.goal, problem)) opened.add(role);
  }
  if (asked.mostCost !== null) for (const role of dearRoles(problem, asked.mostCost)) opened.add(role);
  return { opened, banned, passed, recipeFigures: figures };
}

/** Whether a food may enter a version of this table: anything less than allowed stays out. */
export function mayEnter(food: Food, { rules, takesAsked, wishes }: Pick<AdaptationProblem, "rules" | "takesAsked" | "wishes">): boolean {
  const asked = wishes.find((wish) => "food" in wish && wish.food === food.id);
  if (asked?.kind === "food never") return false;
  const verdict = strictestVerdict(food, rules);
  return verdict === "allowed" || ((takesAsked === true || asked !== undefined) && verdict === "ask");
}
