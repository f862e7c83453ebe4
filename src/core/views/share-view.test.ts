import { expand } from "jsonld";
import { describe, expect, it } from "vitest";
import { randomOf, randomSweet, toKeep } from "../../../tests/support/sweets";
import { kitchenOf } from "../../data";
import { asHandedDown, snapshotOf } from "../adaptation";
import { lineWithoutPraise, notesWithoutClaims, stepWithoutPraise, titleWithoutClaims } from "../cautions";
import { asShared, ingredientWords, NOTHING_MORE, recipeAsShared, writeMessage, writeSweetJsonLd, type ShareWishes } from "../exchange";
import { openRecipe, openTable, USUAL_SOURCES } from "../kitchen";
import { readJsonLd } from "../recipe";
import { seat, type DiningTable, type Eater } from "../table";
import { shareView } from ".";

const kitchen = kitchenOf(USUAL_SOURCES);
const eater = (name: string, rules: readonly string[]): Eater => ({
  id: name,
  name,
  rules,
  limits: [{ id: "freeSugars", most: 7, school: "uk" }],
  note: "",
  asked: "2026-11-01",
});
const EATERS = [eater("Zebulonia", ["no-cashew", "vegan"]), eater("Quorvax", ["ekadashi"])];
const TABLE = EATERS.reduce<DiningTable>((table, each) => seat(table, each), { rules: [], limits: [], servings: 4, serve: "hot" });
const HALWA =
  "Healthy vegan semolina halwa\nServes 4\n\n150 g semolina\n90 g ghee\n120 g jaggery\n600 ml water\n20 g cashews\na handful of what the aunt dried\n\nNote: Zebulonia liked it. Good for the skin. Stir it well.\n\n1. Roast the semolina in the ghee for 10 minutes.\n2. Pour in the water, add the jaggery and stir for 8 minutes. Jaggery purifies the blood.\n3. Fold in the cashews.";

function shared(text: string, wishes: ShareWishes = NOTHING_MORE) {
  const { table: _, ...rest } = toKeep(text, { eaters: EATERS });
  return shareView({ ...rest, table: TABLE, label: "Closest, vegan", why: "Because Quorvax fasts.", wishes }, kitchen);
}
const snapshot = (text: string) => {
  const { recipe } = toKeep(text);
  const read = openRecipe(recipe, kitchen);
  const { version } = asHandedDown(read, TABLE);
  const rows = version.rows.map((row, i) => (i === 0 ? { ...row, change: "replaced" as const, why: "vegan: Zebulonia" } : row));
  return snapshotOf(
    read,
    openTable(read, TABLE, kitchen),
    { ...version, rows },
    TABLE,
    "Closest, vegan",
    { handling: kitchen.handling, equipment: undefined },
    { recipe: 1, table: 1 },
  );
};
/** What is nobody else's business, as it would stand there. */
const PRIVATE = /Zebulonia|Quorvax|ekadashi|vegan|no cashew|nut allergy|fasts|free sugars over|liked it/i;

