"use client";

import { useState } from "react";
import { storyOf, type CookHappening, type CookSession } from "../../../core/cook";
import type { DiningTable } from "../../../core/table";
import { formatGrams, gramsBeside } from "../../../core/units";
import { FoodPicker } from "../../panels/food-picker";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";
import { Measure } from "./cook-down";

interface BesideProps {
  readonly session: CookSession;
  readonly act: (happening: CookHappening) => boolean;
}

const TIME = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });

/** What to get ready, to be ticked off. */
export function Ready({ plan, ready, act }: Pick<CookSession, "plan" | "ready"> & Pick<BesideProps, "act">) {
  return (
    <section aria-label="To get ready">
      <h2 className="t-h2">
        To get ready <span className="t-ledger text-ink2">{ready.size === plan.lines.length ? "all there" : `${ready.size} of ${plan.lines.length}`}</span>
      </h2>
      <ul className="border-t border-ink mt-1">
        {plan.lines.map(({ id, name, grams, measure }) => (
          <li key={id} className="border-b border-line">
            <label className="flex items-center gap-3 min-h-11 cursor-pointer">
              <input type="checkbox" className="size-6" checked={ready.has(id)} onChange={() => act({ kind: "ready", food: id, isReady: !ready.has(id) })} />
              <span className="flex-1">{name}</span>
              <span className="whitespace-nowrap">
                <span className="t-frac text-ink2">{measure}</span> <span className="t-figure">{gramsBeside(grams, measure)}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** All steps, each with how it stands and what it took; a press goes to it. */
export function AllSteps({ session: { steps }, act }: BesideProps) {
  return (
    <section aria-label="All steps" className="mt-6">
      <h2 className="t-h2">All steps</h2>
      <ol className="border-t border-ink mt-1">
        {steps.map(({ id, text, state, took, planned }, i) => (
          <li key={id} className="border-b border-line">
            <button
              type="button"
              aria-current={state === "now" ? "step" : undefined}
              className={`w-full text-left flex gap-3 py-2 min-h-11 t-ledger hover:bg-pressed ${state === "now" ? "border-l-4 border-saffron-fill pl-2" : ""}`}
              onClick={() => act({ kind: "went to", step: id })}
            >
              <span className="t-figure text-ink2 w-5">{i + 1}</span>
              <span className={`flex-1 min-w-0 line-clamp-2 t-frac ${state === "skipped" ? "line-through text-ink2" : ""}`}>{text}</span>
              <span className="text-ink2 whitespace-nowrap">
                {state === "done"
                  ? `done${took !== null && took >= 1 ? `, ${Math.round(took)} min` : ""}`
                  : state === "now" || state === "going"
                    ? state === "now"
                      ? "now"
                      : "goes on"
                    : state === "skipped"
                      ? "left out"
                      : planned
                        ? ""
                        : "added"}
              </span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

const field = "border border-edge bg-sheet px-2 min-h-11 text-[16px]";

/** What goes in beside the plan, the pot on the scale where it is not cooked down, a note, a step of one's own. */
export function WriteDown({ session, table, isCookedDown, act }: BesideProps & { readonly table: DiningTable; readonly isCookedDown: boolean }) {
  const [note, setNote] = useState("");
  const [asStep, setAsStep] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const { plan, now } = session;
  return (
    <section aria-label="Write down" className="mt-6">
      <h2 className="t-h2">Write down</h2>
      <div className="border-t border-ink mt-1">
        {!isCookedDown && <Measure session={session} density={null} act={act} />}
        {session.weighings.length > 0 && (
          <p className="t-ledger mt-2">
            The pot held {formatGrams(Math.round(session.weighings.at(-1)?.grams ?? 0))} g; it is meant to come to {formatGrams(Math.round(plan.grams))} g in
            the end.
          </p>
        )}
        <PutIn session={session} table={table} act={act} />
      </div>
      <form
        className="mt-3"
        onSubmit={(event) => {
          event.preventDefault();
          const text = note.trim();
          if (text === "") return setWhy("Write something first.");
          setWhy(null);
          const isTaken = asStep
            ? act({ kind: "step added", step: `own-${crypto.randomUUID().slice(0, 8)}`, text, after: now })
            : act({ kind: "note", text, step: now });
          if (isTaken) setNote("");
        }}
      >
        <textarea
          aria-label="A note"
          placeholder="a note, or a step of your own"
          rows={2}
          maxLength={1000}
          className={`${field} w-full py-2`}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        <div className="flex items-center justify-between gap-3 mt-1">
          <label className="flex items-center gap-2 min-h-11 t-ledger cursor-pointer">
            <input type="checkbox" className="size-5" checked={asStep} onChange={() => setAsStep(!asStep)} />
            as a step, after this one
          </label>
          <button type="submit" className={buttonClass("plain")}>
            Write down
          </button>
        </div>
      </form>
      {why && (
        <p role="alert" className="t-ledger text-rose mt-1">
          {why}
        </p>
      )}
    </section>
  );
}

const OTHER = "another";

/** Something that goes in beyond the plan: more of a line, or another food, by its name in the tables. */
function PutIn({ session: { plan }, table, act }: BesideProps & { readonly table: DiningTable }) {
  const [line, setLine] = useState(plan.lines[0]?.id ?? OTHER);
  const [other, setOther] = useState<{ readonly id: string; readonly name: string } | null>(null);
  const [grams, setGrams] = useState("");
  const [word, setWord] = useState("");
  const [why, setWhy] = useState<string | null>(null);
  return (
    <details className="mt-2">
      <summary className="cursor-pointer min-h-11 flex items-center underline t-ledger">More of something went in, or something else</summary>
      <form
        className="grid grid-cols-[1fr_84px_auto] gap-2 items-end"
        onSubmit={(event) => {
          event.preventDefault();
          const read = readTyped(grams, 0.01);
          const planned = plan.lines.find(({ id }) => id === line);
          const of = planned ? { line: planned.id, food: planned.food, name: planned.name } : other && { line: null, food: other.id, name: other.name };
          if (!of) return setWhy("Say which food it was: pick it from the tables.");
          if ("why" in read) return setWhy(read.why);
          setWhy(null);
          if (act({ kind: "put in", ...of, grams: read.value, word: word.trim() })) {
            setGrams("");
            setWord("");
          }
        }}
      >
        <label className="t-small text-ink2 min-w-0">
          What went in
          <select className={`${field} block w-full`} value={line} onChange={(event) => setLine(event.target.value)}>
            {plan.lines.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
            <option value={OTHER}>something else …</option>
          </select>
        </label>
        <label className="t-small text-ink2">
          beyond the plan, g
          <input inputMode="decimal" className={`${field} block w-full`} value={grams} onChange={(event) => setGrams(event.target.value)} />
        </label>
        <button type="submit" className={buttonClass("plain")}>
          Went in
        </button>
        {line === OTHER && (
          <div className="col-span-3">
            {other ? (
              <p className="t-ledger">
                {other.name}{" "}
                <button type="button" className={buttonClass("quiet", "min-h-11")} onClick={() => setOther(null)}>
                  another
                </button>
              </p>
            ) : (
              <FoodPicker label="Which food went in" table={table} onPick={setOther} />
            )}
          </div>
        )}
        <input
          aria-label="How it is now"
          placeholder="how it is now: still thin, right"
          maxLength={120}
          className={`${field} col-span-3`}
          value={word}
          onChange={(event) => setWord(event.target.value)}
        />
        {why && (
          <p role="alert" className="col-span-3 t-ledger text-rose">
            {why}
          </p>
        )}
      </form>
    </details>
  );
}

interface StoryProps {
  readonly session: CookSession;
  /** Of so many it is told at first; the others by a press. */
  readonly latest?: number;
}

/** What happened, as sentences with their times. */
export function Story({ session, latest = Infinity }: StoryProps) {
  const [isWhole, setWhole] = useState(false);
  const all = storyOf(session);
  const told = isWhole ? all : all.slice(Math.max(0, all.length - latest));
  return told.length === 0 ? null : (
    <section aria-label="What happened" className="mt-6">
      <h2 className="t-h2">What happened</h2>
      {told.length < all.length && (
        <button type="button" className="underline t-ledger min-h-11 no-print" onClick={() => setWhole(true)}>
          All {all.length}
        </button>
      )}
      <ol className="border-t border-ink mt-1 t-ledger">
        {told.map(({ at, words, event }) => (
          <li key={event.id} className="border-b border-line py-1 flex gap-3">
            <time className="t-figure text-ink2" dateTime={new Date(at).toISOString()} suppressHydrationWarning>
              {TIME.format(at)}
            </time>
            <span className="t-frac min-w-0">{words}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
