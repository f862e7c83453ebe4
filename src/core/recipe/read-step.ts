import type { ProcessConstants } from "../food";
import type { Heat } from "../process";
import { cookingEnd, type ToldEnd } from "./cooking-end";
import { statedCooking, timesInFigures } from "./cooking-time";
import { OPERATIONS, type Attention, type Operation, type StepMinutes } from "./operations";
import { RECIPE_LIMITS } from "./limits";
import { inOrder, singleSpaced } from "./plain-text";
import type { RecipeStep } from "./recipe";

/** What a step was read as, before it is known what goes in. */
export interface StepReading {
  readonly step: RecipeStep;
  /** All that is done in it, the main thing first. */
  readonly operations: readonly Operation[];
  readonly operation: Operation;
  /** Of wet heat; null where there is none. */
  readonly heat: Heat | null;
  readonly covered: boolean;
  readonly minutes: StepMinutes;
  /** Whether the times are the text's or the maker's own; otherwise they are usual for the operation. */
  readonly timed: boolean;
  readonly attention: Attention;
  /** What to look, listen, smell or feel for. */
  readonly cue: string | null;
  readonly equipment: readonly string[];
  /** How wide the pan is that it names, cm; null where it does not say. */
  readonly pan: number | null;
  /** Open wet cooking, minute by minute of the text or as set by hand. */
  readonly open: readonly { readonly heat: Heat; readonly minutes: number }[];
  readonly coveredMinutes: number;
  /** What cooking goes on to, and whether it is told how long that takes; null where the step does not tell. */
  readonly end: ToldEnd | null;
  /** It is done in a pan of its own, and goes into the sweet from there. */
  readonly ownPan: boolean;
  /** What is lifted out again, or goes in later. */
  readonly setsAside: boolean;
}

type Tells = (text: string) => boolean;
const has =
  (pattern: RegExp): Tells =>
  (text) =>
    pattern.test(text);
const either =
  (...tells: readonly Tells[]): Tells =>
  (text) =>
    tells.some((each) => each(text));
const STARCHES = /\b(?:starch|flour|cornflour|ground rice|arrowroot|custard powder)\b/i;

/** What tells that an operation is done; mixing is what is left. */
const OF: Readonly<Record<Operation, Tells | null>> = {
  pressure: has(/\bpressure|\bwhistles?\b/i),
  bake: has(/\bbak(?:e|es|ing)\b|\boven\b/i),
  steam: has(/\bsteam(?:ed|ing|er)?\b(?! rises)/i),
  reduce: either(has(/\breduc(?:e|es|ed|ing)\b/i), has(/\b(?:boil|cook|simmer)(?:ed)? (?:[a-z]{1,20} ){0,6}down\b/i)),
  caramelise: either(
    has(/\bcarameli[sz]/i),
    inOrder(/\bmelt\b[^.;]{0,40}\bsugar\b/i, /\b(?:amber|gold|brown)/i),
    inOrder(/\b(?:melt|cook|boil|heat)\b[^.;]{0,60}\bsugar\b/i, /\b(?:to|into|makes?|for) (?:a |an )?(?:\w+ )?caramel\b/i),
  ),
  roast: has(/\b(?:roast|toast)(?:s|ing)?\b/i),
  fry: has(/\b(?:fry|fries|frying|sauté|saute)\b|\bbrown (?:the|it|them|in)\b/i),
  simmer: has(/\b(?:simmer|boil|bubble|cook|poach)(?:s|es|ing)?\b|\bthickens?\b/i),
  press: inOrder(/\b(?:strain|squeeze|wring|press)\b/i, /\b(?:cloth|muslin|sieve|pulp|milk)\b/i),
  soak: has(/\bsoak(?:s|ing)?\b/i),
  // Freezing is chilling here: it drives nothing off.
  chill: has(/\b(?:chill|refrigerate|fridge|freez(?:e|es|er|ing))\b/i),
  shape: either(
    has(/\b(?:shape|roll|mould|unmould)\b|\bcut (?:it |them )?into\b|\bballs? of\b|\bmake \d/i),
    inOrder(/\bform\b/i, /\bballs?\b/i),
    inOrder(/\bpress\b/i, /\b(?:tray|tin|mould)\b/i),
  ),
  temper: either(inOrder(/\btemper\b/i, /\begg/i), inOrder(/\begg/i, /\btemper\b/i)),
  slake: either(has(/\b(?:slake|slurry)\b/i), inOrder(/\b(?:stir|mix|whisk|blend)\b/i, STARCHES, /\bcold\b/i)),
  dissolve: has(/\b(?:dissolve|melt)s?\b/i),
  infuse: has(/\b(?:infuse|steep)\b/i),
  grind: has(/\b(?:grind|blend|mash|grate|chop|crush|pound|purée|puree)\b/i),
  peel: has(/\b(?:peel|deseed)\b|\bcore (?:and|the|them|it)\b|\b(?:stone|pit) the\b/i),
  wash: has(/\b(?:wash|rinse)\b/i),
  rest: has(/\b(?:rest(?! of| \w+ ?(?:in|into)\b)(?<!\bthe rest)|stand|cool|leave|leaves? it)\b/i),
  "serve apart": inOrder(/\b(?:serve|served|hand)\b/i, /\b(?:apart|on the side|separately|round)\b/i),
  transfer: inOrder(/\b(?:pour|transfer|tip|turn|scrape)\b/i, /\b(?:into|out onto|bowls?|dish|tray|moulds?)\b/i),
  mix: null,
};
const SETS_ASIDE = either(
  inOrder(/\b(?:lift|take|scoop|fish)\b/i, /\bout\b/i),
  inOrder(/\bset\b/i, /\baside\b/i),
  inOrder(/\bkeep\b/i, /\b(?:aside|apart|back)\b/i),
);
/** Which of several things done in a step it is called by. */
const RANK: readonly Operation[] = Object.keys(OF).filter((key): key is Operation => OPERATIONS.some((each) => each === key));

