"use client";

import { formatGrams } from "../../../core/units";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";

export interface MakeRow {
  readonly id: string;
  readonly title: string;
  readonly unread: number;
  readonly uses: readonly { readonly name: string; readonly grams: number; readonly isAll: boolean; readonly due: string | null }[];
  readonly missing: readonly { readonly name: string; readonly grams: number }[];
}

/** What can be made of what is in the house: what uses up most of what is due comes first. */
export function MakeOfStock({ rows, of, inStock }: { readonly rows: readonly MakeRow[]; readonly of: number; readonly inStock: number }) {
  return (
    <>
      <PageHead
        title="What can I make of this?"
        line={`${inStock === 1 ? "1 thing" : `${inStock} things`} in stock, ${of === 1 ? "1 recipe" : `${of} recipes`} as handed down; what uses up what is due first`}
      >
        <Go href="/pantry/stock" className="underline min-h-11 inline-flex items-center">
          In stock
        </Go>
      </PageHead>
      <main id="main" className="p-4 md:p-5 max-w-[1100px]">
        {rows.length === 0 ? (
          <p className="max-w-[62ch]">
            {inStock === 0
              ? "Nothing in stock is good and known to the tables: put in what is at home first."
              : "None of your recipes takes anything of what is in stock. Foods are the same where their names in the tables are."}
          </p>
        ) : (
          <ol className="border-t border-ink">
            {rows.map(({ id, title, uses, missing, unread }) => (
              <li key={id} className="border-b border-line py-2 grid gap-x-6 gap-y-1 md:grid-cols-[220px_minmax(0,1fr)_minmax(0,1fr)]">
                <Go href={`/recipes/${id}`} className="t-new hover:underline min-h-8">
                  {title}
                </Go>
                <span className="t-ledger">
                  <span className="t-small text-ink2">takes </span>
                  {uses.map(({ name, grams, isAll, due }, i) => (
                    <span key={name}>
                      {i > 0 && ", "}
                      {isAll ? "all the " : ""}
                      {name.toLowerCase()} <span className="t-figure text-ink2">{formatGrams(grams)} g</span>
                      {due !== null && <span className="text-saffron"> ({due})</span>}
                    </span>
                  ))}
                </span>
                <span className="t-ledger">
                  {missing.length === 0 ? (
                    <span className="text-pistachio">{unread > 0 ? "nothing lacks that is read" : "nothing lacks"}</span>
                  ) : (
                    <>
                      <span className="t-small text-ink2">lacks </span>
                      {missing.map(({ name, grams }) => `${name.toLowerCase()} ${formatGrams(grams)} g`).join(", ")}
                    </>
                  )}
                  {unread > 0 && (
                    <span className="block t-small text-rose">
                      {unread === 1 ? "1 line is not read" : `${unread} lines are not read`}: what it takes is not known
                    </span>
                  )}
                </span>
              </li>
            ))}
          </ol>
        )}
      </main>
    </>
  );
}
