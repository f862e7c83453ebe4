import { describe, expect, it } from "vitest";
import { freeSugars, read, tableOf } from "../../../tests/support/kitchen";
import { kitchenOf } from "../../data";
import { sessionOf, stoveState, transition, type CookHappening } from "../cook";
import { learnedKey, type Learned } from "../food";
import { evaluateRecipe, evaluateVersion, openRecipe, USUAL_SOURCES } from "../kitchen";
import type { TastingAnswer } from "../sensory";
import { groundOfBench } from "./bench-ground";
import { begunAs } from "./stove-version";
import { cookPlan, methodView, nextTime, nextTimeBench } from ".";

const tables = kitchenOf(USUAL_SOURCES);
const KHEER =
  "Rice kheer\nServes 4\n\n1 litre milk\n80 g rice\n80 g sugar\n\n1. Simmer the rice in the milk for 40 minutes.\n2. Stir in the sugar and simmer for 2 minutes.";
const LADOO =
  "Besan ladoo\nMakes 12\n\n250 g besan\n120 g ghee\n130 g icing sugar\n\n1. Roast the besan in the ghee for 15 minutes.\n2. Cool, mix in the icing sugar, and shape into balls.";

type Said = readonly [name: string, steps: TastingAnswer["steps"], isGuest?: boolean];
function after(said: readonly Said[], { text = KHEER, learned = {}, table = {}, more = [] as readonly CookHappening[], got = null as number | null } = {}) {
  const { recipe } = read(text);
  const ground = { recipe, table: tableOf({ servings: recipe.servings, serve: "chilled", ...table }), bench: null };
  const plan = cookPlan(recipe, ground.table, methodView(ground, tables));
  const all: readonly CookHappening[] = [{ kind: "started" }, ...more, { kind: "ended", grams: got }];
  const session = all.reduce((now, each, i) => transition(now, { ...each, id: `e${i}`, at: i })[0], sessionOf(plan, []));
  const tastings = said.map(([name, steps, isGuest]) => ({
    eater: isGuest ? null : name,
    name,
    served: "chilled" as const,
    answer: { steps, liking: null, word: "" },
    at: 10,
  }));
  return nextTime({ ...ground, stove: stoveState(session), tastings, endedAt: 2 }, kitchenOf({ ...USUAL_SOURCES, learned }));
}
const all = (sweetness: -2 | -1 | 0 | 1 | 2): readonly Said[] => ["ana", "bo", "cy"].map((name) => [name, { sweetness }]);

