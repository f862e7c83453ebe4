import { minutesToDone } from "../method";
import type { Recipe } from "../recipe";
import type { WayRule } from "./way";
import { clauseOf, firstNaming, isOwnSite, sitesNaming, withMore, withSentence, withWords, type Site, type WayLine, type Writing } from "./writing";

const isGrain = ({ kind }: WayLine): boolean => kind === "grain";
const isRice = ({ food, kind }: WayLine): boolean => kind === "grain" && food.nature?.botanical === "Oryza sativa";
/** The one line of a kind; where there are several, which is meant is not told. */
const oneOf = (at: Writing, is: (line: WayLine) => boolean): WayLine | undefined => {
  const found = at.lines.filter(is);
  return found.length === 1 ? found[0] : undefined;
};
const namesOnly = (site: Site, line: WayLine): boolean => site.names.every(({ line: of }) => of === line.id);

/** A recipe without what a sentence does to a line by words like these: the sentence, or its clause, or "wash and" before another verb. */
function notDone(at: Writing, line: WayLine, does: RegExp, only: readonly string[]): Recipe | null {
  const site = sitesNaming(at, line.id).find(({ text }) => does.test(text));
  if (!site) return null;
  const { recipe } = at.read;
  if (namesOnly(site, line) && site.reading.operations.every((each) => only.includes(each))) return withSentence(recipe, site, "");
  const before = new RegExp(`\\b(?:${does.source})(?:,? and | and then |, then |, )(?=[a-z]{3,10} )`, "i").exec(site.text);
  if (before) {
    const rest = site.text.slice(before.index + before[0].length);
    return withWords(
      recipe,
      site,
      { from: before.index, to: before.index + before[0].length + 1 },
      before.index === 0 ? rest.charAt(0).toUpperCase() : rest.charAt(0),
    );
  }
  const clause = clauseOf(site, does);
  return clause && !site.names.some(({ at: place }) => place >= clause.from && place < clause.to) ? withWords(recipe, site, clause, "") : null;
}
/** A sentence more before a line first goes in, where it is its own. */
const before = (at: Writing, line: WayLine, id: string, sentence: string): Recipe | null => {
  const site = firstNaming(at, line.id);
  return site ? withMore(at.read.recipe, site, "before", id, sentence) : null;
};

const WASH = /\b(?:wash|rinse)\b/i;
export const riceRinsed: WayRule = {
  written: (at) => {
    const line = oneOf(at, isRice);
    if (!line || !firstNaming(at, line.id)) return undefined;
    return /\b(?:washed|rinsed)\b/i.test(line.description) || sitesNaming(at, line.id).some(({ text }) => WASH.test(text)) ? "rinsed" : "not rinsed";
  },
  write: (at, option) => {
    const line = oneOf(at, isRice);
    if (!line) return null;
    return option === "rinsed"
      ? before(at, line, "way-rinse", `Rinse ${line.the} until the water runs nearly clear, and drain.`)
      : notDone(at, line, /wash|rinse/i, ["wash"]);
  },
};

const PERFUMED = /\b(?:perfumed|fragrant|scented|aromatic)\b/i;
export const riceKind: WayRule = {
  written: (at) => {
    const line = oneOf(at, ({ food }) => food.id === "white-rice");
    return line ? (PERFUMED.test(line.description) ? "perfumed" : "plain") : undefined;
  },
  write: ({ read: { recipe, byLine }, lines }, option) => {
    const line = lines.find(isRice);
    const reading = line && byLine.get(line.id);
    if (!line || reading?.kind !== "read") return null;
    const { text } = reading.line;
    const name = text.toLowerCase().indexOf(line.description.toLowerCase());
    const other =
      option === "perfumed"
        ? name < 0
          ? text
          : `${text.slice(0, name)}perfumed ${text.slice(name)}`
        : text.replace(new RegExp(`${PERFUMED.source} ?`, "i"), "");
    return other === text ? null : { ...recipe, lines: recipe.lines.map((each) => (each.id === line.id ? { ...each, text: other } : each)) };
  },
};

/** Said outright, or as what stands in cold water for a time: "cover the barley with water and leave it overnight". */
const SOAK =
  /\bsoak(?:ed|ing)?\b|^(?![^.;]*\b(?:boil|simmer|cook|heat)).*\b(?:cover|leave|let|put|steep)\b(?=[^.;]*\bwater\b)[^.;]*\b(?:leave|stand|steep|overnight|hours?)\b/i;
const DRAIN = /\b(?:drain|strain|throw (?:the|its) (?:soaking )?water away|discard)\b/i;
const KEPT = /\bsoaking water\b/i;
const soaked = (at: Writing, line: WayLine) => sitesNaming(at, line.id).find((site) => isOwnSite(site) && SOAK.test(site.text));
/** What is cooked in goes in with so many times its mass of water. */
const COVERS = 1.5;
const WATER_LINE = "way-water-line";
/** A later sentence of another step in which what was soaked is drained. */
const drainedLater = (at: Writing, line: WayLine, site: Site) =>
  sitesNaming(at, line.id).some((other) => other.at > site.at && other.step.id !== site.step.id && DRAIN.test(other.text) && !COOKED_BEFORE.test(other.text));
