import type { Heat } from "../process";

/** Minutes of open and of covered cooking that the steps of a recipe state. */
export interface StatedCooking {
  readonly open: readonly { readonly heat: Heat; readonly minutes: number; readonly step: number }[];
  readonly coveredMinutes: number;
}

const DURATION = /(?<![\d.])(\d{1,5}(?:\.\d{1,3})?)(?: ?(?:-|–|to) ?(\d{1,5}(?:\.\d{1,3})?))? ?(hours?|hrs?|h|minutes?|mins?|min)\b/gi;
const WET_HEAT = /\b(simmer|boil|cook|reduce|thicken|bubble|stir)|\bon (?:the |a )?(?:very )?(?:low|lowest|medium|gentle)[a-z]* (?:flame|heat)\b/i;
const NO_WET_HEAT =
  /\b(roast|toast|fry|bake|soak(?!ed (?:sago|rice|grain|dal|millet|pearls|lentils|[a-z]{3,20} in\b))|chill|freez|churn|hang\b|ferment|rest|cool|set|refrigerat|fridge|stand|knead|oven)/i;
const MEANWHILE = /^ ?(?:stirring|whisking|turning|beating)\b/i;
const UNCOVERED = /\b(?:lid (?:is )?(?:off|open)|without (?:a|the|its) (?:lid|cover)|no lid|(?:remove|take off|lift) the lid)\b/i;
const COVERED = /\b(cover|covered|lid|steam|pressure|whistles?)\b/i;

const IN_FIGURES: readonly (readonly [RegExp, string])[] = [
  [/\ban hour and a half\b/gi, "90 minutes"],
  [/\b(?:half an hour|a half[- ]hour|half-hour)\b/gi, "30 minutes"],
  [/\b(?:three[- ]quarters of an hour|¾ (?:of an )?hour)\b/gi, "45 minutes"],
  [/\b(?:a )?quarter of an hour\b/gi, "15 minutes"],
  [/\b(\d{1,2}) ?½ ?hours?\b|\b(\d{1,2}) 1\/2 ?hours?\b/gi, "$1$2.5 hours"],
  [/\b(?:½|1\/2) ?(?:an )?hour\b/gi, "30 minutes"],
  [/\b(?:an|one) hour\b/gi, "60 minutes"],
  [/\btwo hours\b/gi, "120 minutes"],
  [/\bthree hours\b/gi, "180 minutes"],
  [/\b(?:a|one) minute\b/gi, "1 minute"],
  [/\btwo minutes\b/gi, "2 minutes"],
  [/\bthree minutes\b/gi, "3 minutes"],
  [/\bfive minutes\b/gi, "5 minutes"],
  [/\bten minutes\b/gi, "10 minutes"],
  [/\bfifteen minutes\b/gi, "15 minutes"],
  [/\btwenty minutes\b/gi, "20 minutes"],
  [/\bthirty minutes\b/gi, "30 minutes"],
  [/\bforty minutes\b/gi, "40 minutes"],
  // How often is not how long: "stirring every 5 minutes".
  [/\b(?:every|each) (?:\d{1,3}(?: ?(?:-|–|to) ?\d{1,3})?|few|couple of|half)? ?(?:minutes?|hours?)\b/gi, ""],
  // Part of a total: "after the first 20 minutes", "for the last 5 minutes".
  [/\b(?:after|in|for|during) the (?:first|last|final) \d{1,3}(?: minutes?| mins?)?\b/gi, ""],
];

/** "In three batches, 5 minutes each": three times as long on the fire. */
const LOTS =
  /\bin (two|three|four|five|six|[2-9]) (?:batches|lots|rounds|goes)\b([^.;\d]{0,40})(\d{1,3}) ?(?:minutes?|mins?) (?:for )?(?:each|apiece|per (?:batch|lot|round))\b/gi;
const LOT_WORDS: Readonly<Record<string, number>> = { two: 2, three: 3, four: 4, five: 5, six: 6 };

/** Times in figures, and only those for which something cooks; linear in the text. */
export const timesInFigures = (text: string): string =>
  IN_FIGURES.reduce((so, [pattern, figures]) => so.replace(pattern, figures), text).replace(
    LOTS,
    (_, lots: string, between: string, each: string) => `in lots${between}${(LOT_WORDS[lots.toLowerCase()] ?? Number(lots)) * Number(each)} minutes`,
  );

/** What one heat goes on over: "on a high flame for 10 minutes, then on low for 20". */
const CLAUSES = /,? (?:and )?then |; |, | and /i;
const THEN = /,? (?:and )?then |; /i;
const BARE = /\bfor (?:about |another |a further )?(\d{1,3})(?= ?(?:$|[.,]|and\b|stirring|until|till))/i;

/** Reads the cooking times out of steps, sentence by sentence; a range counts as its middle. */
export function statedCooking(steps: readonly string[]): StatedCooking {
  const open: { heat: Heat; minutes: number; step: number }[] = [];
  let coveredMinutes = 0;
  steps.forEach((step, index) => {
    for (const sentence of timesInFigures(step.replace(/\s+/g, " ")).split(/[.;] /)) {
      if (!WET_HEAT.test(sentence)) continue;
      // Where a sentence soaks or rests besides, what it did last is what goes on: "soak for 10 minutes, bring to the boil and simmer for 5".
      const isMixed = NO_WET_HEAT.test(sentence);
      let isWet = !isMixed;
      // A second heat in the sentence may leave the unit out.
      let unit: string | null = null;
      for (const part of sentence.split(isMixed ? CLAUSES : THEN)) {
        // "freeze, stirring every hour": what is done meanwhile changes nothing.
        if (isMixed && !MEANWHILE.test(part)) isWet = NO_WET_HEAT.test(part) ? false : isWet || WET_HEAT.test(part);
        if (!isWet) continue;
        const found = [...part.matchAll(DURATION)].map(([, from = "0", to, stated = "min"]) => ({ from, to, stated }));
        const bare: string | undefined = found.length === 0 && unit !== null ? BARE.exec(part)?.[1] : undefined;
        const times: readonly { from: string; to: string | undefined; stated: string }[] =
          bare === undefined ? found : [{ from: bare, to: undefined, stated: unit ?? "min" }];
        for (const { from, to, stated } of times) {
          unit = stated;
          const middle = to ? (Number(from) + Number(to)) / 2 : Number(from);
          const minutes = middle * (stated.toLowerCase().startsWith("h") ? 60 : 1);
          if (COVERED.test(part) && !UNCOVERED.test(part)) coveredMinutes += minutes;
          else open.push({ heat: heatOf(part), minutes, step: index });
        }
      }
    }
  });
  return { open, coveredMinutes };
}

function heatOf(sentence: string): Heat {
  if (/rolling|hard boil/i.test(sentence)) return "rolling";
  if (/\b(brisk|high (?:heat|flame)|boil)/i.test(sentence)) return "brisk";
  if (/\b(very low|barely|low (?:heat|flame)|on low|gentle|gently)\b/i.test(sentence)) return "steaming";
  return "simmer";
}
