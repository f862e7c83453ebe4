"use client";

import { memo, useState } from "react";
import type { BenchState } from "../../../core/adaptation";
import { kitchenMeasure } from "../../../core/recipe";
import { rowFindings, type BeamReading, type SourceLine, type VersionRow } from "../../../core/substitution";
import { formatGrams, capital } from "../../../core/units";
import { AmountField } from "../../parts/amount-field";
import { Chevron, WhyMark } from "../../parts/marks";
import { addFood, leaveOut, putBack, setFood, setGrams } from "./bench-state";
import { FoodPicker } from "../../parts/food-picker";
import { useKitchen } from "../../shell/use-kitchen";
import { Substitutes } from "./substitutes";
import type { BenchView } from "./bench-view";

const COLUMNS =
  "md:grid-cols-[minmax(0,1.2fr)_60px_42px_96px_minmax(0,1.35fr)_62px_66px_22px] lg:grid-cols-[minmax(0,1.25fr)_66px_50px_122px_minmax(0,1.35fr)_74px_74px_26px]";

type Change = (next: (present: BenchState) => BenchState, key?: string) => void;

interface LedgerProps {
  readonly view: BenchView;
  readonly state: BenchState;
  readonly onChange: Change;
  /** Tells the beams of a food that is looked at, not taken. */
  readonly onLook: (beams: readonly BeamReading[] | null) => void;
}

/** The ledger: each line as handed down, why it changes, and what stands for it in this version, to be changed by hand. */
export function Ledger({ view, state, onChange, onLook }: LedgerProps) {
  const [open, setOpen] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const kitchen = useKitchen();
  return (
    <section aria-label="The ledger" className="bg-sheet border border-ink">
      <div className={`hidden md:grid ${COLUMNS} gap-x-2 px-3 items-end border-b border-ink h-[30px] pb-1`} aria-hidden="true">
        <span className="t-h2 text-[15px] col-span-2">As handed down</span>
        <span className="t-small text-ink2 text-right">g</span>
        <span className="t-small text-ink2 pl-2">why it changes</span>
        <span className="t-h2 text-[15px] col-span-2">For this table</span>
        <span className="t-small text-ink2 text-right pr-1">g</span>
        <span />
      </div>
      <ul>
        {state.version.rows.map((row, index) => {
          const source = row.line === null ? null : (view.problem.lines.find((line) => line.id === row.line) ?? null);
          const key = row.line === null ? `new${index}` : `line${row.line}`;
          return (
            <LedgerRow
              key={key}
              rowKey={key}
              index={index}
              view={view}
              row={row}
              source={source}
              state={open === key ? state : null}
              onOpen={setOpen}
              onChange={onChange}
              onLook={onLook}
            />
          );
        })}
        <li className="px-3 border-t border-line min-h-[36px] flex items-center no-print">
          {adding ? (
            <div className="py-1 w-80 max-w-full flex gap-3">
              <FoodPicker
                label="Which food?"
                context={kitchen.reading}
                onPick={(food) => {
                  setAdding(false);
                  onChange((present) => addFood(present, food, food.role === "liquid" ? 100 : 10));
                }}
              />
              <button type="button" className="underline t-small" onClick={() => setAdding(false)}>
                Not now
              </button>
            </div>
          ) : (
            <button type="button" className="t-ledger hover:underline min-h-9" onClick={() => setAdding(true)}>
              + Add a food
            </button>
          )}
        </li>
      </ul>
    </section>
  );
}

interface LedgerRowProps {
  readonly rowKey: string;
  readonly index: number;
  readonly view: BenchView;
  readonly row: VersionRow;
  readonly source: SourceLine | null;
  /** The whole bench where this row is open, to try other foods on; else null, so that it is shown anew only when it changed. */
  readonly state: BenchState | null;
  readonly onOpen: (rowKey: string | null) => void;
  readonly onChange: Change;
  readonly onLook: LedgerProps["onLook"];
}

