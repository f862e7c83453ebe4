import { INDEX, type ServingTemperature } from "../food";
import type { HandlingKind, Method } from "../method";
import type { Archetype, StepId } from "../recipe";
import type { Version } from "../substitution";
import { potsOf, type InPot, type PotAt } from "./pot";

/** How sure it is: act; act or watch; good to know. */
export const HAZARD_GRADES = ["sure", "likely", "sometimes"] as const;
export type HazardGrade = (typeof HAZARD_GRADES)[number];
export const HAZARD_FAMILIES = [
  "casein curdles",
  "coconut milk splits",
  "plant milk curdles",
  "egg scrambles",
  "raw egg",
  "starch lumps",
  "starch thins",
  "setting fails",
  "sugar grains",
  "scorches",
  "aroma lost",
  "ladoo timing",
  "starch drained",
  "grain drowns the extract",
  "ferments",
  "honey heated",
  "spits and burns",
  "boiling sugar",
  "pressure",
  "boils over",
  "to be cooled soon",
] as const;
export type HazardFamily = (typeof HAZARD_FAMILIES)[number];

/** Something that can go wrong at a step, by order, heat, acid or time. */
export interface Hazard {
  readonly family: HazardFamily;
  readonly grade: HazardGrade;
  readonly step: StepId;
  /** What happens, and why. */
  readonly what: string;
  /** What to do about it. */
  readonly mend: string;
  /** How others do it who do not mind it; null where nobody does. */
  readonly school: string | null;
  /** What a sure one puts into the step, before or behind its words; null where it only warns. */
  readonly change: { readonly place: "before" | "behind"; readonly text: string } | null;
}

/** What hazards are told of. */
export interface HazardGround {
  readonly method: Method;
  readonly textOf: (step: Method["steps"][number]) => string;
  readonly version: Version;
  readonly archetype: Archetype;
  readonly serve: ServingTemperature;
}

interface Context extends Omit<HazardGround, "textOf" | "method"> {
  readonly pots: readonly PotAt[];
  readonly finished: number;
}
type Found = Omit<Hazard, "step">;
type Family = (at: PotAt, context: Context) => readonly Found[];

