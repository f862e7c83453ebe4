import { bodyPerGram, cooledState, limitPerGram, propertyPerGram } from "./coefficients";
import { ModelBuilder, type LinearModel } from "./model";
import type { Opening } from "./open-roles";
import type { AdaptationProblem } from "./problem";
import type { Limit } from "../table";
import { clashRows, diversityRows, kitchenRows } from "./rows";
import type { Run } from "./run";
import { slots, type Slot } from "./slots";
import type { Targets } from "./targets";

export interface Built {
  readonly model: LinearModel;
  readonly slots: readonly Slot[];
  readonly x: readonly number[];
  readonly y: readonly number[];
  readonly e: number;
}

const MASS_FLOAT = 0.05;
/** How much of a food's affinity is charged again by its share of the sweet. */
const DOSE_SHARE = 6;
const STEVIA_SEGMENTS: readonly (readonly [width: number, slope: number])[] = [
  [1.2e-4, 312.5],
  [1.8e-4, 125],
  [3e-4, 50],
];
const REB_A_SHARE = 0.96;

/** Builds the mixed-integer programme of one run: columns for grams and use, rows for what must hold, costs for what should. */
export function build(problem: AdaptationProblem, opening: Opening, targets: Targets, run: Run): Built {
  const builder = new ModelBuilder();
  const { finished } = targets;
  const all = slots(problem, opening, finished);
  const settle = run.minimised === null ? 1 : 0.001;

  const dairyLeaves =
    problem.lines.some((line) => opening.banned.has(line.id) && line.role === "liquid" && line.food.origin === "dairy") && problem.archetype === "pudding";
  const [lowShare, highShare] = dairyLeaves ? [0.25, 0.6] : [0.8, 1.1];
  const bounds = [targets.evaporation * lowShare, targets.evaporation * highShare] as const;
  const e = builder.column("e", Math.min(...bounds), Math.max(...bounds));

  const x: number[] = [];
  const y: number[] = [];
  for (const slot of all) {
    const fixed = run.fixed.get(slot.key);
    const used = run.used?.has(slot.key);
    const dose = slot.source ? 0 : (DOSE_SHARE * Math.max(0, slot.affinity)) / finished;
    const must = !slot.optional || (slot.locked && !slot.source?.optional);
    const most = used === false ? 0 : slot.most;
    x.push(builder.column(`x_${slot.key}`, fixed ?? 0, fixed ?? most, dose * settle));
    const novelty = slot.source
      ? slot.locked
        ? 0
        : slot.food.id === "water"
          ? 0
          : -0.5
      : (slot.food.id === "water" ? 0.1 : run.noveltyWeight) + slot.affinity;
    const [low, high] = used === undefined ? [must && slot.food.id !== "water" ? 1 : 0, 1] : used ? [1, 1] : [0, 0];
    y.push(builder.column(`y_${slot.key}`, low, high, novelty * settle, run.used === null));
  }
  const columnX = (i: number) => x[i] ?? 0;
  const columnY = (i: number) => y[i] ?? 0;
  const sum = (per: (slot: Slot) => number, factor = 1): [number, number][] =>
    all.flatMap((slot, i) => {
      const value = per(slot) * factor;
      return value === 0 ? [] : [[columnX(i), value] as [number, number]];
    });
  const massTerms = (factor: number): [number, number][] => [...sum(() => 1, factor), [e, -factor]];

  for (const [i, slot] of all.entries()) {
    if (run.fixed.has(slot.key)) continue;
    builder.row(`most_${slot.key}`, -Infinity, 0, [
      [columnX(i), 1],
      [columnY(i), -slot.most],
    ]);
    if (slot.least > 0)
      builder.row(`least_${slot.key}`, 0, Infinity, [
        [columnX(i), 1],
        [columnY(i), -leastOf(slot, targets)],
      ]);
    if (slot.locked && slot.source && slot.source.grams > 0) {
      const up = builder.column(`up_${slot.key}`, 0, Infinity, (3 * settle) / slot.source.grams);
      const down = builder.column(`down_${slot.key}`, 0, Infinity, (3 * settle) / slot.source.grams);
      builder.row(`moved_${slot.key}`, 0, 0, [
        [columnX(i), 1],
        [columnY(i), -slot.source.grams],
        [up, -1],
        [down, 1],
      ]);
    }
  }

  // Finished mass floats, at a small cost.
  builder.row("mass", finished * (1 - MASS_FLOAT), finished * (1 + MASS_FLOAT), massTerms(1));
  const [massUp, massDown] = [
    builder.column("mass_up", 0, Infinity, (60 * settle) / finished),
    builder.column("mass_down", 0, Infinity, (60 * settle) / finished),
  ];
  builder.row("mass_moved", finished, finished, [...massTerms(1), [massUp, -1], [massDown, 1]]);

  // Closeness, property by property, in three slopes.
  const deviation = (name: string, weight: number): [number, number][] =>
    (["over", "under"] as const).flatMap((side) => {
      const sign = side === "over" ? -1 : 1;
      return (
        [
          [0.3, 1],
          [1, 1],
          [3, Infinity],
        ] as const
      ).map(([slope, width], k) => [builder.column(`${name}_${side}${k}`, 0, width, slope * weight * settle), sign] as [number, number]);
    });
  const stevia = steviaTerms(builder, all, columnX, run, finished);
  for (const { property, band, weight } of problem.tables.profiles.get(problem.archetype)?.bands ?? []) {
    const floor = problem.tables.floors[property] ?? 1;
    if (property === "body") {
      const width = Math.max(band * targets.bodyX, floor) * targets.serum;
      builder.row("body", 0, 0, [...bodyTerms(problem, all, columnX, e, targets.bodyX, run.proteinRatio), ...scaled(deviation("body", weight), width)]);
      continue;
    }
    const factor = property === "sweetness" ? run.sweetnessFactor : 1;
    const target = (targets.perGram.get(property) ?? 0) * factor;
    const width = Math.max(band * target, floor / 100) * finished;
    const terms = [
      ...sum((slot) => propertyPerGram(slot, property, problem)),
      ...(property === "water" ? [[e, -1] as [number, number]] : []),
      ...(property === "sweetness" ? stevia : []),
    ];
    builder.row(property, 0, 0, [...terms, ...massTerms(-target), ...scaled(deviation(property, weight), width)]);
    if (property === "sweetness" && target > 0.005) {
      builder.row("sweet_enough", 0, Infinity, [...terms, ...massTerms(-0.76 * (targets.perGram.get(property) ?? 0))]);
      builder.row("not_too_sweet", -Infinity, 0, [...terms, ...massTerms(-1.24 * (targets.perGram.get(property) ?? 0))]);
    }
  }

  for (const limit of problem.limits) {
    const terms = sum((slot) => limitPerGram(slot, limit, problem));
    if (run.minimised?.id === limit.id) {
      const value = builder.column("minimised", 0, Infinity, 1 / Math.max(1e-6, problem.servings * Math.max(limit.most, 0.1)));
      builder.row("minimised_row", 0, 0, [...terms, [value, -1]]);
    } else if (!run.without.has(limit.id)) builder.row(`limit_${limit.id}`, -Infinity, limit.most * problem.servings, terms);
  }
  if (run.freeSugarWeight > 0) {
    const limit: Limit = problem.limits.find((each) => each.id === "freeSugars") ?? { id: "freeSugars", most: 0, school: "uk" };
    const own = problem.lines.reduce((total, line) => total + line.grams * limitPerGram(line, limit, problem), 0);
    if (own > 0)
      builder.row("free_sugars_cost", 0, 0, [
        ...sum((slot) => limitPerGram(slot, limit, problem)),
        [builder.column("free_sugars", 0, Infinity, (run.freeSugarWeight * 10) / own), -1],
      ]);
  }

  kitchenRows(builder, problem, opening, targets, all, columnX, columnY, sum);
  clashRows(builder, problem, all, columnY, settle);
  diversityRows(builder, opening, all, columnY, run);
  return { model: builder.build(), slots: all, x, y, e };
}

