import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { context } from "../../../tests/support/kitchen";
import { REFERENCE } from "../../data";
import { trimmedOf } from "./plain-text";
import { readLine } from "./read-line";
import { readYield } from "./yield";

const NAMES = [...REFERENCE.foods.values()].flatMap(({ id, name }) => {
  const first = name.split(",")[0] ?? name;
  const match = context.matcher.match(first);
  return match.kind === "known" && match.foodId === id ? [{ id, name: first }] : [];
});

const amounts = fc
  .tuple(fc.integer({ min: 2, max: 900 }), fc.constantFrom("% g", "%g", "% gm", "% grams of", "about % g", "a generous % g", "% g of", "~% g", "roughly %g"))
  .map(([grams, style]) => ({ grams, words: style.replace("%", String(grams)) }));
const food = fc.constantFrom(...NAMES);
const quality = fc.constantFrom("", "good-quality", "organic", "local", "best", "preferably organic");
const preparation = fc.constantFrom(
  "",
  "finely chopped",
  "washed and drained",
  "soaked for 6 hours",
  "at room temperature",
  "cut into small pieces",
  "sieved twice",
  "set aside",
  "plus more if needed",
  "as fresh as possible",
);
const option = fc.constantFrom("", " (optional)", ", optional", " [see note]");
/** % amount, $ food with its quality, # preparation. */
const order = fc.constantFrom("% $, #", "$, %, #", "$ - %", "% $ (#)", "$ (%), #", "$: %", "# $ %", "% $ – #", "$ % #", "1. % $, #");
const letters = fc.constantFrom<(text: string) => string>(
  (text) => text,
  (text) => text.toUpperCase(),
  (text) => text.toLowerCase(),
);
const tidy = (text: string) => trimmedOf(text.replace(/\(\s*\)/g, " ").replace(/\s+/g, " "), " ,–-");
const line = fc.record({ amount: amounts, food, quality, preparation, option, order, letters });
type Made = typeof line extends fc.Arbitrary<infer T> ? T : never;

const written = (made: Made, named = made.food.name): string => {
  const { amount, quality: how, preparation: done, option: maybe, order: as, letters: sized } = made;
  // What is done to it before its name has to be a word that can stand there.
  const before = as.startsWith("#") ? done.replace(/^(?:plus|at|set|as|cut|soaked|sieved|washed) .*/, "") : done;
  const stated = as.includes("% $") ? amount.words : amount.words.replace(/ of$/, "");
  return sized(tidy(as.replace("%", stated).replace("$", `${how} ${named}`).replace("#", before)) + maybe);
};
const read = (text: string) => readLine({ id: "l", text, choice: {} }, context);

describe("lines put together at random", () => {
  it("are read as what they were made of, or asked about: never as another food or amount", () => {
    let asked = 0;
    let all = 0;
    fc.assert(
      fc.property(line, (made) => {
        const text = written(made);
        const reading = read(text);
        expect(readYield(text, false), text).toBeNull();
        all++;
        if (reading.kind !== "read") {
          asked++;
          return;
        }
        expect(reading.food.id, text).toBe(made.food.id);
        expect(reading.grams.value + (reading.water?.value ?? 0), text).toBeCloseTo(made.amount.grams, 6);
        expect(reading.optional, text).toBe(made.option.includes("optional"));
      }),
      { numRuns: 3000 },
    );
    expect(asked / all).toBeLessThan(0.02);
  });

  it("change the food alone where another of its kind takes its place", () => {
    fc.assert(
      fc.property(line, food, (made, other) => {
        const [one, two] = [read(written(made)), read(written(made, other.name))];
        if (one.kind !== "read" || two.kind !== "read") return;
        expect(two.food.id).toBe(other.id);
        expect(two.grams.value + (two.water?.value ?? 0)).toBeCloseTo(one.grams.value + (one.water?.value ?? 0), 6);
      }),
      { numRuns: 1500 },
    );
  });

  it("lose no word that names a food: beside the first it is judged, split off, or asked about", () => {
    const joint = fc.constantFrom("% and ", "%, ", "% (", "% with ", "%; ", "% soaked in ", "% plus 2 tbsp ", "% or ");
    fc.assert(
      fc.property(amounts, food, food, joint, ({ words }, one, other, as) => {
        const text = `${words} ${as.replace("%", one.name)}${other.name}${as.includes("(") ? ")" : ""}`;
        const reading = read(text);
        if (reading.kind !== "read" || reading.food.id === other.id || other.id === "water") return;
        const named = new Set(reading.beside.foods.map(({ id }) => id));
        const isThere = named.has(other.id) || context.find(text).some(({ food: found }) => found.id === reading.food.id && found.name.includes(other.name));
        expect(isThere || (reading.apart ?? []).some((part) => part.includes(other.name)), text).toBe(true);
      }),
      { numRuns: 1500 },
    );
  });
});
