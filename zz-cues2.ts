import { kitchenOf } from "./src/data";
import { USUAL_SOURCES } from "./src/core/kitchen";
import { methodView } from "./src/core/views";
import { read, tableOf } from "./tests/support/kitchen";
import * as W from "./tests/golden/written-recipes";
const kitchen = kitchenOf(USUAL_SOURCES);
const texts = Object.values(W).flat(1) as any[];
for (const each of texts) {
  const text = typeof each === "string" ? each : each?.text;
  if (typeof text !== "string") continue;
  const of = read(text);
  const view = methodView({ recipe: of.recipe, table: tableOf({ servings: of.recipe.servings }), bench: null }, kitchen);
  console.log("\n## " + of.recipe.title, of.archetype);
  for (const s of [...view.before, ...view.steps]) console.log(" -", s.text.slice(0, 230), "=>", s.cues.map((c) => c.id + (c.by && c.id === "body" ? " " + c.by.slice(5, 9) : "")).join(", "), s.atOnce ? `[2h]` : "");
  for (const p of view.strip) if (p.beside) console.log("   beside", p.isClash);
}
