"use client";

import { foodFacts, nutrientFigure, type Constants, type Food } from "../../../core/food";
import { strengthOf, type Made, type MakingTables, type NamedMass } from "../../../core/making";
import { interval, Z80, type Figure } from "../../../core/numeric";
import { formatGrams, formatToSpread, inEnergyUnit } from "../../../core/units";
import { useHousehold } from "../../shell/household";
import type { MadeFood } from "./maker-model";
import { ColumnHead, RowHead } from "../../parts/table-heads";

/** Solids dark, water silver; what came out beside what is lost. */
const WENT = ["fill-ink", "fill-silver-dark", "fill-silver", "fill-silver-light", "fill-silver", "fill-silver-light"] as const;
const CAME = ["fill-pan", "fill-brass", "fill-sheet", "fill-ground"] as const;
const BAR = 600;

/** What went in over what came out, to one scale: nothing is lost between the two. */
export function MassBars({ made, out }: { readonly made: Made; readonly out: readonly MadeFood[] }) {
  const whole = out.filter(({ part }) => !part.key.startsWith("press"));
  const came: readonly NamedMass[] = [...whole.map(({ part }) => ({ name: part.name.toLowerCase(), grams: part.grams.value })), ...made.away];
  const total = Math.max(
    1,
    made.went.reduce((sum, { grams }) => sum + grams, 0),
    came.reduce((sum, { grams }) => sum + grams, 0),
  );
  return (
    <div className="grid gap-2">
      <Bar title="went in" masses={made.went} total={total} fills={WENT} />
      <Bar title="came out" masses={came} total={total} fills={CAME} />
    </div>
  );
}

function Bar({
  title,
  masses,
  total,
  fills,
}: {
  readonly title: string;
  readonly masses: readonly NamedMass[];
  readonly total: number;
  readonly fills: readonly string[];
}) {
  const startOf = (i: number) => masses.slice(0, i).reduce((sum, { grams }) => sum + (BAR * grams) / total, 0);
  return (
    <div>
      <svg viewBox={`0 0 ${BAR} 16`} preserveAspectRatio="none" className="w-full h-4 block" aria-hidden="true">
        {masses.map(({ name, grams }, i) => {
          return (
            <rect
              key={name}
              x={startOf(i)}
              y="0.500"
              width={(BAR * grams) / total}
              height="15"
              className={`${fills[i % fills.length] ?? ""} stroke-ink`}
              strokeWidth="1"
            />
          );
        })}
      </svg>
      <p className="flex flex-wrap gap-x-4 t-small text-ink2 mt-0.5">
        <span className="w-16">{title}</span>
        {masses.map(({ name, grams }, i) => (
          <span key={name} className="inline-flex items-center gap-1.5">
            <svg width="10" height="10" aria-hidden="true">
              <rect x="0.500" y="0.500" width="9" height="9" className={`${fills[i % fills.length] ?? ""} stroke-ink`} />
            </svg>
            {name} <span className="t-figure text-ink">{formatGrams(grams)} g</span>
          </span>
        ))}
      </p>
    </div>
  );
}

/** A part of the carbohydrate below this many grams is not worth its row. */
const LEAST_SHOWN = 0.05;

interface RowSpec {
  readonly name: string;
  readonly part?: boolean;
  readonly figure: (food: Food) => Figure;
  readonly unit: string;
}

/** Composition of all that comes out, per 100 g, with intervals, and in words how strong a milk is. */
export function MadeTable({
  out,
  constants,
  tables,
  isMilk,
}: {
  readonly out: readonly MadeFood[];
  readonly constants: Constants;
  readonly tables: MakingTables;
  readonly isMilk: boolean;
}) {
  const { energy } = useHousehold().units;
  const rows: readonly RowSpec[] = [
    {
      name: "Energy",
      figure: (food) => {
        const figure = foodFacts(food, constants).energy;
        return { value: inEnergyUnit(figure.value, energy), low: inEnergyUnit(figure.low, energy), high: inEnergyUnit(figure.high, energy) };
      },
      unit: energy,
    },
    { name: "Water", figure: (food) => nutrientFigure(food, "water"), unit: "g" },
    { name: "Fat", figure: (food) => nutrientFigure(food, "fat"), unit: "g" },
    { name: "Protein", figure: (food) => nutrientFigure(food, "protein"), unit: "g" },
    { name: "Available carbohydrate", figure: (food) => nutrientFigure(food, "availableCarbohydrate"), unit: "g" },
    { name: "starch", part: true, figure: (food) => nutrientFigure(food, "starch"), unit: "g" },
    { name: "sugars", part: true, figure: (food) => foodFacts(food, constants).sugars, unit: "g" },
    { name: "Fibre", figure: (food) => foodFacts(food, constants).fibre, unit: "g" },
  ];
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="What comes out of it">
      <table className="w-full t-ledger rule-t">
        <caption className="sr-only">What comes out, with the interval within which 8 of 10 would lie</caption>
        <thead>
          <tr className="border-b border-ink align-bottom">
            <ColumnHead className="t-small text-ink2 py-1">in 100 g</ColumnHead>
            {out.map(({ part }) => (
              <th key={part.key} scope="col" className="text-right font-[560] pl-3">
                {isMilk ? partWords(part.key, out.length) : part.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr className="border-b border-line">
            <RowHead className="py-1.5">It weighs</RowHead>
            {out.map(({ part }) => {
              const { low, high } = interval(part.grams);
              return (
                <td key={part.key} className="text-right pl-3">
                  <span className="t-figure font-[560] whitespace-nowrap">{formatToSpread(part.grams.value, Z80 * part.grams.sd)} g</span>
                  <Range figure={{ value: part.grams.value, low, high }} />
                </td>
              );
            })}
          </tr>
          {isMilk && (
            <tr className="border-b border-line">
              <RowHead className="py-1.5">Strength</RowHead>
              {out.map(({ part }) => (
                <td key={part.key} className="text-right pl-3">
                  {part.key === "pulp" ? <span className="sr-only">none</span> : STRENGTHS[strengthOf(part.contents, tables)]}
                </td>
              ))}
            </tr>
          )}
          {rows
            .filter(({ part: isPart, figure }) => !isPart || out.some(({ food }) => figure(food).high > LEAST_SHOWN))
            .map(({ name, part: isPart, figure, unit }) => (
              <tr key={name} className="border-b border-line">
                <th scope="row" className={`text-left font-[430] py-1.5 ${isPart ? "pl-4 text-ink2" : ""}`}>
                  {name}
                </th>
                {out.map(({ part, food }) => {
                  const shown = figure(food);
                  return (
                    <td key={part.key} className="text-right pl-3">
                      <span className="t-figure whitespace-nowrap">
                        {formatToSpread(shown.value, (shown.high - shown.low) / 2)} {unit}
                      </span>
                      <Range figure={shown} />
                    </td>
                  );
                })}
              </tr>
            ))}
        </tbody>
      </table>
    </div>
  );
}

/** A short head for what a pressing gives: the names stand below. */
const partWords = (key: string, of: number) => (key === "pulp" ? "wet pulp" : key === "milk" ? (of > 2 ? "all the milk" : "milk") : key);

const STRENGTHS = { drinking: "for drinking", cooking: "for cooking", thick: "thick" } as const;

function Range({ figure: { low, high } }: { readonly figure: Figure }) {
  const half = (high - low) / 2;
  return half > 0 ? (
    <span className="block t-small text-ink2 whitespace-nowrap">
      {formatToSpread(low, half)} to {formatToSpread(high, half)}
    </span>
  ) : null;
}
