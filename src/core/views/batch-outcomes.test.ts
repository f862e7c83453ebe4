import { describe, expect, it } from "vitest";
import { read, tableOf } from "../../../tests/support/kitchen";
import { kitchenOf } from "../../data";
import { sessionOf, stoveState, transition, type CookHappening, type CookSession } from "../cook";
import { explain, evaluate } from "../evaluate";
import { learnedKey, type Learned } from "../food";
import { evaluateRecipe, openRecipe, USUAL_SOURCES } from "../kitchen";
import { learn, type Outcome } from "../learning";
import type { Step } from "../sensory";
import type { EaterTasting } from "./palate-outcomes";
import { batchOutcomes, cookPlan, learnedView, methodView, stoveView } from ".";
import { stoveStanding } from "./stove-standing";

const tables = kitchenOf(USUAL_SOURCES);
const taught = (learned: Learned) => kitchenOf({ ...USUAL_SOURCES, learned });
const MINUTE = 60_000;
const PAN = { name: "wide", diameter: 24, grams: 1000 };
const BURNER = { name: "front", kind: "gas", power: 2.5 } as const;
const SET_UP: CookHappening = { kind: "set up", setUp: { pan: PAN, burner: BURNER, tasting: true } };

const KHEER =
  "Rice kheer\nServes 4\n\n1 litre milk\n80 g rice\n80 g sugar\n\n1. Simmer the rice in the milk in an open pan for 40 minutes.\n2. Stir in the sugar.";
const LADOO =
  "Besan ladoo\nMakes 12\n\n250 g besan\n120 g ghee\n130 g icing sugar\n\n1. Roast the besan in the ghee for 15 minutes.\n2. Cool, mix in the icing sugar, and shape into balls.";

type Timed = readonly [minutes: number, happening: CookHappening | ((session: CookSession) => CookHappening)];
const done: Timed[1] = ({ now }) => ({ kind: "done", step: now ?? "" });

/** A batch by what happens in it, minutes apart, and what it has shown. */
function batchOf(text: string, happenings: readonly Timed[], tastings: readonly EaterTasting[] = []) {
  const { recipe } = read(text);
  const ground = { recipe, table: tableOf({ servings: recipe.servings, serve: "chilled" }), bench: null };
  const plan = cookPlan(recipe, ground.table, methodView(ground, tables));
  let at = 0;
  const session = happenings.reduce(
    (now, [minutes, what], i) => {
      at += minutes * MINUTE;
      return transition(now, { ...(typeof what === "function" ? what(now) : what), id: `e${i}`, at })[0];
    },
    sessionOf(plan, []),
  );
  const shown = batchOutcomes({ id: "b", plan, ...ground, events: session.events, tastings }, tables);
  return { ground, plan, session, shown, of: (key: string): Outcome | undefined => shown.find(({ of }) => (of[key] ?? 0) > 0.25) };
}
const WEIGHED: readonly Timed[] = [
  [0, SET_UP],
  [0, { kind: "started" }],
  [1, { kind: "weighed", grams: 2070, pan: 1000 }],
  [10, { kind: "weighed", grams: 1970, pan: 1000 }],
];
const ENDED: readonly Timed[] = [
  [25, done],
  [1, done],
  [1, { kind: "ended", grams: 900 }],
];
const RATE = learnedKey.rate(PAN, BURNER);
const lnOf = (outcome: Outcome | undefined): number => (typeof outcome?.ln === "number" ? outcome.ln : NaN);

