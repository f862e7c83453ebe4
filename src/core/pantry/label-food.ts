import { MICRONUTRIENTS, NUTRIENTS, POLYOLS, SUGARS, sumOf, INDEX, type Family, type Food, type Nutrient } from "../food";
import { COUNTED_BY_LABEL, fitPacket, type LabelFigure, type PacketFit } from "./fit-packet";
import { ownTraits, type FamilyTraits, type Label, type OwnFood, type PantryTables } from "./own-food";
import { foodMeant, isCompound, packetTraits, type Packet } from "./packet";

/** Labels may be off by this much of each amount (usual tolerances of food law are about 20 %; standard deviation). */
const LABEL_SHARE = 0.1;
/** Which sugars they are, and whether the rest is starch, a label does not say: standard deviation of each, as a share. */
const KIND_SHARE = 0.3;
const STARCHY: readonly Family[] = ["cereal", "pseudo-cereal", "pulse", "root", "starch"];
/** Ash beside salt, g per 100 g, where a label is silent on it (rule of thumb). */
const OTHER_ASH = 0.8;

const sugarsOf = (family: Family): readonly (readonly [Nutrient, number])[] =>
  family === "dairy"
    ? [["lactose", 1]]
    : family === "fruit"
      ? [
          ["fructose", 0.5],
          ["glucose", 0.5],
        ]
      : [["sucrose", 1]];

type Stated = Readonly<Record<keyof typeof COUNTED_BY_LABEL, number | null>>;
/** What a label says per 100 g, in g (sodium: mg), carbohydrate without fibre; null where it says nothing. */
function statedBy(label: Label): Stated {
  const stated = (amount: number | null) => (amount === null ? null : (amount * 100) / label.per);
  const total = stated(label.carbohydrate);
  const fibre = stated(label.fibre);
  const salt = stated(label.salt);
  return {
    fat: stated(label.fat),
    saturatedFat: stated(label.saturatedFat),
    carbohydrate: total === null ? null : Math.max(0, total - (label.includesFibre ? (fibre ?? 0) : 0)),
    sugars: stated(label.sugars),
    fibre,
    protein: stated(label.protein),
    sodium: salt === null ? null : label.saltUnit === "mg sodium" ? salt : salt * 400,
  };
}

/** The food that a label alone describes. Water is what is left of 100 g. */
function foodOfLabel(own: OwnFood, label: Label, traits: FamilyTraits): Food {
  const { fat, saturatedFat: saturated, fibre, protein, sugars, carbohydrate, sodium } = statedBy(label);
  const amounts: Partial<Record<Nutrient, number>> = {};
  const unknown: Nutrient[] = [];
  const put = (nutrient: Nutrient, amount: number | null) => {
    if (amount === null) unknown.push(nutrient);
    else amounts[nutrient] = amount;
  };
  put("fat", fat);
  put("saturatedFat", saturated);
  put("availableCarbohydrate", carbohydrate);
  put("protein", protein);
  put("sodium", sodium);
  // Soluble and insoluble are not told apart: half and half.
  put("solubleFibre", fibre === null ? null : fibre / 2);
  put("insolubleFibre", fibre === null ? null : fibre / 2);
  for (const [sugar, share] of sugarsOf(own.family)) put(sugar, sugars === null ? null : sugars * share);
  if (STARCHY.includes(own.family)) put("starch", carbohydrate === null || sugars === null ? null : Math.max(0, carbohydrate - sugars));
  unknown.push("potassium", "calcium", "iron");
  const ash = (sodium ?? 0) / 400 + OTHER_ASH;
  const rest = 100 - (fat ?? 0) - (carbohydrate ?? 0) - (protein ?? 0) - (fibre ?? 0);
  amounts.ash = Math.min(ash, Math.max(0, rest));
  amounts.water = Math.max(0, rest - amounts.ash);
  if ([fat, carbohydrate, protein].includes(null)) unknown.push("water");
  const per100g = NUTRIENTS.map((nutrient) => amounts[nutrient] ?? 0);
  const kinds: readonly Nutrient[] = ["starch", "lactose", "fructose", "glucose", "sucrose", "solubleFibre", "insolubleFibre"];
  const sd = per100g.map((amount, n) => amount * (kinds.includes(NUTRIENTS[n] ?? "water") ? KIND_SHARE : LABEL_SHARE));
  const none = MICRONUTRIENTS.map(() => null);
  return { ...ownTraits(own, traits), provenance: "label", source: "your own, from its label", per100g, sd, micro: none, microSd: none, unknown };
}

