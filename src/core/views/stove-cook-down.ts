import { TABLE_RATE_SD, type StoveState } from "../cook";
import type { EvaluationInput, Figures } from "../evaluate";
import { INDEX, SUGAR_INDICES, sumOf, type ServingTemperature } from "../food";
import { bodyWords } from "../models/texture";
import type { Figure } from "../numeric";
import { burnerCap, evaporationRate } from "../process";
import type { Version } from "../substitution";
import { fraction } from "../units";
import { drivenBy, type Aim, type Constants } from "./stove-aim";

/** To what the pot is cooked down, so that the sweet comes out as it was meant. */
export interface CookDown {
  /** g in the pot, without the pan; with less and more the difference is just not noticed. */
  readonly stop: Figure;
  /** Set by hand, not worked out. */
  readonly isSet: boolean;
  /** What was in it when the step began, g, as far as the masses tell. */
  readonly start: number;
  readonly solids: number;
  /** g a minute, of water alone, by a rule of practice or by so many batches in this pan; its logarithm's spread. */
  readonly prior: { readonly rate: number; readonly sd: number; readonly batches: number };
  /** How thick it is then, and when it is served; empty of what is bound, and where more is to boil away later. */
  readonly words: string;
  /** g per ml, for what is told by a stick. */
  readonly density: number;
}

/** With more still to boil away at later steps, how thick it is here tells nothing of how it will be, g. */
const SOME = 20;
/** g per ml: rules of thumb. */
const DENSITY = { solids: 1.55, fat: 0.92, water: 0.97 } as const;

interface PotGround {
  readonly version: Version;
  readonly grams: number;
  readonly input: EvaluationInput;
  readonly figures: Figures;
  readonly isBound: boolean;
  readonly aim: Aim;
  /** Driven off by plan, all in all, g. */
  readonly planned: number;
  readonly serve: ServingTemperature;
}

/** To what the pot at hand is cooked down, and how fast that goes. */
export function cookDownOf(stove: StoveState, { version, grams, input, figures, isBound, aim, planned, serve }: PotGround, constants: Constants): CookDown {
  const { drivenLater, drivenHere, rateKey, stopAt } = stove;
  const stopOf = (driven: number) => Math.max(1, grams - (driven - drivenLater));
  const { value: driven } = input.evaporation;
  const value = stopAt ?? stopOf(driven);
  const near = isBound
    ? []
    : [-1, 1].map((sign) => stopOf(drivenBy(input, { ...aim, wanted: figures[aim.body].value + (sign * aim.noticed) / 2 }, driven, constants)));
  const { sugar, starch, other, fat } = heldIn(stove, version);
  const solids = sugar + starch + other;
  // What was driven off before; what was soaked or cooked under a lid took up water.
  const start = grams - (planned - drivenLater - drivenHere);
  const own = rateKey === null ? undefined : constants.learned[rateKey];
  return {
    stop: { value, low: Math.min(value, ...near), high: Math.max(value, ...near) },
    isSet: stopAt !== null,
    start,
    solids,
    prior: {
      rate: Math.exp(own?.ln ?? 0) * tableRate(stove, constants),
      sd: own?.sd ?? TABLE_RATE_SD,
      batches: own?.batches ?? 0,
    },
    words: isBound || drivenLater >= SOME ? "" : bodyTold(figures, serve, constants),
    density: start / (solids / DENSITY.solids + fat / DENSITY.fat + Math.max(1, start - solids - fat) / DENSITY.water),
  };
}

/**
 * How fast water alone boils away in the pan at hand, by the table.
 * @unit g a minute
 * @range above 0
 * @source rule of thumb fitted on kitchen weighings
 */
export function tableRate({ heat, diameter, burner }: Pick<StoveState, "heat" | "diameter" | "burner">, { process, evaporationFlux }: Constants): number {
  const cap = burner ? burnerCap(burner) : process.value.cap;
  return evaporationRate(heat ?? "simmer", diameter ?? process.value.pan, fraction(0), evaporationFlux.value, cap);
}

/** What is in a pot by what it is, before anything boiled away, g. */
export interface PotHolds {
  readonly water: number;
  readonly sugar: number;
  readonly starch: number;
  readonly fat: number;
  readonly other: number;
}

/** What is in the pot of a batch on the stove. */
export function heldIn({ pot, others }: StoveState, { rows }: Version): PotHolds {
  const added = rows.filter(({ line, change }) => line === null && change === "added");
  const gramsOf = (row: Version["rows"][number]) =>
    pot.find(({ line }) => line === row.id)?.grams ?? (others.length > 0 && added.includes(row) ? row.grams : 0);
  return rows.reduce<PotHolds>(
    (sum, row) => {
      const { per100g = [] } = row.food ?? {};
      const grams = gramsOf(row);
      const of = (per100: number) => (grams * per100) / 100;
      const [water, sugar, starch, fat] = [
        of(per100g[INDEX.water] ?? 0),
        of(sumOf(per100g, SUGAR_INDICES)),
        of(per100g[INDEX.starch] ?? 0),
        of(per100g[INDEX.fat] ?? 0),
      ];
      return {
        water: sum.water + water,
        sugar: sum.sugar + sugar,
        starch: sum.starch + starch,
        fat: sum.fat + fat,
        other: sum.other + Math.max(0, grams - water - sugar - starch - fat),
      };
    },
    { water: 0, sugar: 0, starch: 0, fat: 0, other: 0 },
  );
}

/** What it comes to at the table, and that it looks thinner until then. */
function bodyTold(figures: Figures, serve: ServingTemperature, constants: Constants): string {
  const [hot, cold] = [figures["body.hot"].value, figures["body.chilled"].value];
  const told = (body: number) => `body ${body.toFixed(1)} of 10 (${bodyWords(body, constants)})`;
  if (serve !== "chilled") return `It comes to ${told(hot)}.`;
  return cold - hot > constants.noticeable.value.body / 2
    ? `Stop while it still looks thin: ${told(hot)} in the pot, ${told(cold)} cold.`
    : `Cold it comes to ${told(cold)}.`;
}
