import { INDEX } from "../food";
import { formatGrams, weighable } from "../units";
import { type Found, type Family, hazard, name, kinds, together, grams, isLiquid, isDairyMilk, isUnrefined, HOT } from "./hazard";

export const scorch: Family = (at) => {
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

export const aroma: Family = (at) => {
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

export const ladoo: Family = (at, { archetype }) => {
  const sugar = at.coming.find((item) => item.kind === "sugar" && !isUnrefined(item));
  return archetype === "ladoo" && sugar && at.celsius >= 100 && at.before.some(kinds("flour", "roasted flour", "grits"))
    ? [hazard("ladoo timing", "likely", "sugar in hot roasted flour melts and hardens to stones", "wait until the flour is only warm")]
    : [];
};

export const soaks: Family = (at) => {
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

export const drowned: Family = (at) => {
  const extract = together(at).find(({ food, kind }) => kind === "plant milk" && (food.id.endsWith("-home") || food.id.startsWith("pressed-")));
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
          { school: "others take perfumed rice, which covers it" },
        ),
      ]
    : [];
};

const APART = /\b(?:plenty of|lots of|a large pot of) (?:boiling |salted |hot )?water\b/i;
/** Done with no less than this share of what it takes up when it is boiled in plenty of water: a rule of thumb. */
const DRIEST = 0.6;
/** Grain, pulses and pearls that are boiled soft take up so much water as they gain; what boils away is gone for them. */
export const dry: Family = (at, { pots, version }) => {
  const last = pots.findLast(({ step }) => step.part === at.step.part && step.heat !== null);
  const raw = at.coming.filter(({ food, kind }) => food.cooked !== null && (kind === "grain" || kind === "pulse" || kind === "pearls"));
  const [first] = raw;
  if (!first || !last || at.minutesAfter < 5 || at.hottest < 90 || APART.test(at.text) || at.step.operations.includes("roast")) return [];
  const needed = raw.reduce((sum, { food, grams: mass }) => sum + ((food.cooked?.gain ?? 1) - 1) * mass, 0);
  const wet = together(last).reduce((sum, { food, grams: mass }) => sum + (mass * (food.per100g[INDEX.water] ?? 0)) / 100, 0);
  const left = wet - Math.max(0, version.evaporation);
  return left < DRIEST * needed
    ? [
        hazard(
          "too little liquid",
          "likely",
          `${name(first)} takes up about ${formatGrams(needed)} g of water until it is soft, and ${formatGrams(Math.max(0, left))} g is left for it`,
          `cook it under a lid, or with ${formatGrams(weighable(DRIEST * needed - left))} g more of the liquid`,
          { school: "others boil it apart in plenty of water, and drain it" },
        ),
      ]
    : [];
};

export const honey: Family = (at) => {
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

export const burns: Family = (at) => {
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

export const cooling: Family = (at, { pots, finished }) => {
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
