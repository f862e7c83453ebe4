import { bodyHolds } from "../evaluate";
import type { PotAt } from "../hazards";
import { bodyWords } from "../models/texture";
import type { Archetype } from "../recipe";
import { formatGrams } from "../units";
import { three, type Cue, type CueDrawing, type CueTables, type Three } from "./cue";
import type { CueGround } from "./ground";

/** So far from what is meant, "not yet" and "too far" are told, steps of body. */
const BEFORE = 2;
const PAST = 1.6;
/** Kinds of sweets that are stirred in a pot until their body is right; of a ladoo or a loose mix that is not so. */
const STIRRED: readonly Archetype[] = ["pudding", "flour halwa", "pulse halwa", "vegetable halwa", "set pudding", "barfi", "frozen", "sauce"];
/** What a barfi looks like when it leaves the fire: its slab slices only when it is cold. */
const LEAVES_THE_SIDES = 7.2;
const steps1 = (body: number): string => body.toFixed(1);

/** How the sweet itself looks when it leaves the fire. */
export function wholeCue(ground: CueGround): Cue | null {
  const { archetype, figures } = ground;
  if (archetype === "barfi") return bodyCue(LEAVES_THE_SIDES, ground, "a slab slices from what leaves the sides: a rule of practice");
  if (!STIRRED.includes(archetype) || !bodyHolds(figures)) return null;
  const cue = bodyCue(figures["body.hot"].value, ground);
  const [before, now] = cue.told[0]?.words ?? [];
  // What is as thin as milk in the end tells nothing by it.
  return before === now ? null : cue;
}

/** What is spooned cold: still as it was hot, cold through, and past that. */
export function chilledCue({ archetype, figures, tables, constants }: CueGround): Cue | null {
  if (!SPOONED.includes(archetype) || !bodyHolds(figures)) return null;
  const [hot, cold] = [figures["body.hot"].value, figures["body.chilled"].value];
  return {
    id: "chilled",
    of: "what chills",
    told: [
      {
        sense: "sight",
        words: [
          `as loose as in the pan: ${nearestTo(hot, tables)?.cold ?? ""}`,
          nearestTo(cold, tables)?.cold ?? "",
          "water stands round it: it was cut or stirred, or is days old",
        ],
      },
      { sense: "touch", words: ["warm below the rim", "cold through to the middle", "hard at the rim"] },
    ],
    draw: [
      { instrument: "spoon", body: hot },
      { instrument: "spoon", body: cold },
      { instrument: "plate", set: 1.3 },
    ],
    shade: null,
    by: `body ${steps1(cold)} of 10 when it is cold (${bodyWords(cold, constants)}), computed for this version`,
  };
}
const SPOONED: readonly Archetype[] = ["pudding", "set pudding", "cultured", "sauce"];
const nearestTo = (body: number, { bodies }: CueTables) => [...bodies].sort((a, b) => Math.abs(a.body - body) - Math.abs(b.body - body))[0];
const lookOf = (body: number, tables: CueTables): string => nearestTo(body, tables)?.sight ?? "";

/** Thin, right, too thick: what the body that is meant looks like in the hot pan. */
export function bodyCue(body: number, { tables, figures, isEatenCold, constants }: CueGround, said: string | null = null): Cue {
  const steps: Three<number> = [Math.max(0, body - BEFORE), body, Math.min(10, body + PAST)];
  const chilled = figures["body.chilled"].value;
  const sets = isEatenCold && chilled - body > 0.7 ? `; cold it will be ${steps1(chilled)} (${bodyWords(chilled, constants)})` : "";
  return {
    id: "body",
    of: "the pot",
    told: [
      { sense: "sight", words: three(steps, (step) => lookOf(step, tables)) },
      { sense: "sound", words: three(steps, (step) => nearestTo(step, tables)?.sound ?? "") },
    ],
    draw: three(steps, (step) => (step >= LEAVES_THE_SIDES - 0.6 ? panOfMass(step) : { instrument: "spoon", body: step })),
    shade: null,
    by: said ?? `body ${steps1(body)} of 10 while it is hot, computed for this version${sets}`,
  };
}
const panOfMass = (body: number): CueDrawing => ({
  instrument: "pan",
  contents: body > 9 ? "crumbs" : "mass",
  trail: 1,
  away: Math.min(0.45, 0.12 * (body - 5)),
  fat: Math.max(0, Math.min(1, (body - 7) / 2.5)),
});

/** The stage before, the stage, and the one after, each by its drop. */
export function syrupCue(stage: string, { syrups }: CueTables): Cue | null {
  const at = syrups.findIndex((each) => each.stage === stage);
  const [before, now, past] = [syrups[at - 1], syrups[at], syrups[at + 1] ?? syrups[at]];
  if (!before || !now || !past) return null;
  return {
    id: "syrup",
    of: "the syrup",
    told: [{ sense: "test", words: [before.test, now.test, past === now ? "it colours: caramel" : past.test] }],
    draw: [before.draw, now.draw, past.draw],
    shade: null,
    by: null,
  };
}

/** How far it has come down in the pot. */
export function levelCue({ step }: PotAt, { levels }: CueGround): Cue | null {
  const level = step.origin.kind === "recipe" ? levels.get(step.origin.step) : undefined;
  if (!level || level.share > LEAST_DOWN) return null;
  const { share, grams, isOfRecipe } = level;
  const weighs = grams === null ? null : `about ${formatGrams(grams)} g is in it, without the pan`;
  // Of a version it is known what it comes to, not what it began with.
  const stands = isOfRecipe || weighs === null ? `stands at ${Math.round(100 * share)} % of where it began` : null;
  return {
    id: "level",
    of: "the level in the pot",
    told: [
      {
        sense: "sight",
        words: ["stands where it began", [stands, weighs].filter((words) => words !== null).join(": "), "lower; what sticks to the wall browns"],
      },
      { sense: "sound", words: ["light, quick bubbles", "slower bubbles, a deeper sound", "plops and spits"] },
    ],
    draw: [
      { instrument: "pot", level: FULL, from: FULL },
      { instrument: "pot", level: FULL * share, from: FULL },
      { instrument: "pot", level: FULL * share * 0.6, from: FULL },
    ],
    shade: null,
    by:
      isOfRecipe || weighs !== null
        ? "by the masses, step by step"
        : "as in the recipe as handed down: what it comes to in this version is not told of this step",
  };
}
/** How full the pot is drawn at first. */
const FULL = 0.72;
/** What comes down by less is not seen in a pot. */
const LEAST_DOWN = 0.88;
