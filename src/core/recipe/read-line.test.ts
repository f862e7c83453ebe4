import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { context } from "../../../tests/support/kitchen";
import { REFERENCE } from "../../data";
import { Z80 } from "../numeric";
import { halvedCan } from "./halved-can";
import { createFoodMatcher } from "./match-food";
import { createFoodFinder } from "./named-foods";
import { readLine, type LineReading } from "./read-line";

const read = (text: string): LineReading => readLine({ id: "l", text, choice: {} }, context);
const weighed = (text: string) => {
  const reading = read(text);
  if (reading.kind !== "read") throw new Error(`${text}: ${reading.kind}`);
  return {
    id: reading.food.id,
    grams: reading.grams.value,
    share: (Z80 * reading.grams.sd) / reading.grams.value,
    how: reading.how,
    optional: reading.optional,
  };
};

describe("ingredient lines", () => {
  it.each([
    ["½ cup ghee", "ghee", 109.2, 0.04],
    ["1¼ cups sugar", "sugar", 253.5, 0.08],
    ["a handful of cashews", "cashew", 31.35, 0.25],
    ["a pinch of salt", "salt", 0.372, 0.4],
    ["8 saffron strands", "saffron", 0.016, 0.3],
    ["1 can (400 ml) coconut milk", "coconut-milk", 388, 0.03],
    ["2 x 400 g cans coconut milk", "coconut-milk", 800, 0.03],
    ["1 cup + 2 tbsp sugar", "sugar", 228.15, 0.07],
    ["one and a half cups milk", "cow-milk", 370.8, 0.04],
    ["500 ml (2 cups) milk", "cow-milk", 515, 0.04],
    ["3 cardamom pods, crushed", "cardamom", 0.6, 0.25],
    ["<b>2 cups</b> water", "water", 480, 0.04],
    ["🙂 2 cups milk", "cow-milk", 494.4, 0.04],
    ["Milk 500 ml", "cow-milk", 515, 0.04],
    ["1 large egg", "egg", 60, 0.08],
    ["¼ cup unsweetened desiccated coconut", "desiccated-coconut", 21.6, 0.08],
    ["2 tbsp slivered almonds", "almond", 13.8, 0.14],
    ["1 heaped tbsp semolina", "semolina", 15 * 0.696 * 1.6, 0.22],
    ["2 heaping teaspoons sugar", "sugar", 10 * 0.845 * 1.6, 0.22],
    ["1 cup packed brown sugar", "brown-sugar", 220.8, 0.13],
    ["a scant cup of semolina", "semolina", 240 * 0.696 * 0.92, 0.1],
    ["1 loosely packed cup besan", "besan", 240 * 0.47 * 0.9, 0.11],
    ["1 heaped cup milk", "cow-milk", 247.2, 0.04],
    ["1 cup mashed bananas", "banana", 235.2, 0.13],
    ["1 cup groundnuts", "peanut", 146.4, 0.08],
  ])("%s is %s, %d g", (text, id, grams, share) => {
    const line = weighed(text);
    expect(line.id).toBe(id);
    expect(line.grams).toBeCloseTo(grams, 1);
    expect(line.share).toBeCloseTo(share, 2);
  });

  it("says how the grams were reached", () => expect(weighed("1 cup of fine semolina").how).toBe("1 cup of fine semolina = 167 g ± 8 %"));

  it("takes a range by its middle and widens the interval by its width", () => {
    const range = weighed("6–7 dates");
    expect(range.grams).toBeCloseTo(6.5 * 8, 6);
    expect(range.share).toBeGreaterThan(weighed("6 dates").share);
  });

  it("marks optional lines", () => expect(weighed("2 tbsp raisins (optional)").optional).toBe(true));

  it.each([
    ["ghee as needed", "amount unknown", /left open/],
    ["salt to taste", "amount unknown", /left open/],
    ["1/0 cup sugar", "amount unknown", /not an amount/],
    ["-2 cups sugar", "amount unknown", /above zero/],
    ["0 cups sugar", "amount unknown", /above zero/],
    ["sugar", "amount unknown", /No amount/],
    ["1 blarg of sugar", "amount unknown", /blarg of sugar weighs is not known/],
    ["a grating of nutmeg", "amount unknown", /not known/],
    ["1 blarg sugar", "food unknown", /not a food/],
    ["1 cup dragon scales", "food unknown", /not a food/],
    ["", "food unknown", /No food/],
    ["🎉🎉", "food unknown", /No food/],
  ])("asks about %j (%s)", (text, kind, why) => {
    const reading = read(text);
    expect(reading.kind).toBe(kind);
    expect("why" in reading ? reading.why : "").toMatch(why);
    expect(reading.line.text).toBe(text);
    if (reading.kind === "amount unknown") expect(reading.guesses.length).toBeGreaterThan(0);
  });

  it("never takes one milk, sugar or cream for another: what is not sure is asked, with guesses", () => {
    expect(weighed("1 can coconut milk").id).not.toBe("cow-milk");
    expect(weighed("1 cup coconut sugar").id).toBe("coconut-sugar");
    expect(weighed("100 g cream of coconut").id === "coconut-cream").toBe(false);
    const camel = read("1 cup camel milk");
    expect(camel.kind).toBe("food unknown");
    expect(camel.kind === "food unknown" && camel.guesses.length).toBeGreaterThan(0);
  });

  it.each([
    ["1 tbsp cornflour stirred into 3 tbsp cold water", ["1 tbsp cornflour stirred", "3 tbsp cold water"]],
    ["almonds, cashews and raisins, 2 tbsp each", ["2 tbsp almonds", "2 tbsp cashews", "2 tbsp raisins"]],
    ["1 tsp each ground ginger and cinnamon", ["1 tsp ground ginger", "1 tsp cinnamon"]],
    ["zest and juice of 1 lime", ["zest of 1 lime", "juice of 1 lime"]],
    ["2 tbsp raisins soaked in 1 cup water, drained", undefined],
    ["4-5 cardamom pods or 1/2 tsp cardamom powder", undefined],
  ])("%s becomes %j", (text, apart) => {
    const reading = read(text);
    expect(reading.kind).toBe("read");
    expect("apart" in reading ? reading.apart : undefined).toEqual(apart);
  });

  it.each([
    ["sugar or jaggery, 1 cup", /choice/],
    ["2 tbsp raisins soaked in 2 tbsp milk or 2 tbsp water", /choice/],
    ["1/4 cup raisins, almonds", /share one amount/],
    ["1 cup sugar, घी", /घी/],
    ["100 g दूध milk", /not a food/],
    ["1 cup milk powder biscuit", /not a food|known by/],
    ["1 tbsp sugar minus 2 cups", /above zero/],
    ["1 cup lentils, cooked", /before it was cooked/],
  ])("%s is asked about", (text, why) => {
    const reading = read(text);
    expect(reading.kind).not.toBe("read");
    expect("why" in reading ? reading.why : "").toMatch(why);
  });

  it("takes what the maker settled by hand over the text", () => {
    const reading = readLine({ id: "l", text: "1 blarg of sweetness", choice: { foodId: "jaggery", grams: 150, role: "colour" } }, context);
    expect(reading).toMatchObject({ kind: "read", role: "colour", grams: { value: 150 } });
  });

  it("reads any text to a positive finite weight or a question, and never throws", () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 60 }),
          fc
            .tuple(fc.integer({ min: -5, max: 99 }), fc.constantFrom("cup", "g", "tbsp", "/0 cup", "kg"), fc.constantFrom("sugar", "ghee", "water", "x"))
            .map((parts) => parts.join(" ")),
        ),
        (text) => {
          const reading = read(text);
          if (reading.kind === "read") expect(reading.grams.value > 0 && Number.isFinite(reading.grams.value) && reading.grams.sd >= 0).toBe(true);
        },
      ),
      { numRuns: 400 },
    );
  });
});

