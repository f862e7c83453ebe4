import { clausesIn } from "../method";
import type { WayRule } from "./way";
import { firstNaming, isOwnSite, lastWet, pouring, sitesNaming, withMore, withSentence, withWords, type Site, type WayLine, type Writing } from "./writing";

/** The sentences in which the sweet's own pot simmers for a time that they tell. */
const simmered = ({ sites }: Writing): Site[] =>
  sites.filter((site) => isOwnSite(site) && site.wet > 0 && site.reading.timed && (site.reading.operation === "simmer" || site.reading.operation === "reduce"));
const longest = (sites: readonly Site[]): Site | undefined => [...sites].sort((a, b) => b.wet - a.wet)[0];
const LID = /,? (?:with (?:the|a) lid on|under a lid|covered|with the lid ajar)\b|\bcover (?:it|the pot|the pan) and /i;
const TIME = /\b(?:for )?(?:about )?(?:\d{1,3}(?: ?(?:-|–|to) ?\d{1,3})?|an|one|half an) (?:minutes|mins|hours?)\b/i;

export const lid: WayRule = {
  written: (at) => {
    const site = longest(simmered(at));
    if (!site || site.wet < LONG) return undefined;
    return site.reading.coveredMinutes >= site.wet - 1 ? "on" : "off";
  },
  write: (at, option) => {
    const site = longest(simmered(at));
    if (!site) return null;
    const { recipe } = at.read;
    if (option === "off") {
      const found = LID.exec(site.text);
      return found ? withWords(recipe, site, { from: found.index, to: found.index + found[0].length }, "") : null;
    }
    const found = TIME.exec(site.text);
    // What is to boil down does not do so under a lid.
    if (site.reading.end !== null || /\breduc/i.test(site.text) || BOILS_DOWN.test(site.reading.cue ?? "")) return null;
    return found ? withWords(recipe, site, { from: found.index + found[0].length, to: found.index + found[0].length }, " under a lid") : null;
  },
};
const BOILS_DOWN = /\b(?:left|thick|thickens|line|coats?|half|third|reduced?|leaves|drawn|gathers?|absorbed|gone|path|lump|creamy)\b/i;
/** A simmer that is too short for a lid to matter, minutes. */
const LONG = 8;

const ROUNDS =
  /,? (?:in (?:two|three|four|several) (?:rounds|lots|batches|parts|additions|portions)|in rounds|little by little|bit by bit|gradually|a ladle(?:ful)? at a time|a little at a time)\b/i;
/** So many times what it is poured on is a pot of liquid: it is not taken up. */
const MUCH = 1.2;
const POURS = /\b(?:pour|add|stir|put|tip) (?:in |into )?(?:the |all the )?(?:[a-z-]+ ){0,2}$/i;
export const liquid: WayRule = {
  written: (at) => {
    const poured = pouring(at);
    if (!poured || !isOwnSite(poured.site) || !["flour halwa", "vegetable halwa"].includes(at.read.archetype)) return undefined;
    const { site, line } = poured;
    const others = at.sites.slice(0, site.at).some(({ names }) => names.some(({ line: of }) => of !== line.id));
    if (line.grams > MUCH * at.lines.reduce((sum, { id, grams }) => sum + (id === line.id ? 0 : grams), 0)) return undefined;
    if (sitesNaming(at, line.id).filter(isOwnSite).length > 1 && !ROUNDS.test(site.text)) return undefined;
    return ROUNDS.test(site.text) ? "in rounds" : others ? "at once" : undefined;
  },
  write: (at, option) => {
    const poured = pouring(at);
    if (!poured) return null;
    const { site, line } = poured;
    const { recipe } = at.read;
    if (option === "at once") {
      const found = ROUNDS.exec(site.text);
      return found ? withWords(recipe, site, { from: found.index, to: found.index + found[0].length }, "") : null;
    }
    const place = site.names.find(({ line: of }) => of === line.id);
    if (!place || !POURS.test(site.text.slice(0, place.at))) return null;
    const end = place.at + place.words.length;
    const slowly = /^ (?:slowly|gradually)\b/i.exec(site.text.slice(end))?.[0].length ?? 0;
    const ends = /^[,.;]|^$/.test(site.text.slice(end + slowly).trim());
    return withWords(recipe, site, { from: end, to: end + slowly }, ` in three rounds, each when the one before has been taken up${ends ? "" : ","}`);
  },
};

