import type { Recipe } from "../recipe";
import type { WayRule } from "./way";
import { isOwnSite, lastWet, sitesNaming, withMore, withoutNaming, withStep, besideNamed, type WayLine } from "./writing";

/** A recipe with another amount in a line, or with the line left out. */
export const withGrams = (recipe: Recipe, line: WayLine, grams: number | null): Recipe => ({
  ...recipe,
  lines: recipe.lines.map((each) =>
    each.id !== line.id ? each : { ...each, choice: { ...each.choice, ...(grams === null ? { leftOut: true } : { grams: Math.round(grams * 10) / 10 }) } },
  ),
});

export const isFat = ({ kind, role }: WayLine): boolean => kind === "fat" && role !== "seasoning";
/** So much fat for what takes it up: half of the recipe's, and half as much again. Rules of thumb. */
const LITTLE = 0.5;
const GENEROUS = 1.5;
export const fat: WayRule = {
  written: ({ lines, read }) => (lines.some(isFat) && read.archetype !== "ladoo" ? null : undefined),
  write: (at, option) => {
    const lines = at.lines.filter(isFat);
    if (option !== "none")
      return lines.reduce((recipe, line) => withGrams(recipe, line, line.grams * (option === "little" ? LITTLE : GENEROUS)), at.read.recipe);
    // What is fried needs some; what is roasted in it can be roasted dry.
    if (at.read.archetype === "flour halwa" || at.sites.some(({ text }) => /\b(?:fr(?:y|ied)|brown|saut[ée])\b/i.test(text))) return null;
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
/** What only goes over the sweet at the table is no place for it. */
const SERVED = /\b(?:serve|at the table|drizzle|trickle)\b/i;
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
    // In a caramel it has no place.
    const plain = at.lines.flatMap((line) => {
      if (line.role !== "sweetener") return [];
      const found = sitesNaming(at, line.id).filter((each) => isOwnSite(each) && !each.reading.operations.includes("caramelise"));
      return found[0] ? [{ line, site: found[0] }] : [];
    });
    const [{ line: sweet, site } = { line: undefined, site: undefined }] = plain;
    const more: Recipe = { ...recipe, lines: [...recipe.lines, { id: SALT_LINE, text, choice: {} }] };
    const pot = lastWet(at);
    if (site && SERVED.test(site.text)) return pot ? withMore(more, pot, "behind", "way-salt", "Stir in the salt.") : null;
    return site ? besideNamed(more, site, sweet.id, "the salt") : null;
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
