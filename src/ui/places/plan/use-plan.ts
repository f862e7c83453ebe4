"use client";

import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Equipment } from "../../../core/household";
import {
  gatheringProblem,
  planBounds,
  planKey,
  type Gathering,
  type GatheringPlan,
  type PlanClash,
  type Proven,
  type SolvedPlan,
  type SweetTasks,
} from "../../../core/plan";
import { Cancelled, createBrowserPlanner, type PlanClient } from "../../../workers/client/browser";
import { send, why as whyOf } from "../../parts/send";
import { failed } from "../../shell/messages";

/** What a gathering is planned to by now. */
export interface PlanState {
  readonly plan: GatheringPlan | null;
  readonly clashes: readonly PlanClash[];
  /** While it is solved: how far, 0 to 1; null otherwise. */
  readonly share: number | null;
  readonly why: string | null;
  readonly bounds: ReturnType<typeof planBounds>;
  /** Solves it anew from now on; what is done stays where it was. Sweets that are late by so many minutes, by id, are planned for then. */
  readonly anew: (late?: Readonly<Record<string, number>>) => void;
  /** Takes what was proven of the plan that is shown, and the better one that was found on the way. */
  readonly take: (proven: Proven) => void;
  readonly stop: () => void;
}

interface PlanInput {
  readonly id: string;
  readonly gathering: Gathering;
  readonly sweets: readonly SweetTasks[];
  readonly equipment: Equipment | undefined;
  readonly stored: GatheringPlan | null;
  readonly done: ReadonlySet<string>;
  /** When what goes on just now was begun, minutes by task. */
  readonly going: Readonly<Record<string, number>>;
  /** Nothing is solved while something stands in the way. */
  readonly isPlannable: boolean;
}

const SEED = 1;
/** What is dragged or typed comes to rest before it is solved, ms. */
const REST_MS = 150;

/** What finds no place, while it is still looked for what gives way. */
const unexplained = ({ laid }: SolvedPlan): readonly PlanClash[] => laid.failed.map(({ id, because }) => ({ task: id, because, ways: [] }));

/** What of a plan is done stays where it was. */
const doneOf = (plan: GatheringPlan | null, isDone: ReadonlySet<string>) => (plan?.placed ?? []).filter((row) => isDone.has(row.id));

/** What goes on began when it did; it was solved for the rest of it. */
const begunThen = (placed: GatheringPlan["placed"], going: Readonly<Record<string, number>>): GatheringPlan["placed"] =>
  placed.map((row) => ({ ...row, start: going[row.id] ?? row.start }));

function keep(id: string, plan: GatheringPlan): void {
  send("PUT", `/api/gatherings/${id}/plan`, plan, { limit: 15_000 }).catch((error: unknown) =>
    failed(whyOf(error, "The plan could not be kept: it is solved again when the page is opened."), undefined, "plan"),
  );
}

/** The plan of a gathering: what was solved before where nothing has changed, else solved anew in a worker, and kept. */
export function usePlan({ id, gathering, sweets, equipment, stored, done, going, isPlannable }: PlanInput): PlanState {
  const key = useMemo(() => planKey(gathering, sweets, equipment), [gathering, sweets, equipment]);
  const [known, setKnown] = useState<ReadonlyMap<string, { readonly plan: GatheringPlan; readonly clashes: readonly PlanClash[] }>>(() => new Map());
  const [share, setShare] = useState<number | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const client = useRef<PlanClient | null>(null);
  const running = useRef<AbortController | null>(null);
  const latest = useRef({ gathering, sweets, equipment, done, going, key });
  useEffect(() => {
    latest.current = { gathering, sweets, equipment, done, going, key };
  });

  const all = useMemo(() => sweets.reduce((sum, { tasks }) => sum + tasks.length, 0), [sweets]);
  const isWhole = stored?.key === key && stored.placed.length >= all;
  const found = known.get(key) ?? (isWhole ? { plan: stored, clashes: [] } : null);

  const solve = useCallback(
    (before: GatheringPlan | null, late: Readonly<Record<string, number>> = {}) => {
      running.current?.abort();
      const run = new AbortController();
      running.current = run;
      const { gathering: of, sweets: from, equipment: household, done: isDone, going: goesOn, key: at } = latest.current;
      const problem = gatheringProblem(of, from, { equipment: household, now: Date.now(), done: isDone, going: goesOn, late });
      client.current ??= createBrowserPlanner();
      setShare(0);
      setWhy(null);
      const show = ({ laid }: SolvedPlan, clashes: readonly PlanClash[]): GatheringPlan => {
        const plan: GatheringPlan = { key: at, placed: [...doneOf(before, isDone), ...begunThen(laid.placed, goesOn)], solvedAt: Date.now() };
        setKnown((now) => new Map([...now, [at, { plan, clashes }]]));
        return plan;
      };
      client.current
        .ask(
          { problem, seed: SEED },
          {
            signal: run.signal,
            onProgress: ({ share: far, solved }) => {
              setShare(far);
              if (solved) show(solved, unexplained(solved));
            },
          },
        )
        .then(({ solved, clashes }) => {
          const plan = show(solved, clashes);
          setShare(null);
          keep(id, plan);
        })
        .catch((error: unknown) => {
          if (error instanceof Cancelled) return;
          setShare(null);
          setWhy(whyOf(error, "It could not be planned."));
        });
    },
    [id],
  );

  const isKnown = found !== null;
  useEffect(() => {
    if (isKnown || !isPlannable || all === 0) return;
    const timer = setTimeout(() => solve(stored), REST_MS);
    return () => clearTimeout(timer);
  }, [isKnown, isPlannable, all, key, solve, stored]);
  useEffect(
    () => () => {
      client.current?.close();
      client.current = null;
    },
    [],
  );
  const [opened] = useState(() => Date.now());
  const bounds = useMemo(
    () => planBounds(gatheringProblem(gathering, sweets, { equipment, now: opened, done: new Set() })),
    [gathering, sweets, equipment, opened],
  );
  // Until it is solved anew, what it was before.
  const shown = found?.plan ?? (isPlannable || stored?.key === key ? stored : null);
  return {
    plan: shown,
    clashes: found?.clashes ?? [],
    share,
    why,
    bounds,
    anew: useCallback((late) => solve(shown, late), [solve, shown]),
    take: useCallback(
      ({ laid, latestStart }: Proven) => {
        if (!shown) return;
        const plan = {
          ...shown,
          placed: laid ? [...doneOf(shown, latest.current.done), ...begunThen(laid.placed, latest.current.going)] : shown.placed,
          latestStart,
        };
        setKnown((now) => new Map([...now, [plan.key, { plan, clashes: [] }]]));
        keep(id, plan);
      },
      [shown, id],
    ),
    stop: useCallback(() => {
      running.current?.abort();
      setShare(null);
    }, []),
  };
}
