import { bodyHolds, type Figures } from "../evaluate";
import type { Constants, Food } from "../food";
import type { InPot, PotAt } from "../hazards";
import type { HandlingKind } from "../method";
import { shadeWords } from "../models/appearance";
import { bodyWords } from "../models/texture";
import { OPERATIONS, readStep, type Archetype, type Operation, type StepId, type StepReading } from "../recipe";
import { formatGrams } from "../units";
import { SENSES, type Cue, type CueDrawing, type CueRow, type CueTables, type Three } from "./cue";

/** What cues are told of. */
export interface CueGround {
  /** The steps of a version, each with its pot and its words as they hold now. */
  readonly pots: readonly PotAt[];
  /** Foods that a step names, by step: what is fried and lifted out again goes into no pot there. */
  readonly named: ReadonlyMap<StepId, readonly InPot[]>;
  readonly archetype: Archetype;
  /** All that goes in, g. */
  readonly mass: number;
  /** Of the version as it is meant to be in the end. */
  readonly figures: Pick<Figures, "water" | "body.hot" | "body.chilled">;
  /** Whether it is eaten cold, so that it sets further than it looks. */
  readonly isEatenCold: boolean;
  /** By the recipe's steps, what is left of what was in the pot: as a share, and in g where that is known of this version. */
  readonly levels: ReadonlyMap<StepId, { readonly share: number; readonly grams: number | null }>;
  /** How far sugar is browned, where some is: "light", "amber", "dark". */
  readonly caramel: "light" | "amber" | "dark" | null;
  readonly tables: CueTables;
  readonly constants: Pick<Constants, "bodyAnchors" | "process">;
}

type CookingEnd = NonNullable<StepReading["end"]>["end"];

/** More cues than this at one step are not read. */
const MOST = 2;
/** So far from what is meant, "not yet" and "too far" are told, steps of body. */
const BEFORE = 2;
const PAST = 1.6;
/** Kinds of sweets that are stirred in a pot until their body is right; of a ladoo or a loose mix that is not so. */
const STIRRED: readonly Archetype[] = ["pudding", "flour halwa", "pulse halwa", "vegetable halwa", "set pudding", "barfi", "frozen", "sauce"];
/** What a barfi looks like when it leaves the fire: its slab slices only when it is cold. */
const LEAVES_THE_SIDES = 7.2;
/** Where one of these is told, the whole needs no cue of its own. */
const TELLS_THE_WHOLE: readonly string[] = ["body", "custard", "syrup", "caramel", "liquid gone"];
const CARAMEL: Readonly<Record<NonNullable<CueGround["caramel"]>, Three<number>>> = { light: [1, 2.1, 3.2], amber: [2, 3, 4.2], dark: [3, 4.1, 5] };

/**
 * When each step of a version is done: not yet, now, too far, by sight, sound, smell, touch, bite and test, by step. What is looked
 * for comes from a table by operation and food (rules of practice); how thick it is then from the version's own body, how far it
 * boils down from its ledger, a syrup from the stage that the step names.
 */
export function cuesOf(ground: CueGround): ReadonlyMap<StepId, readonly Cue[]> {
  const { tables } = ground;
  const pots = asGround(ground.pots.map((pot) => ({ ...pot, coming: withNamed(pot, ground.named) })));
  const told = new Set<string>();
  const shaped = new Set<string | null>();
  const ends = pots.map((pot) => endOf(pot, ground));
  const last = pots.findLastIndex(({ step }, at) => step.part === null && (isWet(step) || ends[at]?.kind === "body"));
  const coldest = pots.findLastIndex(({ step }) => step.part === null && step.operations.includes("chill"));
  const found = new Map<StepId, readonly Cue[]>();
  for (const [at, pot] of pots.entries()) {
    const cues: Cue[] = [];
    const take = (cue: Cue | null) => {
      if (cue && cues.length < MOST && !cues.some(({ id }) => id === cue.id)) cues.push(cue);
    };
    const end = ends[at] ?? null;
    take(end ? endCue(end, pot, ground) : DRIES.test(pot.step.cue ?? "") ? rowCue(tables.dry, pot, ground) : null);
    // Once a food is cooked, the next step does not tell again when it will be.
    const keyOf = (row: CueRow) => `${pot.step.part ?? ""} ${row.id}`;
    const isNew = (row: CueRow) => !told.has(keyOf(row)) || pot.coming.some((item) => isSuch(row, item));
    const open = tables.rows.filter((row) => isNew(row) && (row.shaped !== true || shaped.has(pot.step.part)));
    for (const row of rowsFor(pot, open)) {
      told.add(keyOf(row));
      take(rowCue(row, pot, ground));
    }
    if (pot.step.operations.includes("shape") || DOUGH.test(pot.text)) shaped.add(pot.step.part);
    if (end === null && isWet(pot.step) && isLiquid(pot)) take(levelCue(pot, ground));
    if (at === coldest && cues.length === 0) take(chilledCue(ground));
    const isWhole = massIn([...pot.before, ...pot.coming]) >= NEARLY_ALL * ground.mass && !isBoiledSugar(pot);
    const whole = at === last && isWhole && !cues.some(({ id }) => TELLS_THE_WHOLE.includes(id)) ? wholeCue(ground) : null;
    if (whole) cues.splice(Math.min(cues.length, MOST - 1), 1, whole);
    if (cues.length > 0) found.set(pot.step.id, cues);
  }
  return found;
}

