/** Writes src/data/foods/nature.json: what each shipped food is by nature, by the rules of scripts/foods/nature.ts. Run it when a food is added: npm run build:nature */
import { writeFileSync } from "node:fs";
import { FOODS } from "../src/data/foods";
import { natureOf } from "./foods/nature";

const rows = FOODS.map(({ id, family }) => {
  const { botanical, form, processing, binding, acidity } = natureOf(id, family);
  return ` ${JSON.stringify(id)}: ${JSON.stringify([botanical, form, processing, binding, acidity])}`;
});
writeFileSync(new URL("../src/data/foods/nature.json", import.meta.url), `{\n${rows.join(",\n")}\n}\n`);
