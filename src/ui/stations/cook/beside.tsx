"use client";

import { useState } from "react";
import { storyOf, type CookHappening, type CookSession } from "../../../core/cook";
import { formatGrams, gramsBeside } from "../../../core/units";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";

interface BesideProps {
  readonly session: CookSession;
  readonly act: (happening: CookHappening) => boolean;
}

const TIME = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });

/** What to get ready, to be ticked off. */
export function Ready({ session: { plan, ready }, act }: BesideProps) {
  return (
    <section aria-label="To get ready">
      <h2 className="t-h2">
        To get ready <span className="t-ledger text-ink2">{ready.size === plan.ready.length ? "all there" : `${ready.size} of ${plan.ready.length}`}</span>
      </h2>
      <ul className="border-t border-ink mt-1">
        {plan.ready.map(({ id, name, grams, measure }) => (
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
                  : state === "now"
                    ? "now"
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

/** What goes in beside the plan, the pot on the scale, a note, a step of one's own. */
export function WriteDown({ session, act }: BesideProps) {
  const [food, setFood] = useState("");
  const [grams, setGrams] = useState("");
  const [word, setWord] = useState("");
  const [weight, setWeight] = useState("");
  const [pan, setPan] = useState<string | null>(null);
  const [note, setNote] = useState("");
  const [asStep, setAsStep] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const { plan, now } = session;
  const panText = pan ?? (session.pan > 0 ? String(session.pan) : "");
  const amount = (text: string, least: number): number | null => {
    const read = readTyped(text, least);
    setWhy("why" in read ? read.why : null);
    return "value" in read ? read.value : null;
  };
  return (
    <section aria-label="Write down" className="mt-6">
      <h2 className="t-h2">Write down</h2>
      <form
        className="border-t border-ink mt-1 pt-2 grid grid-cols-[1fr_84px_auto] gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          const value = amount(grams, 0.01);
          const of = plan.ready.find(({ id }) => id === food) ?? plan.ready[0];
          if (value === null || !of) return;
          if (act({ kind: "put in", food: of.id, name: of.name, grams: value, word: word.trim() })) {
            setGrams("");
            setWord("");
          }
        }}
      >
        <label className="sr-only" htmlFor="put-in-food">
          What went in
        </label>
        <select id="put-in-food" className={`${field} min-w-0`} value={food} onChange={(event) => setFood(event.target.value)}>
          {plan.ready.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        <input
          aria-label="How much of it went in, g"
          inputMode="decimal"
          placeholder="g"
          className={field}
          value={grams}
          onChange={(event) => setGrams(event.target.value)}
        />
        <button type="submit" className={buttonClass("plain")}>
          Went in
        </button>
        <input
          aria-label="How it is now"
          placeholder="how it is now: still thin, right"
          maxLength={120}
          className={`${field} col-span-3`}
          value={word}
          onChange={(event) => setWord(event.target.value)}
        />
      </form>
      <form
        className="mt-3 grid grid-cols-[1fr_1fr_auto] gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          const value = amount(weight, 0.01);
          const bare = panText.trim() === "" ? 0 : amount(panText, 0);
          if (value !== null && bare !== null && act({ kind: "weighed", grams: value, pan: bare })) setWeight("");
        }}
      >
        <input
          id="weigh"
          aria-label="The pot on the scale, g"
          inputMode="decimal"
          placeholder="pot on the scale, g"
          className={`${field} min-w-0`}
          value={weight}
          onChange={(event) => setWeight(event.target.value)}
        />
        <input
          aria-label="The pan alone, g"
          inputMode="decimal"
          placeholder="pan alone, g"
          className={`${field} min-w-0`}
          value={panText}
          onChange={(event) => setPan(event.target.value)}
        />
        <button type="submit" className={buttonClass("plain")}>
          Weighed
        </button>
      </form>
      <form
        className="mt-3"
        onSubmit={(event) => {
          event.preventDefault();
          const text = note.trim();
          if (text === "") return setWhy("Write something first.");
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
      {session.weighings.length > 0 && (
        <p className="t-ledger mt-2">
          The pot held {formatGrams(session.weighings.at(-1)?.grams ?? 0)} g; it is meant to come to {formatGrams(plan.grams)} g in the end.
        </p>
      )}
    </section>
  );
}

/** What happened, as sentences with their times. */
export function Story({ session }: { readonly session: CookSession }) {
  const told = storyOf(session);
  return told.length === 0 ? null : (
    <section aria-label="What happened" className="mt-6">
      <h2 className="t-h2">What happened</h2>
      <ol className="border-t border-ink mt-1 t-ledger">
        {told.map(({ at, words }, i) => (
          <li key={i} className="border-b border-line py-1 flex gap-3">
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