describe("a part of a can", () => {
  const heed = (text: string) => {
    const found = halvedCan(readLine({ id: "l1", text, choice: {} }, context), REFERENCE.constants);
    return found && { share: found.share, parts: [found.fromBelow, found.fromAbove].map((fat) => Math.round((100 * fat) / found.fat)) };
  };
  it.each([
    ["half a can of coconut milk", 0.5, [20, 180]],
    ["½ x 400 ml tin coconut milk", 0.5, [20, 180]],
    ["half the can of coconut milk", 0.5, [20, 180]],
    ["1 1/2 cans coconut milk", 0.5, [20, 180]],
    ["3/4 can coconut milk", 0.75, [73, 127]],
  ])("of what parts in it has to be stirred: %s", (text, share, parts) => expect(heed(text)).toEqual({ share, parts }));
  it.each(["2 cans coconut milk", "½ can condensed milk", "½ cup coconut milk", "200 ml coconut milk"])("is nothing to mind in %s", (text) =>
    expect(heed(text)).toBeNull(),
  );
  it("brings, from both ends together, what the can holds", () => {
    for (const share of [0.1, 0.25, 0.4, 0.5]) {
      const [from, rest] = [share, 1 - share].map((each) =>
        halvedCan(readLine({ id: "l1", text: `${each} can coconut milk`, choice: {} }, context), REFERENCE.constants),
      );
      expect((from?.fromBelow ?? 0) + (rest?.fromAbove ?? 0)).toBeCloseTo((from?.fat ?? 0) / share, 6);
      expect((from?.fromAbove ?? 0) + (rest?.fromBelow ?? 0)).toBeCloseTo((from?.fat ?? 0) / share, 6);
    }
  });
});

describe("a name with a joint in it", () => {
  const chutney = {
    ...(REFERENCE.foods.get("date-paste") ?? expect.fail("none")),
    id: "own-chutney",
    name: "Kokum & date chutney",
    synonyms: ["rice and shine"],
  };
  const foods = new Map([...REFERENCE.foods, [chutney.id, chutney]]);
  const own = { ...context, foods, matcher: createFoodMatcher(foods.values()), find: createFoodFinder(foods.values()) };
  const of = (text: string) => {
    const reading = readLine({ id: "l", text, choice: {} }, own);
    return reading.kind === "read" ? [reading.food.id, Math.round(reading.grams.value)] : reading.kind;
  };
  it.each([
    ["50 g Kokum & date chutney", ["own-chutney", 50]],
    ["KOKUM & DATE CHUTNEY, 50 g, stirred", ["own-chutney", 50]],
    ["50 g rice and shine", ["own-chutney", 50]],
    ["50 g Kokum & date chutney or ghee", "food unknown"],
    ["50 g rice and shiner", "food unknown"],
    ["50 g Kokum & date chutney xyzzy", "food unknown"],
    ["50 g Kokum & date chutney and mlieko", "food unknown"],
  ])("is read whole: %s", (text, expected) => expect(of(text)).toEqual(expected));
});