const hazard = (family: HazardFamily, grade: HazardGrade, what: string, mend: string, more: Partial<Pick<Hazard, "school" | "change">> = {}): Found => ({
  family,
  grade,
  what,
  mend,
  school: null,
  change: null,
  ...more,
});
const name = ({ food }: InPot): string => (food.name.toLowerCase().split(/,| ?\(/)[0] ?? "").trim();
const kinds =
  (...wanted: readonly HandlingKind[]) =>
  ({ kind }: InPot): boolean =>
    kind !== null && wanted.includes(kind);
const together = ({ before, coming }: PotAt): readonly InPot[] => [...before, ...coming];
const grams = (items: readonly InPot[]): number => items.reduce((sum, item) => sum + item.grams, 0);

const isDairyMilk = ({ food, kind }: InPot): boolean => food.family === "dairy" && (kind === "milk" || kind === "cream");
const isSour = ({ food }: InPot): boolean => food.nature?.acidity === "sour" && food.family !== "dairy";
const isMildlySour = ({ food }: InPot): boolean => food.nature?.acidity === "mild" && food.family === "fruit";
const isUnrefined = ({ food }: InPot): boolean => food.family === "sweetener" && food.nature?.processing === "evaporated" && !food.pours;
const isStarchy = kinds("grain", "grits", "strands", "flakes", "flour", "starch", "pearls", "pulse");
const ON_PURPOSE = /\b(?:curdl|splits?\b|whey|paneer|chenna|curds?\b)/i;
/** So much acid fruit for the milk in the pot matters. */
const ACID_SHARE = 0.01;
const HOT = 60;
const NEAR_BOIL = 75;

/** Whether two kinds of food meet at this step: one of them comes in, the other is or comes there. */
const meet = (at: PotAt, one: (item: InPot) => boolean, other: (item: InPot) => boolean): { readonly one: InPot; readonly other: InPot } | null => {
  const [a, b] = [together(at).find(one), together(at).find(other)];
  return a && b && (at.coming.some(one) || at.coming.some(other)) ? { one: a, other: b } : null;
};
/** The heat that both go through from here on: it may come in cold and be boiled after. */
const heatTogether = ({ celsius, hottest, minutesAfter }: PotAt): number => (minutesAfter > 0 ? Math.max(celsius, hottest) : celsius);
const LUKEWARM = "First let the pot cool until it is no more than lukewarm.";

const casein: Family = (at) => {
  if (ON_PURPOSE.test(at.text)) return [];
  const heat = heatTogether(at);
  const sour = meet(at, isSour, isDairyMilk);
  if (sour && heat >= HOT && grams(together(at).filter(isSour)) >= ACID_SHARE * grams(together(at).filter(isDairyMilk)))
    return [
      hazard(
        "casein curdles",
        "sure",
        `${name(sour.one)} curdles hot ${name(sour.other)}: acid sets its casein above about 60 °C`,
        "stir it in last, when the pot is lukewarm",
        {
          change: at.minutesAfter > 0 && at.celsius < HOT ? null : { place: "before", text: LUKEWARM },
        },
      ),
    ];
  const starch = together(at).some(isStarchy);
  const unrefined = meet(at, isUnrefined, isDairyMilk);
  if (unrefined && heat >= NEAR_BOIL)
    return [
      hazard(
        "casein curdles",
        starch ? "sometimes" : "likely",
        `${name(unrefined.one)} can curdle milk near the boil: it is a little sour and brings mineral salts`,
        "stir it in off the heat, below 60 °C",
        {
          school: "others melt it to a syrup, cool both, and mix them then",
        },
      ),
    ];
  const fruit = meet(at, isMildlySour, isDairyMilk);
  return fruit && heat >= NEAR_BOIL
    ? [hazard("casein curdles", "sometimes", `${name(fruit.one)} may curdle milk near the boil`, "let the pot cool first, or add it off the heat")]
    : [];
};

const isPlantMilk = ({ kind }: InPot): boolean => kind === "plant milk";
const plantMilk: Family = (at) => {
  const sour = meet(at, isSour, isPlantMilk);
  if (!sour || heatTogether(at) < 70) return [];
  return sour.other.food.nature?.botanical === "Glycine max"
    ? [
        hazard("plant milk curdles", "sure", `${name(sour.one)} curdles hot soya milk, as for tofu`, "stir it in last, when the pot is lukewarm", {
          change: { place: "before", text: LUKEWARM },
        }),
      ]
    : [hazard("plant milk curdles", "sometimes", `${name(sour.one)} makes hot ${name(sour.other)} grainy`, "stir it in off the heat")];
};

const isCoconutMilk = ({ food, kind }: InPot): boolean => food.nature?.botanical === "Cocos nucifera" && (kind === "plant milk" || kind === "cream");
const coconut: Family = (at) => {
  if (!at.coming.some(isCoconutMilk)) return [];
  const later = (at.minutesAfter >= 8 || (at.boilsHard && at.minutesAfter > 1)) && !together(at).some(isStarchy);
  return later
    ? [
        hazard(
          "coconut milk splits",
          "likely",
          `coconut milk splits when it boils long or hard${at.boilsHard ? "" : `: it simmers ${Math.round(at.minutesAfter)} minutes here, and no starch holds it`}`,
          "add it late and keep it below the boil, stirring",
          {
            school: "others let it simmer long on purpose, until the oil comes out",
          },
        ),
      ]
    : [];
};

const TEMPERS = /\btemper|\bladle|\bthin stream\b|\blittle by little\b/i;
const egg: Family = (at) => {
  const eggs = at.coming.filter(kinds("egg"));
  const [first] = eggs;
  if (!first || first.food.nature?.processing === "cooked") return [];
  const baked = at.step.operations.some((each) => ["bake", "steam", "fry"].includes(each));
  if (at.hottest < 70)
    return [
      hazard("raw egg", "sure", "the egg is not heated through: raw egg can carry salmonella", "heat it to 70 °C, or use egg that was pasteurised", {
        school: "not for small children, in pregnancy or for the frail in any school",
      }),
    ];
  if (baked) return [];
  const starch = together(at).some(kinds("starch", "flour", "grits"));
  if (at.celsius >= NEAR_BOIL && !TEMPERS.test(at.text))
    return [
      hazard(
        "egg scrambles",
        starch ? "sometimes" : "sure",
        "egg that meets a hot pot scrambles: it sets at 70 to 82 °C",
        "whisk a ladle of the hot liquid into it first, in a thin stream",
        {
          change: starch ? null : { place: "before", text: "Beat the egg and temper it: whisk a ladle of the hot liquid into it in a thin stream." },
        },
      ),
    ];
  return !starch && at.minutesAfter > 0 && at.hottest >= 95 && together(at).some(kinds("milk", "plant milk", "cream")) && !TEMPERS.test(at.text)
    ? [
        hazard(
          "egg scrambles",
          "likely",
          "without starch egg scrambles when it simmers, above 82 °C",
          "keep it below the simmer, stirring, until it coats a spoon",
        ),
      ]
    : [];
};

const SMOOTH =
  /\bslak|\bslurry|\bcold (?:milk|water|liquid|[a-z]+ (?:milk|drink))|\bno lumps?\b|\bwithout lumps\b|\bthin stream\b|\bwhisk|\bsie?ve|\bsift|\bpaste\b|\blittle by little\b|\bby the spoonful\b/i;
const isLiquid = kinds("milk", "plant milk", "water", "cream");
const lumps: Family = (at, { pots }) => {
  const dry = at.coming.find(kinds("starch", "flour"));
  if (!dry || !at.before.some(isLiquid) || at.celsius < HOT || SMOOTH.test(at.text)) return [];
  // What was slaked or roasted in a step before does not lump.
  const mine = (each: PotAt) => each.coming.some(({ food }) => food.id === dry.food.id);
  const earlier = pots.slice(0, pots.indexOf(at)).filter(mine);
  if (earlier.some(({ step, text }) => step.operations.some((each) => each === "slake" || each === "roast" || each === "fry") || SMOOTH.test(text))) return [];
  return [
    hazard(
      "starch lumps",
      dry.kind === "starch" ? "sure" : "likely",
      `dry ${name(dry)} lumps in hot liquid`,
      "stir it smooth with twice as much cold liquid first",
      {
        change: dry.kind === "starch" ? { place: "before", text: `Stir the ${name(dry)} smooth with twice as much of the cold liquid first.` } : null,
      },
    ),
  ];
};

const thins: Family = (at) => {
  const starch = at.coming.find(kinds("starch"));
  if (!starch) return [];
  if (starch.food.id === "arrowroot" && at.minutesAfter > 5)
    return [hazard("starch thins", "likely", "arrowroot thins again when it is boiled", "stir it in at the end and take it off as soon as it clears")];
  return together(at).some(isSour) && at.minutesAfter > 3
    ? [hazard("starch thins", "sometimes", "boiled with acid, starch thins again", "add the acid off the heat")]
    : at.minutesAfter > 20
      ? [hazard("starch thins", "sometimes", `${name(starch)} boiled for ${Math.round(at.minutesAfter)} minutes thins again`, "add it in the last minutes")]
      : [];
};

/** Raw, they hold an enzyme that eats gelatine and milk protein. */
const PROTEASE: readonly string[] = ["Ananas comosus", "Carica papaya", "Actinidia deliciosa", "Ficus carica"];
const setting: Family = (at) => {
  const found: Found[] = [];
  const agar = at.coming.find(({ food }) => food.thickening.agar === true);
  const gelatine = together(at).find(({ food }) => food.thickening.gelatine === true);
  if (agar && at.hottest < 90)
    found.push(
      hazard("setting fails", "sure", "agar only melts at the boil, about 90 °C: here it is not boiled", "simmer it for 2 minutes, stirring", {
        change: { place: "behind", text: "Simmer it for 2 minutes, stirring, until no grain of it is left." },
      }),
    );
  if (agar && grams(together(at).filter(isSour)) > 0.03 * grams(together(at)) && at.minutesAfter > 0)
    found.push(hazard("setting fails", "likely", "much acid weakens agar when they are boiled together", "add the acid when the pot is off the heat"));
  if (at.coming.some(({ food }) => food.thickening.gelatine === true) && at.hottest >= 95 && at.minutesAfter >= 2)
    found.push(hazard("setting fails", "likely", "gelatine loses strength when it is boiled", "melt it in off the heat"));
  const raw = together(at).find(({ food }) => food.family === "fruit" && food.nature?.processing === "raw" && PROTEASE.includes(food.nature.botanical ?? ""));
  if (gelatine && raw && (at.coming.includes(raw) || at.coming.includes(gelatine)) && at.hottest < 80)
    found.push(
      hazard(
        "setting fails",
        "sure",
        `raw ${name(raw)} holds an enzyme that eats gelatine: it will not set`,
        `simmer the ${name(raw)} for 3 minutes first, or set it with agar`,
      ),
    );
  return found;
};

const grains: Family = (at, { version, finished, serve, pots }) => {
  const found: Found[] = [];
  const erythritol = version.rows.reduce((sum, { food, grams: mass }) => (food ? sum + mass * (food.id.includes("erythritol") ? 1 : 0) : sum), 0);
  const isChilled = serve === "chilled" || pots.slice(pots.indexOf(at)).some(({ step }) => step.operations.includes("chill"));
  if (at.coming.some(({ food }) => food.id.includes("erythritol")) && isChilled && erythritol > 0.12 * finished)
    found.push(
      hazard(
        "sugar grains",
        "likely",
        `erythritol grains when it is chilled above about 12 % of the sweet: here it is ${Math.round((100 * erythritol) / finished)} %`,
        "make up part of it by another sweetener",
      ),
    );
  const all = together(at);
  const isSyrup = all.length > 0 && all.every(kinds("sugar", "syrup", "water")) && all.some(kinds("sugar")) && all.some(kinds("water"));
  if (isSyrup && at.step.heat !== null && at.step.minutes.usual >= 5 && /\bstirring\b/i.test(at.text))
    found.push(hazard("sugar grains", "sometimes", "a syrup that is stirred while it boils may grain", "stir until it dissolves, then leave it alone"));
  return found;
};

const scorch: Family = (at) => {
  const { step } = at;
  const all = together(at);
  const minutes = step.minutes.usual;
  if (step.operations.includes("roast") && all.some(kinds("flour", "grits")) && step.attention === "unattended")
    return [hazard("scorches", "likely", "flour scorches within a minute when it is not stirred", "stay beside it and stir")];
  if (step.heat === null || step.covered) return [];
  const paste = all.find(kinds("puree"));
  if (paste && minutes >= 5 && step.attention !== "hands on")
    return [hazard("scorches", "likely", `${name(paste)} catches at the bottom`, "stir without a stop, on a low flame")];
  return all.some(isDairyMilk) && minutes >= 15 && step.attention === "unattended"
    ? [hazard("scorches", "likely", "milk catches at the bottom", "rinse the pan with water before the milk goes in, and stir along the bottom")]
    : [];
};

const aroma: Family = (at) => {
  const scent = at.coming.find(({ food }) => food.family === "essence");
  if (scent && at.minutesAfter >= 2) return [hazard("aroma lost", "likely", `the scent of ${name(scent)} goes with the steam`, "stir it in off the heat")];
  const spice = at.coming.find(({ food }) => food.id === "cardamom");
  return spice && at.minutesAfter >= 15
    ? [
        hazard("aroma lost", "sometimes", "ground cardamom boiled this long tastes cooked, not fresh", "keep half of it for the end", {
          school: "others like the cooked note and add it early",
        }),
      ]
    : [];
};

const ladoo: Family = (at, { archetype }) => {
  const sugar = at.coming.find((item) => item.kind === "sugar" && !isUnrefined(item));
  return archetype === "ladoo" && sugar && at.celsius >= 100 && at.before.some(kinds("flour", "roasted flour", "grits"))
    ? [hazard("ladoo timing", "likely", "sugar in hot roasted flour melts and hardens to stones", "wait until the flour is only warm")]
    : [];
};

const soaks: Family = (at) => {
  const { step, text } = at;
  if (!step.operations.includes("soak")) return [];
  const found: Found[] = [];
  const grain = at.coming.find(kinds("grain", "pearls"));
  if (grain && step.minutes.usual >= 240 && /\bdrain/i.test(text))
    found.push(
      hazard(
        "starch drained",
        "sometimes",
        `soaked so long and drained, ${name(grain)} loses some of the starch that thickens`,
        "soak it for an hour, or cook it in its soaking water",
      ),
    );
  const isCold = /\b(?:fridge|refrigerat|cold place|cool place)\b/i.test(text);
  if (step.minutes.usual >= 480 && !isCold)
    found.push(
      hazard("ferments", "sometimes", "soaked past eight hours in a warm kitchen it begins to ferment: bubbles, a sour smell", "soak it in the fridge"),
    );
  return found;
};

const drowned: Family = (at) => {
  const extract = together(at).find(({ food, kind }) => kind === "plant milk" && food.id.endsWith("-home"));
  const grain = at.coming.filter(kinds("grain", "flour", "grits"));
  if (!extract || grain.length === 0) return [];
  const solids = extract.grams * 0.12;
  return grams(grain) > 0.6 * solids
    ? [
        hazard(
          "grain drowns the extract",
          "sometimes",
          `so much grain covers the taste of the ${name(extract)}`,
          "take less of it, and let the extract thicken by itself",
        ),
      ]
    : [];
};

const honey: Family = (at) => {
  const found = at.coming.find(({ food }) => food.id === "honey");
  return found && (at.celsius >= HOT || (at.minutesAfter > 0 && at.hottest >= HOT))
    ? [
        hazard(
          "honey heated",
          "likely",
          "above 60 °C honey loses its aroma, and many hold that it is never to be heated",
          "stir it in when the pot is lukewarm",
          { school: "others cook with it" },
        ),
      ]
    : [];
};

const burns: Family = (at) => {
  const found: Found[] = [];
  const { step, text } = at;
  const wet = at.coming.find(isLiquid);
  const isSaid = /\bspits?\b|\barm'?s length\b|\bstand back\b|\bsplash|\boff the (?:heat|flame|fire)\b/i.test(text);
  // What is still moist is no hotter than boiling water.
  const moisture = at.before.reduce((sum, { food, grams: mass }) => sum + (mass * (food.per100g[INDEX.water] ?? 0)) / 100, 0);
  const isDry = grams(at.before) > 0 && moisture < 0.2 * grams(at.before);
  if (wet && at.celsius >= 120 && isDry && !isSaid)
    found.push(
      hazard(
        "spits and burns",
        "sure",
        `${name(wet)} spits when it meets hot fat or a roasted flour`,
        "take the pan off the flame and pour in a thin stream, at arm's length",
        {
          change: { place: "before", text: "Take the pan off the flame first and pour at arm's length: it spits." },
        },
      ),
    );
  if (step.operations.includes("caramelise"))
    found.push(hazard("boiling sugar", "likely", "melted sugar is at 160 °C and sticks to the skin", "keep children away, and a bowl of cold water at hand"));
  if (step.operations.includes("pressure"))
    found.push(
      hazard(
        "pressure",
        "likely",
        "grain, pulses and milk froth under pressure and can stop the valve",
        "fill the cooker no more than half, and let the pressure fall by itself",
      ),
    );
  if (step.heat !== null && grams(together(at).filter(isDairyMilk)) >= 500 && at.coming.some(isDairyMilk))
    found.push(hazard("boils over", "sometimes", "milk rises when it comes to the boil", "a pan that it fills no more than half, and an eye on it"));
  return found;
};

const cooling: Family = (at, { pots, finished }) => {
  if (at !== pots.findLast(({ step }) => step.part === null)) return [];
  const all = together(at);
  const isPerishable = grams(all.filter(kinds("milk", "plant milk", "cream", "egg", "milk solids", "curd"))) > 0.2 * finished;
  return isPerishable || all.some(({ food }) => food.nature?.botanical === "Oryza sativa" && grams(all.filter(isLiquid)) > 0)
    ? [
        hazard(
          "to be cooled soon",
          "sometimes",
          "what is not eaten spoils within hours: milk, egg and cooked rice more than most",
          "cool it within two hours and keep it in the fridge",
        ),
      ]
    : [];
};

const FAMILIES: readonly Family[] = [
  casein,
  plantMilk,
  coconut,
  egg,
  lumps,
  thins,
  setting,
  grains,
  scorch,
  aroma,
  ladoo,
  soaks,
  drowned,
  honey,
  burns,
  cooling,
];

/** What can go wrong in a version's steps, in their order, the gravest of a step first; each once for a step. */
export function hazardsOf({ method, textOf, version, archetype, serve }: HazardGround): Hazard[] {
  const pots = potsOf(method, textOf, version);
  const mass = version.rows.reduce((sum, { food, grams: all }) => (food ? sum + all : sum), 0);
  const context: Context = { version, archetype, serve, pots, finished: Math.max(1, mass - version.evaporation) };
  return pots.flatMap((at) =>
    FAMILIES.flatMap((family) => family(at, context).map((found): Hazard => ({ ...found, step: at.step.id }))).sort(
      (a, b) => HAZARD_GRADES.indexOf(a.grade) - HAZARD_GRADES.indexOf(b.grade),
    ),
  );
}
