import { kitchenOf } from "./src/data";
import { USUAL_SOURCES } from "./src/core/kitchen";
import { methodView } from "./src/core/views";
import { read, tableOf } from "./tests/support/kitchen";
import { KINDS, textOfCase } from "./tests/support/cases";
const kitchen = kitchenOf(USUAL_SOURCES);
const extra = process.argv[2] ? (await import("node:fs")).readFileSync(process.argv[2], "utf8").split(/\n====\n/) : KINDS.map(textOfCase);
for (const text of extra) {
  const of = read(text);
  const view = methodView({ recipe: of.recipe, table: tableOf({ servings: of.recipe.servings }), bench: null }, kitchen);
  console.log("\n## " + of.recipe.title, of.archetype);
  for (const s of [...view.before, ...view.steps]) {
    console.log(" -", s.text, s.atOnce ? `[${s.atOnce}]` : "");
    for (const c of s.cues) console.log("     ", c.id, "|", c.told.map((t) => t.sense + ": " + t.words[1]).join(" / "), c.shade ? c.shade.words.join(">") : "", c.by ?? "");
  }
  for (const p of view.strip) if (p.beside) console.log("beside", p);
}
