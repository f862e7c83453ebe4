"use client";

import { useState } from "react";
import { describeRow, type Basis, type NutritionProfile, type NutritionRow, type NutritionRowId } from "../../../core/nutrition";
import type { Figure } from "../../../core/numeric";
import { formatToSpread, inEnergyUnit, type HouseholdUnits, servingsText } from "../../../core/units";
import { PrintButton } from "../../parts/print-button";
import { Choice } from "../../parts/choice";
import { buttonClass } from "../../parts/button";
import { Go } from "../../shell/go";
import { useHousehold } from "../../shell/household";
import { PageHead } from "../../shell/shell";
import { Claims, type BookView } from "./claims";
import { Contributions } from "./contributions";
import { PageColumns } from "../../parts/page-columns";

export interface NutritionPageProps {
  readonly view: {
    readonly title: string;
    readonly label: string | null;
    readonly before: NutritionProfile;
    readonly after: NutritionProfile | null;
    readonly books: readonly BookView[];
    readonly unread: number;
    readonly backTo: string;
  };
}

const BASES: readonly (readonly [Basis, string])[] = [
  ["serving", "a serving"],
  ["per100g", "100 g"],
  ["whole", "the whole"],
];
const PART: readonly NutritionRowId[] = ["saturatedFat", "alphaLinolenic", "totalSugars", "addedSugars", "freeSugarsWho", "freeSugarsUk", "polyols", "sodium"];
/** Shown only where there is any. */
const ONLY_WITH: readonly NutritionRowId[] = ["polyols"];
/** Below this share of the ingredients known, the figure is a lower bound. */
const MOSTLY_KNOWN = 0.98;

const BOTH_COLUMNS = "grid grid-cols-[minmax(0,1fr)_84px_84px_42px] md:grid-cols-[minmax(0,1fr)_minmax(0,184px)_minmax(0,184px)_52px] gap-x-2 md:gap-x-3";
const ONE_COLUMN = "grid grid-cols-[minmax(0,1fr)_110px_48px] md:grid-cols-[minmax(0,1fr)_200px_70px] gap-x-3";

