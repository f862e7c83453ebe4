"use client";

import { memo, useState, type ReactNode } from "react";
import type { StoredBench } from "../../../core/adaptation";
import type { Recipe } from "../../../core/recipe";
import type { BeamReading } from "../../../core/substitution";
import type { DiningTable, Wish } from "../../../core/table";
import { formatGrams, gramsBeside } from "../../../core/units";
import type { ToldRow } from "../../../core/views";
import { FoodPicker } from "../../panels/food-picker";
import { AmountField } from "../../parts/amount-field";
import { Chevron, WhyMark } from "../../parts/marks";
import { Sheet } from "../../parts/sheet";
import type { SheetPanelProps } from "../../parts/sheet-panel";
import { useNarrow } from "../../parts/use-narrow";
import { addFood, leaveOut, putBack, setFood, setGrams } from "../../panels/bench-state";
import { Substitutes } from "./substitutes";

const COLUMNS =
  "md:grid-cols-[minmax(0,1.2fr)_60px_42px_96px_minmax(0,1.35fr)_62px_66px_22px] lg:grid-cols-[minmax(0,1.25fr)_66px_50px_122px_minmax(0,1.35fr)_74px_74px_26px]";

type Change = (next: (bench: StoredBench) => StoredBench, key?: string) => void;

interface LedgerProps {
  readonly rows: readonly ToldRow[];
  /** The rows are of an earlier bench. */
  readonly isBehind: boolean;
  /** What the rows are of, and what they may be a moment behind. */
  readonly bench: StoredBench;
  readonly recipe: Recipe;
  readonly table: DiningTable;
  readonly onChange: Change;
  /** What is asked of every version. */
  readonly onWish: (wish: Wish) => void;
  readonly onLetGo: (wish: Wish) => void;
  /** Tells the beams of a food that is looked at, not taken. */
  readonly onLook: (beams: readonly BeamReading[] | null) => void;
}

