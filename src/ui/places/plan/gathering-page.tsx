"use client";

import { useRouter } from "next/navigation";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { dayWords, type DayAtPlace } from "../../../core/calendar";
import type { Equipment } from "../../../core/household";
import {
  forecastOf,
  gatheringProblem,
  gatheringProblems,
  minuteOf,
  peopleOf,
  planKitchen,
  readyAt,
  type Gathering,
  type GatheringPlan,
} from "../../../core/plan";
import type { Eater } from "../../../core/table";
import { servingsText } from "../../../core/units";
import type { GatheringShopping, GatheringSweetView, RuleWords } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { PageColumns } from "../../parts/page-columns";
import { PrintButton } from "../../parts/print-button";
import { saveAs } from "../../parts/save-as";
import { sendForText, why as whyOf } from "../../parts/send";
import { UndoButtons } from "../../parts/undo-buttons";
import { useUndoKeys } from "../../parts/use-history";
import type { Revised } from "../../shell/documents";
import { Go } from "../../shell/go";
import { failed, toast } from "../../shell/messages";
import { SaveNotice } from "../../shell/save-notice";
import { useSaving } from "../../shell/saving";
import { PageHead } from "../../shell/shell";
import { useDelete } from "../../shell/use-delete";
import { useDocument } from "../../shell/use-document";
import { useFresh } from "../../shell/use-fresh";
import { Ahead } from "./ahead";
import { ClashBar } from "./clash-bar";
import { ClockList } from "./clock-list";
import { clockOf, lengthWords } from "./clock";
import { handsInAll, rowsOf } from "./plan-rows";
import { fitWords, SetUp, type KeptVersion } from "./set-up";
import { ShoppingActions, ShoppingList } from "./shopping";
import { Timeline } from "./timeline";
import { usePlan } from "./use-plan";
import { useTicks, type TickData } from "./use-ticks";

export const PARTS = ["timeline", "setup", "shopping"] as const;
export type Part = (typeof PARTS)[number];
const PART_NAMES: Readonly<Record<Part, string>> = { timeline: "Timeline", setup: "Table and sweets", shopping: "Shopping" };

export interface GatheringPageProps {
  readonly id: string;
  readonly show: Part;
  readonly given: Revised<Gathering>;
  readonly plan: GatheringPlan | null;
  readonly sweets: readonly GatheringSweetView[];
  readonly lost: readonly { readonly id: string; readonly why: string }[];
  readonly shopping: GatheringShopping;
  readonly ticks: readonly TickData[];
  readonly live: { readonly done: readonly string[]; readonly begun: Readonly<Record<string, number>>; readonly batches: Readonly<Record<string, string>> };
  readonly equipment: Equipment | null;
  readonly eaters: readonly Eater[];
  readonly rules: readonly RuleWords[];
  readonly versions: readonly KeptVersion[];
  readonly dayAt: DayAtPlace | null;
  /** When this was put together, ms. */
  readonly at: number;
}

const same = (gathering: Gathering): Gathering => gathering;
const stepKey = (task: string): string => `step ${task}`;
const MINUTE_MS = 20_000;