/** What comes in at a step, and what it names beside and is not in the pot yet. */
const withNamed = ({ step, before, coming }: PotAt, named: CueGround["named"]): readonly InPot[] => {
  const there = new Set([...before, ...coming].map(({ food }) => food.id));
  return [...coming, ...(named.get(step.id) ?? []).filter(({ food }) => !there.has(food.id))];
};

const GROUND_FINE = /\b(?:grind|ground|blend|pur[eé]+|powder|paste|mill)/i;
/** What grinding makes of a food, where it is looked at again. */
const GROUND_TO: Readonly<Partial<Record<HandlingKind, HandlingKind>>> = {
  pulse: "flour",
  grain: "flour",
  piece: "ground nut",
  "dried fruit": "puree",
  fruit: "puree",
  puffed: "flour",
};

/** The pots of steps, in which what was ground before is handled as its meal or paste. */
function asGround(pots: readonly PotAt[]): readonly PotAt[] {
  const ground = new Set<string>();
  return pots.map((pot) => {
    const now = (items: readonly InPot[]) =>
      items.map((item) => (ground.has(item.food.id) && item.kind !== null ? { ...item, kind: GROUND_TO[item.kind] ?? item.kind } : item));
    const changed = { ...pot, before: now(pot.before), coming: now(pot.coming) };
    const { step, text, before, coming } = pot;
    if (step.operations.includes("grind") && GROUND_FINE.test(text)) for (const { food } of coming.length > 0 ? coming : before) ground.add(food.id);
    return changed;
  });
}

const DOUGH = /\b(?:dough|batter|knead)/i;
/** What is not in the pot yet changes what it looks like by less than this share of all. */
const NEARLY_ALL = 0.8;
const massIn = (items: readonly Pick<InPot, "grams">[]): number => items.reduce((sum, { grams }) => sum + grams, 0);

const isWet = ({ heat, operations }: PotAt["step"]): boolean => heat !== null || operations.some((each) => each === "simmer" || each === "reduce");

/** Words of a step by which it is done when no free liquid is left, beyond those that its masses are solved from. */
const DRIES = /\b(?:gone|absorbed|soaked up|dried up|hardly any|no (?:free )?(?:liquid|milk|water|juice)|clean (?:path|trail))\b/i;
const LIQUIDS: readonly (HandlingKind | null)[] = ["water", "milk", "plant milk", "cream", "syrup"];
/** Whether nothing but sugar and fat is in a pot: it goes by its stage. */
const isBoiledSugar = ({ before, coming }: PotAt): boolean =>
  [...before, ...coming].every(({ kind }) => kind === "sugar" || kind === "syrup" || kind === "fat" || kind === "water");
/** Whether most of what is in a pot is liquid: then its level tells how far it has come down. */
function isLiquid({ before, coming }: PotAt): boolean {
  const all = [...before, ...coming];
  return massIn(all.filter(({ kind }) => LIQUIDS.includes(kind))) > 0.5 * massIn(all);
}

/** What the words of a step say that its cooking goes on to. */
function endOf({ step, text }: PotAt, { constants }: CueGround): CookingEnd | null {
  return readStep({ id: step.id, text, choice: {} }, constants.process.value).end?.end ?? null;
}

function endCue(end: CookingEnd, pot: PotAt, ground: CueGround): Cue | null {
  switch (end.kind) {
    case "body":
      return bodyCue(end.step, ground, "the step’s own words");
    case "syrup":
      return syrupCue(end.stage, ground.tables);
    case "dry":
      return rowCue(ground.tables.dry, pot, ground);
    case "share":
    case "mass":
      return levelCue(pot, ground);
    case "boils at":
      return null;
  }
}

/** Whether a food is one that a row names, by id or plant. */
const isOf = (foods: readonly string[], { id, nature }: Food): boolean => foods.includes(id) || (nature !== null && foods.includes(nature.botanical ?? ""));

/** Whether a row is told of such a food. */
const isSuch = ({ kinds, foods }: CueRow, { food, kind }: InPot): boolean =>
  (kinds !== undefined && kind !== null && kinds.includes(kind)) || (foods !== undefined && isOf(foods, food));