describe("what a batch has shown", () => {
  it("is nothing before it is done, nor where nothing was weighed or said", () => {
    expect(batchOf(KHEER, WEIGHED).shown).toEqual([]);
    expect(batchOf(KHEER, [[0, { kind: "started" }], ...ENDED]).shown).toEqual([]);
  });
  it("is how fast the pan boiled away: by its weights, slowed by its solids, of this pan on this burner alone", () => {
    const { of, session } = batchOf(KHEER, [...WEIGHED, ...ENDED]);
    const outcome = of(RATE);
    // 10 g a minute where the table has 9, less what solids hold back.
    expect(Math.exp(lnOf(outcome))).toBeGreaterThan(1.1);
    expect(Math.exp(lnOf(outcome))).toBeLessThan(1.25);
    expect(outcome?.sd).toBeGreaterThanOrEqual(0.1);
    expect(outcome?.at).toBe(session.endedAt);
    // Nobody said in which pan; a weight that was taken back; weights of another flame.
    expect(batchOf(KHEER, [...WEIGHED.slice(1), ...ENDED]).shown).toEqual([]);
    expect(batchOf(KHEER, [...WEIGHED, [0, { kind: "taken back", event: "e3" }], ...ENDED]).of(RATE)).toBeUndefined();
    const brisk = batchOf(KHEER, [...WEIGHED.slice(0, 3), [1, { kind: "heat", heat: "brisk" }], ...WEIGHED.slice(3), ...ENDED]);
    expect(brisk.of(RATE)).toBeUndefined();
    // More than its burner can drive off: some was taken out.
    const lifted = batchOf(KHEER, [...WEIGHED.slice(0, 3), [10, { kind: "weighed", grams: 1370, pan: 1000 }], ...ENDED]);
    expect(lifted.of(RATE)).toBeUndefined();
  });
  it("is how thick it became for what was weighed, of what thickens it", () => {
    const said = (body: number) => batchOf(KHEER, [...WEIGHED, ...ENDED, [5, { kind: "turned out", when: "hot", body, off: "" }]]);
    const { ground, session } = said(6);
    const { figures } = stoveStanding({ ...ground, stove: stoveState(session) }, tables);
    const rice = learnedKey.body("hot", "rice");
    expect(lnOf(said(figures["body.hot"].value).of(rice))).toBeCloseTo(0, 6);
    expect(lnOf(said(8.2).of(rice))).toBeGreaterThan(lnOf(said(4.5).of(rice)));
    // Who stops by the look of it makes up for the starch: where nothing was weighed, nothing is told of it; nor with who knows what in it.
    const unweighed = batchOf(KHEER, [
      ...WEIGHED,
      ...ENDED.slice(0, 2),
      [1, { kind: "ended", grams: null }],
      [5, { kind: "turned out", when: "hot", body: 6, off: "" }],
    ]);
    expect(unweighed.of(rice)).toBeUndefined();
    const stranger: CookHappening = { kind: "put in", line: null, food: null, name: "a powder", grams: 40, word: "" };
    expect(batchOf(KHEER, [...WEIGHED, [1, stranger], ...ENDED, [5, { kind: "turned out", when: "hot", body: 6, off: "" }]]).of(rice)).toBeUndefined();
    // At the ends of the scale a word says little.
    for (const end of [0, 9.5]) expect(said(end).of(rice)).toBeUndefined();
  });
  it("is how a shaped sweet held, of the flour that takes up the most; how long roasting took; how it cooled", () => {
    const begun: readonly Timed[] = [
      [0, { kind: "started" }],
      [21, done],
      [30, done],
      [1, { kind: "ended", grams: null }],
    ];
    const held = (holds: "crumbles" | "greasy") => batchOf(LADOO, [...begun, [9, { kind: "turned out", when: "chilled", body: null, off: "", holds }]]);
    const factorAfter = (holds: "crumbles" | "greasy") => learn(held(holds).shown)[learnedKey.binding("besan")]?.ln ?? NaN;
    expect(factorAfter("crumbles")).toBeGreaterThan(0);
    expect(factorAfter("greasy")).toBeLessThan(0);
    expect(Math.exp(lnOf(held("greasy").of(learnedKey.time("roast"))))).toBeCloseTo(21 / 15, 6);
    const cooled = (minutes: number) =>
      lnOf(
        batchOf(KHEER, [
          ...WEIGHED,
          ...ENDED,
          [30, { kind: "temperature", celsius: 70, place: "in the pan" }],
          [minutes, { kind: "temperature", celsius: 45, place: "in the pan" }],
        ]).of(learnedKey.cooling("in the pan")),
      );
    expect(cooled(80)).toBeGreaterThan(cooled(40));
    // Where it stood nobody said.
    expect(batchOf(KHEER, [...WEIGHED, ...ENDED, [30, { kind: "temperature", celsius: 70 }]]).of(learnedKey.cooling("in the pan"))).toBeUndefined();
  });
});