/** A gathering: its timeline and the list by the clock, its table and sweets, its shopping. */
export function GatheringPage({
  id,
  show,
  given,
  plan: stored,
  sweets,
  lost,
  shopping,
  ticks: givenTicks,
  live,
  equipment: said,
  eaters,
  rules,
  versions,
  dayAt,
  at,
}: GatheringPageProps) {
  useFresh(at);
  const router = useRouter();
  const { remove } = useDelete();
  const { flush } = useSaving();
  const edited = useDocument(`/api/gatherings/${id}`, given, same, same);
  useUndoKeys(edited);
  const { present: gathering, set, undo, redo, revision } = edited;
  const change = useCallback((part: Partial<Gathering>, key?: string) => set((now) => ({ ...now, ...part }), key), [set]);
  const ticks = useTicks(id, givenTicks);
  const now = useNow(at);
  const equipment = said ?? undefined;

  // What is worked out for its sweets comes from the server: asked anew once what was changed of them is saved.
  const asked = useMemo(
    () =>
      JSON.stringify([
        gathering.sweets.map(({ id: own, recipe, version, servings }) => [own, recipe, version, servings]),
        gathering.eaters,
        gathering.guests,
        gathering.day,
      ]),
    [gathering],
  );
  const shown = useRef(asked);
  useEffect(() => {
    if (revision === null || shown.current === asked) return;
    shown.current = asked;
    router.refresh();
  }, [asked, revision, router]);

  const kitchen = planKitchen(equipment);
  const problems = gatheringProblems(gathering, now, kitchen);
  const there = useMemo(() => {
    const ids = new Set(gathering.sweets.map((sweet) => sweet.id));
    return sweets.filter((sweet) => ids.has(sweet.id));
  }, [gathering.sweets, sweets]);
  const tasks = useMemo(() => there.map(({ plan }) => plan), [there]);
  const done = useMemo(
    () => new Set([...live.done, ...[...ticks.done].flatMap((what) => (what.startsWith("step ") ? [what.slice(5)] : []))]),
    [live.done, ticks.done],
  );
  const state = usePlan({ id, gathering, sweets: tasks, equipment, stored, done, isPlannable: problems.length === 0 });
  const { plan, clashes, share, bounds } = state;

  const clock = useMemo(() => clockOf(gathering), [gathering]);
  const ready = readyAt(gathering);
  const nowMinute = minuteOf(now, ready);
  const names = useMemo(
    () =>
      new Map(
        gathering.sweets.map((sweet) => {
          const view = there.find((each) => each.id === sweet.id);
          return [sweet.id, { title: sweet.title, line: `${servingsText(sweet.servings)}, ${view ? fitWords(view.may) : ""}` }] as const;
        }),
      ),
    [gathering.sweets, there],
  );
  const problem = useMemo(() => gatheringProblem(gathering, tasks, { equipment, now, done }), [gathering, tasks, equipment, now, done]);
  // What is set by hand stands there at once; the rest follows when it is solved.
  const rows = useMemo(() => {
    const placed = (plan?.placed ?? []).map((row) => {
      const start = problem.pinned[row.id] ?? row.start;
      return { ...row, start, end: start + row.end - row.start };
    });
    return rowsOf(tasks, placed, names);
  }, [tasks, plan, names, problem.pinned]);
  const flat = useMemo(() => rows.flatMap((sweet) => sweet.rows), [rows]);
  const pans = useMemo(() => new Map(kitchen.pans.map((pan) => [pan.id, pan.name] as const)), [kitchen.pans]);
  const stands = problem.sweets.flatMap(({ id: own, due, best }) => {
    const ends = flat.flatMap(({ task, end }) => (task.sweet === own ? [end] : []));
    const minutes = ends.length === 0 ? 0 : due - Math.max(...ends);
    return best !== null && minutes > best && clashes.length === 0 ? [{ id: own, minutes, best }] : [];
  });
  const hands = handsInAll(flat);
  const begin = flat.length > 0 ? Math.min(...flat.map(({ start }) => start)) : null;
  const people = peopleOf(gathering);
  const burners = gathering.burners ?? kitchen.burners;
  const unread = there.flatMap((sweet) => sweet.unread);
  const late = useMemo(
    () =>
      forecastOf(
        problem,
        plan?.placed ?? [],
        nowMinute,
        Object.fromEntries(Object.entries(live.begun).map(([task, moment]) => [task, minuteOf(moment, ready)])),
      ).filter((each) => each.late > 0),
    [problem, plan, nowMinute, live.begun, ready],
  );
  const isBegun = done.size > 0 || (begin !== null && begin <= nowMinute);

  const calendar = () =>
    void flush()
      .then(() => sendForText(`/api/gatherings/${id}/calendar`, {}))
      .then(({ text }) => {
        saveAs(`${gathering.title.replace(/[^\p{L}\p{N}]+/gu, "-")}.ics`, text, "text/calendar");
        toast("Saved as a calendar file. Open it again after a change: entries move, none comes twice.");
      })
      .catch((error: unknown) => failed(whyOf(error, "The calendar file could not be made.")));
  const pin = (task: string, stamp: string | null) => {
    const { [task]: _, ...others } = gathering.pins;
    change({ pins: stamp === null ? others : { ...others, [task]: stamp } }, `pin ${task}`);
  };
  const tickStep = (task: string, isDone: boolean) => ticks.tick(stepKey(task), isDone);

  const line = [
    `${dayWords(gathering.day)}, served ${gathering.hour}`,
    ...(dayAt?.moonrise && dayAt.day === gathering.day ? [`moonrise ${dayAt.moonrise}`] : []),
    people === 1 ? "1 person" : `${people} people`,
    gathering.sweets.length === 1 ? "1 sweet" : `${gathering.sweets.length} sweets`,
    `${gathering.cooks === 1 ? "one cook" : `${gathering.cooks} cooks`}, ${burners === 1 ? "one burner" : `${burners} burners`}`,
  ].join(", ");
  return (
    <>
      <PageHead title={gathering.title} line={line}>
        <nav aria-label="Of this gathering" className="no-print">
          <ul className="flex gap-1">
            {PARTS.map((part) => (
              <li key={part}>
                <Go
                  href={part === "timeline" ? `/plan/${id}` : `/plan/${id}/${part}`}
                  aria-current={part === show ? "page" : undefined}
                  className={`inline-flex items-center min-h-11 px-3 text-[15px] border-b-4 ${part === show ? "border-saffron-fill font-[600]" : "border-transparent hover:border-line"}`}
                >
                  {PART_NAMES[part]}
                </Go>
              </li>
            ))}
          </ul>
        </nav>
      </PageHead>
      {show === "shopping" ? (
        <main id="main" className="p-4 md:p-5 max-w-[720px]">
          {bar()}
          <h2 className="sr-only">Shopping</h2>
          <ShoppingList gathering={gathering} shopping={shopping} unread={unread} ticks={ticks} />
          <div className="flex flex-wrap gap-2 items-end">
            <ShoppingActions id={id} gathering={gathering} shopping={shopping} unread={unread} isHere />
            <PrintButton />
          </div>
        </main>
      ) : show === "setup" ? (
        <main id="main" className="p-4 md:p-5">
          {bar()}
          <SetUp {...{ gathering, eaters, rules, versions, lost, dayAt, problems }} sweets={there} burners={kitchen.burners} set={change} />
          <p className="mt-8 no-print">
            <button
              type="button"
              className="underline t-ledger text-rose min-h-11"
              onClick={() => remove("gatherings", id, gathering.title, () => router.push("/plan"))}
            >
              Delete this gathering
            </button>
          </p>
        </main>
      ) : (
        <PageColumns className="plan-columns">
          <div className="p-4 md:p-5 min-w-0">
            {bar()}
            {notes()}
            {plan && flat.length > 0 && (
              <p className="t-ledger mb-3">
                <span className="font-[560]">{lengthWords(hands)} hands on</span> of {lengthWords(begin === null ? 0 : -begin)}, begun{" "}
                {begin === null ? "" : `${clock.dayName(begin)} at ${clock.time(begin)}`}.{" "}
                <span className="t-small text-ink2">
                  {begin !== null && begin >= bounds.latestStart - 0.5
                    ? "No plan could begin later."
                    : `The longest way takes ${lengthWords(bounds.criticalPath)}: no plan begins later than ${clock.dayName(bounds.latestStart)} at ${clock.time(bounds.latestStart)}. That this one has to begin ${lengthWords(bounds.latestStart - (begin ?? 0))} before is not proven.`}
                </span>
              </p>
            )}
            {stands.length > 0 && (
              <ul className="t-ledger bg-saffron-wash px-3 py-2 mb-4">
                {stands.map(({ id: own, minutes, best }) => (
                  <li key={own}>
                    {names.get(own)?.title} stands {lengthWords(minutes)} before it is served, {lengthWords(minutes - best)} more than is best for it: keep it
                    covered and warm. Two cooks, or another sweet that is served cold, would spare it that.
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
                  burners={gathering.burners ?? kitchen.burners}
                  onChange={change}
                  now={now}
                />
              </div>
            )}
            {late.length > 0 && isBegun && (
              <section aria-label="At risk" role="status" className="border-2 border-rose px-4 py-2 mb-4 t-ledger">
                {late.map(({ sweet, ready: when, late: by }) => (
                  <p key={sweet}>
                    <span className="font-[560]">{names.get(sweet)?.title}</span>, as it goes, is ready at {clock.time(when)} at the soonest: {lengthWords(by)}{" "}
                    late.
                  </p>
                ))}
                <button type="button" className={buttonClass("plain", "mt-1")} onClick={state.anew}>
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
                <div className="md:hidden mt-5">{actions()}</div>
                <Ahead sweets={there} names={names} />
              </>
            ) : (
              empty()
            )}
          </div>
          <aside aria-label="Shopping" className="crease-l p-4 md:p-5 max-lg:border-t max-lg:border-line print:hidden">
            <h2 className="t-h2 mb-2">Shopping</h2>
            <ShoppingList gathering={gathering} shopping={shopping} unread={unread} ticks={ticks} />
            <ShoppingActions id={id} gathering={gathering} shopping={shopping} unread={unread} />
          </aside>
        </PageColumns>
      )}
    </>
  );

  function bar() {
    return (
      <div className="flex flex-wrap justify-end items-center gap-3 mb-3 no-print">
        {share !== null && (
          <span role="status" className="inline-flex items-center gap-3 t-small mr-auto">
            Planning
            <progress value={share} max={1} aria-label="Planning" className="w-32 h-1.5" />
            <button type="button" className="underline min-h-8" onClick={state.stop}>
              Stop
            </button>
          </span>
        )}
        {show === "timeline" && <div className="mr-auto max-md:hidden">{actions()}</div>}
        <UndoButtons undo={undo} redo={redo} />
        <SaveNotice document={edited} />
      </div>
    );
  }
  function actions() {
    if (flat.length === 0 || share !== null) return null;
    return (
      <span className="flex flex-wrap gap-2 no-print">
        <button type="button" className={buttonClass("plain")} onClick={calendar}>
          Into the calendar
        </button>
        <PrintButton />
        {isBegun && late.length === 0 && (
          <button type="button" className={buttonClass("plain")} onClick={state.anew}>
            Plan anew from now
          </button>
        )}
      </span>
    );
  }
  function notes() {
    return (
      <>
        {state.why !== null && (
          <p role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger mb-3">
            {state.why}{" "}
            <button type="button" className="underline min-h-8" onClick={state.anew}>
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
  function empty() {
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
}

/** Now, ms; told again every so often. */
function useNow(first: number): number {
  const [now, setNow] = useState(first);
  useEffect(() => {
    const tell = () => setNow(Date.now());
    tell();
    const timer = setInterval(tell, MINUTE_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
