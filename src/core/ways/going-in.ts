import type { LineId, Recipe } from "../recipe";
import type { WayRule } from "./way";
import {
  besideNamed,
  firstNaming,
  isOwnSite,
  itOf,
  lastWet,
  minutesAfter,
  pouring,
  sitesNaming,
  theOf,
  withMore,
  withoutNaming,
  writingOf,
  type Site,
  type WayLine,
  type Writing,
} from "./writing";

/** Up to so many minutes before the end counts as late; minutes. */
const LATE = 8;
const isWhole = (at: Writing, line: LineId): boolean => at.read.steps.filter(({ takes }) => takes.some(({ of }) => of.id === line)).length <= 1;

/** The sentence at which all of these lines go in together; none where they do not. */
function togetherAt(at: Writing, lines: readonly WayLine[]): Site | undefined {
  const sites = lines.map(({ id }) => firstNaming(at, id));
  const [first] = sites;
  return first && sites.every((site) => site === first) && lines.every(({ id }) => isWhole(at, id)) ? first : undefined;
}

/** A recipe in which lines go in elsewhere: not named where they were, and named in a sentence of their own behind the last that cooks. */
function atTheEnd(at: Writing, lines: readonly WayLine[], id: string, sentence: string): Recipe | null {
  const bare = again(
    at,
    withoutNaming(
      at,
      lines.map(({ id: line }) => line),
    ),
  );
  const end = lastWet(bare);
  return end ? withMore(bare.read.recipe, end, "behind", id, sentence) : null;
}

/** The same with the liquid that is poured in first. */
function withTheLiquid(at: Writing, lines: readonly WayLine[]): Recipe | null {
  const bare = again(
    at,
    withoutNaming(
      at,
      lines.map(({ id }) => id),
    ),
  );
  const poured = pouring(bare);
  return poured && besideNamed(bare.read.recipe, poured.site, poured.line.id, theOf(lines));
}

/** A recipe on the way between two states: its sentences are found anew, its lines are what they were. */
function again(at: Writing, recipe: Recipe): Writing {
  return { ...writingOf({ ...at.read, recipe }, at.constants), lines: at.lines };
}

const ROUNDS = /\brounds?\b/i;
const isPot = ({ read: { archetype } }: Writing, poured: Site): boolean => archetype === "pudding" || archetype === "set pudding" || ROUNDS.test(poured.text);
const SOFTENS: readonly WayLine["kind"][] = ["grain", "pearls", "grits", "strands", "flakes", "pulse", "flour"];
const isPlainSweetener = ({ kind, role, food }: WayLine): boolean => role === "sweetener" && (kind === "sugar" || kind === "syrup") && !isHoney({ food });
const isHoney = ({ food }: Pick<WayLine, "food">): boolean => food.id === "honey" || /^honey\b/i.test(food.name);
const isBoiledToSyrup = (at: Writing, line: LineId): boolean =>
  sitesNaming(at, line).some(
    ({ reading }) => reading.operations.includes("caramelise") || reading.end?.end.kind === "syrup" || reading.end?.end.kind === "boils at",
  );

export const sweetener: WayRule = {
  written: (at) => {
    const lines = at.lines.filter(isPlainSweetener);
    const site = togetherAt(at, lines);
    const poured = pouring(at);
    if (!site || !poured || !isPot(at, poured.site) || !at.lines.some(({ kind }) => SOFTENS.includes(kind)) || lines.some(({ id }) => isBoiledToSyrup(at, id)))
      return undefined;
    if (ROUNDS.test(site.text) && site.names.some(({ line }) => line === poured.line.id)) return "with each round";
    const later = minutesAfter(at, site, lines[0]?.id ?? "");
    return later <= LATE ? "at the end" : site.at <= poured.site.at ? "with the milk" : null;
  },
  write: (at, option) => {
    const lines = at.lines.filter(isPlainSweetener);
    if (option === "at the end")
      return atTheEnd(
        at,
        lines,
        "way-sweetener",
        `Stir in ${theOf(lines)}, and go on stirring until ${itOf(lines)} ${itOf(lines) === "it" ? "has" : "have"} dissolved.`,
      );
    if (option === "with the milk") return withTheLiquid(at, lines);
    const poured = pouring(at);
    if (!poured || !ROUNDS.test(poured.site.text)) return null;
    return withTheLiquid(at, lines);
  },
};

