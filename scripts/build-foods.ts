/** Writes src/data/foods/foods.json: all shipped foods whole, of the measured rows, those by hand, and their nature. The last step of: npm run build:foods */
import { writeFileSync } from "node:fs";
import { makeFoods } from "../src/data/foods/make-foods";

const foods = makeFoods();
writeFileSync(new URL("../src/data/foods/foods.json", import.meta.url), `[\n${foods.map((food) => JSON.stringify(food)).join(",\n")}\n]\n`);
console.log(`${foods.length} foods written`);