const isVegetable = ({ kind }: WayLine): boolean => kind === "vegetable" || kind === "fruit";
const MASHED = /\bsteam\b/i;
const GRATED = /\b(?:grate|grated|shredded)\b/i;
export const vegetable: WayRule = {
  written: (at) => {
    const lines = at.lines.filter(isVegetable);
    const [line] = lines;
    if (at.read.archetype !== "vegetable halwa" || lines.length !== 1 || !line || !firstNaming(at, line.id)) return undefined;
    const sites = sitesNaming(at, line.id);
    if (sites.some(({ text }) => MASHED.test(text))) return "steamed and mashed";
    return GRATED.test(line.description) || sites.some(({ text }) => GRATED.test(text)) ? "in its own juice" : null;
  },
  write: (at, option) => {
    const line = at.lines.find(isVegetable);
    const site = line && firstNaming(at, line.id);
    if (!line || !site) return null;
    const { recipe } = at.read;
    const isOnly =
      site.names.every(({ line: of }) => of === line.id) &&
      site.reading.operations.every((each) => ["wash", "peel", "grind", "steam", "mix", "rest"].includes(each));
    const it = /s$/.test(line.the) ? "them" : "it";
    const soft = it === "it" ? "it is soft" : "they are soft";
    const does = option === "in its own juice" ? `Grate ${line.the}.` : `Cut up ${line.the}, steam ${it} for 15 minutes until ${soft}, and mash ${it}.`;
    const peeled = !/\bpeel\b/i.test(site.text)
      ? does
      : option === "in its own juice"
        ? `Peel ${line.the} and grate ${it}.`
        : `Peel ${line.the}, cut ${it} up, steam ${it} for 15 minutes until ${soft}, and mash ${it}.`;
    const lines = recipe.lines.map((each) =>
      each.id === line.id && option !== "in its own juice" ? { ...each, text: each.text.replace(/,? (?:and )?(?:finely |coarsely )?grated\b/i, "") } : each,
    );
    if (!isOnly && GRATED.test(line.description)) return withMore({ ...recipe, lines }, site, "before", "way-vegetable", does);
    return isOnly ? withSentence(recipe, site, peeled) : withMore(recipe, site, "before", "way-vegetable", does);
  },
};

const LEVELS = { light: /\b(?:light|pale|straw)\b/i, dark: /\b(?:dark|deep)\b/i } as const;
export const caramel: WayRule = {
  written: (at) => {
    const site = caramelised(at);
    if (!site) return undefined;
    return LEVELS.light.test(site.text) ? "light" : LEVELS.dark.test(site.text) ? "dark" : null;
  },
  write: (at, option) => {
    const site = caramelised(at);
    const [sugar, ...others] = site?.names.flatMap(({ line: of }) => at.lines.filter(({ id }) => id === of)) ?? [];
    if (!site || !sugar || others.length > 0 || sugar.role !== "sweetener") return null;
    // What of it goes elsewhere, and what is done with the caramel, would be lost.
    if (sitesNaming(at, sugar.id).length > 1 || clausesIn(site.text).length > 1) return null;
    const words =
      option === "light"
        ? `Caramelise ${sugar.the} on a low flame until it is light brown, and loosen it on the flame with 2 tablespoons of warm water.`
        : `Caramelise ${sugar.the} on a low flame until it is dark brown, and take it off the flame before anything goes in.`;
    return withSentence(at.read.recipe, site, words);
  },
};
const caramelised = ({ sites }: Writing) => sites.find(({ reading, names }) => reading.operations.includes("caramelise") && names.length > 0);

