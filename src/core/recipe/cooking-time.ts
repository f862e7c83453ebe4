import type { Heat } from "../process";

/** Minutes of open and of covered cooking that the steps of a recipe state. */
export interface StatedCooking {
  readonly open: readonly { readonly heat: Heat; readonly minutes: number; readonly step: number }[];
  readonly coveredMinutes: number;
}

const DURATION = /(?<![\d.])(\d{1,5}(?:\.\d{1,3})?)(?: ?(?:-|–|to) ?(\d{1,5}(?:\.\d{1,3})?))? ?(hours?|hrs?|h|minutes?|mins?|min)\b/gi;
const WET_HEAT = /\b(simmer|boil|cook|reduce|thicken|bubble|stir)/i;
const NO_WET_HEAT = /\b(roast|toast|fry|bake|soak|chill|rest|cool|set|refrigerat|fridge|stand|knead|oven)/i;
const COVERED = /\b(cover|covered|lid|steam|pressure|whistles?)\b/i;

/** Reads the cooking times out of steps, sentence by sentence; a range counts as its middle. */
export function statedCooking(steps: readonly string[]): StatedCooking {
  const open: { heat: Heat; minutes: number; step: number }[] = [];
  let coveredMinutes = 0;
  steps.forEach((step, index) => {
    for (const sentence of step.replace(/\s+/g, " ").split(/[.;] /)) {
      if (!WET_HEAT.test(sentence) || NO_WET_HEAT.test(sentence)) continue;
      for (const [, from = "0", to, unit = "min"] of sentence.matchAll(DURATION)) {
        const middle = to ? (Number(from) + Number(to)) / 2 : Number(from);
        const minutes = middle * (unit.toLowerCase().startsWith("h") ? 60 : 1);
        if (COVERED.test(sentence)) coveredMinutes += minutes;
        else open.push({ heat: heatOf(sentence), minutes, step: index });
      }
    }
  });
  return { open, coveredMinutes };
}

function heatOf(sentence: string): Heat {
  if (/rolling|hard boil/i.test(sentence)) return "rolling";
  if (/\b(brisk|high heat|boil)/i.test(sentence)) return "brisk";
  if (/\b(very low|barely|low heat|gentle|gently)\b/i.test(sentence)) return "steaming";
  return "simmer";
}