const isSoaked = ({ kind }: WayLine): boolean => kind === "grain" || kind === "pulse" || kind === "pearls";
export const soakingWater: WayRule = {
  written: (at) => {
    const line = at.lines.filter(isSoaked).find((each) => soaked(at, each));
    const site = line && soaked(at, line);
    if (!site) return undefined;
    if (KEPT.test(site.text)) return "cooked in";
    return drainedLater(at, line, site) || at.sites.some((other) => other.step.id === site.step.id && DRAIN.test(other.text)) ? "drained" : null;
  },
  write: (at, option) => {
    const line = at.lines.filter(isSoaked).find((each) => soaked(at, each));
    const site = line && soaked(at, line);
    if (!line || !site || !namesOnly(site, line) || site.reading.operations.some((each) => !["soak", "wash", "mix", "rest"].includes(each))) return null;
    // It is drained by a sentence that does more.
    if (drainedLater(at, line, site)) return null;
    const time =
      /\b(?:for (?:about |at least )?)?(?:\d{1,3}(?: ?(?:-|–|to) ?\d{1,3})?|an|one|two|three|four|half an) (?:hours?|minutes?)\b|\bovernight\b/i.exec(
        site.text,
      )?.[0] ?? "for 30 minutes";
    const first = WASH.test(site.text) ? `Rinse ${line.the}, and soak it` : `Soak ${line.the}`;
    const { recipe } = at.read;
    const drains = at.sites.find((other) => other.step.id === site.step.id && other.at > site.at && DRAIN.test(other.text) && other.names.length === 0);
    const own = recipe.lines.find(({ id }) => id === WATER_LINE);
    if (option === "drained") {
      const lines = own ? recipe.lines.filter((each) => each !== own) : recipe.lines;
      return withSentence({ ...recipe, lines }, site, `${first} ${time}${drains ? "" : ", and drain it"}.`);
    }
    const millilitres = Math.max(10, Math.round((COVERS * line.grams) / 10) * 10);
    const water = at.lines.find(({ kind }) => kind === "water");
    const without = drains ? withSentence(recipe, drains, "") : recipe;
    if (water)
      return water.grams < 2 * millilitres
        ? null
        : withSentence(without, site, `${first} ${time} in ${millilitres} ml of ${water.the}; it goes in with its soaking water.`);
    return withSentence(
      { ...without, lines: [...without.lines, { id: WATER_LINE, text: `${millilitres} ml water`, choice: {} }] },
      site,
      `${first} ${time} in the water; it goes in with its soaking water.`,
    );
  },
};

const COOKED_BEFORE = /\b(?:plenty of|boiling) water\b[^.]*\bdrain/i;
export const grainBefore: WayRule = {
  written: (at) => {
    const line = oneOf(at, isGrain);
    if (!line || !firstNaming(at, line.id)) return undefined;
    if (sitesNaming(at, line.id).some(({ text }) => COOKED_BEFORE.test(text) && !SOAK.test(text))) return "cooked";
    const reading = at.read.lines.find(({ id }) => id === line.id);
    return reading?.treated?.soaked || /\bsoaked\b/i.test(line.description) || soaked(at, line) ? "soaked" : "raw";
  },
  write: (at, option) => {
    const line = oneOf(at, isGrain);
    if (!line) return null;
    const is = grainBefore.written(at);
    const raw = is === "raw" ? at.read.recipe : is === "soaked" ? notDone(at, line, SOAK, ["soak", "wash", "rest", "mix"]) : null;
    if (option === "raw") return raw;
    if (is !== "raw") return null;
    const minutes = Math.max(8, Math.round(minutesToDone(line.food, at.constants)));
    if (option === "soaked") return before(at, line, "way-soak", `Soak ${line.the} for 2 hours in plenty of water, and drain.`);
    return before(at, line, "way-cooked", `Boil ${line.the} in plenty of water for ${minutes} minutes, until soft, and drain well.`);
  },
};

const isToastable = ({ kind }: WayLine): boolean => kind === "grain" || kind === "grits" || kind === "strands";
const toastedAt = (at: Writing, line: WayLine) =>
  sitesNaming(at, line.id).find(({ reading: { operations } }) => operations.includes("roast") || operations.includes("fry"));
