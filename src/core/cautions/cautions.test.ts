import { describe, expect, it } from "vitest";
import { read, tableOf } from "../../../tests/support/kitchen";
import { CAUTIONS, LOOK_ALIKES, REFERENCE, RULES } from "../../data";
import type { Rule } from "../models/diet";
import type { DiningTable, Seat } from "../table";
import { NO_EQUIPMENT, type Equipment } from "../household";
import { cautionInput, cautionsFor, mistakes, vesselFindings } from ".";

const rule = (id: string, traces?: Rule["traces"]): Rule => ({ ...(RULES.get(id) as Rule), ...(traces ? { traces } : {}) });
const aged = (age: Seat["age"] & string): DiningTable => tableOf({ seats: [{ eater: "e", name: "E", servings: 1, rules: [], limits: [], age }] });
const recipe = (lines: readonly string[], steps: readonly string[]) => read(["Sweet", "", "Serves 4", "", ...lines, "", "Method", ...steps].join("\n"));
const told = (lines: readonly string[], steps: readonly string[], table = tableOf()): string[] => {
  const made = recipe(lines, steps);
  return cautionsFor({ ...cautionInput(made, made.lines, made.recipe.servings, [...made.ledger.pressedIn.keys()]), table }, CAUTIONS).map(({ id }) => id);
};

