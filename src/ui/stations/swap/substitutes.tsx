"use client";

import { useEffect, useMemo } from "react";
import type { Food } from "../../../core/food";
import { findings, judge } from "../../../core/models/diet";
import { evaluatePoint, type EvaluationInput, type Figures, type PropertyId } from "../../../core/evaluate";
import { groundOf, type BenchState } from "../../../core/adaptation";
import { kitchenMeasure, type ReadRecipe } from "../../../core/recipe";
import { beamReadings, limitFindings, ratioSwap, type AdaptationProblem, type BeamReading, type VersionRow, versionInput } from "../../../core/substitution";
import type { DiningTable } from "../../../core/table";
import { formatChange, formatGrams, weighable } from "../../../core/units";
import { useKitchen } from "../../shell/use-kitchen";
import { Beam } from "../../parts/beam";
import { FoodPicker } from "../../parts/food-picker";
import { WhyMark, stateColour } from "../../parts/marks";
import { setFood } from "./bench-state";

interface SubstitutesProps {
  readonly row: VersionRow;
  readonly index: number;
  readonly state: BenchState;
  readonly read: ReadRecipe;
  readonly table: DiningTable;
  readonly problem: AdaptationProblem;
  readonly recipeFigures: Figures;
  readonly onTake: (food: Food, grams: number) => void;
  /** Called with the beams of the option that is pointed at or focused; null when none is. */
  readonly onLook: (beams: readonly BeamReading[] | null) => void;
}

interface Option {
  readonly food: Food;
  readonly grams: number;
  readonly keeps: string;
  readonly water: number;
  readonly beams: readonly BeamReading[];
  readonly off: number;
}

const MOST_OPTIONS = 5;
const OPTION = "sm:grid-cols-[18px_minmax(0,1fr)_118px_auto] gap-x-3";
const BEAMS = "grid grid-cols-5 w-full sm:w-[400px]";
const shortName = (name: string) => (name.split(",")[0] ?? name).replace("Free sugars", "Sugars");

