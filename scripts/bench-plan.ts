/** Plans: random kitchens of four sweets and fifty steps, checked by the tests' own checker; and a gathering of the demo as it is worked out and keyed. */
import { USUAL_SOURCES } from "../src/core/kitchen";
import loadHighs from "highs";
import { createHighsPort } from "../src/workers/solver/highs-port";
import { proofAnswer } from "../src/workers/proving";
import { gatheringProblem, newGathering, planKey, solvePlan } from "../src/core/plan";
import { gatheringSweetView } from "../src/core/views";
import { DEMO_RECIPES, kitchenOf } from "../src/data";
import { tableOf } from "../tests/support/kitchen";
import { breachesOf, randomPlan } from "../tests/support/plans";
import { recipeOf } from "../tests/support/sweets";
import { planAnswer } from "../src/workers/planning";

type Row = [what: string, figure: string, aim: string];
const KITCHENS = 100;
const ROUNDS = 100;
/** Of so many kitchens it is proven how late their plan can begin. */
const PROVEN_OF = 25;

export async function planning(
  timed: (work: () => unknown) => Promise<number>,
  spread: (values: readonly number[], digits?: number) => string,
): Promise<readonly Row[]> {
  const [first, asShown, gaps]: [number[], number[], number[]] = [[], [], []];
  let [breaches, whole, proven, byEnd] = [0, 0, 0, 0];
  for (let seed = 1; seed <= KITCHENS; seed++) {
    const problem = randomPlan(seed);
    first.push(await timed(() => solvePlan(problem, { seed: 1, rounds: ROUNDS, goOn: () => true })));
    let answer: ReturnType<typeof planAnswer> | null = null;
    asShown.push(await timed(() => (answer = planAnswer({ problem, seed: 1 }, () => undefined))));
    const { solved } = answer as unknown as ReturnType<typeof planAnswer>;
    breaches += breachesOf(problem, solved.laid.placed).length;
    if (solved.score.failed > 0) continue;
    whole++;
    const least = -solved.bounds.latestStart;
    gaps.push((solved.score.length - least) / least);
    if (solved.score.length <= least + 1e-9) proven++;
    if (solved.score.length <= 1.05 * least) byEnd++;
  }
  const exact = await latestStarts(timed);
  const kitchen = kitchenOf(USUAL_SOURCES);
  const grounds = DEMO_RECIPES.slice(0, 4).map(({ text }) => {
    const recipe = recipeOf(text);
    return { recipe, table: tableOf({ servings: recipe.servings }), bench: null };
  });
  const worked: number[] = [];
  const views = [0, 1, 2].map((round) =>
    grounds.map((ground, i) => {
      const begun = performance.now();
      const view = gatheringSweetView({ id: `s${i}`, ground, servings: 8 + round, people: [] }, kitchen);
      worked.push(performance.now() - begun);
      return view.plan;
    }),
  );
  const [tasks = []] = views;
  const gathering = newGathering({ title: "", day: "2026-12-05", hour: "19:40", timeZone: "Asia/Kolkata" });
  const keyed: number[] = [];
  for (let i = 0; i < 30; i++)
    keyed.push(
      await timed(() => {
        planKey(gathering, tasks, undefined);
        gatheringProblem(gathering, tasks, { equipment: undefined, now: Date.parse("2026-12-04T10:00:00Z"), done: new Set() });
      }),
    );
  const percent = (of: number) => `${Math.round((100 * of) / KITCHENS)} %`;
  return [
    [`first plan of ${KITCHENS} random kitchens, 4 sweets of 50 steps, ${ROUNDS} orders`, spread(first), "1 s"],
    ["the plan as it is shown, with what gives way where one is not whole", spread(asShown), ""],
    ["breaches found by the independent checker; kitchens planned whole", `${breaches}; ${percent(whole)}`, "none"],
    [
      "start against the longest way and all hands: proven optimal; within 5 %; median and largest gap",
      `${percent(proven)}; ${percent(byEnd)}; ${(100 * ([...gaps].sort((a, b) => a - b)[Math.floor(gaps.length / 2)] ?? 0)).toFixed(1)} %, ${(100 * Math.max(0, ...gaps)).toFixed(0)} %`,
      "",
    ],
    [`latest start by HiGHS, ${PROVEN_OF} kitchens: begun as late as is proven; made better; gap that is left, median and largest`, exact.words, ""],
    ["for how long it looks", spread(exact.took), "20 s"],
    ["a sweet worked out for a gathering: steps as tasks, shopping, who may eat of it", spread(worked), ""],
    ["a change on the page until the solver is asked", spread(keyed, 2), "within a frame, 16 ms"],
  ];
}

/** How late plans can begin, as it is looked for on the page. */
async function latestStarts(timed: (work: () => unknown) => Promise<number>): Promise<{ readonly words: string; readonly took: readonly number[] }> {
  const solve = createHighsPort(await loadHighs());
  const [took, gaps]: [number[], number[]] = [[], []];
  let [proven, better] = [0, 0];
  for (let seed = 1; seed <= PROVEN_OF; seed++) {
    const problem = randomPlan(seed);
    const { solved } = planAnswer({ problem, seed: 1 }, () => undefined);
    if (solved.score.failed > 0) continue;
    let placed = solved.laid.placed;
    let latest = 0;
    took.push(
      await timed(async () => {
        const answer = await proofAnswer({ problem, placed }, solve);
        if (answer.laid) better++;
        placed = answer.laid?.placed ?? placed;
        latest = answer.latestStart;
      }),
    );
    const begin = Math.min(...placed.map(({ start }) => start));
    gaps.push((latest - begin) / -latest);
    if (begin >= latest) proven++;
  }
  const sorted = gaps.toSorted((a, b) => a - b);
  const percent = (of: number) => `${(100 * of).toFixed(1)} %`;
  return { words: `${proven}; ${better}; ${percent(sorted[Math.floor(sorted.length / 2)] ?? 0)}, ${percent(sorted.at(-1) ?? 0)}`, took };
}