describe("cautions", () => {
  // Each with a sweet that it is for, and one that lacks just that.
  it.each([
    [
      "hot-sugar",
      ["100 g sugar", "200 ml milk"],
      ["Caramelise the sugar until amber.", "Add the milk and simmer for 5 minutes."],
      ["Dissolve the sugar in the milk."],
    ],
    ["pressure", ["100 g rice", "500 ml milk"], ["Cook under pressure for 3 whistles."], ["Simmer for 30 minutes."]],
    [
      "raw-flour",
      ["200 g wheat flour", "100 g ghee", "100 g sugar"],
      ["Mix and shape into balls."],
      ["Roast the flour in the ghee for 10 minutes.", "Mix in the sugar and shape."],
    ],
    [
      "home-milk",
      ["100 g almonds", "400 ml water", "40 g sugar"],
      ["Grind the almonds with the water and press through a cloth.", "Simmer with the sugar for 10 minutes."],
      ["Simmer the almonds in the water with the sugar for 10 minutes."],
    ],
  ])("%s stands where it applies", (id, lines, steps, others) => {
    expect(told(lines, steps)).toContain(id);
    expect(told(lines, others)).not.toContain(id);
  });
  it.each([
    [
      "raw-egg",
      ["2 eggs", "100 g sugar"],
      ["Whisk the eggs with the sugar and chill."],
      ["2 eggs", "100 g sugar", "200 ml milk"],
      ["Simmer all for 10 minutes."],
    ],
    ["raw-milk", ["1 litre raw milk"], ["Chill."], ["1 litre milk"], ["Chill."]],
    ["long-soak", ["100 g almonds"], ["Soak the almonds for 12 hours."], ["100 g almonds"], ["Soak the almonds for 6 hours."]],
    ["warm-room", ["1 litre milk"], ["It keeps for two weeks in an airtight tin."], ["1 litre milk"], ["It keeps cool."]],
    ["sealed", ["1 litre milk"], ["Pour into jars and seal the jars."], ["1 litre milk"], ["Pour into jars with a lid."]],
    ["nutmeg-dose", ["10 g nutmeg"], ["Mix."], ["2 g nutmeg"], ["Mix."]],
    ["cassia", ["4 g cinnamon powder"], ["Mix."], ["1 g cinnamon powder"], ["Mix."]],
    ["flax-raw", ["60 g ground flaxseed"], ["Mix."], ["60 g ground flaxseed", "300 ml water"], ["Simmer for 10 minutes."]],
    ["poppy-dose", ["60 g poppy seeds"], ["Mix."], ["20 g poppy seeds"], ["Mix."]],
    ["camphor", ["1 pinch edible camphor"], ["Mix."], ["1 pinch cardamom powder"], ["Mix."]],
    ["licorice", ["1 tsp mulethi powder"], ["Mix."], ["1 tsp fennel"], ["Mix."]],
    ["cassava", ["300 g cassava"], ["Grate."], ["300 g sweet potato"], ["Grate."]],
    ["bitter-kernels", ["5 apricot kernels"], ["Grind."], ["5 apricots"], ["Grind."]],
    ["kidney-beans", ["200 g rajmah"], ["Grind."], ["200 g moong dal"], ["Grind."]],
    ["green-potato", ["300 g potato"], ["Mash."], ["30 g potato starch"], ["Mix."]],
    ["ackee", ["200 g ackee"], ["Mix."], ["200 g apple"], ["Mix."]],
    ["gum-dose", ["20 g guar gum", "500 ml water"], ["Mix."], ["4 g guar gum", "500 ml water"], ["Mix."]],
    ["chia", ["40 g chia seeds"], ["Mix."], ["40 g chia seeds", "300 ml water"], ["Soak the chia for 30 minutes."]],
    [
      "hot-fat",
      ["200 g wheat flour", "oil for frying"],
      ["Fry in the hot oil for 4 minutes."],
      ["20 g cashews", "10 g ghee"],
      ["Fry the cashews in the ghee."],
    ],
    [
      "closed-tin",
      ["1 tin condensed milk"],
      ["Put the closed tin into boiling water for 2 hours."],
      ["1 tin condensed milk"],
      ["Open the tin and cook it for 10 minutes."],
    ],
    [
      "quick-release",
      ["100 g moong dal"],
      ["Cook under pressure for 3 whistles and use quick release."],
      ["100 g moong dal"],
      ["Cook under pressure for 3 whistles."],
    ],
    ["dogs", ["100 g raisins"], ["Mix."], ["100 g apple"], ["Mix."]],
    ["cultured", ["1 litre coconut milk"], ["Stir in the starter and leave for 8 hours."], ["1 litre coconut milk"], ["Simmer for 8 minutes."]],
  ])("%s stands on one side of its border", (id, lines, steps, otherLines, otherSteps) => {
    expect(told(lines, steps)).toContain(id);
    expect(told(otherLines, otherSteps)).not.toContain(id);
  });
  it("tell what can hurt first, and more of who is frail", () => {
    const raw = [["2 eggs", "100 g sugar", "5 g poppy seeds", "10 g cocoa powder"], ["Whisk the eggs with the sugar and chill."]] as const;
    expect(told(...raw, aged("older"))[0]).toBe("raw-egg-frail");
    expect(told(...raw, tableOf({ rules: ["pregnant"] }))).toEqual(expect.arrayContaining(["raw-egg-frail", "poppy"]));
    expect(told(...raw, aged("child"))).toContain("caffeine-child");
    expect(told(...raw)).not.toContain("raw-egg-frail");
    expect(told(["2 eggs", "200 ml milk"], ["Simmer the milk with the eggs for 5 minutes."], aged("1 to 5"))).toContain("egg-custard");
    expect(told(["100 ml milk"], ["Stir in the coffee."], aged("child"))).toContain("caffeine-child-drink");
  });
  it("go by who sits at the table", () => {
    const honey = [["1 cup almonds", "2 tbsp honey", "1 cup almond drink"], ["Mix."]] as const;
    expect(told(...honey)).toEqual(["cooling"]);
    expect(told(...honey, aged("under 1"))).toEqual(expect.arrayContaining(["honey-infant", "choking-nuts", "infant-formula"]));
    expect(told(...honey, aged("1 to 5"))).toContain("choking-nuts");
    expect(told(...honey, aged("1 to 5"))).not.toContain("honey-infant");
    expect(told(["1 cup milk"], ["Chill."], tableOf({ rules: ["ekadashi/vaishnava"] }))).toContain("long-fast");
  });
  it("name plants that some food is of, so that none is dead", () => {
    const known = new Set([...REFERENCE.foods.values()].map(({ nature }) => nature?.botanical));
    for (const { id, foods = [], pressed = [] } of CAUTIONS)
      for (const plants of [...foods.flatMap((when) => (when.plants ? [when.plants] : [])), ...(pressed.length > 0 ? [pressed] : [])])
        expect(
          plants.some((plant) => known.has(plant)),
          id,
        ).toBe(true);
  });
});

