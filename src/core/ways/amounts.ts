import { evaluatePoint } from "../evaluate";
import type { Recipe } from "../recipe";
import type { WayGround, WayRule } from "./way";
import {
  firstNaming,
  itOf,
  lastWet,
  listed,
  sitesNaming,
  theOf,
  withMore,
  withSentence,
  withoutNaming,
  withStep,
  writingOf,
  besideNamed,
  type WayLine,
  type Writing,
} from "./writing";

/** A recipe with another amount in a line, or with the line left out. */
const withGrams = (recipe: Recipe, line: WayLine, grams: number | null): Recipe => ({
  ...recipe,
  lines: recipe.lines.map((each) =>
    each.id !== line.id ? each : { ...each, choice: { ...each.choice, ...(grams === null ? { leftOut: true } : { grams: Math.round(grams * 10) / 10 }) } },
  ),
});

const isFat = ({ kind, role }: WayLine): boolean => kind === "fat" && role !== "seasoning";
/** So much fat for what takes it up: half of the recipe's, and half as much again. Rules of thumb. */
const LITTLE = 0.5;
const GENEROUS = 1.5;
const FRIED = ["fry", "roast"] as const;
export const fat: WayRule = {
  written: ({ lines, read }) => (lines.some(isFat) && read.archetype !== "ladoo" ? null : undefined),
  write: (at, option) => {
    const lines = at.lines.filter(isFat);
    if (option !== "none")
      return lines.reduce((recipe, line) => withGrams(recipe, line, line.grams * (option === "little" ? LITTLE : GENEROUS)), at.read.recipe);
    // What is fried needs some; what is roasted in it can be roasted dry.
    if (at.read.archetype === "flour halwa" || at.sites.some(({ text }) => /\b(?:fr(?:y|ied)|brown)\b/i.test(text))) return null;
    const bare = withoutNaming(
      at,
      lines.map(({ id }) => id),
    );
    // "… and cook it in it": in nothing.
    if (bare.steps.some(({ id, text }) => /\bin it\b/i.test(text) && at.read.recipe.steps.find((step) => step.id === id)?.text !== text)) return null;
    return lines.reduce((recipe, line) => withGrams(recipe, line, null), bare);
  },
};

const isSalt = ({ food }: WayLine): boolean => food.id === "salt" || food.id === "rock-salt";
const SALT_LINE = "way-salt-line";
/** A measured pinch for what is in the pot, g per g: a rule of thumb. */
const MEASURED = 0.0015;
export const salt: WayRule = {
  written: ({ lines, read }) => {
    const salted = lines.filter(isSalt);
    if (!lines.some(({ role }) => role === "sweetener")) return undefined;
    if (salted.length === 0) return "none";
    return salted.some(({ id }) => /\bpinch/i.test(read.recipe.lines.find((line) => line.id === id)?.text ?? "")) ? "a pinch" : "measured";
  },
  write: (at, option) => {
    const salted = at.lines.filter(isSalt);
    const { recipe, ledger } = at.read;
    if (option === "none") {
      const bare = withoutNaming(
        at,
        salted.map(({ id }) => id),
      );
      return salted.reduce((left, line) => withGrams(left, line, null), bare);
    }
    const grams = Math.round(MEASURED * ledger.finished.value * 10) / 10;
    const text = option === "a pinch" ? "a pinch of salt" : `${grams} g salt`;
    const [own] = salted;
    if (own)
      return {
        ...recipe,
        lines: recipe.lines.map((line) =>
          line.id === own.id
            ? {
                ...line,
                text: line.text.replace(/^.*?\b((?:rock |sea |table )?salt\b.*)$/i, `${option === "a pinch" ? "a pinch of" : `${grams} g`} $1`),
                choice: {},
              }
            : line,
        ),
      };
    const sweet = at.lines.find(({ role, id }) => role === "sweetener" && firstNaming(at, id));
    const site = sweet && firstNaming(at, sweet.id);
    const more: Recipe = { ...recipe, lines: [...recipe.lines, { id: SALT_LINE, text, choice: {} }] };
    return site ? besideNamed(more, site, sweet.id, "the salt") : null;
  },
};

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

