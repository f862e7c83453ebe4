import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { food, read, tableOf } from "../../../tests/support/kitchen";
import { methodFor } from "../adaptation";
import { NO_EQUIPMENT, type Equipment } from "../household";
import { textOf, type StepWords } from "../method";
import type { ServingTemperature } from "../food";
import { scaledFor, type VersionRow } from "../substitution";
import { DEMO_RECIPES, HANDLING, REFERENCE } from "../../data";

const made = (lines: string, steps: readonly string[], serve: ServingTemperature = "hot") => {
  const of = read(`Sweet\nServes 4\n\nIngredients\n${lines}\n\nMethod\n${steps.map((text, i) => `${i + 1}. ${text}`).join("\n")}`);
  const rows = scaledFor(of, 4).lines.map((line): VersionRow => ({ ...line, line: line.id, change: "as is", why: "" }));
  return methodFor(of, { rows, evaporation: of.evaporation.grams.value }, tableOf({ servings: 4, serve }), {
    handling: HANDLING,
    constants: REFERENCE.constants,
  });
};
const told = (lines: string, ...steps: readonly string[]) => made(lines, steps).hazards.map(({ family, grade }) => `${grade} ${family}`);
const MILK = "1 litre milk\n80 g sugar";

/** Each family, on both sides of its border: what runs it, and what does not. */
const BORDERS: readonly (readonly [hazard: string, lines: string, runs: readonly string[], runsNot: readonly string[], otherLines?: string])[] = [
  [
    "sure casein curdles",
    `${MILK}\n40 g lemon juice`,
    ["Simmer the milk and sugar for 20 minutes.", "Stir in the lemon juice."],
    ["Simmer the milk and sugar for 20 minutes.", "Let it cool until lukewarm and stir in the lemon juice."],
  ],
  [
    "sure casein curdles",
    `${MILK}\n40 g lemon juice`,
    ["Stir the lemon juice into the milk.", "Simmer it for 5 minutes with the sugar."],
    ["Simmer the milk and sugar for 20 minutes.", "Stir in the lemon juice so that it curdles, and strain off the whey."],
  ],
  [
    "likely casein curdles",
    "1 litre milk\n80 g jaggery",
    ["Simmer the milk for 20 minutes.", "Stir in the jaggery and simmer for 5 minutes."],
    ["Simmer the milk for 20 minutes.", "Let it cool until lukewarm and stir in the jaggery."],
  ],
  [
    "likely casein curdles",
    "1 litre milk\n80 g jaggery",
    ["Simmer the milk with the jaggery for 20 minutes."],
    ["Simmer the milk with the rice for 20 minutes.", "Stir in the jaggery."],
    "1 litre milk\n80 g jaggery\n60 g rice",
  ],
  [
    "likely coconut milk splits",
    "400 ml coconut milk\n80 g sugar",
    ["Simmer the coconut milk with the sugar for 15 minutes."],
    ["Warm the coconut milk with the sugar, and take it off before it boils."],
  ],
  [
    "likely coconut milk splits",
    "400 ml coconut milk\n80 g sugar",
    ["Simmer the coconut milk with the sugar for 15 minutes."],
    ["Simmer the rice in the coconut milk for 15 minutes.", "Stir in the sugar."],
    "400 ml coconut milk\n80 g sugar\n60 g rice",
  ],
  [
    "sure plant milk curdles",
    "1 litre soya milk\n40 g lemon juice",
    ["Simmer the soya milk for 10 minutes.", "Stir in the lemon juice."],
    ["Simmer the soya milk for 10 minutes.", "Let it cool until lukewarm and stir in the lemon juice."],
  ],
  [
    "sure egg scrambles",
    `${MILK}\n3 eggs`,
    ["Simmer the milk and sugar for 10 minutes.", "Stir in the eggs and cook for 5 minutes."],
    ["Simmer the milk and sugar for 10 minutes.", "Temper the eggs with a ladle of the hot milk, pour them back and cook for 5 minutes."],
  ],
  [
    "sure egg scrambles",
    `${MILK}\n3 eggs`,
    ["Simmer the milk and sugar for 10 minutes.", "Stir in the eggs."],
    ["Stir the eggs into the milk with the sugar.", "Bake it for 40 minutes."],
  ],
  [
    "sure raw egg",
    `${MILK}\n3 eggs`,
    ["Stir the eggs into the cold milk with the sugar.", "Chill it for 3 hours."],
    ["Stir the eggs into the milk with the sugar.", "Bake it for 40 minutes."],
  ],
  // What is fried in a pan of its own, or simmers by itself, heats no egg.
  [
    "sure raw egg",
    `${MILK}\n3 eggs\n20 g almonds\n10 g ghee`,
    ["Beat the eggs with the sugar into the cold milk.", "Fry the almonds in the ghee and scatter them over."],
    ["Beat the eggs with the sugar into the cold milk.", "Cook it on a low flame for 8 minutes.", "Scatter the almonds over."],
  ],
  [
    "likely raw egg",
    `${MILK}\n3 eggs`,
    ["Beat the eggs with the sugar.", "Simmer the milk for 10 minutes.", "Chill it."],
    ["Beat the eggs with the sugar.", "Pour the milk over the eggs and cook for 10 minutes.", "Chill it."],
  ],
  [
    "sure starch lumps",
    `${MILK}\n30 g cornflour`,
    ["Simmer the milk and sugar for 10 minutes.", "Tip in the cornflour and cook for 3 minutes."],
    ["Simmer the milk and sugar for 10 minutes.", "Slake the cornflour with cold milk, pour it in and cook for 3 minutes."],
  ],
  [
    "sure starch lumps",
    `${MILK}\n30 g cornflour`,
    ["Simmer the milk and sugar for 10 minutes.", "Tip in the cornflour."],
    ["Stir the cornflour into the milk.", "Simmer it with the sugar for 10 minutes, stirring."],
  ],
  [
    "likely starch thins",
    `${MILK}\n30 g arrowroot`,
    ["Slake the arrowroot with cold milk.", "Simmer all of it with the sugar for 15 minutes."],
    ["Simmer the milk and sugar for 15 minutes.", "Slake the arrowroot with cold milk and stir it in off the heat."],
  ],
  [
    "sure setting fails",
    `${MILK}\n5 g agar`,
    ["Stir the agar into the milk with the sugar.", "Chill it for 3 hours."],
    ["Stir the agar into the milk with the sugar.", "Simmer it for 3 minutes.", "Chill it for 3 hours."],
  ],
  [
    "likely setting fails",
    `${MILK}\n10 g gelatin`,
    ["Simmer the milk, the gelatin and the sugar for 5 minutes."],
    ["Simmer the milk and the sugar for 5 minutes.", "Off the heat melt the gelatin in it."],
  ],
  [
    "sure setting fails",
    "500 ml water\n10 g gelatin\n200 g pineapple",
    ["Warm the water.", "Melt the gelatin in it, and stir in the pineapple.", "Chill it for 4 hours."],
    ["Simmer the pineapple in the water for 5 minutes.", "Off the heat melt the gelatin in it.", "Chill it for 4 hours."],
  ],
  [
    "likely sugar grains",
    "300 ml milk\n120 g erythritol",
    ["Simmer the milk with the erythritol for 5 minutes.", "Chill it for 3 hours."],
    ["Simmer the milk with the erythritol for 5 minutes.", "Chill it for 3 hours."],
    "1 litre milk\n60 g erythritol",
  ],
  [
    "likely scorches",
    MILK,
    ["Simmer the milk for 30 minutes, unattended.", "Stir in the sugar."],
    ["Simmer the milk for 30 minutes, stirring.", "Stir in the sugar."],
  ],
  [
    "likely aroma lost",
    `${MILK}\n10 g rose water`,
    ["Simmer the milk, the sugar and the rose water for 20 minutes."],
    ["Simmer the milk and the sugar for 20 minutes.", "Off the heat stir in the rose water."],
  ],
  [
    "likely ladoo timing",
    "250 g besan\n120 g ghee\n150 g icing sugar",
    ["Roast the besan in the ghee for 20 minutes.", "Stir in the icing sugar and shape into balls."],
    ["Roast the besan in the ghee for 20 minutes.", "Let it cool until lukewarm, stir in the icing sugar and shape into balls."],
  ],
  [
    "sometimes starch drained",
    `${MILK}\n60 g rice`,
    ["Soak the rice for 6 hours and drain it.", "Simmer it in the milk for 40 minutes with the sugar."],
    ["Soak the rice for 30 minutes and drain it.", "Simmer it in the milk for 40 minutes with the sugar."],
  ],
  [
    "sometimes ferments",
    `${MILK}\n60 g almonds`,
    ["Soak the almonds in water overnight.", "Simmer the milk and sugar for 20 minutes and stir in the almonds."],
    ["Soak the almonds in water overnight in the fridge.", "Simmer the milk and sugar for 20 minutes and stir in the almonds."],
  ],
  [
    "likely honey heated",
    "1 litre milk\n80 g honey",
    ["Simmer the milk for 20 minutes with the honey."],
    ["Simmer the milk for 20 minutes.", "Let it cool until lukewarm and stir in the honey."],
  ],
  [
    "sure spits and burns",
    "200 g semolina\n100 g ghee\n500 ml water\n100 g sugar",
    ["Roast the semolina in the ghee for 12 minutes.", "Pour in the water and cook for 4 minutes with the sugar."],
    ["Roast the semolina in the ghee for 12 minutes.", "Off the flame pour in the water at arm's length, and cook for 4 minutes with the sugar."],
  ],
  [
    "likely pressure",
    `${MILK}\n60 g rice`,
    ["Pressure-cook the rice in the milk for 3 whistles.", "Stir in the sugar."],
    ["Simmer the rice in the milk for 40 minutes.", "Stir in the sugar."],
  ],
  [
    "likely boiling sugar",
    "150 g sugar\n100 ml water",
    ["Caramelise the sugar in a dry pan for 7 minutes.", "Stir in the water."],
    ["Dissolve the sugar in the water."],
  ],
  [
    "sometimes boils over",
    MILK,
    ["Bring the milk to the boil and simmer it with the sugar for 5 minutes."],
    ["Warm the milk a little and stir in the sugar, without letting it come to the boil."],
  ],
  [
    "sometimes grain drowns the extract",
    "700 g almond milk, home-made\n60 g sugar\n80 g rice",
    ["Simmer the rice in the almond milk for 25 minutes.", "Stir in the sugar."],
    ["Simmer the rice in the almond milk for 25 minutes.", "Stir in the sugar."],
    "700 g almond milk, home-made\n60 g sugar\n20 g rice",
  ],
  [
    "sometimes to be cooled soon",
    `${MILK}\n60 g rice`,
    ["Simmer the rice in the milk for 30 minutes.", "Stir in the sugar."],
    ["Roast the sesame seeds dry for 5 minutes.", "Melt the sugar and stir them in."],
    "200 g sesame seeds\n150 g sugar",
  ],
  [
    "likely too little liquid",
    "150 g rice\n200 ml milk\n60 g sugar",
    ["Simmer the rice in the milk for 20 minutes.", "Stir in the sugar."],
    ["Simmer the rice in the milk for 20 minutes.", "Stir in the sugar."],
    "60 g rice\n1 litre milk\n60 g sugar",
  ],
  [
    "likely too little liquid",
    "150 g rice\n200 ml milk\n60 g sugar",
    ["Simmer the rice in the milk for 20 minutes.", "Stir in the sugar."],
    ["Boil the rice in plenty of water for 15 minutes, and drain it.", "Pour in the milk and simmer for 5 minutes.", "Stir in the sugar."],
  ],
];

