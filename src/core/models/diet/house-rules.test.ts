import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { food } from "../../../../tests/support/kitchen";
import { REFERENCE, RULES } from "../../../data";
import {
  changedVerdicts,
  copyOf,
  householdRules,
  judge,
  lostRule,
  NO_HOUSE_RULES,
  ownRuleProblems,
  type Clause,
  type OwnRule,
  type Rule,
  type RuleAnswer,
} from "./index";

const { foods } = REFERENCE;
const ekadashi = RULES.get("ekadashi") as Rule;
const own = (clauses: readonly Clause[], part: Partial<OwnRule> = {}): OwnRule => ({ id: "own-1", name: "Our fast", from: null, clauses, note: "", ...part });
const keeping = (rule: OwnRule): Rule => householdRules(RULES, { own: [rule], answers: [] }).get(rule.id) as Rule;
const avoid = (when: Clause["when"]): Clause => ({ verdict: "avoid", when, because: "" });
const grave = (rule: OwnRule) => ownRuleProblems(rule, [], foods).flatMap((each) => (each.grave ? [each.clause] : []));

describe("a rule set of the household's own", () => {
  it("says of every food what it was copied from, until it is changed", () => {
    const copy = keeping(copyOf(ekadashi, "own-1"));
    for (const each of foods.values()) expect(judge(each, copy).verdict, each.id).toBe(judge(each, ekadashi).verdict);
    const [first, ...rest] = copyOf(ekadashi, "own-1").clauses;
    const changed = keeping(own([...(first ? [{ ...first, verdict: "avoid" as const }] : []), ...rest]));
    expect(judge(food("barnyard-millet"), ekadashi).verdict).toBe("allowed");
    expect(judge(food("barnyard-millet"), changed).verdict).toBe("avoid");
    expect([...changedVerdicts(new Map([["own-1", copy]]), new Map([["own-1", changed]]), foods.values())]).toEqual([["own-1", ["barnyard-millet"]]]);
  });
  it("judges by property, family or single food, and gives its own reason", () => {
    const rule = keeping(
      own([
        { verdict: "allowed", when: { foods: ["dates"] }, because: "" },
        avoid({ families: ["fruit"] }),
        { ...avoid({ plants: ["Zea mays"] }), because: "is maize" },
      ]),
    );
    expect(["dates", "raisins", "cornflour", "ghee"].map((id) => judge(food(id), rule).verdict)).toEqual(["allowed", "avoid", "avoid", "allowed"]);
    expect(judge(food("raisins"), rule).reason).toMatch(/is on the list of Our fast/);
    expect(judge(food("cornflour"), rule).reason).toMatch(/is maize/);
  });
  it("is refused where it contradicts itself, names what is not there or is called as another", () => {
    expect(grave(own([avoid({ families: ["nut", "fruit"] }), { verdict: "allowed", when: { families: ["fruit", "nut"] }, because: "" }]))).toEqual([1]);
    expect(grave(own([avoid({ foods: ["moon-cheese"] })]))).toEqual([0]);
    expect(grave(own([], { name: " " }))).toEqual([null]);
    expect(ownRuleProblems(own([]), [{ id: "vegan", name: "our fast" }], foods).filter((each) => each.grave)).toHaveLength(1);
    expect(grave(own([avoid({ families: ["nut"] }), avoid({ families: ["nut"] })]))).toEqual([]);
  });
  it("is told of lines that never decide, and only of those: without them nothing is judged otherwise", () => {
    const pools: readonly Clause["when"][] = [
      { families: ["nut"] },
      { allergens: ["cashew"] },
      { families: ["nut", "fruit"] },
      { origins: ["dairy"] },
      { foods: ["cashew"] },
    ];
    const clause = fc.record({
      verdict: fc.constantFrom("avoid" as const, "ask" as const, "allowed" as const),
      when: fc.constantFrom(...pools),
      because: fc.constant(""),
    });
    fc.assert(
      fc.property(fc.array(clause, { maxLength: 5 }), (clauses) => {
        const idle = new Set(ownRuleProblems(own(clauses), [], foods).flatMap((each) => (each.clause === null ? [] : [each.clause])));
        const without = keeping(own(clauses.filter((_, i) => !idle.has(i))));
        for (const id of ["cashew", "almond", "dates", "ghee", "semolina"])
          expect(judge(food(id), without).verdict).toBe(judge(food(id), keeping(own(clauses))).verdict);
      }),
      { numRuns: 40 },
    );
  });
});

describe("what the household has found out", () => {
  const asked = judge(food("dark-chocolate"), RULES.get("dairy-free") as Rule);
  const answer = (part: Partial<RuleAnswer> = {}): RuleAnswer => ({
    rule: "dairy-free",
    food: "dark-chocolate",
    question: asked.reason,
    verdict: "allowed",
    day: "2026-11-25",
    note: "read on the packet",
    ...part,
  });
  const with_ = (one: RuleAnswer, rule = "dairy-free") => judge(food("dark-chocolate"), householdRules(RULES, { own: [], answers: [one] }).get(rule) as Rule);
  it("settles just that question of that rule, with its day and how it is known", () => {
    expect(asked.verdict).toBe("ask");
    expect(with_(answer())).toEqual({ verdict: "allowed", reason: `${asked.reason}; answered on 2026-11-25: read on the packet` });
    expect(with_(answer({ verdict: "avoid" })).verdict).toBe("avoid");
    expect(with_(answer(), "vegan").verdict).toBe("ask");
    expect(with_(answer({ question: "some makers put whey in it" })).verdict).toBe("ask");
  });
  it("never lets through what a rule avoids", () => {
    const rule = householdRules(RULES, {
      own: [],
      answers: [answer({ food: "ghee", question: judge(food("ghee"), RULES.get("dairy-free") as Rule).reason })],
    }).get("dairy-free") as Rule;
    expect(judge(food("ghee"), rule).verdict).toBe("avoid");
    expect(householdRules(RULES, NO_HOUSE_RULES).get("vegan")).toEqual(RULES.get("vegan"));
  });
});

describe("traces", () => {
  const traced = { ...food("rolled-oats"), allergens: [], mayContain: [{ allergen: "wheat" as const, why: "is milled beside wheat" }] };
  it.each([
    ["as an ingredient", "allowed"],
    ["asked", "ask"],
    ["avoided", "avoid"],
  ] as const)("%s: %s", (traces, verdict) => {
    expect(judge(traced, { ...(RULES.get("no-wheat") as Rule), traces }).verdict).toBe(verdict);
  });
});

describe("a rule that nobody knows any more", () => {
  it("asks about everything", () => {
    for (const id of ["water", "sugar", "ghee"]) expect(judge(food(id), lostRule("own-gone")).verdict).toBe("ask");
  });
});
