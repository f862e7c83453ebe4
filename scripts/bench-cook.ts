/** A batch on the stove: opening one of many events, a forecast, and what is shown after a press. */
import { forecast, sessionOf, stoveState, TABLE_RATE_SD, transition, type CookEvent } from "../src/core/cook";
import { learnedKey } from "../src/core/food";
import { learn } from "../src/core/learning";
import { USUAL_SOURCES } from "../src/core/kitchen";
import { cookPlan, methodView, stoveView } from "../src/core/views";
import { DEMO_RECIPES, kitchenOf } from "../src/data";
import { read, tableOf } from "../tests/support/kitchen";
import { bySticks, minutesUntil, stoveOf, told, weighed } from "../tests/support/stoves";

type Row = [what: string, figure: string, aim: string];
const MANY = 2000;
const STOVES = 200;

export async function cooks(timed: (work: () => unknown) => Promise<number>, spread: (values: readonly number[]) => string): Promise<readonly Row[]> {
  const kitchen = kitchenOf(USUAL_SOURCES);
  const views: number[] = [];
  let opened: number[] = [];
  for (const round of [0, 1])
    for (const { text } of DEMO_RECIPES) {
      const { recipe } = read(text);
      const ground = { recipe, table: tableOf({ servings: recipe.servings }), bench: null };
      const plan = cookPlan(recipe, ground.table, methodView(ground, kitchen));
      let session = transition(sessionOf(plan, []), { kind: "started", id: "e", at: 0 })[0];
      for (let left = 30; left > 0 && session.now !== null; left--) {
        const time = await timed(() => stoveView({ ...ground, stove: stoveState(session) }, kitchen));
        if (round > 0) views.push(time);
        session = transition(session, { kind: "done", step: session.now, id: `s${left}`, at: left })[0];
      }
      if (opened.length < 20) {
        const events: CookEvent[] = Array.from({ length: MANY }, (_, i) =>
          i === 0
            ? { kind: "started", id: "0", at: 0 }
            : i % 2
              ? { kind: "note", text: "a note", step: null, id: `${i}`, at: i }
              : { kind: "weighed", grams: 1500, pan: 500, id: `${i}`, at: i },
        );
        opened = [...opened, await timed(() => stoveState(sessionOf(plan, events)))];
      }
    }
  const weights = Array.from({ length: 60 }, (_, i) => ({ at: 30_000 * i, grams: 1200 - 4 * i, sd: 3, by: "scale" as const }));
  const forecasts: number[] = [];
  for (let i = 0; i < 300; i++)
    forecasts.push(
      await timed(() =>
        forecast({ prior: { rate: 9, sd: TABLE_RATE_SD }, weights, start: { at: 0, grams: 1200, sd: 30 }, solids: 220, target: 800, now: 1_800_000 }),
      ),
    );
  const outcomes = Array.from({ length: 2000 }, (_, i) => ({
    of:
      i % 2
        ? { [learnedKey.body("hot", "rice")]: 0.7, [learnedKey.body("hot", "pulse")]: 0.3 }
        : { [learnedKey.rate({ name: "p", diameter: 20 + (i % 9) }, null)]: 1 },
    ln: ((i * 37) % 100) / 250 - 0.2,
    sd: 0.1,
    at: i,
    batch: `b${i >> 1}`,
  }));
  const learnt: number[] = [];
  for (let i = 0; i < 10; i++) learnt.push(await timed(() => learn(outcomes)));
  return [
    [`figures after a press at each step of ${DEMO_RECIPES.length} sweets`, spread(views), "p95 50 ms"],
    [`a batch of ${MANY} events opened`, spread(opened), "300 ms"],
    ["a forecast by 60 weights", spread(forecasts), "5 ms"],
    ["what 1,000 batches taught, brought together", spread(learnt), ""],
    ...["unweighed", "two weights over 10 min", "a stick, twice over 10 min"].map((how, i): Row => [
      `time to the stop weight, ${STOVES} stoves that no model knows: ${how}`,
      offBy(i),
      "named, not aimed at",
    ]),
  ];
}

/** How far off forecasts are, and how often the truth lies in their 80 %. */
function offBy(how: number): string {
  let [sum, inside] = [0, 0];
  for (let seed = 1; seed <= STOVES; seed++) {
    const stove = stoveOf(seed);
    const real = minutesUntil(stove);
    const at = how === 0 ? 0 : 10;
    const weights = how === 0 ? [] : how === 1 ? weighed(stove, [0, 10], seed) : bySticks(stove, [0, 10], seed, 1.05);
    const { minutes } = told(stove, weights, at);
    if (!minutes) continue;
    sum += Math.abs(minutes.value + at - real) / real;
    if (real >= minutes.low + at - 0.5 && real <= minutes.high + at + 0.5) inside++;
  }
  return `off by ${((100 * sum) / STOVES).toFixed(0)} %, ${((100 * inside) / STOVES).toFixed(0)} % inside`;
}
