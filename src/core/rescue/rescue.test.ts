import { describe, expect, it } from "vitest";
import { read, tableOf } from "../../../tests/support/kitchen";
import { SWEETS } from "../../../tests/support/pots";
import { kitchenOf } from "../../data";
import { evaluateRecipe, openTable, USUAL_SOURCES } from "../kitchen";
import { waterIn } from "./pot";
import { dose } from "./solve";
import { asHandedDown } from "../adaptation";
import { rescueOf } from "../views";
import { warming } from "./warmth";
import { ALL_IN, FAULTS, rescue, type Fault, type Rescue } from ".";
import { evaluatePoint, type EvaluationInput } from "../evaluate";
import { freeSugars } from "../../../tests/support/kitchen";
import type { Limit } from "../table";

const kitchen = kitchenOf(USUAL_SOURCES);
const { constants, foods } = kitchen.reference;
type Sweet = keyof typeof SWEETS;

interface Ask {
  readonly rules?: readonly string[];
  /** Of what it was meant to weigh. */
  readonly weighs?: number;
  readonly grams?: number | null;
  readonly shares?: readonly number[];
  readonly limits?: readonly Limit[];
  /** The whole pot so many times. */
  readonly times?: number;
  /** What is in it other than it was meant. */
  readonly change?: (input: EvaluationInput) => EvaluationInput;
}
function mended(sweet: Sweet, fault: Fault, { rules = [], weighs, grams = null, shares, limits = [], times = 1, change = (input) => input }: Ask = {}): Rescue {
  const of = read(SWEETS[sweet]);
  const table = tableOf({ servings: of.recipe.servings * times, rules, limits });
  const { input, figures } = evaluateRecipe(of, table, kitchen);
  const problem = openTable(of, table, kitchen);
  return rescue({
    meant: change(input),
    state: { ...ALL_IN, celsius: null, grams: weighs === undefined ? grams : weighs * figures.yield.value, ...(shares ? { shares, drivenShare: 0.8 } : {}) },
    fault,
    problem,
    foods,
    menders: kitchen.menders,
  });
}
const ways = (answer: Rescue) => (answer.kind === "ways out" ? answer.ways : []);

describe("what nobody has at hand", () => {
  it("mends nothing, stands among what is not there, and leaves the other ways", () => {
    const of = read("Phirni\nServes 4\n\n1 litre milk\n60 g rice flour\n80 g sugar\n\n1. Simmer all of it for 20 minutes, stirring.");
    const table = tableOf({ servings: 4 });
    const told = (notAtHand: readonly string[]) => {
      const view = rescueOf(asHandedDown(of, table).version, of, table, { fault: "too thin", grams: 1100, upTo: null, celsius: null, notAtHand }, kitchen);
      if (view.kind !== "ways out") throw new Error(view.why);
      return view;
    };
    const first = told([])
      .ways.flatMap(({ adds }) => adds.map(({ food }) => food))
      .find((food) => food !== "water");
    if (first === undefined) throw new Error("no mender");
    const without = told([first]);
    expect(without.ways.flatMap(({ adds }) => adds.map(({ food }) => food))).not.toContain(first);
    expect(without.gone).toContainEqual(expect.objectContaining({ food: first, why: "not at hand" }));
    expect(without.ways.length).toBeGreaterThan(0);
  });
});

