import { describe, expect, it } from "vitest";
import { CONSTANTS } from "../../../data/constants";
import { asTreated, NUTRIENTS, type Food, type Nutrient, type StarchForm, type StarchKind } from "../../food";
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

describe("body, further reference cases", () => {
  const plain = { fibreShare: 1, proteinCounts: false } as const;
  const of = (per: Partial<Record<Nutrient, number>>, thickening: Food["thickening"], more: Partial<Food> = {}): Food => ({
    ...food(per, thickening),
    ...more,
  });
  const plant = (botanical: string, form: "whole" | "paste" = "paste") => ({ botanical, form, processing: "raw", binding: null, acidity: "none" }) as const;
  const nut = (per: Partial<Record<Nutrient, number>>, botanical: string, form?: "paste") =>
    of(per, { fibreShare: 0, proteinCounts: false }, { family: "nut", nature: plant(botanical, form) });
  const grain = (kind: StarchKind, form: "whole" | "cracked", more: { tau?: number; bran?: true } = {}): Food["thickening"] => ({
    starch: { kind, form: "flour", grain: form, ...more },
    fibreShare: 0.5,
    proteinCounts: false,
  });
  const RICE = { water: 9.93, starch: 75.7, sucrose: 0.69, insolubleFibre: 2.81 };
  const broken = (share: number) => (each: Food) => asTreated(each, { broken: share });
  const foods = {
    milk,
    water,
    sugar,
    cornflour,
    rice: of(RICE, grain("rice", "whole")),
    brownRice: of({ water: 9.33, starch: 71.3, sucrose: 0.7, insolubleFibre: 4.4 }, grain("rice", "whole", { tau: 20, bran: true })),
    glutinous: of({ water: 10.5, starch: 76, insolubleFibre: 2.8 }, grain("waxy rice", "whole")),
    crackedRice: of(RICE, grain("rice", "cracked")),
    moong: broken(1)(of({ water: 9.8, starch: 41, sucrose: 1, insolubleFibre: 9.4 }, grain("pulse", "cracked"), { family: "pulse" })),
    gram: broken(0.1)(of({ water: 10, starch: 39.2, sucrose: 0.5, insolubleFibre: 17 }, grain("pulse", "whole"), { family: "pulse" })),
    almond: nut({ water: 4.5, fat: 52.5, sucrose: 4.5 }, "Prunus dulcis"),
    cashew: nut({ water: 4.4, fat: 45.2, sucrose: 3.1, starch: 20.1 }, "Anacardium occidentale"),
    coconut: nut({ water: 36.1, fat: 41.4, sucrose: 6.2 }, "Cocos nucifera"),
    peanutButter: nut({ water: 1.5, fat: 50, sucrose: 5 }, "Arachis hypogaea"),
    dates: of({ water: 22, glucose: 66.1, insolubleFibre: 6.5 }, plain, { family: "fruit" }),
    egg: asTreated(of({ water: 76.5, protein: 13.3 }, { fibreShare: 0, proteinCounts: false, egg: "whole" }), { egg: "baked" }),
    yolk: asTreated(of({ water: 53.6, protein: 15.7 }, { fibreShare: 0, proteinCounts: false, egg: "yolk" }), { egg: "stirred" }),
    yogurt: of({ water: 87.9, protein: 3.47, lactose: 4.66 }, { fibreShare: 1, proteinCounts: true, cultured: true }),
    hung: of({ water: 81.3, protein: 9, lactose: 3.7 }, { fibreShare: 1, proteinCounts: true, cultured: true }),
    gelatine: of({ water: 13 }, { fibreShare: 0, proteinCounts: false, gelatine: true }),
    guar: of({ water: 11 }, { fibreShare: 0, proteinCounts: false, k: 6 }),
  };
  const cases: readonly (readonly [
    string,
    Readonly<Partial<Record<keyof typeof foods, number>>>,
    off: number,
    min: number | null,
    hot: number | null,
    chilled: number,
  ])[] = [
    ["whole rice, 45 min", { milk: 1000, rice: 100, sugar: 60 }, 200, 45, 5.04, 6.63],
    ["whole rice, 15 min", { milk: 1000, rice: 80 }, 60, 15, 1.95, 2.75],
    ["brown rice, 70 min", { milk: 1000, brownRice: 100, sugar: 60 }, 200, 70, 3.91, 5.29],
    ["glutinous rice, 40 min", { water: 1300, glutinous: 120, sugar: 80 }, 200, 40, 3.76, 4.04],
    ["cracked rice, 20 min", { milk: 1000, crackedRice: 60, sugar: 90 }, 150, 20, 3.59, 4.97],
    ["moong, mashed", { water: 480, moong: 100 }, 30, null, 3.87, 5.06],
    ["green gram, whole", { water: 700, gram: 100 }, 50, null, 1.48, 1.55],
    ["almond, fine", { water: 400, almond: 100 }, 0, 0, 2.36, 2.36],
    ["cashew, fine, raw", { water: 250, cashew: 100 }, 0, 0, 3.22, 3.22],
    ["coconut, fine", { water: 150, coconut: 100 }, 0, 0, 4.18, 4.18],
    ["peanut butter", { water: 170, peanutButter: 100 }, 0, 0, 4.38, 4.38],
    ["dates, mashed", { water: 100, dates: 100 }, 0, 0, 4.89, 4.89],
    ["egg, baked", { milk: 721, egg: 150, sugar: 90 }, 15, null, 6.9, 7.55],
    ["yolk, stirred", { milk: 515, yolk: 72, sugar: 60 }, 15, null, 2.05, 2.39],
    ["yolk and cornflour", { milk: 515, yolk: 80, sugar: 100, cornflour: 40 }, 20, null, 5.97, 7.43],
    ["gelatine", { water: 440, sugar: 60, gelatine: 10 }, 0, 0, 0.64, 8.15],
    ["yogurt, stirred", { yogurt: 500 }, 0, 0, null, 3.3],
    ["hung yogurt", { hung: 300, sugar: 120 }, 0, 0, null, 6.2],
    ["guar", { water: 995, guar: 5 }, 0, 0, 2.72, 2.72],
  ];
  it.each(cases)("%s", (_, amounts, off, minutes, hot, chilled) => {
    const lines = Object.entries(amounts).map(([id, grams]) => ({ food: foods[id as keyof typeof foods], grams, sd: 0, role: "body" as const }));
    const sweet = balance(lines, off, minutes);
    if (hot !== null) expect(Math.abs(body(sweet, "hot", CONSTANTS) - hot)).toBeLessThanOrEqual(0.05);
    expect(Math.abs(body(sweet, "chilled", CONSTANTS) - chilled)).toBeLessThanOrEqual(0.05);
  });
});
