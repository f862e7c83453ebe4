import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { DEMO_RECIPES, REFERENCE, WAYS } from "../../data";
import { WRITTEN_RECIPES } from "../../../tests/golden/written-recipes";
import { context, read } from "../../../tests/support/kitchen";
import { kept } from "../kitchen";
import { readRecipe, withAllLines, type ReadRecipe, type Recipe } from "../recipe";
import { AS_WRITTEN, forksOf, inWay, inWays, WAY_IDS, type WayGround, type WayId } from ".";

const open = kept((recipe: Recipe) => readRecipe(withAllLines(recipe, context), context, REFERENCE.constants));
const ground: WayGround = { open, constants: REFERENCE.constants };
const made = (lines: string, ...steps: readonly string[]) =>
  read(`Sweet\nServes 4\n\nIngredients\n${lines}\n\nMethod\n${steps.map((text, i) => `${i + 1}. ${text}`).join("\n")}`);
const texts = ({ recipe }: ReadRecipe) => recipe.steps.map(({ text }) => text);
const writtenOf = (of: ReadRecipe, way: WayId) => forksOf(of, ground).find((fork) => fork.way === way)?.written;

const KHEER = "1 litre milk\n100 g rice\n80 g sugar";
/** Of each way a recipe that goes one way, and what another makes of its steps. */
const CASES: readonly (readonly [way: WayId, lines: string, steps: readonly string[], written: string | null, option: string, becomes: RegExp])[] = [
  ["rice rinsed", KHEER, ["Simmer the rice in the milk for 30 minutes.", "Stir in the sugar."], "not rinsed", "rinsed", /^Rinse the rice/m],
  [
    "rice rinsed",
    KHEER,
    ["Wash and soak the rice for 30 minutes.", "Simmer it in the milk for 30 minutes.", "Stir in the sugar."],
    "rinsed",
    "not rinsed",
    /^Soak the rice/m,
  ],
  ["rice kind", KHEER, ["Simmer the rice in the milk for 30 minutes.", "Stir in the sugar."], "plain", "perfumed", /rice/],
  [
    "soaking water",
    KHEER,
    ["Soak the rice for 30 minutes and drain it.", "Simmer the rice in the milk for 30 minutes.", "Stir in the sugar."],
    "drained",
    "cooked in",
    /soaking water/,
  ],
  ["grain before", KHEER, ["Simmer the rice in the milk for 30 minutes.", "Stir in the sugar."], "raw", "soaked", /^Soak the rice for 2 hours/m],
  ["grain before", KHEER, ["Simmer the rice in the milk for 30 minutes.", "Stir in the sugar."], "raw", "cooked", /^Boil the rice in plenty of water/m],
  [
    "grain toasted",
    `${KHEER}\n20 g ghee`,
    ["Roast the rice in the ghee for 3 minutes, stirring.", "Pour in the milk and simmer for 30 minutes.", "Stir in the sugar."],
    "toasted",
    "plain",
    /^Melt the ghee and put in the rice/m,
  ],
  [
    "vermicelli roasted again",
    "1 litre milk\n100 g roasted vermicelli\n80 g sugar",
    ["Bring the milk to a simmer, add the vermicelli and simmer for 15 minutes.", "Stir in the sugar."],
    "not again",
    "again",
    /once more/,
  ],
  [
    "flour roasted",
    "200 g besan\n100 g ghee\n120 g powdered sugar",
    ["Roast the besan dry for 10 minutes until it smells of nuts.", "Melt the ghee and stir it in.", "Work in the powdered sugar and shape 12 balls."],
    "dry",
    "in fat",
    /^Roast the besan in the ghee for 10 minutes/m,
  ],
  [
    "liquid",
    "150 g semolina\n100 g ghee\n400 ml water\n120 g sugar",
    ["Roast the semolina in the ghee for 10 minutes.", "Pour in the water and cook for 5 minutes until it is taken up.", "Stir in the sugar."],
    "at once",
    "in rounds",
    /in three rounds/,
  ],
  ["lid", KHEER, ["Simmer the rice in the milk for 40 minutes with the lid on.", "Stir in the sugar."], "on", "off", /for 40 minutes\./],
  [
    "vegetable",
    "400 g carrots\n300 ml milk\n60 g ghee\n100 g sugar",
    [
      "Grate the carrots.",
      "Fry the carrots in the ghee for 8 minutes.",
      "Pour in the milk and simmer for 25 minutes.",
      "Add the sugar and cook for 8 minutes.",
    ],
    "in its own juice",
    "steamed and mashed",
    /steam them for 15 minutes/,
  ],
  [
    "thickened by",
    "1 litre milk\n15 g cornflour\n100 g sugar",
    [
      "Bring the milk to a simmer and cook for 10 minutes.",
      "Slake the cornflour with some of the cold milk, pour it in and cook for 3 minutes, stirring.",
      "Stir in the sugar.",
    ],
    "starch",
    "egg",
    /temper it with a ladle/,
  ],
  [
    "sweetener goes in",
    KHEER,
    ["Bring the milk and the sugar to a simmer, add the rice and cook for 40 minutes, stirring."],
    "with the milk",
    "at the end",
    /^Stir in the sugar, and go on/m,
  ],
  [
    "jaggery",
    "1 litre milk\n100 g rice\n80 g jaggery",
    ["Simmer the rice in the milk for 30 minutes.", "Off the heat stir in the jaggery."],
    null,
    "filtered syrup",
    /fine sieve/,
  ],
  [
    "jaggery in milk",
    "1 litre milk\n100 g rice\n80 g jaggery",
    ["Simmer the rice in the milk for 30 minutes.", "Stir in the jaggery and simmer for 3 minutes."],
    "in the hot milk",
    "off the heat",
    /no more than lukewarm, and stir in the jaggery/,
  ],
  [
    "honey",
    "1 litre milk\n100 g rice\n80 g honey",
    ["Simmer the rice in the milk for 30 minutes.", "Stir in the honey and cook for 5 minutes."],
    "cooked",
    "never",
    /no warmer than the hand, stir in the honey/,
  ],
  [
    "caramel",
    "1 litre milk\n4 eggs\n100 g sugar\n40 g honey",
    ["Caramelise the sugar in a dry pan until it is dark.", "Beat the eggs into the milk with the honey, pour it over and bake for 40 minutes."],
    "dark",
    "light",
    /light brown, and loosen it/,
  ],
  [
    "coconut milk",
    "600 ml water\n100 g rice\n80 g sugar\n200 g coconut milk",
    ["Simmer the rice in the water and the coconut milk for 30 minutes.", "Stir in the sugar."],
    "long simmer",
    "off the heat",
    /^Off the heat stir in the coconut milk/m,
  ],
  [
    "coconut milk",
    "600 ml water\n100 g rice\n80 g sugar\n200 g coconut milk",
    ["Simmer the rice in the water for 30 minutes.", "Off the heat stir in the sugar and the coconut milk."],
    "off the heat",
    "at the table",
    /^Hand the coconut milk round apart/m,
  ],
  [
    "coconut milk from",
    "600 ml water\n100 g rice\n80 g sugar\n200 g canned coconut milk",
    ["Simmer the rice in the water for 30 minutes.", "Off the heat stir in the sugar and the coconut milk."],
    "can",
    "own",
    /freshly grated coconut/,
  ],
  [
    "extracts",
    "100 g almonds\n60 g cashews\n1 litre water\n60 g sugar\n30 g rice flour",
    [
      "Soak the almonds and the cashews for 4 hours.",
      "Blend the almonds and the cashews with the water and press through a cloth.",
      "Stir in the rice flour and simmer for 10 minutes.",
      "Add the sugar.",
    ],
    "together",
    "apart",
    /^Blend the almonds with two thirds of the water/m,
  ],
  [
    "stirring",
    "100 g almonds\n1 litre water\n60 g sugar\n30 g rice flour",
    [
      "Soak the almonds for 4 hours.",
      "Blend the almonds with the water and press through a cloth.",
      "Stir in the rice flour and simmer for 10 minutes.",
      "Add the sugar.",
    ],
    "any way",
    "one way",
    /^Stir one way only/m,
  ],
  [
    "cardamom",
    `${KHEER}\n1 tsp cardamom`,
    ["Simmer the rice in the milk for 30 minutes.", "Stir in the sugar and the cardamom."],
    "late",
    "both",
    /half of the cardamom[^]*the rest of the cardamom/,
  ],
  [
    "nuts",
    `${KHEER}\n20 g ghee\n30 g cashews`,
    ["Simmer the rice in the milk for 30 minutes.", "Stir in the sugar.", "Fry the cashews in the ghee until golden and pour over."],
    "fried",
    "raw",
    /^Stir in the ghee and scatter the cashews over/m,
  ],
  [
    "fat",
    "400 g carrots\n300 ml milk\n60 g ghee\n100 g sugar",
    [
      "Grate the carrots.",
      "Cook the carrots in the ghee for 8 minutes.",
      "Pour in the milk and simmer for 25 minutes.",
      "Add the sugar and cook for 8 minutes.",
    ],
    null,
    "none",
    /^Cook the carrots for 8 minutes/m,
  ],
  ["salt", KHEER, ["Simmer the rice in the milk for 30 minutes.", "Stir in the sugar."], "none", "a pinch", /the sugar and the salt/],
  [
    "setting",
    "500 ml milk\n5 g agar\n80 g sugar",
    ["Stir the agar into the milk with the sugar and simmer for 3 minutes.", "Pour into moulds and chill overnight."],
    "overnight",
    "until firm",
    /chill for 4 hours, until it is firm/,
  ],
];