/** The foods that an own food's figures rest on beside its label, and the tables. */
export interface LabelGround {
  readonly foods: ReadonlyMap<string, Food>;
  readonly tables: PantryTables;
}

/** The mixture of what a packet lists that comes nearest to its table; null where there is none, or the label says too little. */
export function packetFit(label: Label, packet: Packet, { foods, tables }: LabelGround): PacketFit | null {
  const stated = statedBy(label);
  const figures = Object.entries(COUNTED_BY_LABEL).flatMap(([name, indices]): LabelFigure[] => {
    const amount = stated[name as keyof Stated];
    return amount === null ? [] : [{ name, amount, indices }];
  });
  return fitPacket(packet.ingredients, figures, foods, tables.packet);
}

/** What the label states stays as it is; which sugars those are, and what it is silent about, is as in the mixture. */
const KINDS: readonly (readonly [keyof typeof COUNTED_BY_LABEL, readonly Nutrient[]])[] = [
  ["sugars", SUGARS],
  ["fibre", ["solubleFibre", "insolubleFibre"]],
];

/**
 * Sugars that a table has and no listed food brings, where there is starch for them: enzymes split it, as in drinks of oats and rice. As maltose (rule of thumb).
 * @unit g per 100 g
 * @range 0 or more
 * @source the table less what is fitted
 */
export function splitStarch({ off, per100g }: Pick<PacketFit, "off" | "per100g">): number {
  const sugars = off.find(({ name }) => name === "sugars");
  const missing = sugars ? sugars.amount - sugars.fitted : 0;
  return missing > 0 && (per100g[INDEX.starch] ?? 0) >= missing ? missing : 0;
}

