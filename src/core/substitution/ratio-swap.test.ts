import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { food, freeSugars, halwa, phirni, problem, tableOf } from "../../../tests/support/kitchen";
import { REFERENCE } from "../../data";
import { INDEX } from "../food";
import { recipeInput } from "../adaptation";
import { evaluate } from "../evaluate";
import { sucroseEquivalentPerGram } from "../models/sweetness";
import { beamReadings, insideCount, limitFindings, ratioSwap, versionNotes, type Version } from "./index";

const { constants } = REFERENCE;
const swap = (from: string, grams: number, to: string, role: Parameters<typeof ratioSwap>[3], serve: "hot" | "chilled" = "hot") =>
  ratioSwap(food(from), grams, food(to), role, serve, constants);

describe("exchanges by one ratio", () => {
  it("keep a sweetener as sweet, at the temperature it is served", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("jaggery", "honey", "date-paste", "erythritol", "xylitol", "maple-syrup"),
        fc.double({ min: 1, max: 500, noNaN: true }),
        fc.constantFrom("hot" as const, "chilled" as const),
        (to, grams, serve) => {
          const found = swap("sugar", grams, to, "sweetener", serve);
          const sweet = (id: string, amount: number) => sucroseEquivalentPerGram(food(id), food(id).per100g, constants.temperatures[serve], constants) * amount;
          expect(found?.keeps).toBe("as sweet");
          expect(sweet(to, found?.grams ?? 0)).toBeCloseTo(sweet("sugar", grams), 6);
        },
      ),
    );
  });
  it("take more dates when the sweet is hot, since fructose is less sweet then", () =>
    expect(swap("sugar", 100, "date-paste", "sweetener", "hot")?.grams).toBeGreaterThan(
      1.05 * (swap("sugar", 100, "date-paste", "sweetener", "chilled")?.grams ?? 0),
    ));
  it("keep fat for fat, and say what water comes along", () => {
    const butter = swap("ghee", 100, "butter", "richness");
    expect(((butter?.grams ?? 0) * (food("butter").per100g[INDEX.fat] ?? 0)) / 100).toBeCloseTo(100, 6);
    expect(butter?.water).toBeCloseTo((butter?.grams ?? 0) * 0.1617, 3);
    expect(swap("sugar", 100, "date-paste", "sweetener")?.water).toBeGreaterThan(40);
  });
  it("keep body for body: less of a stronger starch", () => {
    expect(swap("rice-flour", 100, "cornflour", "thickener")?.grams).toBeLessThan(80);
    expect(swap("cornflour", 20, "potato-starch", "thickener")?.grams).toBeLessThan(17);
  });
  it("say when a food cannot do it at all", () => {
    expect(swap("sugar", 100, "water", "sweetener")).toBeNull();
    expect(swap("ghee", 100, "sugar", "richness")).toBeNull();
  });
});

describe("beams", () => {
  const before = evaluate(recipeInput(halwa(), tableOf()), constants).figures;
  it("are level and inside for the recipe itself", () => {
    const beams = beamReadings(before, before, [], "hot", constants);
    expect(beams.map((beam) => beam.deviation.tilt)).toEqual(Array(9).fill(0));
    expect(insideCount(beams)).toEqual({ inside: 5, of: 5 });
  });
  it("take a limit as their left pan, by its school, and add one for each limit set", () => {
    const beams = beamReadings(
      before,
      before,
      [
        { id: "freeSugars", most: 5, school: "who" },
        { id: "sodium", most: 100, school: "uk" },
      ],
      "hot",
      constants,
    );
    expect(beams.find((beam) => beam.name === "Free sugars")).toMatchObject({
      id: "serving.freeSugarsWho",
      limit: 5,
      deviation: { kind: "limit", state: "outside" },
    });
    expect(beams.find((beam) => beam.name === "Sodium")).toMatchObject({ limit: 100, deviation: { state: "inside" } });
    expect(insideCount(beams)).toEqual({ inside: 6, of: 7 });
  });
});

describe("findings of limits", () => {
  it("name the lines that give most of what is too much, and nothing when it is within", () => {
    const found = limitFindings(problem(halwa(), { limits: freeSugars(5) }));
    expect(found.map(({ line, rule, verdict }) => [line, rule, verdict])).toEqual([["l3", "limit-freeSugars", "avoid"]]);
    expect(found[0]?.reason).toMatch(/Sugar gives 34 of 34 g free sugars a serving; the limit is 5/);
    expect(limitFindings(problem(halwa(), { limits: freeSugars(40) }))).toEqual([]);
  });
  it("share the blame for energy", () =>
    expect(limitFindings(problem(halwa(), { limits: [{ id: "energy", most: 500, school: "uk" }] })).map((finding) => finding.line)).toEqual([
      "l1",
      "l2",
      "l3",
    ]));
});

describe("notes", () => {
  const of = problem(phirni(), { rules: ["gluten-free"] });
  const version = (...rows: readonly (readonly [id: string, grams: number])[]): Version => ({
    evaporation: 0,
    rows: rows.map(([id, grams]) => ({ id: `added-${id}`, line: null, food: food(id), grams, role: food(id).role, change: "added" as const, why: "" })),
  });
  const notes = (...rows: readonly (readonly [id: string, grams: number])[]) => {
    const made = version(...rows);
    const input = {
      lines: made.rows.flatMap((row) => (row.food ? [{ food: row.food, grams: row.grams, sd: 0, role: row.role }] : [])),
      evaporation: { value: 0, sd: 0 },
      apart: 0,
      servings: 4,
      cookMinutes: null,
      archetype: null,
    };
    return versionNotes(of, made, evaluate(input, constants).figures).map((note) => `${note.kind}: ${note.text}`);
  };
  it.each([
    [
      [
        ["rolled-oats", 50],
        ["water", 500],
      ],
      /^ask: Ask: .*certified.*\(no gluten\)/,
    ],
    [
      [
        ["cow-milk", 500],
        ["jaggery", 80],
      ],
      /^watch: Hot milk can curdle/,
    ],
    [
      [
        ["erythritol", 120],
        ["water", 500],
      ],
      /^watch: Erythritol above 12 %/,
    ],
    [
      [
        ["xylitol", 60],
        ["water", 500],
      ],
      /^know: 15 g of polyols a serving: laxative in excess; xylitol is poisonous to dogs/,
    ],
    [
      [
        ["stevia", 0.6],
        ["water", 900],
      ],
      /^watch: So much stevia tastes bitter/,
    ],
    [
      [
        ["date-paste", 100],
        ["water", 500],
      ],
      /^know: Fruit paste is no free sugar by WHO \(0\.0 g a serving\) and all of it by the stricter school \(13\.2 g\)/,
    ],
    [[["soy-milk", 500]], /^know: Brings soy/],
    [
      [
        ["honey", 50],
        ["water", 500],
      ],
      /^know: Honey: not for infants/,
    ],
  ] as const)("%j: %s", (rows, expected) =>
    expect(
      notes(...rows).some((note) => expected.test(note)),
      notes(...rows).join("\n"),
    ).toBe(true),
  );
  it("ask first, watch next, and say nothing of a plain sweet", () => {
    expect(notes(["cow-milk", 500], ["rice-flour", 40])).toEqual([]);
    expect(notes(["rolled-oats", 50], ["cow-milk", 500], ["jaggery", 80]).map((note) => note.split(":")[0])[0]).toBe("ask");
  });
});
