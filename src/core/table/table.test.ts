import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { tableOf } from "../../../tests/support/kitchen";
import { RULES } from "../../data";
import {
  ageOf,
  eatenAt,
  fastsNotToday,
  hasChildren,
  keepAll,
  madeBy,
  onDay,
  rulesAt,
  seat,
  serveSeat,
  staleSeats,
  unkept,
  unseat,
  whoseRules,
  withAge,
  type Eater,
} from ".";

const eater = (id: string, rules: readonly string[], most?: number): Eater => ({
  id,
  name: id,
  rules,
  limits: most === undefined ? [] : [{ id: "freeSugars", most, school: "who" }],
  note: "",
});
const COUSIN = eater("cousin", ["vegan"]);
const NIECE = eater("niece", ["no-cashew", "vegan"], 9);
const UNCLE = eater("uncle", [], 6);

describe("eaters at a table", () => {
  it("bring what they leave out, the tightest limit and their servings; each rule is told whose it is", () => {
    const table = seat(seat(seat(tableOf({ rules: ["egg-free"] }), COUSIN, 2), NIECE, 1), UNCLE, 0.5);
    expect(table.rules).toEqual(["egg-free", "vegan", "no-cashew"]);
    expect(table.limits).toEqual([{ id: "freeSugars", most: 6, school: "who" }]);
    expect(eatenAt(table)).toBe(3.5);
    // Who eats says nothing of how much is made, unless it goes by them.
    expect(table.servings).toBe(tableOf().servings);
    const bySeats = madeBy(table, "seats", 6);
    expect([bySeats.servings, unseat(bySeats, "cousin").servings, serveSeat(bySeats, "niece", 3).servings]).toEqual([3.5, 1.5, 5.5]);
    expect(madeBy(bySeats, "recipe", 6)).toMatchObject({ batch: "recipe", servings: 6 });
    expect([...whoseRules(table)]).toEqual([
      ["egg-free", []],
      ["vegan", ["cousin", "niece"]],
      ["no-cashew", ["niece"]],
    ]);
  });
  it("take with them what only they leave out, and leave the table's own as it was", () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([COUSIN, NIECE, UNCLE]), (all) => {
        const own = tableOf({ rules: ["egg-free"], limits: [{ id: "energy", most: 900, school: "uk" }] });
        const seated = all.reduce((table, each) => seat(table, each), own);
        const left = all.reduce((table, each) => unseat(table, each.id), seated);
        expect([left.rules, left.limits, left.seats ?? []]).toEqual([own.rules, own.limits, []]);
      }),
    );
    const both = seat(seat(tableOf(), COUSIN), NIECE);
    expect([...unseat(both, "cousin").rules].sort()).toEqual(["no-cashew", "vegan"]);
  });
  it("are told of where what they leave out was taken off by hand, and it is put back", () => {
    const table = seat(seat(tableOf({ rules: ["egg-free"] }), NIECE), UNCLE);
    expect(unkept(table)).toEqual([]);
    const taken = { ...table, rules: ["egg-free", "no-cashew"], limits: [{ id: "freeSugars" as const, most: 20, school: "uk" as const }] };
    expect(unkept(taken).map(({ seat: each, rules, limits }) => [each.eater, rules, limits.length])).toEqual([
      ["niece", ["vegan"], 1],
      ["uncle", [], 1],
    ]);
    expect(unkept(keepAll(taken))).toEqual([]);
  });
  it("sit as they were on that day until it is taken over; one who is gone is told", () => {
    const table = seat(tableOf(), COUSIN);
    expect(staleSeats(table, [COUSIN])).toEqual([]);
    const now = { ...COUSIN, rules: ["dairy-free"] };
    expect(staleSeats(table, [now])).toMatchObject([{ seat: { eater: "cousin" }, now }]);
    expect(seat(table, now).rules).toEqual(["dairy-free"]);
    expect(staleSeats(table, [])).toMatchObject([{ now: null }]);
  });
});

