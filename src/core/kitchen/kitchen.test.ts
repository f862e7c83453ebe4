import { describe, expect, it } from "vitest";
import { kitchenOf } from "../../data";
import { DEMO_PANTRY } from "../../data/demo-pantry";
import { USUAL_HOUSEHOLD } from "../household";
import { readRecipeText } from "../recipe";
import { openRecipe, USUAL_SOURCES } from "./index";
import { withOwnCandidates } from "./own-candidates";

const at = (altitude: number) => kitchenOf({ ...USUAL_SOURCES, household: { ...USUAL_HOUSEHOLD, altitude } });
const syrup = readRecipeText(
  "A syrup\nServes 4\n\nIngredients\n200 g sugar\n100 ml water\n\nMethod\n1. Boil the sugar and the water until a thermometer reads 107 °C.",
);

describe("a kitchen high above the sea", () => {
  it("boils a syrup further to the same temperature: it boils lower there", () => {
    if (!syrup.ok) return expect.fail("not read");
    const [sea, high] = [0, 1500].map((altitude) => openRecipe(syrup.value, at(altitude)).ledger.finished.value);
    expect(sea).toBeCloseTo(200 / 0.709, -1);
    expect(high).toBeLessThan(0.95 * (sea ?? 0));
  });
  it("is the same kitchen for the same household, and that of the shipped tables at the sea", () => {
    const household = { ...USUAL_HOUSEHOLD, altitude: 800 };
    expect(kitchenOf({ ...USUAL_SOURCES, household })).toBe(kitchenOf({ ...USUAL_SOURCES, household }));
    expect(at(0).pantryTables.making.boiling).toBe(kitchenOf(USUAL_SOURCES).pantryTables.making.boiling);
  });
});

describe("what a household has of its own", () => {
  it("goes by its own eye for a handful, and by the difference in sweetness that it notices", () => {
    const nuts = readRecipeText("Nuts\nServes 4\n\na handful of cashews\na handful of almonds\na pinch of salt\n1 cup sugar");
    if (!nuts.ok) return expect.fail("not read");
    const household = { ...USUAL_HOUSEHOLD, measures: { ...USUAL_HOUSEHOLD.measures, byEye: { cashew: 0.1, salt: 0.05, sugar: 0.01 } }, noticed: 0.09 };
    const spread = (kitchen: ReturnType<typeof kitchenOf>) => openRecipe(nuts.value, kitchen).lines.map(({ sd, grams }) => sd / grams);
    const [usual, own] = [spread(kitchenOf(USUAL_SOURCES)), spread(kitchenOf({ ...USUAL_SOURCES, household }))];
    expect(own[0]).toBeCloseTo(((usual[0] ?? 0) * 0.1) / 0.25, 6);
    expect(own.slice(1)).toEqual(usual.slice(1));
    const noticing = (of: typeof household) => kitchenOf({ ...USUAL_SOURCES, household: of }).reference.constants.noticeable.value;
    expect(noticing(household)).toEqual({ ...kitchenOf(USUAL_SOURCES).reference.constants.noticeable.value, sweetness: 0.09 });
    // The same constants for the same figure: what rests on them is worked out once.
    expect(kitchenOf({ ...USUAL_SOURCES, household }).reference.constants).toBe(
      kitchenOf({ ...USUAL_SOURCES, household: { ...household } }).reference.constants,
    );
  });
  it("stands in where what it is like does, and before it; as much as that does; what is like nothing does not", () => {
    const own = kitchenOf({ ...USUAL_SOURCES, pantry: DEMO_PANTRY }).substitution.candidates;
    const shipped = kitchenOf(USUAL_SOURCES).substitution.candidates;
    const paste = own.filter(({ foodId }) => foodId === "own-house-date-paste");
    expect(paste.length).toBe(shipped.filter(({ foodId }) => foodId === "date-paste").length);
    expect(paste.every(({ affinity, role }) => shipped.some((each) => each.foodId === "date-paste" && each.role === role && each.affinity > affinity))).toBe(
      true,
    );
    expect(own.slice(0, shipped.length)).toEqual(shipped);
    // A cream is let in like a coconut milk, not like an oat drink.
    const cream = own.filter(({ foodId }) => foodId === "own-corner-shop-oat-cream");
    expect(cream.map(({ most }) => most)).toEqual(shipped.filter(({ foodId }) => foodId === "coconut-milk").map(({ most }) => most));
    const salt = kitchenOf(USUAL_SOURCES).reference.foods.get("salt");
    if (!salt) return expect.fail("no salt");
    const { foods } = kitchenOf(USUAL_SOURCES).reference;
    const odd = withOwnCandidates(kitchenOf(USUAL_SOURCES).substitution, foods, new Map([...foods, ["own-salt", { ...salt, id: "own-salt", role: "liquid" }]]));
    expect(odd.candidates).toHaveLength(shipped.length);
  });
});
