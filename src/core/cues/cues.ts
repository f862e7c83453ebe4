import type { Food } from "../food";
import type { InPot, PotAt } from "../hazards";
import type { HandlingKind } from "../method";
import { shadeWords } from "../models/appearance";
import { OPERATIONS, readStep, type Operation, type StepId, type StepReading } from "../recipe";
import { bodyCue, chilledCue, levelCue, syrupCue, wholeCue } from "./computed";
import { SENSES, three, type Cue, type CueRow, type Three } from "./cue";
import type { CueGround } from "./ground";

type CookingEnd = NonNullable<StepReading["end"]>["end"];

/** More cues than this at one step are not read; what gets something ready is several steps in one. */
const MOST = 2;
const MOST_READYING = 3;
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
  const readings = pots.map((pot) => readingOf(pot, ground));
  const ends = readings.map(({ end }) => end?.end ?? null);
  const last = pots.findLastIndex(({ step }, at) => step.part === null && readings[at]?.ownPan !== true && (isWet(step) || ends[at]?.kind === "body"));
  const coldest = pots.findLastIndex(({ step }) => step.part === null && step.operations.includes("chill"));
  const found = new Map<StepId, readonly Cue[]>();
  for (const [at, pot] of pots.entries()) {
    const cues: Cue[] = [];
    const take = (cue: Cue | null) => {
      const most = pot.step.origin.kind === "prepares" ? MOST_READYING : MOST;
      if (cue && cues.length < most && !cues.some(({ id }) => id === cue.id)) cues.push(cue);
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

/** Ground fine: by the verb, or by what it comes to; "ground cardamom" is bought so. */
const GROUND_FINE =
  /\b(?:grind|grinds|grinding|blend|blends|blended|blending|blitz|blitzed|pur[eé]e[sd]?|mill|milled)\b|\bground (?:fine|finely|to|into|smooth)\b|\b(?:in)?to an? (?:[a-z]{1,12} ){0,2}(?:powder|paste|pur[eé]e|flour|meal)\b/i;
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
const NEARLY_ALL = 0.9;
const massIn = (items: readonly Pick<InPot, "grams">[]): number => items.reduce((sum, { grams }) => sum + grams, 0);

const isWet = ({ heat, operations }: PotAt["step"]): boolean => heat !== null || operations.some((each) => each === "simmer" || each === "reduce");

/** Words of a step by which it is done when no free liquid is left, beyond those that its masses are solved from. */
const DRIES = /\b(?:gone|absorbed|soaked up|dried up|hardly any|no (?:free )?(?:liquid|milk|water|juice)|clean (?:path|trail))\b/i;
const LIQUIDS: readonly (HandlingKind | null)[] = ["water", "milk", "plant milk", "cream", "syrup"];
const isSyrup = (items: readonly InPot[]): boolean => {
  const kinds = items.map(({ kind }) => kind);
  return (
    kinds.every((kind) => kind !== null && OF_SYRUPS.includes(kind)) && kinds.some((kind) => kind === "sugar" || kind === "syrup") && kinds.includes("water")
  );
};
const OF_SYRUPS: readonly HandlingKind[] = ["sugar", "syrup", "water", "acid", "aroma", "seasoning"];
/** Whether nothing but sugar and fat is in a pot: it goes by its stage. */
const isBoiledSugar = ({ before, coming }: PotAt): boolean =>
  [...before, ...coming].every(({ kind }) => kind === "sugar" || kind === "syrup" || kind === "fat" || kind === "water");
/** Whether most of what is in a pot is liquid: then its level tells how far it has come down. */
function isLiquid({ before, coming }: PotAt): boolean {
  const all = [...before, ...coming];
  return massIn(all.filter(({ kind }) => LIQUIDS.includes(kind))) > 0.5 * massIn(all);
}

/** The words of a step, read: what its cooking goes on to, and whether it is done in a pan of its own. */
const readingOf = ({ step, text }: PotAt, { constants }: CueGround): StepReading => readStep({ id: step.id, text, choice: {} }, constants.process.value);

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
  // A syrup is boiled in a pan of its own, whatever is in the pot.
  const all = isSyrup(coming) ? coming : [...before, ...coming];
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
