import { readdirSync, readFileSync } from "node:fs";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readRecipe, readRecipeText, RECIPE_LIMITS, type Recipe } from "../../src/core/recipe";
import { REFERENCE } from "../../src/data";
import { readFileText } from "../../src/server/recipes/read-file";
import { context } from "../support/kitchen";

/** What may be read for each kB of text, ms; and what a reading may cost whatever its length (the food that is asked about is looked for). */
const MS_PER_KB = 2;
const MS_ANYWAY = 12;

const SIGNS = [
  "-",
  "–",
  "1",
  "½",
  "1 ",
  "1/",
  "1-",
  "1.1.",
  "1,",
  "(",
  ")",
  "(1",
  "<",
  "<<>",
  "<b></i>",
  "<!--",
  "<p>",
  "&amp;",
  "[",
  '{"a":',
  '"',
  "a,",
  "a:",
  "a-",
  "a\u0301",
  "\u200d",
  "İ",
  "🙂",
  " ",
  "\t",
  "=",
  "\u00a0",
  "1 cup ",
  "half a ",
  "until a, ",
  "5 minutes ",
  "roasted in ",
  ",",
  "İ1/",
];
/** Every word that the code of the reading itself is written with: what its patterns look for is among them. */
const WORDS = ["recipe", "process"].flatMap((room) =>
  readdirSync(`src/core/${room}`)
    .filter((name) => name.endsWith(".ts") && !name.endsWith(".test.ts"))
    .flatMap((name) => [...readFileSync(`src/core/${room}/${name}`, "utf8").matchAll(/[a-z]{2,}/g)].map(([word]) => `${word} `)),
);
const HOSTILE = [...new Set([...SIGNS, ...WORDS])];
const repeated = (piece: string, length: number) => piece.repeat(Math.ceil(length / piece.length)).slice(0, length);

const recipeOf = (line: string, step: string): Recipe => ({
  title: "x",
  servings: 4,
  lines: [
    { id: "l1", text: line, choice: {} },
    { id: "l2", text: "1 cup milk", choice: {} },
  ],
  steps: [{ id: "s1", text: step, choice: {} }],
  notes: "",
  evaporation: null,
  archetype: null,
});
const whole = (recipe: Recipe) => readRecipe(recipe, context, REFERENCE.constants);
const lines = (text: string) => text.replace(/.{60}/gs, "$&\n");
/** Each way that a text of somebody else's comes in, and the longest that is read at all. */
const WAYS: Readonly<Record<string, readonly [most: number, read: (text: string) => unknown]>> = {
  "an ingredient line": [RECIPE_LIMITS.lineCharacters, (text) => whole(recipeOf(text, "Boil it."))],
  "a line after its amount": [RECIPE_LIMITS.lineCharacters, (text) => whole(recipeOf(`1 cup ${text}!`.slice(0, RECIPE_LIMITS.lineCharacters), "Boil it."))],
  "a step": [RECIPE_LIMITS.stepCharacters, (text) => whole(recipeOf("1 cup sugar", text))],
  "pasted text": [5 * 1024 ** 2, (text) => readRecipeText(text)],
  "pasted text in lines": [5 * 1024 ** 2, (text) => readRecipeText(lines(text))],
  "a web page": [5 * 1024 ** 2, (text) => attempt(() => readFileText(text, "x.html"))],
  "a table": [5 * 1024 ** 2, (text) => attempt(() => readFileText(text, "x.csv"))],
  "a file of no known kind": [5 * 1024 ** 2, (text) => attempt(() => readFileText(text, "x"))],
};
function attempt(work: () => unknown): void {
  try {
    work();
  } catch (error) {
    // A refusal has a status; anything else is a fault.
    if (!(error instanceof Error && "status" in error)) throw error;
  }
}
/** The quickest of a few runs: what the machine does beside it does not count. */
function quickest(work: () => unknown, enough: number): number {
  let best = Infinity;
  for (let run = 0; run < 4 && best > enough; run++) {
    const start = performance.now();
    work();
    best = Math.min(best, performance.now() - start);
  }
  return best;
}

/** A recipe as people write it: what a hostile text of its length is held against, so that a busy machine counts for both. */
const HONEST = "2 cups fine semolina, roasted in ghee until it smells nutty, then stirred for 10 minutes. ";
const TIMES_HONEST = 10;
const TRIES = 4;

/** Whether something holds at one of a few tries: the machine may be busy with other things at the others. */
const holdsOnce = (holds: () => boolean): boolean => Array.from({ length: TRIES }).some(() => holds());

describe("a hostile text", () => {
  it.each(Object.keys(WAYS))(
    "is read in linear time as %s, whatever it repeats",
    (way) => {
      const [most, read] = WAYS[way] ?? [0, () => undefined];
      const long = Math.min(most, 16 * 1024);
      const allowed = () => MS_ANYWAY + (MS_PER_KB * long) / 1024 + TIMES_HONEST * quickest(() => read(repeated(HONEST, long)), 1);
      const usual = allowed();
      const slow = HOSTILE.filter((piece) => {
        const text = repeated(piece, long);
        return quickest(() => read(text), usual) > usual && !holdsOnce(() => quickest(() => read(text), usual) <= allowed());
      });
      expect(slow).toEqual([]);
    },
    240_000,
  );

  it.each(Object.keys(WAYS))(
    "takes no more than in proportion as it grows, as %s, up to the longest",
    (way) => {
      const [most, read] = WAYS[way] ?? [0, () => undefined];
      for (const piece of ["<", "-", "<b></i>", "1 cup sugar ", ",", "[", "a,"])
        for (let length = 1024; length * 8 <= most; length *= 2) {
          const [short, long] = [repeated(piece, length), repeated(piece, length * 8)];
          // A square would be 64 times as much, and what is over in a moment says nothing.
          const inProportion = () => {
            const after = quickest(() => read(long), 30);
            return after < 30 || after < 24 * quickest(() => read(short), 0);
          };
          expect(holdsOnce(inProportion), `${JSON.stringify(piece)} at ${length / 128} kB`).toBe(true);
        }
    },
    240_000,
  );

  it("put together at random is read to its end, and nothing of its lines is lost", () => {
    const pieces = fc.constantFrom(...SIGNS, "sugar", "cup", "2", "\n", "ghee", "or", "and", "of");
    fc.assert(
      fc.property(fc.array(pieces, { maxLength: 400 }), (parts) => {
        const text = `Sweet\n1 cup sugar\n${parts.join("")}`;
        const read = readRecipeText(text);
        if (read.ok) expect(whole(read.value).readings.map(({ line }) => line)).toEqual(read.value.lines);
      }),
      { numRuns: 200 },
    );
  });

  it.each([
    ["40 dashes", "-".repeat(40)],
    ["40 figures", "1".repeat(40)],
    ["letters after an amount", `1 cup ${"a".repeat(28)}!`],
  ])("that froze the page (%s) is a line like any other", (_, line) => {
    expect(holdsOnce(() => quickest(() => whole(recipeOf(line, line)), 5) < 50)).toBe(true);
  });

  it("that is larger than a recipe may be is refused by its size, before it is read", () => {
    const read = readRecipeText("1 cup sugar\n".repeat(60_000));
    expect(read).toMatchObject({ ok: false, error: { kind: "over limits" } });
    expect(readRecipeText("Sweet\nServes 5000\n1 cup sugar")).toMatchObject({ ok: false, error: { kind: "over limits", over: [{ pointer: "/servings" }] } });
    expect(readRecipeText(`Sweet\n1 cup ${"x".repeat(3000)}`)).toMatchObject({ ok: false, error: { kind: "long line" } });
  });
});