/** The ledger: each line as handed down, why it changes, and what stands for it in this version, to be changed by hand. */
export function Ledger({ rows, isBehind, bench, recipe, table, onChange, onWish, onLetGo, onLook }: LedgerProps) {
  const [open, setOpen] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  return (
    <section aria-label="The ledger" aria-busy={isBehind} className="bg-sheet border border-ink">
      <div className={`hidden md:grid ${COLUMNS} gap-x-2 px-3 items-end border-b border-ink h-[30px] pb-1`} aria-hidden="true">
        <span className="t-h2 text-[15px] col-span-2">As handed down</span>
        <span className="t-small text-ink2 text-right">g</span>
        <span className="t-small text-ink2 pl-2">why it changes</span>
        <span className="t-h2 text-[15px] col-span-2">For this table</span>
        <span className="t-small text-ink2 text-right pr-1">g</span>
        <span />
      </div>
      <ul>
        {rows.map((row) => (
          <LedgerRow
            key={row.id}
            row={row}
            grams={bench.rows.find(({ id }) => id === row.id)?.grams ?? row.grams}
            at={open === row.id ? { recipe, table, bench } : null}
            onOpen={setOpen}
            asked={(table.wishes ?? []).find((wish) => "line" in wish && wish.line === row.line) ?? null}
            onChange={onChange}
            onWish={onWish}
            onLetGo={onLetGo}
            onLook={onLook}
          />
        ))}
        <li className="px-3 border-t border-line min-h-[36px] flex items-center no-print">
          {adding ? (
            <div className="py-1 w-80 max-w-full flex gap-3">
              <FoodPicker
                label="Which food?"
                table={table}
                onPick={(food) => {
                  setAdding(false);
                  onChange((now) => addFood(now, food));
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
  readonly row: ToldRow;
  /** Of the bench as it is at the moment. */
  readonly grams: number;
  /** What other foods are tried on where this row is open; else null, so that it is shown anew only when it changed. */
  readonly at: Pick<LedgerProps, "recipe" | "table" | "bench"> | null;
  /** What is asked of this line in every version. */
  readonly asked: Wish | null;
  readonly onOpen: (row: string | null) => void;
  readonly onChange: Change;
  readonly onWish: LedgerProps["onWish"];
  readonly onLetGo: LedgerProps["onLetGo"];
  readonly onLook: LedgerProps["onLook"];
}

const LedgerRow = memo(function LedgerRow({ row, grams, at, asked, onOpen: setOpen, onChange, onWish, onLetGo, onLook }: LedgerRowProps) {
  const open = at !== null;
  const { id, food, was } = row;
  const onOpen = () => setOpen(open ? null : id);
  const apply = (next: (bench: StoredBench) => StoredBench) => {
    setOpen(null);
    onChange(next);
  };
  const asIs = row.change === "as is";
  return (
    <li className={`border-b border-line isolate ${open ? "bg-pressed" : ""}`} data-row={row.line ?? "new"} data-change={row.change}>
      <div className={`grid grid-cols-[minmax(0,1fr)_auto_auto] ${COLUMNS} gap-x-2 px-3 items-center md:min-h-[29px] py-1.5 md:py-0`}>
        <span className={`t-ledger text-ink2 md:text-ink leading-tight ${asIs ? "max-md:hidden" : ""}`} title={was?.name}>
          {was?.name || <span className="md:hidden">Added</span>}
        </span>
        <span className={`t-figure text-ink2 text-right t-frac truncate ${asIs ? "max-md:hidden" : ""}`}>{was?.measure}</span>
        <span className={`t-figure text-right ${asIs ? "max-md:hidden" : ""}`}>{was ? gramsBeside(was.grams, was.measure).replace(/ g$/, "") : ""}</span>
        <WhyCell row={row} />
        <span className="min-w-0 flex items-center">
          <button
            type="button"
            onClick={onOpen}
            aria-expanded={open}
            className={`leading-tight text-left min-h-11 md:min-h-[27px] max-w-full ${isOther(row) ? "t-new" : "t-ledger"}`}
            title={food?.name ?? "left out"}
          >
            <FoodWords row={row} />
          </button>
        </span>
        <span className="t-figure text-ink2 text-right t-frac truncate">{row.measure}</span>
        <span className="justify-self-end">
          {food && (
            <AmountField
              label={`Grams of ${food.name} for this table`}
              value={grams}
              shownAs={asIs ? formatGrams(grams).replace(",", "") : undefined}
              unit=""
              onChange={(set) => onChange((bench) => setGrams(bench, id, set), `grams ${id}`)}
            />
          )}
        </span>
        <button
          type="button"
          onClick={onOpen}
          aria-label={`${open ? "Close" : "Open"} ${food?.name ?? was?.name ?? ""}`}
          className="hidden md:grid w-6 h-6 place-items-center text-ink2 no-print"
        >
          <Chevron open={open} />
        </button>
      </div>
      {at && (
        <OpenLine title={food?.name ?? "Left out"} above={was && `${was.name}, ${formatGrams(was.grams)} g as handed down`} onClose={onOpen}>
          <Substitutes row={id} {...at} onLook={onLook} onTake={(taken, amount) => apply((bench) => setFood(bench, id, taken, amount))} />
          <RowTools row={row} asked={asked} onApply={apply} onWish={onWish} onLetGo={onLetGo} onClose={onOpen} />
        </OpenLine>
      )}
    </li>
  );
});

/** What can be done with a line: below it, or on a phone as a sheet over the page. */
function OpenLine({ children, ...rest }: Pick<SheetPanelProps, "title" | "above" | "onClose"> & { readonly children: ReactNode }) {
  const isNarrow = useNarrow();
  return isNarrow ? (
    <Sheet open {...rest}>
      {() => <div className="-mx-5 mt-3">{children}</div>}
    </Sheet>
  ) : (
    children
  );
}

/** Whether another food than the recipe's stands in a row. */
const isOther = ({ food, change }: ToldRow): boolean => food !== null && change !== "as is" && change !== "amount";

/** Why a row is not as it was, or what it breaks. */
function WhyCell({ row }: { readonly row: ToldRow }) {
  const { breaks } = row;
  const isEmpty = !breaks && row.change === "as is";
  return (
    <span
      className={`${isEmpty ? "max-md:hidden " : ""}order-last md:order-none col-span-3 md:col-span-1 md:bg-ground md:self-stretch md:-my-px flex items-center gap-1.5 md:pl-2 t-small md:max-lg:[font-stretch:80%] min-w-0`}
      title={row.why}
    >
      {breaks ? (
        <>
          <WhyMark kind={breaks.isAsked ? "ask" : "conflict"} />
          <span className="leading-tight text-rose">
            {breaks.isAsked ? "to ask" : "breaks"}: {breaks.short}
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

function FoodWords({ row: { food, change, was } }: { readonly row: ToldRow }) {
  if (!food) return <span className="text-rose">left out</span>;
  if (change === "as is")
    return (
      <span className="text-ink2">
        <span className="md:hidden">{was?.name ?? food.name}, </span>as is
      </span>
    );
  return change === "amount" ? <span>{food.name}</span> : food.name;
}

interface RowToolsProps {
  readonly row: ToldRow;
  readonly asked: Wish | null;
  readonly onWish: LedgerProps["onWish"];
  readonly onLetGo: LedgerProps["onLetGo"];
  readonly onApply: (next: (bench: StoredBench) => StoredBench) => void;
  readonly onClose: () => void;
}

/** What can be done with an open row beside taking another food. */
function RowTools({ row, asked, onApply, onWish, onLetGo, onClose }: RowToolsProps) {
  const tool = "underline min-h-11 md:min-h-8";
  return (
    <p className="border-l-4 border-saffron-fill px-3 pb-2 flex flex-wrap gap-x-5 t-small bg-sheet">
      {row.was && row.change !== "as is" && (
        <button type="button" className={tool} onClick={() => onApply((bench) => putBack(bench, row.id))}>
          As handed down
        </button>
      )}
      {row.food && (
        <button type="button" className={tool} onClick={() => onApply((bench) => leaveOut(bench, row.id))}>
          {row.line === null ? "Take it away" : "Leave it out"}
        </button>
      )}
      {asked ? (
        <button type="button" className={tool} onClick={() => onLetGo(asked)}>
          Asked of every version; let go of it
        </button>
      ) : (
        row.line !== null &&
        row.was && (
          <>
            <button type="button" className={tool} onClick={() => onWish({ kind: "line stays", line: row.line ?? "" })}>
              Keep it in every version
            </button>
            <button type="button" className={tool} onClick={() => onWish({ kind: "line leaves", line: row.line ?? "" })}>
              In no version
            </button>
            {row.grams > 0 && (row.change === "as is" || row.change === "amount") && (
              <button
                type="button"
                className={tool}
                onClick={() => onWish({ kind: "line at most", line: row.line ?? "", grams: Math.round(row.grams * 10) / 10 })}
              >
                Never more than {formatGrams(row.grams)} g
              </button>
            )}
          </>
        )
      )}
      {isOther(row) && row.food && (
        <button type="button" className={tool} onClick={() => onWish({ kind: "food never", food: row.food?.id ?? "" })}>
          Never {row.food.name.toLowerCase()} here
        </button>
      )}
      <button type="button" className={`${tool} max-md:hidden`} onClick={onClose}>
        Close
      </button>
    </p>
  );
}
