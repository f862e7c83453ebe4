import { expect, it } from "vitest";
import { kitchenOf } from "../../data";
import { USUAL_SOURCES } from "../kitchen";
import type { Eater } from "../table";
import { mayClimb } from ".";

const kitchen = kitchenOf(USUAL_SOURCES);
const eater = (id: string, part: Partial<Eater> = {}): Eater => ({ id, name: id, rules: [], limits: [], note: "", ...part });

it("offers sugar water to nobody who minds sugar, is small, or fasts today", () => {
  const eaters = [
    eater("anybody", { rules: ["vegan", "no-cashew"], limits: [{ id: "sodium", most: 500, school: "uk" }] }),
    eater("sugars", { limits: [{ id: "freeSugars", most: 8, school: "uk" }] }),
    eater("load", { limits: [{ id: "glycaemicLoad", most: 10, school: "uk" }] }),
    eater("none added", { rules: ["no-added-sugar/whole-fruit"] }),
    eater("small", { rules: ["small-child"] }),
    eater("infant", { age: "under 1" }),
    eater("always", { rules: ["navratri"] }),
    eater("on its day", { rules: ["ekadashi/vaishnava"], onDays: ["ekadashi"] }),
    eater("older", { age: "older" }),
  ];
  const may = (falls: readonly string[] | null) => mayClimb(eaters, falls, kitchen).flatMap(({ name, may: is }) => (is ? [name] : []));
  expect(may([])).toEqual(["anybody", "on its day", "older"]);
  expect(may(["ekadashi"])).toEqual(["anybody", "older"]);
  // Where no place is named it is not known what falls: all fasts are kept.
  expect(may(null)).toEqual(["anybody", "older"]);
  for (const { may: is, why } of mayClimb(eaters, null, kitchen)) expect(why === "").toBe(is);
});
