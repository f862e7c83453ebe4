import { describe, expect, it } from "vitest";
import { learnedKey } from "../food";
import { levelOf } from "../models/sweetness";
import { kitchenOf, REFERENCE } from "../../data";
import { USUAL_SOURCES } from "../kitchen";
import { learn } from "../learning";
import type { TastingAnswer } from "../sensory";
import { recipeInput } from "../adaptation";
import { evaluate } from "../evaluate";
import { seat, type Eater } from "../table";
import { standingOf } from "../substitution";
import { problem, read, tableOf } from "../../../tests/support/kitchen";
import { palateRows } from "../../../tests/support/tasters";
import { eatersRow } from "./eaters-row";
import { palatesOf, wantedAt } from "./palates";
import { batchOutcomes, cookPlan, methodView } from ".";

describe("an eater's own level of sweetness", () => {
  it("is a fifth less for who likes it less sweet, give or take what is noticed", () => {
    expect(levelOf(20, "less sweet", REFERENCE.constants)).toEqual({ target: 16, sd: 3.2, low: 13.6, high: 18.4 });
  });
  it("is told of those who like it other than it is made, at the temperature of the table", () => {
    const seat = (name: string, taste?: "less sweet" | "sweeter") => ({ eater: name, name, servings: 1, rules: [], limits: [], ...(taste ? { taste } : {}) });
    const table = { rules: [], limits: [], servings: 3, serve: "chilled" as const, seats: [seat("Ana", "less sweet"), seat("Bo"), seat("Cy", "sweeter")] };
    const kheer = (sugar: number) =>
      evaluate(
        recipeInput(read(`Kheer\nServes 3\n\n1 litre milk\n60 g rice\n${sugar} g sugar\n\n1. Simmer all of it for 20 minutes.`), table),
        REFERENCE.constants,
      ).figures;
    const words = (sugar: number) => palatesOf(table, kheer(120), kheer(sugar), REFERENCE.constants).map((each) => each.words);
    expect(words(120)).toEqual(["Sweeter than Ana likes it", "Less sweet than Cy likes it"]);
    expect(words(88)).toEqual(["Level for Ana", "Less sweet than Cy likes it"]);
    expect(words(170)).toEqual(["Sweeter than Ana likes it", "Level for Cy"]);
  });
});

describe("a level that was tasted", () => {
  it("goes before what an eater says of themselves, is as wide as the answers leave it, and says by how many batches", () => {
    const seat = { eater: "a", name: "Ana", servings: 1, rules: [], limits: [], taste: "less sweet" as const };
    const table = { rules: [], limits: [], servings: 3, serve: "chilled" as const, seats: [seat] };
    const { figures } = evaluate(
      recipeInput(read("Kheer\nServes 3\n\n1 litre milk\n60 g rice\n120 g sugar\n\n1. Simmer all of it for 20 minutes."), table),
      REFERENCE.constants,
    );
    const level = (ln: number, sd: number, batches = 3) =>
      palatesOf(table, figures, figures, { ...REFERENCE.constants, learned: { [learnedKey.wantedSweetness("a")]: { ln, sd, batches } } })[0];
    expect(level(0.02, 0.05)).toMatchObject({ words: "Level for Ana", why: expect.stringMatching(/by 3 batches tasted here/) as string });
    expect(level(-0.4, 0.05)?.words).toBe("Sweeter than Ana likes it");
    expect(level(-0.4, 0.4, 1)?.words).toBe("Level for Ana");
  });
});

describe("a body that was tasted", () => {
  const seat = { eater: "a", name: "Ana", servings: 1, rules: [], limits: [] };
  const kheer = (text: string, serve: "hot" | "chilled") => {
    const table = { rules: [], limits: [], servings: 3, serve, seats: [seat] };
    return { table, figures: evaluate(recipeInput(read(text), table), REFERENCE.constants).figures };
  };
  const KHEER = "Kheer\nServes 3\n\n1 litre milk\n60 g rice\n80 g sugar\n\n1. Simmer all of it for 20 minutes.";
  const constants = (ln: number, sd: number) => ({ ...REFERENCE.constants, learned: { [learnedKey.wantedBody("a")]: { ln, sd, batches: 2 } } });
  it("is told at the temperature of the table, of what is spooned, and never narrower than anybody notices", () => {
    for (const serve of ["hot", "chilled"] as const) {
      const { table, figures } = kheer(KHEER, serve);
      const of = (ln: number, sd: number) => palatesOf(table, figures, figures, constants(ln, sd))[0];
      expect(of(0, 0.01)).toMatchObject({ of: "body", state: "level", words: "Right in body for Ana", why: expect.stringMatching(/by 2 batches/) as string });
      expect((of(0, 0.01)?.level.high ?? 0) - (of(0, 0.01)?.level.low ?? 0)).toBeCloseTo(2 * REFERENCE.constants.noticeable.value.body, 6);
      expect(of(0.9, 0.05)?.words).toBe("Thinner than Ana likes it");
      expect(of(-0.9, 0.05)?.words).toBe("Thicker than Ana likes it");
      expect(of(0.9, 0.8)?.state).toBe("level");
    }
    const ladoo = kheer(
      "Ladoo\nMakes 12\n\n250 g besan\n120 g ghee\n130 g icing sugar\n\n1. Roast the besan in the ghee for 15 minutes.\n2. Shape into balls.",
      "chilled",
    );
    expect(palatesOf(ladoo.table, ladoo.figures, ladoo.figures, constants(0.9, 0.05))).toEqual([]);
  });
  it("is told at the table of who said something, with how sure that is", () => {
    const { table } = kheer(KHEER, "hot");
    const learned = {
      [learnedKey.wantedSweetness("a")]: { ln: Math.log(0.9), sd: 0.08, batches: 3 },
      [learnedKey.wantedBody("a")]: { ln: 0, sd: 0.1, batches: 1 },
    };
    expect(wantedAt(table, { ...REFERENCE.constants, learned })).toEqual([
      {
        eater: "a",
        words:
          "Ana wants it 10 % less sweet than handed down (−19 to 0 %, 8 times in 10), and as thick as handed down (−12 to +14 %, 8 times in 10), by 3 batches tasted here.",
      },
    ]);
    expect(wantedAt(table, REFERENCE.constants)).toEqual([]);
  });
});