/** The rows that hold for a step, by its operations in their order: the first that fits what comes in, else what is in the pot. */
function rowsFor({ step, text, before, coming }: PotAt, rows: readonly CueRow[]): readonly CueRow[] {
  const all = [...before, ...coming];
  const fits = (row: CueRow, here: readonly InPot[]): boolean => {
    if (row.words && !row.words.test(text)) return false;
    if (row.kinds === undefined && row.foods === undefined) return true;
    return here.some((item) => isSuch(row, item)) && (row.alone !== true || all.every((item) => isSuch(row, item)));
  };
  const operations = inOrder(step).filter((each) => each !== "dissolve" || !step.operations.includes("caramelise"));
  const massOf = (row: CueRow, here: readonly InPot[]) => here.reduce((sum, item) => sum + (isSuch(row, item) ? item.grams : 0), 0);
  return operations.flatMap((operation) => {
    const ofIt = rows.filter((row) => row.operations.includes(operation));
    // What there is most of is what is looked at; of one food, what is told of few stands first.
    const comes = ofIt.filter((row) => (row.kinds !== undefined || row.foods !== undefined) && fits(row, coming));
    const most = comes.sort((a, b) => massOf(b, coming) - massOf(a, coming)).slice(0, DRY_HEAT.includes(operation) ? MOST : 1);
    return most.length > 0 ? most.filter((row, at) => at === 0 || others(row, most[0], coming)) : (ofIt.find((row) => fits(row, all)) ?? []);
  });
}

/** What is roasted or fried one after the other in a step is looked at each by itself. */
const DRY_HEAT: readonly Operation[] = ["roast", "fry"];
/** Whether a row is told of a food that the other is not told of. */
const others = (row: CueRow, of: CueRow | undefined, here: readonly InPot[]): boolean =>
  of !== undefined && here.some((item) => isSuch(row, item) && !isSuch(of, item));

/** What is done in a step, the main thing first; in the order of work where it only gets something ready. */
const inOrder = ({ operation, operations, origin }: PotAt["step"]): readonly Operation[] =>
  origin.kind === "prepares" ? OPERATIONS.filter((each) => operations.includes(each)) : [...new Set([operation, ...operations])];

/** A row of the table at a step, in the colours of what is there. */
function rowCue(row: CueRow, { coming, before }: PotAt, { caramel }: CueGround): Cue {
  const { id, of, told, draw, shade, shadeOf = {} } = row;
  const most = [...coming, ...before].filter((item) => isSuch(row, item)).sort((a, b) => b.grams - a.grams)[0]?.food;
  const own = most && (shadeOf[most.id] ?? shadeOf[most.nature?.botanical ?? ""]);
  const steps = id === "caramel" && caramel ? CARAMEL[caramel] : (own ?? shade);
  return { id, of, told: SENSES.flatMap((sense) => (told[sense] ? [{ sense, words: told[sense] }] : [])), draw, shade: steps ? shaded(steps) : null, by: null };
}

function shaded(steps: Three<number>): Cue["shade"] {
  const [before, now, past] = three(steps, shadeWords);
  return { steps, words: [before === now ? `paler ${now}` : before, now, past === now ? `deeper ${now}` : past] };
}
const steps1 = (body: number): string => body.toFixed(1);
const three = <From, To>([before, now, past]: Three<From>, make: (from: From) => To): Three<To> => [make(before), make(now), make(past)];

/** How the sweet itself looks when it leaves the fire. */
function wholeCue(ground: CueGround): Cue | null {
  const { archetype, figures } = ground;
  if (archetype === "barfi") return bodyCue(LEAVES_THE_SIDES, ground, "a slab slices from what leaves the sides: a rule of practice");
  if (!STIRRED.includes(archetype) || !bodyHolds(figures)) return null;
  const cue = bodyCue(figures["body.hot"].value, ground);
  const [before, now] = cue.told[0]?.words ?? [];
  // What is as thin as milk in the end tells nothing by it.
  return before === now ? null : cue;
}

/** What is spooned cold: still as it was hot, cold through, and past that. */
function chilledCue({ archetype, figures, tables, constants }: CueGround): Cue | null {
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
function bodyCue(body: number, { tables, figures, isEatenCold, constants }: CueGround, said: string | null = null): Cue {
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
function syrupCue(stage: string, { syrups }: CueTables): Cue | null {
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
function levelCue({ step }: PotAt, { levels }: CueGround): Cue | null {
  const level = step.origin.kind === "recipe" ? levels.get(step.origin.step) : undefined;
  if (!level || level.share > LEAST_DOWN) return null;
  const { share, grams } = level;
  const weighs = grams === null ? "" : `: about ${formatGrams(grams)} g without the pan`;
  return {
    id: "level",
    of: "the level in the pot",
    told: [
      {
        sense: "sight",
        words: ["stands where it began", `stands at ${Math.round(100 * share)} % of where it began${weighs}`, "lower; what sticks to the wall browns"],
      },
      { sense: "sound", words: ["light, quick bubbles", "slower bubbles, a deeper sound", "plops and spits"] },
    ],
    draw: [
      { instrument: "pot", level: FULL, from: FULL },
      { instrument: "pot", level: FULL * share, from: FULL },
      { instrument: "pot", level: FULL * share * 0.6, from: FULL },
    ],
    shade: null,
    by: "what is driven off, by the masses of this version",
  };
}
/** How full the pot is drawn at first. */
const FULL = 0.72;
/** What comes down by less is not seen in a pot. */
const LEAST_DOWN = 0.88;
