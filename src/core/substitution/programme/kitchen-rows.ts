import { INDEX } from "../../food";
import { freeOilPerGram } from "../../models/texture";
import type { Archetype } from "../../recipe";
import { bodyRowPerGram, polyolsPerGram, sugarsPerGram } from "../coefficients";
import { leadPerGram, oilHeldPerGram, pouredOilPerGram } from "../lead";
import { ISOLATES, isMilk, isPiece, type Slot } from "../slots";
import { sum, used, type Programme } from "./programme";

/** How many foods may stand in a role that has no more of its own. */
const MOST_OF_ROLE: Readonly<Record<string, number>> = { liquid: 2, richness: 2, sweetener: 3, bulk: 2, thickener: 2 };
const MOST_NEW = 6;
const NEEDED_ROLES = ["liquid", "sweetener", "body", "richness", "crunch", "setting"] as const;

const ofRole = (role: string) => (slot: Slot) => slot.role === role && slot.food.id !== "water";

const TAKES_WATER: readonly Archetype[] = ["flour halwa", "pulse halwa"];

/** How many foods stand in a role, and how many are new. */
export function countRows(programme: Programme): void {
  const { builder, problem, opening, all } = programme;
  for (const role of new Set(all.map((slot) => slot.role))) {
    const own = problem.lines.filter((line) => line.role === role && line.food.id !== "water").length;
    builder.row(`count_${role}`, 0, Math.max(MOST_OF_ROLE[role] ?? 1, own), used(programme, ofRole(role)));
  }
  for (const role of NEEDED_ROLES) {
    // A halwa takes water where no milk fits; only what is set needs something that sets.
    if ((role === "liquid" && TAKES_WATER.includes(problem.archetype)) || (role === "setting" && problem.archetype !== "set pudding")) continue;
    const needed = problem.lines.some((line) => line.role === role && line.food.id !== "water" && !line.optional);
    const terms = used(programme, ofRole(role));
    if (needed && opening.opened.has(role) && (terms.length > 0 || role !== "crunch")) builder.row(`needed_${role}`, 1, Infinity, terms);
  }
  const isNew = (slot: Slot): boolean => slot.source === null && slot.food.id !== "water";
  builder.row("new", 0, MOST_NEW, used(programme, isNew));
}

/** What makes a sweet what it is stays: no role that leads it falls below half of what it was. */
export function leadRows(programme: Programme): void {
  const { builder, targets } = programme;
  for (const [role, grams] of targets.lead) {
    if (grams <= 0) continue;
    const terms = sum(programme, (slot) => (slot.role === role ? leadPerGram(slot) : 0));
    builder.row(`lead_${role}`, LEAST_LEAD * grams, MOST_LEAD * grams, terms);
  }
}
const LEAST_LEAD = 0.5;
const MOST_LEAD = 1.6;

/** What sets stands in for what set: it does so by itself, not only with what thickens beside it. */
export function settingRows(programme: Programme): void {
  const { builder, problem, opening, targets } = programme;
  if (problem.archetype !== "set pudding" || !opening.opened.has("setting")) return;
  const whole = Math.max(1e-9, targets.bodyX * targets.serum);
  const terms = sum(programme, (slot) => (slot.role === "setting" ? bodyRowPerGram(slot, problem, targets.gel).thickening / whole : 0));
  builder.row("sets", SETS * targets.setShare, Infinity, terms);
}
/** Of what set the recipe, so much has to be there in another way. */
const SETS = 0.7;

/** No more oil than the flour takes up beside what the recipe leaves free, and not much less fat. */
export function fatRows(programme: Programme): void {
  const { builder, opening, targets } = programme;
  const most = Math.max(1.15 * targets.freeOil, 0.008 * targets.finished);
  const freeOil = sum(programme, pouredOilPerGram);
  builder.row("free_oil", -Infinity, most, freeOil);
  // A new fat is taken up by the flour, however much of its own the recipe leaves free.
  if (targets.oilHeld > 0) {
    const fresh = sum(programme, ({ source, role, food }) => (source === null && role === "richness" ? freeOilPerGram(food, food.per100g) : 0));
    builder.row("oil_held", -Infinity, 0, [...fresh, ...sum(programme, (slot) => -oilHeldPerGram(slot))]);
  }
  const fat = sum(programme, ({ food }) => (food.per100g[INDEX.fat] ?? 0) / 100);
  if (opening.opened.has("richness")) builder.row("fat_kept", 0.5 * targets.fat, Infinity, fat);
}

