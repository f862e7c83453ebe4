"use client";

import { useState } from "react";
import { HOLDS, type CookHappening, type CookSession } from "../../../core/cook";
import { timeWords } from "../../../core/keep";
import { formatGrams } from "../../../core/units";
import type { StoveView } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { spanText } from "../../parts/span-text";
import { Go } from "../../shell/go";
import { Cooling } from "./cooling";
import { OffStock } from "./off-stock";
import { Photo, type KeptPhoto } from "./photo";

interface EndedProps {
  readonly batch: string;
  readonly photo: KeptPhoto | null;
  readonly session: CookSession;
  readonly view: StoveView;
  readonly now: number;
  /** Presses that are not on the disk yet. */
  readonly waiting: number;
  /** The house's words for body, thin to thick, with where they stand from 0 to 10. */
  readonly bodies: readonly (readonly [body: number, words: string])[];
  readonly act: (happening: CookHappening) => boolean;
}

const field = "border border-edge bg-sheet px-2 min-h-11 text-[16px] min-w-0";

/** What came of it: what it weighs, for whom portions are set aside, how it cools, how it turned out. */
export function Ended({ batch, photo, session, view, now, waiting, bodies, act }: EndedProps) {
  const { plan, got, steps, endedAt } = session;
  const took = steps.reduce((sum, step) => sum + (step.took ?? 0), 0);
  const off = got === null ? null : Math.round((100 * (got - plan.grams)) / plan.grams);
  return (
    <section aria-label="Done">
      <p className="text-[30px] font-[600] leading-tight">Done.</p>
      <p className="mt-2 text-[20px] max-w-[52ch]">
        {got === null
          ? "It was not weighed."
          : `${formatGrams(got)} g, ${formatGrams(Math.round(plan.grams))} g by plan${off === null || Math.abs(off) < 2 ? "" : `: ${Math.abs(off)} % ${off < 0 ? "less" : "more"}`}.`}
        {took >= 1 ? ` The steps took ${spanText(Math.round(took))}.` : ""}
      </p>
      <Cooling cooling={view.cooling} endedAt={endedAt ?? now} now={now} temperatures={session.temperatures} act={act} />
      <div className="grid md:grid-cols-2 gap-x-8">
        <div>
          <section aria-label="Keep" className="mt-6">
            <h2 className="t-h2">Keep</h2>
            <p className="t-ledger text-ink2">
              {view.keeps.unknown !== null && "Not all that is in it is known, so it is counted as what spoils soonest. "}
              Covered: {timeWords(view.keeps, "fridge")} in the fridge; {timeWords(view.keeps, "room")} out of it, up to 30 °C (rules of thumb).
            </p>
            <Go href={`/batches/${batch}/keep`} className={buttonClass("plain", "mt-2 no-print")}>
              Boxes, label, what is left
            </Go>
          </section>
          <Photo batch={batch} given={photo} told={view.colour} />
        </div>
        <div>
          <TurnedOut session={session} bodies={bodies} isBound={view.figures.some(({ id }) => id === "binding")} act={act} />
          <OffStock batch={batch} session={session} waiting={waiting} act={act} />
        </div>
      </div>
      <p className="mt-6 flex flex-wrap gap-x-6 gap-y-2 items-center no-print">
        <Go href={`/batches/${batch}/taste`} className={buttonClass("primary")}>
          Taste it
        </Go>
        <button type="button" className={buttonClass("plain")} onClick={() => act({ kind: "taken up again" })}>
          Take it up again
        </button>
        <Go href="/logbook/learned" className="underline inline-flex items-center min-h-11">
          What your batches taught
        </Go>
      </p>
    </section>
  );
}

const WHEN = [
  ["hot", "Hot, from the fire"],
  ["chilled", "Cold through"],
] as const;

interface TurnedOutProps extends Pick<EndedProps, "session" | "bodies" | "act"> {
  /** It is shaped and holds, or does not, rather than being thick or thin. */
  readonly isBound: boolean;
}

/** How it turned out, in the house's words: what the next batch is worked out by. */
function TurnedOut({ session: { turnedOut }, bodies, isBound, act }: TurnedOutProps) {
  const [off, setOff] = useState("");
  const [when, setWhen] = useState<"hot" | "chilled">("hot");
  return (
    <section aria-label="How it turned out" className="mt-6">
      <h2 className="t-h2">How it turned out</h2>
      <div className="border-t border-ink mt-1">
        {isBound && (
          <Said
            words="How it holds, once it is cold"
            value={turnedOut.get("chilled")?.holds ?? ""}
            options={HOLDS.map((each) => [each, each])}
            onSay={(text) => {
              const holds = HOLDS.find((each) => each === text);
              if (holds) act({ kind: "turned out", when: "chilled", body: null, off: turnedOut.get("chilled")?.off ?? "", holds });
            }}
          />
        )}
        {(isBound ? [] : WHEN).map(([each, words]) => {
          const said = turnedOut.get(each);
          return (
            <Said
              key={each}
              words={words}
              value={String(said?.body ?? "")}
              options={bodies.map(([body, name]) => [String(body), name])}
              onSay={(text) => {
                if (text !== "") act({ kind: "turned out", when: each, body: Number(text), off: said?.off ?? "" });
              }}
            />
          );
        })}
      </div>
      <form
        className="flex gap-2 mt-2 no-print"
        onSubmit={(event) => {
          event.preventDefault();
          if (
            off.trim() !== "" &&
            act({ kind: "turned out", when, body: turnedOut.get(when)?.body ?? null, off: off.trim(), holds: turnedOut.get(when)?.holds ?? null })
          )
            setOff("");
        }}
      >
        <select aria-label="When" className={field} value={when} onChange={(event) => setWhen(event.target.value === "hot" ? "hot" : "chilled")}>
          <option value="hot">hot</option>
          <option value="chilled">chilled</option>
        </select>
        <input
          aria-label="What was off"
          placeholder="what was off: a little grainy"
          maxLength={1000}
          className={`${field} flex-1`}
          value={off}
          onChange={(event) => setOff(event.target.value)}
        />
        <button type="submit" className={buttonClass("plain")}>
          Write down
        </button>
      </form>
      {[...turnedOut].map(([each, { off: words }]) =>
        words === "" ? null : (
          <p key={each} className="t-ledger mt-1 first-letter:uppercase">
            {each}: {words}
          </p>
        ),
      )}
    </section>
  );
}

interface SaidProps {
  readonly words: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, words: string])[];
  readonly onSay: (value: string) => void;
}

/** One thing that is said of it, by a word. */
const Said = ({ words, value, options, onSay }: SaidProps) => (
  <label className="flex items-center justify-between gap-3 border-b border-line min-h-12 t-ledger">
    {words}
    <select className={`${field} max-w-60`} value={value} onChange={(event) => onSay(event.target.value)}>
      <option value="">not said</option>
      {options.map(([each, name]) => (
        <option key={each} value={each}>
          {name}
        </option>
      ))}
    </select>
  </label>
);