const isCardamom = ({ food }: WayLine): boolean => food.id === "cardamom";
export const cardamom: WayRule = {
  written: (at) => {
    const [line] = at.lines.filter(isCardamom);
    const poured = pouring(at);
    const sites = line ? sitesNaming(at, line.id) : [];
    const [first, second] = sites;
    if (!line || !poured || !first || !isOwnSite(first) || !lastWet(at)) return undefined;
    if (first.reading.end?.end.kind === "syrup") return "in the syrup";
    if (!isDairyOrLike(poured.line)) return at.sites.some(({ reading }) => reading.end?.end.kind === "syrup") ? "late" : undefined;
    if (second && isShared(at, line.id)) return "both";
    return minutesAfter(at, first, line.id) > LATE ? "early" : "late";
  },
  write: (at, option) => {
    const [line] = at.lines.filter(isCardamom);
    if (!line) return null;
    if (option === "late") return atTheEnd(at, [line], "way-cardamom", `Off the heat stir in ${line.the}.`);
    const poured = pouring(at);
    if (option !== "in the syrup" && !(poured && isDairyOrLike(poured.line))) return null;
    if (option === "early") return withTheLiquid(at, [line]);
    if (option === "in the syrup") {
      const bare = again(at, withoutNaming(at, [line.id]));
      const syrup = bare.sites.find(
        ({ reading, names }) => reading.end?.end.kind === "syrup" && names.some(({ line: of }) => roleOf(bare, of) === "sweetener"),
      );
      const sweet = syrup?.names.find(({ line: of }) => roleOf(bare, of) === "sweetener");
      return syrup && sweet ? besideNamed(bare.read.recipe, syrup, sweet.line, line.the) : null;
    }
    const early = withTheLiquid(at, [{ ...line, the: `half of ${line.the}` }]);
    const between = early && again(at, early);
    const end = between && lastWet(between);
    return between && end ? withMore(between.read.recipe, end, "behind", "way-cardamom", `Off the heat stir in the rest of ${line.the}.`) : null;
  },
};
const isDairyOrLike = ({ kind }: WayLine): boolean => kind === "milk" || kind === "plant milk" || kind === "cream";
const roleOf = ({ lines }: Writing, id: LineId) => lines.find((line) => line.id === id)?.role;
const isShared = ({ read: { steps } }: Writing, id: LineId): boolean =>
  steps.filter(({ takes }) => takes.some(({ of, share }) => of.id === id && share < 0.99)).length > 1;

export const honey: WayRule = {
  written: (at) => {
    const [line] = at.lines.filter(isHoney);
    const site = line && firstNaming(at, line.id);
    if (!line || !site || !isWhole(at, line.id) || !lastWet(at)) return undefined;
    return minutesAfter(at, site, line.id) > 0 ? "cooked" : WARM.test(site.text) ? "never" : null;
  },
  write: (at, option) => {
    const lines = at.lines.filter(isHoney);
    if (option === "never") return atTheEnd(at, lines, "way-honey", `When it is no warmer than the hand, stir in ${theOf(lines)}.`);
    return atTheEnd(at, lines, "way-honey", `Stir in ${theOf(lines)} and simmer for 2 minutes more.`);
  },
};
const WARM = /\b(?:lukewarm|no warmer|cooled|hand|warm)\b/i;

const isUnrefined = ({ food, role }: WayLine): boolean =>
  role === "sweetener" && food.nature?.processing === "evaporated" && !food.pours && food.family === "sweetener";
