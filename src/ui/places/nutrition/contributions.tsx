"use client";

import { lazy, Suspense } from "react";
import { describeRow, type Basis, type NutritionProfile, type NutritionRowId } from "../../../core/nutrition";
import { formatGrams, formatToSpread, inEnergyUnit, type HouseholdUnits } from "../../../core/units";
import { contributionBars } from "./contribution-bars";
import { ColumnHead, RowHead } from "../../parts/table-heads";

const Chart = lazy(() => import("./contribution-chart"));

interface ContributionsProps {
  readonly id: NutritionRowId;
  readonly basis: Basis;
  readonly before: NutritionProfile;
  readonly after: NutritionProfile | null;
  readonly energy: HouseholdUnits["energy"];
}

/** Where one nutrient comes from, line by line: as stacked bars and as a table. */
export function Contributions({ id, basis, before, after, energy }: ContributionsProps) {
  const { name, unit: coreUnit } = describeRow(id);
  const unit = coreUnit === "kJ" ? energy : coreUnit;
  const by = coreUnit === "kJ" ? inEnergyUnit(1, energy) : 1;
  const now = after ?? before;
  const scale = (profile: NutritionProfile) => by * (basis === "whole" ? 1 : basis === "serving" ? 1 / profile.servings : 100 / profile.finishedMass);
  const lines = now.rows.find((row) => row.id === id)?.lines ?? [];
  const told = now.lines
    .map((line, i) => ({ ...line, brings: lines[i] === null || lines[i] === undefined ? null : lines[i] * scale(now) }))
    .filter(({ brings }) => brings === null || Math.abs(brings) > 1e-4)
    .sort((a, b) => (b.brings ?? -1) - (a.brings ?? -1));
  const sum = told.reduce((total, { brings }) => total + (brings ?? 0), 0);
  const bars = contributionBars(id, [
    { title: "as handed down", profile: before, scale: scale(before) },
    ...(after ? [{ title: "for this table", profile: after, scale: scale(after) }] : []),
  ]);
  return (
    <section aria-label={`Where the ${name.toLowerCase()} comes from`} aria-live="polite">
      <h2 className="t-h2">{name}: where it comes from</h2>
      <p className="t-small text-ink2 border-b border-ink pb-1">
        {after ? "for this table" : "as handed down"}, in {basis === "serving" ? "a serving" : basis === "per100g" ? "100 g" : "the whole"}. Choose a row to see
        another.
      </p>
      {bars.parts.length > 0 && (
        <div className="no-print" style={{ height: after ? 150 : 104 }}>
          <Suspense fallback={null}>
            <Chart bars={bars} unit={unit} />
          </Suspense>
        </div>
      )}
      {told.length === 0 ? (
        <p className="t-ledger text-ink2 py-2">None of the lines brings any.</p>
      ) : (
        <table className="w-full t-ledger">
          <thead className="t-small text-ink2">
            <tr className="border-b border-line">
              <ColumnHead className="py-1">line</ColumnHead>
              <ColumnHead right>{unit}</ColumnHead>
              <ColumnHead right className="w-14">
                share
              </ColumnHead>
            </tr>
          </thead>
          <tbody>
            {told.map(({ name: line, grams, source, brings }, i) => (
              <tr key={i} className="border-b border-line align-top">
                <RowHead className="py-1 pr-2">
                  {line}, {formatGrams(grams)} g<span className="block t-small text-ink2">{source}</span>
                </RowHead>
                <td className="text-right t-figure py-1 whitespace-nowrap">
                  {brings === null ? <span className="t-small text-ink2">not known</span> : formatToSpread(brings, brings / 20)}
                </td>
                <td className="text-right t-figure py-1 text-ink2">{brings === null || sum <= 0 ? "" : `${Math.round((brings / sum) * 100)} %`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
