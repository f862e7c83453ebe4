import type { Constants } from "./reference";
import { INDEX } from "./nutrients";

/**
 * Energy of a composition, kJ per 100 g (or of whatever amount the array is for), by general Atwater factors with the
 * fibre, organic-acid and polyol factors of EU 1169/2011 annex XIV. Available carbohydrate is taken to include sugars
 * and starch, not polyols, allulose or fibre.
 * @unit kJ, of what the array is for
 * @range 0 or more
 * @source EU 1169/2011 annex XIV
 */
export function energyKilojoules(composition: ArrayLike<number>, factors: Constants["energyPerGram"]["value"]): number {
  const of = (index: number) => composition[index] ?? 0;
  return (
    factors.protein * of(INDEX.protein) +
    factors.fat * of(INDEX.fat) +
    factors.carbohydrate * of(INDEX.availableCarbohydrate) +
    factors.fibre * (of(INDEX.solubleFibre) + of(INDEX.insolubleFibre)) +
    factors.organicAcids * of(INDEX.organicAcids) +
    factors.xylitol * of(INDEX.xylitol) +
    factors.erythritol * of(INDEX.erythritol) +
    factors.allulose * of(INDEX.allulose)
  );
}
