import type { Constants, Food, Treatment } from "../food";
import { clausesOf } from "./clauses";
import { RECIPE_LIMITS } from "./limits";
import { mentionsOf, namesOfLine } from "./mentions";
import type { PotItem } from "./pot";
import type { LineReading } from "./read-line";
import type { StepReading } from "./read-step";

const FINE = /\b(?:blend|blended|grind|ground|mash|mashed|pur[ée]e|pur[ée]ed|paste|powder|powdered|liquidi[sz]e|smooth)\b/i;
const COARSE = /\b(?:coarse|coarsely|crush|crushed|pound|pounded|pulse|pulsed|lightly mash(?:ed)?)\b/i;
const CUT = /\b(?:chop|chopped|slice|sliced|slivered|dice|diced|cut|halve|halved|quartered|shredded|finely)\b/i;
/** A nut, a seed or a grain has to lie in water for so long before it cooks sooner, minutes. */
const SOAKED_MINUTES = 60;
const CARAMEL: readonly (readonly [RegExp, NonNullable<Treatment["caramel"]>])[] = [
  [/\b(?:dark|deep|mahogany|almost burnt|chestnut)\b/i, "dark"],
  [/\b(?:light|pale|straw|honey)\b/i, "light"],
];
const GROUND: readonly Food["family"][] = ["nut", "oilseed", "fruit", "vegetable", "root", "cereal", "pseudo-cereal", "pulse"];
const TOASTED: readonly Food["family"][] = ["cereal", "pseudo-cereal", "pulse", "nut", "oilseed"];
/** All of a pot is meant: "blend it smooth", "mash everything". */
const ALL = /\b(?:it|them|both|everything|all|mixture|mix|batter|together|pot)\b/i;
/** What something should come to says nothing of what is done. */
const CUE = /\b(?:until|till|so that|as soon as|when)\b[^.;]*/gi;

/** What the words of a line say was done to its food before: "almonds, ground", "bananas, mashed". */
export function treatmentOfLine({ description, food, role }: Pick<Extract<LineReading, { kind: "read" }>, "description" | "food" | "role">): Treatment {
  const isGround = GROUND.includes(food.family) && food.nature?.form !== "flour" && food.nature?.form !== "paste";
  return {
    ...(isGround && COARSE.test(description) ? { ground: "coarse" as const } : isGround && FINE.test(description) ? { ground: "fine" as const } : {}),
    ...(/\bsoaked\b/i.test(description) ? { soaked: true } : {}),
    ...(food.family === "fruit" && role === "crunch" ? { pieces: CUT.test(description) ? ("cut" as const) : ("whole" as const) } : {}),
    ...(/\b(?:roasted|toasted)\b/i.test(description) && TOASTED.includes(food.family) && food.nature?.processing !== "roasted" ? { toasted: true } : {}),
  };
}

/** Sentences of a step, each with what of the pot it is about: what it names, else all that is there. */
function partsOf(
  text: string,
  items: readonly PotItem[],
  describe: (item: PotItem) => string,
): { readonly text: string; readonly items: readonly PotItem[] }[] {
  const mentions = mentionsOf(items.map((item) => ({ key: item, names: namesOfLine(describe(item), item.food) })));
  return clausesOf(text.replace(CUE, "")).map((part) => {
    const named = [...new Set(mentions(part).map(({ key }) => key))];
    return {
      text: part,
      items: named.length > 0 && !ALL.test(part) ? named : items,
    };
  });
}

const GRINDS = /\b(?:blend|grind|mash|pur[ée]e|crush|pound|pulse|liquidi[sz]e|whisk)\b/i;
const CUTS = /\b(?:chop|slice|dice)\b/i;
const DONE = new RegExp(`${GRINDS.source}|${CUTS.source}`, "i");

