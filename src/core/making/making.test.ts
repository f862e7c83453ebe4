import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { grams } from "../units";
import { MAKING, REFERENCE } from "../../data";
import { INDEX, NUTRIENTS, type Nutrient } from "../food";
import { boilingPoint, percentAtBoiling } from "../process";
import { holdsOf, learnedHolds, make, seenHolds, soakedGrams, strengthOf, syrupStage, type Made, type Making, type MilkMaking } from ".";

const { foods } = REFERENCE;
const done = (making: Making): Made => {
  const made = make(making, foods, MAKING);
  if (!made.ok) throw new Error(`${made.error.kind}: ${made.error.foodId}`);
  return made.value;
};
const milkOf = (part: Partial<MilkMaking>): MilkMaking => ({
  kind: "milk",
  material: "almond",
  grams: 100,
  soaked: 0,
  presses: [400],
  squeeze: "hard",
  holds: null,
  weighedMilk: null,
  weighedPulp: null,
  ...part,
});
const partOf = ({ parts }: Made, key: string) => {
  const part = parts.find((each) => each.key === key);
  if (!part) throw new Error(`no ${key}`);
  return { grams: part.grams.value, of: (nutrient: Nutrient) => part.contents.per100g[INDEX[nutrient]] ?? NaN, part };
};
const material = (id: string) => {
  const found = MAKING.milks.find(({ foodId }) => foodId === id);
  if (!found) throw new Error(id);
  return found;
};
const food = (id: string) => {
  const found = foods.get(id);
  if (!found) throw new Error(id);
  return found;
};
const problems = (making: Making) => done(making).problems.map(({ field, grave }) => [field, grave]);

