import { describe, expect, it } from "vitest";
import { learningGains, type Outcome } from ".";

const outcome = (batch: number, ln: Outcome["ln"], part: Partial<Outcome> = {}): Outcome => ({
  ...{ of: { "rate/pan": 1 }, ln, sd: 0.05, at: batch, batch: `b${batch}` },
  ...part,
});

describe("what was learned", () => {
  it("is held against batches that it was not learned from", () => {
    const house = [0.4, 0.35, 0.45, 0.38, 0.42].map((ln, i) => outcome(i, ln));
    const gain = learningGains(house).get("rate/pan");
    expect(gain).toMatchObject({ batches: 5 });
    expect(gain?.byTables).toBeCloseTo(0.4, 6);
    expect(gain?.byHouse).toBeLessThan(0.1);
    // By hand: two batches, each told by the other alone.
    const [one, other] = [outcome(0, 0.4), outcome(1, 0.2)];
    const alone = learningGains([one, other]).get("rate/pan");
    expect(alone?.byTables).toBeCloseTo(0.3, 6);
    expect(alone?.byHouse).toBeGreaterThan(0.05);
    expect(alone?.byHouse).toBeLessThan(0.3);
  });
  it("may be no better, and then says so: batches that differ by chance alone", () => {
    const chance = [0.5, -0.5, 0.5, -0.5, 0.5, -0.5].map((ln, i) => outcome(i, ln));
    const gain = learningGains(chance).get("rate/pan");
    expect(gain?.byHouse).toBeGreaterThanOrEqual(gain?.byTables ?? 9);
  });
  it("is not told of one batch, nor of what was forgotten; and of a word how far outside of it", () => {
    expect(learningGains([outcome(1, 0.4), outcome(1, 0.3)]).size).toBe(0);
    const two = [outcome(1, 0.4), outcome(2, 0.4)];
    expect(learningGains(two, { anew: { "rate/pan": 1 } }).size).toBe(0);
    const said = [1, 2, 3, 4].map((batch) => outcome(batch, [0.3, null], { of: { "body/hot/rice": 0.8, "body/hot/milk": 0.2 } }));
    const gain = learningGains(said).get("body/hot/rice");
    expect(gain?.byTables).toBeCloseTo(0.3, 6);
    expect(gain?.byHouse).toBeLessThan(0.2);
  });
});
