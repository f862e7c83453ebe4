/** Ways out of every fault of the demo's sweets, and what their Method stations show. */
import { DEMO_RECIPES, kitchenOf } from "../src/data";
import { asHandedDown } from "../src/core/adaptation";
import { USUAL_SOURCES } from "../src/core/kitchen";
import { FAULTS } from "../src/core/rescue";
import { methodView, rescueOf } from "../src/core/views";
import { read, tableOf } from "../tests/support/kitchen";

type Row = [what: string, figure: string, aim: string];

export async function rescues(timed: (work: () => unknown) => Promise<number>, spread: (values: readonly number[]) => string): Promise<readonly Row[]> {
  const kitchen = kitchenOf(USUAL_SOURCES);
  const times: number[] = [];
  let mends = 0;
  for (const round of [0, 1])
    for (const { text } of DEMO_RECIPES) {
      const recipe = read(text);
      const table = tableOf({ servings: recipe.recipe.servings });
      const { version } = asHandedDown(recipe, table);
      for (const fault of FAULTS) {
        const time = await timed(() => {
          const told = rescueOf(version, recipe, table, { fault, grams: null, upTo: null, celsius: null, notAtHand: [] }, kitchen);
          if (told.kind === "ways out") mends += told.ways.length;
        });
        // The first round warms up.
        if (round > 0) times.push(time);
      }
    }
  const pages: number[] = [];
  for (const round of [0, 1])
    for (const { text } of DEMO_RECIPES) {
      const { recipe } = read(text);
      const time = await timed(() => methodView({ recipe, table: tableOf({ servings: recipe.servings }), bench: null }, kitchen));
      if (round > 0) pages.push(time);
    }
  return [
    [`what the Method station shows of ${DEMO_RECIPES.length} sweets, each read anew, with cues and leftovers`, spread(pages), "p95 200 ms"],
    [`ways out of ${FAULTS.length} faults of ${DEMO_RECIPES.length} sweets, ${mends / 2} in all`, spread(times), "p95 100 ms"],
  ];
}