function withMixture(base: Food, label: Label, packet: Packet, fit: PacketFit, tables: PantryTables): Food {
  const per100g = [...base.per100g];
  const sd = [...base.sd];
  const known = new Set<Nutrient>();
  const put = (nutrient: Nutrient, amount: number, spread: number) => {
    per100g[INDEX[nutrient]] = amount;
    sd[INDEX[nutrient]] = spread;
    known.add(nutrient);
  };
  const stated = statedBy(label);
  const mixed = (nutrient: Nutrient) => fit.per100g[INDEX[nutrient]] ?? 0;
  const mixedSd = (nutrient: Nutrient) => fit.sd[INDEX[nutrient]] ?? 0;
  const isOff = (figure: string) => fit.off.some(({ name }) => name === figure);
  // Where the label is silent, the mixture speaks, if all that is listed has figures.
  const speaks = (figure: keyof Stated) => stated[figure] === null && fit.whole;
  for (const figure of ["fat", "saturatedFat", "protein", "sodium"] as const) if (speaks(figure)) put(figure, mixed(figure), mixedSd(figure));
  for (const [figure, kinds] of KINDS) {
    if (isOff(figure)) continue;
    const [all, whole] = [sumOf(fit.per100g, COUNTED_BY_LABEL[figure]), stated[figure]];
    if (whole === null && !fit.whole) continue;
    // A label that has some where the mixture has none says nothing of their kinds.
    if (whole !== null && all <= 0) continue;
    const scale = whole === null ? 1 : whole / all;
    for (const kind of kinds) put(kind, mixed(kind) * scale, Math.hypot(mixedSd(kind) * scale, whole === null ? 0 : LABEL_SHARE * mixed(kind) * scale));
  }
  const split = splitStarch(fit);
  if (split > 0) {
    for (const sugar of SUGARS) put(sugar, mixed(sugar), mixedSd(sugar));
    put("maltose", mixed("maltose") + split, KIND_SHARE * split);
  }
  // European labels count polyols as carbohydrate; they are not available.
  const polyols = POLYOLS.reduce((sum, polyol) => sum + mixed(polyol), 0);
  if (polyols > 0) for (const polyol of POLYOLS) put(polyol, mixed(polyol), mixedSd(polyol));
  const carbohydrate = stated.carbohydrate === null ? (fit.whole ? mixed("availableCarbohydrate") : null) : Math.max(0, stated.carbohydrate - polyols);
  if (carbohydrate !== null)
    put("availableCarbohydrate", carbohydrate, stated.carbohydrate === null ? mixedSd("availableCarbohydrate") : LABEL_SHARE * carbohydrate);
  const sugars = SUGARS.reduce((sum, sugar) => sum + (per100g[INDEX[sugar]] ?? 0), 0);
  if (carbohydrate !== null && !SUGARS.some((sugar) => base.unknown.includes(sugar) && !known.has(sugar)))
    put("starch", mixed("starch") > 0 ? Math.max(0, carbohydrate - sugars) : 0, Math.hypot(mixedSd("starch"), LABEL_SHARE * carbohydrate));
  const brought = new Set(
    packet.ingredients.flatMap(({ means }) => (means?.kind === "additive" ? (tables.packet.additives.get(means.code)?.brings ?? []) : [])),
  );
  for (const mineral of ["potassium", "calcium", "iron"] as const) if (fit.whole && !brought.has(mineral)) put(mineral, mixed(mineral), mixedSd(mineral));
  if (fit.whole) for (const nutrient of ["organicAcids", "steviolGlycosides", "allulose"] as const) put(nutrient, mixed(nutrient), mixedSd(nutrient));
  const solids = (["fat", "availableCarbohydrate", "protein", "solubleFibre", "insolubleFibre", "organicAcids", ...POLYOLS] as const).reduce(
    (sum, nutrient) => sum + (per100g[INDEX[nutrient]] ?? 0),
    0,
  );
  const ash = Math.min(Math.max(mixed("ash"), (per100g[INDEX.sodium] ?? 0) / 400), Math.max(0, 100 - solids));
  put("ash", ash, Math.max(mixedSd("ash"), 0.3));
  per100g[INDEX.water] = Math.max(0, 100 - solids - ash);
  return { ...base, per100g, sd, unknown: base.unknown.filter((nutrient) => !known.has(nutrient) && !(nutrient === "water" && fit.whole)) };
}

const MAIN_FIGURES: readonly string[] = ["fat", "carbohydrate", "protein"];

/** The food that a label describes, and, where its packet was read, what is listed there: by what rules ask about, and by the mixture that comes nearest to the label. */
export function foodFromLabel(own: OwnFood, { label, packet }: { readonly label: Label; readonly packet?: Packet }, ground: LabelGround): Food {
  const { tables, foods } = ground;
  const base = foodOfLabel(own, label, tables.traits);
  if (!packet || packet.ingredients.length === 0) return base;
  const fit = packetFit(label, packet, ground);
  const { parts, allergens, mayContain } = packetTraits(packet, foods, tables.packet);
  // Where the mixture misses what the food is mainly made of, it says nothing of the rest.
  const holds = fit && !fit.off.some(({ name }) => MAIN_FIGURES.includes(name)) ? fit : null;
  const whole = holds ? withMixture(base, label, packet, holds, tables) : base;
  const listed = packet.ingredients.flatMap(({ means }, place) =>
    isCompound(packet.ingredients, place) ? [] : (foodMeant(means, foods, tables.packet) ?? []),
  );
  // Sugars are free as soon as some were added: how many of them is not said.
  const isSweetened = listed.some(({ sugarClass }) => sugarClass === "added") && base.sugarClass !== "plant drink";
  return {
    ...whole,
    sugarClass: isSweetened ? (base.family === "dairy" ? "sweetened milk" : "added") : base.sugarClass,
    source: holds ? "your own, from its packet: the table as printed, the rest fitted to what it lists" : "your own, from its packet",
    parts: [...base.parts, ...parts],
    allergens: [...new Set([...base.allergens, ...allergens])],
    mayContain: [...base.mayContain, ...mayContain],
  };
}
