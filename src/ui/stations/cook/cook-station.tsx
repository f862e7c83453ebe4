"use client";

import { useCallback, useMemo, useState } from "react";
import { lastToTakeBack, type CookAction, type CookHappening, type CookPlan } from "../../../core/cook";
import { formatGrams, servingsText } from "../../../core/units";
import { CueCard } from "../../parts/cue-card";
import { buttonClass } from "../../parts/button";
import { WhyMark } from "../../parts/marks";
import { readTyped } from "../../parts/amount-field";
import { spanText } from "../../parts/span-text";
import { Go } from "../../shell/go";
import { useKeys, useKeysOn } from "../../shell/keys";
import { PageHead } from "../../shell/shell";
import { AllSteps, Ready, Story, WriteDown } from "./beside";
import { Timers } from "./timers";
import { useBatch, type PlacedEvent } from "./use-batch";
import { useAlarm, useAwake, useClock } from "./use-stove";

interface CookStationProps {
  readonly id: string;
  readonly recipeId: string | null;
  /** Null for the recipe as handed down. */
  readonly versionId: string | null;
  readonly plan: CookPlan;
  readonly events: readonly PlacedEvent[];
}

const attention = { "hands on": "hands on", "now and then": "stir now and then", unattended: "goes by itself" } as const;

