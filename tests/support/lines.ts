/** Ingredient lines as strangers write them, scored; and the same with every food exchanged for another of its kind. */
import { readFileSync } from "node:fs";
import Papa from "papaparse";
import { areKin, type Food } from "../../src/core/food";
import { readLine, type LineReading } from "../../src/core/recipe/read-line";
import { REFERENCE } from "../../src/data";
import { context } from "./kitchen";
import { pick, type Random } from "./trials";

export interface MeantLine {
  readonly text: string;
  /** Words of the food that is meant; null where it has to be asked, or is no ingredient. */
  readonly food: RegExp | null;
  readonly from: number;
  readonly to: number;
}

/** Lines with their meanings: text, food, grams from, grams to, parted by tabs. */
export const meantLines = (path: string): readonly MeantLine[] =>
  Papa.parse<string[]>(readFileSync(path, "utf8"), { delimiter: "\t", comments: "#", skipEmptyLines: true, quoteChar: "\u0000" }).data.map(
    ([text = "", food = "", from = "", to = ""]) => ({
      text,
      food: food === "asked" || food === "heading" ? null : new RegExp(food, "i"),
      from: Number(from),
      to: Number(to),
    }),
  );

export type Score = "right" | "asked" | "wrong";
const readingOf = (text: string): LineReading => readLine({ id: "l", text, choice: {} }, context);
/** What stands in the line, with the water of what is measured as cooked. */
const gramsOf = (reading: Extract<LineReading, { kind: "read" }>): number => reading.grams.value + (reading.water?.value ?? 0);

export function scoreOf({ text, food, from, to }: MeantLine): Score {
  const reading = readingOf(text);
  if (reading.kind !== "read") return food === null ? "right" : "asked";
  const names = [reading.food.name, ...reading.food.synonyms].join(" | ");
  const grams = gramsOf(reading);
  return food !== null && food.test(names) && grams >= from && grams <= to ? "right" : "wrong";
}

const FOODS = [...REFERENCE.foods.values()];
const firstName = ({ name }: Food): string => (name.split(",")[0] ?? name).toLowerCase();
/** A name that means this food alone, written as it is. */
const isSure = (food: Food): boolean => {
  const match = context.matcher.match(firstName(food));
  return match.kind === "known" && match.foodId === food.id;
};
const SURE = FOODS.filter(isSure);

/** Another food of its kind: of the same family, as dry, poured alike, counted alike. */
function another(food: Food, random: Random): Food | null {
  const counted = (each: Food) => each.counted.map(({ unit }) => unit).join();
  const others = SURE.filter(
    (each) =>
      each.id !== food.id &&
      each.family === food.family &&
      each.pours === food.pours &&
      counted(each) === counted(food) &&
      (each.density === null) === (food.density === null),
  );
  return others.length === 0 ? null : pick(random, others);
}

/** The line with the words that name its food exchanged for those of another; null where they do not stand together in it, or nothing is like it. */
export function permuted({ text }: MeantLine, random: Random): { readonly text: string; readonly food: Food } | null {
  const reading = readingOf(text);
  if (reading.kind !== "read") return null;
  const names = [reading.food.name, firstName(reading.food), ...reading.food.synonyms].sort((a, b) => b.length - a.length);
  const lower = text.toLowerCase();
  const named = names.find((name) => new RegExp(`(?<![a-z])${name.toLowerCase().replace(/[^a-z ]/g, ".")}(?:s|es)?(?![a-z])`).test(lower));
  const other = another(reading.food, random);
  if (named === undefined || !other) return null;
  const rest = lower.replace(new RegExp(`(?<![a-z])${named.toLowerCase().replace(/[^a-z ]/g, ".")}(?:s|es)?(?![a-z])`), firstName(other));
  // A line that calls it by two names would name two foods.
  return context.find(rest).some(({ food }) => food.id === reading.food.id) ? null : { text: rest, food: other };
}

/** Whether a line with an exchanged food reads as that food, in an amount that can be. */
export function scoreOfPermuted({ text, food }: { readonly text: string; readonly food: Food }): Score {
  const reading = readingOf(text);
  if (reading.kind !== "read") return "asked";
  // A sweetened kind of it, or a small one, where the line says so, is the same plant's.
  return areKin(reading.food, food) ? "right" : "wrong";
}