/** The open line: foods that could stand here, ranked, with amounts by ratio and what each would do; impossible ones last. */
export function Substitutes({ row, index, state, read, table, problem, recipeFigures, onTake, onLook }: SubstitutesProps) {
  const kitchen = useKitchen();
  useEffect(() => () => onLook(null), [onLook]);
  const from = useMemo(() => {
    if (row.food) return { food: row.food, grams: row.grams };
    const source = problem.lines.find((line) => line.id === row.line);
    return source ? { food: source.food, grams: source.grams } : null;
  }, [row, problem]);

  const { options, refused } = useMemo(() => {
    const possible: Option[] = [];
    const not: { food: Food; why: string }[] = [];
    if (!from) return { options: possible, refused: not };
    const { constants } = problem.reference;
    for (const candidate of problem.tables.candidates) {
      const food = problem.reference.foods.get(candidate.foodId);
      if (!food || candidate.role !== row.role || !candidate.archetypes.includes(problem.archetype) || food.id === row.food?.id) continue;
      const rule = problem.rules.find((each) => judge(food, each).verdict !== "allowed");
      if (rule) {
        not.push({ food, why: rule.short });
        continue;
      }
      const swap = ratioSwap(from.food, from.grams, food, row.role, table.serve, constants);
      if (!swap) continue;
      if (swap.grams > (candidate.most * recipeFigures.yield.value) / 100 || state.version.rows.some((each) => each.food?.id === food.id)) continue;
      const grams = weighable(swap.grams);
      const input: EvaluationInput = versionInput(setFood(state, index, food, grams, "").version, groundOf(read, table));
      const beams = beamReadings(recipeFigures, evaluatePoint(input, constants), problem.limits, table.serve, constants);
      const off = beams.reduce(
        (sum, { deviation }) =>
          sum + (deviation.state === "outside" ? 1 : 0) + (deviation.wedge > 0 ? Math.min(2, Math.abs(deviation.relative) / deviation.wedge) / 4 : 0),
        0,
      );
      possible.push({ food, grams, keeps: swap.keeps, water: swap.water, beams, off: off + candidate.affinity / 4 });
    }
    return { options: possible.sort((a, b) => a.off - b.off).slice(0, MOST_OPTIONS), refused: not };
  }, [from, problem, row, table, state, index, read, recipeFigures]);

  // What the line as handed down breaks, with the reasons.
  const reasons = useMemo(() => {
    const source = problem.lines.find((line) => line.id === row.line);
    if (!source) return [];
    return [
      ...findings([{ line: source.id, food: source.food, text: "" }], problem.rules),
      ...limitFindings(problem).filter((finding) => finding.line === source.id),
    ];
  }, [problem, row.line]);

  const served: readonly PropertyId[] = [
    ...(table.serve === "hot" ? (["sweetness.hot", "body.hot"] as const) : (["sweetness.chilled", "body.chilled"] as const)),
    "richness",
    "serving.freeSugarsUk",
    "serving.freeSugarsWho",
    "serving.energy",
  ];
  const shown = (beam: BeamReading) => served.includes(beam.id);
  return (
    <div className="border-l-4 border-saffron-fill px-3 py-2 bg-sheet">
      {reasons.length > 0 && (
        <ul className="t-small pb-1.5">
          {reasons.map((finding) => (
            <li key={finding.rule} className="flex items-center gap-1.5">
              <WhyMark kind={finding.verdict === "ask" ? "ask" : "conflict"} />
              {finding.ruleName}: {finding.reason}.
            </li>
          ))}
        </ul>
      )}
      {options.length > 0 && (
        <>
          <div className={`hidden sm:grid ${OPTION} t-small text-ink2 border-b border-ink pb-0.5`} aria-hidden="true">
            <span />
            <span>ranked for this table</span>
            <span>amount, by one ratio</span>
            <span className={BEAMS}>
              {options[0]?.beams.filter(shown).map((beam) => (
                <span key={beam.id} className="text-center">
                  {shortName(beam.name)}
                </span>
              ))}
            </span>
          </div>
          <ol aria-label="What could stand here">
            {options.map(({ food, grams, keeps, water, beams }, rank) => (
              <li key={food.id} className="border-b border-line">
                <button
                  type="button"
                  onClick={() => onTake(food, grams)}
                  onPointerEnter={() => onLook(beams)}
                  onPointerLeave={() => onLook(null)}
                  onFocus={() => onLook(beams)}
                  onBlur={() => onLook(null)}
                  className={`w-full text-left grid grid-cols-[18px_minmax(0,1fr)_auto] ${OPTION} gap-y-1 items-center py-1 hover:bg-pressed`}
                >
                  <span className="t-figure text-ink2">{rank + 1}</span>
                  <span className="t-new min-w-0">{food.name}</span>
                  <span className="t-figure">
                    <span className="t-frac">{kitchenMeasure(food, grams, read.measures)?.text ?? "weighed"}</span>, {formatGrams(grams)} g
                    <span className="block t-small text-ink2">
                      {keeps}
                      {Math.abs(water) >= 5 && `, ${water > 0 ? "+" : "−"}${formatGrams(Math.abs(water))} g water`}
                    </span>
                  </span>
                  <span className={`col-span-3 sm:col-span-1 ${BEAMS}`}>
                    {beams.filter(shown).map((beam) => (
                      <span key={beam.id} className="grid justify-items-center">
                        <span className="sm:hidden t-small text-ink2">{shortName(beam.name)}</span>
                        <Beam deviation={beam.deviation} label={null} small />
                        <span className={`t-small tabular-nums leading-none ${stateColour(beam.deviation.state)}`}>
                          <span className="sr-only">{beam.name} </span>
                          {formatChange(beam.deviation.relative)}
                          {beam.deviation.state === "outside" && <span className="sr-only">, outside</span>}
                        </span>
                      </span>
                    ))}
                  </span>
                </button>
              </li>
            ))}
          </ol>
        </>
      )}
      {refused.length > 0 && (
        <p className="t-small flex flex-wrap gap-x-3 gap-y-0.5 py-1">
          <span className="text-rose flex items-center gap-1">
            <WhyMark kind="conflict" />
            Not at this table
          </span>
          {refused.map(({ food, why }) => (
            <span key={food.id}>
              <s>{food.name}</s> <span className="text-ink2">{why}</span>
            </span>
          ))}
        </p>
      )}
      <div className="max-w-80 py-1">
        <FoodPicker
          label="Any other food"
          context={kitchen.reading}
          note={(food) => {
            const rule = problem.rules.find((each) => judge(food, each).verdict !== "allowed");
            return rule ? `${judge(food, rule).verdict === "ask" ? "to ask" : "breaks"}: ${rule.short}` : null;
          }}
          onPick={(food) => {
            const swap = from ? ratioSwap(from.food, from.grams, food, row.role, table.serve, problem.reference.constants) : null;
            onTake(food, swap ? Math.round(swap.grams * 10) / 10 : (from?.grams ?? 10));
          }}
        />
      </div>
    </div>
  );
}