describe("what goes out of the house", () => {
  it("holds no name, rule or note, and no claim, unless it is ticked", () => {
    const sweet = shared(HALWA);
    const all = `${JSON.stringify(sweet)} ${writeMessage(sweet)} ${JSON.stringify(writeSweetJsonLd(sweet))}`;
    expect(all).not.toMatch(PRIVATE);
    expect(all).not.toMatch(/healthy|purifies|good for the skin/i);
    expect(sweet).toMatchObject({ title: "Semolina halwa", version: null, whom: [], notes: [], breaches: [] });
    // What can hurt goes out in any case.
    expect(sweet.contains).toEqual(["nuts (cashew)", "gluten (wheat)", "milk"]);
    expect(sweet.unread.join()).toMatch(/aunt dried/);
    expect(writeMessage(sweet)).toMatch(/Contains: NUTS \(CASHEW\), GLUTEN \(WHEAT\), MILK\.[^]*Not known what is in: a handful/);
  });
  it("holds what is ticked, each for itself", () => {
    const notes = JSON.stringify(shared(HALWA, { ...NOTHING_MORE, notes: true }));
    expect(notes).toMatch(/Stir it well/);
    expect(notes).not.toMatch(/Good for the skin/);
    const names = JSON.stringify(shared(HALWA, { ...NOTHING_MORE, names: true }));
    expect(names).toMatch(/Zebulonia.*"no"/);
    expect(names).not.toMatch(/ekadashi|is dairy/i);
    const rules = shared(HALWA, { ...NOTHING_MORE, rules: true });
    expect(rules.version).toBe("Closest, vegan");
    expect(rules.breaches.join()).toMatch(/ghee/i);
    expect(JSON.stringify(rules)).not.toMatch(/Zebulonia|Quorvax/);
  });
  it("says which names of the house stand in what somebody typed", () => {
    const named = HALWA.replace("3. Fold in the cashews.", "3. Fold in the cashews, but not for Quorvax.");
    expect(shared(named).namesLeft).toEqual(["Quorvax"]);
    expect(shared(HALWA).namesLeft).toEqual([]);
  });
  it("keeps back the same of a version in a file: 60 random sweets, and what is asked of each table", () => {
    for (let seed = 1; seed <= 60; seed++) {
      const kept = snapshot(randomSweet(randomOf(seed)).text.replace("Random sweet", "Sweet of the house"));
      const out = asShared(kept, NOTHING_MORE);
      // Rules stand by their ids in ways and hazards of foods alone, never as whose they are.
      expect(JSON.stringify({ ...out, asHandedDown: null, forThisTable: null, rows: out.rows.map(({ food: _, ...row }) => row) })).not.toMatch(PRIVATE);
      expect(out.table).toEqual({ rules: [], limits: [], servings: 4, serve: "hot" });
      expect(out.forThisTable.figures).toEqual(kept.forThisTable.figures);
      expect(out.rows.map(({ id, grams }) => [id, grams])).toEqual(kept.rows.map(({ id, grams }) => [id, grams]));
      expect(recipeAsShared({ ...kept.recipe, notes: "Zebulonia liked it" }, NOTHING_MORE)).not.toHaveProperty("notes");
    }
  });
  it("is what schema.org calls a recipe, to a reader of JSON-LD that is not ours", async () => {
    const written = { ...writeSweetJsonLd(shared(HALWA)), "@context": { "@vocab": "https://schema.org/" } };
    const [expanded] = await expand(written);
    expect(expanded?.["@type"]).toEqual(["https://schema.org/Recipe"]);
    const values = (of: unknown) => (of as readonly { readonly "@value"?: string }[]).map((each) => each["@value"]);
    expect(values(expanded?.["https://schema.org/recipeIngredient"])).toHaveLength(6);
    const steps = expanded?.["https://schema.org/recipeInstructions"] as readonly Readonly<Record<string, unknown>>[];
    expect(steps.map((step) => step["@type"])).toEqual(steps.map(() => ["https://schema.org/HowToStep"]));
    expect(values(expanded?.["https://schema.org/name"])).toEqual(["Semolina halwa"]);
  });
  it("is the same recipe when it is read again as JSON-LD: title, yield, every line and step", () => {
    const sweet = shared(HALWA);
    const back = readJsonLd(JSON.parse(JSON.stringify(writeSweetJsonLd(sweet))));
    if (!back.ok) throw new Error("not read");
    expect(back.value.title).toBe("Semolina halwa");
    expect(back.value.lines.map(({ text }) => text)).toEqual(sweet.ingredients.flatMap(({ items }) => items.map(ingredientWords)));
    expect(back.value.servings).toBe(4);
    expect(back.value.steps).toHaveLength(sweet.steps.length);
  });
});

describe("claims", () => {
  it.each([
    ["Sugar-free vegan date ladoo", "Date ladoo"],
    ["Healthy oat kheer (diabetic-friendly)", "Oat kheer"],
    ["Gluten-free, dairy-free halwa", "Halwa"],
    ["Low GI millet payasam", "Millet payasam"],
    ["Immunity-boosting turmeric milk", "Turmeric milk"],
    ["No added sugar fig roll", "Fig roll"],
    ["Vegan", "Sweet"],
    ["Saffron phirni", "Saffron phirni"],
    ["Fig & walnut roll", "Fig & walnut roll"],
  ])("stand in no title: %s", (title, plain) => expect(titleWithoutClaims(title)).toBe(plain));
  it("go with their sentences from notes; praise goes from steps and lines, and names of things stay", () => {
    expect(notesWithoutClaims("Soak it long. It is vegan and lowers cholesterol. Serve cold.")).toBe("Soak it long. Serve cold.");
    expect(stepWithoutPraise("Add the gluten-free flour. This boosts immunity. Stir for 5 minutes.")).toBe("Add the gluten-free flour. Stir for 5 minutes.");
    expect(lineWithoutPraise("1 cup healthy jaggery")).toBe("1 cup jaggery");
    expect(lineWithoutPraise("30 g sugar-free dark chocolate")).toBe("30 g sugar-free dark chocolate");
  });
});