describe("hazards of steps", () => {
  it.each(BORDERS.map(([hazard, ...rest]) => ({ hazard, rest })))(
    "$hazard, by order, heat, acid or time",
    ({ hazard, rest: [lines, runs, runsNot, otherLines] }) => {
      expect(told(lines, ...runs), "runs it").toContain(hazard);
      expect(told(otherLines ?? lines, ...runsNot), "does not").not.toContain(hazard);
    },
  );
  it("that are sure change the step of a version, and only warn where the recipe itself runs them", () => {
    const of = read(
      "Milk pudding\nServes 4\n\n1 litre milk\n80 g sugar\n\n1. Simmer the milk for 20 minutes.\n2. Stir in the sugar and cook for 5 minutes.\n3. Chill it.",
    );
    const rows = scaledFor(of, 4).lines.map((line): VersionRow => ({ ...line, line: line.id, change: "as is", why: "" }));
    const lemon: VersionRow = { id: "added-1", line: null, food: food("lemon-juice"), grams: 30, role: "acid", change: "added", why: "gives acid" };
    const version = methodFor(of, { rows: [...rows, lemon], evaporation: 200 }, tableOf({ servings: 4 }), {
      handling: HANDLING,
      constants: REFERENCE.constants,
    });
    expect(version.hazards.find(({ family }) => family === "casein curdles")).toMatchObject({ grade: "sure", isOwn: false });
    expect(version.words.map(textOf).join(" ")).toMatch(
      /First let the pot cool until it is no more than lukewarm\. Last of all, off the heat, stir in lemon juice/,
    );
    const own = made("1 litre milk\n40 g lemon juice", ["Simmer the milk for 20 minutes.", "Stir in the lemon juice."]);
    expect(own.hazards.find(({ family }) => family === "casein curdles")).toMatchObject({ grade: "sure", isOwn: true, change: null });
    expect(own.words.map(textOf)).toEqual(["Simmer the milk for 20 minutes.", "Stir in the lemon juice."]);
  });
  it("divide into lots what does not fit the pan, the jar or the cooker, and take as many times as long", () => {
    const pan = (diameter: number): Equipment["pans"][number] => ({ id: "p", name: "", diameter, depth: 10, mass: null, sharedWith: [] });
    const inPan = (equipment: Equipment, ...steps: readonly string[]) => {
      const of = read(
        `Sweet\nServes 8\n\nIngredients\n2 litres milk\n100 g rice\n60 g almonds\n150 g sugar\n\nMethod\n${steps.map((text, i) => `${i + 1}. ${text}`).join("\n")}`,
      );
      const rows = scaledFor(of, 8).lines.map((line): VersionRow => ({ ...line, line: line.id, change: "as is", why: "" }));
      return methodFor(of, { rows, evaporation: of.evaporation.grams.value }, tableOf({ servings: 8 }), {
        handling: HANDLING,
        constants: REFERENCE.constants,
        equipment,
      });
    };
    const steps = [
      "Roast the rice in a dry pan for 4 minutes.",
      "Pour in the milk and simmer for 30 minutes.",
      "Stir in the sugar and cook for 5 minutes.",
      "Scatter the almonds over.",
    ] as const;
    const small = inPan({ ...NO_EQUIPMENT, pans: [pan(16), pan(14)] }, ...steps);
    const large = inPan({ ...NO_EQUIPMENT, pans: [pan(16), pan(28)] }, ...steps);
    expect(small.words.map(textOf)).toEqual([
      steps[0],
      expect.stringMatching(/simmer for 30 minutes\. From here on that is two lots, one after the other: the largest pan holds 2 l/),
      steps[2],
      steps[3],
    ]);
    expect(small.method.steps.map(({ minutes }) => minutes.usual)).toEqual(
      [4, 60, 10, 2].map((usual, i) => (i === 3 ? (expect.any(Number) as number) : usual)),
    );
    expect(large.words.map(textOf)).toEqual(steps);
    expect(inPan(NO_EQUIPMENT, ...steps).words.map(textOf)).toEqual(steps);
    const ground = ["Blend the rice with the milk.", "Simmer it for 30 minutes with the sugar and the almonds."] as const;
    const jar = (litres?: number) =>
      textOf(inPan({ ...NO_EQUIPMENT, mixer: { sharedWith: [], ...(litres === undefined ? {} : { litres }) } }, ...ground).words[0] as StepWords);
    expect(jar()).toMatch(/three lots, one after the other: the mixer jar holds 1\.5 l/);
    expect(jar(4)).toBe(ground[0]);
    const cooker = (litres: number) =>
      textOf(
        inPan(
          { ...NO_EQUIPMENT, pressureCooker: { litres, sharedWith: [] } },
          "Pressure-cook the rice in the milk for 3 whistles.",
          "Stir in the sugar and the almonds.",
        ).words[0] as StepWords,
      );
    expect(cooker(3)).toMatch(/two lots/);
    expect(cooker(6)).not.toMatch(/lots/);
  });
  it("point to steps of the method, each once for a step, in any version", () =>
    fc.assert(
      fc.property(fc.constantFrom(...DEMO_RECIPES), fc.array(fc.constantFrom(...REFERENCE.foods.values()), { maxLength: 4 }), ({ text }, added) => {
        const of = read(text);
        const rows = scaledFor(of, of.recipe.servings).lines.map((line): VersionRow => ({ ...line, line: line.id, change: "as is", why: "" }));
        const more = added.map((each, i): VersionRow => ({ id: `added-${i}`, line: null, food: each, grams: 50, role: each.role, change: "added", why: "" }));
        const { method, hazards } = methodFor(of, { rows: [...rows, ...more], evaporation: 100 }, tableOf({ servings: of.recipe.servings }), {
          handling: HANDLING,
          constants: REFERENCE.constants,
        });
        for (const { step, what, mend } of hazards) {
          expect(method.steps.map(({ id }) => id)).toContain(step);
          expect(`${what} ${mend}`).not.toMatch(/undefined|NaN| {2}/);
        }
        expect(new Set(hazards.map(({ step, family, what }) => `${step} ${family} ${what}`)).size).toBe(hazards.length);
      }),
      { numRuns: 150 },
    ));
});
