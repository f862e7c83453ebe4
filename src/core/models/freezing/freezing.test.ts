import { describe, expect, it } from "vitest";
import { REFERENCE } from "../../../data";
import { food, problem, read } from "../../../../tests/support/kitchen";
import { evaluate } from "../../evaluate";
import { beamReadings, versionNotes, type Version } from "../../substitution";
import { freezingOf, FREEZING_SUMS, iceWithSlopes, type FreezingSums } from ".";

const { constants } = REFERENCE;
const of = (part: Partial<FreezingSums>): FreezingSums => ({
  ...(Object.fromEntries(FREEZING_SUMS.map((sum) => [sum, 0])) as FreezingSums),
  water: 100,
  ...part,
});
const from = (part: Partial<FreezingSums>) => freezingOf(of(part), constants).from;
const ice = (part: Partial<FreezingSums>) => iceWithSlopes(of(part), constants).value;

describe("freezing", () => {
  it("begins where a dilute solution's does by Raoult: 1.86 K for a mole in a kilogram of water", () => {
    expect(from({ sucrose: 3.423 })).toBeCloseTo(0.186, 1);
    expect(from({ hexoses: 1.8016 })).toBeCloseTo(0.186, 1);
    expect(from({ erythritol: 1.2212 })).toBeCloseTo(0.186, 1);
  });
  it("begins at −0.5 °C in cow's milk, which is known to freeze at −0.51 to −0.55 °C", () => {
    // Milk: 87 g of water, 4.8 g of lactose.
    expect(from({ water: 87, lactose: 4.8 })).toBeGreaterThan(0.48);
    expect(from({ water: 87, lactose: 4.8 })).toBeLessThan(0.6);
  });
  it("begins at −2.5 °C in an ordinary mix of 16 % sugar and 11 % milk solids in 62 % water", () => {
    expect(from({ water: 62, sucrose: 16, lactose: 6 })).toBeGreaterThan(2.3);
    expect(from({ water: 62, sucrose: 16, lactose: 6 })).toBeLessThan(2.9);
  });
  it("leaves all water ice where nothing is dissolved, and less the more there is; a sugar of half the size holds back twice as much", () => {
    expect(ice({})).toBeCloseTo(100, 3);
    const shares = [5, 15, 30, 60, 150].map((sucrose) => ice({ sucrose }));
    expect([...shares].sort((a, b) => b - a)).toEqual(shares);
    expect(ice({ allulose: 18.016 })).toBeCloseTo(ice({ sucrose: 34.23 }), 6);
    for (const solute of ["sucrose", "hexoses", "erythritol", "lactose"] as const) {
      const { slopes } = iceWithSlopes(of({}), constants);
      const [little, more] = [ice({ [solute]: 1e-4 }), ice({ [solute]: 2e-4 })];
      expect(slopes[solute], solute).toBeCloseTo((more - little) / 1e-4, 3);
    }
    expect(ice({ sucrose: 400 })).toBe(0);
    expect(ice({ water: 0 })).toBe(0);
  });
  it("is told of a frozen sweet alone, and moves as its sugars are exchanged", () => {
    const kulfi = problem(
      read(
        "Malai kulfi\nServes 6\n1 litre milk\n100 g sugar\n20 g almonds, chopped\nSimmer the milk until reduced to half. Stir in the sugar and almonds. Pour into moulds and freeze for 8 hours.",
      ),
    );
    const own = evaluate(kulfi, constants).figures;
    expect(own.ice.value).toBeGreaterThan(40);
    expect(own.ice.value).toBeLessThan(75);
    expect(beamReadings(own, own, [], "hot", constants).map(({ id }) => id)).toContain("ice");
    const lines = kulfi.lines.map((line) => (line.food.id === "sugar" ? { ...line, food: food("erythritol"), grams: line.grams * 1.4 } : line));
    expect(evaluate({ ...kulfi, lines }, constants).figures.ice.value).toBeLessThan(own.ice.value - 15);
    const version: Version = {
      evaporation: kulfi.evaporation.value,
      rows: lines.map(({ id, food: held, grams, role }) => ({ id, line: id, food: held, grams, role, change: "as is", why: "" })),
    };
    expect(versionNotes(kulfi, version, evaluate({ ...kulfi, lines }, constants).figures).map(({ text }) => text)).toContainEqual(
      expect.stringMatching(/^Softer than as handed down \(\d+ % of its water is ice at −12 °C, \d+ % as handed down\)/),
    );
    const pudding = evaluate({ ...kulfi, archetype: "pudding" }, constants).figures;
    expect(pudding.ice.value).toBe(0);
    expect(beamReadings(pudding, pudding, [], "hot", constants).map(({ id }) => id)).not.toContain("ice");
  });
});
