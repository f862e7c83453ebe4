import { describe, expect, it } from "vitest";
import { halwa, phirni, tableOf } from "../../../tests/support/kitchen";
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
});
