import { kitchenOf } from "./src/data";
import { USUAL_SOURCES } from "./src/core/kitchen";
import { methodView } from "./src/core/views";
import { read, tableOf } from "./tests/support/kitchen";
import { KINDS, textOfCase } from "./tests/support/cases";
import { DEMO_RECIPES } from "./src/data";
const kitchen = kitchenOf(USUAL_SOURCES);
const texts = [...KINDS.map(textOfCase), ...DEMO_RECIPES.map((r: any) => r.text),
"Almond kheer\nServes 4\n\n150 g almonds\n700 ml water\n60 g rice\n80 g jaggery\n\n1. Soak the almonds overnight, peel, blend with the water and press through a cloth.\n2. Simmer the rice in the almond milk for 30 minutes.\n3. Stir in the jaggery.",
"Milk balls in syrup\nMakes 12 pieces\n\n200 g khoa\n40 g flour\n\nSyrup, to serve\n300 g sugar\n200 ml water\n\n1. Knead the khoa and flour and shape 12 balls.\n2. Boil the sugar and water for 5 minutes."];
for (const text of texts) {
  const of = read(text);
  for (const rules of [[], ["vegan"]]) {
  const view = methodView({ recipe: of.recipe, table: tableOf({ servings: of.recipe.servings, rules }), bench: null }, kitchen);
  for (const l of view.leftovers) console.log(of.recipe.title, rules, "|", l.title, "|", l.from.name, l.from.grams.toFixed(0), "|", l.adds.map((a) => `${a.name} ${a.grams.toFixed(1)} (${a.low.toFixed(0)}-${a.high.toFixed(0)})`).join(", "), "|", l.words, "| comes", l.grams.toFixed(0), "sweet", l.sweetness.toFixed(1), "fs", l.freeSugars.toFixed(1));
  }
}
