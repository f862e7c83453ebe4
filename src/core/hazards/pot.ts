import type { Food } from "../food";
import { handlingKindOf, type Method } from "../method";
import type { HandlingKind } from "../method";
import type { Operation } from "../recipe";
import type { Version } from "../substitution";

type MethodStep = Method["steps"][number];

/** A food in a pot. */
export interface InPot {
  readonly food: Food;
  readonly kind: HandlingKind | null;
  readonly grams: number;
}

/** A step as it finds its pot: what is in it and how hot, what comes in, and what happens to it from then on. */
export interface PotAt {
  readonly step: MethodStep;
  /** The words of the step as they hold now. */
  readonly text: string;
  readonly before: readonly InPot[];
  readonly coming: readonly InPot[];
  /** As the foods come in, °C: a rule of thumb by what was done last. */
  readonly celsius: number;
  /** The hottest that they come to, from here to the table, °C. */
  readonly hottest: number;
  /** The same by those steps alone that surely heat what comes in here. */
  readonly hottestForSure: number;
  /** Minutes of wet heat from here on, until it has cooled. */
  readonly minutesAfter: number;
  /** Whether it boils hard from here on. */
  readonly boilsHard: boolean;
}

const COLD = 20;
const FRIDGE = 8;
const COOLED = 40;
const OFF_THE_BOIL = 85;
const DRY_HEAT = 150;
const BY_HEAT = { steaming: 80, simmer: 95, brisk: 100, rolling: 100 } as const;
const IN_HEAT: Readonly<Partial<Record<Operation, number>>> = { pressure: 115, steam: 98, bake: 90, caramelise: 165, fry: DRY_HEAT, roast: DRY_HEAT };
const OFF = /\boff the (?:heat|flame|fire|boil)\b|\b(?:switch|turn)(?:ed)? off\b|\b(?:take|lift|remove) (?:the (?:pan|pot)|it) (?:off|from)\b/i;
const COOLS =
  /\b(?:lukewarm|tepid|no warmer than|blood[- ]warm|room temperature|cooled|(?:let|leave|allow|until|once|when) (?:it|them|the [a-z]+)? ?(?:has |have |is |are )?(?:to )?(?:cool|cold|stood)|cool (?:it|until|completely|a little))\b/i;
const BACK_ON = /\b(?:put it back|return it|back on the (?:heat|flame))\b/i;

/** How hot a step makes its pot, °C; null where it does not heat it. */
function heatOf({ operations, heat, operation }: MethodStep, text: string): number | null {
  if (heat !== null) return BY_HEAT[heat];
  const [hot] = [operation, ...operations].flatMap((each) => IN_HEAT[each] ?? []);
  return hot ?? (/\b(?:warm|heat)(?:ed)? (?:the|it|up|through|all|some)\b/i.test(text) ? WARMED : null);
}
const WARMED = 75;

const heatsAsWater = ({ heat, operations }: MethodStep): boolean => heat !== null || operations.some((each) => ["pressure", "steam", "bake"].includes(each));
const EGG = /\b(?:eggs?|yolks?|custard)\b/i;

/** Minutes of wet heat in a step. */
const wetMinutes = (step: MethodStep): number => {
  const { cooking, minutes } = step;
  if (!heatsAsWater(step)) return 0;
  const set = cooking ? cooking.open + cooking.covered : 0;
  return set > 0 ? set : minutes.usual;
};

/** How hot a pot is as foods come into it at a step, by how hot it was and what the step does first. */
function comesIn(was: number, step: MethodStep, text: string): number {
  if (COOLS.test(text)) return Math.min(was, COOLED);
  if (OFF.test(text) && !BACK_ON.test(text)) return Math.min(was, OFF_THE_BOIL);
  // Roasted together from cold: what comes in first heats up with the pan.
  const dry = step.operations.some((each) => each === "roast" || each === "fry");
  return dry && was < OFF_THE_BOIL ? COLD : was;
}

function after(was: number, step: MethodStep, text: string): number {
  if (step.operations.includes("chill")) return FRIDGE;
  const heat = heatOf(step, text);
  const hot = heat === null ? was : heat;
  if (step.operations.includes("rest") && COOLS.test(text)) return COOLED;
  return COOLS.test(text) && heat === null ? COOLED : hot;
}

/** A version's steps one after the other, each with its pot. */
export function potsOf(method: Method, textOf: (step: MethodStep) => string, { rows }: Version): PotAt[] {
  const rowOf = new Map(rows.map((row) => [row.id, row] as const));
  const pots = new Map<string | null, { items: InPot[]; celsius: number }>();
  const potFor = (part: string | null) => {
    const known = pots.get(part) ?? { items: [], celsius: COLD };
    pots.set(part, known);
    return known;
  };
  const found = method.steps.map((step) => {
    const text = textOf(step);
    const pot = potFor(step.part);
    // What is only got ready is in no pot yet.
    const isPrepared = step.origin.kind === "prepares";
    const coming = isPrepared
      ? []
      : step.takes.flatMap(({ of, share }): InPot[] => {
          if (of.kind === "part") return potFor(of.id).items.map((item) => ({ ...item, grams: item.grams * share }));
          const row = rowOf.get(of.id);
          return row?.food ? [{ food: row.food, kind: handlingKindOf(row.food), grams: row.grams * share }] : [];
        });
    const celsius = comesIn(pot.celsius, step, text);
    const before = [...pot.items];
    pot.items.push(...coming);
    if (!isPrepared) pot.celsius = after(celsius, step, text);
    return { step, text, before, coming, celsius };
  });
  return found.map((each, i) => {
    const later = found.slice(i).filter(({ step }) => step.part === each.step.part || (each.step.part !== null && step.part === null));
    // What is fried or roasted later with foods of its own is in a pan of its own.
    const inThisPot = later.filter(({ step }, after) => after === 0 || heatsAsWater(step) || step.takes.length === 0);
    const heats = inThisPot.flatMap(({ step, text }) => heatOf(step, text) ?? []);
    // A later step that takes other foods may heat them alone.
    const surely = inThisPot.filter(({ step, text }, after) => after === 0 || step.takes.length === 0 || EGG.test(text));
    return {
      ...each,
      hottest: Math.max(each.celsius, ...heats),
      hottestForSure: Math.max(each.celsius, ...surely.flatMap(({ step, text }) => heatOf(step, text) ?? [])),
      minutesAfter: later.reduce((sum, { step }) => sum + wetMinutes(step), 0),
      boilsHard: later.some(({ step }) => step.heat === "rolling" || step.heat === "brisk"),
    };
  });
}
