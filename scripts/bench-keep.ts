/** What the Keep station shows of sweets, each read anew: how long, allergens, label by all rule books, boxes, cooling; and a page that goes out. */
import { DEMO_EATERS, DEMO_RECIPES, kitchenOf } from "../src/data";
import { evaluateRecipe, openRecipe, USUAL_SOURCES } from "../src/core/kitchen";
import { NOTHING_MORE } from "../src/core/exchange";
import { keepView, shareView } from "../src/core/views";
import { seat, type DiningTable } from "../src/core/table";
import { randomOf, randomSweet, toKeep } from "../tests/support/sweets";
import { tableOf } from "../tests/support/kitchen";
import { writeSheet } from "../src/ui/stations/keep/sheet/write-sheet";

type Row = [what: string, figure: string, aim: string];
const RANDOM = 60;

export async function keeping(
  timed: (work: () => unknown) => Promise<number>,
  spread: (values: readonly number[], digits?: number) => string,
): Promise<readonly Row[]> {
  const kitchen = kitchenOf(USUAL_SOURCES);
  const texts = [...DEMO_RECIPES.map(({ text }) => text), ...Array.from({ length: RANDOM }, (_, i) => randomSweet(randomOf(i + 1)).text)];
  const table = DEMO_EATERS.eaters.reduce<DiningTable>((at, eater) => seat(at, eater), tableOf());
  const [labels, alone, pages]: [number[], number[], number[]] = [[], [], []];
  let bytes = 0;
  for (const round of [0, 1])
    for (const text of texts) {
      const question = toKeep(text, { eaters: DEMO_EATERS.eaters, table });
      const label = await timed(() => keepView(question, kitchen));
      const evaluated = await timed(() => evaluateRecipe(openRecipe({ ...question.recipe }, kitchen), question.table, kitchen));
      const page = await timed(() => {
        bytes = Math.max(bytes, writeSheet(shareView({ ...question, label: null, why: "", wishes: NOTHING_MORE }, kitchen), {}).length);
      });
      // The first round warms up.
      if (round === 0) continue;
      labels.push(label);
      alone.push(evaluated);
      pages.push(page);
    }
  const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 1;
  return [
    [
      `label, keeping and boxes of ${texts.length} sweets for ${DEMO_EATERS.eaters.length} eaters`,
      `${spread(labels, 1)}; ${(median(labels) / median(alone)).toFixed(0)} times reading and evaluating it alone`,
      "label 50 ms",
    ],
    [`the page of it that goes out, with drawn cues; the largest ${(bytes / 1000).toFixed(0)} kB`, spread(pages, 1), ""],
  ];
}
