import type { StepMinutes } from "../../../core/recipe";
import { formatGrams } from "../../../core/units";
import type { ToldStep, ToldTake } from "../../../core/views";

export const OPERATION_WORDS: Readonly<Record<ToldStep["operation"], string>> = {
  mix: "mix",
  soak: "soak",
  wash: "wash",
  peel: "peel, core",
  grind: "grind, grate, mash",
  press: "press through a cloth",
  roast: "roast dry or in fat",
  fry: "fry",
  simmer: "simmer, cook",
  reduce: "boil down",
  pressure: "cook under pressure",
  steam: "steam",
  bake: "bake",
  caramelise: "caramelise",
  dissolve: "melt, dissolve",
  temper: "temper eggs",
  slake: "slake starch",
  infuse: "infuse and take out",
  chill: "chill, set",
  rest: "rest, cool",
  shape: "shape, cut",
  transfer: "pour, turn out",
  "serve apart": "serve apart",
};

export const HEAT_WORDS = { steaming: "barely steaming", simmer: "simmering", brisk: "boiling briskly", rolling: "rolling boil" } as const;

const span = (minutes: number) => {
  if (minutes < 1) return `${Math.round(minutes * 60)} s`;
  if (minutes < 120) return `${Math.round(minutes * 2) / 2} min`;
  return `${Math.round(minutes / 6) / 10} h`;
};

/** "12 min (10 to 15)". */
export function minutesWords({ shortest, usual, longest }: StepMinutes): string {
  const unit = usual < 120 ? 1 : 60;
  const plain = (minutes: number) => String(Math.round((minutes / unit) * 2) / 2);
  return shortest === usual && longest === usual ? span(usual) : `${span(usual)} (${plain(shortest)} to ${plain(longest)})`;
}

/** What goes in at a step, with its grams: "50 % of sugar 50 g". */
export const takeWords = ({ name, share, grams }: ToldTake): string =>
  `${share > 0.995 ? "" : `${Math.round(100 * share)} % of `}${name.toLowerCase()}${grams === null ? "" : ` ${formatGrams(grams)}\u00a0g`}`;
