import { describe, expect, it } from "vitest";
import { PANTRY_TABLES as TABLES, REFERENCE } from "../../../data";
import { isMakingKind, MAKING_KINDS } from "../../../core/making";
import { namesOf } from "../../../core/pantry";
import { blankMaking, KIND_WORDS, madeFoods, newFoodId, usualMilk, withLearned } from "./maker-model";

const names = namesOf(REFERENCE.foods.values());
const made = (making: Parameters<typeof madeFoods>[0], given: Readonly<Record<string, string>> = {}, inUse = names) =>
  madeFoods(making, given, inUse, REFERENCE.foods, TABLES);

describe("the maker's state", () => {
  it.each(MAKING_KINDS.filter((kind) => kind !== "mixture"))("begins a %s that can be made and kept as it stands", (kind) => {
    const { out, made: whole } = made(blankMaking(kind, null, TABLES.making));
    expect(whole?.problems).toEqual([]);
    expect(out.length).toBeGreaterThan(0);
    for (const { own, food } of out) {
      expect(names.has(own.name.toLowerCase()), own.name).toBe(false);
      expect(food.provenance).toBe("computed");
    }
  });
  it("begins from the food that an address names, and from the usual one where it is no material", () => {
    expect(blankMaking("milk", "hazelnut", TABLES.making)).toMatchObject({ material: "hazelnut", soaked: 8, presses: [400] });
    expect(blankMaking("milk", "salt", TABLES.making)).toMatchObject({ material: "rolled-oats" });
    expect(blankMaking("paste", "dried-figs", TABLES.making)).toMatchObject({ fruit: "dried-figs", water: 50 });
    expect(blankMaking("syrup", "salt", TABLES.making)).toMatchObject({ sugar: "jaggery" });
    expect(blankMaking("mixture", null, TABLES.making)).toMatchObject({ parts: [] });
    expect([isMakingKind("milk"), isMakingKind("spell"), Object.keys(KIND_WORDS).length]).toEqual([true, false, 6]);
  });
  it("proposes a name that no food has, and takes the one that is given", () => {
    const first = made(usualMilk("rolled-oats", 100, TABLES.making)).out[0]?.own.name ?? "";
    expect(first).toBe("Oat milk, home-made");
    const inUse = new Map([...names, [first.toLowerCase(), "own-1"]]);
    expect(made(usualMilk("rolled-oats", 100, TABLES.making), {}, inUse).out[0]?.own.name).toBe("Oat milk, home-made 2");
    expect(made(usualMilk("rolled-oats", 100, TABLES.making), { milk: "Sunday milk" }).out[0]?.own.name).toBe("Sunday milk");
  });
  it("uses what this household's pulp held, of this material and squeeze only, unless one is given", () => {
    const milk = usualMilk("almond", 100, TABLES.making);
    const pressing = { id: "1", material: "almond", squeeze: "hard", holds: 2.6, at: "" } as const;
    expect(withLearned(milk, [], TABLES.making)).toMatchObject({ holds: null });
    expect(
      withLearned(
        milk,
        [
          { ...pressing, squeeze: "loose" },
          { ...pressing, material: "cashew" },
        ],
        TABLES.making,
      ),
    ).toMatchObject({ holds: null });
    const learned = withLearned(milk, [pressing], TABLES.making);
    expect(learned.kind === "milk" && learned.holds).toBeGreaterThan(1.8);
    expect(withLearned({ ...milk, holds: 3 }, [pressing], TABLES.making)).toMatchObject({ holds: 3 });
  });
  it("tells what cannot be made, and makes ids that an address can hold", () => {
    expect(made({ kind: "roast", flour: "own-gone", grams: 1, stage: "pale", finished: null })).toMatchObject({ unmakeable: { foodId: "own-gone" }, out: [] });
    expect(newFoodId("Crème d’Été — 75 %!")).toMatch(/^own-[a-z0-9-]+$/);
    expect(newFoodId("₿₿₿")).toMatch(/^own-food-/);
  });
});
