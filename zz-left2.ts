import { kitchenOf } from "./src/data";
import { USUAL_SOURCES } from "./src/core/kitchen";
import { methodView } from "./src/core/views";
import { read, tableOf } from "./tests/support/kitchen";
const kitchen = kitchenOf(USUAL_SOURCES);
for (const text of [
"Milk balls\nMakes 12 pieces\n\n200 g khoa\n40 g flour\n\nSyrup to serve:\n300 g sugar\n200 ml water\n\n1. Knead the khoa and flour and shape 12 balls.\n2. Boil the sugar and water for 5 minutes.",
"Milk balls\nMakes 12 pieces\n\nFor the balls:\n200 g khoa\n40 g flour\n\nFor serving:\n300 g sugar\n200 ml water\n\nMethod:\n1. Knead the khoa and flour and shape 12 balls.\n2. Boil the sugar and water for 5 minutes and pass it at the table."]) {
  const of = read(text);
  console.log(of.recipe.components, of.ledger.apart, of.lines.map((l) => [l.food.id, l.apart]));
  const view = methodView({ recipe: of.recipe, table: tableOf({ servings: of.recipe.servings }), bench: null }, kitchen);
  console.log(view.leftovers);
}
