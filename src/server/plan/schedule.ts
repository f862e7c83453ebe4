import { orderProblem, planBounds, type GivesWay, type PlanProblem, type PlanTask, type Window } from "../../core/plan";
import { checked } from "../http/checked";
import { Refusal, type ProblemError } from "../http/problems";
import { validateSchedule, type ScheduleRequest } from "../http/schemas/schedule";
import { planOnServer } from "./planning";

const MINUTE = 60_000;
/** A plan goes no further back than so many days. */
const MOST_DAYS = 30;
const idOf = (sweet: string, step: string): string => `${sweet}\n${step}`;

/** Answers a question of the open interface: when each step of each sweet is begun, in which pan, the bounds that are sure, and what clashes. */
export async function scheduleAnswer(body: unknown, left: AbortSignal, now = Date.now()): Promise<object> {
  const request = checked(validateSchedule, body);
  const ready = momentOf(request.ready, "/ready");
  const problem = problemOf(request, ready, now);
  const { solved, clashes } = await planOnServer({ problem, seed: request.seed ?? 1 }, left);
  const { laid, score } = solved;
  const at = (minute: number): string => new Date(ready + minute * MINUTE).toISOString();
  const named = (id: string) => {
    const [sweet = "", step = ""] = id.split("\n");
    return { sweet, step };
  };
  const bounds = planBounds(problem);
  return {
    kind: clashes.length === 0 ? "planned" : "clash",
    begin: laid.placed.length > 0 ? at(Math.min(...laid.placed.map(({ start }) => start))) : null,
    steps: laid.placed.toSorted((a, b) => a.start - b.start).map(({ id, start, end, pan }) => ({ ...named(id), start: at(start), end: at(end), pan })),
    bounds: {
      criticalPath_min: bounds.criticalPath,
      chain: bounds.chain.map(named),
      handsInAll_min: bounds.handsInAll,
      latestBegin: Number.isFinite(bounds.latestStart) ? at(bounds.latestStart) : null,
    },
    twoThingsInHand_min: score.twoInHand,
    clashes: clashes.map(({ task, because, ways }) => ({ ...named(task), because, givesWay: ways.map(wayOf) })),
  };
}

const wayOf = (way: GivesWay): object =>
  way.kind === "pan"
    ? { kind: "pan", ml: way.ml }
    : way.kind === "fridge"
      ? { kind: "fridge", litres: way.litres }
      : way.kind === "sooner" || way.kind === "later"
        ? { kind: way.kind, minutes: way.minutes }
        : { kind: way.kind };

function momentOf(text: string, pointer: string): number {
  const moment = Date.parse(text);
  if (Number.isNaN(moment)) throw new Refusal(422, "There is no such moment.", [{ pointer, detail: "Give day, hour and zone: 2026-12-05T19:30:00+05:30." }]);
  return moment;
}

