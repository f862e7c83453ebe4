import { describe, expect, it } from "vitest";
import { kitchenOf } from "../../data";
import { USUAL_HOUSEHOLD } from "../household";
import { readRecipeText } from "../recipe";
import { openRecipe, USUAL_SOURCES } from "./index";

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