const DURATION = /(?<![\d.])(\d{1,5}(?:\.\d{1,3})?)(?: ?(?:-|–|to) ?(\d{1,5}(?:\.\d{1,3})?))? ?(hours?|hrs?|h|minutes?|mins?|min|seconds?|whistles?)\b/gi;
const NIGHT: StepMinutes = { shortest: 360, usual: 480, longest: 720 };
/** Where the cue ends and the next thing to do begins. */
const CUE_ENDS =
  /, ?(?:about ?)?\d[^,]*$|,? (?:and|then) (?:then )?(?:soak|tip|lift|chop|peel|mash|cook|pour|stir|add|take|put|let|leave|roast|fold|serve|shape|strain|drain|the)\b.*$|, ?stirring\b.*$/i;
const CUE = /\b(?:until|till) ([^.;:]+)/i;
const TOOLS: readonly (readonly [string, Tells])[] = [
  ["heavy pan", inOrder(/\bheavy\b/i, /\bpan\b/i)],
  ["pan", has(/\bpan\b/i)],
  ["pot", has(/\bpot\b/i)],
  ["pressure cooker", has(/\bpressure\b|\bwhistles?\b/i)],
  ["mixer", has(/\b(?:mixer|blender|blend|grinder)\b/i)],
  ["cloth", has(/\b(?:cloth|muslin)\b/i)],
  ["sieve", has(/\bsieve\b/i)],
  ["grater", has(/\bgrate\b/i)],
  ["rolling pin", has(/\broll(?:ing pin| it out)\b/i)],
  ["steamer", has(/\bsteam(?:ed|ing|er)?\b(?! rises)/i)],
  ["oven", has(/\b(?:oven|bak(?:e|ing))\b/i)],
  ["fridge", has(/\b(?:fridge|chill|refrigerate)\b/i)],
  ["freezer", has(/\bfreez(?:e|es|er|ing)\b/i)],
];

