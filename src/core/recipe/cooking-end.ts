/** What cooking goes on to, where a step tells it. */
export type CookingEnd =
  /** A share of what is in the pot. */
  | { readonly kind: "share"; readonly of: number; readonly words: string }
  /** So much in the pot, g; a volume is taken at the density of sweetened milk. */
  | { readonly kind: "mass"; readonly grams: number; readonly words: string }
  /** A syrup at a stage, by its name; or what it boils at, °C. */
  | { readonly kind: "syrup"; readonly stage: string; readonly words: string }
  | { readonly kind: "boils at"; readonly celsius: number; readonly words: string }
  /** No free liquid left: what grain and pulp hold stays. */
  | { readonly kind: "dry"; readonly words: string }
  /** A look that goes with a body, hot, on the scale of 0 to 10, with its spread. */
  | { readonly kind: "body"; readonly step: number; readonly sd: number; readonly words: string };

const SHARES: Readonly<Record<string, number>> = {
  half: 0.5,
  "½": 0.5,
  "one half": 0.5,
  "a third": 1 / 3,
  "one third": 1 / 3,
  "⅓": 1 / 3,
  "two thirds": 2 / 3,
  "two-thirds": 2 / 3,
  "⅔": 2 / 3,
  "a quarter": 0.25,
  "one quarter": 0.25,
  "¼": 0.25,
  "three quarters": 0.75,
  "¾": 0.75,
};
const SHARE_WORDS = Object.keys(SHARES).join("|");
const BOILS_DOWN =
  /\b(?:reduc[a-z]+|(?:boil|cook|simmer)[a-z]{0,4} (?:[a-z]{1,20} ){0,6}down|boil(?:ed|ing)?|simmer(?:ed|ing)?|cook(?:ed|ing)?|thicken(?:ed|ing)?)\b/i;
const TO_A_SHARE = new RegExp(`\\b(to|by) (?:about |almost |nearly )?(${SHARE_WORDS})(?!\\w)(?! an? (?:hour|minute))`, "i");
const SHARE_LEFT = new RegExp(`\\b(?:only |about )?(${SHARE_WORDS}) (?:of (?:it|the [a-z]{1,20}) )?(?:is left|remains?|remaining|left)\\b`, "i");
/** What a litre of a sweetened milk weighs, g per ml (rule of thumb). */
const LIQUID = 1.05;
const UNITS: Readonly<Record<string, number>> = {
  ml: LIQUID,
  l: 1000 * LIQUID,
  litre: 1000 * LIQUID,
  liter: 1000 * LIQUID,
  g: 1,
  gram: 1,
  kg: 1000,
  cup: 240 * LIQUID,
};
const TO_AN_AMOUNT =
  /\b(?:to|until|till|leaving|left with)\b (?:it |you |there |they |measures? |weighs? |is |are |have |has |about |around |roughly |only |just |reduced to |down to ){0,5}(\d{1,5}(?:[.,]\d{1,3})?|½|half an?|an?|one|two|three) ?(ml|millilitres?|l|litres?|liters?|kg|g|grams?|cups?)\b(?= ?(?:$|[,;:)–-]|(?:(?:is |are )?left|remains?|remaining|in all|altogether|about|over|on|stirring|and|or so|while|then|in (?:the|a)|with)\b))/i;
const NUMBERS: Readonly<Record<string, number>> = { "½": 0.5, "half a": 0.5, "half an": 0.5, a: 1, an: 1, one: 1, two: 2, three: 3 };
const DRY =
  /\b(?:until|till)\b [^.;]{0,60}\b(?:absorbed|evaporated|dried (?:up|out)|soaked up|boiled away|(?:is|are|turns?|goes|go|almost|nearly|quite|completely) dry|no (?:liquid|milk|water|moisture) (?:is left|remains?))\b|\b(?:until|till) dry\b/i;

/** What goes in so is no water. */
const OF_FAT_OR_SUGAR = /\b(?:ghee|butter|oil|fat|sugar|jaggery|syrup|honey)\b/i;

/**
 * Looks by which cooks tell how far a sweet has come, and the body that goes with each, hot, with its standard deviation:
 * from thin to stiff. What a cue says of "thick" alone is too wide to solve for.
 */
