import { describe, expect, it } from "vitest";
import { food, halwa, phirni, tableOf } from "../../../tests/support/kitchen";
import { answering } from "../../workers/compute/answer";
import { kitchenOf } from "../../data";
import { USUAL_SOURCES } from "../kitchen";
import { seat } from "../table";
import { tableView, type TableQuestion } from ".";

const kitchen = kitchenOf(USUAL_SOURCES);
const ask = (question: Partial<TableQuestion> = {}) => tableView({ recipe: halwa().recipe, table: tableOf(), others: [], ...question }, kitchen);

describe("what the Table station shows", () => {
  it("is whole when it is cloned, as it comes from a worker", () => {
    const table = seat(tableOf({ rules: ["vegan", "no-cashew", "ekadashi"], limits: [{ id: "freeSugars", most: 8, school: "who" }] }), {
      id: "a",
      name: "Aunt",
      rules: ["gluten-free"],
      limits: [],
      note: "",
    });
    const view = ask({ table, others: [{ id: "b", recipe: phirni().recipe }] });
    expect(structuredClone(view)).toEqual(view);
    expect(JSON.stringify(view).length).toBeLessThan(120_000);
  });
  it("tells what breaks which wish, lines in their order, with what may be answered", () => {
    const { findings, kept } = ask({ table: tableOf({ rules: ["vegan", "no-cashew"] }) });
    expect(kept.map(({ id }) => id)).toEqual(["vegan", "no-cashew"]);
    expect(findings.map(({ text, rule, verdict, isAllergy }) => [text, rule, verdict, isAllergy])).toEqual([
      ["½ cup ghee", "vegan", "avoid", false],
      ["2 tbsp cashews, broken", "no-cashew", "avoid", true],
    ]);
  });
  it("counts a limit in its school, and other sweets in theirs", () => {
    const of = (school: "uk" | "who") =>
      ask({ table: tableOf({ limits: [{ id: "freeSugars", most: 8, school }] }), others: [{ id: "b", recipe: phirni().recipe }] });
    const [uk, who] = [of("uk"), of("who")];
    expect(uk.serving.freeSugars).toBeGreaterThan(30);
    expect(who.serving.energy).toBe(uk.serving.energy);
    expect(uk.others).toMatchObject([{ id: "b", title: phirni().recipe.title, breaks: [] }]);
    expect(uk.others[0]?.serving?.freeSugars).toBeGreaterThan(10);
  });
  it("is the same from the worker, which is told of the household once", () => {
    const answer = answering();
    const of: TableQuestion = { recipe: halwa().recipe, table: tableOf({ rules: ["vegan"] }), others: [] };
    expect(() => answer({ sources: null, of })).toThrow(/household/);
    expect(answer({ sources: USUAL_SOURCES, of })).toEqual(ask(of));
    expect(answer({ sources: null, of })).toEqual(ask(of));
    const sources = {
      ...USUAL_SOURCES,
      pantry: { ...USUAL_SOURCES.pantry, names: [{ words: "grandmother's grain", foodId: food("semolina").id, at: "2026-11-29" }] },
    };
    const named = { ...of, recipe: { ...of.recipe, lines: [{ id: "l1", text: "100 g grandmother's grain", choice: {} }] } };
    expect(answer({ sources: null, of: named }).thread).toEqual({ asked: 1, lines: 0 });
    expect(answer({ sources, of: named }).thread).toEqual({ asked: 0, lines: 1 });
  });
});
