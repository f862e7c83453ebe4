/** Intervals by first order beside those by draws, over the demo's sweets: how wide each, and what draws cost. */
import { recipeInput } from "../src/core/adaptation";
import { DRAWS, drawnFigures, evaluate, PROPERTY_IDS } from "../src/core/evaluate";
import { DEMO_RECIPES, REFERENCE } from "../src/data";
import { read, tableOf } from "../tests/support/kitchen";
import { sweetOf } from "./bench-spreadsheet";

const { constants } = REFERENCE;
const quantile = (values: readonly number[], q: number) => values[Math.min(values.length - 1, Math.floor(q * values.length))] ?? 0;

export function besideDraws(): [string, string, string][] {
  const widths: number[] = [];
  let [inside, all] = [0, 0];
  for (const [seed, { text }] of DEMO_RECIPES.entries()) {
    const recipe = read(text);
    const input = recipeInput(recipe, tableOf({ servings: recipe.recipe.servings }));
    const { figures } = evaluate(input, constants);
    drawnFigures(input, PROPERTY_IDS, constants, seed + 1, DRAWS, (at, drawn) => {
      const id = PROPERTY_IDS[at];
      if (!id || figures[id].high - figures[id].low <= 1e-6 * Math.abs(figures[id].value)) return;
      for (const value of drawn) if (value >= figures[id].low && value <= figures[id].high) inside++;
      all += drawn.length;
    }).forEach(({ low, high }, at) => {
      const id = PROPERTY_IDS[at];
      const width = id ? figures[id].high - figures[id].low : 0;
      if (id && width > 1e-6 * Math.abs(figures[id].value)) widths.push((high - low) / width);
    });
  }
  widths.sort((a, b) => a - b);
  const forty = sweetOf(40);
  for (let i = 0; i < 3; i++) drawnFigures(forty, PROPERTY_IDS, constants, i);
  const start = performance.now();
  for (let i = 0; i < 5; i++) drawnFigures(forty, PROPERTY_IDS, constants, i);
  return [
    [`${DRAWS} draws of 40 lines, all properties`, `${((performance.now() - start) / 5).toFixed(0)} ms`, "≤ 300 ms"],
    ["draws inside the intervals by first order, the demo's sweets", `${((100 * inside) / Math.max(1, all)).toFixed(1)} %`, "80 %"],
    [
      "width of the interval by draws, of that by first order",
      `median ${quantile(widths, 0.5).toFixed(2)}, 5 to 95 %: ${quantile(widths, 0.05).toFixed(2)} to ${quantile(widths, 0.95).toFixed(2)}`,
      "1",
    ],
  ];
}
