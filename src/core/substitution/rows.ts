import { INDEX } from "../food";
import { freeOilPerGram } from "../models/texture";
import { polyolsPerGram, sugarsPerGram } from "./coefficients";
import type { ModelBuilder } from "./model";
import type { Opening } from "./open-roles";
import type { AdaptationProblem } from "./problem";
import type { Run } from "./run";
import { isMilk, isPiece, type Slot } from "./slots";
import type { Targets } from "./targets";

const MOST_OF_ROLE: Readonly<Record<string, number>> = { liquid: 2, body: 2, richness: 2, sweetener: 3, bulk: 2, thickener: 2, setting: 2 };
const MOST_NEW = 6;
const NEEDED_ROLES = ["liquid", "sweetener", "body", "richness", "crunch", "setting"] as const;

/** What a kitchen would refuse: too many foods in a role, free oil, diluted milk, lost pieces, too much garnish, salt, polyols. */
export function kitchenRows(
  builder: ModelBuilder,
  problem: AdaptationProblem,
  opening: Opening,
  targets: Targets,
  all: readonly Slot[],
  columnX: (i: number) => number,
  columnY: (i: number) => number,
  sum: (per: (slot: Slot) => number, factor?: number) => [number, number][],
): void {
  const used = (test: (slot: Slot) => boolean, factor = 1): [number, number][] =>
    all.flatMap((slot, i) => (test(slot) ? [[columnY(i), factor] as [number, number]] : []));
  const ofRole = (role: string) => (slot: Slot) => slot.role === role && slot.food.id !== "water";
  for (const role of new Set(all.map((slot) => slot.role))) {
    const own = problem.lines.filter((line) => line.role === role && line.food.id !== "water").length;
    builder.row(`count_${role}`, 0, Math.max(MOST_OF_ROLE[role] ?? 1, own), used(ofRole(role)));
  }
  for (const role of NEEDED_ROLES) {
    const needed = problem.lines.some((line) => line.role === role && line.food.id !== "water" && !line.optional);
    const terms = used(ofRole(role));
    if (needed && opening.opened.has(role) && (terms.length > 0 || role !== "crunch")) builder.row(`needed_${role}`, 1, Infinity, terms);
  }
  builder.row(
    "new",
    0,
    MOST_NEW,
    used((slot) => slot.source === null && slot.food.id !== "water"),
  );
  builder.row(
    "free_oil",
    -Infinity,
    Math.max(1.15 * targets.freeOil, 0.008 * targets.finished),
    sum((slot) => freeOilPerGram(slot.food, slot.food.per100g)),
  );
  if (opening.opened.has("richness"))
    builder.row(
      "fat_kept",
      0.5 * targets.fat,
      Infinity,
      sum((slot) => (slot.food.per100g[INDEX.fat] ?? 0) / 100),
    );
  if (problem.archetype === "pudding")
    builder.row(
      "dilution",
      -Infinity,
      targets.water,
      sum((slot) =>
        slot.food.id === "water"
          ? 1
          : slot.food.id.startsWith("coconut-milk")
            ? -2.2
            : slot.role === "bulk" && (slot.food.family === "nut" || slot.food.family === "oilseed")
              ? -3
              : isMilk(slot) && slot.food.origin === "plant"
                ? -0.3
                : 0,
      ),
    );
  const plain = (slot: Slot) => isMilk(slot) && !slot.food.id.startsWith("coconut");
  if (opening.opened.has("liquid") && targets.milk > 0) {
    builder.row(
      "milk_kept",
      0.45 * targets.milk,
      Infinity,
      sum((slot) => (isMilk(slot) ? 1 : 0)),
    );
    const big = 0.35 * 2 * targets.finished;
    for (const [i, slot] of all.entries())
      if (plain(slot)) builder.row(`share_${slot.key}`, -big, Infinity, [[columnX(i), 1], ...sum((each) => (plain(each) ? 1 : 0), -0.35), [columnY(i), -big]]);
  }
  if (targets.pieces > 0)
    builder.row(
      "pieces_kept",
      0.75 * targets.pieces,
      Infinity,
      sum((slot) => (isPiece(slot.food, slot.role) ? 1 : 0)),
    );
  if (targets.crunch > 0 && opening.opened.has("crunch")) {
    const optional = problem.lines.every((line) => line.role !== "crunch" || line.optional);
    const available = all.some((slot) => slot.role === "crunch");
    if (available)
      builder.row(
        "garnish",
        optional ? 0 : 0.5 * targets.crunch,
        1.3 * targets.crunch,
        sum((slot) => (slot.role === "crunch" ? 1 : 0)),
      );
  }
  builder.row("polyols", -Infinity, 12 * problem.servings, sum(polyolsPerGram));
  builder.row("sugars", -Infinity, 1.1 * targets.sugars + 0.01 * targets.finished, sum(sugarsPerGram));
  builder.row(
    "sodium_kept",
    -Infinity,
    targets.sodium + 0.5 * targets.finished,
    sum((slot) => (slot.food.per100g[INDEX.sodium] ?? 0) / 100),
  );
}

export function clashRows(builder: ModelBuilder, problem: AdaptationProblem, all: readonly Slot[], columnY: (i: number) => number, settle: number): void {
  for (const {
    foods: [first, second],
    cost,
  } of problem.tables.clashes)
    for (const [i, a] of all.entries())
      if (a.food.id === first)
        for (const [j, b] of all.entries())
          if (b.food.id === second) {
            const both = builder.column(`clash_${a.key}_${b.key}`, 0, 1, cost * settle);
            builder.row(`clash_row_${a.key}_${b.key}`, -1, Infinity, [
              [both, 1],
              [columnY(i), -1],
              [columnY(j), -1],
            ]);
          }
}

/** Roles in which versions should differ: those opened, but for fat, garnish and thickener unless nothing else is open. */
export function leadRoles(opening: Opening): ReadonlySet<string> {
  const lead = [...opening.opened].filter((role) => !["richness", "crunch", "thickener", "aroma", "colour", "seasoning"].includes(role));
  return new Set(lead.length > 0 ? lead : opening.opened);
}

/** Keeps two exchanges away from versions already found: Hamming distance ≥ 2 on the lead slots. */
export function diversityRows(builder: ModelBuilder, opening: Opening, all: readonly Slot[], columnY: (i: number) => number, run: Run): void {
  const lead = leadRoles(opening);
  run.cuts.forEach((cut, c) => {
    let inside = 0;
    const terms = all.flatMap((slot, i) => {
      if (!lead.has(slot.role) || slot.food.id === "water") return [];
      if (!cut.has(slot.key)) return [[columnY(i), 1] as [number, number]];
      inside++;
      return [[columnY(i), -1] as [number, number]];
    });
    if (terms.length > 1) builder.row(`different_${c}`, 2 - inside, Infinity, terms);
  });
}
