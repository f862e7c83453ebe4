import { gatheringProblem, gatheringProblems, planKey, planKitchen, type GatheringPlan } from "../../core/plan";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { Refusal } from "../http/problems";
import { viewOfGathering, type GatheringView } from "./gatherings";
import { planOnServer } from "./planning";

const SEED = 1;

/** A gathering with what it was solved to; where it has changed since, or no page has solved it yet, solved here and kept. 409 where nothing can be planned. */
export async function solvedGathering(id: string, left: AbortSignal): Promise<{ readonly view: GatheringView; readonly plan: GatheringPlan }> {
  const view = await viewOfGathering(id);
  const { document: gathering, plan, sweets, equipment: said, live, ticks } = view;
  const [tasks, equipment, now] = [sweets.map((sweet) => sweet.plan), said ?? undefined, Date.now()];
  const key = planKey(gathering, tasks, equipment);
  if (plan?.key === key && plan.placed.length > 0) return { view, plan };
  const [problem] = gatheringProblems(gathering, now, {
    burners: planKitchen(equipment).burners,
    steps: tasks.reduce((sum, sweet) => sum + sweet.tasks.length, 0),
  });
  if (problem) throw new Refusal(409, `This cannot be planned. ${problem.words}`);
  if (tasks.every((sweet) => sweet.tasks.length === 0)) throw new Refusal(409, "Nothing can be planned yet: put a sweet with steps on the table first.");
  const done = new Set([...live.done, ...ticks.flatMap(({ what, isDone }) => (isDone && what.startsWith("step ") ? [what.slice(5)] : []))]);
  const { solved } = await planOnServer({ problem: gatheringProblem(gathering, tasks, { equipment, now, done }), seed: SEED }, left);
  const fresh = { key, placed: [...(plan?.placed ?? []).filter((row) => done.has(row.id)), ...solved.laid.placed], solvedAt: now };
  await db.writePlan(await getDatabase(), id, fresh);
  return { view, plan: fresh };
}
