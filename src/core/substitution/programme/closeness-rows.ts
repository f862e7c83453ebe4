import { bindingPart, propertyPerGram } from "../coefficients";
import type { AdaptationProblem } from "../problem";
import { targetsOf } from "../targets";
import { otherServe } from "../wishes";
import { bodyTerms } from "./body-terms";
import { wantedBody, wantedShare } from "./goal-rows";
import { mass, sum, type Programme, type Term } from "./programme";

const MASS_FLOAT = 0.05;
/** Sweetness may be off by no more than this, as a share, whatever it costs. */
const SWEETNESS_FLOAT = 0.24;
const STEVIA_SEGMENTS: readonly (readonly [width: number, slope: number])[] = [
  [1.2e-4, 312.5],
  [1.8e-4, 125],
  [3e-4, 50],
];
const REB_A_SHARE = 0.96;
/** What being off costs: little near the target, more further out. Slope, and width in bands. */
const SLOPES = [
  [0.3, 1],
  [1, 1],
  [3, Infinity],
] as const;

/** The finished mass floats, at a small cost. */
export function massRows(programme: Programme): void {
  const { builder, settle } = programme;
  const { finished } = programme.targets;
  builder.row("mass", finished * (1 - MASS_FLOAT), finished * (1 + MASS_FLOAT), mass(programme, 1));
  const cost = (60 * settle) / finished;
  const [up, down] = [builder.column("mass_up", 0, Infinity, cost), builder.column("mass_down", 0, Infinity, cost)];
  builder.row("mass_moved", finished, finished, [...mass(programme, 1), [up, -1], [down, 1]]);
}

/** Closeness to the recipe, property by property, as the profile of its kind weighs them. */
export function closenessRows(programme: Programme): void {
  const { builder, problem, targets, run, e } = programme;
  const stevia = steviaTerms(programme);
  for (const { property, band, weight } of problem.tables.profiles.get(problem.archetype)?.bands ?? []) {
    const floor = problem.tables.floors[property] ?? 1;
    if (property === "body") {
      if (run.isGelled) continue;
      const width = Math.max(band * targets.bodyX, floor) * targets.serum;
      const wanted = wantedBody(programme);
      const target = Math.min(Math.max(targets.bodyX, wanted?.[0] ?? 0), wanted?.[1] ?? Infinity);
      builder.row("body", 0, 0, [...bodyTerms(programme, target), ...deviation(programme, "body", weight, width)]);
      continue;
    }
    if (property === "binding") {
      bindingRow(programme, band, weight);
      continue;
    }
    const own = targets.perGram.get(property) ?? 0;
    const wanted = wantedShare(programme, property);
    const target = own * Math.min(Math.max(property === "sweetness" ? run.sweetnessFactor : 1, wanted?.[0] ?? 0), wanted?.[1] ?? Infinity);
    const width = Math.max(band * target, floor / 100) * targets.finished;
    const terms: Term[] = [
      ...sum(programme, (slot) => propertyPerGram(slot, property, problem)),
      ...(property === "water" ? [[e, -1] as Term] : []),
      ...(property === "sweetness" ? stevia : []),
    ];
    builder.row(property, 0, 0, [...terms, ...mass(programme, -target), ...deviation(programme, property, weight, width)]);
    if (property === "sweetness" && target > 0.005) {
      const least = Math.max((1 - SWEETNESS_FLOAT) * (wanted ? target : own), (wanted?.[0] ?? 0) * own);
      const most = Math.min((1 + SWEETNESS_FLOAT) * (wanted ? target : own), (wanted?.[1] ?? Infinity) * own);
      builder.row("sweet_enough", 0, Infinity, [...terms, ...mass(programme, -least)]);
      builder.row("not_too_sweet", -Infinity, 0, [...terms, ...mass(programme, -most)]);
      if (wanted) otherHeatRows(programme, wanted, stevia);
    }
  }
}

/** A sweetness that is asked for holds at the other heat too. */
function otherHeatRows(programme: Programme, [least, most]: readonly [number, number], stevia: readonly Term[]): void {
  const { builder, problem } = programme;
  const at: AdaptationProblem = { ...problem, serve: otherServe(problem) };
  const own = targetsOf(at);
  const share = own.perGram.get("sweetness") ?? 0;
  const terms = [...sum(programme, (slot) => propertyPerGram(slot, "sweetness", at)), ...stevia];
  if (least > 0) builder.row("other_heat_least", 0, Infinity, [...terms, ...mass(programme, -least * share)]);
  if (Number.isFinite(most)) builder.row("other_heat_most", -Infinity, 0, [...terms, ...mass(programme, -most * share)]);
}

/** What binds is to what is bound as in the recipe: supply less its share of the demand comes to nothing. */
function bindingRow(programme: Programme, band: number, weight: number): void {
  const { builder, problem, targets } = programme;
  if (targets.binding <= 0) return;
  const width = Math.max(band, 0.05) * targets.binding * targets.demand;
  const terms = sum(programme, (slot) => bindingPart(slot, targets.binding, problem).off);
  builder.row("binding", 0, 0, [...terms, ...deviation(programme, "binding", weight, width)]);
  // Beyond this it crumbles, or is greasy.
  const ratios = [BINDS.least, BINDS.most].map((times) => times * targets.binding);
  const [least = 0, most = 0] = ratios;
  builder.row(
    "binds",
    0,
    Infinity,
    sum(programme, (slot) => bindingPart(slot, least, problem).off),
  );
  builder.row(
    "not_greasy",
    -Infinity,
    0,
    sum(programme, (slot) => bindingPart(slot, most, problem).off),
  );
}
const BINDS = { least: 0.82, most: 1.25 } as const;

/** How far a property is off, in bands, at three slopes of cost on either side. */
const deviation = ({ builder, settle }: Programme, name: string, weight: number, width: number): Term[] =>
  (["over", "under"] as const).flatMap((side) =>
    SLOPES.map(([slope, bands], k): Term => [builder.column(`${name}_${side}${k}`, 0, bands, slope * weight * settle), side === "over" ? -width : width]),
  );

/** Segments of a saturating sweetener, filled in order by binaries; returns its part of the sweetness row. */
function steviaTerms({ builder, all, x, targets: { finished } }: Programme): Term[] {
  const i = all.findIndex((slot) => slot.food.id === "stevia");
  if (i < 0) return [];
  const segments = STEVIA_SEGMENTS.map(([width], k) => builder.column(`stevia_${k}`, 0, (width * finished) / REB_A_SHARE));
  builder.row("stevia_sum", 0, 0, [[x[i] ?? 0, 1], ...segments.map((segment): Term => [segment, -1])]);
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
