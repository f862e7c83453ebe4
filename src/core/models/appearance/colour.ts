import { asTreated, type Constants, type Food } from "../../food";
import type { BalancedLine } from "../../recipe";

const COLOUR_STEPS = ["white", "ivory", "gold", "amber", "brown", "dark"] as const;
export interface Colour {
  /** From white (0) to dark (5), with the step below and above that it may be. */
  readonly step: number;
  readonly low: number;
  readonly high: number;
  /** "gold", or the hue that a food dyes it: "pink". */
  readonly words: string;
  /** From and to what it may be: "ivory" to "amber". */
  readonly range: readonly [string, string];
  /** What makes it so; null where nothing does. */
  readonly by: string | null;
}

/** The word for a shade, from white (0) to dark (5). */
export const shadeWords = (step: number): string => COLOUR_STEPS[Math.round(Math.max(0, Math.min(5, step)))] ?? "dark";

type ColourConstants = Pick<Constants, "colour">;

/** The value a table gives for a food: by its id, else its plant, else its family. */
export const ofFood = <T>(table: Readonly<Record<string, T>>, food: Food): T | undefined =>
  table[food.id] ?? table[food.nature?.botanical ?? ""] ?? table[food.family];

/** How deep a gram in a gram of sweet colours it. */
function depthPerGram(food: Food, { colour: { value } }: ColourConstants): number {
  const own = ofFood(value.depth, food) ?? 0;
  const { treated } = food;
  if (treated?.caramel) {
    const share = treated.caramelShare ?? 1;
    return value.caramel[treated.caramel] * share + own * (1 - share);
  }
  return treated?.toasted && !value.staysLight.includes(food.family) ? own + value.toasted : own;
}

/**
 * Colour of a sweet: depths of its foods by their share, step = 5·(1 − exp(−Σ depth·share)); a dye that is stronger than that gives its hue (rule of thumb, ± one step).
 * What was left out of the pot has no part in it.
 */
export function colourOf(lines: readonly BalancedLine[], finishedMass: number, constants: ColourConstants): Colour {
  let depth = 0;
  let [deepest, by]: [number, string | null] = [constants.colour.value.least, null];
  const dyes = new Map<string, { density: number; by: string; most: number }>();
  for (const line of lines) {
    if (line.apart || line.role === "crunch") continue;
    const food = asTreated(line.food, line.treated);
    const share = line.grams / Math.max(1e-9, finishedMass);
    const own = depthPerGram(food, constants) * share;
    depth += own;
    if (own > deepest) [deepest, by] = [own, food.name];
    const dye = ofFood(constants.colour.value.dyes, food);
    if (!dye) continue;
    const density = share * dye.perGram;
    const known = dyes.get(dye.hue);
    dyes.set(dye.hue, {
      density: (known?.density ?? 0) + density,
      by: known && known.most > density ? known.by : food.name,
      most: Math.max(known?.most ?? 0, density),
    });
  }
  const step = 5 * (1 - Math.exp(-depth));
  const [strongest] = [...dyes].sort(([, a], [, b]) => b.density - a.density);
  const [low, high] = [Math.max(0, step - 1), Math.min(5, step + 1)];
  const range = { step, low, high, range: [shadeWords(low), shadeWords(high)] as const };
  if (strongest && strongest[1].density > constants.colour.value.dyed && strongest[1].density > depth)
    return { ...range, words: strongest[0], by: strongest[1].by };
  return { ...range, words: shadeWords(step), by };
}
