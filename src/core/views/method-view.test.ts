import { describe, expect, it } from "vitest";
import { read, tableOf } from "../../../tests/support/kitchen";
import { KINDS, textOfCase } from "../../../tests/support/cases";
import { kitchenOf } from "../../data";
import { asHandedDown, stored } from "../adaptation";
import { USUAL_SOURCES } from "../kitchen";
import { methodView } from ".";

const kitchen = kitchenOf(USUAL_SOURCES);

describe("a method to cook by", () => {
  it.each(KINDS.map((each) => [each.name, textOfCase(each)] as const))(
    "%s: one piece of time after the other, all of it told, every food got ready",
    (_, text) => {
      const of = read(text);
      const view = methodView({ recipe: of.recipe, table: tableOf({ servings: of.recipe.servings }), bench: null }, kitchen);
      expect(view.label).toBeNull();
      expect(view.steps.map(({ text: said }) => said).join(" ")).not.toMatch(/undefined|NaN|\{/);
      view.strip.forEach(({ start, end }, i) => {
        expect(start).toBe(view.strip[i - 1]?.end ?? 0);
        expect(end).toBeGreaterThanOrEqual(start);
      });
      expect(view.strip.map(({ id }) => id)).toEqual(view.steps.map(({ id }) => id));
      const before = view.before.reduce((sum, { minutes }) => sum + minutes.usual, 0);
      expect((view.strip.at(-1)?.end ?? 0) + before).toBeCloseTo(view.times.all, 6);
      expect(view.ready.length).toBe(of.lines.filter(({ grams }) => grams > 0).length);
    },
  );
  it("says whom it is not for, and what is not read", () => {
    const of = read("Rice pudding\nServes 4\n\n1 litre milk\n80 g rice\n1 cup dragon scales\n\n1. Boil the rice in the milk for 40 minutes.");
    const view = methodView({ recipe: of.recipe, table: tableOf({ servings: 4, rules: ["vegan"] }), bench: null }, kitchen);
    expect(view.verdict.kind).toBe("not for");
    expect(view.verdict.breaches.join(" ")).toMatch(/is dairy/);
    expect(view.thread.asked).toBe(1);
  });
  it("counts pieces and moulds by how much is made", () => {
    const dishes = (text: string, servings: number) => methodView({ recipe: read(text).recipe, table: tableOf({ servings }), bench: null }, kitchen).dishes;
    const custard = "Milk custard\nServes 4\n\n500 ml milk\n3 eggs\n60 g sugar\n\n1. Beat all of it and bake in cups for 40 minutes at 160 °C.";
    const [four, eight] = [dishes(custard, 4), dishes(custard, 8)];
    expect(four).toMatchObject({ count: 4 });
    expect(eight?.count).toBe(8);
    expect(eight?.ml).toBeCloseTo(four?.ml ?? 0, 0);
    const ladoo =
      "Gram ladoo\nMakes 20 ladoos\n\n250 g besan\n120 g ghee\n120 g sugar\n\n1. Roast the besan in the ghee for 20 minutes.\n2. Work in the sugar and shape 20 balls.";
    const { servings } = read(ladoo).recipe;
    expect(dishes(ladoo, servings / 2)).toMatchObject({ count: 10, ml: null });
    expect(dishes("Rice pudding\nServes 4\n\n1 litre milk\n80 g rice\n\n1. Boil the rice in the milk for 40 minutes.", 4)).toBeNull();
  });
  it("tells what begins the night before apart, and tools with what does it instead", () => {
    const of = read("Rice pudding\nServes 4\n\n1 litre milk\n80 g rice\n90 g sugar\n\n1. Boil the rice in the milk for 40 minutes.\n2. Add the sugar.");
    const table = tableOf({ servings: 4, rules: ["vegan"] });
    const { version } = asHandedDown(of, table);
    const almond = kitchen.reference.foods.get("almond-milk-home");
    if (!almond) throw new Error("no almond milk");
    const rows = version.rows.map((row) => (row.food?.id === "cow-milk" ? { ...row, food: almond, change: "replaced" as const, why: "vegan" } : row));
    const bench = stored({ label: "With almond milk", version: { ...version, rows }, byHand: true }, of, table);
    const view = methodView({ recipe: of.recipe, table, bench }, kitchen);
    expect(view.label).toBe("With almond milk");
    expect(view.before.map(({ text }) => text).join(" ")).toMatch(/^The night before, soak \d+ g almonds/);
    expect(view.steps.some(({ text }) => /soak \d+ g almonds/.test(text))).toBe(false);
    expect(view.tools.map(({ name }) => name)).toEqual(expect.arrayContaining(["mixer or grinder", "muslin cloth"]) as string[]);
    expect(view.times.all - (view.strip.at(-1)?.end ?? 0)).toBeGreaterThan(240);
  });
});
