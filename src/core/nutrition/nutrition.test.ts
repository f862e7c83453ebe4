import { describe, expect, it } from "vitest";
import { food, read, tableOf } from "../../../tests/support/kitchen";
import { recipeInput } from "../adaptation";
import { MICRONUTRIENTS } from "../food";
import type { EvaluationInput } from "../evaluate";
import { REFERENCE, RETENTION, RULE_BOOKS } from "../../data";
import { judgeClaims, nutritionProfile, type NutritionProfile, type NutritionRowId, type RuleBook } from ".";

const { constants } = REFERENCE;
const line = (id: string, grams: number, sd = 0, role = food(id).role) => ({ food: food(id), grams, sd, role });
const made = (lines: EvaluationInput["lines"], part: Partial<EvaluationInput> = {}): EvaluationInput => ({
  lines,
  evaporation: { value: 0, sd: 0 },
  apart: 0,
  servings: 2,
  cookMinutes: 0,
  archetype: null,
  ...part,
});
const profile = (input: EvaluationInput) => nutritionProfile(input, constants, RETENTION);
const row = (of: NutritionProfile, id: NutritionRowId) => {
  const found = of.rows.find((each) => each.id === id);
  if (!found) throw new Error(`no row ${id}`);
  return found;
};
const book = (id: string): RuleBook => {
  const found = RULE_BOOKS.find((each) => each.id === id);
  if (!found) throw new Error(`no book ${id}`);
  return found;
};
const verdict = (bookId: string, claim: string, input: EvaluationInput, before = input) =>
  judgeClaims(book(bookId), input, profile(input), profile(before)).find((each) => each.claim === claim);

describe("the nutrition of a sweet", () => {
  it("is the sum of what its lines bring, in a serving, in 100 g and in the whole", () => {
    const of = profile(made([line("sesame", 60), line("jaggery", 40)]));
    for (const id of ["protein", "magnesium", "salt", "freeSugarsUk"] as const) {
      const { figures, lines } = row(of, id);
      expect(figures.whole.value, id).toBeCloseTo(
        lines.reduce<number>((sum, amount) => sum + (amount ?? 0), 0),
        9,
      );
      expect(figures.serving.value, id).toBeCloseTo(figures.whole.value / 2, 9);
      expect(figures.per100g.value, id).toBeCloseTo(figures.whole.value, 9);
      expect(figures.whole.low <= figures.whole.value && figures.whole.value <= figures.whole.high).toBe(true);
    }
    const at = MICRONUTRIENTS.indexOf("magnesium");
    expect(row(of, "magnesium").lines[0]).toBeCloseTo(0.6 * (food("sesame").micro[at] ?? NaN), 9);
    expect(row(of, "salt").figures.whole.value).toBeCloseTo(row(of, "sodium").figures.whole.value * 0.0025, 12);
  });
  it("spreads with the measures, the content and what cooking leaves: √ of the three squares", () => {
    const at = MICRONUTRIENTS.indexOf("vitaminC");
    const [content, contentSd] = [food("lemon-juice").micro[at] ?? NaN, food("lemon-juice").microSd[at] ?? NaN];
    const { figures } = row(profile(made([line("lemon-juice", 100, 10), line("sugar", 100)], { cookMinutes: null })), "vitaminC");
    const { left, sd } = RETENTION.vitaminC ?? { left: NaN, sd: NaN };
    expect(figures.whole.value).toBeCloseTo(content * left, 6);
    const expected = Math.hypot((10 * content * left) / 100, contentSd * left, content * sd);
    expect((figures.whole.high - figures.whole.value) / 1.2815515655446004).toBeCloseTo(expected, 6);
    expect(row(profile(made([line("lemon-juice", 100)])), "vitaminC").figures.whole.value).toBeCloseTo(content, 6);
  });
  it("tells what is not known from what is none", () => {
    const of = profile(made([line("black-rice", 100), line("sugar", 100)]));
    const magnesium = row(of, "magnesium");
    expect(magnesium.lines).toEqual([null, 0]);
    expect(magnesium.known).toBeGreaterThan(0.5);
    expect(magnesium.known).toBeLessThan(0.6);
    expect(row(profile(made([line("sugar", 100)])), "magnesium").known).toBe(1);
  });
  it("has the GI of its carbohydrate: half sucrose, half fructose by weight lies between the two", () => {
    const gi = profile(made([line("sugar", 50), line("fruit-sugar", 50)])).glycaemicIndex;
    expect(gi?.value).toBeCloseTo((65 + 15) / 2, 0);
    expect(profile(made([line("ghee", 100)])).glycaemicIndex).toBeNull();
  });
});

