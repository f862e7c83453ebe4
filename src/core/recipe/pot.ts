import { Z80 } from "../numeric";
import { INDEX, type Food, type Treatment } from "../food";
import { formatGrams } from "../units";
import type { LineId } from "./recipe";

/** Mass, and of it water and fat, g. */
export interface PotState {
  readonly mass: number;
  readonly water: number;
  readonly fat: number;
}

/** What of one line is in a pot, g, and the water that it took up. */
export interface PotItem {
  readonly line: LineId;
  readonly food: Food;
  readonly grams: number;
  soaked: number;
  /** What was done to it so far. */
  treated: Treatment;
  /** It was in a wet heat that tells no minutes. */
  untimed: boolean;
}

/** Halves of the 80 % interval: of losses beside cooking, of a weighed pot. */
const OTHER_SHARE = 0.3;
const WEIGHED_SHARE = 0.02;
const ROASTED: readonly Food["family"][] = ["cereal", "pseudo-cereal", "pulse", "nut", "oilseed", "starch"];
/** Per cent of water under which a food counts as dry. */
const DRY = 20;
/** A pot with more than this share of water is not dry-roasted. */
const WET = 0.3;

/** One pot while it is cooked: what is in it, and how sure that is. */
export class Pot {
  mass = 0;
  water = 0;
  fat = 0;
  items: PotItem[] = [];
  /** Water driven off less water taken up, g. */
  net = 0;
  /** Standard deviations of it: open cooking is off by one share everywhere, the rest each for itself. */
  openSd = 0;
  otherVariance = 0;
  /** Variance of the amounts that went in. */
  linesVariance = 0;
  /** A step of its own was done. */
  begun = false;

  put(line: LineId, food: Food, grams: number, sd: number): PotItem {
    this.mass += grams;
    this.water += (grams * (food.per100g[INDEX.water] ?? 0)) / 100;
    this.fat += (grams * (food.per100g[INDEX.fat] ?? 0)) / 100;
    this.linesVariance += sd ** 2;
    const item: PotItem = { line, food, grams, soaked: 0, treated: {}, untimed: false };
    this.items.push(item);
    return item;
  }

  /** Pours a share of another pot in; what came. */
  pour(other: Pot, share: number): { readonly mass: number; readonly net: number } {
    this.mass += other.mass * share;
    this.water += other.water * share;
    this.fat += other.fat * share;
    this.net += other.net * share;
    this.openSd += other.openSd * share;
    this.otherVariance += other.otherVariance * share ** 2;
    this.linesVariance += other.linesVariance * share ** 2;
    for (const item of other.items) this.items.push({ ...item, grams: item.grams * share, soaked: item.soaked * share });
    return { mass: other.mass * share, net: other.net * share };
  }

  /** Water goes; below 0 it is taken up. */
  drive(grams: number, sd: number, open = false): void {
    this.mass -= grams;
    this.water -= grams;
    this.net += grams;
    if (open) this.openSd += sd;
    else this.otherVariance += sd ** 2;
  }

  /** Some of all that is in it stays elsewhere, g. */
  lose(grams: number): void {
    const kept = this.mass > 0 ? Math.max(0, 1 - grams / this.mass) : 1;
    this.mass *= kept;
    this.water *= kept;
    this.fat *= kept;
  }

  /** All that was in it is taken out. */
  empty(): void {
    Object.assign(this, { mass: 0, water: 0, fat: 0, items: [], net: 0, openSd: 0, otherVariance: 0, linesVariance: 0 });
  }

  /** One food takes the place of all that was in it. */
  becomes(line: LineId, food: Food, grams: number, sd: number): void {
    this.empty();
    this.put(line, food, grams, sd);
  }

  /** The scale says what it weighs: that it is off by no more. */
  weigh(grams: number): void {
    this.drive(this.mass - grams, 0);
    this.openSd = 0;
    this.linesVariance = 0;
    this.otherVariance = ((WEIGHED_SHARE * grams) / Z80) ** 2;
  }

  netSd(): number {
    return Math.hypot(this.openSd, Math.sqrt(this.otherVariance));
  }

  state(): PotState {
    return { mass: this.mass, water: this.water, fat: this.fat };
  }
}

/** What an operation did, in words; empty where nothing. */
export type Told = string;

/** A food in water takes some up, g. */
export function soak(pot: Pot, item: PotItem, uptake: Readonly<Record<string, number>>): { readonly gained: number; readonly told: Told } {
  const { food, grams } = item;
  const whole = food.nature === null || ["whole", "split", "pearls", "flakes", "grits"].includes(food.nature.form);
  const share = uptake[food.id] ?? (whole && (food.per100g[INDEX.water] ?? 0) < DRY ? (uptake[food.family] ?? 0) : 0);
  const gained = Math.max(0, share * grams - item.soaked);
  if (gained <= 0) return { gained: 0, told: "" };
  item.soaked += gained;
  pot.drive(-gained, (gained * OTHER_SHARE) / Z80);
  return { gained, told: `${food.name.toLowerCase()} takes up ${formatGrams(gained)} g of water in soaking` };
}

/** Dry foods lose moisture down to `moisture`, a share of them; nothing in a wet pot. */
export function roast(pot: Pot, moisture: number): Told {
  if (pot.water > pot.mass * WET) return "";
  let [water, solids] = [0, 0];
  for (const { food, grams, soaked } of pot.items) {
    const own = food.per100g[INDEX.water] ?? 0;
    if (!ROASTED.includes(food.family) || own >= DRY || food.nature?.form === "paste") continue;
    water += (grams * own) / 100 + soaked;
    solids += (grams * (100 - own)) / 100;
  }
  const lost = Math.min(pot.water, Math.max(0, water - (moisture / (1 - moisture)) * solids));
  if (lost < 0.05) return "";
  pot.drive(lost, (lost * OTHER_SHARE) / Z80);
  return `roasted to about ${formatGrams(100 * moisture)} % of moisture`;
}

const WORDS = { bake: "baked", steam: "steamed", pressure: "under pressure", chill: "chilled" } as const;
export const DRYING = ["bake", "steam", "pressure", "chill"] as const;

/** A small share of the pot goes as water. */
export function dryOff(pot: Pot, operation: (typeof DRYING)[number], share: number): Told {
  const lost = Math.min(pot.mass * share, Math.max(0, pot.water));
  if (lost < 0.05) return "";
  pot.drive(lost, (lost * OTHER_SHARE) / Z80);
  return `${formatGrams(100 * share)} % dries off (${WORDS[operation]})`;
}
