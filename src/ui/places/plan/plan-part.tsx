"use client";

import { minuteOf, readyAt } from "../../../core/plan";
import { buttonClass } from "../../parts/button";
import { Go } from "../../shell/go";
import { Ahead } from "./ahead";
import { ClashBar } from "./clash-bar";
import { ClockList } from "./clock-list";
import { lengthWords } from "./clock";
import { PlanActions } from "./gathering-bar";
import { Timeline } from "./timeline";
import type { GatheringState } from "./use-gathering";

/** The plan of a gathering: what stands in its way, what it comes to, the timeline and the list by the clock. */
export function PlanPart({ of }: { readonly of: GatheringState }) {
  const { gathering, change, live, now, there, tasks, done, state, clock, nowMinute, names, problem, rows, flat, pans } = of;
  const { stands, hands, begin, burners, late, isBegun, moved, anew, pin, tickStep } = of;
  const { plan, clashes } = state;
  return (
    <>
      <Notes of={of} />
      {plan && flat.length > 0 && (
        <p className="t-ledger mb-3">
          <span className="font-[560]">{lengthWords(hands)} hands on</span> of {lengthWords(begin === null ? 0 : -begin)}, begun{" "}
          {begin === null ? "" : `${clock.dayName(begin)} at ${clock.time(begin)}`}. <HowLate of={of} />
        </p>
      )}
      {stands.length > 0 && (
        <ul className="t-ledger bg-saffron-wash px-3 py-2 mb-4">
          {stands.map(({ id: own, minutes, best }) => (
            <li key={own}>
              {names.get(own)?.title} stands {lengthWords(minutes)} before it is served, {lengthWords(minutes - best)} more than is best for it: keep it covered
              {best <= 120 ? " and warm" : ""}. Two cooks, or another sweet that is served cold, would spare it that.
            </li>
          ))}
        </ul>
      )}
      {clashes.length > 0 && (
        <div className="mb-4">
          <ClashBar
            clashes={clashes}
            tasks={tasks.flatMap((each) => each.tasks)}
            names={new Map([...names].map(([key, { title }]) => [key, title]))}
            gathering={gathering}
            burners={burners}
            onChange={change}
            now={now}
          />
        </div>
      )}
      {moved && !done.has(moved.task) && (
        <p role="status" className="t-ledger bg-saffron-wash px-3 py-2 mb-4">
          Moved at {clock.time(minuteOf(moved.at, readyAt(gathering)))}, as “{flat.find(({ task }) => task.id === moved.task)?.task.words}” was behind the plan.
          Tick what is done, so that the plan knows.
        </p>
      )}
      {late.length > 0 && isBegun && (
        <section aria-label="At risk" role="status" className="border-2 border-rose px-4 py-2 mb-4 t-ledger">
          {late.map(({ sweet, ready: when, late: by }) => (
            <p key={sweet}>
              <span className="font-[560]">{names.get(sweet)?.title}</span>, as it goes, is ready at {clock.time(when)} at the soonest: {lengthWords(by)} late.
            </p>
          ))}
          <button type="button" className={buttonClass("plain", "mt-1")} onClick={anew}>
            Plan anew from now
          </button>
        </section>
      )}
      {plan && flat.length > 0 ? (
        <>
          <div className="hidden md:block print:block">
            <h2 className="sr-only">Timeline</h2>
            <p id="plan-keys" className="sr-only">
              Arrow keys set it to begin five minutes sooner or later, with Shift thirty; Delete lets it go.
            </p>
            <Timeline
              sweets={rows}
              clock={clock}
              nights={problem.kitchen.nights}
              away={problem.kitchen.away}
              now={nowMinute}
              pans={pans}
              done={done}
              pinned={new Set(Object.keys(gathering.pins))}
              hour={gathering.hour}
              onPin={(task, minute) => pin(task, minute === null ? null : clock.stamp(minute))}
            />
          </div>
          <section aria-labelledby="clock-title" className="md:mt-8 max-w-[760px]">
            <h2 id="clock-title" className="t-h2 max-md:sr-only">
              By the clock
            </h2>
            <ClockList
              rows={flat}
              clock={clock}
              now={nowMinute}
              pans={pans}
              done={done}
              pins={gathering.pins}
              batches={live.batches}
              onDone={tickStep}
              onPin={pin}
            />
          </section>
          <div className="md:hidden mt-5">
            <PlanActions of={of} />
          </div>
          <Ahead sweets={there} names={names} />
        </>
      ) : (
        <Nothing of={of} />
      )}
    </>
  );
}

