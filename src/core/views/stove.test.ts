import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { KINDS, textOfCase } from "../../../tests/support/cases";
import { read, tableOf } from "../../../tests/support/kitchen";
import { kitchenOf } from "../../data";
import { sessionOf, stoveLines, stoveState, transition, type CookHappening, type CookSession } from "../cook";
import { USUAL_SOURCES } from "../kitchen";
import { cookPlan, methodView, stoveView } from ".";
import { stoveRescueView } from "./rescue-view";

const kitchen = kitchenOf(USUAL_SOURCES);
const MINUTE = 60_000;

/** A batch of a recipe as handed down, and what is computed of it. */
function batchOf(text: string, wishes: Parameters<typeof tableOf>[0] = {}) {
  const { recipe } = read(text);
  const ground = { recipe, table: tableOf({ servings: recipe.servings, ...wishes }), bench: null };
  const plan = cookPlan(recipe, ground.table, methodView(ground, kitchen));
  let count = 0;
  const after = (session: CookSession, ...happenings: readonly CookHappening[]) =>
    happenings.reduce((now, each) => transition(now, { ...each, id: `e${count++}`, at: count * MINUTE })[0], session);
  const begun = after(sessionOf(plan, []), { kind: "started" });
  const viewOf = (session: CookSession) => stoveView({ ...ground, stove: stoveState(session) }, kitchen);
  const rescueOf = (session: CookSession, fault: "too thin" | "too thick") =>
    stoveRescueView({ ...ground, stove: stoveState(session), fault, celsius: null, notAtHand: [] }, kitchen);
  return { plan, begun, after, viewOf, rescueOf };
}
const figure = (view: ReturnType<typeof stoveView>, start: string) => {
  const found = view.figures.find(({ id }) => id.startsWith(start));
  if (!found) throw new Error(`No ${start} is told.`);
  return found;
};

const KHEER = `Sago kheer
Serves 4

1 litre milk
90 g sago pearls
100 g sugar
10 g ghee

1. Simmer the milk with the sago in an open pan for 25 minutes, stirring now and then.
2. Stir in the sugar and simmer for 5 minutes.
3. Stir in the ghee and chill.`;