const CUES: readonly (readonly [RegExp, step: number, sd: number])[] = [
  [/\bcoats? (?:the back of )?(?:a|the|your) (?:wooden )?spoon\b/i, 1.7, 0.6],
  [/\bcreamy\b/i, 3.5, 1],
  [/\b(?:like|thick as|consistency of) (?:thick )?porridge\b|\bporridge[- ]like\b/i, 4.2, 1],
  [/\b(?:like|thick as|consistency of) (?:a )?(?:thick )?custard\b|\bcustardy\b|\bvery thick\b/i, 5, 1],
  [/\b(?:starts?|begins?) to (?:leave|come away from|pull away from) the (?:sides?|pan)\b/i, 6.8, 0.6],
  [/\b(?:leaves?|leaving|come away from|comes? (?:away|off)(?: from)?|pulls? away from|lets? go of) the (?:sides?|pan|edges?|bottom)\b/i, 6.8, 0.6],
  [/\bcomes? together\b|\bgathers? (?:in(?:to)?|as) (?:a|one) (?:mass|lump|ball)\b|\b(?:forms?|makes?) (?:a|one) (?:mass|lump|ball)\b/i, 7.4, 0.6],
];
/** Words for the stages of boiled sugar, by the names of the table that says how far each is. */
const STAGES: readonly (readonly [RegExp, stage: string])[] = [
  [/\bdrop [a-z ]{0,40}\bwater,? (?:it )?(?:snaps?|cracks?|shatters|(?:turns?|is|goes|becomes) brittle)\b/i, "hard crack"],
  [
    /\bdrop [a-z ]{0,40}\bwater,? (?:it )?(?:makes?|forms?|gathers? (?:in)?to|turns? (?:in)?to|gives?|rolls (?:in)?to|becomes) (?:an? )?(?:soft |pliable )?ball\b/i,
    "soft ball",
  ],
  [/\b(?:two|2)[- ](?:string|thread)s?\b/i, "two threads"],
  [/\b(?:one|1|single|an?)[- ](?:string|thread)\b|\b(?:string|thread)y? consistency\b|\bforms? (?:a )?(?:string|thread)s?\b/i, "one thread"],
  [/\bsoft[- ]ball\b/i, "soft ball"],
  [/\bfirm[- ]ball\b/i, "firm ball"],
  [/\bhard[- ]ball\b/i, "hard ball"],
  [/\bsoft[- ]crack\b/i, "soft crack"],
  [/\b(?:hard[- ]crack|crack stage)\b/i, "hard crack"],
];
const BOILS_AT = /\b(?:to|at|until|till|reaches|reads|shows)\b[^.;\d]{0,40}\b(1[0-6]\d(?:\.\d)?) ?(?:°|º|degrees)? ?C\b/i;
const SYRUP = /\b(?:syrup|sugar|jaggery|honey|boil|cook|simmer|heat)\b/i;
const UNTIL = /\b(?:until|till)\b/i;
const COOKS = /\b(?:cook|simmer|boil|reduce|stir|bubble|thicken|heat|saut)/i;

/** "1,250 g" is more than a kilogram, "1,25 kg" as well. */
const THOUSANDS = /^\d{1,3},\d{3}$/;
const amountIn = (words: string, unit: number): number => (THOUSANDS.test(words) && unit < 100 ? Number(words.replace(",", "")) : numberIn(words)) * unit;
const numberIn = (words: string): number => NUMBERS[words.toLowerCase()] ?? Number(words.replace(",", "."));

/** An end, and whether the words around it tell how long that takes: "mash it, and cook down to 300 g" does not. */
export interface ToldEnd {
  readonly end: CookingEnd;
  readonly isTimed: boolean;
}

const CLAUSE = /[,;]| and | then /i;
/** What is done after an end says nothing of how long that takes. */
const NEXT = /,? (?:and )?then |; |,? and (?:add|stir|cook|pour)\b/i;
const TIME = /\d ?(?:minutes?|mins?|hours?|hrs?)\b/i;

/** What cooking goes on to in a step, sentence by sentence the first that tells it; an amount before a share, a share before a look. Times are in figures. */
export function cookingEnd(text: string): ToldEnd | null {
  for (const sentence of text.split(/\.(?!\d)/)) {
    const end = endOf(sentence);
    if (!end) continue;
    const at = sentence.indexOf(end.words);
    const before = sentence.slice(0, at).split(CLAUSE).at(-1) ?? "";
    const after = sentence.slice(at + end.words.length).split(NEXT)[0] ?? "";
    return { end, isTimed: TIME.test(before) || TIME.test(after) };
  }
  return null;
}

function endOf(sentence: string): CookingEnd | null {
  const down = BOILS_DOWN.exec(sentence);
  if (down) {
    const rest = sentence.slice(down.index + down[0].length);
    const amount = TO_AN_AMOUNT.exec(rest);
    const unit = amount?.[2]?.toLowerCase().replace(/s$/, "").replace("millilitre", "ml").replace("liter", "litre") ?? "";
    if (amount && UNITS[unit] !== undefined) return { kind: "mass", grams: amountIn(amount[1] ?? "", UNITS[unit]), words: amount[0] };
    const share = TO_A_SHARE.exec(rest);
    if (share) {
      const of = SHARES[(share[2] ?? "").toLowerCase()] ?? 1;
      return { kind: "share", of: share[1]?.toLowerCase() === "by" ? 1 - of : of, words: share[0] };
    }
    const left = SHARE_LEFT.exec(rest);
    if (left) return { kind: "share", of: SHARES[(left[1] ?? "").toLowerCase()] ?? 1, words: left[0] };
  }
  if (SYRUP.test(sentence) && !/\boven\b/i.test(sentence)) {
    for (const [pattern, name] of STAGES) {
      const stage = pattern.exec(sentence);
      if (stage) return { kind: "syrup", stage: name, words: stage[0] };
    }
    const boils = BOILS_AT.exec(sentence);
    if (boils) return { kind: "boils at", celsius: Number(boils[1]), words: boils[0] };
  }
  if (!COOKS.test(sentence) || !UNTIL.test(sentence)) return null;
  const dry = DRY.exec(sentence);
  if (dry && !OF_FAT_OR_SUGAR.test(dry[0])) return { kind: "dry", words: dry[0] };
  const until = sentence.slice(sentence.search(UNTIL));
  for (const [pattern, step, sd] of CUES) {
    const cue = pattern.exec(until);
    if (cue) return { kind: "body", step, sd, words: cue[0] };
  }
  return null;
}
