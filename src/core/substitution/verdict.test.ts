import { describe, expect, it } from "vitest";
import { context, food, freeSugars, problem, read, tableOf } from "../../../tests/support/kitchen";
import { fits, insertion, reordering, seeded, standing } from "../../../tests/support/trials";
import { REFERENCE } from "../../data";
import { readRecipe } from "../recipe";
import { allergyStates, endsAtOnce, fitWords, standingOf, tableVerdict, type VersionRow } from ".";
import { askedAt, notAsked, seat, staleSeats, type DiningTable, type Seat } from "../table";

const HALWA =
  "Halwa\n\nServes 4\n\n1 cup semolina\n½ cup sugar\n¼ cup coconut oil\n2 cups water\n\nMethod\nRoast the semolina in the oil and cook it in the water with the sugar for 10 minutes.";
const asIs = (of: ReturnType<typeof problem>) => ({
  rows: of.lines.map(({ id, food, grams, role }): VersionRow => ({ id, line: id, food, grams, role, change: "as is", why: "" })),
  evaporation: 0,
});

describe("a recipe at a table", () => {
  it("fits only where every line and step is read and allowed", () => {
    expect(endsAtOnce(problem(read(HALWA), { rules: ["vegan"] }))?.kind).toBe("nothing-to-change");
    expect(endsAtOnce(problem(read(`${HALWA}\nServe with zibibbo.`), { rules: ["vegan"] }))?.kind).toBe("cannot-tell");
    expect(endsAtOnce(problem(read(HALWA.replace("½ cup sugar", "sugar to taste")), { rules: ["vegan"] }))?.kind).toBe("cannot-tell");
    expect(endsAtOnce(problem(read(HALWA.replace("½ cup sugar", "½ cup sugar or jaggery")), { rules: ["vegan"] }))?.kind).toBe("cannot-tell");
    expect(endsAtOnce(problem(read(`${HALWA}\nGrease the tin with ghee.`), { rules: ["vegan"] }))).toMatchObject({
      kind: "change-by-hand",
      breaches: [{ line: null, step: "s2", rule: "vegan", reason: "Ghee: is dairy" }],
    });
  });

  it("is not within a limit that its interval passes", () => {
    const at = (most: number) => standingOf(problem(read(HALWA), { limits: freeSugars(most), servings: 4 }), null);
    expect(at(60)).toEqual({ breaches: [], questions: [] });
    expect(at(10).breaches).toMatchObject([{ rule: "limit-freeSugars", limit: "freeSugars" }]);
    const near = at(26.5);
    expect(near.breaches).toEqual([]);
    expect(near.questions).toMatchObject([{ limit: "freeSugars", rule: "limit-freeSugars" }]);
  });

  it("proposes nothing where what leads the sweet is unread", () => {
    const unread = read(HALWA.replace("1 cup semolina", "1 cup zibibbo"));
    const ending = endsAtOnce(problem(unread, { rules: ["dairy-free"], limits: freeSugars(3) }));
    expect(ending).toMatchObject({ kind: "cannot-tell" });
  });

  it("asks about one line only what that line leaves open: answered, the others stay", () => {
    const open = read(HALWA.replace("½ cup sugar", "½ cup zibibbo"));
    const lines = (of: ReturnType<typeof read>) => new Set(standingOf(problem(of, { rules: ["vegan", "nut-free"] }), null).questions.map(({ line }) => line));
    expect(lines(open)).toEqual(new Set(["l2", "l3"]));
    const { recipe } = open;
    const answered = { ...recipe, lines: recipe.lines.map((line, i) => (i === 1 ? { ...line, choice: { foodId: "sugar" } } : line)) };
    expect(lines(readRecipe(answered, context, REFERENCE.constants))).toEqual(new Set(["l3"]));
  });
});