describe("an eater over time", () => {
  const fasting: Eater = { ...eater("neighbour", ["ekadashi/vaishnava", "vegan"]), onDays: ["ekadashi"], until: { vegan: "2026-12-24" } };
  it("keeps a fast on its days only, and always where it is not known what falls on the day", () => {
    const seated = seat(tableOf({ rules: ["egg-free"] }), fasting);
    expect(seated.rules).toEqual(["egg-free", "ekadashi/vaishnava", "vegan"]);
    const another = onDay(seated, "2026-12-05", []);
    expect(another.rules).toEqual(["egg-free", "vegan"]);
    expect(fastsNotToday(another)).toEqual([{ name: "neighbour", rules: ["ekadashi/vaishnava"] }]);
    expect(unkept(another)).toEqual([]);
    const falls = onDay(another, "2026-12-04", ["ekadashi"]);
    expect([...falls.rules].sort()).toEqual([...seated.rules].sort());
    expect([...onDay(falls, "2026-12-05", null).rules].sort()).toEqual([...seated.rules].sort());
    // What the table keeps of its own stays, whatever the day.
    expect(onDay(seat(tableOf({ rules: ["ekadashi"] }), fasting), "2026-12-05", []).rules).toContain("ekadashi");
  });
  it("keeps a rule for a time up to its last day", () => {
    const on = (day: string | null) => seat(tableOf(day === null ? {} : { day }), fasting).rules.includes("vegan");
    expect([on("2026-12-24"), on("2026-12-25"), on(null)]).toEqual([true, false, true]);
    expect(staleSeats(onDay(seat(tableOf({ day: "2026-12-24" }), fasting), "2026-12-25", null), [fasting])).toHaveLength(1);
  });
  it("brings by age a rule and a portion, which go with the age", () => {
    const child = withAge(eater("child", ["vegan"]), "1 to 5");
    expect([child.rules, child.portion]).toEqual([["vegan", "small-child"], 0.5]);
    expect(withAge(child, "under 1").rules).toEqual(["vegan", "small-child/infant"]);
    expect([ageOf(child), ageOf({ rules: ["vegan", "small-child/infant"] }), ageOf({ rules: ["vegan"] })]).toEqual(["1 to 5", "under 1", "adult"]);
    expect([hasChildren(seat(tableOf(), child)), hasChildren(tableOf({ rules: ["small-child"] })), hasChildren(seat(tableOf(), COUSIN))]).toEqual([
      true,
      true,
      false,
    ]);
    expect(withAge(child, "adult")).toMatchObject({ rules: ["vegan"], portion: 1 });
    expect(eatenAt(seat(tableOf(), child))).toBe(0.5);
    expect(eatenAt(serveSeat(seat(tableOf(), child), "child", 2))).toBe(2);
  });
});

describe("the rules of a table", () => {
  const traces = (...all: readonly (Eater["traces"] | undefined)[]) => {
    const table = all.reduce((sum, each, i) => seat(sum, { ...eater(`e${i}`, ["no-wheat"]), ...(each ? { traces: each } : {}) }), tableOf());
    return rulesAt(table, RULES)[0]?.traces ?? "asked";
  };
  it("take traces as the most careful of those who keep each needs it", () => {
    expect(traces("as an ingredient")).toBe("as an ingredient");
    expect(traces("as an ingredient", undefined)).toBe("asked");
    expect(traces("as an ingredient", "avoided")).toBe("avoided");
    expect(rulesAt(tableOf({ rules: ["no-wheat"] }), RULES)[0]).toBe(RULES.get("no-wheat"));
  });
  it("ask about everything where one is no longer known", () => {
    expect(rulesAt(tableOf({ rules: ["own-gone"] }), RULES)[0]).toMatchObject({ id: "own-gone", clauses: [{ verdict: "ask", when: {} }] });
  });
});
