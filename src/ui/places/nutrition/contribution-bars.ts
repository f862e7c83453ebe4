import type { NutritionProfile, NutritionRowId } from "../../../core/nutrition";

interface Side {
  readonly title: string;
  readonly profile: NutritionProfile;
  /** From the whole sweet to the amount shown. */
  readonly scale: number;
}

/** Stacked bars: one a sweet, one part a food, the largest foods by name and the rest together. */
export interface Bars {
  readonly titles: readonly string[];
  readonly parts: readonly { readonly name: string; readonly amounts: readonly number[] }[];
}

const MOST_PARTS = 5;

/** Sums what each food brings to a row on each side; foods of both sides share a part. */
export function contributionBars(id: NutritionRowId, sides: readonly Side[]): Bars {
  const amounts = new Map<string, number[]>();
  for (const [s, { profile, scale }] of sides.entries()) {
    const brings = profile.rows.find((row) => row.id === id)?.lines ?? [];
    for (const [i, { name }] of profile.lines.entries()) {
      const amount = (brings[i] ?? 0) * scale;
      if (amount <= 0) continue;
      const of = amounts.get(name) ?? sides.map(() => 0);
      of[s] = (of[s] ?? 0) + amount;
      amounts.set(name, of);
    }
  }
  const total = (of: readonly number[]) => of.reduce((sum, amount) => sum + amount, 0);
  const sorted = [...amounts].sort((a, b) => total(b[1]) - total(a[1]));
  const [named, rest] = sorted.length > MOST_PARTS + 1 ? [sorted.slice(0, MOST_PARTS), sorted.slice(MOST_PARTS)] : [sorted, []];
  const others = rest.length > 0 ? [{ name: `${rest.length} others`, amounts: sides.map((_, s) => rest.reduce((sum, [, of]) => sum + (of[s] ?? 0), 0)) }] : [];
  return { titles: sides.map(({ title }) => title), parts: [...named.map(([name, of]) => ({ name, amounts: of })), ...others] };
}