const scaled = (terms: readonly [number, number][], factor: number) => terms.map(([column, value]) => [column, value * factor] as [number, number]);
const leastOf = (slot: Slot, targets: Targets) => (slot.role === "crunch" && !slot.source ? Math.min(slot.least, 0.5 * targets.crunch) : slot.least);

/** X·V − X*·V of the sweet, with protein²/serum linearised at `ratio` = P/V: P²/V ≈ 2·ratio·P − ratio²·V. */
function bodyTerms(
  problem: AdaptationProblem,
  all: readonly Slot[],
  columnX: (i: number) => number,
  e: number,
  targetX: number,
  ratio: number,
): [number, number][] {
  const { protein, proteinChilled } = problem.reference.constants.body.value;
  const square = protein * (cooledState(problem) === "chilled" ? proteinChilled : 1) * 10_000;
  const perSerum = -square * ratio * ratio - targetX;
  const terms = all.map((slot, i): [number, number] => {
    const part = bodyPerGram(slot, problem);
    return [columnX(i), part.thickening + square * 2 * ratio * part.protein + perSerum * part.serum];
  });
  return [...terms, [e, -perSerum]];
}

/** Segments of a saturating sweetener, filled in order by binaries; returns its part of the sweetness row. */
function steviaTerms(builder: ModelBuilder, all: readonly Slot[], columnX: (i: number) => number, run: Run, finished: number): [number, number][] {
  const i = all.findIndex((slot) => slot.food.id === "stevia");
  if (i < 0) return [];
  const segments = STEVIA_SEGMENTS.map(([width], k) => builder.column(`stevia_${k}`, 0, (width * finished) / REB_A_SHARE));
  builder.row("stevia_sum", 0, 0, [[columnX(i), 1], ...segments.map((segment) => [segment, -1] as [number, number])]);
  for (let k = 1; k < segments.length; k++) {
    const full = ((STEVIA_SEGMENTS[k - 1]?.[0] ?? 0) * finished) / REB_A_SHARE;
    const room = ((STEVIA_SEGMENTS[k]?.[0] ?? 0) * finished) / REB_A_SHARE;
    const open = builder.binary(`stevia_open_${k}`);
    builder.row(`stevia_full_${k}`, 0, Infinity, [
      [segments[k - 1] ?? 0, 1],
      [open, -full],
    ]);
    builder.row(`stevia_next_${k}`, -Infinity, 0, [
      [segments[k] ?? 0, 1],
      [open, -room],
    ]);
  }
  return segments.map((segment, k) => [segment, (STEVIA_SEGMENTS[k]?.[1] ?? 0) * REB_A_SHARE]);
}
