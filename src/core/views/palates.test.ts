import { describe, expect, it } from "vitest";
import { levelOf } from "../models/sweetness";
import { REFERENCE } from "../../data";
import { recipeInput } from "../adaptation";
import { evaluate } from "../evaluate";
import { seat, type Eater } from "../table";
import { standingOf } from "../substitution";
import { problem, read, tableOf } from "../../../tests/support/kitchen";
import { eatersRow } from "./eaters-row";
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

describe("who is content", () => {
  const eater = (id: string, part: Partial<Eater> = {}): Eater => ({ id, name: id, rules: [], limits: [], note: "", asked: "2026-10-04", ...part });
  const of = read("Kheer\nServes 3\n\n1 litre milk\n60 g rice\n80 g sugar\n\n1. Simmer all of it for 20 minutes.");
  const row = (part: Parameters<typeof tableOf>[0], ...eaters: readonly Eater[]) => {
    const table = eaters.reduce((all, each) => seat(all, each), tableOf(part));
    const asked = problem(of, { ...table, servings: 3 });
    const { figures } = evaluate(asked, REFERENCE.constants);
    return eatersRow(standingOf(asked, null), table, palatesOf(table, figures, figures, REFERENCE.constants)).map(({ name, state }) => `${name}: ${state}`);
  };
  it("is told by rule, limit, what is to ask, and taste; what the table leaves out holds for all", () => {
    const all = [
      eater("Ana"),
      eater("Bo", { rules: ["vegan"] }),
      eater("Cy", { limits: [{ id: "freeSugars", most: 5, school: "uk" }] }),
      eater("Di", { taste: "less sweet" }),
    ];
    expect(row({}, ...all)).toEqual(["Ana: content", "Bo: not for them", "Cy: not for them", "Di: other taste"]);
    const { asked: _, ...unasked } = eater("Ed");
    expect(row({}, unasked)).toEqual(["Ed: to ask"]);
    expect(row({ rules: ["dairy-free"] }, eater("Ana"), eater("Bo", { rules: ["vegan"] }))).toEqual(["Ana: not for them", "Bo: not for them"]);
  });
});