describe("next time", () => {
  it("is sweeter where it was not sweet enough, by sugar or by what may stand beside it, and less where it was too sweet", () => {
    const [more] = after(all(-1)).changes;
    expect(more).toMatchObject({ attribute: "sweetness", of: 3, counts: { little: 3, right: 0, much: 0 } });
    expect(more?.share).toBeGreaterThan(0.05);
    expect(more?.rightThen).toBeGreaterThan((more?.rightNow ?? 9) + 0.25);
    const sugar = more?.ways.find(({ food }) => food === "sugar");
    expect(sugar?.grams).toBeGreaterThan(5);
    // Less sweet than sugar is, gram for gram: more of it.
    expect(more?.ways.find(({ food }) => food === "date-paste")?.grams).toBeGreaterThan(sugar?.grams ?? Infinity);
    const [less] = after(all(2)).changes;
    expect(less?.share).toBeLessThan(-0.05);
    expect(less?.ways.map(({ food, grams }) => [food, grams < 0])).toEqual([["sugar", true]]);
  });
  it("is as sweet as it is told to be, when it is cooked so", () => {
    const [told] = after(all(-1)).changes;
    const sugar = told?.ways.find(({ food }) => food === "sugar")?.grams ?? 0;
    const again = after(all(0), { text: KHEER.replace("80 g sugar", `${80 + sugar} g sugar`) });
    expect(again.changes).toEqual([]);
    const [same] = after(all(-1), { text: KHEER.replace("80 g sugar", `${80 + sugar} g sugar`) }).changes;
    expect(same?.before).toBeCloseTo(told?.after ?? 0, 0);
  });
  it("is drafted as it was cooked, with the change and why, from the version that was cooked", () => {
    const { recipe } = read(KHEER);
    const ground = { recipe, table: tableOf({ servings: 4, serve: "chilled" }), bench: null };
    const plan = cookPlan(recipe, ground.table, methodView(ground, tables));
    const jaggery: CookHappening = { kind: "put in", line: null, food: "jaggery", name: "jaggery", grams: 12, word: "" };
    const happened: readonly CookHappening[] = [{ kind: "started" }, jaggery, { kind: "ended", grams: null }];
    const session = happened.reduce((now, each, i) => transition(now, { ...each, id: `e${i}`, at: i })[0], sessionOf(plan, []));
    const tastings = ["ana", "bo"].map((name) => ({
      eater: name,
      name,
      served: "chilled" as const,
      at: 10,
      answer: { steps: { sweetness: -2 as const }, liking: null, word: "" },
    }));
    const question = { ...ground, stove: stoveState(session), tastings, endedAt: 2 };
    const [change] = nextTime(question, tables).changes;
    const way = change?.ways.find(({ food }) => food === "sugar");
    if (!change || !way) throw new Error("sugar makes it sweeter");
    const bench = nextTimeBench(question, { change, way, label: "As handed down", from: "v1" }, tables);
    expect(bench).toMatchObject({ byHand: true, from: "v1", label: expect.stringMatching(/^As handed down, \d+ % sweeter$/) as string });
    expect(bench.rows.find(({ foodId }) => foodId === "jaggery")).toMatchObject({ grams: 12, change: "added" });
    const sugar = bench.rows.find(({ foodId }) => foodId === "sugar");
    expect(sugar).toMatchObject({ change: "amount", why: "2 of 2 found it not sweet enough" });
    expect(sugar?.grams).toBeCloseTo(80 + way.grams, 6);
    // What is laid so is as sweet as it was told to be.
    const laid = evaluateVersion(
      { rows: begunAs(bench, groundOfBench({ ...ground, bench }, tables), tables.reference.foods).version.rows, evaporation: bench.evaporation },
      openRecipe(recipe, tables),
      ground.table,
      tables,
    );
    expect(laid.figures["sweetness.chilled"].value).toBeCloseTo(change.after, 0);
    const date = change.ways.find(({ food }) => food === "date-paste");
    if (date)
      expect(nextTimeBench(question, { change, way: date, label: "x", from: null }, tables).rows.at(-1)).toMatchObject({
        foodId: "date-paste",
        change: "added",
        line: null,
      });
  });
  it("is left as it is where it was just right, and where nobody said", () => {
    expect(after(all(0))).toMatchObject({ changes: [], left: ["Sweetness: leave it as it is."] });
    expect(after([])).toMatchObject({ changes: [], left: [] });
    expect(after([["ana", { aroma: -1 }]]).left[0]).toMatch(/^Aroma: 1 too faint.*no model tells/);
  });
  it("says of a shaped sweet that less of what sweetens it may leave it crumbling", () => {
    const DATES =
      "Date balls\nMakes 12\n\n180 g date paste\n200 g roasted gram flour\n\n1. Roast the flour for 2 minutes.\n2. Knead in the date paste and roll into balls.";
    const way = after(all(2), { text: DATES }).changes[0]?.ways.find(({ food }) => food === "date-paste");
    expect(way?.grams).toBeLessThan(-20);
    expect(way?.over.join()).toMatch(/then it has \d+ % of the binder that it takes up, and crumbles/);
    expect(after(all(2), { text: LADOO }).changes[0]?.ways[0]?.over).toEqual([]);
  });
  it("is not changed where nobody would have it other, however far that is from the recipe", () => {
    for (const more of [[], [{ kind: "put in", line: null, food: "sugar", name: "sugar", grams: 45, word: "" }]] as const)
      expect(after(all(0), { more })).toMatchObject({ changes: [], left: ["Sweetness: leave it as it is."] });
  });
  it("says who would have it other where no change is right for more", () => {
    const known: Learned = Object.fromEntries(["ana", "bo", "cy"].map((name) => [learnedKey.wantedSweetness(name), { ln: 0, sd: 0.03, batches: 20 }]));
    const said: readonly Said[] = [
      ["ana", { sweetness: 1 }],
      ["bo", { sweetness: 1 }],
      ["cy", { sweetness: 0 }],
    ];
    expect(after(said, { learned: known })).toMatchObject({
      changes: [],
      left: [expect.stringMatching(/^Sweetness: 2 of 3 found it too sweet; by all/) as string],
    });
  });
  it("goes by what each is known to want before one answer, and says which limit it would pass", () => {
    const known: Learned = Object.fromEntries(["ana", "bo", "cy"].map((name) => [learnedKey.wantedSweetness(name), { ln: 0.2, sd: 0.05, batches: 6 }]));
    const { changes } = after([...all(0), ["dee", { sweetness: -1 }]], { learned: known, table: { limits: freeSugars(8) } });
    expect(changes[0]?.share).toBeGreaterThan(0.03);
    expect(changes[0]?.ways[0]?.over[0]).toMatch(/^then \d+\.\d g of free sugars.* a serving, over the 8 that were set$/);
  });
  it("says where eaters pull apart what each takes at the table, or what goes into each part of the pot, and promises nothing for all", () => {
    const said: readonly Said[] = [
      ["ana", { sweetness: -2 }],
      ["bo", { sweetness: 2 }],
      ["cy", { sweetness: 2 }],
      ["the aunt", { sweetness: -2 }, true],
    ];
    const { changes, left } = after(said);
    const words = changes[0]?.apart ?? left[0] ?? "";
    if (changes[0]) expect(changes[0].rightThen).toBeLessThan(3.5);
    expect(words).toMatch(/stirs about \d+ g of sugar/);
    const [, less = 0, lessFor = "", more = 0, moreFor = ""] =
      /: (\d+) g of sugar in the part for ([\w ]+), (\d+) g of sugar in the part for ([\w ]+)\./.exec(words) ?? [];
    expect([lessFor.split(" and ").sort(), moreFor.split(" and ").sort()]).toEqual([
      ["bo", "cy"],
      ["ana", "the aunt"],
    ]);
    // Each part is half of the pot: as sweet as those want it for whom it is.
    const sweetness = (sugar: number) => {
      const text = KHEER.replace("1 litre", "500 ml").replace("80 g rice", "40 g rice").replace("80 g sugar", `${sugar} g sugar`);
      const { recipe } = read(text);
      return evaluateRecipe(openRecipe(recipe, tables), tableOf({ servings: 4, serve: "chilled" }), tables).figures["sweetness.chilled"].value;
    };
    const ratio = sweetness(Number(more)) / sweetness(Number(less));
    expect(ratio).toBeGreaterThan(1.15);
    expect(ratio).toBeLessThan(2.5);
    expect(Number(less) + Number(more)).toBeGreaterThan(60);
    // Into what is shaped nothing is stirred, and it is not made by parts of other sweetness.
    const ladoo = after(said, { text: LADOO });
    const shaped = ladoo.changes[0]?.apart ?? ladoo.left[0] ?? "";
    expect(shaped).toMatch(/has syrup with about \d+ g of sugar in it to a serving/);
    expect(shaped).not.toMatch(/stirs|part the pot/);
    // Whose wants lie within what is noticed are not parted.
    expect(
      after(
        [
          ["ana", { sweetness: -1 }],
          ["bo", { sweetness: 1 }],
        ],
        { learned: Object.fromEntries(["ana", "bo"].map((name) => [learnedKey.wantedSweetness(name), { ln: 0.02, sd: 0.05, batches: 9 }])) },
      ).left.join(" "),
    ).not.toMatch(/part the pot/);
  });
  it("is thicker by cooking down further, of what is spooned; a shaped sweet has no body", () => {
    const thin = after([
      ["ana", { body: -1 }],
      ["bo", { body: -2 }],
    ]).changes[0];
    expect(thin?.attribute).toBe("body");
    expect(thin?.after).toBeGreaterThan(thin?.before ?? 99);
    expect(thin?.cookedTo).toBeGreaterThan(300);
    expect(after([["ana", { body: -1, sweetness: 0 }]], { text: LADOO }).changes).toEqual([]);
  });
  it("is never moved against what all said whom it was off for, however far it came out from the recipe", () => {
    for (const sign of [-1, 1] as const)
      for (const got of [450, null]) {
        const said: readonly Said[] = [
          ["ana", { body: sign, sweetness: sign }],
          ["bo", { body: sign, sweetness: sign }],
        ];
        for (const change of after(said, { text: KHEER.replace("80 g rice", "20 g rice"), got }).changes) expect(Math.sign(change.share)).toBe(-sign);
      }
  });
  it("is no change that nobody would notice, and no cooking down of what is not cooked", () => {
    const chikki =
      "Chikki\nMakes 16\n\n200 g peanuts, roasted\n180 g jaggery\n1 tbsp water\n\n1. Melt the jaggery with the water and cook for 6 minutes.\n2. Stir in the peanuts and roll out.";
    expect(
      after(
        [
          ["ana", { sweetness: 0 }],
          ["bo", { sweetness: 1 }],
        ],
        { text: chikki },
      ).changes,
    ).toEqual([]);
    const shrikhand = "Shrikhand\nServes 4\n\n500 g hung yogurt\n90 g sugar\n\n1. Whisk the yogurt with the sugar.\n2. Chill for 2 hours.";
    const thick = after(
      [
        ["ana", { body: 2 }],
        ["bo", { body: 2 }],
        ["cy", { body: 2 }],
      ],
      { text: shrikhand },
    );
    expect(thick.changes.every(({ cookedTo }) => cookedTo === null)).toBe(true);
    expect(thick.changes.length + thick.left.length).toBeGreaterThan(0);
  });
  it("is thinner by more of what is poured in, of what is not boiled down", () => {
    const text =
      "Mango sago pudding\nServes 5\n\n80 g sago pearls\n300 ml coconut milk\n400 g mango pulp\n40 g sugar\n\n1. Simmer the sago in water for 15 minutes, drain.\n2. Stir into the coconut milk, mango pulp and sugar.\n3. Chill.";
    const [thinner] = after(
      [
        ["ana", { body: 1 }],
        ["bo", { body: 2 }],
        ["cy", { body: 1 }],
      ],
      { text },
    ).changes;
    expect(thinner).toMatchObject({ attribute: "body", cookedTo: null });
    expect(thinner?.after).toBeLessThan(thinner?.before ?? 0);
    expect(thinner?.ways.find(({ food }) => food === "coconut-milk")?.grams).toBeGreaterThan(20);
  });
  it("is not told of a batch of which a line is not read", () => {
    const { changes, left } = after(all(-1), { text: KHEER.replace("80 g sugar", "80 g sugar\na handful of what the neighbour dried") });
    expect(changes).toEqual([]);
    expect(left[0]).toMatch(/A line of the recipe not read/);
  });
  it("is not told of a batch that holds who knows what", () => {
    const { changes, left } = after(all(-1), { more: [{ kind: "put in", line: null, food: null, name: "a powder", grams: 30, word: "" }] });
    expect(changes).toEqual([]);
    expect(left[0]).toMatch(/a powder/);
  });
});
