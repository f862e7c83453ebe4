import { INDEX, NUTRIENTS, POLYOLS, SUGARS, sumOf, type Food, type Nutrient } from "../food";
import { leastSquares, type Estimate, type LinearConstraint, type SquaredRow } from "../numeric";
import { foodMeant, isCompound, type PacketIngredient, type PacketTables } from "./packet";

/** One figure of a label that a mixture is fitted to: grams (sodium: mg) per 100 g, as a sum over a composition. */
export interface LabelFigure {
  readonly name: string;
  readonly amount: number;
  readonly indices: readonly number[];
}

/** What of a packet an ingredient makes up, as a share of the whole as sold; null of one that others are listed behind. */
export interface PacketFit {
  readonly shares: readonly (Estimate | null)[];
  /** Per 100 g of the mixture, in the order of NUTRIENTS. */
  readonly per100g: readonly number[];
  readonly sd: readonly number[];
  /** Figures of the label that no mixture of what is listed comes near, with what the fitted one gives, per 100 g. */
  readonly off: readonly { readonly name: string; readonly amount: number; readonly fitted: number }[];
  /** All that is listed has figures, but for additives. */
  readonly whole: boolean;
}

/** Labels may be off by this share of an amount, and are rounded: standard deviations. */
const LABEL_SHARE = 0.1;
const ROUNDED = 0.3;
const ROUNDED_SODIUM = 8;
/** Standard deviation of an ingredient's share about what its place in the list lets expect (rule of thumb). */
const PRIOR_SD = 0.25;
/** Additives, salt and spices are at most so much (rule of thumb); printed shares are rounded to one per cent. */
const MOST_ADDITIVE = 0.03;
const MOST_SPICE = 0.12;
const PRINTED = 0.0051;
const PRINTED_SD = 0.003;
/** What is listed weighs more than what is sold where water was driven off: up to so much (rule of thumb), and rather none. */
const MOST_DRIVEN_OFF = 0.35;
const DRIVEN_OFF_SD = 0.06;
const MOST_FITTED = 40;
/** So far off, in standard deviations, no mixture accounts for a figure. */
const FAR_OFF = 3;

interface Leaf {
  readonly place: number;
  readonly food: Food | null;
  readonly most: number | null;
}

/** What is listed first is no seasoning, nor is cocoa, though its family is that of spices. */
const COCOA = "Theobroma cacao";

/** What an ingredient is at most; null where any share is possible. */
function mostOf({ means }: PacketIngredient, food: Food | null, isBulk: boolean): number | null {
  // Sweeteners and what bulks are as much as any food.
  if (means?.kind === "additive") return food?.family === "sweetener" || isBulk ? null : food && food.family !== "salt" ? MOST_SPICE : MOST_ADDITIVE;
  if (means?.kind === "harmless") return MOST_ADDITIVE;
  return food && food.nature?.botanical !== COCOA && (food.family === "salt" || food.family === "spice" || food.family === "essence" || food.family === "gum")
    ? MOST_SPICE
    : null;
}

/** Leaves within each ingredient: itself, or all that is listed behind it. */
function leavesWithin(ingredients: readonly PacketIngredient[], leaves: readonly Leaf[], place: number): readonly number[] {
  const depth = ingredients[place]?.depth ?? 0;
  let end = place + 1;
  while ((ingredients[end]?.depth ?? -1) > depth) end++;
  return leaves.flatMap((leaf, index) => (leaf.place >= place && leaf.place < end ? [index] : []));
}

/** Places of those listed beside one another, in their order: one list for each bracket, one for the packet. */
function sideBySide(ingredients: readonly PacketIngredient[]): readonly (readonly number[])[] {
  const open: number[][] = [];
  const done: number[][] = [];
  for (const [place, { depth }] of ingredients.entries()) {
    while (open.length > depth + 1) done.push(open.pop() ?? []);
    while (open.length < depth + 1) open.push([]);
    open[depth]?.push(place);
  }
  return [...done, ...open];
}

/** More of what comes first, as 1/rank: what the place in a list lets expect before the label is looked at (rule of thumb). */
const expectedShares = (count: number): readonly number[] => {
  const ranks = Array.from({ length: count }, (_, rank) => 1 / (rank + 1));
  const sum = ranks.reduce((a, b) => a + b, 0);
  return ranks.map((rank) => rank / sum);
};

/**
 * The mixture of what a packet lists that comes nearest to its nutrition table: least squares over the shares, each at least
 * that of the next, printed shares as printed. The spread of the shares follows from that of the label and of what their
 * place lets expect, by moving each by a standard deviation (linear propagation). Null where the label says too little, or
 * what is printed contradicts the order.
 */
