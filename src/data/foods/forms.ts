import type { Food } from "../../core/food";

/**
 * g per ml of foods cooked in water, and what a gram of the dry one comes to. From household weights of public tables
 * (a cup of 237 ml) where they have the food, else from one like it: ± 10 % (rule of thumb).
 */
export const COOKED: Readonly<Record<string, NonNullable<Food["cooked"]>>> = {
  "white-rice": { density: 0.72, gain: 2.8 }, "brown-rice": { density: 0.83, gain: 2.6 }, "glutinous-rice": { density: 0.74, gain: 2.4 }, "black-rice": { density: 0.8, gain: 2.5 },
  "red-rice": { density: 0.8, gain: 2.5 }, "ifct-rice-parboiled-milled": { density: 0.7, gain: 2.7 }, quinoa: { density: 0.78, gain: 2.8 }, amaranth: { density: 1.04, gain: 3.2 },
  "buckwheat-groats": { density: 0.71, gain: 2.5 }, barley: { density: 0.7, gain: 3 }, bulgur: { density: 0.77, gain: 2.8 }, "rolled-oats": { density: 0.99, gain: 5 },
  "pearl-millet": { density: 0.74, gain: 2.9 }, "foxtail-millet": { density: 0.74, gain: 2.9 }, "barnyard-millet": { density: 0.74, gain: 3 }, "little-millet": { density: 0.74, gain: 2.9 },
  "kodo-millet": { density: 0.74, gain: 2.9 }, "proso-millet": { density: 0.74, gain: 2.9 }, "browntop-millet": { density: 0.74, gain: 2.9 }, teff: { density: 1.06, gain: 3.6 },
  vermicelli: { density: 0.6, gain: 2.6 }, "vermicelli-roasted": { density: 0.6, gain: 2.6 }, sago: { density: 0.95, gain: 3.5 }, "moong-dal": { density: 0.85, gain: 2.7 },
  "ifct-green-gram-whole": { density: 0.85, gain: 2.7 }, "ifct-bengal-gram-whole": { density: 0.69, gain: 2.3 }, "ifct-lentil-dal": { density: 0.84, gain: 2.7 },
  "ifct-lentil-whole-brown": { density: 0.84, gain: 2.5 }, "ifct-black-gram-whole": { density: 0.76, gain: 2.4 }, "soya-bean": { density: 0.73, gain: 2.3 }, "soya-bean-white": { density: 0.73, gain: 2.3 },
  "lotus-seeds": { density: 0.7, gain: 2.2 },
};

/** g per ml of whole foods cut, grated or ground, by family (rule of thumb); a food's own values go before. */
const FAMILY_FORMS: Readonly<Partial<Record<Food["family"], Readonly<Record<string, number>>>>> = {
  nut: { chopped: 0.5, ground: 0.42, slivered: 0.45, flaked: 0.38 },
  oilseed: { ground: 0.5, crushed: 0.52 },
  fruit: { chopped: 0.65, sliced: 0.63, mashed: 0.98, grated: 0.8 },
  root: { grated: 0.46, chopped: 0.55, sliced: 0.5, mashed: 1 },
  vegetable: { grated: 0.48, chopped: 0.5, sliced: 0.48, mashed: 0.98 },
  cereal: { ground: 0.6 },
  pulse: { ground: 0.58 },
};

/** Forms of a food, where it is whole as bought. */
export function formsOf({ family, forms, nature }: Pick<Food, "family" | "forms" | "nature">): Food["forms"] {
  const whole = nature?.form === "whole" || nature?.form === "split";
  return whole ? { ...FAMILY_FORMS[family], ...forms } : forms;
}
