import { Z80, type Estimate } from "../numeric";
import { INDEX } from "../food";
import { formatGrams } from "../units";
import type { Ledger } from "./ledger";
import type { Archetype, Recipe } from "./recipe";

interface Evaporation {
  readonly grams: Estimate;
  /** Of it in what is served apart. */
  readonly apart: number;
  readonly how: string;
  /** The same, in a few words. */
  readonly short: string;
  /** Taken to be usual, g: to be asked about; 0 where the steps say it. */
  readonly usual: number;
}

/** Share of the water driven off where the steps say nothing of it (rules of thumb). */
const USUAL_SHARE: Readonly<Record<Archetype, number>> = {
  pudding: 0.15,
  "flour halwa": 0.08,
  "pulse halwa": 0.3,
  "vegetable halwa": 0.5,
  ladoo: 0.05,
  "loose mix": 0.02,
  "set pudding": 0.05,
  barfi: 0.3,
  "fruit-bound": 0.05,
  frozen: 0.1,
  cultured: 0,
  sauce: 0.15,
};
/** Half the 80 % interval of a figure set by hand, as a share. */
const BY_HAND_SHARE = 0.064;

/**
 * Water driven off while the sweet cooks less water taken up, g: what is set by hand, else what the ledger of the steps
 * comes to, else (no step says how much) a usual share of the water for its kind (± 50 %).
 */
export function estimateEvaporation(recipe: Recipe, ledger: Ledger, archetype: Archetype, pan: number): Evaporation {
  if (recipe.evaporation !== null)
    return {
      grams: { value: recipe.evaporation, sd: (recipe.evaporation * BY_HAND_SHARE) / Z80 },
      apart: 0,
      how: "set by hand",
      short: "set by hand",
      usual: 0,
    };
  const takenUp = ledger.takenUp > 0.5 ? `; ${formatGrams(ledger.takenUp)} g of water are taken up in soaking or cooking before, and counted in` : "";
  if (ledger.known) {
    const by =
      ledger.openMinutes > 0
        ? `${Math.round(ledger.openMinutes)} min of open cooking in the steps, in a ${pan} cm pan (rule of thumb, ± 30 %)`
        : "as the steps tell it (rule of thumb, ± 30 %)";
    return { grams: ledger.net, apart: ledger.netApart, how: by + takenUp, short: "", usual: 0 };
  }
  const water = ledger.lines.reduce((sum, { food, grams, apart }) => sum + (apart ? 0 : (grams * (food.per100g[INDEX.water] ?? 0)) / 100), 0);
  const there = ledger.entries.findLast(({ component }) => component === null)?.after.water ?? 0;
  const usual = Math.min(water * USUAL_SHARE[archetype], Math.max(0, there));
  return {
    grams: { value: ledger.net.value + usual, sd: Math.hypot(ledger.net.sd, (usual * 0.5) / Z80) },
    apart: ledger.netApart,
    how: `no cooking time is stated: ${Math.round(USUAL_SHARE[archetype] * 100)} % of the water, usual for a ${archetype} (rule of thumb, ± 50 %)${takenUp}`,
    short: `no time is stated: usual for a ${archetype}`,
    usual,
  };
}