describe("what eaters want", () => {
  const say = (sweetness: Step, part: Partial<EaterTasting> = {}): EaterTasting => ({
    eater: "ana",
    served: "chilled",
    answer: { steps: { sweetness }, liking: null, word: "" },
    at: 60 * MINUTE,
    ...part,
  });
  const wanted = (tastings: readonly EaterTasting[], text = KHEER, more: readonly Timed[] = []) =>
    learn(batchOf(text, [...WEIGHED, ...more, ...ENDED], tastings).shown)[learnedKey.wantedSweetness("ana")];
  it("is the other way from where it is off, further where it is further off, and as it is where it is just right", () => {
    const lns = ([2, 1, 0, -1, -2] as const).map((step) => wanted([say(step)])?.ln ?? NaN);
    for (const [i, ln] of lns.entries()) expect(ln).toBeGreaterThan(lns[i - 1] ?? -Infinity);
    expect(Math.abs(lns[2] ?? NaN)).toBeLessThan(0.06);
  });
  it("goes by how sweet it really became, and is surer with more that agree than with what contradicts itself", () => {
    // Twice the sugar went in, and is just right: it is wanted sweeter than handed down.
    const sugar: Timed = [1, { kind: "put in", line: "l3", food: "sugar", name: "sugar", grams: 60, word: "" }];
    expect(wanted([say(0)], KHEER, [sugar])?.ln ?? 0).toBeGreaterThan(0.2);
    const batches = (steps: readonly Step[]) => {
      const [outcome] = steps.map((step) => batchOf(KHEER, [...WEIGHED, ...ENDED], [say(step)]).shown);
      const all = steps.flatMap((step, i) =>
        batchOf(KHEER, [...WEIGHED, ...ENDED], [say(step)]).shown.map((each) => ({ ...each, at: each.at + i * 1e9, batch: `${i}` })),
      );
      return { one: learn(outcome ?? [])[learnedKey.wantedSweetness("ana")], all: learn(all)[learnedKey.wantedSweetness("ana")] };
    };
    const { one, all } = batches([1, 1, 1, 1]);
    expect(all?.sd ?? 9).toBeLessThan(one?.sd ?? 0);
    expect(all?.batches).toBe(4);
    const torn = batches([2, -2, 2, -2, 2, -2, 0]).all;
    expect(Math.abs(torn?.ln ?? 9)).toBeLessThan(0.12);
  });
  it("is not told by a guest, long after, by the same end of everything, or with who knows what in it", () => {
    expect(wanted([])).toBeUndefined();
    expect(wanted([say(2, { at: 60 * 24 * 60 * MINUTE })])).toBeUndefined();
    expect(wanted([say(2, { answer: { steps: { sweetness: 2, body: 2, aroma: 2 }, liking: 1, word: "" } })])).toBeUndefined();
    expect(wanted([say(1)], KHEER, [[1, { kind: "put in", line: null, food: null, name: "a powder", grams: 40, word: "" }]])).toBeUndefined();
  });
  it("is of body too, by its own temperature; not of what is shaped", () => {
    const body = (step: Step, text = KHEER) =>
      learn(batchOf(text, [...WEIGHED, ...ENDED], [say(0, { answer: { steps: { body: step }, liking: null, word: "" } })]).shown)[learnedKey.wantedBody("ana")];
    expect(body(-1)?.ln ?? 0).toBeGreaterThan(body(1)?.ln ?? 0);
    expect(body(-1, LADOO)).toBeUndefined();
  });
});

