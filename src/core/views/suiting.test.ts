import { describe, expect, it } from "vitest";
import { tableOf } from "../../../tests/support/kitchen";
import { tableFor } from "./suiting-view";

describe("a table as it is set for another recipe", () => {
  it("keeps who eats and what they leave, and nothing that was said of the other recipe's lines, batch or sweets", () => {
    const table = tableOf({
      rules: ["vegan"],
      limits: [{ id: "freeSugars", most: 8, school: "uk" }],
      servings: 12,
      batch: "hand",
      seats: [{ eater: "ana", name: "Ana", servings: 1, rules: ["vegan"], limits: [] }],
      wishes: [{ kind: "line leaves", line: "l3" }],
      otherSweets: [{ recipe: "other", servings: 1 }],
    });
    const { rules, limits, seats, serve } = table;
    expect(tableFor({ servings: 6 }, table)).toEqual({ rules, limits, seats, serve, servings: 6, batch: "recipe" });
  });
});
