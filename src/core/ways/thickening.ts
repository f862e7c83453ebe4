import { evaluatePoint } from "../evaluate";
import type { Recipe } from "../recipe";
import { withGrams } from "./amounts";
import type { WayGround, WayRule } from "./way";
import { lastWet, withMore, withoutNaming, writingOf, type Site, type WayLine } from "./writing";

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
    // Fruit that is mashed to go in is no part of the pot.
    const isOfGrain = ({ names }: Site) => names.every(({ line }) => at.lines.some(({ id, kind }) => id === line && (kind === "grain" || kind === "pulse")));
    if (at.sites.some((site) => site.reading.operations.includes("grind") && /\bmash\b/i.test(site.text) && isOfGrain(site))) return "mash";
    return at.lines.some(({ kind }) => kind === "milk") && at.sites.some(({ reading }) => reading.operations.includes("reduce")) ? "reduction" : null;
  },
  write: (at, option) => {
    const old = at.lines.filter((line) => isStarch(line) || isEgg(line));
    const end = lastWet(at);
    if (!end) return null;
    const bodyOf = (recipe: Recipe): number => {
      const read = open(recipe);
      return evaluatePoint(
        {
          lines: read.lines,
          evaporation: read.evaporation.grams,
          apart: read.evaporation.apart,
          servings: recipe.servings,
          cookMinutes: read.cookMinutes,
          archetype: at.read.archetype,
        },
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
          : "Slake the cornflour with twice as much cold water, pour it in and cook for 4 minutes, stirring.";
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