const NOT_BOILED =
  /\b(?:before (?:it|they|the [a-z]{1,20}(?: [a-z]{1,20})?) (?:comes? to (?:a|the) |starts? to |begins? to )?|(?:not|never|don'?t|without) (?:let(?:ting)? (?:it|them) |allow(?:ing)? (?:it|them) to )?(?:come to (?:a|the) |coming to (?:a|the) )?|just short of (?:a|the) )(?:boil|simmer)(?:s|ing)?\b/gi;
const ONLY_BOILED = inOrder(/\bbring\b/i, /\bboil\b/i, /\b(?:switch|turn|take|taken|remove)[a-z]* (?:it |the [a-z]{1,12} )?(?:off|from)\b/i);
const BOILING: readonly Operation[] = ["reduce", "simmer", "dissolve"];

/** Reads what a step does from its sentences: operations, heat, times, attention, cue, tools. What was settled by hand goes before. */
export function readStep(step: RecipeStep, constants: ProcessConstants): StepReading {
  const { choice } = step;
  const text = step.text.length > RECIPE_LIMITS.stepCharacters ? "" : singleSpaced(step.text);
  // "Take it off before it boils": it is not boiled.
  const done = text.replace(NOT_BOILED, "");
  const found = RANK.filter((operation) => OF[operation]?.(done));
  const operations: readonly Operation[] = choice.operation ? [choice.operation] : found.length > 0 ? byTime(found, text, constants.whistle) : ["mix"];
  const operation = operations[0] ?? "mix";
  const usual = constants.usual[operation] ?? { minutes: [2, 5, 10] as const, attention: "hands on" as const };
  const [shortest, middle, longest] = usual.minutes;
  const stated = choice.minutes ?? statedMinutes(timesInFigures(text), constants.whistle);
  const minutes = stated ?? { shortest, usual: middle, longest };
  const cooking = statedCooking([text]);
  // "Bring to the boil and switch off": a minute at most.
  const isOnlyBoiled = stated === null && ONLY_BOILED(text);
  const wet = isOnlyBoiled || cooking.open.length > 0 || cooking.coveredMinutes > 0 || operation === "simmer" || operation === "reduce";
  const heat = choice.heat ?? cooking.open[0]?.heat ?? (wet ? "simmer" : null);
  const covered = choice.covered ?? (cooking.open.length === 0 && cooking.coveredMinutes > 0);
  const byHand = choice.minutes !== undefined || choice.heat !== undefined || choice.covered !== undefined || choice.operation !== undefined;
  const cooks =
    isOnlyBoiled && !byHand
      ? { open: [{ heat: "simmer" as const, minutes: 1 }], coveredMinutes: 0 }
      : byHand
        ? byHandCooking(operation, heat ?? "simmer", covered, choice.minutes ?? null, cooking)
        : cooking;
  // Only what boils comes to an end by its water, though a look tells of heat by itself; minutes set by hand go before a look.
  const told = cookingEnd(timesInFigures(text));
  const isBoiled =
    wet ||
    operations.some((each) => BOILING.includes(each)) ||
    ((told?.end.kind === "body" || told?.end.kind === "syrup" || told?.end.kind === "boils at") && choice.operation === undefined);
  const isOverruled = choice.minutes !== undefined && (told?.end.kind === "body" || told?.end.kind === "dry");
  return {
    step,
    operations,
    operation,
    heat,
    covered,
    minutes,
    timed: stated !== null,
    attention: choice.attention ?? attentionIn(text) ?? usual.attention,
    cue: CUE.exec(text)?.[1]?.replace(CUE_ENDS, "").trim() ?? null,
    equipment: toolsIn(text),
    pan: panIn(text),
    open: cooks.open,
    coveredMinutes: cooks.coveredMinutes,
    end: isBoiled && !isOverruled ? told : null,
    ownPan: OWN_PAN(text),
    setsAside: SETS_ASIDE(text),
  };
}

/** The main thing first: what the stated time belongs to, else by rank. */
function byTime(found: readonly Operation[], text: string, whistle: number): readonly Operation[] {
  let main: Operation | undefined;
  let longest = 0;
  for (const sentence of text.split(/[.;] /)) {
    const minutes = statedMinutes(sentence, whistle)?.usual ?? 0;
    const does = found.find((operation) => OF[operation]?.(sentence));
    if (does && minutes > longest) [main, longest] = [does, minutes];
  }
  return main ? [main, ...found.filter((each) => each !== main)] : found;
}

function byHandCooking(
  operation: Operation,
  heat: Heat,
  covered: boolean,
  minutes: StepMinutes | null,
  stated: ReturnType<typeof statedCooking>,
): Pick<StepReading, "open" | "coveredMinutes"> {
  if (operation !== "simmer" && operation !== "reduce" && operation !== "dissolve" && operation !== "mix") return { open: [], coveredMinutes: 0 };
  const all = minutes?.usual ?? stated.coveredMinutes + stated.open.reduce((sum, part) => sum + part.minutes, 0);
  if (all <= 0) return { open: [], coveredMinutes: 0 };
  return covered ? { open: [], coveredMinutes: all } : { open: [{ heat, minutes: all }], coveredMinutes: 0 };
}

/** The minutes that a text states, all together; null where it states none. */
function statedMinutes(text: string, whistle: number): StepMinutes | null {
  let [shortest, usual, longest] = [0, 0, 0];
  for (const [, from = "0", to, unit = ""] of text.matchAll(DURATION)) {
    const word = unit.toLowerCase();
    const times = word.startsWith("h") ? 60 : word.startsWith("s") ? 1 / 60 : word.startsWith("w") ? whistle : 1;
    const [low, high] = [Number(from) * times, Number(to ?? from) * times];
    shortest += low * (to ? 1 : 0.85);
    usual += (low + high) / 2;
    longest += high * (to ? 1 : 1.25);
  }
  if (/\bovernight\b/i.test(text)) [shortest, usual, longest] = [shortest + NIGHT.shortest, usual + NIGHT.usual, longest + NIGHT.longest];
  return usual > 0 ? { shortest: rounded(shortest), usual: rounded(usual), longest: rounded(longest) } : null;
}

const rounded = (minutes: number) => (minutes < 10 ? Math.round(minutes * 2) / 2 : Math.round(minutes));

function attentionIn(text: string): Attention | null {
  if (/\bunattended\b|\bwithout (?:stirring|touching)\b|\bdo not stir\b/i.test(text)) return "unattended";
  if (/\b(?:now and then|from time to time|occasionally|once or twice)\b/i.test(text)) return "now and then";
  if (/\b(?:stirring|whisking|without (?:a )?stop|all the while|constantly|keep stirring)\b/i.test(text)) return "hands on";
  return null;
}

/** Vessels, with how many there are and how wide, where that is told: "6 ramekins", "a 20 cm tin". */
const VESSEL =
  /\b(?:(\d{1,3}) )?(?:(\d{1,3})[ -]?(cm|inch|in)[ -])?(?:(?:small|large|deep|wide|shallow|greased|lined|buttered|oiled|clean|dry|glass|steel|silicone|individual|serving|shallow|flat|square|round|popsicle|kulfi|cake|loaf|baking|pudding|mixing|heatproof|heat-proof|cold|chilled|sterilised|sealed|airtight) ){0,4}(ramekins?|moulds?|molds?|tins?|trays?|thalis?|bowls?|glasses|glass(?= bowl| dish)?|cups(?! of)|dish(?:es)?|jars?|kadh?ai|kadahi|saucepan|wok|skillet|griddle|tawa|colander|basket|idli plates?|thermometer|whisk|spatula|parchment|baking paper|banana lea(?:f|ves)|grinder|mortar|processor|rolling pin|ladle|plates?|platter)\b/gi;
const CENTIMETRES_PER_INCH = 2.54;
const wide = (size: string | undefined, unit: string | undefined) =>
  size === undefined ? null : Math.round(Number(size) * (unit?.toLowerCase() === "cm" ? 1 : CENTIMETRES_PER_INCH));

function vesselsIn(text: string): string[] {
  const found = [...text.matchAll(VESSEL)].map(([, count, size, unit, name = ""]) => {
    const centimetres = wide(size, unit);
    return [count, centimetres === null ? null : `${centimetres} cm`, name.toLowerCase()].filter(Boolean).join(" ");
  });
  return [...new Set(found)];
}

/** What is cooked in, where its width is told; cm across. */
const PAN =
  /\b(\d{1,2})[ -]?(cm|inch|in)[ -](?:(?:wide|heavy|deep|shallow|non-?stick|bottomed|based|large|small|frying|sauté|heavy-bottomed) ){0,3}(?:pan|pot|saucepan|kadh?ai|wok|skillet)\b/i;
const OWN_PAN = has(
  /\b(?:in|using|take) (?:another|an other|a separate|a second|a different|a small)(?: [a-z-]{1,14}){0,2} (?:pan|pot|saucepan|kadh?ai|skillet|vessel|wok)\b|^separately\b|\bmeanwhile\b[^.]{0,40}\b(?:separate|another|second) (?:pan|pot)\b/i,
);
const panIn = (text: string): number | null => {
  const found = PAN.exec(text);
  const centimetres = found && wide(found[1], found[2]);
  return centimetres !== null && centimetres >= 8 && centimetres <= 80 ? centimetres : null;
};

function toolsIn(text: string): string[] {
  const found = TOOLS.filter(([, tells]) => tells(text)).map(([name]) => name);
  const tools = found.includes("heavy pan") ? found.filter((name) => name !== "pan") : found;
  return [...new Set([...tools, ...vesselsIn(text)])];
}
