import loadHighs from "highs";
import { beforeAll, describe, expect, it } from "vitest";
import { propose, type Ending, type Proposal } from "../../src/core/substitution";
import type { SolverPort } from "../../src/core/numeric";
import { createHighsPort } from "../../src/workers/solver/highs-port";
import { freeSugars, problem, read } from "../support/kitchen";

/** What a maker said of the results of such a solver: these should be at least as good. */
let solve: SolverPort;
beforeAll(async () => {
  solve = createHighsPort(await loadHighs());
});

const KHEER =
  "Vermicelli kheer\nServes 6\n1 litre milk\n70 g roasted vermicelli\n100 g sugar\n1 tbsp ghee\n20 g raisins\n½ tsp cardamom\n\n1. Fry the vermicelli in the ghee.\n2. Simmer it in the milk for 12 minutes. Add the sugar.";
const HALWA =
  "Semolina halwa\nServes 6\n120 g semolina\n110 g ghee\n150 g sugar\n480 g water\n15 g almonds\n\n1. Roast for 12 minutes.\n2. Add the water and the sugar and cook for 5 minutes.";
const REDUCED = "Reduced-milk rice pudding\nServes 6\n1.5 litres milk\n80 g rice\n180 g date paste\n½ tsp cardamom\n\n1. Simmer for 40 minutes.";

const ending = (text: string, part: Parameters<typeof problem>[1]): Promise<Ending> => propose(problem(read(text), part), solve, () => 0);
async function versions(text: string, part: Parameters<typeof problem>[1]): Promise<readonly Proposal[]> {
  const found = await ending(text, part);
  if (found.kind !== "proposals") throw new Error(JSON.stringify({ ...found, recipeFigures: undefined }));
  return found.proposals;
}
const grams = (proposal: Proposal, test: (id: string) => boolean) =>
  proposal.version.rows.reduce((sum, row) => sum + (row.food && test(row.food.id) ? row.grams : 0), 0);
const said = (proposal: Proposal) => proposal.notes.map((note) => note.text).join(" ");

describe("a vermicelli kheer", () => {
  it("goes vegan on a plant milk with a fat, as one would cook it", async () => {
    for (const proposal of await versions(KHEER, { rules: ["vegan"], serve: "hot" })) {
      expect(grams(proposal, (id) => /milk|drink/.test(id) && id !== "cow-milk")).toBeGreaterThan(450);
      expect(grams(proposal, (id) => id === "cow-milk" || id === "ghee")).toBe(0);
      expect(grams(proposal, (id) => id.startsWith("vermicelli"))).toBeGreaterThanOrEqual(52);
    }
  });
  it("meets 5 g of free sugars, and warns of what sweetens it instead", async () => {
    for (const proposal of await versions(KHEER, { limits: freeSugars(5) })) {
      expect(proposal.figures["serving.freeSugarsUk"].value).toBeLessThanOrEqual(5.01);
      if (grams(proposal, (id) => id === "erythritol") > 30) expect(said(proposal)).toMatch(/cools the mouth/);
    }
  });
  it("is never turned into powdered milk to make up for what stevia lacks in bulk", async () => {
    for (const proposal of await versions(KHEER, { limits: freeSugars(3), serve: "chilled" })) expect(grams(proposal, (id) => id.includes("powder"))).toBe(0);
  });
});

describe("a semolina halwa", () => {
  it("goes gluten-free on millet or rice semolina, with more water or none less than a tenth away, and no semolina", async () => {
    const all = await versions(HALWA, { rules: ["gluten-free"] });
    const lead = all.flatMap((proposal) => proposal.version.rows.filter((row) => row.role === "body" && row.food).map((row) => row.food?.id));
    expect(lead).toContain("rice-semolina");
    for (const proposal of all) {
      expect(grams(proposal, (id) => ["semolina", "bulgur", "whole-wheat-flour", "vermicelli"].includes(id))).toBe(0);
      expect(Math.abs(proposal.figures["body.hot"].value - 6.6)).toBeLessThan(0.9);
    }
  });
  it("holds no more free oil than it did, within a sixth, whatever the fat", async () => {
    for (const rules of [["vegan"], ["dairy-free", "gluten-free"]])
      for (const proposal of await versions(HALWA, { rules })) expect(grams(proposal, (id) => /oil|ghee|butter/.test(id))).toBeLessThanOrEqual(110 * 1.16);
  });
  it("is not garnished three times over to carry another thing", async () => {
    for (const proposal of await versions(HALWA, { rules: ["no-almond", "vegan"], limits: freeSugars(10) })) {
      const garnish = proposal.version.rows.filter((row) => row.role === "crunch").reduce((sum, row) => sum + row.grams, 0);
      expect(garnish).toBeLessThanOrEqual(1.35 * 15 + 0.5);
    }
  });
  it("slumps on coconut oil, and says so", async () => {
    const [closest] = await versions(HALWA, { rules: ["vegan"] });
    if (closest && grams(closest, (id) => id === "coconut-oil") > 60) expect(said(closest)).toMatch(/slumps/);
  });
});

describe("a reduced-milk rice pudding", () => {
  it("is not boiled down to khoa on a plant milk", async () => {
    const of = problem(read(REDUCED), { rules: ["dairy-free"] });
    for (const proposal of await versions(REDUCED, { rules: ["dairy-free"] }))
      expect(proposal.version.evaporation).toBeLessThanOrEqual(0.61 * of.evaporation.value + 5);
  });
  it("never calls seed paste and water a milk", async () => {
    for (const proposal of await versions(REDUCED, { rules: ["vegan", "nut-free"] })) {
      const milk = grams(proposal, (id) => /milk|drink/.test(id));
      expect(milk).toBeGreaterThan(0.4 * 1500);
      expect(grams(proposal, (id) => id === "water")).toBeLessThan(milk);
    }
  });
});

it("gives the same answer twice", async () => {
  const twice = [await versions(HALWA, { rules: ["vegan", "gluten-free"] }), await versions(HALWA, { rules: ["vegan", "gluten-free"] })];
  expect(twice[0]?.map((proposal) => proposal.version)).toEqual(twice[1]?.map((proposal) => proposal.version));
});