describe("a batch on the stove, in figures", () => {
  it.each(KINDS.map((each) => [each.name, textOfCase(each)] as const))("%s: as nothing was changed, it is as it was meant", (_, text) => {
    const { begun, after, plan, viewOf } = batchOf(text);
    let session = begun;
    for (let left = plan.steps.length + 1; left > 0 && session.now !== null; left--) {
      const view = viewOf(session);
      for (const { meant, now, isNoticed } of view.figures) {
        expect(now.value).toBeCloseTo(meant, 6);
        expect(isNoticed).toBe(false);
      }
      for (const { grams } of Object.values(view.blocks)) expect(grams).toBeGreaterThan(0);
      if (view.cookDown) {
        const { stop, start } = view.cookDown;
        expect(stop.low).toBeLessThanOrEqual(stop.value);
        expect(stop.high).toBeGreaterThanOrEqual(stop.value);
        expect(stop.value).toBeLessThan(start);
        expect(stop.value).toBeGreaterThan(0);
      }
      session = after(session, { kind: "done", step: session.now });
    }
    // At the end all of it is in, and nothing is to come.
    for (const line of stoveLines(session)) {
      expect(line.inNow).toBeLessThanOrEqual(line.grams + 1e-6);
      expect(line.all).toBeCloseTo(line.grams, 6);
    }
  });

  it("holds back, goes in block by block, each just noticed, and is as meant once all of it is in; enough closes it", () => {
    const { begun, after, viewOf } = batchOf(KHEER, { serve: "chilled" });
    const sugar = stoveLines(begun).find(({ name }) => /sugar/i.test(name));
    if (!sugar) throw new Error("no sugar");
    const held = after(begun, { kind: "held back", line: sugar.id, grams: 40 });
    const before = figure(viewOf(held), "sweetness");
    expect(before.now.value).toBeLessThan(before.meant);
    expect(before.isNoticed).toBe(true);
    const block = viewOf(held).blocks[sugar.id];
    if (!block) throw new Error("no block");
    const put = (grams: number): CookHappening => ({ kind: "put in", line: sugar.id, food: sugar.food, name: "sugar", grams, word: "not sweet enough yet" });
    const once = figure(viewOf(after(held, put(block.grams))), "sweetness");
    // One block is one just noticeable difference, 15 %, to the gram.
    expect(once.now.value / before.now.value).toBeGreaterThan(1.11);
    expect(once.now.value / before.now.value).toBeLessThan(1.19);
    const all = figure(viewOf(after(held, put(25), put(15))), "sweetness");
    expect(all.now.value).toBeCloseTo(all.meant, 6);
    const closed = after(held, put(block.grams), { kind: "enough", line: sugar.id });
    const line = stoveLines(closed).find(({ id }) => id === sugar.id);
    expect(line).toMatchObject({ waits: 0, isHeld: false, all: 60 + block.grams });
    const less = figure(viewOf(closed), "serving.freeSugars");
    expect(less.now.value).toBeLessThan(less.meant);
    // As long as it is sweet, it is thickened by as much: less sugar is less in the pot.
    expect(figure(viewOf(closed), "yield").now.value).toBeLessThan(figure(viewOf(held), "yield").meant);
  });

  it("stops later where more liquid went in, earlier where less did, so that the body comes out as it was meant", () => {
    const { begun, after, viewOf } = batchOf(KHEER, { serve: "chilled" });
    const milk = stoveLines(begun).find(({ name }) => /milk/i.test(name));
    if (!milk) throw new Error("no milk");
    const plain = viewOf(begun).cookDown;
    const more = viewOf(after(begun, { kind: "put in", line: milk.id, food: milk.food, name: "milk", grams: 200, word: "" }));
    const less = viewOf(after(begun, { kind: "amount set", line: milk.id, grams: milk.grams - 200 }));
    if (!plain || !more.cookDown || !less.cookDown) throw new Error("not cooked down");
    for (const view of [more, less]) expect(figure(view, "body").now.value).toBeCloseTo(figure(view, "body").meant, 2);
    const lost = (of: NonNullable<typeof plain>) => of.start - of.stop.value;
    expect(lost(more.cookDown)).toBeGreaterThan(lost(plain) + 50);
    expect(lost(less.cookDown)).toBeLessThan(lost(plain) - 50);
    const own = viewOf(after(begun, { kind: "stop at", grams: 950 }));
    expect(own.cookDown).toMatchObject({ isSet: true, stop: { value: 950 } });
    expect(figure(own, "body").isNoticed || Math.abs((plain.stop.value - 950) / 950) < 0.1).toBe(true);
  });

  it("takes less sweetener with a sweet fruit, more with a bland one, and is then as sweet as it was meant", () => {
    const { begun, after, viewOf } = batchOf(
      `Mango pudding\nServes 4\n\n500 ml milk\n400 g mango\n80 g sugar\n30 g cornflour\n\n1. Blend the mango.\n2. Simmer the milk with the cornflour for 8 minutes.\n3. Stir in the mango and the sugar.`,
    );
    const mango = viewOf(begun).fruits[0];
    if (!mango) throw new Error("no fruit");
    expect(mango.sweetener).toBeNull();
    const wanted = (sweetness: Extract<CookHappening, { kind: "fruit tasted" }>["sweetness"]) => {
      const tasted = after(begun, { kind: "fruit tasted", line: mango.line, sweetness });
      const told = viewOf(tasted).fruits[0]?.sweetener;
      if (!told) throw new Error("no sweetener");
      const set = viewOf(after(tasted, { kind: "amount set", line: told.line, grams: told.wanted }));
      const { now, meant } = figure(set, "sweetness");
      expect(Math.abs(now.value - meant)).toBeLessThan(0.15);
      return told.wanted;
    };
    expect(wanted({ by: "tongue", is: "sweet" })).toBeLessThan(wanted({ by: "tongue", is: "usual" }));
    expect(wanted({ by: "tongue", is: "bland" })).toBeGreaterThan(wanted({ by: "tongue", is: "usual" }));
    expect(wanted({ by: "refractometer", brix: 22 })).toBeLessThan(wanted({ by: "refractometer", brix: 9 }));
  });

  it("says whom it is not for once something goes in that breaks a rule, and what no table knows", () => {
    const { begun, after, viewOf } = batchOf("Date balls\nServes 4\n\n200 g dates\n100 g almonds\n\n1. Grind the almonds.\n2. Knead with the dates.", {
      rules: ["vegan"],
    });
    expect(viewOf(begun).verdict.kind).toBe("fits");
    const put = (food: string | null, name: string): CookHappening => ({ kind: "put in", line: null, food, name, grams: 20, word: "" });
    expect(viewOf(after(begun, put("ghee", "ghee"))).verdict).toMatchObject({ kind: "not for" });
    const odd = viewOf(after(begun, put(null, "moon dust")));
    expect(odd.unknown).toEqual(["moon dust"]);
    expect(odd.verdict.kind).toBe("cannot tell");
  });

  it("is mended from what is in the pot now: too thin goes by its weight, and a pot heavier than what went in is asked about", () => {
    const { begun, after, rescueOf } = batchOf(KHEER, { serve: "chilled" });
    const weighed = (grams: number) => after(begun, { kind: "weighed", grams: grams + 900, pan: 900 });
    const thin = rescueOf(weighed(1060), "too thin");
    if (thin.kind !== "ways out") throw new Error(thin.why);
    expect(thin.grams).toBe(1060);
    expect(thin.still.map(({ name }) => name).join(" ")).toMatch(/sugar/i);
    expect(thin.ways.some(({ boilOff }) => boilOff !== null)).toBe(true);
    expect(rescueOf(weighed(5000), "too thin")).toMatchObject({ kind: "question" });
    const odd = after(begun, { kind: "put in", line: null, food: null, name: "moon dust", grams: 20, word: "" });
    expect(rescueOf(odd, "too thin")).toMatchObject({ kind: "question" });
  });

  it("goes on as what it was begun as: a food that is gone from the tables is told, and nothing else is cooked in its stead", () => {
    const { recipe } = read(KHEER);
    const table = tableOf({ servings: recipe.servings });
    const { bench } = methodView({ recipe, table, bench: null }, kitchen);
    const begun = { ...bench, byHand: true, label: "With what was there", rows: bench.rows.map((row, i) => (i === 0 ? { ...row, foodId: "own-gone" } : row)) };
    const plan = cookPlan(recipe, table, methodView({ recipe, table, bench: null }, kitchen));
    const session = transition(sessionOf(plan, []), { kind: "started", id: "e", at: 0 })[0];
    const view = stoveView({ recipe, table, bench: begun, stove: stoveState(session) }, kitchen);
    expect(view.unknown).toEqual([plan.lines[0]?.name]);
    expect(view.verdict.kind).toBe("cannot tell");
    expect(stoveRescueView({ recipe, table, bench: begun, stove: stoveState(session), fault: "too thin", celsius: null, notAtHand: [] }, kitchen).kind).toBe(
      "question",
    );
  });

  it.each([-60, 90])("stops at the weight that the words of its step tell, where they tell one: %i g more driven off", (more) => {
    const { recipe } = read(KHEER.replace("for 25 minutes", "until it comes down to 900 g"));
    const table = tableOf({ servings: recipe.servings, serve: "chilled" });
    const { bench } = methodView({ recipe, table, bench: null }, kitchen);
    const ground = { recipe, table, bench: { ...bench, byHand: true, label: "Other", evaporation: bench.evaporation + more } };
    const view = methodView(ground, kitchen);
    const step = view.steps.find(({ text }) => /about [\d,]+ g/.test(text));
    const told = Number(/about ([\d,]+) g/.exec(step?.text ?? "")?.[1]?.replace(",", ""));
    let session = transition(sessionOf(cookPlan(recipe, table, view), []), { kind: "started", id: "e", at: 0 })[0];
    while (session.now !== null && session.now !== step?.id) session = transition(session, { kind: "done", step: session.now, id: session.now, at: 1 })[0];
    const { cookDown } = stoveView({ ...ground, stove: stoveState(session) }, kitchen);
    expect(told).toBeGreaterThan(0);
    expect(Math.abs((cookDown?.stop.value ?? 0) - told)).toBeLessThanOrEqual(5);
  });

  it("is told in figures whatever happens to it, and is never said to fit with what no table knows in it", () => {
    const batches = KINDS.map((each) => batchOf(textOfCase(each)));
    fc.assert(
      fc.property(fc.nat(), fc.array(fc.tuple(fc.nat(9), fc.nat(), fc.double({ min: 0.1, max: 900, noNaN: true })), { maxLength: 14 }), (of, deeds) => {
        const batch = batches[of % batches.length];
        if (!batch) throw new Error("no batch");
        const { plan, begun, after, viewOf } = batch;
        let session = begun;
        for (const [kind, which, grams] of deeds) {
          const line = plan.lines[which % plan.lines.length];
          const step = session.steps[which % session.steps.length];
          if (!line || !step) continue;
          const happening: CookHappening | undefined = (
            [
              { kind: "done", step: step.id },
              { kind: "skipped", step: step.id },
              { kind: "went to", step: step.id },
              { kind: "held back", line: line.id, grams: Math.min(grams, line.grams) },
              { kind: "enough", line: line.id },
              { kind: "put in", line: line.id, food: line.food, name: line.name, grams, word: "" },
              { kind: "put in", line: null, food: which % 2 ? "cornflour" : null, name: "something", grams, word: "" },
              { kind: "amount set", line: line.id, grams },
              { kind: "fruit tasted", line: line.id, sweetness: { by: "refractometer", brix: Math.max(1, grams / 12) } },
              { kind: "stop at", grams },
            ] as const
          )[kind];
          if (happening) session = after(session, happening);
        }
        const view = viewOf(session);
        for (const { now } of view.figures) for (const value of [now.value, now.low, now.high]) expect(Number.isFinite(value)).toBe(true);
        for (const { grams } of Object.values(view.blocks)) expect(grams > 0 && Number.isFinite(grams)).toBe(true);
        if (view.cookDown) expect([view.cookDown.stop.value, view.cookDown.start, view.cookDown.prior.rate].every(Number.isFinite)).toBe(true);
        if (view.unknown.length > 0) expect(view.verdict.kind).not.toBe("fits");
        for (const { inNow, waits } of stoveLines(session)) expect(inNow >= 0 && waits >= 0).toBe(true);
      }),
      { numRuns: 80, seed: 211 },
    );
  });
});
