import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fraction } from "../units";
import { food, halwa, phirni } from "../../../tests/support/kitchen";
import { REFERENCE } from "../../data";
import { INDEX, NUTRIENTS } from "../food";
import { burnerCap, evaporationRate, kitchenConstants } from "../process";
import { balance } from "./balance";
import { NO_EQUIPMENT, USUAL_HOUSEHOLD } from "../household";
import { kitchenMeasure, nearestFraction } from "./kitchen-measure";

const ids = ["cow-milk", "sugar", "ghee", "semolina", "water", "almond", "coconut-milk"];

describe("mass balance", () => {
  it("keeps every nutrient and loses only water, whatever is in the pot", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...ids), fc.double({ min: 0.1, max: 2000, noNaN: true })), { minLength: 1, maxLength: 8 }),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        (parts, evaporation) => {
          const lines = parts.map(([id, grams]) => ({ food: food(id), grams, sd: 0, role: food(id).role }));
          const dry = balance(lines, 0, null);
          const cooked = balance(lines, evaporation, null);
          expect(cooked.finishedMass).toBeCloseTo(dry.finishedMass - cooked.evaporation, 6);
          expect(cooked.totals[INDEX.water]).toBeGreaterThanOrEqual(-1e-9);
          for (let n = 1; n < NUTRIENTS.length; n++) expect(cooked.totals[n]).toBe(dry.totals[n]);
        },
      ),
    );
  });
  it("drives off what the rate of a pan says: 20, 24, 28 cm at a simmer", () => {
    const flux = REFERENCE.constants.evaporationFlux.value;
    expect([20, 24, 28].map((cm) => Number(evaporationRate("simmer", cm, fraction(0), flux).toFixed(1)))).toEqual([6.3, 9, 12.3]);
    expect(evaporationRate("simmer", 24, fraction(0.5), flux)).toBeLessThan(evaporationRate("simmer", 24, fraction(0.1), flux));
    expect(evaporationRate("simmer", 24, fraction(0.9), flux)).toBe(0);
    // A burner of 1 kW gives at most 26.6 g a minute, and of gas half of that.
    expect(burnerCap({ kind: "induction", power: 1 })).toBeCloseTo(21.28, 6);
    expect(evaporationRate("rolling", 30, fraction(0), flux, burnerCap({ kind: "gas", power: 1 }))).toBeCloseTo(13.3, 6);
    const own = kitchenConstants(REFERENCE.constants, { ...NO_EQUIPMENT, pans: [{ id: "p", name: "", diameter: 20, depth: 9, mass: null, sharedWith: [] }] });
    expect([own.process.value.pan, own.process.value.cap, kitchenConstants(REFERENCE.constants, NO_EQUIPMENT)]).toEqual([20, null, REFERENCE.constants]);
  });
  it("tells the demo's kinds, and estimates evaporation from the steps", () => {
    expect(halwa()).toMatchObject({ archetype: "flour halwa", cookMinutes: 8, unresolved: [] });
    const kheer = phirni();
    expect(kheer).toMatchObject({ archetype: "pudding", cookMinutes: 25, unresolved: [] });
    expect(kheer.evaporation.grams.value).toBeGreaterThan(150);
    expect(kheer.evaporation.how).toMatch(/25 min/);
  });
});

describe("kitchen measures", () => {
  it.each([
    [0.5, "1/2"],
    [1.26, "1 1/4"],
    [0.98, "1"],
    [2.67, "2 2/3"],
    [0.12, "1/8"],
  ])("%d is %s", (x, text) => expect(nearestFraction(x).text).toBe(text));
  it("weighs within an eighth of what it stands for", () => {
    fc.assert(
      fc.property(fc.constantFrom("sugar", "ghee", "semolina", "cornflour", "cow-milk"), fc.double({ min: 8, max: 1500, noNaN: true }), (id, grams) => {
        const measure = kitchenMeasure(food(id), grams, USUAL_HOUSEHOLD.measures);
        expect(measure && Math.abs(measure.grams / grams - 1)).toBeLessThan(0.13);
      }),
    );
  });
  it("counts strands, and spoons what can be spooned", () => {
    expect(kitchenMeasure(food("saffron"), 0.016, USUAL_HOUSEHOLD.measures)?.text).toBe("8 strands");
    expect(kitchenMeasure(food("sugar"), 203, USUAL_HOUSEHOLD.measures)?.text).toBe("1 cup");
    // Neither lumps, which differ, nor the one fruit that weighs twice that.
    expect(kitchenMeasure(food("jaggery"), 95, USUAL_HOUSEHOLD.measures)?.text).not.toMatch(/lump/);
    expect(kitchenMeasure(food("pumpkin"), 800, USUAL_HOUSEHOLD.measures)?.text).toMatch(/cups/);
  });
});
