import type { Figure } from "../numeric";
import type { RuleBook } from "./claims";
import type { LabelRounding } from "./label-layout";
import type { Basis, NutritionProfile } from "./profile";
import type { NutritionRowId } from "./rows";

/** A row of the nutrition on a label: what stands in each column, with its unit. */
export interface PanelRow {
  readonly name: string;
  readonly inset: 0 | 1 | 2;
  readonly amounts: readonly string[];
  /** The interval (80 %) of the first column, in its unit: "4.6 to 5.9". */
  readonly between: string;
  /** Share of the day's reference in a serving, "12 %"; empty where there is none. */
  readonly ofDay: string;
}
export interface LabelPanel {
  /** The rule book's id, and its name. */
  readonly book: string;
  readonly name: string;
  readonly columns: readonly string[];
  readonly ofDay: boolean;
  readonly rows: readonly PanelRow[];
  readonly missing: readonly string[];
  readonly source: string;
  readonly note: string | null;
}

const KJ_PER_KCAL = 4.184;
const UNITS: Readonly<Partial<Record<NutritionRowId, string>>> = { sodium: "mg", calcium: "mg", iron: "mg" };

/**
 * An amount as a label tells it: "<0.5", "0.4", "12".
 * @throws nothing: what is no number is told as "not known"
 */
export function rounded(amount: number, { least, steps }: LabelRounding): string {
  if (!Number.isFinite(amount)) return "not known";
  if (amount < least.under || (least.orAsMuch && amount === least.under)) return amount <= 0 ? "0" : least.words;
  const step = steps.find(({ under, orAsMuch }) => amount < under || (orAsMuch && amount === under))?.to ?? steps.at(-1)?.to ?? 1;
  const decimals = Math.max(0, Math.ceil(-Math.log10(step) - 1e-9));
  return (Math.round(amount / step + 1e-9) * step).toFixed(decimals);
}

const fromTo = (low: string, high: string): string => (low === high ? low : `${low} to ${high}`);

/** The nutrition of a sweet in the layout and rounding of a rule book. */
export function labelPanel(profile: NutritionProfile, { id, name, label, intakes }: Pick<RuleBook, "id" | "name" | "label" | "intakes">): LabelPanel {
  const rowOf = new Map(profile.rows.map((row) => [row.id, row] as const));
  const sumOf = (of: readonly NutritionRowId[], basis: Basis): Figure => {
    const figures = of.flatMap((id) => rowOf.get(id)?.figures[basis] ?? []);
    const value = figures.reduce((sum, each) => sum + each.value, 0);
    // Parts of one sum are taken as independent of each other.
    const half = (side: "low" | "high") => Math.sqrt(figures.reduce((sum, each) => sum + (each[side] - each.value) ** 2, 0));
    return { value, low: Math.max(0, value - half("low")), high: value + half("high") };
  };
  const isPartly = (of: readonly NutritionRowId[]) => of.some((id) => (rowOf.get(id)?.known ?? 1) < 0.995);
  const roundingOf = (of: string): LabelRounding => label.roundings[of] ?? { least: { under: 0, words: "0" }, steps: [{ under: Infinity, to: 0.1 }] };
  const columns = label.per.map((basis) => (basis === "serving" ? `a serving of ${Math.round(profile.finishedMass / profile.servings)} g` : "100 g"));
  const first = label.per[0] ?? "per100g";
  const told = (of: readonly NutritionRowId[], words: (value: number) => string, bare: (value: number) => string) => ({
    amounts: label.per.map((basis) => `${isPartly(of) ? "at least " : ""}${words(sumOf(of, basis).value)}`),
    between: fromTo(bare(sumOf(of, first).low), bare(sumOf(of, first).high)),
  });
  const inKcal = (kilojoules: number) => rounded(kilojoules / KJ_PER_KCAL, roundingOf("kcal"));
  const kcal = (kilojoules: number) => `${inKcal(kilojoules)} kcal`;
  const energy = (kilojoules: number) => (label.energy === "kcal" ? kcal(kilojoules) : `${rounded(kilojoules, roundingOf("kJ"))} kJ / ${kcal(kilojoules)}`);
  const share = (of: readonly NutritionRowId[]) => {
    const reference = of.length === 1 && of[0] !== undefined ? intakes[of[0]] : undefined;
    return reference === undefined || !label.ofDay ? "" : `${Math.round((100 * sumOf(of, "serving").value) / reference)} %`;
  };
  return {
    book: id,
    name,
    columns,
    ofDay: label.ofDay,
    rows: [
      { name: label.energyName, inset: 0, ...told(["energy"], energy, inKcal), ofDay: share(["energy"]) },
      ...label.lines.flatMap(({ name: of, of: ids, inset, rounding, over }): PanelRow[] => {
        if (over !== undefined && sumOf(ids, "per100g").value <= over) return [];
        const unit = (ids[0] && UNITS[ids[0]]) ?? "g";
        return [
          {
            name: of,
            inset,
            ...told(
              ids,
              (value) => `${rounded(value, roundingOf(rounding))} ${unit}`,
              (value) => rounded(value, roundingOf(rounding)),
            ),
            ofDay: share(ids),
          },
        ];
      }),
    ],
    missing: label.missing,
    source: label.source,
    note: label.note,
  };
}
