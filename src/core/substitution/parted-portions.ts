import { lowerFirst } from "../units";
import { isStricter, type Rule, type Verdict } from "../models/diet";
import { mentionsOf, namesOfLine, type LineId, type ReadRecipe, type StepId } from "../recipe";
import { isAllergyRule } from "../table";
import type { Standing } from "./verdict";

/** A portion that a step parts from the sweet, as one rule judges it that the whole does not keep. */
export interface PartedPortion {
  readonly step: StepId;
  /** Its number, from 1. */
  readonly number: number;
  readonly rule: string;
  readonly short: string;
  readonly verdict: Verdict;
  readonly reason: string;
}

/** What parts something, with what is parted, up to where the sentence goes on. */
const PARTS =
  /\b(?:(?:set|put|keep|lay|leave|take|lift|scoop|ladle|spoon|dish)\b(?=[^.,;]{0,60}\b(?:aside|apart|back|by|out|off)\b)|reserve|part|separate|portion|divide|remove|serve out)\b(?:(?!\b(?:before|after|once|when|then|from|until|while)\b)[^.,;]){0,90}/gi;
/** What is parted is of the sweet: so much of it, or for somebody. */
const PORTION =
  /\b(?:portions?|shares?|servings?|helpings?|(?:a|one|two|three|four|few|some|\d) (?:small |large |little )?(?:bowl|cup|katori|ladle|plate|glass|spoon)(?:ful)?s?|half|a quarter|a third|part of|some|a little|(?:in|into) (?:two|half|halves)|offering|bhog|naivedya(?:m)?|prasad|for (?:(?:the|my|our|your|a|an|any|those|who) )?(?:child|children|kids?|guests?|niece|nephew|aunt|uncle|cousin|grandmother|grandfather|neighbour|whoever|those|baby|toddler|vegans?|fasting))\b/i;
/** Parted for the sweet itself, to go in or on it later; or shared out whole. */
const FOR_LATER =
  /\bfor (?:the |later |a )?(?:garnish|top|topping|later|decorat|filling|sprinkl|syrup|finish|serving)|\b(?:into|in) (?:\d+|twelve|ten|eight|six|equal|small|individual|serving|moulds?|bowls?|glasses)\b/i;
/** In the rest of the sentence that parts: what follows goes in later. */
const LATER =
  /\b(?:before|then|to the (?:rest|remaining|remainder|other)|into the (?:rest|remaining|remainder|other)|the rest|only afterwards|and only then|now)\b/i;
const EARLIER = /\b(?:after|once|when)\b[^,]*$/i;
const OWN =
  /\b(?:own|clean|separate|fresh|second|another|different|unused)\b[^.;]{0,25}\b(?:pan|pot|kadai|saucepan|bowl|spoon|ladle|plate|vessel|dish|jar|grinder|mixer|mortar|sieve)\b/i;

const LEAVES: readonly (readonly [operation: string, where: string])[] = [
  ["fry", "the pan and its fat"],
  ["roast", "the pan"],
  ["temper", "the pan and its fat"],
  ["grind", "the grinder, knife or board"],
  ["press", "the sieve or cloth"],
  ["soak", "the soaking water"],
];

/** Words by which a step may mean a food without its name. */
const VAGUE_NUTS =
  /\b(?:(?<!\b(?:fox|pine|tiger)[- ])nuts?|(?<!\b(?:melon|pumpkin|sunflower|sesame|poppy|chia|basil|flax|hemp|mustard|fennel|cumin|caraway|cardamom|coriander)[- ])seeds?|dry ?fruits?|dried fruits?|fruits? and nuts|kernels?|garnish(?:es)?|toppings?|tempering)\b/i;
const VAGUE = /\b(?:ingredients?|everything|all (?:of )?(?:it|this|these|the (?:rest|other|dry|wet))|both)\b/i;
/** What leaves traces where it is done; what it is done to has to be known. */
const TRACING = ["fry", "roast", "temper", "grind", "press", "soak"];

/** Where in the method something stands: step by step, and within a step by its characters. */
interface Place {
  readonly step: number;
  readonly at: number;
}
const isBefore = (one: Place, other: Place) => one.step < other.step || (one.step === other.step && one.at < other.at);

