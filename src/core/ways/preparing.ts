import { isFat } from "./amounts";
import type { WayRule } from "./way";
import {
  firstNaming,
  itOf,
  listed,
  sitesNaming,
  theOf,
  withMore,
  withSentence,
  withoutNaming,
  withStep,
  writingOf,
  type WayLine,
  type Writing,
} from "./writing";

const FRIED = ["fry", "roast"] as const;
const isNut = ({ food, kind, role }: WayLine): boolean => kind === "piece" && (food.family === "nut" || food.family === "oilseed") && role === "crunch";
const RAW_NUTS = ["mix", "rest", "transfer", "chill", "serve apart", "grind", "peel"];
const nutsFried = (at: Writing, nuts: readonly WayLine[]) =>
  at.sites.find(
    ({ names, reading }) =>
      nuts.some(({ id }) => names.some(({ line }) => line === id)) && reading.operations.some((each) => FRIED.some((fried) => fried === each)),
  );
export const nuts: WayRule = {
  written: (at) => {
    const lines = at.lines.filter(isNut);
    const named = lines.flatMap(({ id }) => sitesNaming(at, id));
    if (lines.length === 0 || named.length === 0 || at.read.archetype === "ladoo" || at.read.archetype === "fruit-bound") return undefined;
    if (nutsFried(at, lines)) return "fried";
    if (named.some(({ reading }) => reading.operations.includes("soak"))) return "soaked";
    return named.every(({ reading: { operations } }) => operations.every((each) => RAW_NUTS.includes(each) || each === "simmer")) ? "raw" : null;
  },
  write: (at, option) => {
    const lines = at.lines.filter(isNut);
    const is = nuts.written(at);
    const { recipe } = at.read;
    if (is === "raw" && option === "soaked")
      return withStep(recipe, "first", "way-nuts", `Soak ${theOf(lines)} in warm water for 4 hours, drain, and rub the skins off.`);
    if (is === "raw" && option === "fried") {
      const [first] = lines.flatMap(({ id }) => firstNaming(at, id) ?? []);
      const [ghee] = at.lines.filter(isFat);
      const where = ghee && firstNaming(at, ghee.id);
      if (ghee && where && first && where.at < first.at && where.reading.operations.some((each) => ["fry", "roast", "dissolve"].includes(each)))
        return withMore(
          recipe,
          where,
          "before",
          "way-nuts",
          `Fry ${theOf(lines)} in ${ghee.the} until ${itOf(lines)} ${itOf(lines) === "it" ? "is" : "are"} golden, and lift them out.`,
        );
      return withStep(recipe, "first", "way-nuts", `Roast ${theOf(lines)} in a dry pan for 4 minutes, stirring, until golden, and set them aside.`);
    }
    if (is !== "fried" || option === "fried") return null;
    const site = nutsFried(at, lines);
    const fatNamed = site?.names.flatMap(({ line: of }) => at.lines.filter(({ id, kind }) => id === of && kind === "fat")) ?? [];
    const others = site?.names.filter(({ line: of }) => !lines.some(({ id }) => id === of) && !fatNamed.some(({ id }) => id === of)) ?? [];
    if (!site || others.length > 0) return null;
    const fatElsewhere = fatNamed.every(({ id }) => sitesNaming(at, id).length > 1);
    const elsewhere = lines.every(({ id }) => sitesNaming(at, id).length > 1);
    const parts = [...(fatElsewhere ? [] : fatNamed.map(({ the }) => `stir in ${the}`)), ...(elsewhere ? [] : [`scatter ${theOf(lines)} over`])];
    const words = listed(parts);
    const bare = withSentence(recipe, site, words === "" ? "" : `${words.charAt(0).toUpperCase()}${words.slice(1)}.`);
    return option === "raw" ? bare : withStep(bare, "first", "way-nuts", `Soak ${theOf(lines)} in warm water for 4 hours, drain, and rub the skins off.`);
  },
};

const isJaggery = ({ food }: WayLine): boolean => food.family === "sweetener" && food.nature?.processing === "evaporated" && !food.pours;
const MELTED = /\b(?:melt|dissolve|syrup)\b/i;
const STRAINED = /\b(?:strain|filter|sieve)\b/i;
export const jaggery: WayRule = {
  written: (at) => {
    const [line, ...more] = at.lines.filter(isJaggery);
    if (!line || more.length > 0 || !firstNaming(at, line.id)) return undefined;
    const sites = sitesNaming(at, line.id);
    if (sites.some(({ text, step }) => MELTED.test(text) && STRAINED.test(step.text))) return "filtered syrup";
    if (sites.some(({ reading }) => reading.end?.end.kind === "syrup" || reading.operations.includes("caramelise"))) return undefined;
    if (line.food.nature?.form === "powder") return "grated";
    if (sites.some(({ text }) => MELTED.test(text))) return null;
    const dry =
      sites.some(({ text }) => /\bhot (?:flour|semolina|mixture|sesame|nuts)\b|\bpowdered jaggery\b/i.test(text)) &&
      at.lines.some(({ kind }) => kind === "flour" || kind === "piece");
    return dry
      ? "into the hot flour"
      : /\b(?:grated?|powdered|crushed|shaved|chopped)\b/i.test(`${line.description} ${sites.map(({ text }) => text).join(" ")}`)
        ? "grated"
        : null;
  },
  write: (at, option) => {
    const line = at.lines.find(isJaggery);
    const site = line && firstNaming(at, line.id);
    if (!line || !site) return null;
    const { recipe } = at.read;
    const melted = sitesNaming(at, line.id).find(
      ({ text, names }) =>
        MELTED.test(text) &&
        names.every(({ line: of }) => of === line.id || at.lines.some(({ id, kind }) => id === of && (kind === "water" || kind === "seasoning"))),
    );
    if (option === "filtered syrup" && melted) return withMore(recipe, melted, "behind", "way-jaggery", `Pass ${line.the} through a fine sieve.`);
    if (option === "filtered syrup" && at.read.archetype === "ladoo") return null;
    if (option === "grated" && jaggery.written(at) === null && sitesNaming(at, line.id).some(({ text }) => MELTED.test(text))) return null;
    if (option === "filtered syrup")
      return withMore(
        recipe,
        site,
        "before",
        "way-jaggery",
        `In a small pan melt ${line.the} with 2 tablespoons of hot water, and pass it through a fine sieve.`,
      );
    if (option === "grated") {
      const is = jaggery.written(at);
      if (is !== "filtered syrup") return withMore(recipe, site, "before", "way-jaggery", `Grate ${line.the} fine.`);
      if (site.names.length > 1 || sitesNaming(at, line.id).length < 2) return null;
      return withSentence(recipe, site, `Grate ${line.the} fine.`);
    }
    const flour = at.lines.find(
      ({ kind, id }) => (kind === "flour" || kind === "grits") && sitesNaming(at, id).some(({ reading }) => reading.operations.includes("roast")),
    );
    const roasted = flour && sitesNaming(at, flour.id).find(({ reading }) => reading.operations.includes("roast"));
    if (!roasted || at.read.archetype !== "ladoo" || site.names.some(({ line: of }) => of !== line.id)) return null;
    const bare = { ...writingOf({ ...at.read, recipe: withoutNaming(at, [line.id]) }, at.constants), lines: at.lines };
    const there = sitesNaming(bare, flour.id).find(({ reading }) => reading.operations.includes("roast"));
    return there ? withMore(bare.read.recipe, there, "behind", "way-jaggery", `Off the flame stir ${line.the}, powdered, into the hot flour.`) : null;
  },
};
