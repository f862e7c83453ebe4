"use client";

import { useState } from "react";
import { notAsked, seat, unseat, type DiningTable, type Eater } from "../../../core/table";
import type { RuleWords } from "../../../core/views";
import { wordsOf } from "../../panels/eater-words";
import { Wish } from "../../panels/limit-wishes";
import { groupsOf, RuleWishes } from "../../panels/rule-wishes";
import { Button } from "../../parts/button";
import { Chevron, WhyMark } from "../../parts/marks";
import { PageColumns } from "../../parts/page-columns";
import { WorkingOn } from "../../parts/working-on";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { HEADINGS, placed, SuitedRow, type Heading } from "./suited-row";
import { useSuiting, type Looking } from "./use-suiting";
import { useTakeTable } from "./use-take-table";

interface SuitingPageProps {
  /** The recipe that the table was set for; null where it is set here. */
  readonly of: { readonly id: string; readonly title: string } | null;
  readonly table: DiningTable;
  /** What it asks for, in words. */
  readonly wishes: readonly string[];
  readonly eaters: readonly Eater[];
  readonly rules: readonly RuleWords[];
}

/** Which recipes of the library suit a table: as handed down, or changed, the least changed first. */
export function SuitingPage({ of, table: given, wishes, eaters, rules }: SuitingPageProps) {
  const [set, setTable] = useState(given);
  const table = of ? given : set;
  const asks = table.rules.length + table.limits.length > 0;
  return (
    <>
      <PageHead title="Which of my recipes suits this table?" line={of ? `The table set for ${of.title}` : "A table set here"}>
        <Go href={of ? `/recipes/${of.id}/table` : "/recipes"} className="underline min-h-11 inline-flex items-center">
          {of ? `Back to ${of.title}` : "All recipes"}
        </Go>
      </PageHead>
      <PageColumns>
        <aside className="lg:crease-l p-4 md:p-5 lg:order-2" aria-label="The table">
          <h2 className="t-h2">The table</h2>
          {of ? <Told table={table} wishes={wishes} of={of} /> : <SetHere table={table} eaters={eaters} rules={rules} onTable={setTable} />}
        </aside>
        <section className="p-4 md:p-5 min-w-0" aria-label="Recipes that suit it">
          {asks ? (
            <Suiting key={JSON.stringify(table)} table={table} leave={of?.id ?? null} />
          ) : (
            <p className="max-w-[60ch]">
              Nothing is asked of it yet. Say who eats, or what is left out, and every recipe is held against it: what fits as it is, and what fits with the
              least change.
            </p>
          )}
        </section>
      </PageColumns>
    </>
  );
}

function Told({ table, wishes, of }: Pick<SuitingPageProps, "table" | "wishes"> & { readonly of: { readonly id: string } }) {
  const seats = table.seats ?? [];
  return (
    <>
      {seats.length > 0 && <p className="t-ledger mt-2">{seats.map(({ name }) => name).join(", ")}</p>}
      <ul className="border-t border-ink mt-2">
        {wishes.map((wish) => (
          <li key={wish} className="border-b border-line py-1.5 t-ledger">
            {wish}
          </li>
        ))}
      </ul>
      <Unasked table={table} />
      <p className="mt-3">
        <Go href={`/recipes/${of.id}/table`} className="underline t-ledger inline-flex items-center min-h-11">
          Change the table
        </Go>
      </p>
    </>
  );
}

const Unasked = ({ table }: { readonly table: DiningTable }) =>
  notAsked(table).length > 0 && (
    <p className="t-ledger mt-2 flex gap-2 bg-saffron-wash px-3 py-2">
      <WhyMark kind="ask" />
      Nobody has asked{" "}
      {notAsked(table)
        .map(({ name }) => name)
        .join(", ")}{" "}
      about allergies yet: “fits” says nothing of those.
    </p>
  );

