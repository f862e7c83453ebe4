import { describe, expect, it } from "vitest";
import { halwa, phirni, problem } from "../../../tests/support/kitchen";
import { judge } from "../models/diet";
import { ruleMeetings } from ".";

const pairs = (...args: Parameters<typeof problem>) =>
  ruleMeetings(problem(...args)).map((each) =>
    each.kind === "schools" ? `${each.rule.id} in two schools` : `${each.rule.id} + ${each.other.id}: ${each.role}`,
  );

describe("where rules of a table meet", () => {
  it("names the nut-milk tradition and the eater without nuts, with what is left", () => {
    const of = problem(phirni(), { rules: ["vegan", "nut-free", "soy-free"] });
    const meeting = ruleMeetings(of).find(
      (each) => each.kind === "stand-ins" && each.rule.id === "vegan" && each.other.id === "nut-free" && each.role === "liquid",
    );
    if (meeting?.kind !== "stand-ins") throw new Error("not told");
    expect(meeting.taken.map(({ id }) => id)).toContain("almond-milk-home");
    for (const food of meeting.taken) expect(judge(food, meeting.other).verdict).not.toBe("allowed");
    for (const food of meeting.left) for (const rule of of.rules) expect(judge(food, rule).verdict).toBe("allowed");
  });
  it("says nothing of rules that leave each other alone, and names one rule in two schools", () => {
    expect(pairs(halwa(), { rules: ["vegan", "egg-free"] })).toEqual([]);
    expect(pairs(halwa(), { rules: ["gluten-free", "gluten-free/no-oats"] })).toContain("gluten-free in two schools");
  });
  it("says so where by all rules together nothing is left", () => {
    const none = ruleMeetings(problem(phirni(), { rules: ["vegan", "nut-free/coconut-too", "soy-free", "gluten-free/no-oats", "ekadashi/nirjala"] }));
    expect(none.some((each) => each.kind === "stand-ins" && each.left.length === 0)).toBe(true);
  });
});