describe("the warmth of a pot", () => {
  const at = (celsius: number | null, serve: "hot" | "chilled") => {
    const of = read("Phirni\nServes 4\n\n1 litre milk\n60 g rice flour\n80 g sugar\n\n1. Simmer all of it for 20 minutes, stirring.");
    const told = rescueOf(
      asHandedDown(of, tableOf({ servings: 4, serve })).version,
      of,
      tableOf({ servings: 4, serve }),
      { fault: "too thin", grams: 980, upTo: null, celsius, notAtHand: [] },
      kitchen,
    );
    if (told.kind !== "ways out") throw new Error(told.why);
    return told;
  };
  it("tells what cooling or warming does to what is judged, where it is judged otherwise than it is eaten", () => {
    expect(at(90, "chilled").warmth).toMatch(/hot still/);
    expect(at(8, "hot").warmth).toMatch(/It is cold/);
    expect([at(90, "hot").warmth, at(8, "chilled").warmth, at(null, "chilled").warmth]).toEqual([null, null, null]);
  });
  it("takes longer from cold, the more of it the longer, and only where it has to be hot", () => {
    const boiled = (celsius: number | null) => at(celsius, "hot").ways.find(({ boilOff }) => boilOff !== null)?.minutes ?? 0;
    expect(boiled(8)).toBeGreaterThan(boiled(90));
    expect(boiled(90)).toBe(boiled(null));
    expect(warming(2000, 10, constants)).toBeGreaterThan(1.8 * warming(1000, 10, constants));
    expect(warming(1000, 90, constants)).toBe(0);
    // A kilogram from 20 °C to a simmer, at 0.8 kW in the pot: 3.6 · 75 / 0.8 = 338 s.
    expect(warming(1000, 20, constants)).toBe(6);
  });
});

