"use client";

import { useRouter } from "next/navigation";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { DayAtPlace } from "../../../core/calendar";
import type { Equipment } from "../../../core/household";
import {
  behindOf,
  forecastOf,
  gatheringProblem,
  gatheringProblems,
  minuteOf,
  planKitchen,
  readyAt,
  type Gathering,
  type GatheringPlan,
} from "../../../core/plan";
import type { Eater } from "../../../core/table";
import { servingsText } from "../../../core/units";
import type { GatheringShopping, GatheringSweetView, RuleWords } from "../../../core/views";
import { saveAs } from "../../parts/save-as";
import { sendForText, why as whyOf } from "../../parts/send";
import { useUndoKeys } from "../../parts/use-history";
import type { Revised } from "../../shell/documents";
import { failed, toast } from "../../shell/messages";
import { useSaving } from "../../shell/saving";
import { useDocument } from "../../shell/use-document";
import { useFresh } from "../../shell/use-fresh";
import { clockOf } from "./clock";
import { fitWords } from "./fit-words";
import { handsInAll, rowsOf } from "./plan-rows";
import type { KeptVersion } from "./set-up-props";
import { useMovedPlan } from "./use-moved-plan";
import { usePlan } from "./use-plan";
import { useProof } from "./use-proof";
import { useTicks, type TickData } from "./use-ticks";

/** A gathering as it comes with its page. */
export interface GatheringData {
  readonly id: string;
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
const STEP = "step ";
/** Lateness is planned in steps of so many minutes. */
const LATE_STEP = 5;
const NOT_LAID: GatheringPlan["placed"] = [];
const TOLD_MS = 20_000;

export type GatheringState = ReturnType<typeof useGathering>;

/** A gathering as it is edited, planned and ticked off, and what its pages tell of it. */
export function useGathering({ id, given, plan: stored, sweets, shopping, lost, ticks: givenTicks, live, equipment: said, at }: GatheringData) {
  useFresh(at);
  const router = useRouter();
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

  const there = useMemo(() => {
    const ids = new Set(gathering.sweets.map((sweet) => sweet.id));
    return sweets.filter((sweet) => ids.has(sweet.id));
  }, [gathering.sweets, sweets]);
  const tasks = useMemo(() => there.map(({ plan }) => plan), [there]);
  const steps = tasks.reduce((sum, sweet) => sum + sweet.tasks.length, 0);
  const problems = gatheringProblems(gathering, now, { burners: kitchen.burners, steps });
  const done = useMemo(
    () => new Set([...live.done, ...[...ticks.done].flatMap((what) => (what.startsWith(STEP) ? [what.slice(STEP.length)] : []))]),
    [live.done, ticks.done],
  );
  const ready = readyAt(gathering);
  const going = useMemo(
    () => Object.fromEntries(Object.entries(live.begun).flatMap(([task, moment]) => (done.has(task) ? [] : [[task, minuteOf(moment, ready)]]))),
    [live.begun, done, ready],
  );
  const state = usePlan({ id, gathering, sweets: tasks, equipment, stored, done, going, isPlannable: problems.length === 0 });
  const { plan, clashes } = state;

  const clock = useMemo(() => clockOf(gathering), [gathering]);
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
  const proof = useProof({ problem, placed: plan?.placed ?? NOT_LAID, onProven: state.take });
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
  const burners = gathering.burners ?? kitchen.burners;
  const unread = there.flatMap((sweet) => sweet.unread);
  const late = useMemo(() => forecastOf(problem, plan?.placed ?? [], nowMinute, going).filter((each) => each.late > 0), [problem, plan, nowMinute, going]);
  const isBegun = done.size > 0 || (begin !== null && begin <= nowMinute);

  const { anew: solveAnew } = state;
  // What is late whatever is done is planned for when it can be ready.
  const anew = useCallback(
    () => solveAnew(Object.fromEntries(late.map(({ sweet, late: minutes }) => [sweet, LATE_STEP * Math.ceil(minutes / LATE_STEP)]))),
    [solveAnew, late],
  );
  const isCooking = done.size > 0 || Object.keys(going).length > 0;
  const behind = useMemo(() => {
    // A batch that is on the stove says when its steps begin; ticks say only when they are done.
    const followed = new Set(flat.flatMap((row) => (row.task.sweet in live.batches ? [row.id] : [])));
    return behindOf(plan?.placed ?? [], nowMinute, { done, going, isFollowed: (task) => followed.has(task) });
  }, [plan, nowMinute, done, going, flat, live.batches]);
  const moved = useMovedPlan({
    behind,
    isCooking,
    // What was set by hand is the cook's to let go.
    isFree: problems.length === 0 && state.share === null && !behind.some((task) => task in problem.pinned),
    anew,
    now,
  });

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
  const tickStep = (task: string, isDone: boolean) => ticks.tick(`${STEP}${task}`, isDone);

  return {
    ...{ id, gathering, change, edited, undo, redo, ticks, shopping, lost, live, now, kitchen, problems, there, tasks, done, state, clock, nowMinute, names },
    ...{ problem, proof, rows, flat, pans, stands, hands, begin, burners, unread, late, isBegun, isCooking, moved, anew, calendar, pin, tickStep },
  };
}

/** Now, ms; told again every so often. */
function useNow(first: number): number {
  const [now, setNow] = useState(first);
  useEffect(() => {
    const tell = () => setNow(Date.now());
    tell();
    const timer = setInterval(tell, TOLD_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