/** A table that stands in the address: who eats, what is left out besides. */
function SetHere({ table, eaters, rules, onTable }: Pick<SuitingPageProps, "table" | "eaters" | "rules"> & { readonly onTable: (table: DiningTable) => void }) {
  const [isOpen, setOpen] = useState(table.rules.length === 0);
  const seated = (table.seats ?? []).map(({ eater }) => eater);
  const own = table.rules.filter((rule) => !(table.seats ?? []).some((each) => each.rules.includes(rule)));
  const go = (next: DiningTable, ownRules: readonly string[]) => {
    const address = new URLSearchParams([...(next.seats ?? []).map(({ eater }) => ["eater", eater]), ...ownRules.map((id) => ["rule", id])]);
    window.history.replaceState(null, "", `/recipes/suits?${address}`);
    onTable(next);
  };
  const choose = (next: readonly string[]) => go({ ...table, rules: [...table.rules.filter((rule) => !own.includes(rule)), ...next] }, next);
  return (
    <>
      {eaters.length > 0 && (
        <fieldset className="mt-2">
          <legend className="t-h2 text-[15px]">Who eats</legend>
          <div className="border-t border-ink mt-1">
            {eaters.map((eater) => (
              <Wish
                key={eater.id}
                name={eater.name}
                what={wordsOf(eater, rules)}
                checked={seated.includes(eater.id)}
                onChange={() => go(seated.includes(eater.id) ? unseat(table, eater.id) : seat(table, eater), own)}
              />
            ))}
          </div>
        </fieldset>
      )}
      <Unasked table={table} />
      <details open={isOpen} onToggle={(event) => setOpen(event.currentTarget.open)} className="mt-3">
        <summary className="t-h2 text-[15px] min-h-11 flex items-center gap-2 cursor-pointer">
          <Chevron open={isOpen} />
          Left out besides{own.length > 0 && `: ${own.length}`}
        </summary>
        <RuleWishes groups={groupsOf(rules.filter(({ id }) => !id.startsWith("no-")))} chosen={own} onChoose={choose} />
      </details>
    </>
  );
}

function Suiting({ table: given, leave }: { readonly table: DiningTable; readonly leave: string | null }) {
  // The same for as long as it asks for the same: what comes fresh from the server starts nothing anew.
  const [table] = useState(given);
  const { looking, found, suited, stop, again, more } = useSuiting(table, leave);
  const { take, question } = useTakeTable(table);
  const rows = (found?.rows ?? []).map((row) => placed(row, suited.get(row.id)));
  const isWorking = looking.kind === "reading" || looking.kind === "solving";
  const waits = rows.some(({ row, heading }) => heading === "waiting" && row.recipe !== undefined);
  return (
    <>
      <Progress looking={looking} onStop={stop} onAgain={again} />
      {found && found.rows.length < found.of && (
        <p className="t-small text-ink2 mb-3">
          Of {found.of} recipes the {found.rows.length} nearest by their foods were read; the others hold more that this table leaves out.
        </p>
      )}
      {found?.of === 0 && <p>There is no other recipe yet.</p>}
      {(Object.keys(HEADINGS) as Heading[]).map((heading) => {
        const here = rows.filter((each) => each.heading === heading).sort((a, b) => a.change - b.change);
        if (here.length === 0) return null;
        return (
          <section key={heading} aria-label={HEADINGS[heading]} className="mb-6">
            <h2 className="t-h2 flex flex-wrap justify-between items-center gap-x-4">
              <span>
                {HEADINGS[heading]}: {here.length}
              </span>
              {heading === "waiting" && waits && !isWorking && (
                <button type="button" className="underline t-ledger min-h-11" onClick={more}>
                  Work out the next {Math.min(10, here.length)}
                </button>
              )}
            </h2>
            <ul className="bg-sheet border border-ink mt-1">
              {here.map((each) => (
                <SuitedRow key={each.row.id} {...each} onTake={() => void take(each.row)} />
              ))}
            </ul>
          </section>
        );
      })}
      {question}
    </>
  );
}

function Progress({ looking, onStop, onAgain }: { readonly looking: Looking; readonly onStop: () => void; readonly onAgain: () => void }) {
  if (looking.kind === "done") return null;
  if (looking.kind === "stopped" || looking.kind === "failed")
    return (
      <div role={looking.kind === "failed" ? "alert" : "status"} className="border border-ink bg-sheet p-3 mb-4 flex flex-wrap gap-4 items-center">
        <p className="flex-1 min-w-56 t-ledger">
          {looking.kind === "failed" ? `It could not be looked through: ${looking.why}` : "Stopped. What was found stays."}
        </p>
        <Button onClick={onAgain}>{looking.kind === "failed" ? "Try again" : "Look again"}</Button>
      </div>
    );
  const words =
    looking.kind === "reading"
      ? looking.of > 0
        ? `Reading recipes, ${looking.done} of ${looking.of}`
        : "Reading recipes"
      : `Working out ${looking.title}, ${looking.done + 1} of ${looking.of}`;
  return <WorkingOn className="border border-ink bg-sheet p-3 mb-4" words={words} done={looking.done} of={looking.of} onStop={onStop} />;
}
