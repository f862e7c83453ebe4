import { learnedKey, type BodyFamily, type LearnedFactor } from "../food";
import type { Kitchen } from "../kitchen";
import { kindOf, type LearnedKind, type LearningGain } from "../learning";
import { Z80, type Figure } from "../numeric";
import { capital } from "../units";
import { tableRate } from "./stove-cook-down";

/** A quantity that the house's batches have taught. */
export interface LearnedRow {
  readonly key: string;
  readonly kind: LearnedKind;
  readonly what: string;
  /** What it is beside the tables, and between what a next batch lies, 80 %: "9.8 g/min; 9.0 by the table". */
  readonly now: string;
  readonly next: string;
  readonly batches: number;
  /** By what the tables have: now, and between what a next batch lies (80 %). */
  readonly ratio: Figure;
  /** How far batches that it was not learned from were off, on average, by the house and by the tables, %; null where fewer than two tell. */
  readonly gain: { readonly batches: number; readonly byHouse: number; readonly byTables: number } | null;
}

const FAMILIES: Readonly<Record<BodyFamily, string>> = {
  cornflour: "cornflour",
  "maize meal": "maize meal",
  wheat: "wheat, semolina and vermicelli",
  rice: "rice",
  "waxy rice": "glutinous rice",
  millet: "millets",
  pulse: "pulses",
  oats: "oats",
  tapioca: "tapioca and sago",
  arrowroot: "arrowroot",
  potato: "potato starch",
  "tuber extract": "starch of tubers",
  pulp: "pulp of fruit and vegetables",
  nuts: "ground nuts and seeds",
};
const OPERATIONS: Readonly<Record<string, string>> = { roast: "roasting", fry: "frying", steam: "steaming", bake: "baking", caramelise: "browning sugar" };

/** All that was learned, by kind, what most batches have shown first; of eaters those that are named, by id. `gains`: what it improves, where that is worked out. */
export function learnedView(
  { reference: { constants, foods }, household }: Kitchen,
  names: ReadonlyMap<string, string>,
  gains: ReadonlyMap<string, LearningGain> = new Map(),
): readonly LearnedRow[] {
  const { pans, burners } = household.equipment ?? { pans: [], burners: [] };
  const rateOf = (key: string): number | null => {
    for (const pan of pans)
      for (const burner of [...burners, null])
        if (learnedKey.rate(pan, burner) === key) return tableRate({ heat: "simmer", diameter: pan.diameter, burner }, constants);
    return null;
  };
  return Object.entries(constants.learned)
    .flatMap(([key, factor]): LearnedRow[] => {
      const kind = kindOf(key);
      if (kind === null || (kind.startsWith("wanted") && !names.has(key.slice(kind.length + 1)))) return [];
      const rest = key.slice(kind.length + 1);
      return [
        {
          key,
          kind,
          batches: factor.batches,
          ratio: ratioOf(factor),
          gain: gainOf(gains.get(key)),
          ...told(
            kind,
            rest,
            factor,
            kind === "rate" ? rateOf(key) : null,
            (id) => foods.get(id)?.name ?? id,
            (id) => names.get(id) ?? id,
          ),
        },
      ];
    })
    .sort((a, b) => ORDER.indexOf(a.kind) - ORDER.indexOf(b.kind) || b.batches - a.batches || (a.what < b.what ? -1 : 1));
}
const ORDER: readonly LearnedKind[] = ["wanted sweetness", "wanted body", "rate", "body", "binding", "time", "cooling"];

/** As a share of what was told, %. */
const gainOf = (gain: LearningGain | undefined): LearnedRow["gain"] =>
  gain ? { batches: gain.batches, byHouse: Math.round(100 * Math.expm1(gain.byHouse)), byTables: Math.round(100 * Math.expm1(gain.byTables)) } : null;
const ratioOf = ({ ln, sd }: LearnedFactor): Figure => ({ value: Math.exp(ln), low: Math.exp(ln - Z80 * sd), high: Math.exp(ln + Z80 * sd) });

/** How more and less of each is called. */
const WORDS: Readonly<Record<LearnedKind, readonly [more: string, less: string, same: string]>> = {
  rate: ["faster", "slower", "as fast as by the table"],
  body: ["more", "less", "as much as by the table"],
  binding: ["more", "less", "as much as by the table"],
  time: ["longer", "shorter", "as long as told"],
  cooling: ["longer", "shorter", "as long as by the law"],
  "wanted sweetness": ["sweeter", "less sweet", "as sweet as handed down"],
  "wanted body": ["more of what thickens", "less of what thickens", "as thick as handed down"],
};
const percent = (ratio: number): number => Math.round(100 * Math.abs(ratio - 1));
const signed = (ratio: number): string => `${ratio < 1 ? "−" : "+"}${percent(ratio)} %`;

function told(
  kind: LearnedKind,
  rest: string,
  factor: LearnedFactor,
  rate: number | null,
  foodName: (id: string) => string,
  eaterName: (id: string) => string,
): Pick<LearnedRow, "what" | "now" | "next"> {
  const { value, low, high } = ratioOf(factor);
  const [more, less, same] = WORDS[kind];
  const plain = { now: percent(value) === 0 ? same : `${percent(value)} % ${value > 1 ? more : less}`, next: `${signed(low)} to ${signed(high)}` };
  switch (kind) {
    case "rate": {
      const [pan = "", burner = ""] = rest.split("/");
      const what = `${capital(pan)}${burner === "" ? "" : `, ${burner}`}`;
      if (rate === null) return { what, ...plain };
      const grams = (ratio: number) => (ratio * rate).toFixed(1);
      return { what, now: `${grams(value)} g/min at a simmer; ${grams(1)} by the table`, next: `${grams(low)} to ${grams(high)} g/min` };
    }
    case "body": {
      const [cooled = "", family = ""] = rest.split("/");
      return { what: `${capital(isFamily(family) ? FAMILIES[family] : family)}, ${cooled}`, ...plain };
    }
    case "binding":
      return { what: foodName(rest), ...plain };
    case "time":
      return { what: capital(OPERATIONS[rest] ?? rest), ...plain };
    case "cooling":
      return { what: capital(rest), ...plain };
    case "wanted sweetness":
    case "wanted body":
      return { what: eaterName(rest), ...plain };
  }
}
const isFamily = (family: string): family is BodyFamily => Object.hasOwn(FAMILIES, family);