/** Beside the stove: one step at a time in large type, its cues, timers by the clock, and what happened, kept as it happens. */
export function CookStation({ id, recipeId, versionId, plan, events }: CookStationProps) {
  const [said, setSaid] = useState("");
  const onActions = useCallback((actions: readonly CookAction[]) => {
    const words = actions.flatMap((action) => (action.kind === "say" ? [action.words] : []));
    if (words.length > 0) setSaid(words.join(" "));
  }, []);
  const { session, waiting, why, act: press } = useBatch(id, plan, events, onActions);
  const { now, missed, onRead } = useClock(session);
  const { allowSound } = useAlarm(session, now);
  const isOn = session.startedAt !== null && session.endedAt === null;
  const awake = useAwake(isOn);
  const act = useCallback(
    (happening: CookHappening) => {
      allowSound();
      return press(happening);
    },
    [press, allowSound],
  );
  const at = session.steps.findIndex((step) => step.id === session.now);
  const step = session.steps[at];
  const left = session.steps.filter(({ state }) => state === "to come");
  const back = lastToTakeBack(session);
  const weighed = session.weighings.at(-1)?.grams;
  const next = useCallback(() => {
    if (!isOn) return false;
    if (step) act({ kind: "done", step: step.id });
    return step !== undefined;
  }, [act, isOn, step]);
  const timeIt = useCallback(() => {
    if (!step || !isOn) return false;
    const seconds = Math.round(60 * (step.planned?.minutes.usual ?? 5));
    return act({ kind: "timer started", timer: crypto.randomUUID().slice(0, 8), step: step.id, label: `Step ${at + 1}`, seconds: Math.max(1, seconds) });
  }, [act, at, isOn, step]);
  const [keysOn] = useKeysOn();
  const keys = useMemo(() => {
    const outsideOfButtons = (work: () => unknown) => () => (document.activeElement?.closest("button, a, summary") ? false : work());
    return {
      Space: outsideOfButtons(next),
      Enter: outsideOfButtons(next),
      Backspace: () => (back ? act({ kind: "taken back", event: back.event }) : false),
      t: timeIt,
      w: () => {
        document.getElementById("weigh")?.focus();
        return true;
      },
    };
  }, [next, back, act, timeIt]);
  useKeys(keysOn, keys);
  const planned = step?.planned ?? null;
  return (
    <>
      <PageHead
        title={plan.title}
        line={`${plan.label === null ? "As handed down" : `“${plan.label}”`}, ${servingsText(plan.servings)}${
          session.endedAt !== null ? ", done" : session.startedAt === null ? ", not begun" : step ? `, step ${at + 1} of ${session.steps.length}` : ""
        }`}
      >
        <span className="t-small text-ink2 flex flex-wrap gap-x-4 items-center" role="status">
          {isOn && (awake === "kept on" ? "The screen stays on" : awake === "may go dark" ? "The screen may go dark: then no alarm can ring" : "")}
          <span>{waiting === 0 ? "Saved" : `${waiting} not saved yet`}</span>
        </span>
        {recipeId && (
          <Go href={`/recipes/${recipeId}/method`} className="underline min-h-11 inline-flex items-center">
            To the method
          </Go>
        )}
      </PageHead>
      <p className="sr-only" role="status">
        {said}
      </p>
      <main id="main" className="lg:grid lg:grid-cols-[minmax(0,1fr)_404px] pb-[120px]">
        <div className="p-4 md:p-6 min-w-0">
          {missed.length > 0 && (
            <div role="alert" className="bg-saffron-wash border border-saffron px-3 py-2 mb-4 flex flex-wrap gap-3 items-center justify-between">
              <p>While the screen slept, time was up for {missed.map(({ label }) => label).join(", ")}.</p>
              <button type="button" className={buttonClass("plain")} onClick={onRead}>
                Understood
              </button>
            </div>
          )}
          {(plan.notFor.length > 0 || plan.unread > 0) && (
            <p className="bg-rose-wash text-rose px-3 py-2 mb-4 flex gap-2">
              <WhyMark kind="conflict" />
              <span>
                {plan.notFor.length > 0 && `Not for ${plan.notFor.join(", ")}. `}
                {plan.unread > 0 && `${plan.unread} ${plan.unread === 1 ? "line" : "lines"} of the recipe not read.`}
              </span>
            </p>
          )}
          {why && (
            <p role="alert" className="bg-rose-wash text-rose px-3 py-2 mb-4">
              {why}
            </p>
          )}
          {session.startedAt === null ? (
            <Begin plan={plan} onBegin={() => act({ kind: "started" })} />
          ) : session.endedAt !== null ? (
            <Ended session={session} onAgain={() => act({ kind: "taken up again" })} />
          ) : step ? (
            <section aria-label="The step" aria-live="off">
              <p className="t-ledger text-ink2 flex flex-wrap gap-x-4">
                <span className="font-[590] text-ink">
                  Step {at + 1} of {session.steps.length}
                </span>
                {planned?.part && <span>{planned.part}</span>}
                {planned && planned.minutes.usual > 0 && <span>about {spanText(planned.minutes.usual)}</span>}
                {planned && <span>{attention[planned.attention]}</span>}
                {step.began !== null && now > step.began + 60_000 && <span>on for {spanText(Math.floor((now - step.began) / 60_000))}</span>}
              </p>
              <p className="mt-2 font-[600] [font-stretch:92%] leading-[1.08] text-[clamp(30px,8.6vw,39px)] md:text-[52px] xl:text-[60px] t-frac text-balance">
                {step.text}
              </p>
              {planned?.cue && <p className="mt-3 text-[20px] text-ink2">Until {planned.cue}.</p>}
              {planned?.atOnce && <p className="mt-2 text-[18px]">Both hands at once. {planned.atOnce}</p>}
              {planned?.cues.map((cue) => (
                <CueCard key={`${step.id} ${cue.id}`} cue={cue} />
              ))}
              {planned?.hazards.map(({ what, mend }) => (
                <p key={what} className="mt-2 flex gap-2 max-w-[70ch]">
                  <WhyMark kind="ask" />
                  <span>
                    {what} {mend}
                  </span>
                </p>
              ))}
            </section>
          ) : (
            <AllDone session={session} onGo={(to) => act({ kind: "went to", step: to })} onEnd={(grams) => act({ kind: "ended", grams })} />
          )}
          {isOn && <Timers session={session} now={now} act={act} />}
          {step && isOn && (
            <p className="md:hidden mt-3">
              <button type="button" className="underline min-h-11" onClick={() => act({ kind: "skipped", step: step.id })}>
                Leave this step out
              </button>
            </p>
          )}
          {left.length > 0 && step && isOn && (
            <p className="mt-4 t-ledger text-ink2">
              Next: <span className="t-frac">{left[0]?.text}</span>
            </p>
          )}
        </div>
        <aside className="lg:crease-l p-4 md:p-5" aria-label="Beside the step">
          <Ready session={session} act={act} />
          {session.startedAt !== null && <AllSteps session={session} act={act} />}
          {isOn && <WriteDown session={session} act={act} />}
          <Story session={session} />
        </aside>
        {isOn && (
          <div
            className="no-print fixed z-20 inset-x-0 bottom-[50px] md:bottom-0 md:left-[76px] lg:left-[88px] h-14 md:h-[88px] bg-ground border-t border-ink flex"
            role="group"
            aria-label="What to do now"
          >
            <button
              type="button"
              disabled={!back}
              aria-label={back?.words ?? "Take back"}
              className="px-2 md:px-3 min-w-16 max-w-64 border-r border-line t-ledger hover:bg-pressed disabled:text-edge"
              onClick={() => back && act({ kind: "taken back", event: back.event })}
            >
              <span className="max-md:hidden">{back?.words ?? "Take back"}</span>
              <span className="md:hidden">Take back</span>
            </button>
            {recipeId && (
              <Go
                className="px-2 md:px-3 min-w-16 border-r border-line grid place-items-center text-rose hover:bg-pressed"
                href={`/recipes/${recipeId}/rescue?${versionId === null ? "handed-down=yes" : `version=${versionId}`}${weighed === undefined ? "" : `&grams=${Math.round(weighed)}`}`}
              >
                Wrong?
              </Go>
            )}
            <button type="button" disabled={!step} className="px-2 md:px-3 min-w-16 border-r border-line hover:bg-pressed disabled:text-edge" onClick={timeIt}>
              Timer
              {step?.planned && step.planned.minutes.usual > 0 && <span className="max-md:hidden">, {spanText(step.planned.minutes.usual)}</span>}
            </button>
            <button
              type="button"
              disabled={!step}
              className="px-3 min-w-20 border-r border-line hover:bg-pressed disabled:text-edge max-md:hidden"
              onClick={() => step && act({ kind: "skipped", step: step.id })}
            >
              Leave out
            </button>
            <button type="button" disabled={!step} className="flex-1 min-w-28 bg-ink text-sheet text-[22px] font-[590] disabled:bg-edge" onClick={next}>
              {step && left.length === 0 ? "Last step done" : "Next"}
            </button>
          </div>
        )}
      </main>
    </>
  );
}

