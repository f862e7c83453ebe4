"use client";

import { isEatenFrozen } from "../../../core/evaluate";
import { SERVING_TEMPERATURES } from "../../../core/food";
import type { DiningTable } from "../../../core/table";
import type { ToldFigures } from "../../../core/views";
import { FigureButton } from "../../panels/working";
import { AmountField } from "../../parts/amount-field";

interface YieldLineProps {
  readonly before: ToldFigures;
  readonly after: ToldFigures;
  readonly table: DiningTable;
  /** Water driven off, g. */
  readonly evaporation: number;
  readonly onEvaporation: (grams: number) => void;
  readonly onServe: (serve: DiningTable["serve"]) => void;
}

/** What it comes to, as handed down and for this table, what is driven off, and how it is served. */
export function YieldLine({ before, after, table, evaporation, onEvaporation, onServe }: YieldLineProps) {
  return (
    <div className="border-x border-b border-ink bg-sheet rule-double px-3 py-2 grid sm:grid-cols-[1fr_auto_1fr] gap-2 items-center t-ledger">
      <span>
        <FigureButton figure={before.figures.yield} id="yield" of="as handed down" className="font-[600]!" /> finished
      </span>
      <span className="flex items-center gap-2 text-ink2">
        cooks down by <AmountField label="Water driven off in this version, grams" value={evaporation} onChange={onEvaporation} />
        {isEatenFrozen(before.figures) ? (
          "served frozen"
        ) : (
          <label className="flex items-center gap-2 no-print">
            served
            <select
              value={table.serve}
              onChange={(event) => onServe(event.target.value as DiningTable["serve"])}
              className="border border-edge bg-sheet px-1 min-h-11 md:min-h-7"
            >
              {SERVING_TEMPERATURES.map((serve) => (
                <option key={serve} value={serve}>
                  {serve === "room" ? "at room heat" : serve}
                </option>
              ))}
            </select>
          </label>
        )}
      </span>
      <span className="sm:text-right">
        <FigureButton figure={after.figures.yield} id="yield" of="for this table" className="font-[600]!" /> finished, {table.servings} of{" "}
        <FigureButton figure={after.figures.servingMass} id="servingMass" of="for this table" />
      </span>
    </div>
  );
}