const isTin = ({ food, kind }: WayLine): boolean => food.nature?.botanical === "Cocos nucifera" && kind === "plant milk";
const HOME = /\b(?:home-?made|own|fresh(?:ly)?(?: pressed)?|first press|thick|thin|second press|pressed at home)\b/i;
const CAN = /\b(?:can|tin)(?:ned|s)?\b|\btinned\b/i;
export const coconutMilkFrom: WayRule = {
  written: ({ lines, read }) => {
    const [line, ...more] = lines.filter(isTin);
    if (!line || more.length > 0 || read.ledger.pressedIn.has(line.id)) return undefined;
    const text = read.recipe.lines.find(({ id }) => id === line.id)?.text ?? "";
    return CAN.test(text) ? "can" : HOME.test(text) || line.food.id.startsWith("own:") ? "own" : null;
  },
  write: (at, option) => {
    const line = at.lines.find(isTin);
    if (!line) return null;
    const { recipe } = at.read;
    const own = `Blend ${Math.round(line.grams * 0.55)} g freshly grated coconut with ${Math.round(line.grams * 0.75)} g hot water, and press it through a cloth: ${Math.round(line.grams)} g, the first press.`;
    if (option === "own")
      return withStep(
        {
          ...recipe,
          lines: recipe.lines.map((each) => (each.id === line.id ? { ...each, text: `${Math.round(line.grams)} g coconut milk, pressed at home` } : each)),
        },
        "first",
        "way-coconut-milk-from",
        own,
      );
    return {
      ...recipe,
      lines: recipe.lines.map((each) => (each.id === line.id ? { ...each, text: `${Math.round(line.grams)} g canned coconut milk` } : each)),
    };
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

/** What thickens a pudding, each by a line of its own or by boiling down. */
const THICKENERS = { starch: "cornflour", egg: "egg yolk" } as const;
const isStarch = ({ kind, role }: WayLine): boolean => kind === "starch" || (kind === "flour" && role === "thickener");
const isEgg = ({ kind }: WayLine): boolean => kind === "egg";
const THICK_LINE = "way-thickener-line";
export const thickenedBy = ({ open, constants }: WayGround): WayRule => ({
  written: (at) => {
    const isSet =
      at.read.archetype === "set pudding" && at.lines.every(({ kind }) => kind !== "gelling") && at.lines.some((line) => isStarch(line) || isEgg(line));
    if ((at.read.archetype !== "pudding" && !isSet) || !lastWet(at)) return undefined;
    if (at.lines.some(isStarch)) return "starch";
    if (at.lines.some(isEgg)) return "egg";
    if (at.sites.some(({ reading, text }) => reading.operations.includes("grind") && /\bmash\b/i.test(text))) return "mash";
    return at.lines.some(({ kind }) => kind === "milk") && at.sites.some(({ reading }) => reading.operations.includes("reduce")) ? "reduction" : null;
  },
  write: (at, option) => {
    const old = at.lines.filter((line) => isStarch(line) || isEgg(line));
    const end = lastWet(at);
    if (!end) return null;
    const bodyOf = (recipe: Recipe): number => {
      const read = open(recipe);
      return evaluatePoint(
        { lines: read.lines, evaporation: read.evaporation.grams, apart: read.evaporation.apart, servings: recipe.servings, cookMinutes: read.cookMinutes },
        constants,
      )["body.hot"].value;
    };
    const wanted = bodyOf(at.read.recipe);
    const named =
      old.length === 0
        ? at.read.recipe
        : old.reduce(
            (recipe, line) => withGrams(recipe, line, null),
            withoutNaming(
              at,
              old.map(({ id }) => id),
            ),
          );
    // Thickened otherwise it is still the same sweet.
    const bare = { ...named, archetype: at.read.archetype };
    const between = { ...writingOf({ ...at.read, recipe: bare }, at.constants), lines: at.lines };
    const cooks = lastWet(between);
    if (!cooks) return null;
    if (option === "mash") {
      const grain = at.lines.find(({ kind }) => kind === "grain" || kind === "pulse");
      return grain ? withMore(bare, cooks, "behind", "way-thickener", `Mash ${grain.the} against the side of the pan.`) : null;
    }
    const made = (amount: number): Recipe | null => {
      if (option === "reduction")
        return withMore(bare, cooks, "behind", "way-thickener", `Cook it down for ${Math.round(amount)} minutes more, stirring now and then.`);
      const food = option === "egg" ? THICKENERS.egg : THICKENERS.starch;
      const words =
        option === "egg"
          ? "Beat the egg yolk, temper it with a ladle of the hot pot in a thin stream, pour it back and cook for 4 minutes on the lowest flame, stirring, until it coats a spoon; it may not boil."
          : "Slake the cornflour with twice as much cold water, pour it in and cook for 2 minutes, stirring.";
      return withMore(
        { ...bare, lines: [...bare.lines, { id: THICK_LINE, text: `${Math.round(amount)} g ${food}`, choice: {} }] },
        cooks,
        "behind",
        "way-thickener",
        words,
      );
    };
    const most = option === "reduction" ? 60 : option === "egg" ? 120 : 60;
    let [low, high] = [1, most];
    const atMost = made(most);
    if (old.length === 0 || !atMost || bodyOf(atMost) < wanted) return null;
    // Both sides of it, until a gram or a minute apart.
    while (high - low > 1) {
      const middle = Math.round((low + high) / 2);
      const tried = made(middle);
      if (!tried) return null;
      if (bodyOf(tried) < wanted) low = middle;
      else high = middle;
    }
    return made(high);
  },
});