const isDairyMilk = ({ food, kind }: WayLine): boolean => food.family === "dairy" && (kind === "milk" || kind === "cream");
const COOLED = /\b(?:lukewarm|no warmer|let (?:both|the pot|it) cool|cooled)\b/i;
export const jaggeryInMilk: WayRule = {
  written: (at) => {
    const lines = at.lines.filter(isUnrefined);
    // A syrup of it may be made before.
    const site = togetherAt(at, lines) && sitesNaming(at, lines[0]?.id ?? "").findLast(isOwnSite);
    const milk = at.lines.find(isDairyMilk);
    const end = lastWet(at);
    if (!milk || !site || !end || (firstNaming(at, milk.id)?.at ?? Infinity) > Math.min(end.at, site.at)) return undefined;
    if (/\bcool\b/i.test(site.text) && /\bsyrup\b/i.test(site.text)) return /\bchill/i.test(site.step.text) ? "milk chilled" : "both cooled";
    return minutesAfter(at, site, lines[0]?.id ?? "") > 0 ? "in the hot milk" : COOLED.test(site.text) ? "off the heat" : null;
  },
  write: (at, option) => {
    const lines = at.lines.filter(isUnrefined);
    const syrup = `melt ${theOf(lines)} with 2 tablespoons of hot water to a syrup, strain it and let it cool`;
    switch (option) {
      case "off the heat":
        return atTheEnd(at, lines, "way-jaggery-in-milk", `Let the pot cool until it is no more than lukewarm, and stir in ${theOf(lines)}.`);
      case "both cooled":
        return atTheEnd(at, lines, "way-jaggery-in-milk", `Let the pot cool. In a small pan ${syrup} too, and stir it in.`);
      case "milk chilled":
        return atTheEnd(at, lines, "way-jaggery-in-milk", `Cool the pot and chill it for 2 hours. In a small pan ${syrup}, and stir it in.`);
      default:
        return atTheEnd(
          at,
          lines,
          "way-jaggery-in-milk",
          `Stir in ${theOf(lines)} and simmer for 3 minutes more, until ${itOf(lines)} ${itOf(lines) === "it" ? "has" : "have"} melted.`,
        );
    }
  },
};

const AT_TABLE = "way-at-the-table";
/** A recipe in which lines make a part of their own that is served beside it. */
function atTheTable(at: Writing, lines: readonly WayLine[], text: string): Recipe {
  const bare = withoutNaming(
    at,
    lines.map(({ id }) => id),
  );
  return {
    ...bare,
    lines: bare.lines.map((line) => (lines.some(({ id }) => id === line.id) ? { ...line, component: AT_TABLE } : line)),
    steps: [...bare.steps, { id: "way-coconut-milk", text, choice: {}, component: AT_TABLE }],
    components: [...(bare.components ?? []), { id: AT_TABLE, name: "At the table", use: { kind: "apart" } }],
  };
}

const isCoconutMilk = ({ food, kind }: WayLine): boolean => food.nature?.botanical === "Cocos nucifera" && (kind === "plant milk" || kind === "cream");
/** Where it is less than this share of all that is liquid, the rest cooks without it. */
const MOST_OF_LIQUID = 0.6;
export const coconutMilk: WayRule = {
  written: (at) => {
    const lines = at.lines.filter(isCoconutMilk);
    const [line] = lines;
    if (!line || !lastWet(at) || lines.length > 1) return undefined;
    if (at.read.lines.some(({ id, apart }) => id === line.id && apart)) return "at the table";
    const site = firstNaming(at, line.id);
    if (!site) return undefined;
    const minutes = minutesAfter(at, site, line.id);
    return minutes > LATE ? "long simmer" : minutes > 0 ? "first boil" : "off the heat";
  },
  write: (at, option) => {
    const lines = at.lines.filter(isCoconutMilk);
    const liquid = at.lines.filter(({ kind }) => kind === "water" || kind === "milk" || kind === "plant milk" || kind === "cream");
    const share =
      lines.reduce((sum, { grams }) => sum + grams, 0) /
      Math.max(
        1,
        liquid.reduce((sum, { grams }) => sum + grams, 0),
      );
    if (option !== "long simmer" && share > MOST_OF_LIQUID) return null;
    switch (option) {
      case "first boil":
        return atTheEnd(at, lines, "way-coconut-milk", `Pour in ${theOf(lines)} and stir without a stop until it first boils; simmer for 2 minutes more.`);
      case "off the heat":
        return atTheEnd(
          at,
          lines,
          "way-coconut-milk",
          `Off the heat stir in ${theOf(lines)}, put the lid on, and let it stand in the warmth of the pot for 5 minutes.`,
        );
      case "at the table":
        return atTheTable(at, lines, `Hand ${theOf(lines)} round apart, to be poured over at the table.`);
      default:
        return withTheLiquid(at, lines);
    }
  },
};