const LedgerRow = memo(function LedgerRow({ rowKey, index, view, row, source, state, onOpen: setOpen, onChange, onLook }: LedgerRowProps) {
  const open = state !== null;
  const onOpen = () => setOpen(open ? null : rowKey);
  const apply = (next: (present: BenchState) => BenchState) => {
    setOpen(null);
    onChange(next);
  };
  const onGrams = (grams: number) => onChange((present) => setGrams(present, index, grams, source?.grams ?? null), `grams ${rowKey}`);
  const reading = row.line === null ? undefined : view.read.byLine.get(row.line);
  const oldName = source ? (reading && "description" in reading && reading.description ? capital(reading.description) : source.food.name) : "";
  const asIs = row.change === "as is";
  const stated = source && reading?.kind === "read" && view.table.servings === view.read.recipe.servings ? reading.measure : "";
  const oldMeasure = source ? stated || kitchenMeasure(source.food, source.grams, view.read.measures)?.text : "";
  const newMeasure = asIs ? oldMeasure : row.food ? kitchenMeasure(row.food, row.grams, view.read.measures)?.text : "";
  const breaks = brokenRule(row, view);
  return (
    <li className={`border-b border-line isolate ${open ? "bg-pressed" : ""}`} data-row={row.line ?? "new"} data-change={row.change}>
      <div className={`grid grid-cols-[minmax(0,1fr)_auto_auto] ${COLUMNS} gap-x-2 px-3 items-center md:min-h-[29px] py-1.5 md:py-0`}>
        <span className="t-ledger text-ink2 md:text-ink leading-tight" title={oldName}>
          {oldName || <span className="md:hidden">Added</span>}
        </span>
        <span className="t-figure text-ink2 text-right t-frac truncate">{oldMeasure}</span>
        <span className="t-figure text-right">{source ? formatGrams(source.grams) : ""}</span>
        <span
          className="order-last md:order-none col-span-3 md:col-span-1 md:bg-ground md:self-stretch md:-my-px flex items-center gap-1.5 md:pl-2 t-small md:max-lg:[font-stretch:80%] min-w-0"
          title={row.why}
        >
          {breaks ? (
            <>
              <WhyMark kind={breaks.ask ? "ask" : "conflict"} />
              <span className="leading-tight text-rose">
                {breaks.ask ? "to ask" : "breaks"}: {breaks.short}
              </span>
            </>
          ) : (
            !asIs &&
            row.change !== "amount" && (
              <>
                <WhyMark kind={row.change} />
                <span className="leading-tight">{row.why}</span>
              </>
            )
          )}
          {!breaks && row.change === "amount" && <span className="leading-tight text-ink2">{row.why}</span>}
        </span>
        <span className="min-w-0 flex items-center">
          <button
            type="button"
            onClick={onOpen}
            aria-expanded={open}
            className={`leading-tight text-left min-h-11 md:min-h-[27px] max-w-full ${row.food && !asIs && row.change !== "amount" ? "t-new" : "t-ledger"}`}
            title={row.food?.name ?? "left out"}
          >
            {row.food ? (
              row.change === "as is" || row.change === "amount" ? (
                <span className={asIs ? "text-ink2" : ""}>{asIs ? "as is" : row.food.name}</span>
              ) : (
                row.food.name
              )
            ) : (
              <span className="text-rose">left out</span>
            )}
          </button>
        </span>
        <span className="t-figure text-ink2 text-right t-frac truncate">{newMeasure}</span>
        <span className="justify-self-end">
          {row.food && (
            <AmountField
              label={`Grams of ${row.food.name} for this table`}
              value={row.grams}
              shownAs={asIs ? formatGrams(row.grams).replace(",", "") : undefined}
              unit=""
              onChange={onGrams}
            />
          )}
        </span>
        <button
          type="button"
          onClick={onOpen}
          aria-label={`${open ? "Close" : "Open"} ${row.food?.name ?? oldName}`}
          className="hidden md:grid w-6 h-6 place-items-center text-ink2 no-print"
        >
          <Chevron open={open} />
        </button>
      </div>
      {state && (
        <>
          <Substitutes
            row={row}
            index={index}
            state={state}
            read={view.read}
            table={view.table}
            problem={view.problem}
            recipeFigures={view.before.figures}
            onLook={onLook}
            onTake={(food, grams) => apply((present) => setFood(present, index, food, grams, "by hand"))}
          />
          <p className="border-l-4 border-saffron-fill px-3 pb-2 flex gap-5 t-small bg-sheet">
            {source && !asIs && (
              <button type="button" className="underline min-h-8" onClick={() => apply((present) => putBack(present, index, source.food, source.grams))}>
                As handed down
              </button>
            )}
            {row.food && (
              <button type="button" className="underline min-h-8" onClick={() => apply((present) => leaveOut(present, index))}>
                {row.line === null ? "Take it away" : "Leave it out"}
              </button>
            )}
            <button type="button" className="underline min-h-8" onClick={onOpen}>
              Close
            </button>
          </p>
        </>
      )}
    </li>
  );
});

/** The gravest of what the rules make of a row. */
function brokenRule(row: VersionRow, { problem }: BenchView): { readonly short: string; readonly ask: boolean } | null {
  const found = rowFindings(problem, row);
  const gravest = found.find(({ verdict }) => verdict === "avoid") ?? found[0];
  return gravest ? { short: gravest.short, ask: gravest.verdict === "ask" } : null;
}
