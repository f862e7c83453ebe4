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

/** Each rule with foods on both sides of its border, and those that it asks about. */
const BORDERS: readonly (readonly [rule: string, allowed: readonly string[], avoided: readonly string[], asked: readonly string[]])[] = [
  ["vegan", ["sugar", "coconut-milk", "almond"], ["ghee", "honey", "gelatin", "egg", "milk-powder"], ["silver-leaf", "dark-chocolate"]],
  ["vegan/white-sugar", ["jaggery", "coconut-sugar"], ["ghee"], ["sugar", "icing-sugar"]],
  ["dairy-free", ["honey", "egg", "coconut-milk"], ["ghee", "butter", "khoa"], ["dark-chocolate", "vanaspati", "vegan-block"]],
  ["lactose-free", ["sugar", "ghee", "soy-milk"], ["cow-milk", "milk-powder", "yogurt"], ["dark-chocolate"]],
  ["egg-free", ["cornflour", "cow-milk"], ["egg", "egg-yolk"], ["custard-powder"]],
  ["gluten-free", ["rice-flour", "sorghum-flour", "buckwheat-flour"], ["semolina", "vermicelli", "barley-malt-syrup"], ["rolled-oats", "asafoetida"]],
  ["gluten-free/certified-oats", ["rice-flour"], ["semolina"], []],
  ["gluten-free/no-oats", ["rice-flour"], ["semolina", "rolled-oats", "oat-drink"], []],
  ["nut-free", ["tiger-nut", "peanut", "sesame"], ["almond-drink", "cashew", "walnut"], ["fresh-coconut", "pine-nut"]],
  ["nut-free/coconut-too", ["tiger-nut", "peanut", "coconut-sugar"], ["almond", "pine-nut", "coconut-milk"], ["chironji"]],
  ["no-coconut", ["coconut-sugar", "almond"], ["coconut-milk", "coconut-oil", "cream-of-coconut"], []],
  ["no-sulphites", ["sugar"], [], ["golden-raisins", "dried-apricot", "glucose-syrup", "candied-peel", "coconut-milk", "jaggery"]],
  ["soy-free", ["cow-milk", "rice-drink"], ["soy-milk", "soya-flour"], ["dark-chocolate"]],
  ["peanut-free", ["almond"], ["peanut", "peanut-butter"], []],
  ["sesame-free", ["almond"], ["tahini", "sesame"], []],
  ["no-cashew", ["almond"], ["cashew", "pistachio"], []],
  ["no-cashew/cleared", ["pistachio"], ["cashew"], []],
  ["no-walnut", ["almond"], ["walnut", "pecan"], []],
  [
    "no-added-sugar",
    ["raisins", "apple", "cow-milk", "stevia", "lemon-juice", "vanilla-extract"],
    ["sugar", "jaggery", "honey", "date-paste", "condensed-milk", "maple-syrup"],
    [],
  ],
  ["no-added-sugar/whole-fruit", ["date-paste", "dates"], ["sugar", "jaggery"], []],
  ["sattvic", ["cow-milk", "jaggery", "semolina"], ["egg", "ifct-garlic-big-clove", "vanilla-extract"], ["cocoa-powder", "almond-essence"]],
  ["jain", ["cow-milk", "semolina", "banana-flour", "dry-ginger"], ["honey", "egg", "carrot", "potato", "dried-figs", "ginger"], ["tapioca-starch"]],
  ["jain/strict", ["cow-milk", "semolina"], ["tapioca-starch", "yogurt", "inulin"], ["vanilla-extract"]],
  [
    "small-child",
    ["almond-flour", "semolina", "honey", "peanut-butter"],
    ["almond", "cashew", "peanut", "popped-maize", "erythritol", "stevia"],
    ["sesame", "raisins", "rock-sugar", "edible-gum", "ifct-grapes-seeded-round-green"],
  ],
  ["small-child/infant", ["rice-flour", "apple"], ["honey", "almond", "sugar", "salt"], []],
  [
    "ekadashi",
    ["barnyard-millet", "popped-amaranth", "buckwheat-flour", "sago", "rock-salt", "cow-milk", "pumpkin", "almond", "honey"],
    ["semolina", "white-rice", "besan", "cornflour", "salt", "moong-dal", "oat-drink"],
    ["sesame", "icing-sugar", "quinoa", "peanut"],
  ],
  ["ekadashi/vaishnava", ["sago", "buckwheat-flour", "cow-milk"], ["barnyard-millet", "amaranth", "semolina"], ["honey"]],
  ["ekadashi/nirjala", [], ["water", "apple", "cow-milk"], []],
  [
    "navratri",
    ["barnyard-millet", "amaranth", "fox-nut", "rock-salt", "sesame"],
    ["semolina", "besan", "salt", "egg", "baking-powder"].slice(0, 4),
    ["quinoa", "fennel-seeds", "baking-powder"],
  ],
  ["shivaratri", ["sago"], ["white-rice"], ["turmeric"]],
  ["pradosha", ["sago"], ["white-rice"], ["turmeric"]],
  ...["orthodox-lent", "orthodox-weekday", "orthodox-nativity", "orthodox-apostles", "orthodox-dormition"].flatMap(
    (id) =>
      [
        [id, ["honey", "coconut-oil", "tahini"], ["ghee", "egg", "cow-milk"], []],
        [`${id}/strict`, ["honey", "almond"], ["coconut-oil", "vanilla-extract", "cow-milk"], []],
        [`${id}/fish`, ["coconut-oil"], ["ghee"], []],
      ] as const,
  ),
  ["ramadan", ["cow-milk", "dates", "agar"], [], ["gelatin", "vanilla-extract"]],
  ["halal", ["cow-milk", "dates", "honey"], [], ["gelatin", "vanilla-extract"]],
  ["kosher", ["cow-milk", "honey", "raisins"], [], ["gelatin", "vanilla-extract"]],
  ["kosher/supervised-milk", ["almond-drink"], [], ["cow-milk", "ghee"]],
  [
    "passover",
    ["almond", "potato-starch", "cow-milk"],
    ["semolina", "white-rice", "besan", "cornflour", "sesame", "barnyard-millet", "rolled-oats"],
    ["quinoa", "peanut", "vanilla-extract"],
  ],
  ["passover/kitniyot", ["white-rice", "besan", "sesame"], ["semolina", "rolled-oats", "barley-malt-syrup"], ["vanilla-extract"]],
  ["pregnant", ["cow-milk", "sugar"], [], ["stevia", "vanilla-extract"]],
  ["older", ["almond-flour", "sugar"], [], ["almond", "rock-sugar", "psyllium"]],
  ["buddhist", ["cow-milk", "egg"], ["ifct-garlic-big-clove", "gelatin"], ["vanilla-extract"]],
  ["buddhist/no-egg", ["cow-milk"], ["egg"], []],
];

