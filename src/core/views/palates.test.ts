import { describe, expect, it } from "vitest";
import { levelOf } from "../models/sweetness";
import { REFERENCE } from "../../data";
import { recipeInput } from "../adaptation";
import { evaluate } from "../evaluate";
import { read } from "../../../tests/support/kitchen";
import { palatesOf } from "./palates";

describe("an eater's own level of sweetness", () => {
  it("is a fifth less for who likes it less sweet, give or take what is noticed", () => {
    expect(levelOf(20, "less sweet", REFERENCE.constants)).toEqual({ target: 16, sd: 3.2, low: 13.6, high: 18.4 });
  });
  it("is told of those who like it other than it is made, at the temperature of the table", () => {
    const seat = (name: string, taste?: "less sweet" | "sweeter") => ({ eater: name, name, servings: 1, rules: [], limits: [], ...(taste ? { taste } : {}) });
    const table = { rules: [], limits: [], servings: 3, serve: "chilled" as const, seats: [seat("Ana", "less sweet"), seat("Bo"), seat("Cy", "sweeter")] };
    const kheer = (sugar: number) =>
      evaluate(
        recipeInput(read(`Kheer\nServes 3\n\n1 litre milk\n60 g rice\n${sugar} g sugar\n\n1. Simmer all of it for 20 minutes.`), table),
        REFERENCE.constants,
      ).figures;
    const words = (sugar: number) => palatesOf(table, kheer(120), kheer(sugar), REFERENCE.constants).map((each) => each.words);
    expect(words(120)).toEqual(["Sweeter than Ana likes it", "Less sweet than Cy likes it"]);
    expect(words(88)).toEqual(["Level for Ana", "Less sweet than Cy likes it"]);
    expect(words(170)).toEqual(["Sweeter than Ana likes it", "Level for Cy"]);
  });
});
