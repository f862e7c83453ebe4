import { bodyHolds, type KeptFigures } from "../evaluate";
import { learnedKey, type Constants, type LearnedFactor, type ServingTemperature } from "../food";
import { levelOf, tastedLevel } from "../models/sweetness";
import { bodyWords } from "../models/texture";
import { Z80 } from "../numeric";
import { bodyOfIndex, indexOfBody } from "../process";
import type { DiningTable, Seat } from "../table";
import { formatNumber } from "../units";

/** How an eater who likes it other than it is made here will find a version. */
export interface Palate {
  readonly eater: string;
  readonly name: string;
  readonly of: "sweetness" | "body";
  /** The most and least that is level for them: sweetness as sugar in g per 100 g, body in steps of 10. */
  readonly level: { readonly low: number; readonly high: number };
  readonly state: "level" | "too sweet" | "not sweet enough" | "too thick" | "too thin";
  /** "level for Uncle". */
  readonly words: string;
  /** What that rests on, in figures. */
  readonly why: string;
}

const SAID: Readonly<Record<Palate["state"], (name: string) => string>> = {
  level: (name) => `Level for ${name}`,
  "too sweet": (name) => `Sweeter than ${name} likes it`,
  "not sweet enough": (name) => `Less sweet than ${name} likes it`,
  "too thick": (name) => `Thicker than ${name} likes it`,
  "too thin": (name) => `Thinner than ${name} likes it`,
};
const tenths = (value: number): string => formatNumber(Math.round(value * 10) / 10);

/**
 * Of those at the table who like it sweeter or less sweet, thicker or thinner than it is made here: sweetness by what they said of
 * batches before what they say of themselves, body by what they said of batches. What is not known of others is not told.
 */
export function palatesOf({ seats = [], serve }: DiningTable, before: KeptFigures, after: KeptFigures, constants: Constants): readonly Palate[] {
  const served = `served ${serve === "room" ? "at room heat" : serve}`;
  return seats.flatMap((seat) => [
    ...sweetnessFor(seat, [before, after], served, serve, constants),
    ...bodyFor(seat, [before, after], served, serve, constants),
  ]);
}

type BeforeAfter = readonly [before: KeptFigures, after: KeptFigures];
const byBatches = ({ batches }: LearnedFactor): string => `by ${batches === 1 ? "a batch" : `${batches} batches`} tasted here`;

function sweetnessFor(
  { eater, name, taste }: Seat,
  [before, after]: BeforeAfter,
  served: string,
  serve: ServingTemperature,
  constants: Constants,
): readonly Palate[] {
  const learned = constants.learned[learnedKey.wantedSweetness(eater)];
  if (learned === undefined && (taste === undefined || taste === "as made here")) return [];
  const usual = before[`sweetness.${serve}`].value;
  const now = after[`sweetness.${serve}`].value;
  const level = learned ? tastedLevel(usual, learned, constants) : levelOf(usual, taste ?? "as made here", constants);
  const state = now > level.high ? "too sweet" : now < level.low ? "not sweet enough" : "level";
  const share = Math.round(Math.abs(level.target / Math.max(1e-9, usual) - 1) * 100);
  const beside = share === 0 ? "as in the recipe" : `${share} % ${level.target > usual ? "above" : "below"} the recipe`;
  return [
    {
      eater,
      name,
      of: "sweetness",
      level: { low: level.low, high: level.high },
      state,
      words: SAID[state](name),
      why: `${tenths(now)} g as sugar per 100 g, ${served}; level for ${name} is ${tenths(level.low)} to ${tenths(level.high)} g, ${beside} (${learned ? byBatches(learned) : "rule of thumb, until tastings tell"})`,
    },
  ];
}

function bodyFor({ eater, name }: Seat, [before, after]: BeforeAfter, served: string, serve: ServingTemperature, constants: Constants): readonly Palate[] {
  const learned = constants.learned[learnedKey.wantedBody(eater)];
  const id = serve === "hot" || serve === "warm" ? "body.hot" : "body.chilled";
  if (learned === undefined || !bodyHolds(before) || !bodyHolds(after)) return [];
  const [usual, now] = [before[id].value, after[id].value];
  if (!(usual > 0)) return [];
  const at = (ln: number) => bodyOfIndex(indexOfBody(usual, constants) * Math.exp(ln), constants);
  const target = at(learned.ln);
  const noticed = constants.noticeable.value.body;
  const level = { low: Math.min(target - noticed, at(learned.ln - Z80 * learned.sd)), high: Math.max(target + noticed, at(learned.ln + Z80 * learned.sd)) };
  const state = now > level.high ? "too thick" : now < level.low ? "too thin" : "level";
  return [
    {
      eater,
      name,
      of: "body",
      level,
      state,
      words: state === "level" ? `Right in body for ${name}` : SAID[state](name),
      why: `body ${tenths(now)} of 10, ${served} (${bodyWords(now, constants)}); level for ${name} is ${tenths(Math.max(0, level.low))} to ${tenths(Math.min(10, level.high))}, ${tenths(usual)} in the recipe (${byBatches(learned)})`,
    },
  ];
}

/** How sweet and thick somebody at a table wants it, beside this sweet as handed down, as their answers say; nothing of who said nothing. */
export function wantedAt({ seats = [] }: DiningTable, { learned }: Constants): readonly { readonly eater: string; readonly words: string }[] {
  return seats.flatMap(({ eater, name }) => {
    const told = (factor: LearnedFactor | undefined, more: string, less: string, same: string) => {
      if (factor === undefined) return [];
      const [low, value, high] = [-Z80, 0, Z80].map((sds) => Math.round(100 * Math.expm1(factor.ln + sds * factor.sd)));
      const range = `${signed(low ?? 0)} to ${signed(high ?? 0)} %, 8 times in 10`;
      return [value === 0 ? `${same} (${range})` : `${Math.abs(value ?? 0)} % ${(value ?? 0) > 0 ? more : less} (${range})`];
    };
    const [sweet, thick] = [learned[learnedKey.wantedSweetness(eater)], learned[learnedKey.wantedBody(eater)]];
    const all = [
      ...told(sweet, "sweeter than handed down", "less sweet than handed down", "as sweet as handed down"),
      ...told(thick, "more of what thickens", "less of what thickens", "as thick as handed down"),
    ];
    const by = sweet ?? thick;
    return all.length === 0 || !by ? [] : [{ eater, words: `${name} wants it ${all.join(", and ")}, ${byBatches(by)}.` }];
  });
}
const signed = (percent: number): string => (percent < 0 ? `−${-percent}` : percent === 0 ? "0" : `+${percent}`);
