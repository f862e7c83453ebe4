import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

/**
 * A pot on a stove in a little world of its own, so that devices have something to measure and forecasts something to be held
 * against. It shares no model with the rest of the program: heat goes in and out, what is left over makes steam; a lid may be half
 * on, a skin forms where nobody stirs, the flame drifts, and how much of all that there is only its seed knows.
 */
export interface PotWorld {
  readonly grams: number;
  readonly celsius: number;
  /** What is soluble in it, %: what a refractometer reads. */
  readonly brix: number;
  /** How deep it stands, cm. */
  readonly depth: number;
  readonly after: (seconds: number) => PotWorld;
  readonly set: (change: Partial<PotSettings>) => PotWorld;
  readonly add: (what: Partial<PotContents>) => PotWorld;
}

export interface PotContents {
  readonly water: number;
  readonly sugar: number;
  readonly starch: number;
  readonly fat: number;
  readonly other: number;
}
export interface PotSettings {
  /** Of the burner's most, 0 to 1. */
  readonly flame: number;
  /** How much of the pot a lid covers, 0 to 1. */
  readonly lid: number;
  readonly isStirred: boolean;
}
export interface PotStart {
  readonly contents: PotContents;
  /** cm across; kW at its most. */
  readonly diameter: number;
  readonly power: number;
  readonly celsius: number;
  readonly seed: number;
  /** The kitchen that it stands in: pots of one share what only the seed knows. Absent: each its own. */
  readonly house?: number;
}

/** What only the seed knows. */
interface Hidden {
  /** Share of the power that reaches the pot. */
  readonly reaches: number;
  /** W/K lost to the kitchen, for each cm across. */
  readonly loses: number;
  /** How readily its surface lets steam off, g/min for each cm² when it boils. */
  readonly surface: number;
  /** How a skin holds steam back, at most, and how fast it forms, 1/min. */
  readonly skin: number;
  readonly skinForms: number;
  /** How the flame wanders, of its own, over a minute. */
  readonly wanders: number;
  readonly thickens: number;
  readonly boils: number;
}

interface State extends PotStart {
  readonly hidden: Hidden;
  readonly settings: PotSettings;
  readonly drift: number;
  readonly skinned: number;
  readonly random: number;
}

const STEAM_KJ = 2.257;
const ROOM = 22;
const STEP_S = 5;

export function potWorld(start: PotStart): PotWorld {
  const random = xoroshiro128plus((start.house ?? start.seed) | 0);
  const between = (low: number, high: number) => low + (high - low) * uniformFloat64(random);
  // Spread evenly by the logarithm: half to twice as much.
  const about = (middle: number, factor: number) => middle * factor ** (2 * uniformFloat64(random) - 1);
  const hidden: Hidden = {
    reaches: between(0.32, 0.62),
    loses: about(0.09, 1.4),
    surface: about(0.03, 1.6),
    skin: between(0, 0.35),
    skinForms: between(0.05, 0.3),
    wanders: between(0.005, 0.03),
    thickens: between(1.6, 3.2),
    boils: between(97, 100.3),
  };
  return world({
    ...start,
    hidden,
    settings: { flame: 0.4, lid: 0, isStirred: true },
    drift: 0,
    skinned: 0,
    random: start.house === undefined ? random.next() : start.seed,
  });
}

const massOf = ({ water, sugar, starch, fat, other }: PotContents) => water + sugar + starch + fat + other;

const world = (state: State): PotWorld => {
  const { contents, celsius, diameter, settings } = state;
  const { water, sugar, starch, fat, other } = contents;
  const volume = water + 0.62 * (sugar + starch) + 1.08 * fat + 0.7 * other;
  return {
    grams: massOf(contents),
    celsius,
    brix: (100 * (sugar + 0.25 * other)) / Math.max(1, water + sugar + 0.25 * other),
    depth: (4 * volume) / (Math.PI * diameter * diameter),
    after: (seconds) => world(later(state, seconds)),
    set: (change) => world({ ...state, settings: { ...settings, ...change } }),
    add: (what) => world(withMore(state, what)),
  };
};

function withMore(state: State, what: Partial<PotContents>): State {
  const { contents, celsius } = state;
  const more = (name: keyof PotContents) => Math.max(0, contents[name] + (what[name] ?? 0));
  const next: PotContents = { water: more("water"), sugar: more("sugar"), starch: more("starch"), fat: more("fat"), other: more("other") };
  const [before, after] = [massOf(contents), massOf(next)];
  // What comes in is as warm as the kitchen.
  return {
    ...state,
    contents: next,
    celsius: (celsius * before + ROOM * Math.max(0, after - before)) / Math.max(1, before + Math.max(0, after - before)),
    skinned: 0,
  };
}

function later(from: State, seconds: number): State {
  let state = from;
  for (let left = seconds; left > 1e-9; left -= STEP_S) state = step(state, Math.min(STEP_S, left));
  return state;
}

/** Some seconds: the flame wanders, heat goes in and out, what is left over at the boil makes steam, as far as the surface lets it off. */
function step(state: State, seconds: number): State {
  const { hidden, settings, contents, diameter, power } = state;
  const random = xoroshiro128plus(state.random);
  const minutes = seconds / 60;
  const drift = state.drift * (1 - 0.02 * minutes) + (2 * uniformFloat64(random) - 1) * hidden.wanders * Math.sqrt(minutes) * 2;
  const mass = massOf(contents);
  const solids = (contents.sugar + contents.starch + contents.other) / Math.max(1, mass - contents.fat);
  const boils = hidden.boils + 6 * solids ** 3;
  const heat = power * Math.max(0, settings.flame * (1 + drift)) * hidden.reaches - (hidden.loses * diameter * (state.celsius - ROOM)) / 1000;
  const capacity = (4.18 * contents.water + 1.7 * (mass - contents.water)) / 1000;
  const skinned = settings.isStirred ? 0 : state.skinned + (hidden.skin - state.skinned) * (1 - Math.exp(-hidden.skinForms * minutes));
  const open = (1 - 0.92 * settings.lid) * (1 - skinned) * Math.max(0, 1 - (solids / 0.8) ** hidden.thickens);
  const area = (Math.PI * diameter * diameter) / 4;
  // Below the boil it steams by how close it is; at it, by the heat that is left over.
  const near = Math.max(0, 1 - (boils - state.celsius) / 35) ** 3;
  const lets = hidden.surface * area * near * open * minutes;
  let celsius = state.celsius + (heat * seconds) / Math.max(0.05, capacity);
  let steam = Math.min(lets, contents.water);
  celsius -= (steam * STEAM_KJ) / Math.max(0.05, capacity);
  if (celsius > boils) {
    const over = ((celsius - boils) * capacity) / STEAM_KJ;
    const more = Math.min(contents.water - steam, over * (1 - 0.9 * settings.lid) * (0.4 + 0.6 * open));
    steam += more;
    // What no steam takes off goes out by the wall, or scorches.
    celsius = boils;
  }
  return { ...state, drift, skinned, celsius, random: random.next(), contents: { ...contents, water: contents.water - steam } };
}