describe("a version", () => {
  it("that breaks a rule is not for who keeps it, and no count of beams stands beside", () => {
    const of = problem(read(`${HALWA}\n`.replace("¼ cup coconut oil", "¼ cup ghee")), {
      rules: ["vegan", "no-cashew"],
      seats: [{ eater: "e1", name: "Niece", servings: 1, rules: ["no-cashew"], limits: [] }],
    });
    const table = tableOf({ rules: ["vegan", "no-cashew"], seats: [{ eater: "e1", name: "Niece", servings: 1, rules: ["no-cashew"], limits: [] }] });
    const version = asIs(of);
    const kept = tableVerdict(standingOf(of, version), of, table);
    expect(kept).toMatchObject({ kind: "not for", notFor: ["who keeps “vegan”"] });
    const cashew: VersionRow = { id: "added-1", line: null, food: food("cashew"), grams: 20, role: "crunch", change: "added", why: "" };
    const more = standingOf(of, { ...version, rows: [...version.rows, cashew] });
    expect(tableVerdict(more, of, table).notFor).toEqual(["who keeps “vegan”", "Niece"]);
    expect(fitWords(tableVerdict(more, of, table), { inside: 5, of: 5 })).toBe("not for who keeps “vegan”, Niece");
    expect(allergyStates(more, of, table)).toEqual([{ rule: "no-cashew", short: "no cashew", who: ["Niece"], state: "breaks" }]);
    expect(allergyStates(standingOf(of, version), of, table)[0]?.state).toBe("none known");
  });

  it("is not saved by a kin of what was exchanged: a step's cream is the milk's own only while there is milk", () => {
    const of = problem(read(`${HALWA.replace("2 cups water", "2 cups milk")}\nFinish it with a splash of cream.`), { rules: ["vegan"] });
    const version = asIs(of);
    const exchanged = {
      ...version,
      rows: version.rows.map((row): VersionRow => (row.line === "l4" ? { ...row, food: food("almond-drink"), change: "replaced" } : row)),
    };
    expect(standingOf(of, exchanged).breaches).toMatchObject([{ line: null, step: "s2", rule: "vegan" }]);
    expect(standingOf(of, version).breaches).toMatchObject([{ line: "l4", rule: "vegan" }]);
  });

  it("leaves a choice open while its line stays, also where all of it is allowed", () => {
    const of = problem(read(HALWA.replace("½ cup sugar", "½ cup sugar in coconut water or almond milk")), { rules: ["vegan"] });
    const version = asIs(of);
    expect(standingOf(of, null).questions).toMatchObject([{ line: "l2", rule: null }]);
    expect(standingOf(of, version).questions).toMatchObject([{ line: "l2", rule: null }]);
    const exchanged = {
      ...version,
      rows: version.rows.map((row): VersionRow => (row.line === "l2" ? { ...row, food: food("jaggery"), change: "replaced" } : row)),
    };
    expect(standingOf(of, exchanged)).toEqual({ breaches: [], questions: [] });
  });

  it("keeps what its words name beside until the line is exchanged", () => {
    const of = problem(read(HALWA.replace("½ cup sugar", "½ cup sugar, melted in ghee")), { rules: ["vegan"] });
    const version = asIs(of);
    expect(standingOf(of, version).breaches).toMatchObject([{ line: "l2", reason: "Ghee: is dairy, and the line names it" }]);
    const exchanged = {
      ...version,
      rows: version.rows.map((row): VersionRow => (row.line === "l2" ? { ...row, food: food("jaggery"), change: "replaced" } : row)),
    };
    expect(standingOf(of, exchanged).breaches).toEqual([]);
  });
});

describe("verdicts under change", () => {
  it("no recipe fits any more once a forbidden food stands in it, wherever", () => {
    const random = seeded(20261128);
    const fit: string[] = [];
    let tried = 0;
    for (let i = 0; i < 400; i++) {
      const trial = insertion(random);
      if (!trial) continue;
      tried++;
      if (trial.fits) fit.push(`${trial.rule}, ${trial.kind}: ${trial.text}`);
    }
    expect(fit).toEqual([]);
    expect(tried).toBeGreaterThan(250);
  }, 60_000);
  it("stay with the lines shuffled and another title", () => {
    const random = seeded(7);
    expect(Array.from({ length: 60 }, () => reordering(random)).filter(Boolean)).toEqual([]);
  });
  it("tell the difference: the recipes without it do fit", () =>
    expect(fits(standing(["100 g sugar", "50 g coconut oil"], ["Cook it for 10 minutes."], ["vegan"]))).toBe(true));
});

describe("who was never asked about allergies", () => {
  const at = (part: Partial<Seat>): DiningTable => tableOf({ seats: [{ eater: "g", name: "Guest", servings: 1, rules: [], limits: [], ...part }] });
  it("keeps it open whether a sweet fits, until somebody has, at this table or before", () => {
    const none = { breaches: [], questions: [] };
    expect(tableVerdict(none, { order: { lines: [], steps: [] } }, at({}))).toMatchObject({
      kind: "cannot tell",
      questions: ["Nobody has asked Guest about allergies yet."],
    });
    expect(tableVerdict(none, { order: { lines: [], steps: [] } }, at({ rules: ["vegan"] })).kind).toBe("cannot tell");
    for (const table of [at({ asked: "2026-11-01" }), at({ rules: ["no-cashew"] }), at({ rules: ["gluten-free/no-oats"] }), askedAt(at({}), "g", "2026-11-02")])
      expect(tableVerdict(none, { order: { lines: [], steps: [] } }, table).kind).toBe("fits");
  });
  it("takes over what the household says of it, and calls no seat changed that was asked at the table alone", () => {
    const eater = { id: "g", name: "Guest", rules: [], limits: [], note: "" };
    const asked = { ...eater, asked: "2026-10-01" };
    expect(notAsked(seat(tableOf(), asked))).toEqual([]);
    expect(staleSeats(at({}), [eater])).toEqual([]);
    expect(staleSeats(at({}), [asked]).length).toBe(1);
    expect(staleSeats(askedAt(at({}), "g", "2026-11-02"), [eater])).toEqual([]);
  });
});