/** Takes note of what a step does to the foods in its pot. `here` went in at it. */
export function treat(
  reading: StepReading,
  pot: readonly PotItem[],
  here: readonly PotItem[],
  describe: (item: PotItem) => string,
  constants: Constants,
): void {
  const does = new Set(reading.operations);
  const note = (item: PotItem, more: Treatment) => {
    item.treated = { ...item.treated, ...more };
  };
  const text = reading.step.text.slice(0, RECIPE_LIMITS.stepCharacters);
  if (DONE.test(text)) {
    for (const part of partsOf(text, here.length > 0 ? here : pot, describe)) {
      const isCoarse = COARSE.test(part.text);
      const verb = GRINDS.exec(part.text)?.[0].toLowerCase();
      if (!verb) {
        if (CUTS.test(part.text)) for (const item of part.items) if (item.treated.pieces) note(item, { pieces: "cut" });
        continue;
      }
      for (const item of part.items) {
        if (item.food.family === "pulse" && (verb === "mash" || verb === "whisk")) note(item, { broken: verb === "mash" ? 1 : 0.8 });
        else if (verb !== "whisk" && GROUND.includes(item.food.family) && item.food.nature?.form !== "flour")
          note(item, { ground: isCoarse ? "coarse" : "fine" });
      }
    }
  }
  if (does.has("soak") && reading.minutes.usual >= SOAKED_MINUTES)
    for (const item of here) if (TOASTED.includes(item.food.family)) note(item, { soaked: true });
  if (does.has("caramelise")) {
    const level = CARAMEL.find(([words]) => words.test(text))?.[1] ?? "amber";
    for (const item of pot) if (item.food.family === "sweetener") note(item, { caramel: level });
  }
  const isMelted = does.has("dissolve") || does.has("caramelise") || reading.end?.end.kind === "syrup" || reading.end?.end.kind === "boils at";
  if (isMelted || reading.open.length > 0 || does.has("reduce")) for (const item of pot) if (item.food.family === "sweetener") note(item, { dissolved: true });
  const wet = pot.reduce((sum, { food, grams }) => sum + (grams * (food.per100g[0] ?? 0)) / 100, 0) > WET * pot.reduce((sum, { grams }) => sum + grams, 0);
  if ((does.has("roast") || does.has("fry")) && !wet) for (const item of pot) if (TOASTED.includes(item.food.family)) note(item, { toasted: true });
  cookedIn(reading, pot, note, constants);
}
const WET = 0.3;

const CLOSED: readonly string[] = ["pressure", "steam", "bake"];
/** What cooking does something to in itself. */
const SOFTENS: readonly Food["family"][] = ["fruit", "nut", "oilseed", "pulse"];
const WARM: readonly string[] = ["simmer", "reduce", "pressure", "steam", "bake", "temper"];

/** Wet heat, as minutes where they are told; one under pressure counts as several. */
function cookedIn(reading: StepReading, pot: readonly PotItem[], note: (item: PotItem, more: Treatment) => void, { grain }: Constants): void {
  const { operations, open, coveredMinutes, minutes, timed } = reading;
  const inPan = open.reduce((sum, part) => sum + part.minutes, coveredMinutes);
  const closed = timed ? operations.find((operation) => CLOSED.includes(operation)) : undefined;
  const cooked = closed === undefined ? inPan : Math.max(inPan, minutes.usual) * (closed === "pressure" ? grain.value.pressure : 1);
  const isHeated = cooked > 0 || operations.some((operation) => WARM.includes(operation));
  if (!isHeated) return;
  for (const item of pot) {
    const { thickening, family } = item.food;
    if (!thickening.starch && !thickening.egg && !SOFTENS.includes(family)) continue;
    if (cooked > 0) note(item, { minutes: (item.treated.minutes ?? 0) + cooked });
    else item.untimed = true;
    if (thickening.egg)
      note(item, { egg: closed === "bake" || closed === "steam" || operations.includes("bake") || operations.includes("steam") ? "baked" : "stirred" });
    if (operations.includes("pressure") && family === "pulse") note(item, { broken: Math.max(item.treated.broken ?? 0, 0.3) });
  }
}

/** What was done to a line's food in the end, of its parts in several pots that of the largest; absent where nothing was. */
export function treatmentIn(items: readonly PotItem[]): Treatment | undefined {
  const [largest] = [...items].sort((a, b) => b.grams - a.grams);
  if (!largest) return undefined;
  const { minutes, caramel, ...rest } = largest.treated;
  const all = items.reduce((sum, { grams }) => sum + grams, 0);
  const browned = items.filter(({ treated }) => treated.caramel !== undefined);
  const share = browned.reduce((sum, { grams }) => sum + grams, 0) / Math.max(1e-9, all);
  const level = caramel ?? browned[0]?.treated.caramel;
  const sugar: Treatment = level === undefined ? {} : { caramel: level, ...(share < 0.99 ? { caramelShare: share } : {}) };
  // Where one step tells no minutes, how long it cooked is not known.
  const treated: Treatment = { ...rest, ...sugar, ...(minutes !== undefined && !largest.untimed ? { minutes } : {}) };
  return Object.keys(treated).length > 0 ? treated : undefined;
}
