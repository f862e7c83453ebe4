/**
 * Writes src/data/foods/foods-1.json and so on: all shipped foods whole, of the measured rows, those by hand, and their
 * nature, in as many parts, so that a browser takes in one at a time. The last step of: npm run build:foods
 */
import { writeFileSync } from "node:fs";
import { makeFoods } from "../src/data/foods/make-foods";

const PARTS = 4;
const foods = makeFoods();
const each = Math.ceil(foods.length / PARTS);
for (let part = 0; part < PARTS; part++) {
  const rows = foods.slice(part * each, (part + 1) * each).map((food) => JSON.stringify(food));
  writeFileSync(new URL(`../src/data/foods/foods-${part + 1}.json`, import.meta.url), `[\n${rows.join(",\n")}\n]\n`);
}
console.log(`${foods.length} foods written`);
