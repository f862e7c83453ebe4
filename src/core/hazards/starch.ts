import { type Found, type Family, hazard, name, kinds, together, grams, isLiquid, isSour, HOT } from "./hazard";
import type { PotAt } from "./pot";

const SMOOTH =
  /\bslak|\bslurry|\bcold (?:milk|water|liquid|[a-z]+ (?:milk|drink))|\bno lumps?\b|\bwithout lumps\b|\bthin stream\b|\bwhisk|\bsie?ve|\bsift|\bpaste\b|\blittle by little\b|\bby the spoonful\b/i;
export const lumps: Family = (at, { pots }) => {
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

export const thins: Family = (at) => {
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
export const setting: Family = (at) => {
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

export const grains: Family = (at, { version, finished, serve, pots }) => {
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
