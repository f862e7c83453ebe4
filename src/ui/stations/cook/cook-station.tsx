"use client";

import { useCallback, useDeferredValue, useMemo, useState } from "react";
import {
  lastToTakeBack,
  nextTimer,
  stoveLines,
  stirring,
  stoveState,
  type CookAction,
  type CookHappening,
  type CookPlan,
  type StoveSetUp,
} from "../../../core/cook";
import { formatGrams, lowerFirst, servingsText } from "../../../core/units";
import type { CookGround, StoveView } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { WhyMark } from "../../parts/marks";
import { Sheet } from "../../parts/sheet";
import { spanText } from "../../parts/span-text";
import { useSame } from "../../parts/use-same";
import { Go } from "../../shell/go";
import { useKeys, useKeysOn } from "../../shell/keys";
import { PageHead } from "../../shell/shell";
import { useView } from "../../shell/use-view";
import { AsItStands } from "./as-it-stands";
import { BatchFiles } from "./batch-files";
import { Begin } from "./begin";
import { Devices } from "./devices";
import { AllSteps, Ready, Story, WriteDown } from "./beside";
import { CookDownPanel } from "./cook-down";
import { OwnSweetness } from "./fruit";
import { GoingOn, Hands } from "./going-on";
import { HeldBack } from "./held-back";
import { Ended } from "./ended";
import { AllDone } from "./the-end";
import { TheStep } from "./the-step";
import { Timers } from "./timers";
import type { KeptPhoto } from "./photo";
import { useBatch, type PlacedEvent } from "../../panels/use-batch";
import { useAlarm, useAwake, useClock, useTaught, useTopOf, useVoice } from "./use-stove";
import { WentWrong } from "./went-wrong";
import { WhatNow } from "./what-now";

interface CookStationProps {
  readonly id: string;
  readonly recipeId: string | null;
  readonly plan: CookPlan;
  readonly ground: CookGround;
  readonly events: readonly PlacedEvent[];
  /** What is computed of it as its events were when the page was made. */
  readonly view: StoveView;
  readonly photo: KeptPhoto | null;
  /** Who sits at its table, by name; the house's words for body. */
  readonly names: readonly string[];
  readonly bodies: readonly (readonly [body: number, words: string])[];
}

/** Of what happened, so much is told beside the step. */
const LATEST = 20;
const AWAKE: Readonly<Record<ReturnType<typeof useAwake>["awake"], string>> = {
  "kept on": "The screen stays on",
  "kept on by a video": "The screen stays on while a silent video plays",
  "may go dark": "The screen may go dark: then no alarm can ring",
  off: "",
};