/** What a step parts: from where on, and where its sentence ends. */
function partingIn(text: string, lines: ReturnType<typeof mentionsOf<LineId>>): { readonly at: number; readonly end: number } | null {
  let from = 0;
  for (const sentence of text.split(/(?<=[.;!]) /)) {
    for (const { 0: words, index } of sentence.matchAll(PARTS)) {
      // "Set the cashews aside" parts no portion of the sweet.
      if (!PORTION.test(words) || FOR_LATER.test(words) || lines(words).length > 0) continue;
      return { at: from + index, end: from + sentence.length };
    }
    from += sentence.length + 1;
  }
  return null;
}

/**
 * What of a sweet that breaks its table, or may, is still fit where a step parts a portion of it: what the rules avoid leaves
 * its traces in the pan, fat, grinder, sieve and water that it has been in, lifted out or not. What is parted before is fit
 * where the step gives it things of its own.
 */
export function partedPortions(
  { steps, readings, unlisted }: Pick<ReadRecipe, "steps" | "readings" | "unlisted">,
  { breaches, questions }: Standing,
  rules: readonly Rule[],
): readonly PartedPortion[] {
  const lines = mentionsOf<LineId>(
    readings.flatMap((reading) => ("food" in reading ? [{ key: reading.line.id, names: namesOfLine(reading.description, reading.food) }] : [])),
  );
  const partings = steps.flatMap(({ step: { text } }, step) => {
    const found = partingIn(text, lines);
    return found ? [{ step, ...found, text }] : [];
  });
  if (partings.length === 0) return [];
  const mentions = steps.map(({ step: { text } }) => lines(text));

  return partings.flatMap((parting) => {
    /** Where a line first comes in, by name or by what goes in; null where no step says. */
    const placeOf = (line: LineId): Place | null => {
      const named = mentions.flatMap((found, step) => found.filter(({ key }) => key === line).map(({ at }) => ({ step, at: atOf(parting, step, at) })));
      // By the name of its part, or by hand; in the step that parts itself only its own name says when.
      const taken = steps.flatMap(({ takes }, step) =>
        takes.some(({ of, why }) => of.kind === "line" && of.id === line && why !== "not named") && !named.some((each) => each.step === step)
          ? [{ step, at: -1 }]
          : [],
      );
      return [...named, ...taken].sort((a, b) => (isBefore(a, b) ? -1 : 1))[0] ?? null;
    };
    /** The number of a step before that may have had it without naming it; null where none may. */
    const mayHaveHad = (line: LineId): number | null => {
      const reading = readings.find((each) => each.line.id === line);
      const nutty = reading !== undefined && "food" in reading && ["nut", "oilseed", "pulse"].includes(reading.food.family);
      const at = steps.findIndex(({ step: { text }, operations }, step) => {
        if (step > parting.step) return false;
        const before = step === parting.step ? text.slice(0, parting.at) : text;
        const solids = (mentions[step] ?? []).filter(({ key }) => {
          const named = readings.find((each) => each.line.id === key);
          return named && "role" in named && named.role !== "richness" && named.role !== "liquid";
        });
        const done = step < parting.step && TRACING.some((each) => (operations as readonly string[]).includes(each)) && solids.length === 0;
        return VAGUE.test(before) || (nutty && VAGUE_NUTS.test(before)) || done;
      });
      return at < 0 ? null : at + 1;
    };
    /** Whether it is in the pot that is parted, not only in what that was made with. */
    const isIn = (line: LineId) => steps.some(({ takes }, step) => step < parting.step && takes.some(({ of }) => of.kind === "line" && of.id === line));

    return rules.flatMap((rule): PartedPortion[] => {
      const all = [
        ...breaches.filter((each) => each.limit === null && each.rule === rule.id).map((each) => ({ ...each, verdict: "avoid" as const, text: each.reason })),
        ...questions
          .filter((each) => each.limit === null && (each.rule === rule.id || each.rule === null))
          .map((each) => ({ ...each, verdict: "ask" as const })),
      ];
      if (all.length === 0) return [];
      const allergy = isAllergyRule(rule.id);
      let worst: { readonly verdict: Verdict; readonly reason: string } = { verdict: "allowed", reason: "" };
      const take = (verdict: Verdict, reason: string) => {
        if (isStricter(verdict, worst.verdict)) worst = { verdict, reason };
      };
      const later: string[] = [];
      for (const { line, step, verdict, text } of all) {
        const here = step === null ? -1 : steps.findIndex((each) => each.step.id === step);
        const place: Place | null = line !== null ? placeOf(line) : here < 0 ? null : { step: here, at: here === parting.step ? atOf(parting, here, 0) : 0 };
        const what =
          line === null ? (unlisted.find((each) => each.step === step)?.words ?? text) : nameOf(readings.find((reading) => reading.line.id === line));
        if (place === null) take("ask", `no step says when ${lowerFirst(what)} goes in`);
        else if (!isBefore(place, parting)) {
          const had = line === null ? null : mayHaveHad(line);
          if (had === null) later.push(lowerFirst(what));
          else take("ask", `step ${had} does not say of what it is: it may be ${lowerFirst(what)}`);
        } else if (verdict === "ask") take("ask", text.replace(/\.$/, ""));
        else if (line === null || isIn(line) || place.step === parting.step) take("avoid", `by then it holds ${lowerFirst(what)}`);
        else if (OWN.test(steps[place.step]?.step.text ?? "")) later.push(lowerFirst(what));
        else if (rule.traces !== "as an ingredient") {
          const where = LEAVES.find(([operation]) => (steps[place.step]?.operations as readonly string[]).includes(operation))?.[1] ?? "pan, spoon and board";
          take(allergy ? "avoid" : "ask", `something of ${lowerFirst(what)}, handled before in step ${place.step + 1}, is left in ${where}`);
        }
      }
      const said = { step: steps[parting.step]?.step.id ?? "", number: parting.step + 1, rule: rule.id, short: rule.short };
      if (worst.verdict !== "allowed") return [{ ...said, ...worst }];
      const comes = later.length > 0 ? `, before ${[...new Set(later)].join(", ")}` : "";
      if (!allergy || rule.traces === "as an ingredient") return [{ ...said, verdict: "allowed", reason: `fit as it is parted here${comes}` }];
      return [
        OWN.test(parting.text)
          ? { ...said, verdict: "allowed", reason: `fit as it is parted here${comes}, with things of its own` }
          : { ...said, verdict: "ask", reason: `parted in time${comes}, and fit with a pan, spoon, bowl and grinder of its own: write them into the step` },
      ];
    });
  });
}

