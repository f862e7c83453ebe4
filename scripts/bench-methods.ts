import { methodFor } from "../src/core/adaptation";
import { hazardsOf } from "../src/core/hazards";
import { methodOf } from "../src/core/method";
import { scaledFor, type VersionRow } from "../src/core/substitution";
import { HANDLING, REFERENCE } from "../src/data";
import { readRecipe, type Recipe } from "../src/core/recipe";
import { inWays } from "../src/core/ways";
import { context, food, read, tableOf } from "../tests/support/kitchen";

const TWENTY = `Rice and lentil pudding
Serves 8

1.5 litre milk
120 g rice
60 g moong dal
150 g sugar
40 g ghee
20 g cashews
20 g raisins
1 tsp cardamom
1 pinch saffron
30 g almonds

${Array.from({ length: 5 }, (_, i) => [
  "Wash the rice and soak it for 30 minutes.",
  "Roast the moong dal in the ghee for 4 minutes, stirring, until it smells of nuts.",
  "Pour in the milk, bring it to a simmer and cook for 25 minutes, stirring now and then.",
  i === 4
    ? "Stir in the sugar, the cardamom and the saffron; fry the cashews, the raisins and the almonds and scatter them over."
    : "Stir, and cook for 5 minutes more.",
])
  .flat()
  .map((text, i) => `${i + 1}. ${text}`)
  .join("\n")}`;

const FIVE = { "rice rinsed": "not rinsed", salt: "a pinch", fat: "little", nuts: "raw", cardamom: "early" };
const open = (recipe: Recipe) => readRecipe(recipe, context, REFERENCE.constants);

/** What a version's steps and its hazards take, of a recipe of 20 steps. */
export function methods(): [what: string, figure: string, aim: string][] {
  const recipe = read(TWENTY);
  const { lines, evaporation } = scaledFor(recipe, 8);
  const other = new Map([
    ["cow-milk", "soy-milk"],
    ["white-rice", "barnyard-millet"],
    ["cashew", "pumpkin-seeds"],
    ["ghee", "coconut-oil"],
  ]);
  const rows = lines.map((line): VersionRow => {
    const id = other.get(line.food.id);
    return { ...line, line: line.id, ...(id ? { food: food(id), change: "replaced" as const, why: "no dairy" } : { change: "as is" as const, why: "" }) };
  });
  const version = { rows, evaporation: evaporation.value };
  const table = tableOf({ servings: 8 });
  const ground = { read: recipe, handling: HANDLING, evaporation: evaporation.value, constants: REFERENCE.constants };
  const { method, words } = methodFor(recipe, version, table, { handling: HANDLING, constants: REFERENCE.constants });
  const said = new Map(words.map(({ step, segments }) => [step, segments.map(({ text }) => text).join("")] as const));
  const median = (work: () => unknown) => {
    for (let i = 0; i < 50; i++) work();
    const times = Array.from({ length: 200 }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }).sort((a, b) => a - b);
    return `median ${(times[100] ?? 0).toFixed(2)} ms, p95 ${(times[190] ?? 0).toFixed(2)} ms`;
  };
  return [
    [`steps of a version rebuilt, of ${recipe.steps.length}`, median(() => methodOf(ground, version)), "5 ms"],
    [
      "the same with words, hazards and times, beside the recipe's own",
      median(() => methodFor(recipe, version, table, { handling: HANDLING, constants: REFERENCE.constants })),
      "",
    ],
    [
      "hazards of these steps",
      median(() => hazardsOf({ method, textOf: ({ id }) => said.get(id) ?? "", version, archetype: recipe.archetype, serve: "hot" })),
      "2 ms",
    ],
    ["the recipe written in five ways of a household, and read again", median(() => inWays(recipe, FIVE, { open, constants: REFERENCE.constants })), ""],
  ];
}
