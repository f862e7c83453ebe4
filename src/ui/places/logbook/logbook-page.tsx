"use client";

import { formatNumber } from "../../../core/units";
import { AsLastTime } from "../../panels/as-last-time";
import { BatchCharts } from "../../panels/batch-charts";
import { gotWords, type LoggedRow } from "../../panels/logged";
import { buttonClass } from "../../parts/button";
import { PageColumns } from "../../parts/page-columns";
import { Go } from "../../shell/go";
import { Pages } from "../../shell/pages";
import { PageHead } from "../../shell/shell";
import { useFresh } from "../../shell/use-fresh";
import { FindBatches } from "./find-batches";

interface LogbookPageProps {
  readonly rows: readonly LoggedRow[];
  readonly total: number;
  readonly page: number;
  readonly pages: number;
  readonly batches: number;
  readonly tastings: number;
  readonly search: { readonly words: string; readonly eater: string | null; readonly season: string | null };
  readonly eaters: readonly { readonly id: string; readonly name: string }[];
  readonly seasons: readonly { readonly id: string; readonly name: string }[];
  /** What the batches taught, in a few words. */
  readonly taught: string;
  readonly at: number;
}

/** The logbook: what is on the stove, what was cooked, how it came out and what was said of it; found by food, eater and season. */
export function LogbookPage({ rows, total, page, pages, batches, tastings, search, eaters, seasons, taught, at }: LogbookPageProps) {
  useFresh(at);
  return (
    <>
      <PageHead
        title="Logbook"
        line={
          batches === 0
            ? "Nothing was cooked yet"
            : `${formatNumber(batches)} ${batches === 1 ? "batch" : "batches"}, ${formatNumber(tastings)} ${tastings === 1 ? "tasting" : "tastings"}`
        }
      >
        <Go href="/logbook/new" className={buttonClass("plain", "no-print")}>
          Enter one after the fact
        </Go>
      </PageHead>
      <PageColumns>
        <section className="p-4 md:p-5 min-w-0" aria-label="Batches">
          {batches > 3 && <FindBatches {...search} eaters={eaters} seasons={seasons} total={total} />}
          {rows.length === 0 ? (
            batches === 0 ? (
              <p className="max-w-[60ch]">
                A batch begins at the Method station of a recipe, or from a kept version, and is written down as it is cooked. What was cooked without Threpsis
                can be entered after the fact.
              </p>
            ) : (
              <p>
                No batch is found by that.{" "}
                <Go className="underline" href="/logbook">
                  Show all
                </Go>
              </p>
            )
          ) : (
            <ul className="border-t border-ink">
              {rows.map((row) => (
                <BatchRow key={row.id} row={row} />
              ))}
            </ul>
          )}
          <Pages page={page} pages={pages} total={total} what="batches" address="/logbook" />
        </section>
        <aside className="lg:crease-l p-4 md:p-5 min-w-0" aria-label="Beside the batches">
          <BatchCharts rows={rows} isOneSweet={false} />
          <h2 className="t-h2 mt-6 first:mt-0">Learned here</h2>
          <p className="rule-t pt-2 mt-1">{taught}</p>
          <Go href="/logbook/learned" className="underline inline-flex items-center min-h-11">
            What your batches taught
          </Go>
          <h2 className="t-h2 mt-6">Practice</h2>
          <p className="rule-t pt-2 mt-1">Stop a pot in time, mend one that went wrong, guess grams, find what difference you taste: ten minutes at a time.</p>
          <Go href="/practice" className="underline inline-flex items-center min-h-11">
            Practise
          </Go>
        </aside>
      </PageColumns>
    </>
  );
}

function BatchRow({ row }: { readonly row: LoggedRow }) {
  const { id, recipeId, title, label, made, isOn, logged, tastings, liking } = row;
  const said =
    tastings === 0
      ? []
      : [`${tastings === 1 ? "tasted once" : `tasted ${tastings} times`}${liking === null ? "" : `, liking ${Math.round(10 * liking) / 10} of 9`}`];
  const more = [...(logged?.unknown ? [logged.unknown] : []), ...(logged?.turnedOut ?? []), ...said, ...(logged?.changes ?? [])];
  return (
    <li className="border-b border-line grid grid-cols-[minmax(0,1fr)_112px] gap-x-4 items-start hover:bg-pressed">
      <Go href={`/batches/${id}`} className="block py-2.5 min-h-11">
        <span className="flex flex-wrap gap-x-5 items-baseline">
          <span className="flex-1 basis-60 min-w-0">
            <span className="font-[550]">{title}</span> <span className="text-ink2">{label === null ? "as handed down" : label}</span>
          </span>
          <span className={`t-ledger lg:w-60 ${isOn ? "text-saffron font-[550]" : ""}`}>{gotWords(row)}</span>
          <span className="t-ledger text-ink2 lg:w-40">{made}</span>
        </span>
        {more.length > 0 && <span className="block t-ledger text-ink2 line-clamp-2 first-letter:uppercase">{more.join("; ")}</span>}
      </Go>
      <span className="py-1.5 flex flex-col items-end no-print">
        {!isOn && <AsLastTime batch={id} title={title} />}
        {recipeId !== null && !isOn && (
          <Go href={`/recipes/${recipeId}/lineage`} className="underline t-small inline-flex items-center min-h-11 md:min-h-6">
            All of this sweet<span className="sr-only">: {title}</span>
          </Go>
        )}
      </span>
    </li>
  );
}
