import { describe, expect, it } from "vitest";
import { REFERENCE } from "../../data";
import { createFoodMatcher } from "./match-food";

const fresh = () => createFoodMatcher(REFERENCE.foods.values());
const matcher = fresh();
const known = (description: string) => {
  const match = matcher.match(description);
  return match.kind === "known" ? match.foodId : null;
};

describe("matching a food", () => {
  it("is sure where every word is accounted for: those of the name, or of how it is cut, bought or kept", () => {
    expect(known("almonds, blanched and slivered")).toBe("almond");
    expect(known("freshly grated jaggery")).toBe("jaggery");
    expect(known("ROASTED VERMICELLI")).toBe("vermicelli-roasted");
    expect(known("vermicelli")).toBe("vermicelli");
  });
  it("asks otherwise, with guesses that share a word", () => {
    expect(matcher.match("dragon scales")).toEqual({ kind: "ask", guesses: [] });
    const match = matcher.match("smoked almonds of the hill");
    expect(match.kind).toBe("ask");
    expect(match.kind === "ask" ? match.guesses : []).toContain("almond");
  });
  it("finds what is being typed, unfinished or misspelt, and what is called just so first", () => {
    expect(matcher.search("pumpkin se", 3)[0]).toBe("pumpkin-seeds");
    expect(matcher.search("cardamon", 3)).toContain("cardamom");
    expect(matcher.search("dates", 5)[0]).toBe("dates");
    expect(matcher.search("a", 4).length).toBeLessThanOrEqual(4);
  });
  it("finds the same whether its index was prepared before, is being prepared, or is built by asking", async () => {
    const words = ["coconut", "milk", "jagery", "sesame", "flour of rice"];
    const asked = words.map((each) => matcher.search(each, 8));
    const prepared = fresh();
    const ready = prepared.prepare();
    expect(words.map((each) => prepared.search(each, 8))).toEqual(asked);
    await ready;
    const before = fresh();
    await before.prepare();
    expect(words.map((each) => before.search(each, 8))).toEqual(asked);
  });
});
