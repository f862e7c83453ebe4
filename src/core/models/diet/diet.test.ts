import { describe, expect, it } from "vitest";
import { food } from "../../../../tests/support/kitchen";
import { REFERENCE, RULES } from "../../../data";
import { findings, judge, strictestVerdict, type Rule } from "./index";

const rule = (id: string): Rule => {
  const found = RULES.get(id);
  if (!found) throw new Error(id);
  return found;
};
const verdict = (foodId: string, ruleId: string) => judge(food(foodId), rule(ruleId)).verdict;

describe("diets", () => {
  it.each([
    ["ghee", "vegan", "avoid"],
    ["ghee", "dairy-free", "avoid"],
    ["honey", "vegan", "avoid"],
    ["honey", "dairy-free", "allowed"],
    ["egg", "dairy-free", "allowed"],
    ["egg", "egg-free", "avoid"],
    ["gelatin", "vegan", "avoid"],
    ["coconut-milk", "dairy-free", "allowed"],
    ["semolina", "gluten-free", "avoid"],
    ["rolled-oats", "gluten-free", "ask"],
    ["asafoetida", "gluten-free", "ask"],
    ["rice-flour", "gluten-free", "allowed"],
    ["almond-drink", "nut-free", "avoid"],
    ["fresh-coconut", "nut-free", "ask"],
    ["tiger-nut", "nut-free", "allowed"],
    ["peanut", "nut-free", "allowed"],
    ["pistachio", "no-cashew", "avoid"],
    ["pecan", "no-walnut", "avoid"],
    ["almond", "no-cashew", "allowed"],
    ["silver-leaf", "vegan", "ask"],
    ["tahini", "sesame-free", "avoid"],
  ])("%s at %s: %s", (foodId, ruleId, expected) => expect(verdict(foodId, ruleId)).toBe(expected));

  it("judges by properties, never by name: a food with another name is judged alike", () => {
    expect(judge({ ...food("ghee"), id: "x", name: "Liquid gold", synonyms: [] }, rule("vegan")).verdict).toBe("avoid");
    expect(judge({ ...food("water"), id: "y", name: "Cow butter milk cheese", origin: "plant" }, rule("vegan")).verdict).toBe("allowed");
  });
  it("asks every rule about what could not be read, and names the line", () => {
    const found = findings(
      [
        { line: 2, food: null, text: "1 cup mystery" },
        { line: 3, food: food("water"), text: "water" },
      ],
      [rule("vegan"), rule("no-almond")],
    );
    expect(found.map(({ line, rule: id, verdict: said }) => [line, id, said])).toEqual([
      [2, "vegan", "ask"],
      [2, "no-almond", "ask"],
    ]);
  });
  it("takes the strictest verdict of several rules", () => expect(strictestVerdict(food("rolled-oats"), [rule("gluten-free"), rule("no-oats")])).toBe("avoid"));
  it("calls no animal food vegan, and no food of unknown origin safe", () => {
    for (const each of REFERENCE.foods.values())
      if (["dairy", "egg", "honey", "gelatin", "unknown"].includes(each.origin)) expect(judge(each, rule("vegan")).verdict, each.id).not.toBe("allowed");
  });
});
