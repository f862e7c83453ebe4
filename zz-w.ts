import { kitchenOf } from "./src/data";
import { USUAL_SOURCES } from "./src/core/kitchen";
import { viewOf } from "./src/core/views";
import { read, tableOf } from "./tests/support/kitchen";
import { DEMO_RECIPES } from "./src/data";
const kitchen = kitchenOf(USUAL_SOURCES);
DEMO_RECIPES.forEach((r: any, i: number) => { const of = read(r.text); const f = viewOf("ways", { recipe: of.recipe, table: tableOf({ servings: of.recipe.servings }), ways: {} }, kitchen); console.log(i + 1, of.recipe.title, f.map((x) => x.of + ": " + x.written + " | " + x.options.map((o) => o.name + " (" + o.does.join(", ") + ")").join(" / "))); });
