import { describe, expect, it } from "vitest";
import { food } from "../../../../tests/support/kitchen";
import { REFERENCE } from "../../../data";
import { energyKilojoules } from "../../food";
import { addedSugarsPerGram, amountPerGram, freeSugarsPerGram } from "./nutrition";

const { constants } = REFERENCE;
const free = (id: string, school: "who" | "uk") => freeSugarsPerGram(food(id), food(id).per100g, school, constants);

describe("nutrition", () => {
  it("counts free sugars by two schools: paste none and all, milk never, honey always, chopped dates half", () => {
    expect(free("date-paste", "who")).toBe(0);
    expect(free("date-paste", "uk")).toBeCloseTo(0.527, 2);
    expect(free("cow-milk", "uk")).toBe(0);
    expect(free("oat-drink", "who")).toBe(0);
    expect(free("oat-drink", "uk")).toBeGreaterThan(0.03);
    expect(free("honey", "who")).toBeGreaterThan(0.75);
    expect(free("dates", "uk")).toBeCloseTo(freeSugarsPerGram({ ...food("dates"), sugarClass: "puréed fruit" }, food("dates").per100g, "uk", constants) / 2, 9);
    expect(free("raisins", "uk")).toBe(0);
  });
  it("leaves the lactose of condensed milk out of free and added sugars", () => {
    expect(free("condensed-milk", "uk")).toBeCloseTo(0.43, 3);
    expect(addedSugarsPerGram(food("condensed-milk"), food("condensed-milk").per100g)).toBeCloseTo(0.43, 3);
    expect(addedSugarsPerGram(food("date-paste"), food("date-paste").per100g)).toBe(0);
  });
  it("gives energy by factors: fat 37, sugar 17, erythritol none", () => {
    const factors = constants.energyPerGram.value;
    expect(energyKilojoules(food("ghee").per100g, factors)).toBeCloseTo(3700, 0);
    expect(energyKilojoules(food("sugar").per100g, factors)).toBeCloseTo(1700, -1);
    expect(energyKilojoules(food("erythritol").per100g, factors)).toBe(0);
  });
  it("loads by GI and carbohydrate (Wolever & Jenkins 1986): 50 g of sucrose at GI 65", () => {
    expect(50 * amountPerGram("glycaemicLoad", food("sugar"), food("sugar").per100g, constants)).toBeCloseTo(32.5, 1);
  });
});
