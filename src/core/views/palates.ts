import type { Constants } from "../food";
import type { KeptFigures } from "../evaluate";
import { learnedKey } from "../food";
import { levelOf, tastedLevel } from "../models/sweetness";
import type { DiningTable } from "../table";
import { formatNumber } from "../units";

/** How an eater who likes it other than it is made here will find a version. */
export interface Palate {
  readonly eater: string;
  readonly name: string;
  /** The most and least sweetness, as sugar in g per 100 g, that is level for them. */
  readonly level: { readonly low: number; readonly high: number };
  readonly state: "level" | "too sweet" | "not sweet enough";
  /** "level for Uncle". */
  readonly words: string;
  /** What that rests on, in figures. */
  readonly why: string;
}

const SAID: Readonly<Record<Palate["state"], (name: string) => string>> = {
  level: (name) => `Level for ${name}`,
  "too sweet": (name) => `Sweeter than ${name} likes it`,
  "not sweet enough": (name) => `Less sweet than ${name} likes it`,
};

/** Of those at the table who like it sweeter or less sweet than it is made here, by what they said of batches before what they say of themselves. What is not known of others is not told. */
export function palatesOf({ seats = [], serve }: DiningTable, before: KeptFigures, after: KeptFigures, constants: Constants): readonly Palate[] {
  return seats.flatMap(({ eater, name, taste }): Palate[] => {
    const learned = constants.learned[learnedKey.wantedSweetness(eater)];
    if (learned === undefined && (taste === undefined || taste === "as made here")) return [];
    const usual = before[`sweetness.${serve}`].value;
    const now = after[`sweetness.${serve}`].value;
    const level = learned ? tastedLevel(usual, learned, constants) : levelOf(usual, taste ?? "as made here", constants);
    const state = now > level.high ? "too sweet" : now < level.low ? "not sweet enough" : "level";
    const share = Math.round(Math.abs(level.target / Math.max(1e-9, usual) - 1) * 100);
    return [
      {
        eater,
        name,
        level: { low: level.low, high: level.high },
        state,
        words: SAID[state](name),
        why: `${formatNumber(Math.round(now * 10) / 10)} g as sugar per 100 g, served ${serve === "room" ? "at room heat" : serve}; level for ${name} is ${formatNumber(Math.round(level.low * 10) / 10)} to ${formatNumber(Math.round(level.high * 10) / 10)} g, ${
          share === 0 ? "as in the recipe" : `${share} % ${level.target > usual ? "above" : "below"} the recipe`
        } (${learned ? `by ${learned.batches === 1 ? "a batch" : `${learned.batches} batches`} tasted here` : "rule of thumb, until tastings tell"})`,
      },
    ];
  });
}