/** Before it begins: for how many, and what has to be known of alarms. */
const Begin = ({ plan, onBegin }: { readonly plan: CookPlan; readonly onBegin: () => void }) => {
  const minutes = plan.steps.reduce((sum, { minutes: { usual }, isBefore }) => sum + (isBefore ? 0 : usual), 0);
  return (
    <section aria-label="Begin">
      <p className="text-[22px] leading-[1.3] max-w-[40ch]">
        {plan.steps.length} steps, about {spanText(minutes)}. Get everything ready first; what is ticked stays ticked.
      </p>
      {plan.steps.some(({ isBefore }) => isBefore) && (
        <p className="mt-3 max-w-[60ch]">
          Hours before:{" "}
          {plan.steps
            .filter(({ isBefore }) => isBefore)
            .map(({ text }) => text)
            .join(" ")}
        </p>
      )}
      <p className="mt-3 t-ledger text-ink2 max-w-[64ch]">
        Timers run by the clock. While the screen sleeps no alarm can ring; what was missed is said first of all when it wakes.
      </p>
      <button type="button" className={buttonClass("primary", "mt-5 min-h-14 px-10 text-[20px]")} onClick={onBegin}>
        Begin
      </button>
    </section>
  );
};

interface AllDoneProps {
  readonly session: ReturnType<typeof useBatch>["session"];
  readonly onGo: (step: string) => void;
  readonly onEnd: (grams: number | null) => void;
}

/** No step comes next: those that were gone past, what all of it weighs, and the end. */
function AllDone({ session: { plan, steps }, onGo, onEnd }: AllDoneProps) {
  const past = steps.filter(({ state }) => state === "to come");
  const [text, setText] = useState("");
  const read = text.trim() === "" ? null : readTyped(text, 1);
  const why = read && "why" in read ? read.why : null;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (why === null) onEnd(read && "value" in read ? read.value : null);
      }}
    >
      <p className="text-[30px] font-[600] leading-tight">{past.length === 0 ? "No step is left." : "These were gone past:"}</p>
      {past.length > 0 && (
        <ul className="mt-2 border-t border-ink">
          {past.map(({ id, text: words }) => (
            <li key={id} className="border-b border-line">
              <button type="button" className="w-full text-left py-2 min-h-11 underline t-frac" onClick={() => onGo(id)}>
                {words}
              </button>
            </li>
          ))}
        </ul>
      )}
      <label className="block mt-4">
        What all of it weighs, g, without the pan
        <input
          inputMode="decimal"
          className="block border border-edge bg-sheet px-2 min-h-14 w-40 text-[22px] t-figure"
          value={text}
          aria-invalid={why !== null}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <p className={`t-ledger ${why ? "text-rose" : "text-ink2"}`} role={why ? "alert" : undefined}>
        {why ?? `By plan ${formatGrams(plan.grams)} g. Left empty where it was not weighed.`}
      </p>
      <button type="submit" className={buttonClass("primary", "mt-4 min-h-14 px-8")}>
        It is done
      </button>
    </form>
  );
}

const Ended = ({ session: { plan, got, steps }, onAgain }: { readonly session: ReturnType<typeof useBatch>["session"]; readonly onAgain: () => void }) => {
  const took = steps.reduce((sum, step) => sum + (step.took ?? 0), 0);
  return (
    <section aria-label="Done">
      <p className="text-[30px] font-[600] leading-tight">Done.</p>
      <p className="mt-2 text-[20px] max-w-[52ch]">
        {got === null ? "It was not weighed." : `${formatGrams(got)} g, ${formatGrams(plan.grams)} g by plan.`}
        {took >= 1 ? ` The steps took ${spanText(Math.round(took))}.` : ""}
      </p>
      <button type="button" className={buttonClass("plain", "mt-4")} onClick={onAgain}>
        Take it up again
      </button>
    </section>
  );
};