describe("rules", () => {
  it.each(BORDERS)("%s: what is within, what is not, what is asked", (id, allowed, avoided, asked) => {
    const judged = (ids: readonly string[]) => ids.map((each) => `${each}: ${verdict(each, id)}`);
    expect([...judged(allowed), ...judged(avoided), ...judged(asked)]).toEqual([
      ...allowed.map((each) => `${each}: allowed`),
      ...avoided.map((each) => `${each}: avoid`),
      ...asked.map((each) => `${each}: ask`),
    ]);
  });
  it("all have foods on both sides of their border in this test; single allergens are judged by themselves", () => {
    const told = new Set(BORDERS.map(([id]) => id));
    expect([...RULES.values()].filter(({ id, kind }) => kind !== "allergy" && !told.has(id)).map(({ id }) => id)).toEqual([]);
  });
  it("of single allergens avoid every food that holds it, and no other for it", () => {
    for (const each of REFERENCE.foods.values())
      for (const allergen of each.allergens) expect(judge(each, rule(`no-${allergen}`)).verdict, `${each.id} ${allergen}`).toBe("avoid");
  });
  it("are judged by properties alone: none names a food", () => {
    for (const { id, clauses } of RULES.values()) for (const { when } of clauses) expect(when.foods, id).toBeUndefined();
  });
  it("ask about a food of which too little is known, where it could break them", () => {
    const unknown = { ...food("semolina"), nature: null, family: "drink" as const, allergens: [] };
    expect(judge(unknown, rule("ekadashi")).verdict).toBe("ask");
    expect(judge(unknown, rule("vegan")).verdict).toBe("allowed");
  });

  it("judges by properties, never by name: a food with another name is judged alike", () => {
    expect(judge({ ...food("ghee"), id: "x", name: "Liquid gold", synonyms: [] }, rule("vegan")).verdict).toBe("avoid");
    expect(judge({ ...food("water"), id: "y", name: "Cow butter milk cheese", origin: "plant" }, rule("vegan")).verdict).toBe("allowed");
  });
  it("asks every rule about what could not be read, and names the line", () => {
    const found = findings(
      [
        { line: "l2", food: null, text: "1 cup mystery" },
        { line: "l3", food: food("water"), text: "water" },
      ],
      [rule("vegan"), rule("no-almond")],
    );
    expect(found.map(({ line, rule: id, verdict: said }) => [line, id, said])).toEqual([
      ["l2", "vegan", "ask"],
      ["l2", "no-almond", "ask"],
    ]);
  });
  it("takes the strictest verdict of several rules", () => expect(strictestVerdict(food("rolled-oats"), [rule("gluten-free"), rule("no-oats")])).toBe("avoid"));
  it("calls no animal food vegan, and no food of unknown origin safe", () => {
    for (const each of REFERENCE.foods.values())
      if (["dairy", "egg", "honey", "gelatin", "unknown"].includes(each.origin)) expect(judge(each, rule("vegan")).verdict, each.id).not.toBe("allowed");
  });
});