/** Beside the stove: one step at a time in large type, its cues, what waits, what boils away, timers by the clock; and what happened, kept as it happens. */
export function CookStation({ id, recipeId, plan, ground, events, view: given, photo, names, bodies }: CookStationProps) {
  const [said, setSaid] = useState("");
  const voice = useVoice();
  const { say } = voice;
  const onActions = useCallback(
    (actions: readonly CookAction[]) => {
      const words = actions.flatMap((action) => (action.kind === "say" ? [action.words] : [])).join(" ");
      if (words === "") return;
      setSaid(words);
      say(words);
    },
    [say],
  );
  const { session, waiting, why, act: press } = useBatch(id, plan, events, onActions);
  useTaught(session, waiting);
  const { now, missed, onRead } = useClock(session);
  const on = session.steps.find(({ id: each }) => each === session.now);
  const { allowSound } = useAlarm(session, now, on !== undefined && stirring(on, plan, now)?.isDue === true);
  const isOver = session.endedAt !== null;
  const isOn = session.startedAt !== null && session.endedAt === null;
  const { awake, onPress: keepAwake } = useAwake(isOn);
  const [isWrong, setWrong] = useState(false);
  const act = useCallback(
    (happening: CookHappening) => {
      allowSound();
      keepAwake();
      return press(happening);
    },
    [press, allowSound, keepAwake],
  );
  // The step comes first after a press; what stands beside it, and all figures, right behind.
  const later = useDeferredValue(session);
  const lines = useMemo(() => stoveLines(later), [later]);
  const stove = useSame(useMemo(() => stoveState(later), [later]));
  const question = useMemo(() => ({ ...ground, stove }), [ground, stove]);
  const { view, isBehind, why: whyNot } = useView("stove", question, given, false);
  useTopOf(session.now);
  const at = session.steps.findIndex((step) => step.id === session.now);
  const step = session.steps[at];
  const left = session.steps.filter(({ state }) => state === "to come");
  // All but the last lot of a step are done one by one.
  const lotsLeft = step ? (step.planned?.lots ?? 1) - 1 - step.lotsDone : 0;
  const back = lastToTakeBack(session);
  const timer = step ? nextTimer(session, step, at + 1) : null;
  const next = useCallback(() => {
    if (!isOn) return false;
    if (step) act({ kind: lotsLeft > 0 ? "lot done" : "done", step: step.id });
    return step !== undefined;
  }, [act, isOn, step, lotsLeft]);
  const timeIt = useCallback(() => {
    if (!step || !timer || !isOn) return false;
    return act({ kind: "timer started", timer: crypto.randomUUID().slice(0, 8), step: step.id, ...timer });
  }, [act, isOn, step, timer]);
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
  useKeys(keysOn && !isWrong, keys);
  const begin = (setUp: StoveSetUp) => {
    if (act({ kind: "set up", setUp })) act({ kind: "started" });
  };
  const waits = lines.filter((line) => line.waits > 0).map(({ name, waits: grams }) => `${formatGrams(grams)} g ${lowerFirst(name)} that waits`);
  return (
    <>
      <PageHead
        title={plan.title}
        line={`${plan.label === null ? "As handed down" : `“${plan.label}”`}, ${servingsText(plan.servings)}${
          session.endedAt !== null ? ", done" : session.startedAt === null ? ", not begun" : step ? `, step ${at + 1} of ${session.steps.length}` : ""
        }`}
      >
        <span className="t-small text-ink2 flex flex-wrap gap-x-4 items-center no-print" role="status">
          {AWAKE[awake]}
          <span>{waiting === 0 ? "Saved" : `${waiting} not saved yet`}</span>
        </span>
        {voice.isThere && (
          <label className="t-small flex items-center gap-2 min-h-11 cursor-pointer">
            <input type="checkbox" className="size-5" checked={voice.isOn} onChange={voice.onToggle} />
            Read steps aloud
          </label>
        )}
        {recipeId && (
          <Go href={`/recipes/${recipeId}/method`} className="underline min-h-11 inline-flex items-center no-print">
            To the method
          </Go>
        )}
      </PageHead>
      <p className="sr-only" role="status">
        {said}
      </p>
      <main id="main" className="lg:grid lg:grid-cols-[minmax(0,1fr)_404px] pb-[120px]">
        {/* What changes in one of the two is laid out and painted there alone. */}
        <div className="p-4 md:p-6 min-w-0 flex flex-col [contain:content]">
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
          {isOn && <GoingOn session={session} now={now} act={act} />}
          {session.startedAt === null ? (
            <Begin plan={plan} onBegin={begin} />
          ) : session.endedAt !== null ? (
            <>
              <Ended batch={id} photo={photo} session={session} view={view} now={now} waiting={waiting} bodies={bodies} act={act} />
              <Story session={session} />
            </>
          ) : step ? (
            <TheStep session={session} later={later} now={now} />
          ) : (
            <AllDone session={session} onGo={(to) => act({ kind: "went to", step: to })} act={act} />
          )}
          {isOn && <Timers session={session} now={now} act={act} />}
          {step && isOn && left.length > 0 && <Hands key={step.id} step={step.id} names={names} act={act} />}
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
        <aside className="lg:crease-l p-4 md:p-5 [contain:content]" aria-label="Beside the step">
          {isOn && <HeldBack session={later} lines={lines} view={view} act={act} />}
          {isOn && view.cookDown && stove.isCookedDown && view.step === stove.step && <CookDownPanel session={later} of={view.cookDown} now={now} act={act} />}
          {isOn && <Devices session={later} view={view} act={act} />}
          {isOn && <OwnSweetness session={later} view={view} act={act} />}
          {later.startedAt !== null && (
            <AsItStands
              view={view}
              isBehind={isBehind}
              why={whyNot}
              waits={waits.join(", ")}
              end={isOver ? (later.got === null ? "not weighed" : "weighed") : null}
            />
          )}
          {!isOver && <Ready plan={plan} ready={session.ready} act={act} />}
          {later.startedAt !== null && <AllSteps session={later} act={act} />}
          {isOn && <WriteDown session={later} table={ground.table} isCookedDown={stove.isCookedDown} act={act} />}
          {!isOver && <Story session={later} latest={LATEST} />}
          <BatchFiles id={id} title={plan.title} />
        </aside>
        {isOn && (
          <WhatNow
            back={back?.words ?? null}
            timer={timer && `, ${spanText(Math.max(1, Math.round(timer.seconds / 60)))}`}
            next={step ? (lotsLeft > 0 ? `Lot ${step.lotsDone + 1} done` : left.length === 0 ? "Last step done" : "Next") : null}
            onBack={() => back && act({ kind: "taken back", event: back.event })}
            onWrong={() => setWrong(true)}
            onTimer={timeIt}
            onLeaveOut={() => step && act({ kind: "skipped", step: step.id })}
            onNext={next}
          />
        )}
        <Sheet
          open={isWrong && isOn}
          onClose={() => setWrong(false)}
          title="What is wrong with it?"
          above={
            stove.weighed === null
              ? "It was not weighed since something last changed: weigh it first, where you can."
              : `${formatGrams(Math.round(stove.weighed))} g in the pot, as weighed.`
          }
        >
          {() => <WentWrong session={session} ground={ground} act={act} onClose={() => setWrong(false)} />}
        </Sheet>
      </main>
    </>
  );
}