/** How late any plan can begin, as far as it is sure; where this one begins sooner it can be looked for. */
function HowLate({ of: { begin, clock, state, proof, problem, gathering, isCooking } }: { readonly of: GatheringState }) {
  const { plan, bounds, clashes } = state;
  const latest = Math.min(bounds.latestStart, plan?.latestStart ?? Infinity);
  if (begin === null || !Number.isFinite(latest)) return null;
  const isProven = begin >= latest - 0.5;
  // What it is proven of: minutes in two hands are counted for one cook alone.
  const as = plan?.latestStart === undefined ? "" : problem.kitchen.cooks === 1 ? " with as little in two hands and as fresh" : " as fresh";
  const none = `${Object.keys(gathering.pins).length > 0 ? "With what is set by hand no plan" : "No plan"}${as}`;
  const words = isProven
    ? `${none} could begin later.`
    : `${none} begins later than ${clock.dayName(latest)} at ${clock.time(latest)}. That this one has to begin ${lengthWords(latest - begin)} before is not proven.`;
  return (
    <span className="t-small text-ink2">
      The longest way takes {lengthWords(bounds.criticalPath)}. {words}{" "}
      {proof.share !== null ? (
        <span role="status" className="inline-flex items-center gap-3 no-print">
          Looking for a later start
          <progress value={proof.share} max={1} aria-label="Looking for a later start" className="w-32 h-1.5" />
          <button type="button" className="underline min-h-8 text-ink" onClick={proof.stop}>
            Stop
          </button>
        </span>
      ) : (
        !isProven &&
        !isCooking &&
        clashes.length === 0 &&
        plan?.latestStart === undefined &&
        proof.isOffered && (
          <button type="button" className="underline min-h-8 text-ink no-print" onClick={proof.look}>
            Look for a later start
          </button>
        )
      )}
      {proof.why !== null && <span role="alert"> {proof.why}</span>}
    </span>
  );
}

function Notes({ of: { id, problems, lost, names, kitchen, state, flat, anew } }: { readonly of: GatheringState }) {
  return (
    <>
      {state.why !== null && (
        <p role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger mb-3">
          {state.why}{" "}
          <button type="button" className="underline min-h-8" onClick={anew}>
            Try again
          </button>
        </p>
      )}
      {problems.map(({ field, words }) => (
        <p key={words} role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger mb-3">
          {words}{" "}
          <Go href={`/plan/${id}/setup`} className="underline">
            {field === "day" ? "Give another day" : "Change it"}
          </Go>
        </p>
      ))}
      {lost.map(({ id: own, why }) => (
        <p key={own} role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger mb-3">
          {names.get(own)?.title}: {why} It is not in the plan.
        </p>
      ))}
      {kitchen.tooWide.length > 0 && (
        <p className="t-small bg-saffron-wash px-3 py-2 mb-3">Wider than a burner of a home bears, and left out of the plan: {kitchen.tooWide.join(", ")}.</p>
      )}
      {flat.length > 0 && !kitchen.isSaid && (
        <p className="t-small bg-saffron-wash px-3 py-2 mb-3">
          Planned with two burners and pans enough, as nobody has said with what you cook.{" "}
          <Go href="/household#equipment" className="underline">
            Say it
          </Go>
        </p>
      )}
    </>
  );
}

/** Where there is nothing to plan yet. */
function Nothing({
  of: {
    id,
    gathering,
    problems,
    state: { share },
  },
}: {
  readonly of: GatheringState;
}) {
  if (problems.length > 0) return null;
  if (gathering.sweets.length > 0 && share !== null) return <p className="t-ledger text-ink2">The first plan is there within a second.</p>;
  return (
    <div className="max-w-[62ch]">
      <h2 className="t-h1">{gathering.sweets.length === 0 ? "Which sweets?" : "Nothing to plan"}</h2>
      <p className="mt-2">
        {gathering.sweets.length === 0
          ? "Say who eats and put sweets on the table: kept versions, or recipes as handed down. From their steps the plan is solved backwards from the hour at which all is served."
          : "The sweets that are on it have no steps to plan by. Add them at the Recipe station."}
      </p>
      <p className="mt-4">
        <Go href={`/plan/${id}/setup`} className={buttonClass("primary")}>
          Table and sweets
        </Go>
      </p>
    </div>
  );
}
