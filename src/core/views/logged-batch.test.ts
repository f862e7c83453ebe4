import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { read, tableOf } from "../../../tests/support/kitchen";
import { kitchenOf } from "../../data";
import { sessionOf, stoveState, transition, type CookEvent, type CookHappening } from "../cook";
import { USUAL_SOURCES } from "../kitchen";
import { asLastTime, cookPlan, loggedBatch, methodView, stoveView, type CookGround } from ".";

const tables = kitchenOf(USUAL_SOURCES);
const KHEER =
  "Rice kheer\nServes 4\n\n1 litre milk\n80 g rice\n80 g sugar\n\n1. Simmer the rice in the milk for 40 minutes.\n2. Stir in the sugar and simmer for 2 minutes.";

const begun = (text = KHEER): CookGround => {
  const { recipe } = read(text);
  return { recipe, table: tableOf({ servings: recipe.servings, serve: "hot" }), bench: null };
};
function cooked(ground: CookGround, happenings: readonly CookHappening[]) {
  const plan = cookPlan(ground.recipe, ground.table, methodView(ground, tables));
  const events: readonly CookEvent[] = [{ kind: "started" } as const, ...happenings].map((each, i) => ({ ...each, id: `e${i}`, at: i * 1000 }));
  const session = events.reduce((now, event) => transition(now, event)[0], sessionOf(plan, []));
  return { plan, events, session };
}

describe("a batch in the logbook", () => {
  it("is told in figures as meant and as it came out, in what went in otherwise, and in what was said", () => {
    const ground = begun();
    const sugar = cooked(ground, []).plan.lines.find(({ food }) => food === "sugar")?.id ?? "";
    const { plan, events } = cooked(ground, [
      { kind: "put in", line: sugar, food: "sugar", name: "sugar", grams: 20, word: "" },
      { kind: "put in", line: null, food: "cardamom", name: "cardamom", grams: 1, word: "" },
      { kind: "ended", grams: 700 },
      { kind: "turned out", when: "hot", body: 3, off: "a little grainy" },
      { kind: "note", text: "the big pan", step: null },
    ]);
    const logged = loggedBatch({ ...ground, plan, events }, tables);
    expect(logged?.changes).toEqual(["sugar 80 g, now 100 g", "cardamom 1 g, new"]);
    expect(logged).toMatchObject({ saidBody: 3, notes: ["the big pan"], turnedOut: ["hot: pours slowly", "a little grainy"] });
    expect(logged?.foundBy).toEqual(expect.arrayContaining(["80 g sugar", "a little grainy", "the big pan"]));
    const sweetness = logged?.figures.find(({ of }) => of === "sweetness");
    expect(sweetness?.value).toBeGreaterThan((sweetness?.meant ?? 99) * 1.15);
    expect(sweetness?.low).toBeLessThan(sweetness?.value ?? 0);
    expect(logged?.figures.map(({ of }) => of)).toEqual(["sweetness", "free sugars", "body"]);
    // As the page of the batch has it, in the kitchen of the tables.
    const { figures } = stoveView({ ...ground, stove: stoveState(sessionOf(plan, events)) }, tables);
    expect(sweetness?.value).toBe(figures.find(({ id }) => id === "sweetness.hot")?.now.value);
    expect(loggedBatch({ ...ground, plan, events: events.slice(0, -3) }, tables)).toBeNull();
  });

  it("has no figures where something in it is not known or not read, and says so", () => {
    const powder: CookHappening = { kind: "put in", line: null, food: null, name: "the neighbour's powder", grams: 2, word: "" };
    const logged = (text: string, ...happenings: readonly CookHappening[]) => {
      const ground = begun(text);
      const { plan, events } = cooked(ground, [...happenings, { kind: "ended", grams: 700 }]);
      return loggedBatch({ ...ground, plan, events }, tables);
    };
    expect(logged(KHEER)?.unknown).toBeNull();
    expect(logged(KHEER, powder)).toMatchObject({
      figures: [],
      unknown: "No figures: nobody knows what the neighbour's powder holds",
      changes: ["the neighbour's powder 2 g, new"],
    });
    expect(logged(KHEER.replace("80 g sugar", "80 g sugar\n2 scoops of zorblatt"))).toMatchObject({ figures: [], unknown: "No figures: a line is not read" });
  });

  it("made as last time is planned as it came out, whatever was done to it", () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(2), fc.integer({ min: 1, max: 60 })), { maxLength: 4 }),
        fc.option(fc.integer({ min: 600, max: 1100 }), { nil: null }),
        (more, grams) => {
          const ground = begun();
          const { lines } = cooked(ground, []).plan;
          const put = more.flatMap(([at, of]): CookHappening[] => {
            const line = lines[at];
            return line ? [{ kind: "put in", line: line.id, food: line.food, name: line.name, grams: of, word: "" }] : [];
          });
          const was = cooked(ground, [...put, { kind: "ended", grams }]);
          const stove = stoveState(was.session);
          const again = asLastTime({ ...ground, stove }, null, null, tables);
          expect(again.without).toEqual([]);
          const plan = cookPlan(again.ground.recipe, again.ground.table, methodView(again.ground, tables));
          const came = stoveView({ ...ground, stove }, tables).figures;
          const next = stoveView({ ...again.ground, stove: stoveState(sessionOf(plan, [])) }, tables).figures;
          for (const { id, now } of came) expect(next.find((each) => each.id === id)?.meant, id).toBeCloseTo(now.value, 1);
          expect(plan.lines.map(({ food, grams: of }) => [food, Math.round(of)])).toEqual(
            lines.map(({ id, food, grams: of }) => [
              food,
              Math.round(of + put.reduce((sum, each) => sum + ("line" in each && each.line === id && "grams" in each ? each.grams : 0), 0)),
            ]),
          );
          // Nothing other than planned: from what it was begun.
          if (put.length === 0 && grams === null) expect(again.ground.bench).toBeNull();
          // And again, with the same words once.
          const third = asLastTime({ ...again.ground, stove: stoveState(cooked(again.ground, [{ kind: "ended", grams }]).session) }, plan.label, null, tables);
          expect(third.ground.bench?.label.match(/as last time/g)?.length ?? 0).toBeLessThanOrEqual(1);
        },
      ),
      { numRuns: 25 },
    ));

  it("says what cannot be planned again: what no table knows", () => {
    const ground = begun();
    const { session } = cooked(ground, [
      { kind: "put in", line: null, food: null, name: "the neighbour's powder", grams: 2, word: "" },
      { kind: "ended", grams: null },
    ]);
    expect(asLastTime({ ...ground, stove: stoveState(session) }, null, null, tables).without).toEqual(["the neighbour's powder"]);
  });
});