/** A gram of it makes a pudding so much thinner, or bears so much more water. */
function dilutionOf(slot: Slot): number {
  const { food, role } = slot;
  if (food.id === "water") return 1;
  if (food.id.startsWith("coconut-milk")) return -2.2;
  if (role === "bulk" && (food.family === "nut" || food.family === "oilseed")) return -3;
  return isMilk(slot) && food.origin === "plant" ? -0.3 : 0;
}

/** What is made of milk is not watered down. */
const OF_MILK: readonly Archetype[] = ["pudding", "set pudding", "frozen", "sauce", "vegetable halwa"];
const isPlainMilk = (slot: Slot) => isMilk(slot) && !slot.food.id.startsWith("coconut");

/** Milks stay milks: not watered down, not gone, and of two none in a trace. */
export function milkRows(programme: Programme): void {
  const { builder, problem, opening, targets, all, x, y } = programme;
  if (OF_MILK.includes(problem.archetype) && targets.milk > 0) builder.row("dilution", -Infinity, targets.water, sum(programme, dilutionOf));
  if (!opening.opened.has("liquid") || targets.milk <= 0 || TAKES_WATER.includes(problem.archetype)) return;
  const milk = sum(programme, (slot) => (isMilk(slot) ? 1 : 0));
  builder.row("milk_kept", 0.45 * targets.milk, Infinity, milk);
  const big = 0.35 * 2 * targets.finished;
  for (const [i, slot] of all.entries()) {
    if (!isPlainMilk(slot)) continue;
    const plain = sum(programme, (each) => (isPlainMilk(each) ? 1 : 0), -0.35);
    builder.row(`share_${slot.key}`, -big, Infinity, [[x[i] ?? 0, 1], ...plain, [y[i] ?? 0, -big]]);
  }
}

/** Pieces stay, and garnish about as much as it was. */
export function pieceRows(programme: Programme): void {
  const { builder, problem, opening, targets, all } = programme;
  const pieces = sum(programme, ({ food, role }) => (isPiece(food, role) ? 1 : 0));
  if (targets.pieces > 0) builder.row("pieces_kept", 0.75 * targets.pieces, Infinity, pieces);
  if (targets.crunch <= 0 || !opening.opened.has("crunch") || !all.some(({ role }) => role === "crunch")) return;
  const optional = problem.lines.every((line) => line.role !== "crunch" || line.optional);
  const crunch = sum(programme, ({ role }) => (role === "crunch" ? 1 : 0));
  builder.row("garnish", optional ? 0 : 0.5 * targets.crunch, 1.3 * targets.crunch, crunch);
}

/** Not so much of what a body bears only little of. */
export function moderationRows(programme: Programme): void {
  const { builder, problem, targets } = programme;
  builder.row("polyols", -Infinity, MOST_POLYOLS * problem.servings, sum(programme, polyolsPerGram));
  builder.row(
    "allulose",
    -Infinity,
    MOST_ALLULOSE * problem.servings,
    sum(programme, ({ food }) => (food.per100g[INDEX.allulose] ?? 0) / 100),
  );
  const isolates = sum(programme, (slot) => (slot.source === null && ISOLATES.includes(slot.food.id) ? 1 : 0));
  builder.row("isolates", -Infinity, (MOST_ISOLATES[problem.archetype] ?? 0.08) * targets.finished, isolates);
  builder.row("sugars", -Infinity, 1.1 * targets.sugars + 0.01 * targets.finished, sum(programme, sugarsPerGram));
  const sodium = sum(programme, ({ food }) => (food.per100g[INDEX.sodium] ?? 0) / 100);
  builder.row("sodium_kept", -Infinity, targets.sodium + 0.5 * targets.finished, sodium);
}
/** At one sitting, g: a rule of thumb for a grown eater. */
const MOST_POLYOLS = 10;
/** The same of allulose: 0.4 g for each kg of somebody of 60 kg. */
const MOST_ALLULOSE = 24;
/** All isolates together have one cap, a share of the sweet. */
const MOST_ISOLATES: Readonly<Partial<Record<Archetype, number>>> = { ladoo: 0.16, barfi: 0.14, "loose mix": 0.12, "fruit-bound": 0.08 };