describe("pans and tools", () => {
  const kitchen = (part: Partial<Equipment>): Equipment => ({ ...NO_EQUIPMENT, ...part });
  const pan = (diameter: number, depth: number, sharedWith: readonly string[] = []) => ({
    id: `${diameter}`,
    name: "",
    diameter,
    depth,
    mass: null,
    sharedWith,
  });
  const kheer = recipe(
    ["1 litre milk", "100 g rice", "80 g sugar", "30 g almonds"],
    ["Grind the almonds.", "Simmer the milk and rice for 30 minutes, add the sugar and the almonds."],
  );
  const texts = (equipment: Equipment, rules: readonly Rule[] = [], factor = 1, chilled = false) =>
    vesselFindings(kheer, factor, chilled, equipment, rules).map(({ verdict, text }) => [verdict, text]);
  it("are asked about where what is avoided is made in them, and left out where traces count", () => {
    const mixer = kitchen({ mixer: { sharedWith: ["sesame"] } });
    expect(texts(mixer, [rule("no-sesame")])).toEqual([["ask", expect.stringMatching(/mixer is also used for sesame: wash it first/)]]);
    expect(texts(mixer, [rule("no-sesame", "avoided")])).toEqual([["avoid", expect.stringMatching(/take another/)]]);
    expect(texts(mixer, [rule("no-sesame", "as an ingredient"), rule("no-walnut")])).toEqual([]);
    expect(texts(kitchen({ pans: [pan(26, 9, ["milk"])], mixer: { sharedWith: [] } }), [rule("vegan")])).toHaveLength(1);
  });
  it("are told when they are too small, with the one that fits", () => {
    expect(texts(kitchen({ pans: [pan(26, 9)], mixer: { sharedWith: [] } }))).toEqual([]);
    expect(texts(kitchen({ pans: [pan(16, 6)], mixer: { sharedWith: [] } }))).toEqual([
      ["ask", expect.stringMatching(/1\.2 l cook at once; the usual pan holds 1\.2 l .*two batches/)],
    ]);
    expect(texts(kitchen({ pans: [pan(16, 6), { ...pan(28, 12), name: "the big one" }], mixer: { sharedWith: [] } }))[0]?.[1]).toMatch(/take “the big one”/);
    expect(texts(kitchen({ pans: [pan(26, 9)] }))).toEqual([["ask", expect.stringMatching(/names no mixer/)]]);
    expect(texts(kitchen({ fridge: 1 }), [], 4, true)).toEqual([["ask", expect.stringMatching(/1 l of room in the fridge/)]]);
    const cooked = recipe(["1 litre milk", "100 g rice"], ["Cook under pressure for 3 whistles."]);
    expect(vesselFindings(cooked, 1, false, kitchen({ pressureCooker: { litres: 2, sharedWith: [] } }), [])).toMatchObject([
      { verdict: "avoid", kind: "too full" },
    ]);
    expect(vesselFindings(cooked, 1, false, kitchen({ pressureCooker: { litres: 3, sharedWith: [] } }), [])).toEqual([]);
  });
});

describe("what a food is taken for", () => {
  const found = (line: string, table = tableOf(), rules: readonly Rule[] = []) =>
    mistakes(recipe([line, "200 ml water", "60 g sugar"], ["Simmer for 10 minutes."]), table, LOOK_ALIKES, REFERENCE, rules);
  it("is told with what it would do, or not at all where nobody would notice", () => {
    const [coconut] = found("200 ml coconut milk");
    expect(coconut).toMatchObject({ food: { id: "coconut-milk" }, other: { id: "cream-of-coconut" } });
    expect(coconut?.changes.find(({ property }) => property === "serving.freeSugarsUk")?.after).toBeGreaterThan(20);
    expect(found("200 ml oat drink")).toEqual([]);
    // Words that can mean one food alone are not doubted.
    expect(found("200 ml whole milk")).toEqual([]);
    expect(found("100 g jaggery, grated")).toEqual([]);
  });
  it("weighs most where the look-alike breaks a rule of the table", () => {
    const [semolina] = found("100 g rice semolina", tableOf({ rules: ["gluten-free"] }), [rule("gluten-free")]);
    expect(semolina).toMatchObject({ other: { id: "semolina" }, breaks: [{ id: "gluten-free" }] });
  });
});
