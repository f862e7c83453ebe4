"use client";

import { useRouter } from "next/navigation";
import { useEffect, useRef } from "react";
import type { Household } from "../../../core/household";
import type { LearnedRow } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { useUndoKeys } from "../../parts/use-history";
import { UndoButtons } from "../../parts/undo-buttons";
import { Go } from "../../shell/go";
import { useHouseholdDocument } from "../../shell/household";
import { SaveNotice } from "../../shell/save-notice";
import { PageHead } from "../../shell/shell";
import { toast } from "../../shell/messages";
import { RatioBar } from "./ratio-bar";

const KINDS: Readonly<Record<LearnedRow["kind"], readonly [title: string, line: string]>> = {
  "wanted sweetness": ["How sweet each wants it", "Beside the recipe as it was handed down, from what each said of batches. Table and Swap go by it."],
  "wanted body": ["How thick each wants it", "Beside the recipe as it was handed down, from what each said of batches. Table and Swap go by it."],
  rate: ["How fast your pans boil away", "By pan and burner, from pots that were weighed twice. The minutes of a simmer and the time to a weight go by it."],
  body: ["How much it thickens", "By what thickens, from how hot and cold batches turned out for what was weighed. Body and amounts on Swap go by it."],
  binding: ["How much binder it takes up", "By flour, from how shaped sweets held. Binding goes by it."],
  time: ["How long it takes on your stove", "From when steps were done. Their minutes at Method and Cook go by it."],
  cooling: ["How long it takes to cool", "By where it stands, from what was measured as it cooled."],
};

/** What the house's batches have taught, each beside the tables; used everywhere, and learned anew where the household wants it. */
export function LearnedPage({ rows, pressings }: { readonly rows: readonly LearnedRow[]; readonly pressings: number }) {
  const household = useHouseholdDocument();
  useUndoKeys(household);
  const { present, set, undo, redo, revision } = household;
  const isOff = present.learning?.isOff === true;
  // What is learned is worked out by the server, once the wish is saved.
  const router = useRouter();
  const saved = useRef(revision);
  useEffect(() => {
    if (revision !== null && saved.current !== revision) router.refresh();
    if (revision !== null) saved.current = revision;
  }, [revision, router]);
  const setLearning = (of: (learning: NonNullable<Household["learning"]>) => Household["learning"]) =>
    set((now: Household) => ({ ...now, learning: of(now.learning ?? {}) }));
  const anew = (row: LearnedRow) => {
    setLearning((learning) => ({ ...learning, anew: { ...learning.anew, [row.key]: Date.now() } }));
    const back = () => setLearning(({ anew: { [row.key]: _, ...others } = {}, ...learning }) => ({ ...learning, anew: others }));
    toast(`${row.what} is learned anew from now on.`, { label: "Undo", run: back });
  };
  const kinds = (Object.keys(KINDS) as LearnedRow["kind"][]).filter((kind) => rows.some((row) => row.kind === kind));
  return (
    <>
      <PageHead
        title="What your batches taught"
        line={isOff ? "Not used: all goes by the tables" : rows.length === 0 ? "Nothing yet" : "Used wherever it counts"}
      />
      <main id="main" className="p-4 md:p-5 max-w-[980px]">
        <div className="flex flex-wrap justify-between gap-3 items-center">
          <p className="max-w-[64ch]">
            The tables know no house. What a batch of yours showed, weighed, measured or said, is brought together with them: the more batches, the more it
            counts. Each working says where it was used.
          </p>
          <span className="flex gap-3 items-center no-print">
            <SaveNotice document={household} />
            <UndoButtons undo={undo} redo={redo} />
          </span>
        </div>
        <label className="flex gap-2 items-center min-h-11 mt-2 w-fit">
          <input
            type="checkbox"
            className="size-5 accent-ink"
            checked={!isOff}
            onChange={(event) => {
              const isUsed = event.target.checked;
              setLearning(({ isOff: _, ...learning }) => (isUsed ? learning : { ...learning, isOff: true }));
            }}
          />
          Use what was learned here
        </label>
        {rows.length === 0 && !isOff && (
          <p className="mt-4 max-w-[64ch]">
            A batch teaches once it is done: weigh the pot twice while it boils down, say how it turned out hot and cold, measure it as it cools.{" "}
            <Go href="/logbook" className="underline">
              Your batches
            </Go>
          </p>
        )}
        {kinds.map((kind) => (
          <section key={kind} aria-labelledby={`learned-${kind}`} className="mt-7">
            <h2 id={`learned-${kind}`} className="t-h2">
              {KINDS[kind][0]}
            </h2>
            <p className="t-small text-ink2 max-w-[72ch]">{KINDS[kind][1]}</p>
            <ul className="border-t border-ink mt-1.5">
              {rows
                .filter((row) => row.kind === kind)
                .map((row) => (
                  <li
                    key={row.key}
                    className="border-b border-line py-2 grid gap-x-5 gap-y-1 items-center grid-cols-[minmax(0,1fr)_auto] md:grid-cols-[minmax(0,1fr)_270px_200px_auto]"
                  >
                    <span className="font-[550]">
                      {row.what}
                      <span className="block t-small text-ink2 font-normal">by {row.batches === 1 ? "a batch" : `${row.batches} batches`}</span>
                      {row.gain && <span className="block t-small font-normal">{gainWords(row.gain, kind.startsWith("wanted"))}</span>}
                    </span>
                    <span className="t-ledger max-md:order-1">
                      <span className="t-figure font-[600]">{row.now}</span>
                      <span className="block t-small text-ink2">the next one, 8 times in 10: {row.next}</span>
                    </span>
                    <RatioBar ratio={row.ratio} beside={kind.startsWith("wanted") ? "handed down" : "the table"} className="max-md:order-2 max-md:w-[110px]" />
                    <button type="button" className={buttonClass("plain", "no-print justify-self-end")} onClick={() => anew(row)}>
                      Learn anew<span className="sr-only">, {row.what}</span>
                    </button>
                  </li>
                ))}
            </ul>
          </section>
        ))}
        <p className="mt-7 t-ledger text-ink2 max-w-[72ch]">
          What the pulp of a milk holds is learned from weighed pulps, where milks are made: {pressings === 0 ? "none is weighed yet" : `${pressings} so far`}.{" "}
          <Go href="/pantry" className="underline">
            Pantry
          </Go>
        </p>
        <p className="mt-2 t-ledger text-ink2 max-w-[72ch]">
          What somebody measures by eye, and the difference in sweetness that is noticed here, are found by practice.{" "}
          <Go href="/practice" className="underline">
            Practice
          </Go>
        </p>
        <p className="mt-2 t-small text-ink2 max-w-[72ch]">
          A normal prior about the tables for each figure, put right by every outcome by how sure that is; how much batches of one house differ is learned too.
          How far houses are apart before that is a rule of thumb. A batch that is far off counts for less; one that is deleted no more.
        </p>
      </main>
    </>
  );
}

/** What it improves, told of batches that it was not learned from. */
function gainWords({ batches, byHouse, byTables }: NonNullable<LearnedRow["gain"]>, isWish: boolean): string {
  const before = isWish ? "as handed down" : "by the table";
  const of = `${batches} batches, each told from the others`;
  if (byHouse === byTables) return `${of}: off by ${byHouse} %, and ${before} by as much`;
  return `${of}: off by ${byHouse} %; ${before}, by ${byTables} %${byHouse > byTables ? ": worse so far" : ""}`;
}
