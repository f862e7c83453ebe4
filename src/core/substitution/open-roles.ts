import type { Food, Role } from "../food";
import { strictestVerdict } from "../models/diet";
import type { LineId } from "../recipe";
import { evaluate, type Figures, type KeptPropertyId } from "../evaluate";
import type { AdaptationProblem } from "./problem";
import type { Limit, LimitId } from "../table";

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

export interface Opening {
  /** Roles whose foods may be exchanged, because a line is banned or a limit is passed. */
  readonly opened: ReadonlySet<Role>;
  /** Lines that a rule avoids. */
  readonly banned: ReadonlySet<LineId>;
  readonly passed: readonly Limit[];
  readonly recipeFigures: Figures;
}

/** What has to give way: banned lines, and roles that a passed limit touches. Nothing else is opened. */
export function openRoles(problem: AdaptationProblem): Opening {
  const { figures } = evaluate(problem, problem.reference.constants);
  const banned = new Set(problem.lines.filter((line) => strictestVerdict(line.food, problem.rules) === "avoid").map((line) => line.id));
  const passed = problem.limits.filter((limit) => figures[limitProperty(limit)].value > limit.most);
  const opened = new Set<Role>();
  // What the writer calls optional is left out, and opens nothing.
  for (const line of problem.lines) if (banned.has(line.id) && !line.optional) opened.add(line.role);
  for (const limit of passed) for (const role of ROLES_TOUCHED[limit.id]) opened.add(role);
  return { opened, banned, passed, recipeFigures: figures };
}

/** Whether a food may enter a version of this table: anything less than allowed stays out. */
export function mayEnter(food: Food, { rules, takesAsked }: Pick<AdaptationProblem, "rules" | "takesAsked">): boolean {
  const verdict = strictestVerdict(food, rules);
  return verdict === "allowed" || (takesAsked === true && verdict === "ask");
}