describe("what was learned is used", () => {
  const own = (ln: number, sd: number) => ({ ln, sd, batches: 3 });
  const recipe = read(KHEER);
  const table = tableOf({ servings: 4, serve: "chilled" });
  const kheerIn = (learned: Learned) => {
    const kitchen = taught(learned);
    return { kitchen, ...evaluateRecipe(openRecipe(recipe.recipe, kitchen), table, kitchen) };
  };
  it("in bodies, with a narrower interval, by its slopes, and as the working says", () => {
    const rice = learnedKey.body("hot", "rice");
    const [before, after] = [kheerIn({}), kheerIn({ [rice]: own(0.2, 0.08) })];
    expect(after.figures["body.hot"].value).toBeGreaterThan(before.figures["body.hot"].value + 0.2);
    expect(after.figures["body.chilled"].value).toBe(before.figures["body.chilled"].value);
    const width = ({ figures }: typeof before) => figures["body.hot"].high - figures["body.hot"].low;
    const same = kheerIn({ [rice]: own(0, 0.08) });
    expect(same.figures["body.hot"].value).toBeCloseTo(before.figures["body.hot"].value, 9);
    expect(width(same)).toBeLessThan(0.9 * width(before));
    const words = explain(after.input, "body.hot", after.kitchen.reference.constants).terms.map(({ detail }) => detail);
    expect(words.join()).toMatch(/1\.22 × the table, by 3 batches here/);
  });
  it("in how fast the usual pan boils away: what a recipe drives off, the minutes of its steps, the forecast at the stove", () => {
    const equipment = {
      pans: [{ id: "p", name: "wide", diameter: 24, depth: 10, mass: 1000, sharedWith: [] }],
      burners: [{ id: "b", ...BURNER }],
      mixer: null,
      pressureCooker: null,
      fridge: null,
    };
    const household = { ...USUAL_SOURCES.household, equipment };
    const [slow, fast] = [-0.2, 0.2].map((ln) => {
      const kitchen = kitchenOf({ ...USUAL_SOURCES, household, learned: { [RATE]: own(ln, 0.12) } });
      const read = openRecipe(recipe.recipe, kitchen);
      const view = stoveView({ ...batchOf(KHEER, WEIGHED).ground, stove: stoveState(batchOf(KHEER, WEIGHED).session) }, kitchen);
      return { driven: read.evaporation.grams, prior: view.cookDown?.prior };
    });
    if (!slow || !fast) return expect.fail("not read");
    expect(fast.driven.value).toBeGreaterThan(1.2 * slow.driven.value);
    expect((fast.prior?.rate ?? 0) / (slow.prior?.rate ?? 1)).toBeCloseTo(Math.exp(0.4), 6);
    expect(fast.prior).toMatchObject({ sd: 0.12, batches: 3 });
  });
  it("in binding and in minutes, each told", () => {
    const kitchen = taught({ [learnedKey.binding("besan")]: own(0.15, 0.08), [learnedKey.time("roast")]: own(0.35, 0.15) });
    const { recipe: ladoo } = read(LADOO);
    const ground = { recipe: ladoo, table: tableOf({ servings: ladoo.servings }), bench: null };
    const roast = (view: ReturnType<typeof methodView>) => view.steps.find(({ operation }) => operation === "roast");
    expect(roast(methodView(ground, kitchen))?.minutes.usual).toBe(21);
    const [before, after] = [tables, kitchen].map((each) => {
      const { input } = evaluateRecipe(openRecipe(ladoo, each), ground.table, each);
      return { figure: evaluate(input, each.reference.constants).figures.binding, working: explain(input, "binding", each.reference.constants) };
    });
    if (!before || !after) return expect.fail("not evaluated");
    expect(after.figure.value).toBeLessThan(0.95 * before.figure.value);
    expect((after.figure.high - after.figure.low) / after.figure.value).toBeLessThan((before.figure.high - before.figure.low) / before.figure.value);
    expect(after.working.terms.map(({ detail }) => detail).join()).toMatch(/by 3 batches here/);
  });
  it("is not learned twice: minutes that were shown as learned are held against the table's", () => {
    const kitchen = taught({ [learnedKey.time("roast")]: own(0.35, 0.15) });
    const { recipe: ladoo } = read(LADOO);
    const ground = { recipe: ladoo, table: tableOf({ servings: ladoo.servings }), bench: null };
    const plan = cookPlan(ladoo, ground.table, methodView(ground, kitchen));
    const step = plan.steps.find(({ operation }) => operation === "roast");
    const events = (
      [
        [0, { kind: "started" }],
        [21, { kind: "done", step: step?.id ?? "" }],
        [1, { kind: "ended", grams: null }],
      ] as const
    ).map(([minutes, what], i) => ({ ...what, id: `${i}`, at: (minutes + i) * MINUTE }));
    const [shown] = batchOutcomes({ id: "b", plan, ...ground, events, tastings: [] }, tables);
    expect(lnOf(shown)).toBeGreaterThan(0.25);
  });
  it("is told as figures, with what a next batch does", () => {
    const rows = learnedView(
      taught({
        [learnedKey.body("chilled", "rice")]: own(0.1, 0.1),
        [RATE]: own(-0.1, 0.2),
        [learnedKey.binding("besan")]: own(0, 0.1),
        [learnedKey.wantedSweetness("a")]: own(-0.1, 0.1),
        [learnedKey.wantedSweetness("somebody who is gone")]: own(-0.1, 0.1),
      }),
      new Map([["a", "Ana"]]),
    );
    expect(rows.map(({ kind }) => kind)).toEqual(["wanted sweetness", "rate", "body", "binding"]);
    expect(rows[0]).toMatchObject({ what: "Ana", now: "10 % less sweet" });
    expect(rows[2]).toMatchObject({ what: "Rice, chilled", now: "11 % more", next: "−3 % to +26 %", batches: 3 });
    expect(rows.every(({ ratio }) => ratio.low < ratio.value && ratio.value < ratio.high)).toBe(true);
  });
});
