import { valueOf } from "../evaluate";
import type { LearnedFactor, ServingTemperature } from "../food";
import { formatGrams, lowerFirst } from "../units";
import type { Constants } from "./stove-aim";
import type { StoveStanding } from "./stove-standing";

/** Somebody who tasted it, and how sweet they want it beside the recipe. */
type Wanting = LearnedFactor & { readonly name: string };

/** Wants that lie no further apart than this, by the logarithm, are one: nobody tells them apart. */
const ONE = 0.15;

/**
 * What to do where some want it sweeter and some less: made for those who want it least, with so much sugar at the table for the others;
 * or the pot parted before it is sweetened, with what goes into each part. In words.
 */
export function apartWords(
  usual: number,
  palates: readonly Wanting[],
  stands: StoveStanding,
  servings: number,
  served: ServingTemperature,
  constants: Constants,
): string {
  const wanted = palates.toSorted((a, b) => a.ln - b.ln);
  const [least, most] = [wanted[0], wanted.at(-1)];
  if (!least || !most) return "";
  const serving = stands.figures.yield.value / Math.max(1, servings);
  const sugar = (usual * (Math.exp(most.ln) - Math.exp(least.ln)) * serving) / 100;
  const grams = formatGrams(Math.max(1, Math.round(sugar)));
  const keeps = `where nothing that ${most.name} keeps speaks against it`;
  const made = `${least.name} wants it less sweet than ${most.name}. Make it for ${least.name}`;
  // Into what is shaped nothing is stirred, and what sweetens it holds it too.
  if (stands.isBound) return `${made}, and ${most.name} has syrup with about ${grams} g of sugar in it to a serving, ${keeps}.`;
  const table = `${made}, and ${most.name} stirs about ${grams} g of sugar, or as much of it in syrup, into a serving ${keeps}`;
  const parts = partsOf(wanted).map((part) => ({ part, grams: sweetenerFor(usual * Math.exp(meanOf(part)), stands, served, constants) }));
  const [one, other] = parts;
  const sweeteners = stands.input.lines.filter(({ role }) => role === "sweetener");
  if (!one || !other || one.grams === null || other.grams === null || sweeteners.length === 0) return `${table}.`;
  const name = sweeteners.length === 1 && sweeteners[0] ? lowerFirst(sweeteners[0].food.name.split(",")[0] ?? "") : "what sweetens it, together";
  const told = parts.map(
    ({ part, grams }) => `${formatGrams(weighed(((grams ?? 0) * part.length) / wanted.length))} g of ${name} in the part for ${namesOf(part)}`,
  );
  return `${table}. Or part the pot before it is sweetened, by how many eat of each: ${told.join(", ")}.`;
}

/** In two where the gap between their wants is widest; all in one where it is no wider than anybody notices. */
function partsOf(wanted: readonly Wanting[]): readonly (readonly Wanting[])[] {
  const gaps = wanted.slice(1).map(({ ln }, i) => ln - (wanted[i]?.ln ?? ln));
  const widest = Math.max(0, ...gaps);
  const at = gaps.indexOf(widest) + 1;
  return widest < ONE ? [wanted] : [wanted.slice(0, at), wanted.slice(at)];
}
const meanOf = (part: readonly Wanting[]): number => part.reduce((sum, { ln }) => sum + ln, 0) / part.length;
/** Of many the first few are named. */
const NAMED = 4;
const namesOf = (part: readonly Wanting[]): string => {
  const names = part.map(({ name }) => name);
  const told = names.length > NAMED + 1 ? [...names.slice(0, NAMED), `${names.length - NAMED} others`] : names;
  return told.length === 1 ? (told[0] ?? "") : `${told.slice(0, -1).join(", ")} and ${told.at(-1) ?? ""}`;
};
const weighed = (grams: number): number => (grams < 10 ? Math.round(2 * grams) / 2 : Math.round(grams));

/** With so much less or more of what sweetens it a sweet is another. */
const MOST: readonly [number, number] = [0.4, 1.8];
/** So much of what sweetens the pot, all of it, makes it as sweet as that, g; null where none within reason does. */
function sweetenerFor(level: number, { input }: StoveStanding, served: ServingTemperature, constants: Constants): number | null {
  const all = input.lines.reduce((sum, { role, grams }) => sum + (role === "sweetener" ? grams : 0), 0);
  const at = (factor: number) =>
    valueOf(
      { ...input, lines: input.lines.map((line) => (line.role === "sweetener" ? { ...line, grams: factor * line.grams } : line)) },
      `sweetness.${served}`,
      constants,
    );
  let [low, high] = MOST;
  if (all <= 0 || at(low) > level || at(high) < level) return null;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (at(middle) < level) low = middle;
    else high = middle;
  }
  return low * all;
}
