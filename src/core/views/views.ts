import type { Kitchen } from "../kitchen";
import { benchProblem, endingView } from "./bench-ending";
import { benchView, earlierBenches } from "./bench-view";
import { foundFoods } from "./found-foods";
import { batchView } from "./batch-view";
import { packetListView, packetView } from "./packet-view";
import { recipeView } from "./recipe-view";
import { exchangeGrams, substitutesView } from "./substitutes-view";
import { baseProblem, splitBase } from "./split-base";
import { splitPlan, splitProblem, splitView } from "./split-view";
import { methodView } from "./method-view";
import { rescueView, stoveRescueView } from "./rescue-view";
import { stockLine } from "./stock-line";
import { stoveView } from "./stove-view";
import { suitEnding, suitProblem, suitView } from "./suiting-view";
import { tradeOffView } from "./trade-off-view";
import { tableView } from "./table-view";
import { waysView } from "./ways-view";
import { drawnOf, workingOf } from "./working-view";

/** All that is computed for what is shown, each of its question, in a kitchen. Questions and answers can be cloned. */
export const VIEWS = {
  table: tableView,
  recipe: recipeView,
  bench: benchView,
  "bench problem": benchProblem,
  "bench ending": endingView,
  "earlier benches": earlierBenches,
  substitutes: substitutesView,
  "exchange grams": exchangeGrams,
  batch: batchView,
  "trade-off": tradeOffView,
  "split plan": splitPlan,
  "split problem": splitProblem,
  "split base problem": baseProblem,
  "split base": splitBase,
  split: splitView,
  method: methodView,
  rescue: rescueView,
  stove: stoveView,
  "stock line": stockLine,
  "stove rescue": stoveRescueView,
  suit: suitView,
  "suit problem": suitProblem,
  "suit ending": suitEnding,
  foods: foundFoods,
  packet: packetView,
  "packet list": packetListView,
  ways: waysView,
  working: workingOf,
  draws: drawnOf,
};

export type ViewKind = keyof typeof VIEWS;
export type ViewQuestion<Kind extends ViewKind> = Parameters<(typeof VIEWS)[Kind]>[0];
export type ViewAnswer<Kind extends ViewKind> = ReturnType<(typeof VIEWS)[Kind]>;

/** The answer to one question. */
export function viewOf<Kind extends ViewKind>(kind: Kind, question: ViewQuestion<Kind>, kitchen: Kitchen): ViewAnswer<Kind> {
  const view = VIEWS[kind] as (question: ViewQuestion<Kind>, kitchen: Kitchen) => ViewAnswer<Kind>;
  return view(question, kitchen);
}
