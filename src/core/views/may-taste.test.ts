import { describe, expect, it } from "vitest";
import { read, tableOf } from "../../../tests/support/kitchen";
import { kitchenOf } from "../../data";
import { sessionOf, stoveState, transition, type CookHappening } from "../cook";
import { NO_EQUIPMENT } from "../household";
import { USUAL_SOURCES } from "../kitchen";
import type { Eater } from "../table";
import { cookPlan, mayTaste, methodView } from ".";

const kitchen = kitchenOf(USUAL_SOURCES);
const eater = (name: string, rules: readonly string[] = [], part: Partial<Eater> = {}): Eater => ({
  id: name,
  name,
  rules,
  limits: [],
  note: "",
  asked: "2026-10-01",
  ...part,
});
const KHEER = "Rice kheer\nServes 4\n\n1 litre milk\n80 g rice\n80 g sugar\n\n1. Simmer the rice in the milk for 40 minutes.\n2. Stir in the sugar.";

/** What a batch that was cooked so comes to for each, with what went in at the stove. */
function may(text: string, eaters: readonly Eater[], happenings: readonly CookHappening[] = [], rules: readonly string[] = []) {
  const { recipe } = read(text);
  const ground = { recipe, table: tableOf({ servings: 4, rules }), bench: null };
  const plan = cookPlan(recipe, ground.table, methodView(ground, kitchen));
  const all: readonly CookHappening[] = [{ kind: "started" }, ...happenings, { kind: "ended", grams: 900 }];
  const session = all.reduce((now, each, i) => transition(now, { ...each, id: `e${i}`, at: i * 60_000 })[0], sessionOf(plan, []));
  return mayTaste({ ...ground, stove: stoveState(session), pan: null, eaters }, kitchen).map((each) => `${each.name}: ${each.may}`);
}
const put = (food: string | null, name: string): CookHappening => ({ kind: "put in", line: null, food, name, grams: 20, word: "" });

describe("who may taste a batch", () => {
  it("is told by each one's own rules, not by those of others at the table", () => {
    expect(may(KHEER, [eater("Ana"), eater("Bo", ["vegan"]), eater("Cy", ["no-milk"]), eater("Di", ["no-peanut"])], [], ["vegan", "no-rice"])).toEqual([
      "Ana: yes",
      "Bo: no",
      "Cy: no",
      "Di: yes",
    ]);
  });
  it("goes by what went in at the stove; what nobody knows is asked of everybody", () => {
    const eaters = [eater("Ana"), eater("Di", ["no-cashew"])];
    expect(may(KHEER, eaters, [put("cashew", "cashews")])).toEqual(["Ana: yes", "Di: no"]);
    expect(may(KHEER, eaters, [put(null, "a powder")])).toEqual(["Ana: ask", "Di: ask"]);
  });
  it("asks first about who was never asked, and about a line that is not read", () => {
    const { asked: _, ...unasked } = eater("Ed");
    expect(may(KHEER, [unasked])).toEqual(["Ed: ask"]);
    expect(may(KHEER.replace("80 g sugar", "80 g sugar\na handful of what the neighbour dried"), [eater("Di", ["no-cashew"]), eater("Ana")])).toEqual([
      "Di: ask",
      "Ana: ask",
    ]);
  });
  it("forbids no spoonful for the limit of a serving, and says it", () => {
    const limited = eater("Uncle", [], { limits: [{ id: "freeSugars", most: 2, school: "uk" }] });
    expect(may(KHEER, [limited])).toEqual(["Uncle: yes"]);
  });
  it("is wary of vessels that are shared with what makes somebody ill", () => {
    const shared = kitchenOf({
      ...USUAL_SOURCES,
      household: {
        ...USUAL_SOURCES.household,
        equipment: {
          ...NO_EQUIPMENT,
          pans: [
            { id: "p", name: "wide", diameter: 24, depth: 9, mass: 1000, sharedWith: ["cashew"] },
            { id: "q", name: "small", diameter: 18, depth: 8, mass: 700, sharedWith: [] },
          ],
        },
      },
    });
    const { recipe } = read(KHEER);
    const ground = { recipe, table: tableOf({ servings: 4 }), bench: null };
    const plan = cookPlan(recipe, ground.table, methodView(ground, kitchen));
    const session = sessionOf(plan, [
      { kind: "started", id: "a", at: 0 },
      { kind: "ended", grams: 900, id: "b", at: 1 },
    ]);
    const ask = (traces: NonNullable<Eater["traces"]> | undefined, pan: string | null = null) =>
      mayTaste({ ...ground, stove: stoveState(session), pan, eaters: [eater("Di", ["no-cashew"], traces ? { traces } : {})] }, shared)[0]?.may;
    expect(ask("avoided")).toBe("no");
    expect(ask(undefined)).toBe("ask");
    expect(ask("as an ingredient")).toBe("yes");
    // In the pan that it was cooked in, where somebody said which.
    expect(ask("avoided", "small")).toBe("yes");
  });
});