/** The whole nutrition of a sweet: the recipe and the version side by side, where each amount comes from, and what claims it would meet. */
export function NutritionPage({ view }: NutritionPageProps) {
  const { title, label, before, after, books, unread, backTo } = view;
  const { energy } = useHousehold().units;
  const [basis, setBasis] = useState<Basis>("serving");
  const [row, setRow] = useState<NutritionRowId>("freeSugarsUk");
  const [bookId, setBook] = useState(books[0]?.id ?? "");
  const book = books.find(({ id }) => id === bookId) ?? books[0];
  const now = after ?? before;
  const rows = now.rows.filter(({ id }, i) => !ONLY_WITH.includes(id) || now.rows[i]?.figures.serving.value || before.rows[i]?.figures.serving.value);
  const of = (profile: NutritionProfile, id: NutritionRowId) => profile.rows.find((each) => each.id === id);
  const columns = after ? BOTH_COLUMNS : ONE_COLUMN;
  return (
    <>
      <PageHead
        title={`${title}, nutrition`}
        line={`${label ? `${label} beside the recipe as handed down` : "As handed down"}; ${servingsText(now.servings)} of ${Math.round(now.finishedMass / now.servings)} g.`}
      >
        <span className="flex flex-wrap gap-2 no-print">
          <PrintButton />
          <Go className={buttonClass("plain")} href={backTo}>
            Back
          </Go>
        </span>
      </PageHead>
      <PageColumns aside="wide">
        <div className="p-4 md:p-5 min-w-0">
          {unread > 0 && (
            <p className="bg-saffron-wash px-3 py-2 t-ledger mb-4">
              {unread} {unread === 1 ? "line is" : "lines are"} not read yet and not in these figures.
            </p>
          )}
          <div className="flex flex-wrap gap-x-8 gap-y-1 items-center justify-between no-print">
            <div role="radiogroup" aria-label="Amounts in" className="flex gap-5 items-center">
              <span className="t-small text-ink2">Amounts in</span>
              {BASES.map(([id, name]) => (
                <Choice key={id} name="basis" label={name} checked={basis === id} onChange={() => setBasis(id)} />
              ))}
            </div>
            <label className="flex items-center gap-2 t-ledger">
              Rule book
              <select value={book?.id} onChange={(event) => setBook(event.target.value)} className="border border-edge bg-sheet px-2 min-h-11">
                {books.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
          </div>
          <div className={`${columns} px-1 t-small text-ink2 border-b border-ink pb-1 mt-2 items-end`} aria-hidden="true">
            <span>
              in {BASES.find(([id]) => id === basis)?.[1]}
              <span className="max-md:hidden">; 8 of 10 within</span>
            </span>
            <span className="text-right">as handed down</span>
            {after && <span className="text-right">for this table</span>}
            <span className="text-right">of a day</span>
          </div>
          <ul>
            {rows.map(({ id, figures }) => {
              const { name, unit } = describeRow(id);
              const [old, fresh] = [of(before, id), after ? of(after, id) : null];
              const share = book?.intakes[id] ? figures[basis].value / book.intakes[id] : null;
              return (
                <li key={id} className="border-b border-line">
                  <button
                    type="button"
                    aria-pressed={row === id}
                    onClick={() => setRow(id)}
                    className={`${columns} px-1 py-1 w-full text-left items-baseline hover:bg-pressed ${row === id ? "bg-saffron-wash" : ""}`}
                  >
                    <span className={`t-ledger ${PART.includes(id) ? "pl-4 text-ink2" : ""}`}>{name}</span>
                    {old && <Cell row={old} basis={basis} unit={unit} energy={energy} label="as handed down" quiet={after !== null} />}
                    {fresh && <Cell row={fresh} basis={basis} unit={unit} energy={energy} label="for this table" />}
                    <span className="t-figure text-right text-ink2">
                      {share === null ? "" : `${share > 0 && share < 0.01 ? "<1" : Math.round(share * 100)} %`}
                    </span>
                  </button>
                </li>
              );
            })}
            <li className={`${columns} px-1 py-1 items-baseline border-b border-line`}>
              <span className="t-ledger">Glycaemic index, estimated</span>
              <Gi figure={before.glycaemicIndex} />
              {after && <Gi figure={after.glycaemicIndex} />}
            </li>
          </ul>
          <p className="t-small text-ink2 mt-3 max-w-[72ch]">
            Computed from tables, not analysed.{" "}
            {book && `Shares of a day: ${book.intakeSource}; the last column is ${after ? "for this table" : "as handed down"}.`} Vitamin C, folate and vitamin
            A are less what cooking takes, by class values (rule of thumb). The glycaemic figures are estimates: a mixed dish’s measured value can differ by its
            fat, protein, acid and cooling. They are no advice to anyone who minds their blood sugar: a clinician gives that.
          </p>
        </div>
        <aside className="lg:crease-l p-4 md:p-5 min-w-0" aria-label="Where it comes from, and claims">
          <Contributions id={row} basis={basis} before={before} after={after} energy={energy} />
          {book && <Claims book={book} />}
        </aside>
      </PageColumns>
    </>
  );
}

const inUnit = (value: number, unit: string, energy: HouseholdUnits["energy"]) =>
  unit === "kJ" ? { value: inEnergyUnit(value, energy), unit: energy } : { value, unit };

function Cell({
  row,
  basis,
  unit,
  energy,
  label,
  quiet = false,
}: {
  readonly row: NutritionRow;
  readonly basis: Basis;
  readonly unit: string;
  readonly energy: HouseholdUnits["energy"];
  readonly label: string;
  readonly quiet?: boolean;
}) {
  const figure = row.figures[basis];
  const { value, unit: shown } = inUnit(figure.value, unit, energy);
  const by = figure.value === 0 ? 0 : value / figure.value;
  const half = ((figure.high - figure.low) / 2) * by;
  const text = formatToSpread(value, half);
  return (
    <span className="text-right">
      <span className="sr-only">{label}: </span>
      {row.known < 0.02 ? (
        <span className="t-small text-ink2">not known</span>
      ) : (
        <>
          {half > 0 && (
            <span className="t-small text-ink2 max-md:hidden mr-2">
              {formatToSpread(figure.low * by, half)} to {formatToSpread(figure.high * by, half)}
            </span>
          )}
          <span className={`t-figure whitespace-nowrap ${quiet ? "" : "font-[560]"}`}>
            {row.known < MOSTLY_KNOWN && <span className="t-small text-ink2">at least </span>}
            {text} {shown}
          </span>
        </>
      )}
    </span>
  );
}

function Gi({ figure }: { readonly figure: Figure | null }) {
  return (
    <span className="text-right">
      {figure ? (
        <>
          <span className="t-small text-ink2 mr-2">
            {Math.round(figure.low)} to {Math.round(figure.high)}
          </span>
          <span className="t-figure">{Math.round(figure.value)}</span>
        </>
      ) : (
        <span className="t-small text-ink2">hardly any carbohydrate</span>
      )}
    </span>
  );
}
