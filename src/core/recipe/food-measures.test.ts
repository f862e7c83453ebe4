import { describe, expect, it } from "vitest";
import { food } from "../../../tests/support/kitchen";
import { Z80 } from "../numeric";
import { USUAL_HOUSEHOLD } from "../household";
import { foodMeasures } from "./food-measures";

const { measures } = USUAL_HOUSEHOLD;
const rows = (id: string, words = measures.words) => foodMeasures(food(id), { ...measures, words });
const cup = (id: string, form: string) => rows(id).find((row) => row.form === form)?.of[0];

describe("what cups and spoons of a food weigh", () => {
  it("tells by filling and by cut, wider where it is less sure", () => {
    expect(rows("almond").map(({ form }) => form)).toEqual(["level", "heaped", "chopped", "ground", "slivered", "flaked"]);
    expect(rows("besan").map(({ form }) => form)).toEqual(["level", "heaped", "packed", "loose"]);
    const share = (form: string) => (Z80 * (cup("besan", form)?.grams.sd ?? NaN)) / (cup("besan", form)?.grams.value ?? NaN);
    expect(cup("besan", "level")?.grams.value).toBeCloseTo(0.47 * 240, 9);
    expect(share("level")).toBeCloseTo(0.08, 9);
    expect(share("heaped")).toBeGreaterThan(share("packed"));
  });
  it("heaps a spoon higher than a cup", () => {
    const [level, heaped] = ["level", "heaped"].map(
      (form) =>
        rows("besan")
          .find((row) => row.form === form)
          ?.of.map(({ grams }) => grams.value) ?? [],
    );
    const by = (n: number) => (heaped?.[n] ?? NaN) / (level?.[n] ?? NaN);
    expect(by(1)).toBeGreaterThan(by(0));
  });
  it("has one way for what pours, none for what is only weighed, and the cooked one of what is cooked", () => {
    expect(rows("cow-milk").map(({ form }) => form)).toEqual(["level"]);
    expect(rows("silver-leaf")).toEqual([]);
    expect(cup("white-rice", "cooked")?.grams.value).toBeCloseTo(0.72 * 240, 9);
    expect(cup("white-rice", "cooked")?.grams.value).toBeLessThan(cup("white-rice", "level")?.grams.value ?? 0);
  });
  it("speaks of the vessel that the household measures in", () =>
    expect(rows("besan", "katori")[0]?.of[0]).toMatchObject({ unit: "katori", grams: { value: 0.47 * 150 } }));
  it("follows the household's own weighing", () => {
    const weighed = { ...food("besan"), weighed: [{ unit: "cup", form: "", grams: 130, share: 0.05, times: 3, at: "" }] };
    expect(foodMeasures(weighed, measures)[0]?.of[0]?.grams.value).toBe(130);
  });
});