describe("claims", () => {
  it("go by the number that decides, and say it", () => {
    const sesame = made([line("sesame", 100)]);
    expect(verdict("eu", "high in fibre", sesame)?.verdict).toBe("would meet");
    expect(verdict("eu", "high in calcium", sesame)).toMatchObject({
      verdict: "would meet",
      because: expect.stringMatching(/Calcium 1\d\d\d mg per 100 g, at least 240 mg/) as string,
    });
    expect(verdict("eu", "low fat", sesame)?.verdict).toBe("would not meet");
    expect(verdict("eu", "low sugars", made([line("apple-puree", 53), line("water", 47)]))?.verdict).toBe("too close to tell");
    expect(verdict("us", "sugar-free", made([line("erythritol", 100)]))?.verdict).toBe("would meet");
  });
  it("count all that sweetens as added sugars, also date paste", () => {
    expect(verdict("eu", "no added sugars", made([line("almond", 60), line("date-paste", 40)]))).toMatchObject({
      verdict: "would not meet",
      because: "It is sweetened with date paste",
    });
    expect(verdict("eu", "no added sugars", made([line("almond", 60), line("raisins", 40)]))?.verdict).toBe("would meet");
  });
  it("compare with the recipe as handed down: the same law wants 30 % or 25 %, and in one energy no higher", () => {
    const halva = (sugar: number, ghee: number) => made([line("semolina", 100), line("sugar", sugar), line("ghee", ghee), line("water", 300 - ghee - sugar)]);
    const before = halva(100, 60);
    expect(verdict("eu", "reduced sugars", halva(60, 60), before)?.verdict).toBe("would meet");
    expect(verdict("codex", "reduced sugars", halva(72, 60), before)?.verdict).toBe("would meet");
    expect(verdict("eu", "reduced sugars", halva(75, 60), before)?.verdict).toBe("would not meet");
    expect(verdict("eu", "reduced sugars", halva(60, 120), before)).toMatchObject({
      verdict: "would not meet",
      because: expect.stringContaining("energy no higher") as string,
    });
  });
  it("on added sugar say what the diet rule says: sweeteners without sugars and flavourings stand, dates are left open", () => {
    const of = (...lines: ReturnType<typeof line>[]) => verdict("eu", "no added sugars", made([line("cow-milk", 400), ...lines]))?.verdict;
    expect(of(line("erythritol", 40), line("lemon-juice", 5), line("vanilla-extract", 4))).toBe("would meet");
    expect(of(line("date-paste", 80))).toBe("would not meet");
    expect(of(line("apple-puree", 80))).toBe("would not meet");
    expect(of({ ...line("dates", 80), role: "sweetener" })).toBe("too close to tell");
  });
  it("of the Codex are met by any of its three ways", () => {
    // 4.6 g of protein in 100 g is under a tenth of the day's; in 100 kcal it is well over a twentieth.
    expect(verdict("codex", "source of protein", made([line("cow-milk", 900), line("soy-milk", 900)]))?.verdict).toBe("would meet");
    expect(verdict("codex", "source of protein", made([line("sugar", 100), line("white-rice", 40)]))?.verdict).toBe("would not meet");
  });
  it("of the United States hold in 50 g too where a serving is small", () => {
    const ball = { ...made([line("semolina", 60), line("ghee", 10)]), servings: 4 };
    expect(verdict("us", "low fat", ball)?.verdict).toBe("would not meet");
    expect(verdict("us", "low fat", ball)?.because).toMatch(/50 g/);
  });
  it("are not met while a line is not read", () => {
    const input = made([line("white-rice", 100), line("water", 400)]);
    const found = judgeClaims(book("eu"), input, profile(input), profile(input), 1);
    expect(found.filter((each) => each.verdict === "would meet")).toEqual([]);
    expect(found.find(({ claim }) => claim === "low fat")?.because).toMatch(/A line is not read yet/);
  });
  it("leave open what may lie in foods that are not known", () => {
    const sweet = made([line("black-rice", 90), line("sugar", 10)]);
    expect(verdict("eu", "source of magnesium", sweet)?.verdict).toBe("not known");
  });
  it("say in every book why, and are never high in what they are no source of", () => {
    const input = recipeInput(read("Plain\nServes 4\n1 cup semolina\n1/2 cup ghee\n1 cup sugar\n3 cups water"), tableOf({ servings: 4 }));
    for (const { id, claims } of RULE_BOOKS) {
      const findings = judgeClaims(book(id), input, profile(input), profile(input));
      expect(findings.length, id).toBe(claims.length);
      for (const finding of findings) expect(finding.because.length, `${id} ${finding.claim}`).toBeGreaterThan(10);
      const met = new Set(findings.filter((each) => each.verdict === "would meet").map((each) => each.claim));
      for (const claim of met)
        if (claim.startsWith("high in "))
          expect(findings.find((each) => each.claim === claim.replace("high in", "source of"))?.verdict ?? "would meet").toBe("would meet");
    }
  });
});
