import { describe, expect, it } from "vitest";
import { celsius } from "../../units";
import { REFERENCE } from "../../../data";
import { INDEX, type Food } from "../../food";
import { balance } from "../../recipe";
import { rebaudiosideSweetness, relativeSweetness, sweetness } from "./sweetness";

const constants = REFERENCE.constants;
const get = (id: string): Food => {
  const food = REFERENCE.foods.get(id);
  if (!food) throw new Error(id);
  return food;
};
const mix = (...parts: readonly (readonly [id: string, grams: number])[]) =>
  balance(
    parts.map(([id, grams]) => ({ food: get(id), grams, sd: 0, role: get(id).role })),
    0,
    null,
  );
const fructoseAt = (at: number) => relativeSweetness(celsius(at), constants).find(([index]) => index === INDEX.fructose)?.[1];

describe("sweetness", () => {
  it("gives fructose by temperature as published (Tsuzuki & Yamazaki 1953)", () => {
    expect([5, 18, 40, 60].map(fructoseAt)).toEqual([1.44, 1.29, 1.0, 0.79]);
    expect(fructoseAt(29)).toBeCloseTo((1.29 + 1) / 2, 6);
  });

  it("reads a sucrose solution as its own share, at any temperature", () => {
    const syrup = mix(["sugar", 100.2], ["water", 899.8]);
    for (const at of [8, 22, 60]) expect(sweetness(syrup, celsius(at), constants)).toBeCloseTo(10, 1);
  });

  it("gives rebaudioside A by its curve (DuBois 1991): 3.75, 6.0, 7.5 % at 120, 300, 600 mg/L, never 10", () => {
    expect([120, 300, 600].map((c) => rebaudiosideSweetness(c, constants.rebaudioside.value))).toEqual([3.75, 6, 7.5]);
    expect(rebaudiosideSweetness(1e7, constants.rebaudioside.value)).toBeLessThan(10);
  });

  it("finds a honey sweet sweeter cold than hot, and a sugar one the same", () => {
    const honeyed = mix(["honey", 150], ["cow-milk", 850]);
    expect(sweetness(honeyed, celsius(8), constants)).toBeGreaterThan(1.15 * sweetness(honeyed, celsius(60), constants));
  });

  it("counts stevia by the concentration in the finished sweet", () => {
    const sweet = mix(["stevia", 0.3125], ["water", 999.6875]);
    expect(sweetness(sweet, celsius(22), constants)).toBeCloseTo(6, 1);
  });
});
