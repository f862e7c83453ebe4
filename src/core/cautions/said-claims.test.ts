import { describe, expect, it } from "vitest";
import { read } from "../../../tests/support/kitchen";
import { REFERENCE, RETENTION, RULE_BOOKS, RULES } from "../../data";
import { saidClaims } from ".";

const tables = { rules: RULES, books: RULE_BOOKS, retention: RETENTION, constants: REFERENCE.constants };
const said = (title: string, lines: readonly string[], steps: readonly string[] = ["Simmer for 10 minutes."]) =>
  saidClaims(read([title, "", "Serves 4", "", ...lines, "", "Method", ...steps].join("\n")), tables).map(({ words, verdict }) => `${words}: ${verdict}`);
const MILK = ["1 litre milk", "100 g rice", "80 g sugar"];
const OAT = ["1 litre coconut milk", "100 g rice", "80 g jaggery"];

describe("what a recipe says of itself", () => {
  it.each([
    ["Vegan kheer", MILK, ["Vegan: contradicted"]],
    ["Dairy-free rice pudding", MILK, ["Dairy-free: contradicted"]],
    ["Sugarless kheer", MILK, ["Sugarless: contradicted"]],
    ["Kheer with no added sugar", MILK, ["no added sugar: contradicted"]],
    ["Kheer without refined sugar", MILK, ["without refined sugar: contradicted"]],
    ["Low-fat, high-protein kheer", ["1 litre cream", "100 g rice"], ["Low-fat: contradicted", "high-protein: contradicted"]],
    ["Gluten free halwa", ["200 g semolina", "100 g sugar", "400 ml water"], ["Gluten free: contradicted"]],
    ["Nut-free barfi", ["200 g cashews", "100 g sugar"], ["Nut-free: contradicted"]],
    ["Vegan kheer", [...OAT, "2 tbsp zibibbo"], ["Vegan: not known"]],
    ["Fat-free kheer", [...OAT.slice(1), "2 tbsp zibibbo"], ["Fat-free: not known"]],
  ])("is held against its lines and figures: %s", (title, lines, told) => expect(said(title, lines)).toEqual(told));
  it("is held against its steps too", () => {
    expect(said("Vegan halwa", ["200 g semolina", "100 g sugar", "400 ml water"], ["Finish with a spoon of ghee."])).toEqual(["Vegan: contradicted"]);
  });
  it.each([
    ["Vegan kheer", OAT],
    ["Kheer without refined sugar", OAT],
    ["Not vegan, but good", MILK],
    ["Kheer, with a vegan option", MILK],
    ["Kheer for a vegan table", MILK],
    ["Oat kheer with dairy-free milk", MILK],
    ["Unsweetened kheer", ["1 litre milk", "100 g rice", "1 tsp lemon juice", "20 g erythritol"]],
  ])("is not told where it holds, or is not said of it: %s", (title, lines) => expect(said(title, lines)).toEqual([]));
});