const PRESSED = /\b(?:strain|squeeze|press|wring)\b/i;
const ONE_WAY = / ?Stir one way only\.?/i;
const isExtract = ({ food, kind, description }: WayLine): boolean => kind === "plant milk" || (food.family === "nut" && /\bmilk\b/i.test(description));
export const stirring: WayRule = {
  written: (at) => {
    const pressed = at.sites.some(({ text, names }) => PRESSED.test(text) && /\b(?:cloth|muslin|sieve|pulp|milk)\b/i.test(text) && names.length > 0);
    const thickens = at.lines.some(({ kind }) => kind === "starch" || kind === "flour" || kind === "grits");
    if (!(pressed || at.lines.some(isExtract)) || !thickens || !lastWet(at)) return undefined;
    return at.sites.some(({ text }) => ONE_WAY.test(text)) ? "one way" : "any way";
  },
  write: (at, option) => {
    const { recipe } = at.read;
    const told = at.sites.find(({ text }) => ONE_WAY.test(text));
    if (option === "any way") return told ? withSentence(recipe, told, "") : null;
    const end = longest(simmered(at)) ?? lastWet(at);
    return end ? withMore(recipe, end, "behind", "way-stirring", "Stir one way only.") : null;
  },
};

export const extracts: WayRule = {
  written: (at) => {
    const pressed = pressedTogether(at);
    if (pressed) return "together";
    const apart = at.lines.filter(({ food, id }) => isPressable(food) && sitesNaming(at, id).some(({ text }) => PRESSED.test(text)));
    return apart.length > 1 ? "apart" : undefined;
  },
  write: (at, option) => {
    const pressed = pressedTogether(at);
    if (option !== "apart" || !pressed) return null;
    const { site, lines } = pressed;
    const water = site.names.find(({ line: of }) => at.lines.some(({ id, kind }) => id === of && kind === "water"));
    const all = lines.reduce((sum, { grams }) => sum + grams, 0);
    const words = lines.map(
      ({ the, grams }, i) =>
        `Blend ${the} with ${water ? (i === 0 ? `${percent(grams / all)} of the water` : i === lines.length - 1 ? "the rest of the water" : `${percent(grams / all)} of the water`) : "its share of the water"}, and press it through a cloth.`,
    );
    return water && lines.length === 2 ? withSentence(at.read.recipe, site, words.join(" ")) : null;
  },
};
const percent = (share: number): string =>
  Math.abs(share - 0.5) < 0.1 ? "half" : share < 0.3 ? "a quarter" : share < 0.42 ? "a third" : share < 0.7 ? "two thirds" : "three quarters";
const isPressable = ({ family }: WayLine["food"]): boolean => family === "nut" || family === "oilseed";
function pressedTogether(at: Writing): { readonly site: Site; readonly lines: readonly WayLine[] } | null {
  for (const site of at.sites) {
    if (!PRESSED.test(site.text) || !site.reading.operations.includes("press")) continue;
    const lines = site.names.flatMap(({ line: of }) => at.lines.filter(({ id, food }) => id === of && isPressable(food)));
    if (lines.length > 1) return { site, lines };
  }
  return null;
}

const OVERNIGHT =
  /\b(?:overnight|for (?:at least |about )?(?:\d{1,2}(?: ?(?:-|–|to) ?\d{1,2})?|two|three|four|five|six|eight) hours|until (?:it is |they are )?(?:firm|set)(?: through)?(?: and [a-z ]{3,40})?)/i;
export const setting: WayRule = {
  written: (at) => {
    const site = set(at);
    if (!site) return undefined;
    return /\bovernight\b/i.test(site.text) ? "overnight" : /\bfirm\b/i.test(site.text) ? "until firm" : null;
  },
  write: (at, option) => {
    const site = set(at);
    const found = site && OVERNIGHT.exec(site.text);
    if (!site || !found) return null;
    const words = option === "overnight" ? "overnight" : "for 4 hours, until it is firm and pulls away from the side";
    const end = found.index + found[0].length;
    const more = /^,? (?:or )?until (?:it is |they are )?(?:firm|set)(?: through)?/i.exec(site.text.slice(end))?.[0].length ?? 0;
    return withWords(at.read.recipe, site, { from: found.index, to: end + more }, words);
  },
};
const set = (at: Writing) =>
  ["set pudding", "pudding", "fruit-bound"].includes(at.read.archetype)
    ? at.sites.find(
        ({ text, step, reading }) =>
          reading.operations.includes("chill") && OVERNIGHT.test(text) && /\b(?:set|moulds?|ramekins?|cups|firm|tin|tray)\b/i.test(step.text),
      )
    : undefined;