function problemOf({ sweets, kitchen, pinned = [], now: asked }: ScheduleRequest, ready: number, clock: number): PlanProblem {
  const errors: ProblemError[] = [];
  const now = asked === undefined ? clock : momentOf(asked, "/now");
  const minuteOf = (moment: number) => Math.round((moment - ready) / MINUTE);
  if (ready < now) errors.push({ pointer: "/ready", detail: "That is past: give a moment to come." });
  if (ready - now > MOST_DAYS * 24 * 60 * MINUTE) errors.push({ pointer: "/ready", detail: `A plan goes no further than ${MOST_DAYS} days.` });
  const windows = (of: readonly { readonly from: string; readonly to: string }[] | undefined, pointer: string): readonly Window[] =>
    (of ?? []).map(({ from, to }, i) => {
      const window = { from: minuteOf(momentOf(from, `${pointer}/${i}/from`)), to: minuteOf(momentOf(to, `${pointer}/${i}/to`)) };
      if (window.to <= window.from) errors.push({ pointer: `${pointer}/${i}`, detail: "It ends before it begins." });
      return window;
    });
  const twice = (ids: readonly string[], pointer: string) => {
    const again = ids.findIndex((id, i) => ids.indexOf(id) !== i);
    if (again >= 0) errors.push({ pointer: `${pointer}/${again}/id`, detail: `“${ids[again] ?? ""}” is there twice.` });
  };
  twice(
    sweets.map(({ id }) => id),
    "/sweets",
  );
  const tasks = sweets.flatMap(({ id: sweet, steps, pots = [] }, s): PlanTask[] => {
    twice(
      steps.map(({ id }) => id),
      `/sweets/${s}/steps`,
    );
    return steps.map((step, i): PlanTask => {
      const pointer = `/sweets/${s}/steps/${i}`;
      const after = step.after ?? (i > 0 ? [steps[i - 1]?.id ?? ""] : []);
      for (const [a, each] of after.entries())
        if (!steps.some(({ id }) => id === each)) errors.push({ pointer: `${pointer}/after/${a}`, detail: `The sweet has no step “${each}”.` });
      if (step.pot !== undefined && !pots.some(({ id }) => id === step.pot))
        errors.push({ pointer: `${pointer}/pot`, detail: `The sweet has no pot “${step.pot}”.` });
      return {
        id: idOf(sweet, step.id),
        sweet,
        words: step.words ?? "",
        minutes: Math.ceil(step.minutes),
        attention: step.attention ?? "hands on",
        handsFirst: step.handsFirst_min ?? 0,
        after: after.map((each) => idOf(sweet, each)),
        within: step.within_min === undefined ? {} : Object.fromEntries(after.map((each) => [idOf(sweet, each), step.within_min ?? 0])),
        burner: step.burner ?? false,
        oven: step.oven ?? false,
        noisy: step.mixer ?? false,
        tastes: step.tastes ?? false,
        fridge: step.fridge_l ?? 0,
        pot: step.pot === undefined ? null : idOf(sweet, step.pot),
      };
    });
  });
  const { quiet, away, nights, notTasting } = kitchen;
  const problem: PlanProblem = {
    sweets: sweets.map(({ id, name, readyBy, freshFor_min: fresh, bestFor_min: best }, s) => {
      const due = readyBy === undefined ? 0 : minuteOf(momentOf(readyBy, `/sweets/${s}/readyBy`));
      if (due > 0) errors.push({ pointer: `/sweets/${s}/readyBy`, detail: "It is after all is to be ready." });
      return { id, name: name ?? id, due, fresh: fresh ?? null, best: best ?? null };
    }),
    tasks,
    pots: sweets.flatMap(({ id: sweet, pots = [] }) => pots.map(({ id, ml }) => ({ id: idOf(sweet, id), ml }))),
    kitchen: {
      cooks: kitchen.cooks ?? 1,
      burners: kitchen.burners,
      ovens: kitchen.ovens ?? 0,
      mixers: kitchen.mixers ?? 1,
      pans: (kitchen.pans ?? []).map(({ id, name, ml }, i) => ({ id: id ?? `${i + 1}`, name: name ?? "", ml })),
      fridge: kitchen.fridge_l ?? null,
      quiet: windows(quiet, "/kitchen/quiet"),
      away: windows(away, "/kitchen/away"),
      nights: windows(nights, "/kitchen/nights"),
      notTasting: windows(notTasting, "/kitchen/notTasting"),
      from: minuteOf(now),
    },
    pinned: Object.fromEntries(
      pinned.map(({ sweet, step, at }, i) => {
        if (!tasks.some(({ id }) => id === idOf(sweet, step))) errors.push({ pointer: `/pinned/${i}`, detail: `There is no step “${step}” of “${sweet}”.` });
        return [idOf(sweet, step), minuteOf(momentOf(at, `/pinned/${i}/at`))] as const;
      }),
    ),
  };
  const order = errors.length === 0 ? orderProblem(tasks) : null;
  if (order) {
    const [sweet = "", step = ""] = order.id.split("\n");
    const s = sweets.findIndex(({ id }) => id === sweet);
    errors.push({
      pointer: `/sweets/${s}/steps/${sweets[s]?.steps.findIndex(({ id }) => id === step) ?? 0}/after`,
      detail: "Steps wait for each other in a circle: take one of them out.",
    });
  }
  if (errors[0]) throw new Refusal(422, `This cannot be planned. ${errors[0].detail}`, errors);
  return problem;
}