/** What is said of parted portions, a sentence each: where the recipe parts them, for whom, and how it stands; what several rules say alike is said once. */
export function partedWords(portions: readonly PartedPortion[], whose: ReadonlyMap<string, readonly string[]>): readonly string[] {
  const told = new Map<string, { readonly of: PartedPortion; readonly called: string[] }>();
  for (const portion of portions) {
    const { number, rule, short, verdict, reason } = portion;
    const key = `${number} ${verdict} ${reason}`;
    const who = whose.get(rule) ?? [];
    told.set(key, { of: portion, called: [...(told.get(key)?.called ?? []), who.length > 0 ? `${who.join(", ")} (${short})` : `“${short}”`] });
  }
  return [...told.values()].map(
    ({ of: { number, verdict, reason }, called }) =>
      `The portion parted in the recipe’s step ${number}, for ${called.join(", ")}: ${verdict === "avoid" ? "not fit, " : ""}${reason}.`,
  );
}

/** Where a name in the step that parts counts: what that sentence puts later comes after, all else of it before. */
function atOf(
  { step, at, end, text }: { readonly step: number; readonly at: number; readonly end: number; readonly text: string },
  here: number,
  place: number,
): number {
  if (here !== step || place < at || place > end) return place;
  const between = text.slice(at, place);
  return LATER.test(between) && !EARLIER.test(between.slice(between.search(LATER))) ? place : at - 1;
}

const nameOf = (reading: ReadRecipe["readings"][number] | undefined): string => (reading && "food" in reading ? reading.food.name : (reading?.line.text ?? ""));
