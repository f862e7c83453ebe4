import { kitchenOf } from "./src/data";
import { USUAL_SOURCES } from "./src/core/kitchen";
const kitchen = kitchenOf(USUAL_SOURCES);
const foods = [...kitchen.reference.foods.values()];
for (const row of kitchen.cues.rows) for (const n of [...(row.foods ?? []), ...Object.keys(row.shadeOf ?? {})]) if (!foods.some((f) => f.id === n || f.nature?.botanical === n)) console.log(row.id, n);
console.log(foods.filter((f) => /sesame|poppy|melon|sunflower|pumpkin-s|amaranth|gum|gond|saffron|fox/.test(f.id)).map((f) => f.id).join(" "));
for (const row of kitchen.cues.rows) for (const [k, t] of Object.entries(row.told)) if (new Set(t).size < 3) console.log(row.id, k, t);
