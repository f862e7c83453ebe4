"use client";

import { useEffect, useState } from "react";
import type { StoredBench } from "../../../core/adaptation";
import type { LineId, Recipe } from "../../../core/recipe";
import type { BeamReading } from "../../../core/substitution";
import type { DiningTable } from "../../../core/table";
import { formatChange, formatGrams } from "../../../core/units";
import type { NamedFood, SubstitutesView } from "../../../core/views";
import { FoodPicker } from "../../panels/food-picker";
import { Beam } from "../../parts/beam";
import { WhyMark, stateColour } from "../../parts/marks";
import { why as whyOf } from "../../parts/send";
import { useCompute } from "../../shell/computer";
import { failed } from "../../shell/messages";

interface SubstitutesProps {
  /** The open row, by its id. */
  readonly row: LineId;
  readonly recipe: Recipe;
  readonly table: DiningTable;
  readonly bench: StoredBench;
  readonly onTake: (food: Pick<NamedFood, "id">, grams: number) => void;
  /** Called with the beams of the option that is pointed at or focused; null when none is. */
  readonly onLook: (beams: readonly BeamReading[] | null) => void;
}

const OPTION = "sm:grid-cols-[18px_minmax(0,1fr)_118px_auto] gap-x-3";
const BEAMS = "grid grid-cols-5 w-full sm:w-[400px]";
const shortName = (name: string) => (name.split(",")[0] ?? name).replace("Free sugars", "Sugars");

/** The open line: foods that could stand here, ranked, with amounts by ratio and what each would do; impossible ones last. */
export function Substitutes({ row, recipe, table, bench, onTake, onLook }: SubstitutesProps) {
  const compute = useCompute();
  const [told, setTold] = useState<SubstitutesView | { readonly why: string } | null>(null);
  useEffect(() => () => onLook(null), [onLook]);
  useEffect(() => {
    let isLeft = false;
    compute("substitutes", { row, recipe, table, bench })
      .then((view) => !isLeft && setTold(view))
      .catch((error: unknown) => !isLeft && setTold({ why: whyOf(error, "What could stand here could not be worked out.") }));
    return () => void (isLeft = true);
  }, [row, recipe, table, bench, compute]);
  /** A food that was found by its name, in the amount that does for what stands here. */
  const take = (food: NamedFood) =>
    void compute("exchange grams", { row, recipe, table, bench, food: food.id })
      .then((grams) => {
        if (grams !== null) onTake(food, grams);
      })
      .catch((error: unknown) => failed(whyOf(error, "Its amount could not be worked out."), () => take(food)));
  if (!told || "why" in told)
    return (
      <div className="border-l-4 border-saffron-fill px-3 py-2 bg-sheet">
        <p role={told ? "alert" : "status"} className={`t-ledger ${told ? "text-rose" : "text-ink2"}`}>
          {told ? told.why : "Working out what could stand here …"}
        </p>
      </div>
    );
  const { reasons, options, refused } = told;
  const shown = (beam: BeamReading) => told.shown.includes(beam.id);
  return (
    <div className="border-l-4 border-saffron-fill px-3 py-2 bg-sheet">
      {reasons.length > 0 && (
        <ul className="t-small pb-1.5">
          {reasons.map(({ rule, ruleName, isAsked, reason }) => (
            <li key={rule} className="flex items-center gap-1.5">
              <WhyMark kind={isAsked ? "ask" : "conflict"} />
              {ruleName}: {reason}.
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
            {options.map(({ food, isNamed, grams, measure, keeps, water, beams }, rank) => (
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
                  <span className="t-new min-w-0">
                    {food.name}
                    {isNamed && <span className="block t-small text-ink2 font-normal">named in the recipe</span>}
                  </span>
                  <span className="t-figure">
                    <span className="t-frac">{measure}</span>, {formatGrams(grams)} g
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
        <FoodPicker label="Any other food" table={table} onPick={take} />
      </div>
    </div>
  );
}