describe("a pot that went wrong", () => {
  it.each(Object.keys(SWEETS) as Sweet[])(
    "%s: every fault has ways out, or is asked about; what is computed meets its target when it is evaluated again",
    (sweet) => {
      for (const fault of FAULTS) {
        const weighs = fault === "too thin" ? 1.12 : fault === "too thick" ? 0.9 : undefined;
        const answer = mended(sweet, fault, weighs === undefined ? {} : { weighs });
        if (answer.kind === "question") {
          expect(answer.why.length, `${sweet}, ${fault}`).toBeGreaterThan(20);
          continue;
        }
        expect(answer.ways.length, `${sweet}, ${fault}`).toBeGreaterThan(0);
        for (const { kind, after, words, adds, change } of answer.ways) {
          const told = `${sweet}, ${fault}: ${words}`;
          expect(words, told).not.toMatch(/[{}]|NaN|undefined| 0 g/);
          expect(Number.isFinite(change) && change >= 0, told).toBe(true);
          for (const each of adds) expect(each.low <= each.grams + 1 && each.grams <= each.high + 1 && each.grams > 0, told).toBe(true);
          const again = evaluatePoint(after.input, constants);
          expect(again, told).toEqual(after.figures);
          expect(waterIn(after.input), told).toBeGreaterThanOrEqual(-1);
          if (kind === "mend" && answer.target) {
            const { property, wanted, noticed } = answer.target;
            expect(Math.abs(again[property].value - wanted), told).toBeLessThanOrEqual(noticed / 2 + 1e-9);
          }
        }
        const mends = answer.ways.filter(({ kind }) => kind === "mend" || kind === "deed").map(({ change }) => change);
        expect(mends, `${sweet}, ${fault}`).toEqual([...mends].sort((a, b) => a - b));
      }
    },
  );
  it("takes twice the dose for twice the pot", () => {
    for (const [sweet, fault] of [
      ["kheer", "too thin"],
      ["kheer", "not sweet enough"],
      ["ladoo", "greasy"],
      ["halwa", "too sweet"],
    ] as const) {
      const weighs = fault === "too thin" ? { weighs: 1.15 } : {};
      const [one, two] = [mended(sweet, fault, weighs), mended(sweet, fault, { ...weighs, times: 2 })].map(
        (answer) => new Map(ways(answer).map((way) => [way.adds[0]?.food.id ?? "", way] as const)),
      );
      for (const [id, way] of one ?? []) {
        const other = two?.get(id);
        if (way.adds.length === 0 || !other) continue;
        expect((other.adds[0]?.high ?? 0) / (way.adds[0]?.high ?? 1), `${sweet}, ${fault}, ${id}`).toBeCloseTo(2, 1);
      }
      expect(two?.size, fault).toBe(one?.size);
    }
  });
  it("has no mender that its table leaves out, and says why", () => {
    const answer = mended("kheer", "too thin", { weighs: 1.15, rules: ["vegan", "no-cashew", "gluten-free"] });
    const used = ways(answer).flatMap(({ adds }) => adds.map(({ food }) => food.id));
    expect(used).toContain("cornflour");
    expect(used).not.toContain("cashew-paste");
    expect(answer.kind === "ways out" ? answer.gone : []).toContainEqual(expect.objectContaining({ why: expect.stringMatching(/cashew/) as string }));
    // A fast: starch of its own only.
    const fast = ways(mended("kheer", "too thin", { weighs: 1.15, rules: ["navratri"] })).flatMap(({ adds }) => adds.map(({ food }) => food.id));
    expect(fast).not.toContain("cornflour");
    expect(fast.length).toBeGreaterThan(0);
  });
  it("says which limit of the table a mend passes, and offers what passes none first", () => {
    const { ways: found } = mended("kheer", "not sweet enough", { limits: freeSugars(19) }) as Extract<Rescue, { kind: "ways out" }>;
    const over = found.map((way) => way.over.length > 0);
    expect(found.find(({ adds }) => adds[0]?.food.id === "sugar")?.over).toEqual([
      expect.stringMatching(/^free sugars 2\d g a serving, over the 19 g that is set/),
    ]);
    expect(over).toContain(false);
    expect(over).toEqual([...over].sort((a, b) => Number(a) - Number(b)));
  });
  it("is the pot as it is at the time: what has not gone in yet counts for nothing, nor does what has boiled away", () => {
    const whole = mended("kheer", "too thin", { weighs: 1.15 });
    const before = mended("kheer", "too thin", { shares: [1, 1, 0, 0], grams: 1050 });
    expect(before.kind).toBe("ways out");
    if (before.kind !== "ways out" || whole.kind !== "ways out") return;
    expect(before.pot.grams).toBeCloseTo(1050, 0);
    expect(before.pot.figures["sweetness.hot"].value).toBeLessThan(whole.pot.figures["sweetness.hot"].value / 2);
  });
  it.each([
    ["a pot of nothing", { grams: 0 }, /nothing/],
    ["more than went in", { grams: 5000 }, /more than all that went in/],
    ["less than what is dry of it", { grams: 20 }, /not even what is dry/],
    ["before anything went in", { shares: [0, 0, 0, 0] }, /Nothing has gone into/],
  ] as const)("asks about %s", (_, ask: Ask, words) => {
    const answer = mended("kheer", "too thin", ask);
    expect(answer.kind === "question" ? answer.why : "").toMatch(words);
  });
  it("asks where the figures do not bear a fault out, and moves it by what is just noticed", () => {
    const answer = mended("halwa", "too thin");
    expect(answer.kind === "ways out" ? answer.question : "").toMatch(/as it was meant/);
    for (const [sweet, fault, words] of [
      ["ladoo", "too thin", /bound, not thickened/],
      ["kheer", "greasy", /what crumbles or is greasy/],
      ["kulfi", "too soft to slice", /not sliced/],
      ["kheer", "bitter caramel", /Nothing in it is caramelised/],
      ["halwa", "split", /no milk/],
    ] as const) {
      const asked = mended(sweet, fault);
      expect(asked.kind === "question" ? asked.why : "", `${sweet}, ${fault}`).toMatch(words);
    }
  });
  it("sees what is in it other than it was meant: half the fat, and it crumbles", () => {
    const dry = mended("ladoo", "crumbles", {
      change: (input) => ({ ...input, lines: input.lines.map((line) => (line.food.id === "ghee" ? { ...line, grams: line.grams * 0.6 } : line)) }),
    });
    if (dry.kind !== "ways out") throw new Error("no way out");
    expect(dry.question).toBeNull();
    const [first] = dry.ways.filter(({ kind }) => kind === "mend");
    expect(first?.adds[0]?.food.id).toBe("ghee");
    expect(first?.after.figures.binding.value).toBeCloseTo(1, 1);
  });
  it("finds the least dose, its bounds, and none where none does", () => {
    expect(dose((amount) => amount, 5, 2, 100)).toEqual({
      amount: expect.closeTo(5, 6) as number,
      low: expect.closeTo(4, 6) as number,
      high: expect.closeTo(6, 6) as number,
    });
    expect(dose((amount) => -amount, -5, 2, 100)?.amount).toBeCloseTo(5, 6);
    expect(dose((amount) => amount, 500, 2, 100)).toBeNull();
    // Once it turns back, the least is meant.
    expect(dose((amount) => Math.sin(amount), 0.5, 0.1, 100)?.amount).toBeLessThan(1);
  });
});
