import { describe, expect, it } from "vitest";
import { phirni, problem } from "../../../tests/support/kitchen";
import { yalpsPort } from "../../../tests/support/yalps-port";
import { REFERENCE } from "../../data";
import { propose } from "../substitution";
import { reopened, storedProposals } from ".";

describe("what was worked out", async () => {
  const of = problem(phirni(), { rules: ["vegan"], servings: 4 });
  const ending = await propose(of, yalpsPort, () => 0);
  if (ending.kind !== "proposals") throw new Error(ending.kind);
  const stored = JSON.parse(JSON.stringify(storedProposals(ending, "1"))) as ReturnType<typeof storedProposals>;

  it("is the same when it is reopened for the same basis", () => expect(reopened(stored, "1", of, REFERENCE.foods, ending.recipeFigures)).toEqual(ending));
  it("is not reopened for another, nor where a food or line of it is gone, nor where a limit is passed now", () => {
    expect(reopened(stored, "2", of, REFERENCE.foods, ending.recipeFigures)).toBeNull();
    expect(reopened(null, "1", of, REFERENCE.foods, ending.recipeFigures)).toBeNull();
    const [first] = ending.proposals[0]?.version.rows.flatMap(({ food, change }) => (food && change === "replaced" ? [food.id] : [])) ?? [];
    const without = new Map([...REFERENCE.foods].filter(([id]) => id !== first));
    expect(reopened(stored, "1", of, without, ending.recipeFigures)).toBeNull();
    const shorter = { ...of, order: { ...of.order, lines: of.order.lines.slice(1) } };
    expect(reopened(stored, "1", shorter, REFERENCE.foods, ending.recipeFigures)).toBeNull();
    const stricter = problem(phirni(), { rules: ["vegan"], servings: 4, limits: [{ id: "energy", most: 1, school: "uk" }] });
    expect(reopened(stored, "1", stricter, REFERENCE.foods, ending.recipeFigures)).toBeNull();
  });
  it("is nothing where nothing was found", () => {
    const none = { kind: "nothing-to-change" as const, recipeFigures: ending.recipeFigures };
    expect(storedProposals(none, "1")).toBeNull();
  });
});