export const grainToasted: WayRule = {
  written: (at) => {
    const line = oneOf(at, isToastable);
    if (!line || line.food.nature?.processing === "roasted" || !firstNaming(at, line.id) || at.read.archetype !== "pudding") return undefined;
    // What was wet is not roasted.
    if (sitesNaming(at, line.id).some(({ text }) => WASH.test(text) || SOAK.test(text) || COOKED_BEFORE.test(text))) return undefined;
    return toastedAt(at, line) || /\b(?:roasted|toasted)\b/i.test(line.description) ? "toasted" : "plain";
  },
  write: (at, option) => {
    const line = oneOf(at, isToastable);
    if (!line) return null;
    if (option === "plain") return notToasted(at, line);
    return before(at, line, "way-toast", `Toast ${line.the} in a dry pan on a low flame for 4 minutes, stirring, until it smells of nuts.`);
  },
};

/** A recipe in which a line is not roasted: where nothing but its fat is named, that goes in by itself. */
function notToasted(at: Writing, line: WayLine): Recipe | null {
  const site = toastedAt(at, line);
  if (!site) return null;
  const others = site.names.flatMap(({ line: of }) => (of === line.id ? [] : at.lines.filter(({ id }) => id === of)));
  if (others.some(({ kind }) => kind !== "fat")) return null;
  if (site.reading.operations.some((each) => !["roast", "fry", "mix", "dissolve"].includes(each))) return null;
  const named = sitesNaming(at, line.id).length > 1;
  const parts = [...others.map(({ the }) => `melt ${the}`), ...(named ? [] : [`put in ${line.the}`])];
  if (parts.length === 0) return withSentence(at.read.recipe, site, "");
  const words = parts.join(" and ");
  return withSentence(at.read.recipe, site, `${words.charAt(0).toUpperCase()}${words.slice(1)}.`);
}

const isRoastedStrand = ({ food }: WayLine): boolean => food.nature?.form === "strands" && food.nature.processing === "roasted";
export const roastedAgain: WayRule = {
  written: (at) => {
    const line = oneOf(at, isRoastedStrand);
    return line && firstNaming(at, line.id) ? (toastedAt(at, line) ? "again" : "not again") : undefined;
  },
  write: (at, option) => {
    const line = oneOf(at, isRoastedStrand);
    if (!line) return null;
    return option === "not again"
      ? notToasted(at, line)
      : before(at, line, "way-toast", `Roast ${line.the} once more in a dry pan for 2 minutes, stirring, until it is golden.`);
  },
};

const isHalwaFlour = ({ kind }: WayLine): boolean => kind === "flour" || kind === "grits";
export const flourRoasted: WayRule = {
  written: (at) => {
    const line = oneOf(at, isHalwaFlour);
    const site = line && toastedAt(at, line);
    if (!line || !site || !["flour halwa", "ladoo"].includes(at.read.archetype)) return undefined;
    const fat = fatOf(at);
    if (!fat) return undefined;
    const first = firstNaming(at, fat.id);
    return first && first.at <= site.at ? "in fat" : "dry";
  },
  write: (at, option) => {
    const line = oneOf(at, isHalwaFlour);
    const site = line && toastedAt(at, line);
    const fat = fatOf(at);
    if (!line || !site || !fat || site.names.some(({ line: of }) => of !== line.id && of !== fat.id)) return null;
    const named = sitesNaming(at, fat.id);
    const { recipe } = at.read;
    if (option === "dry") {
      // "Melt the ghee." before it goes; what is fried in it first stays.
      const [first] = named;
      if (!first || (first !== site && (first.names.some(({ line: of }) => of !== fat.id) || first.step.component !== site.step.component))) return null;
      if (at.sites.some(({ at: place, reading }) => place < site.at && reading.operations.includes("fry"))) return null;
      const time = TIME.exec(site.text)?.[0] ?? "12 minutes";
      const cue = site.reading.cue === null || OF_FAT.test(site.reading.cue) ? "it smells of nuts and is a shade darker" : site.reading.cue;
      const dry = withSentence(recipe, site, `Roast ${line.the} dry for ${time}, stirring all the while, until ${cue}. Stir in ${fat.the}.`);
      return first === site ? dry : withSentence(dry, first, "");
    }
    const later = named.find((each) => each.at > site.at);
    if (!later || later.names.some(({ line: of }) => of !== fat.id) || later.reading.operations.some((each) => !["mix", "dissolve", "transfer"].includes(each)))
      return null;
    const place = site.names.find(({ line: of }) => of === line.id);
    if (!place) return null;
    const end = place.at + place.words.length;
    const text = `${site.text.slice(0, end)} in ${fat.the}${site.text.slice(end).replace(/ (?:dry|in a dry pan)\b/i, "")}`;
    return withSentence(withSentence(recipe, later, ""), site, text.trimEnd());
  },
};
/** A look that only flour in fat has. */
const OF_FAT = /\b(?:paste|loosens?|ghee|butter|fat|oil|shines?|sides|wet sand|runs)\b/i;
const TIME = /\b\d{1,3}(?: ?(?:-|–|to) ?\d{1,3})? minutes\b/i;
const fatOf = (at: Writing): WayLine | undefined => [...at.lines].filter(({ kind }) => kind === "fat").sort((a, b) => b.grams - a.grams)[0];
