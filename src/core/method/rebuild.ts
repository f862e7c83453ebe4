import type { Food, ProcessConstants } from "../food";
import { readStep, type FindMentions, type LineId, type Operation, type ReadStepWithTakes, type StepId, type StepReading } from "../recipe";
import type { VersionRow } from "../substitution";
import { handlingKindOf, holdsFor, type HandlingKind } from "./kinds";
import { clausesIn, isOfWhatWasNamed, sentencesOf, withoutFoods, type Place } from "./sentences";
import type { MethodSentence } from "./step";
import { greasesAt, natureOf, TIME } from "./wording";

/** What sentences of a recipe are held against. */
export interface SentenceGround {
  /** Where a text names lines of the recipe; parts of it are named too, by ids of their own. */
  readonly find: FindMentions<LineId>;
  readonly foodOf: ReadonlyMap<LineId, Food>;
  readonly rowOf: ReadonlyMap<LineId, VersionRow>;
  readonly process: ProcessConstants;
}

/** A sentence with what it names and does. */
interface ReadSentence {
  readonly place: Place;
  readonly text: string;
  readonly mentions: ReturnType<FindMentions<LineId>>;
  readonly reading: StepReading;
}

/** What a recipe's sentences name and do is the same for all its versions. */
const known = new WeakMap<ReadStepWithTakes, readonly ReadSentence[]>();
function read(of: ReadStepWithTakes, { find, process }: SentenceGround): readonly ReadSentence[] {
  const before = known.get(of);
  if (before) return before;
  const { text } = of.step;
  const sentences = sentencesOf(text).map((place) => {
    const words = text.slice(place.from, place.to);
    return { place, text: words, mentions: find(words), reading: readStep({ id: "sentence", text: words, choice: {} }, process) };
  });
  known.set(of, sentences);
  return sentences;
}

/** What is done in the clause that names a food; where that says nothing, in its sentence. */
function operationsAt(text: string, at: number, sentence: StepReading, { process }: SentenceGround): readonly Operation[] {
  const clause = clausesIn(text).find(({ from, to }) => at >= from && at < to);
  if (!clause) return sentence.operations;
  const { operations } = readStep({ id: "clause", text: text.slice(clause.from, clause.to), choice: {} }, process);
  return operations.some((each) => OF_FOODS.includes(each) || each === "simmer") ? operations : sentence.operations;
}

/** A clause that only tells what to look for: what it names is done to nothing there. */
const CUE = /\b(?:until|till|so that|when)\b[^.;]*$/i;

/** What is done beforehand; a food that needs none of it goes on without. */
const BEFOREHAND: readonly Operation[] = ["soak", "wash", "peel", "grind", "press", "rest"];

/** Lines whose foods do not go in as the recipe's do. */
export interface OutOfPlace {
  /** To which no sentence that names them can be done: raw rice is not slaked, fox nuts are not rolled out. They go in by steps of their own. */
  readonly moved: ReadonlySet<LineId>;
  /** Which only need nothing of what is done beforehand, by the step that does it: flour is not soaked as pulses are, and roasted like them. */
  readonly unprepared: ReadonlyMap<StepId, ReadonlySet<LineId>>;
}

/** The lines for which a food of another kind stands, held against what the recipe's sentences do to them. */
export function outOfPlace(steps: readonly ReadStepWithTakes[], ground: SentenceGround): OutOfPlace {
  const [moved, holds] = [new Set<LineId>(), new Set<LineId>()];
  const unprepared = new Map<StepId, Set<LineId>>();
  const roasted = new Set<LineId>();
  for (const step of steps)
    for (const { text, mentions, reading } of read(step, ground))
      for (const { key, at, words } of mentions) {
        const [row, from] = [ground.rowOf.get(key), ground.foodOf.get(key)];
        if (row?.change !== "replaced" || !row.food || !from) continue;
        if (CUE.test(text.slice(0, at)) || greasesAt(text, at, words) !== null) continue;
        // What was roasted does not lump, whatever it is: flour goes on as semolina does.
        const operations = roasted.has(key) ? (["roast"] as const) : operationsAt(text, at, reading, ground);
        if (reading.operations.some((each) => each === "roast" || each === "fry")) roasted.add(key);
        const [was, is] = [handlingKindOf(from), handlingKindOf(row.food)];
        if (holdsFor(was, is, operations)) holds.add(key);
        else if (is !== null && NEEDS_NOTHING.includes(is) && reading.operations.every((each) => BEFOREHAND.includes(each)))
          unprepared.set(step.step.id, new Set([...(unprepared.get(step.step.id) ?? []), key]));
        else moved.add(key);
      }
  // What is named nowhere else goes in by a step of its own.
  for (const lines of unprepared.values()) for (const line of lines) if (!holds.has(line)) moved.add(line);
  return { moved, unprepared };
}
const NEEDS_NOTHING: readonly HandlingKind[] = ["flour", "roasted flour", "grits", "flakes", "puffed"];

