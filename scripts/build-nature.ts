/** Writes src/data/foods/nature.json: what each shipped food is by nature, by the rules of scripts/foods/nature.ts. The second step of: npm run build:foods */
import { writeFileSync } from "node:fs";
import { makeFoods } from "../src/data/foods/make-foods";
import { natureOf } from "./foods/nature";

const rows = makeFoods().map(({ id, family }) => {
  const { botanical, form, processing, binding, acidity } = natureOf(id, family);
  return ` ${JSON.stringify(id)}: ${JSON.stringify([botanical, form, processing, binding, acidity])}`;
});
writeFileSync(new URL("../src/data/foods/nature.json", import.meta.url), `{\n${rows.join(",\n")}\n}\n`);