describe("plant milks", () => {
  // Reference cases of the model: milk g, fat, protein, starch %, wet pulp g, from 100 g. Their materials were not those of
  // these tables to the gram (the almond had 53 % fat, ours 58): masses within 3 and 15 %, contents within 15 % or 0.25.
  it.each([
    ["rolled-oats", [900], 777, 0.3, 0.5, 3, 199],
    ["tiger-nut", [400], 353, 2.7, 0.6, 2.4, 135],
    ["soya-bean-white", [900], 844, 1.7, 3.2, 0.1, 130],
    ["almond", [400], 373, 7.2, 2.7, 0, 113],
    ["cashew", [400], 433, 7.9, 3.2, 3.1, 54],
    ["fresh-coconut", [0], 48, 32.9, 3.2, 0, 50],
  ] as const)("%s with %j g of water gives %d g", (id, presses, milk, fat, protein, starch, pulp) => {
    const made = done(milkOf({ material: id, presses }));
    const of = partOf(made, "milk");
    const near = (value: number, aim: number, share: number, floor: number) =>
      expect(Math.abs(value - aim), `${value} for ${aim}`).toBeLessThan(Math.max(share * aim, floor));
    near(of.grams, milk, 0.03, 1);
    near(partOf(made, "pulp").grams, pulp, 0.15, 1);
    near(of.of("fat"), fat, 0.15, 0.25);
    near(of.of("protein"), protein, 0.15, 0.25);
    near(of.of("starch"), starch, 0.15, 0.3);
  });
  it("coconut pressed twice gives a thick milk and a thin one", () => {
    const made = done(milkOf({ material: "fresh-coconut", presses: [50, 100] }));
    const [thick, thin] = [partOf(made, "press 1"), partOf(made, "press 2")];
    expect([thick.grams, thin.grams].map(Math.round)).toEqual([97, 97]);
    expect(thick.of("fat") / 20.5).toBeCloseTo(1, 1);
    expect(thin.of("fat") / 5.1).toBeCloseTo(1, 1);
    expect([thick, thin].map(({ part }) => strengthOf(part.contents, MAKING))).toEqual(["thick", "drinking"]);
  });
  it("loses and makes nothing: milk, pulp and what stays on the tools are what went in", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MAKING.milks.map(({ foodId }) => foodId)),
        fc.array(fc.double({ min: 0, max: 900, noNaN: true }), { minLength: 1, maxLength: 4 }),
        fc.constantFrom("hard", "loose"),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (id, presses, squeeze, soaked) => {
          const { parts, went, away } = done(milkOf({ material: id, presses, squeeze, soaked }));
          const taken = parts.filter(({ key }) => key === "milk" || key === "pulp");
          const sum = (masses: readonly { readonly grams: number }[]) => masses.reduce((total, { grams }) => total + grams, 0);
          expect(taken.reduce((total, { grams }) => total + grams.value, 0) + sum(away)).toBeCloseTo(sum(went), 0);
          const fat = taken.reduce((sum, { grams, contents }) => sum + (grams.value * (contents.per100g[INDEX.fat] ?? 0)) / 100, 0);
          expect(fat).toBeLessThanOrEqual((food(id).per100g[INDEX.fat] ?? 0) + 1e-6);
          for (const { contents } of taken) for (const [n, amount] of contents.per100g.entries()) expect(amount, NUTRIENTS[n]).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
  it("squeezed loosely gives less milk and more pulp; weighed, it gives what the scale says", () => {
    const [hard, loose] = [done(milkOf({})), done(milkOf({ squeeze: "loose" }))];
    expect(partOf(loose, "milk").grams).toBeLessThan(partOf(hard, "milk").grams - 20);
    const weighed = done(milkOf({ weighedPulp: 150, weighedMilk: 330 }));
    expect([partOf(weighed, "pulp").grams, partOf(weighed, "milk").grams]).toEqual([150, 330]);
    expect(partOf(weighed, "milk").part.grams.sd).toBeLessThan(partOf(hard, "milk").part.grams.sd);
  });
  it("learns what the household's pulp holds, more with each weighing", () => {
    const making = milkOf({ weighedPulp: 150 });
    const seen = seenHolds(making, food("almond"), material("almond"), MAKING) ?? NaN;
    const again = done(milkOf({ holds: seen }));
    expect(partOf(again, "pulp").grams).toBeCloseTo(150, 6);
    const usual = holdsOf(milkOf({}), material("almond"), MAKING);
    expect(learnedHolds([], usual)).toBeNull();
    const [one, three] = [learnedHolds([seen], usual) ?? 0, learnedHolds([seen, seen, seen], usual) ?? 0];
    expect(one).toBeGreaterThan(usual);
    expect(three).toBeGreaterThan(one);
    expect(three).toBeLessThan(seen);
  });
  it.each([
    ["too little water for the pulp", { presses: [0] }, [["presses", true]]],
    ["pulp lighter than its solids", { weighedPulp: 20 }, [["weighedPulp", true]]],
    ["milk and pulp that are more than went in", { weighedPulp: 200, weighedMilk: 450 }, [["weighedPulp", true]]],
    ["milk that is more than went in", { weighedMilk: 600 }, [["weighedMilk", true]]],
    ["a fifth that is in neither", { weighedPulp: 100, weighedMilk: 300 }, [["weighedMilk", false]]],
    ["nothing of the kind", {}, []],
  ] as const)("says of %s where it is wrong", (_, part, told) => expect(problems(milkOf(part))).toEqual(told));
  it.each([
    ["pulp lighter than its solids", { weighedPulp: 20 }],
    ["pulp heavier than all", { weighedPulp: 900 }],
    ["milk heavier than all", { weighedMilk: 900 }],
  ] as const)("reckons nothing with %s", (_, part) => {
    const [usual, odd] = [done(milkOf({ presses: [300, 100] })), done(milkOf({ presses: [300, 100], ...part }))];
    expect(odd.parts).toEqual(usual.parts);
    expect(odd.problems.some(({ grave }) => grave)).toBe(true);
  });
  it("keeps what is not known unknown, in milk and pulp alike", () => {
    const bare = { ...food("almond"), micro: food("almond").micro.map(() => null), unknown: ["calcium"] as const };
    const made = make(milkOf({}), new Map([...foods, ["almond", bare]]), MAKING);
    for (const part of made.ok ? made.value.parts : []) {
      expect(part.contents.micro.every((amount) => amount === null)).toBe(true);
      expect(part.contents.unknown).toEqual(["calcium"]);
    }
    expect(made.ok && made.value.parts.length).toBe(2);
  });
  it("swell when soaked, most of it in the first third", () => {
    const almond = material("almond");
    expect(soakedGrams(almond, grams(100), 0)).toBe(100);
    expect(soakedGrams(almond, grams(100), 10)).toBeCloseTo(145 - 45 * Math.exp(-3), 6);
    expect(soakedGrams(material("fresh-coconut"), grams(100), 10)).toBe(100);
  });
});

describe("syrups and caramel", () => {
  const syrup = { kind: "syrup", sugar: "jaggery", grams: 500, water: 250, filtered: false, percent: 75 } as const;
  it("boil down to the strength asked for: the solids that went in, over it", () => {
    const made = done(syrup);
    const solids = 500 - 5 * (food("jaggery").per100g[INDEX.water] ?? NaN);
    expect(partOf(made, "whole").grams).toBeCloseTo(solids / 0.75, 6);
    expect(made.away).toEqual([{ name: "boiled away", grams: expect.closeTo(750 - solids / 0.75, 6) as number }]);
    expect(partOf(made, "whole").of("water")).toBeCloseTo(25, 6);
    expect(partOf(done({ ...syrup, filtered: true }), "whole").grams).toBeCloseTo((0.98 * solids) / 0.75, 6);
  });
  it("are refused where they are stronger before they boil", () => expect(problems({ ...syrup, percent: 50 })).toEqual([["percent", true]]));
  it("boil at the tabled points, and tell their strength from the thermometer", () => {
    expect(boilingPoint(80, MAKING.boiling)).toBe(112);
    for (const percent of [12, 47, 66, 78, 93]) expect(percentAtBoiling(boilingPoint(percent, MAKING.boiling), MAKING.boiling)).toBeCloseTo(percent, 9);
    expect([40, 76, 85.5].map((percent) => syrupStage(percent, MAKING)?.name)).toEqual(["sweetened water", "one thread", "soft ball"]);
  });
  it.each([
    ["light", 0.05],
    ["amber", 0.15],
    ["dark", 0.3],
  ] as const)("caramel taken to %s loses %f of its sugar's sweetness", (stage, lost) => {
    const made = partOf(done({ kind: "caramel", sugar: "sugar", grams: 200, stage, water: 100 }), "whole");
    const sucrose = 2 * (food("sugar").per100g[INDEX.sucrose] ?? NaN);
    expect((made.grams * made.of("sucrose")) / 100 / sucrose).toBeCloseTo(1 - lost, 2);
    expect(made.of("availableCarbohydrate") + made.of("water")).toBeCloseTo(100, 0);
  });
});

describe("whatever is made", () => {
  const makings: readonly Making[] = [
    { kind: "syrup", sugar: "jaggery", grams: 400, water: 300, filtered: true, percent: 72 },
    { kind: "caramel", sugar: "coconut-sugar", grams: 150, stage: "dark", water: 80 },
    { kind: "caramel", sugar: "jaggery-powder", grams: 150, stage: "light", water: 80 },
    { kind: "roast", flour: "semolina", grams: 300, stage: "deep", finished: null },
    { kind: "paste", fruit: "raisins", grams: 200, water: 90, finished: 240 },
    {
      kind: "mixture",
      parts: [
        { foodId: "cow-milk", grams: 500 },
        { foodId: "sugar", grams: 60 },
      ],
      finished: 380,
    },
  ];
  it.each(makings.map((making) => [making.kind, making] as const))("%s weighs what went in less what went away, and its parts add up to 100 g", (_, making) => {
    const { went, away, parts } = done(making);
    const sum = (masses: readonly { readonly grams: number }[]) => masses.reduce((total, { grams }) => total + grams, 0);
    const whole = parts[0];
    expect((whole?.grams.value ?? NaN) + sum(away)).toBeCloseTo(sum(went), 6);
    const of = (nutrient: Nutrient) => whole?.contents.per100g[INDEX[nutrient]] ?? NaN;
    const total =
      of("water") + of("protein") + of("fat") + of("availableCarbohydrate") + of("solubleFibre") + of("insolubleFibre") + of("organicAcids") + of("ash");
    expect(Math.abs(total - 100)).toBeLessThan(4);
  });
  it("a strength told by the thermometer has a spread, and one that was weighed has its food's", () => {
    const [syrup, roast] = [makings[0], makings[3]].map((making) => making && done(making).parts[0]);
    const spread = (part: typeof syrup) => part?.contents.sd[INDEX.water] ?? NaN;
    expect(spread(syrup) * 1.2816).toBeGreaterThan(1.9);
    expect(spread(roast)).toBeLessThan(2);
  });
});

describe("roasted flours and pastes", () => {
  const roast = { kind: "roast", flour: "besan", grams: 250, stage: "golden", finished: null } as const;
  it("lose their moisture to the stage, and keep all else", () => {
    const made = partOf(done(roast), "whole");
    const dry = 250 * (1 - (food("besan").per100g[INDEX.water] ?? NaN) / 100);
    expect(made.grams).toBeCloseTo(dry / 0.96, 6);
    expect((made.of("protein") * made.grams) / 100).toBeCloseTo(2.5 * (food("besan").per100g[INDEX.protein] ?? NaN), 6);
  });
  it("go by the scale where it was asked, unless it cannot be", () => {
    expect(partOf(done({ ...roast, finished: 232 }), "whole").grams).toBe(232);
    expect(problems({ ...roast, finished: 260 })).toEqual([["finished", true]]);
    expect(problems({ ...roast, finished: 200 })).toEqual([["finished", true]]);
  });
  it("a paste is its fruit and its water", () => {
    const made = partOf(done({ kind: "paste", fruit: "dates", grams: 200, water: 50, finished: null }), "whole");
    expect(made.grams).toBe(250);
    expect(made.of("fructose")).toBeCloseTo(0.8 * (food("dates").per100g[INDEX.fructose] ?? NaN), 9);
  });
  it("say so where a food is not known", () =>
    expect(make({ ...roast, flour: "own-gone" }, foods, MAKING)).toEqual({ ok: false, error: { kind: "no such food", foodId: "own-gone" } }));
  it("rest on foods of the tables", () => {
    const { milks, pastes, syrups } = MAKING;
    const named = [
      ...milks.flatMap(({ foodId, milkLike, pulpLike, packed }) => [foodId, milkLike, pulpLike, ...(packed ? [packed] : [])]),
      ...pastes.flatMap(({ foodId, like }) => [foodId, like]),
      ...syrups.map(({ foodId }) => foodId),
      MAKING.syrupLike,
    ];
    expect(named.filter((id) => !foods.has(id))).toEqual([]);
  });
});