const isMedium = (food: Food | undefined): boolean => food !== undefined && (food.family === "fat" || natureOf(food).isLiquid);

/** Into the pot it goes, after what was done to it. */
const TIPS_IN = /\b(?:and|then|,) ?(?:tip|pour|scrape|stir|fold|spoon)\b[^.;]{0,40}\b(?:in|into|over)\b/i;

/** Dry heat does nothing to what is not there. */
const OF_FOODS: readonly Operation[] = ["roast", "fry", "soak", "wash", "peel", "grind", "press", "slake", "dissolve", "caramelise", "temper"];

/**
 * The sentences of a step without the foods that are gone from it: struck from a list where that leaves a sentence, else said anew
 * of what is left, or gone where nothing is.
 */
export function sentencesWithout(
  step: ReadStepWithTakes,
  takesPart: boolean,
  gone: ReadonlySet<LineId>,
  elsewhere: (line: LineId) => boolean,
  ground: SentenceGround,
): MethodSentence[] {
  let antecedentGone = false;
  return read(step, ground).map(({ place, text: words, mentions, reading }): MethodSentence => {
    const isGone = (key: LineId) => gone.has(key);
    const names = mentions.some(({ key }) => isGone(key));
    const left = mentions.filter(({ key }) => !isGone(key));
    const dangling = antecedentGone && isOfWhatWasNamed(words, left);
    if (mentions.length > 0) antecedentGone = names && left.length === 0;
    const onlyGreases = mentions.every(({ key, at, words: name }) => !isGone(key) || greasesAt(words, at, name) !== null);
    const edits = dangling ? null : onlyGreases ? [] : withoutFoods(words, mentions, isGone);
    if (edits !== null) return { ...place, is: "kept", edits };
    const isCooking = reading.timed && (reading.heat !== null || reading.covered);
    const isOfFoods = OF_FOODS.includes(reading.operation);
    if (left.length === 0 && !takesPart && (!isCooking || isOfFoods)) return { ...place, is: "gone" };
    // What was slaked or soaked is not there: what it was done in goes in where it is named elsewhere, or is poured in.
    const isLost = names && isOfFoods && left.every(({ key }) => isMedium(ground.foodOf.get(key)));
    if (isLost && left.length > 0 && left.every(({ key }) => elsewhere(key))) return { ...place, is: "gone" };
    // What was fried is gone, and what it went into the pot with goes there without it.
    const tips = words.search(TIPS_IN);
    const isTippedIn =
      !isLost && names && isOfFoods && tips > 0 && left.length > 0 && left.every(({ key, at }) => at > tips || isMedium(ground.foodOf.get(key)));
    // What it was tipped into is there already.
    const comes = isTippedIn ? left.filter(({ key }) => step.takes.some(({ of }) => of.kind === "line" && of.id === key)) : left;
    if (isTippedIn && comes.length === 0) return { ...place, is: "gone" };
    const isBare = isLost || isTippedIn;
    antecedentGone = false;
    const { cue } = reading;
    const cueNamesGone = cue !== null && (ground.find(cue).some(({ key }) => isGone(key)) || /\b(?:they|them|both)\b/i.test(cue));
    return {
      ...place,
      is: "anew",
      operation: isLost ? "transfer" : isTippedIn ? "mix" : reading.operation,
      of: [...new Map(comes.map(({ key, words: name }) => [key, name] as const))].map(([line, name]) => ({ line, words: name })),
      time: isBare ? "" : (TIME.exec(words)?.[0] ?? "").replace(/^for (?:about )?| more$/gi, ""),
      attention: reading.attention,
      covered: reading.covered,
      cue: cueNamesGone || isBare ? null : cue,
      liftsOut: !isTippedIn && reading.setsAside,
    };
  });
}