export function fitPacket(
  ingredients: readonly PacketIngredient[],
  label: readonly LabelFigure[],
  foods: ReadonlyMap<string, Food>,
  tables: PacketTables,
): PacketFit | null {
  const leaves = ingredients.flatMap((each, place): Leaf[] => {
    if (isCompound(ingredients, place)) return [];
    const found = foodMeant(each.means, foods, tables);
    const food = found && found.unknown.length < NUTRIENTS.length ? found : null;
    const isBulk = each.means?.kind === "additive" && /sweetener|bulking|humectant/.test(tables.additives.get(each.means.code)?.does ?? "");
    return [{ place, food, most: place === 0 ? null : mostOf(each, found, isBulk) }];
  });
  if (label.length < 3 || leaves.length === 0 || leaves.length > MOST_FITTED || !leaves.some(({ food }) => food)) return null;
  // The last number sought is what was driven off.
  const size = leaves.length + 1;
  const unit = (of: (leaf: number) => number, driven = 0) => [...leaves.map((_, leaf) => of(leaf)), driven];
  const only = (leaf: number) => unit((each) => (each === leaf ? 1 : 0));
  const sdOf = ({ amount, indices }: LabelFigure) => Math.hypot(LABEL_SHARE * amount, indices.includes(INDEX.sodium) ? ROUNDED_SODIUM : ROUNDED);
  const mains = leaves.flatMap(({ most }, leaf) => (most === null ? [leaf] : []));
  const expected = expectedShares(mains.length);
  const prior = leaves.map(({ most }, leaf) =>
    most === null ? { bound: expected[mains.indexOf(leaf)] ?? 0, sd: PRIOR_SD } : { bound: most / 6, sd: most / 6 },
  );
  const rows: SquaredRow[] = [
    ...label.map((figure) => ({
      coefficients: unit((leaf) => sumOf(leaves[leaf]?.food?.per100g ?? [], figure.indices)),
      bound: figure.amount,
      weight: 1 / sdOf(figure),
    })),
    ...prior.map(({ bound, sd }, leaf) => ({ coefficients: only(leaf), bound, weight: 1 / sd })),
    { coefficients: unit(() => 0, 1), bound: 0, weight: 1 / DRIVEN_OFF_SD },
  ];
  const shareOf = (place: number, sign: number) => {
    const within = leavesWithin(ingredients, leaves, place);
    return unit((leaf) => (within.includes(leaf) ? sign : 0));
  };
  const isMinor = (place: number) => leavesWithin(ingredients, leaves, place).every((leaf) => leaves[leaf]?.most != null);
  const inOrder = sideBySide(ingredients).flatMap((places) => {
    const ordered = places.filter((place) => !isMinor(place));
    return ordered.slice(1).map((place, i) => {
      const [more, less] = [shareOf(ordered[i] ?? place, 1), shareOf(place, -1)];
      return { coefficients: more.map((each, n) => each + (less[n] ?? 0)), bound: 0 };
    });
  });
  const printed = ingredients.flatMap(({ percent }, place): LinearConstraint[] =>
    percent === null
      ? []
      : [
          { coefficients: shareOf(place, 1), bound: percent / 100 - PRINTED },
          { coefficients: shareOf(place, -1), bound: -percent / 100 - PRINTED },
        ],
  );
  const problem = {
    size,
    rows,
    equalities: [{ coefficients: unit(() => 1, -1), bound: 1 }],
    atLeast: [
      ...leaves.map((_, leaf) => ({ coefficients: only(leaf), bound: 0 })),
      ...leaves.flatMap(({ most, place }, leaf) =>
        most === null || ingredients[place]?.percent != null ? [] : [{ coefficients: only(leaf).map((each) => -each), bound: -most }],
      ),
      { coefficients: unit(() => 0, 1), bound: 0 },
      { coefficients: unit(() => 0, -1), bound: -MOST_DRIVEN_OFF },
      ...inOrder,
      ...printed,
    ],
  };
  const found = leastSquares(problem);
  if (!found.ok) return null;
  const moved = rows.flatMap((row, at) => {
    const again = leastSquares({ ...problem, rows: rows.map((each, n) => (n === at ? { ...row, bound: row.bound + 1 / row.weight } : each)) });
    return again.ok ? [again.value] : [];
  });
  const best = found.value;
  const shareSd = (leaf: number) => Math.hypot(PRINTED_SD, ...moved.map((each) => (each[leaf] ?? 0) - (best[leaf] ?? 0)));
  const contents = (shares: readonly number[]) =>
    NUTRIENTS.map((_, n) => {
      const sum = leaves.reduce((total, { food }, leaf) => total + (shares[leaf] ?? 0) * (food?.per100g[n] ?? 0), 0);
      return Math.max(0, n === INDEX.water ? sum - 100 * (shares[leaves.length] ?? 0) : sum);
    });
  const per100g = contents(best);
  const elsewhere = moved.map(contents);
  return {
    shares: ingredients.map((_, place) => {
      const leaf = leaves.findIndex((each) => each.place === place);
      return leaf < 0 ? null : { value: Math.max(0, best[leaf] ?? 0), sd: shareSd(leaf) };
    }),
    per100g,
    sd: NUTRIENTS.map((_, n) =>
      Math.hypot(...elsewhere.map((each) => (each[n] ?? 0) - (per100g[n] ?? 0)), ...leaves.map(({ food }, leaf) => (best[leaf] ?? 0) * (food?.sd[n] ?? 0))),
    ),
    off: label.flatMap((figure) => {
      const fitted = sumOf(per100g, figure.indices);
      return Math.abs(fitted - figure.amount) > FAR_OFF * sdOf(figure) ? [{ name: figure.name, amount: figure.amount, fitted }] : [];
    }),
    whole: leaves.every(({ food, place }) => food !== null || ingredients[place]?.means?.kind === "additive" || ingredients[place]?.means?.kind === "harmless"),
  };
}

const at = (...nutrients: readonly Nutrient[]) => nutrients.map((nutrient) => INDEX[nutrient]);
/** What each figure of a label counts; carbohydrate as European labels count it, polyols with it. */
export const COUNTED_BY_LABEL = {
  fat: at("fat"),
  saturatedFat: at("saturatedFat"),
  carbohydrate: at("availableCarbohydrate", ...POLYOLS),
  sugars: at(...SUGARS),
  fibre: at("solubleFibre", "insolubleFibre"),
  protein: at("protein"),
  sodium: at("sodium"),
} as const;
