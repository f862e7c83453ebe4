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
          const key = row.id;
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
  const was = handedDown(row, source, view);
  const asIs = row.change === "as is";
  const measure = asIs ? was.measure : row.food ? kitchenMeasure(row.food, row.grams, view.read.measures)?.text : "";
  return (
    <li className={`border-b border-line isolate ${open ? "bg-pressed" : ""}`} data-row={row.line ?? "new"} data-change={row.change}>
      <div className={`grid grid-cols-[minmax(0,1fr)_auto_auto] ${COLUMNS} gap-x-2 px-3 items-center md:min-h-[29px] py-1.5 md:py-0`}>
        <span className="t-ledger text-ink2 md:text-ink leading-tight" title={was.name}>
          {was.name || <span className="md:hidden">Added</span>}
        </span>
        <span className="t-figure text-ink2 text-right t-frac truncate">{was.measure}</span>
        <span className="t-figure text-right">{source ? formatGrams(source.grams) : ""}</span>
        <WhyCell row={row} view={view} />
        <span className="min-w-0 flex items-center">
          <button
            type="button"
            onClick={onOpen}
            aria-expanded={open}
            className={`leading-tight text-left min-h-11 md:min-h-[27px] max-w-full ${isOther(row) ? "t-new" : "t-ledger"}`}
            title={row.food?.name ?? "left out"}
          >
            <FoodWords row={row} />
          </button>
        </span>
        <span className="t-figure text-ink2 text-right t-frac truncate">{measure}</span>
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
          aria-label={`${open ? "Close" : "Open"} ${row.food?.name ?? was.name}`}
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
          <RowTools row={row} index={index} source={source} onApply={apply} onClose={onOpen} />
        </>
      )}
    </li>
  );
});

/** Whether another food than the recipe's stands in a row. */
const isOther = ({ food, change }: VersionRow): boolean => food !== null && change !== "as is" && change !== "amount";

/** What a row was in the recipe: its name, and its amount as written where the servings are the recipe's. */
function handedDown(row: VersionRow, source: SourceLine | null, { read, table }: BenchView): { readonly name: string; readonly measure: string } {
  if (!source) return { name: "", measure: "" };
  const reading = row.line === null ? undefined : read.byLine.get(row.line);
  const described = reading && "description" in reading && reading.description;
  const stated = reading?.kind === "read" && table.servings === read.recipe.servings ? reading.measure : "";
  return {
    name: described ? capital(described) : source.food.name,
    measure: stated || (kitchenMeasure(source.food, source.grams, read.measures)?.text ?? ""),
  };
}

/** Why a row is not as it was, or what it breaks. */
function WhyCell({ row, view }: { readonly row: VersionRow; readonly view: BenchView }) {
  const breaks = brokenRule(row, view);
  return (
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
      ) : row.change === "amount" ? (
        <span className="leading-tight text-ink2">{row.why}</span>
      ) : row.change !== "as is" ? (
        <>
          <WhyMark kind={row.change} />
          <span className="leading-tight">{row.why}</span>
        </>
      ) : null}
    </span>
  );
}

function FoodWords({ row: { food, change } }: { readonly row: VersionRow }) {
  if (!food) return <span className="text-rose">left out</span>;
  if (change === "as is") return <span className="text-ink2">as is</span>;
  return change === "amount" ? <span>{food.name}</span> : food.name;
}

interface RowToolsProps {
  readonly row: VersionRow;
  readonly index: number;
  readonly source: SourceLine | null;
  readonly onApply: (next: (present: BenchState) => BenchState) => void;
  readonly onClose: () => void;
}

/** What can be done with an open row beside taking another food. */
function RowTools({ row, index, source, onApply, onClose }: RowToolsProps) {
  const tool = "underline min-h-8";
  return (
    <p className="border-l-4 border-saffron-fill px-3 pb-2 flex gap-5 t-small bg-sheet">
      {source && row.change !== "as is" && (
        <button type="button" className={tool} onClick={() => onApply((present) => putBack(present, index, source.food, source.grams))}>
          As handed down
        </button>
      )}
      {row.food && (
        <button type="button" className={tool} onClick={() => onApply((present) => leaveOut(present, index))}>
          {row.line === null ? "Take it away" : "Leave it out"}
        </button>
      )}
      <button type="button" className={tool} onClick={onClose}>
        Close
      </button>
    </p>
  );
}

/** The gravest of what the rules make of a row. */
function brokenRule(row: VersionRow, { problem }: BenchView): { readonly short: string; readonly ask: boolean } | null {
  const found = rowFindings(problem, row);
  const gravest = found.find(({ verdict }) => verdict === "avoid") ?? found[0];
  return gravest ? { short: gravest.short, ask: gravest.verdict === "ask" } : null;
}