describe("the ways of cooking", () => {
  it("are all told, each option with its reason, and all have a case here", () => {
    expect(WAYS.map(({ id }) => id)).toEqual(WAY_IDS);
    for (const { options } of WAYS) expect(new Set(options.map(({ id }) => id)).size).toBe(options.length);
    expect([...new Set(CASES.map(([way]) => way))].sort()).toEqual([...WAY_IDS].sort());
  });

  it.each(CASES)("find how it is written and write it otherwise: %s", (way, lines, steps, written, option, becomes) => {
    const of = made(lines, ...steps);
    expect(writtenOf(of, way)).toBe(written);
    const other = inWay(of, way, option, ground);
    expect(other && texts(other).join("\n")).toMatch(becomes);
  });

  it("change the figures that they are about", () => {
    const kheer = made(KHEER, "Simmer the rice in the milk for 40 minutes.", "Stir in the sugar.");
    const weighs = (way: WayId, option: string) => (inWay(kheer, way, option, ground)?.ledger.finished.value ?? 0) - kheer.ledger.finished.value;
    expect(weighs("lid", "on")).toBeGreaterThan(200);
    expect(weighs("grain before", "cooked")).toBeGreaterThan(80);
    expect(weighs("grain before", "soaked")).toBeGreaterThan(10);
    expect(Math.abs(weighs("sweetener goes in", "with the milk"))).toBeLessThan(20);
    const custard = made(
      "1 litre milk\n15 g cornflour\n100 g sugar",
      "Bring the milk to a simmer and cook for 10 minutes.",
      "Slake the cornflour with some of the cold milk, pour it in and cook for 3 minutes, stirring.",
      "Stir in the sugar.",
    );
    const yolks = inWay(custard, "thickened by", "egg", ground);
    expect(yolks?.lines.find(({ food }) => food.id === "egg-yolk")?.grams).toBeGreaterThan(20);
    expect(yolks?.lines.some(({ food }) => food.id === "cornflour")).toBe(false);
  });

  it("are left alone where a recipe cannot be written so, or a batch says so", () => {
    const kheer = made(KHEER, "Simmer the rice in the milk for 40 minutes until it is thick.", "Stir in the sugar.");
    // What is to boil down does not do so under a lid; what is the only liquid cannot come last.
    expect(inWay(kheer, "lid", "on", ground)).toBeNull();
    expect(
      inWay(
        made("1 litre coconut milk\n100 g rice\n80 g sugar", "Simmer the rice in the coconut milk for 30 minutes.", "Stir in the sugar."),
        "coconut milk",
        "off the heat",
        ground,
      ),
    ).toBeNull();
    expect(inWays(kheer, { lid: "on", salt: AS_WRITTEN, honey: "never", "no way": "at all" }, ground)).toEqual({ read: kheer, taken: [] });
  });

  it("are followed one after the other, and say which steps they touched", () => {
    const kheer = made(`${KHEER}\n1 tsp cardamom`, "Simmer the rice in the milk for 40 minutes.", "Stir in the sugar and the cardamom.");
    const { read: now, taken } = inWays(kheer, { "rice rinsed": "rinsed", cardamom: "early", salt: "a pinch" }, ground);
    expect(texts(now)).toEqual([
      "Rinse the rice until the water runs nearly clear, and drain.",
      "Simmer the rice in the milk and the cardamom for 40 minutes.",
      "Stir in the sugar and the salt.",
    ]);
    expect(taken.map(({ way, steps }) => [way, steps.length])).toEqual([
      ["rice rinsed", 1],
      ["cardamom", 2],
      ["salt", 1],
    ]);
  });

  it.each([
    ["no step", []],
    [
      "one paragraph",
      [
        "Wash the rice, fry the cashews in the ghee and lift them out, then simmer the rice in the milk for 40 minutes stirring, add the sugar, cook 5 minutes more and scatter the cashews.",
      ],
    ],
    [
      "steps that are done again",
      ["Simmer the rice in the milk for 20 minutes.", "Repeat.", "Stir in the sugar. Repeat step 1 twice.", "Fry the cashews in the ghee."],
    ],
    [
      "times that contradict each other",
      ["Simmer the rice in the milk for 40 minutes (10 minutes).", "Stir in the sugar and cook for 5 minutes, about an hour.", "Fry the cashews in the ghee."],
    ],
    [
      "steps of another dish",
      ["Knead the bread dough.", "Simmer the rice in the milk for 30 minutes.", "Meanwhile grill the fish.", "Stir in the sugar, the ghee and the cashews."],
    ],
    [
      "eighty steps",
      Array.from({ length: 80 }, (_, i) =>
        i === 0 ? "Simmer the rice in the milk for 10 minutes." : i === 40 ? "Stir in the sugar, the ghee and the cashews." : "Stir, and cook for 1 minute.",
      ),
    ],
  ])("do no harm to a recipe with %s", (_, steps) => {
    const of = made(`${KHEER}\n20 g ghee\n20 g cashews`, ...steps);
    const { read: now } = inWays(of, Object.fromEntries(WAYS.map(({ id, options }) => [id, options[1].id])), ground);
    expect(now.recipe.lines.length).toBeGreaterThanOrEqual(of.recipe.lines.length);
    expect(now.recipe.steps.length).toBeGreaterThanOrEqual(Math.min(1, of.recipe.steps.length));
    expect(Number.isFinite(now.ledger.finished.value)).toBe(true);
  });

  it("keep every recipe whole, whatever is picked", () => {
    const all = [...DEMO_RECIPES, ...WRITTEN_RECIPES].map(({ text }) => read(text)).filter(({ steps }) => steps.length > 0);
    const options = WAYS.flatMap(({ id, options: each }) => each.map((option) => [id, option.id] as const));
    fc.assert(
      fc.property(
        fc.nat({ max: all.length - 1 }),
        fc.uniqueArray(fc.constantFrom(...options), { minLength: 1, maxLength: 5, selector: ([id]) => id }),
        (at, picks) => {
          const of = all[at] as ReadRecipe;
          const { read: now } = inWays(of, Object.fromEntries(picks), ground);
          for (const text of texts(now)) expect(text).not.toMatch(/ {2}|,,|\.\.|\bthe the\b|undefined|NaN|^\s*$/);
          // Each line that was there is there, and goes in once.
          for (const { id } of of.recipe.lines) expect(now.recipe.lines.map((line) => line.id)).toContain(id);
          const shares = new Map<string, number>();
          for (const { takes } of now.steps) for (const { of: taken, share } of takes) shares.set(taken.id, (shares.get(taken.id) ?? 0) + share);
          const before = new Set(of.ledger.problems.map(({ kind }) => kind));
          if (!before.has("used twice")) for (const share of shares.values()) expect(share).toBeLessThan(1.01);
          expect(now.archetype).toBe(of.archetype);
          expect(now.unresolved.length).toBeLessThanOrEqual(of.unresolved.length);
          expect(now.ledger.finished.value).toBeGreaterThan(0);
          // The same picks again change nothing more.
          expect(texts(inWays(now, Object.fromEntries(picks), ground).read)).toEqual(texts(now));
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe("words that cooks put otherwise", () => {
  it("reads a grain that stands in water as soaked, and never drains it twice", () => {
    const barley = made(
      "150 g pearl barley\n600 ml milk\n90 g sugar",
      "Cover the barley with cold water and leave it overnight, then strain.",
      "Simmer the barley in the milk for 40 minutes.",
      "Stir in the sugar.",
    );
    expect(writtenOf(barley, "grain before")).toBe("soaked");
    const sago = made(
      "100 g sago pearls\n400 ml milk\n500 ml water\n80 g sugar",
      "Soak the sago for 20 minutes.",
      "Boil the water. Drain the sago and cook it in the water for 10 minutes.",
      "Add the milk and the sugar and simmer for 5 minutes.",
    );
    expect(writtenOf(sago, "soaking water")).toBe("drained");
    expect(inWay(sago, "soaking water", "cooked in", ground)).toBeNull();
  });

  it("puts no salt to what is only poured over at the table, and takes mashed fruit for no thickener", () => {
    const porridge = made(
      "120 g millet\n700 ml milk\n2 ripe bananas\n2 tbsp maple syrup",
      "Simmer the millet in the milk for 20 minutes.",
      "Mash the bananas and stir them in.",
      "Serve with the maple syrup.",
    );
    expect(writtenOf(porridge, "thickened by")).not.toBe("mash");
    const salted = inWay(porridge, "salt", "a pinch", ground);
    expect(salted && texts(salted).findIndex((text) => /salt/.test(text))).toBe(1);
  });

  it("puts no lid on what is to reduce", () => {
    const reduced = made("1 litre milk\n500 g carrots, grated\n80 g sugar", "Pour the milk over the carrots and reduce for 25 minutes.", "Stir in the sugar.");
    expect(inWay(reduced, "lid", "on", ground)).toBeNull();
  });
});
