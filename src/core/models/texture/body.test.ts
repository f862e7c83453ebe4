import { describe, expect, it } from "vitest";
import { CONSTANTS } from "../../../data/constants";
import { NUTRIENTS, type Food, type Nutrient, type StarchForm, type StarchKind } from "../../food";
import { balance } from "../../recipe";
import { body, bodyAt, bodyWords } from "./body";
import { bodyOfIndex, indexOfBody } from "../../process";

/** A food made of just what a reference case states, per 100 g. */
function food(per100g: Partial<Record<Nutrient, number>>, thickening: Food["thickening"]): Food {
  const amounts = NUTRIENTS.map((nutrient) => per100g[nutrient] ?? 0);
  return {
    id: "case",
    name: "case",
    synonyms: [],
    provenance: "computed",
    source: "reference case",
    revision: 1,
    per100g: amounts,
    sd: amounts.map(() => 0),
    micro: [],
    microSd: [],
    lookAlikes: [],
    unknown: [],
    weighed: [],
    pricePerGram: null,
    nature: null,
    cooked: null,
    origin: "plant",
    family: "cereal",
    allergens: [],
    mayContain: [],
    sugarClass: "intact",
    thickening,
    glycaemicIndex: null,
    freeOil: 0,
    solidFat: 0,
    density: null,
    pours: false,
    counted: [],
    forms: {},
    role: "body",
    note: null,
    parts: [],
  };
}
const starch = (kind: StarchKind, form: StarchForm, fibreShare: 0 | 0.5 | 1 = 0.5): Food["thickening"] => ({
  starch: { kind, form, grain: "ground" },
  fibreShare,
  proteinCounts: false,
});
const water = food({ water: 100 }, { fibreShare: 1, proteinCounts: false });
const cornflour = food({ water: 11, starch: 88 }, starch("cornflour", "isolated"));
const milk = food({ water: 86.64, protein: 3.26, lactose: 4.89 }, { fibreShare: 1, proteinCounts: true });
const coconutMilk = food({ water: 74, protein: 2, sucrose: 3 }, { fibreShare: 1, proteinCounts: true });
const sugar = food({ sucrose: 100 }, { fibreShare: 1, proteinCounts: false });
const rice = food({ water: 9.93, starch: 75.7, sucrose: 0.69, insolubleFibre: 2.81 }, starch("rice", "flour"));
const semolina = food({ water: 8.94, starch: 58.2, sucrose: 1.65, insolubleFibre: 9.72 }, starch("wheat", "flour"));
const ghee = food({ fat: 100 }, { fibreShare: 1, proteinCounts: false });
const sago = food({ water: 12, starch: 86 }, starch("tapioca", "pearl"));

describe("body, reference cases", () => {
  it.each([
    [
      "water 980, cornflour 20",
      [
        [water, 980],
        [cornflour, 20],
      ],
      0,
      1.72,
      2.61,
    ],
    [
      "water 910, cornflour 90",
      [
        [water, 910],
        [cornflour, 90],
      ],
      0,
      5.96,
      7.65,
    ],
    [
      "milk 940, cornflour 60",
      [
        [milk, 940],
        [cornflour, 60],
      ],
      0,
      4.96,
      6.61,
    ],
    [
      "coconut milk 960, cornflour 65, sugar 120",
      [
        [coconutMilk, 960],
        [cornflour, 65],
        [sugar, 120],
      ],
      0,
      5.31,
      7.0,
    ],
    [
      "milk 1030, rice 70, sugar 100, 310 off",
      [
        [milk, 1030],
        [rice, 70],
        [sugar, 100],
      ],
      310,
      4.67,
      6.21,
    ],
    [
      "semolina 120, ghee 110, sugar 150, water 480, 40 off",
      [
        [semolina, 120],
        [ghee, 110],
        [sugar, 150],
        [water, 480],
      ],
      40,
      6.62,
      8.09,
    ],
    [
      "milk 1000, sago 90, sugar 100, 150 off",
      [
        [milk, 1000],
        [sago, 90],
        [sugar, 100],
      ],
      150,
      5.67,
      6.02,
    ],
  ] as const)("%s", (_, amounts, evaporation, hot, chilled) => {
    const sweet = balance(
      amounts.map(([each, grams]) => ({ food: each, grams, sd: 0, role: each.role })),
      evaporation,
      null,
    );
    expect(Math.abs(body(sweet, "hot", CONSTANTS) - hot)).toBeLessThanOrEqual(0.05);
    expect(Math.abs(body(sweet, "chilled", CONSTANTS) - chilled)).toBeLessThanOrEqual(0.05);
  });

  it("sets with agar by the square-law anchors, chilled only", () => {
    const agar = food({}, { fibreShare: 0, proteinCounts: false, agar: true });
    const at = (percent: number) =>
      balance(
        [
          { food: water, grams: 1000 - 10 * percent, sd: 0, role: "liquid" },
          { food: agar, grams: 10 * percent, sd: 0, role: "setting" },
        ],
        0,
        null,
      );
    for (const [percent, step] of [
      [0.2, 5],
      [0.4, 7.2],
      [0.6, 8.2],
      [0.9, 9],
    ] as const)
      expect(body(at(percent), "chilled", CONSTANTS)).toBeCloseTo(step, 1);
    expect(body(at(0.6), "hot", CONSTANTS)).toBe(0);
  });

  it("inverts: the index of a step gives the step back, and mashing raises body", () => {
    for (const step of [0.5, 3, 6.6, 9]) expect(bodyOfIndex(indexOfBody(step, CONSTANTS), CONSTANTS)).toBeCloseTo(step, 9);
    const grain = (form: "whole" | "cracked" | "ground") => ({
      ...rice,
      thickening: { ...rice.thickening, starch: { kind: "rice", form: "flour", grain: form } as const },
    });
    const [whole, cracked, ground] = (["whole", "cracked", "ground"] as const).map((form) =>
      body(
        balance(
          [
            { food: milk, grams: 900, sd: 0, role: "liquid" },
            { food: grain(form), grams: 80, sd: 0, role: "body" },
          ],
          0,
          null,
        ),
        "hot",
        CONSTANTS,
      ),
    );
    expect(whole).toBeLessThan(cracked ?? 0);
    expect(cracked).toBeLessThan(ground ?? 0);
  });

  it("speaks in words and runs evenly between hot and chilled", () => {
    expect(bodyWords(4.4, CONSTANTS)).toBe("spoonable");
    expect(bodyAt(4, 6, "hot", CONSTANTS)).toBe(4);
    expect(bodyAt(4, 6, "chilled", CONSTANTS)).toBe(6);
    expect(bodyAt(4, 6, "warm", CONSTANTS)).toBeGreaterThan(4);
  });
});