describe("answers that tell little", () => {
  const tasting = (sweetness: -2 | -1 | 0 | 1 | 2, at: number, more: TastingAnswer["steps"] = {}) => ({
    eater: "a",
    served: "chilled" as const,
    answer: { steps: { sweetness, ...more }, liking: null, word: "" },
    at,
  });
  const { recipe } = read("Kheer\nServes 3\n\n1 litre milk\n60 g rice\n80 g sugar\n\n1. Simmer all of it for 20 minutes.");
  const kitchen = kitchenOf(USUAL_SOURCES);
  const ground = { recipe, table: tableOf({ servings: 3, serve: "chilled" }), bench: null };
  const plan = cookPlan(recipe, ground.table, methodView(ground, kitchen));
  const told = (tastings: readonly ReturnType<typeof tasting>[]) => {
    const events = [
      { id: "s", at: 0, kind: "started" },
      { id: "e", at: 1, kind: "ended", grams: null },
    ] as const;
    const outcomes = tastings.flatMap((each, i) => batchOutcomes({ id: `b${i}`, plan, ...ground, events, tastings: [each] }, kitchen));
    return learn(outcomes)[learnedKey.wantedSweetness("a")];
  };
  it("teach nothing: the same end of everything, months later, or of none of both", () => {
    expect(told([tasting(2, 10, { body: 2, aroma: 2 })])).toBeUndefined();
    expect(told([tasting(2, 90 * 86_400_000)])).toBeUndefined();
    expect(told([tasting(2, 10)])?.ln).toBeLessThan(-0.05);
  });
  it("leave it as open as they are: seven that contradict each other", () => {
    const against = told(([2, -2, 2, -2, 2, -2, 2] as const).map((step) => tasting(step, 10)));
    const agreed = told(([0, 0, 0, 0, 0, 0, 0] as const).map((step) => tasting(step, 10)));
    expect(Math.abs(against?.ln ?? 9)).toBeLessThan(0.15);
    expect(against?.sd).toBeGreaterThan(1.2 * (agreed?.sd ?? 9));
  });
});

describe("what eaters want, over simulated eaters that wander and err", () => {
  it("is missed by less with more tastings, and lies in its interval about eight times in ten", () => {
    const [none, one, three, ten] = palateRows(250, [0, 1, 3, 10], 5);
    if (!none || !one || !three || !ten) throw new Error("four rows");
    for (const [before, after] of [
      [none, one],
      [one, three],
    ] as const)
      expect(after.miss).toBeLessThan(0.9 * before.miss);
    expect(ten.miss).toBeLessThan(0.6 * none.miss);
    for (const { inside } of [one, three, ten]) {
      expect(inside).toBeGreaterThan(0.73);
      expect(inside).toBeLessThan(0.89);
    }
    expect(ten.width).toBeLessThan(0.75 * one.width);
  });
});

describe("who is content", () => {
  const eater = (id: string, part: Partial<Eater> = {}): Eater => ({ id, name: id, rules: [], limits: [], note: "", asked: "2026-10-04", ...part });
  const of = read("Kheer\nServes 3\n\n1 litre milk\n60 g rice\n80 g sugar\n\n1. Simmer all of it for 20 minutes.");
  const row = (part: Parameters<typeof tableOf>[0], ...eaters: readonly Eater[]) => {
    const table = eaters.reduce((all, each) => seat(all, each), tableOf(part));
    const asked = problem(of, { ...table, servings: 3 });
    const { figures } = evaluate(asked, REFERENCE.constants);
    return eatersRow(standingOf(asked, null), table, palatesOf(table, figures, figures, REFERENCE.constants)).map(({ name, state }) => `${name}: ${state}`);
  };
  it("is told by rule, limit, what is to ask, and taste; what the table leaves out holds for all", () => {
    const all = [
      eater("Ana"),
      eater("Bo", { rules: ["vegan"] }),
      eater("Cy", { limits: [{ id: "freeSugars", most: 5, school: "uk" }] }),
      eater("Di", { taste: "less sweet" }),
    ];
    expect(row({}, ...all)).toEqual(["Ana: content", "Bo: not for them", "Cy: not for them", "Di: other taste"]);
    const { asked: _, ...unasked } = eater("Ed");
    expect(row({}, unasked)).toEqual(["Ed: to ask"]);
    expect(row({ rules: ["dairy-free"] }, eater("Ana"), eater("Bo", { rules: ["vegan"] }))).toEqual(["Ana: not for them", "Bo: not for them"]);
  });
});
