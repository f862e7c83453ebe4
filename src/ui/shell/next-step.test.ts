import { describe, expect, it } from "vitest";
import { nextStep } from "./next-step";

const progress = { asked: 0, wishes: [] as string[], servings: null, fit: null };

describe("what a sweet waits for", () => {
  it.each([
    [{ asked: 1 }, "Answer 1 line", "recipe", 0],
    [{ asked: 3, wishes: ["vegan"] }, "Answer 3 lines", "recipe", 1],
    [{}, "Set the table", "table", 1],
    [{ wishes: ["vegan"] }, "See the versions", "swap", 2],
    [{ wishes: ["vegan"], fit: "5 of 6 inside" }, "Keep a version", "swap", 3],
  ] as const)("%j: %s", (part, verb, station, done) => expect(nextStep({ ...progress, ...part })).toMatchObject({ verb, station, done }));
});
