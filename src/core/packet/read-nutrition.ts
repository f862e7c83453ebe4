import { EMPTY_LABEL, type Label } from "../pantry";

type Field = "energy" | "fat" | "saturatedFat" | "carbohydrate" | "sugars" | "fibre" | "protein" | "salt" | "sodium" | "ignored";

/** Names of rows; where several begin at one place the longest is meant. What no label needs here ends the row before it. */
const NAMES: readonly (readonly [RegExp, Field])[] = [
  [/\benergy(?: value)?|\bcalorific value|\bcalories\b(?! from)/gi, "energy"],
  [/\bcalories from fat/gi, "ignored"],
  [/\b(?:total |of which )?(?:saturates|saturated(?: fat(?:ty acids)?| fats?)?|sat\.? fat|sfa)\b/gi, "saturatedFat"],
  [
    /\b(?:trans|mono[- ]?unsaturated|poly[- ]?unsaturated|mono[- ]?unsaturates|polyunsaturates|omega[- ]?\d|mufa|pufa)(?: fat(?:ty acids)?| fats?)?\b/gi,
    "ignored",
  ],
  [/\b(?:total )?fats?\b|\blipids?\b/gi, "fat"],
  [/\b(?:total |available |net )?carbohydrates?\b|\b(?:total |net )?carbs\b/gi, "carbohydrate"],
  [/\b(?:includes? [^\n]{0,14})?added sugars?\b|\bsugar alcohols?\b|\bpolyols?\b|\bstarch\b|\bcholesterol\b/gi, "ignored"],
  [/\b(?:total |of which )?sugars?\b/gi, "sugars"],
  [/\b(?:dietary |total |soluble |insoluble )?fib(?:re|er)s?\b/gi, "fibre"],
  [/\bproteins?\b/gi, "protein"],
  [/\bsodium\b/gi, "sodium"],
  [/\bsalt(?: equivalent)?\b/gi, "salt"],
  [
    /\b(?:vitamin|calcium|iron|potassium|magnesium|zinc|phosphorus|folate|folic acid|niacin|thiamine?|riboflavin|iodine|ash|moisture|water|alcohol)\b/gi,
    "ignored",
  ],
];

interface Row {
  readonly field: Field;
  readonly at: number;
  readonly end: number;
}

/** Every row name in a text, in order, none within another. */
function rowsIn(text: string): readonly Row[] {
  const found = NAMES.flatMap(([pattern, field]) =>
    [...text.matchAll(pattern)].map((match): Row => ({ field, at: match.index, end: match.index + match[0].length })),
  );
  const sorted = found.sort((a, b) => a.at - b.at || b.end - a.end);
  const kept: Row[] = [];
  for (const row of sorted) if (row.at >= (kept.at(-1)?.end ?? 0)) kept.push(row);
  return kept;
}

interface Amount {
  readonly value: number;
  readonly unit: string;
}

/** Amounts in a row, in their columns: no percentages of what is needed in a day. */
function amountsIn(text: string): readonly Amount[] {
  const found: Amount[] = [];
  for (const match of text.matchAll(
    /(<|less than|under)? ?(\d{1,6}(?:[.,]\d{1,3})?) ?(kcal|kj|cal|mg|µg|mcg|g|%|rda|gm|gms)?(?![\w])|\b(nil|none|trace|traces)\b/gi,
  )) {
    const unit = (match[3] ?? "").toLowerCase();
    if (unit === "%" || unit === "rda") continue;
    if (match[4]) {
      found.push({ value: 0, unit: "" });
      continue;
    }
    const digits = match[2] ?? "";
    // A comma before three digits groups them where what stands before is no nought: "1,580 kJ".
    const number = Number(/^[1-9]\d{0,2},\d{3}$/.test(digits) ? digits.replace(",", "") : digits.replace(",", "."));
    found.push({ value: match[1] ? number / 2 : number, unit });
  }
  return found;
}

/** What the columns are for, in grams, in their order. */
interface Columns {
  readonly per: readonly (number | null)[];
  readonly isVolume: boolean;
}

/** Serving size in grams or millilitres, where a text tells it. */
function servingIn(text: string): number | null {
  const told =
    /\b(?:serving|portion|serve|piece|bar|biscuit|slice|glass|scoop|sachet)s?\b(?: size)?[^\d\n]{0,25}(?:\d+(?:[./]\d+)? ?[a-z]{2,14} ?)?\(? ?(\d{1,4}(?:[.,]\d+)?)\s?(?:g|gm|ml)\b/i.exec(
      text,
    );
  return told ? Number((told[1] ?? "").replace(",", ".")) : null;
}

/** "per 100 g", "per serving (30 g)" as heads of columns; the one without a number is of a serving told elsewhere. */
function columnsIn(head: string, all: string): Columns {
  const serving = servingIn(all);
  const heads = [
    ...head.matchAll(
      /\b(100)\s?(g|ml|gm|grams?)\b|\bper (?:serving|portion|serve|piece|bar|biscuit|slice|glass|scoop|sachet)\b(?:[^\d\n%|]{0,12}(\d{1,4}(?:[.,]\d+)?)\s?(g|ml)\b)?|\bper (\d{1,4}(?:[.,]\d+)?)\s?(g|ml)\b/gi,
    ),
  ];
  const per = heads.map((match) => (match[1] ? 100 : match[5] ? Number(match[5].replace(",", ".")) : match[3] ? Number(match[3].replace(",", ".")) : serving));
  const isVolume = heads.some((match) => [match[2], match[4], match[6]].some((unit) => unit?.toLowerCase() === "ml"));
  return { per: per.length > 0 ? per : [serving], isVolume };
}

/** The columns as the table's head tells them, or what is said anywhere of the amount that it is for. */
function columnsOf(head: string, packet: string): Columns {
  const here = columnsIn(head, packet);
  if (here.per.some((each) => each !== null)) return here;
  const told = /\b(?:(?:per|for|in|pro) ?)?100 ?(g|gm|grams?|ml)\b(?: (?:contains?|provides?))?/i.exec(packet);
  if (told) return { per: [100], isVolume: told[1]?.toLowerCase() === "ml" };
  return here;
}

/** What goes on in the same sentence: "sea salt. Per 100 ml: 228 kJ" tells no salt. */
const sentenceOf = (text: string): string => text.split(/\.(?= [^\d]|\n)/)[0] ?? "";

/** "182 kcal, 6.9 g fat, 1.4 g saturated fat": the amounts stand before the names. */
function amountsComeFirst(text: string, rows: readonly Row[]): boolean {
  const before = rows.filter(({ at }) => /\d ?(?:g|mg) (?:of )?(?:which )?$/i.test(text.slice(Math.max(0, at - 14), at))).length;
  const after = rows.filter(({ end }) => /^[ :|<(]{0,4}(?:(?:kcal|kj|mg|g)[)\] :|<]{0,4})?\d/i.test(text.slice(end, end + 20))).length;
  return before > after;
}

/** Energy that stands without its name: "228 kJ / 54 kcal". */
function unnamedEnergy(text: string): Pick<Label, "energy" | "energyUnit"> | null {
  const kilocalories = /(\d{1,4}(?:[.,]\d)?) ?kcal/i.exec(text)?.[1];
  if (kilocalories !== undefined) return { energy: Number(kilocalories.replace(",", ".")), energyUnit: "kcal" };
  const kilojoules = /(\d{1,5}) ?kj/i.exec(text)?.[1];
  return kilojoules === undefined ? null : { energy: Number(kilojoules), energyUnit: "kJ" };
}

export interface ReadNutrition {
  readonly label: Label;
  /** How many figures were read. */
  readonly figures: number;
  readonly isVolume: boolean;
  readonly doubts: readonly string[];
}

/** A drink's g per ml where nobody says (rule of thumb). */
export const DRINK_DENSITY = 1.03;

/** Figures of a nutrition table as text, lines or one paragraph, one column or several; null where there is none. */
export function readNutrition(text: string, packet: string): ReadNutrition | null {
  const rows = rowsIn(text);
  const [first] = rows;
  if (!first || rows.length < 2) return null;
  const { per, isVolume } = columnsOf(text.slice(0, first.at), packet);
  const hundred = per.indexOf(100);
  const column =
    hundred >= 0
      ? hundred
      : Math.max(
          0,
          per.findIndex((each) => each !== null),
        );
  const doubts: string[] = [];
  const found = new Map<Field, Amount>();
  let kilojoules: number | null = null;
  const isBefore = amountsComeFirst(text, rows);
  for (const [place, row] of rows.entries()) {
    const amounts = isBefore
      ? amountsIn(text.slice(rows[place - 1]?.end ?? Math.max(0, row.at - 24), row.at)).slice(-1)
      : amountsIn(sentenceOf(text.slice(row.end, rows[place + 1]?.at ?? row.end + 80)));
    if (row.field === "ignored" || amounts.length === 0) continue;
    if (row.field === "energy") {
      // The name may carry the unit: "Energy (kcal) 520 130".
      const named = /^ ?[([]? ?(kcal|kj|cal)\b/i.exec(text.slice(row.end))?.[1]?.toLowerCase();
      const kilocalories = amounts.filter(({ unit }) => unit === "kcal" || unit === "cal");
      const joules = amounts.filter(({ unit }) => unit === "kj");
      const plain = amounts.filter(({ unit }) => unit === "");
      const isPlainJoules = named === "kj" || (kilocalories.length > 0 && joules.length === 0);
      const calories = kilocalories.length > 0 ? kilocalories : isPlainJoules ? [] : plain;
      const picked = calories[Math.min(column, calories.length - 1)];
      if (picked && !found.has("energy")) found.set("energy", picked);
      const joule = (joules.length > 0 ? joules : isPlainJoules ? plain : [])[Math.min(column, Math.max(joules.length, plain.length) - 1)] ?? joules[0];
      if (joule && kilojoules === null) kilojoules = joule.value;
      continue;
    }
    const picked = amounts[Math.min(column, amounts.length - 1)];
    if (picked && !found.has(row.field)) found.set(row.field, picked);
  }
  // What is left without a number is of a table whose names and numbers stand apart.
  if (found.size + (kilojoules === null ? 0 : 1) < 2) return null;
  const told = per[column] ?? null;
  if (told === null) doubts.push("The table does not say for how much it is: 100 g is taken.");
  if (isVolume) doubts.push(`The table is per volume: ${DRINK_DENSITY} g per ml is taken (rule of thumb).`);
  const grams = (told ?? 100) * (isVolume ? DRINK_DENSITY : 1);
  const amount = (field: Field): number | null => {
    const picked = found.get(field);
    if (!picked) return null;
    return picked.unit === "mg" ? picked.value / 1000 : picked.value;
  };
  const energy = found.get("energy")?.value ?? null;
  const sodium = found.get("sodium");
  const salt = amount("salt");
  const label: Label = {
    ...EMPTY_LABEL,
    per: Math.round(grams * 10) / 10,
    ...(energy === null && kilojoules === null
      ? (unnamedEnergy(text) ?? { energy: null, energyUnit: "kcal" })
      : { energy: energy ?? kilojoules, energyUnit: energy === null ? "kJ" : "kcal" }),
    fat: amount("fat"),
    saturatedFat: amount("saturatedFat"),
    carbohydrate: amount("carbohydrate"),
    includesFibre: countsFibre(text, { energy, fat: amount("fat"), carbohydrate: amount("carbohydrate"), protein: amount("protein"), fibre: amount("fibre") }),
    sugars: amount("sugars"),
    fibre: amount("fibre"),
    protein: amount("protein"),
    salt: salt ?? (sodium ? (sodium.unit === "g" ? sodium.value * 1000 : sodium.value) : null),
    saltUnit: salt === null && sodium ? "mg sodium" : "g salt",
  };
  const figures = [label.energy, label.fat, label.saturatedFat, label.carbohydrate, label.sugars, label.fibre, label.protein, label.salt].filter(
    (each) => each !== null,
  ).length;
  return { label, figures, isVolume, doubts };
}

interface Macros {
  readonly energy: number | null;
  readonly fat: number | null;
  readonly carbohydrate: number | null;
  readonly protein: number | null;
  readonly fibre: number | null;
}

/** Whether carbohydrate counts fibre: as the energy tells where the two ways differ by over 6 %, else as American tables do. */
function countsFibre(text: string, { energy, fat, carbohydrate, protein, fibre }: Macros): boolean {
  const american = /\bnutrition facts\b|\btotal carbohydrates?\b|\bdietary fiber\b/i.test(text);
  if (energy === null || fat === null || carbohydrate === null || protein === null || !fibre) return american;
  const without = 9 * fat + 4 * protein + 4 * carbohydrate + 2 * fibre;
  const within = 9 * fat + 4 * protein + 4 * Math.max(0, carbohydrate - fibre) + 2 * fibre;
  if (carbohydrate < fibre) return false;
  if (without - within < 0.06 * without) return american;
  return Math.abs(energy - within) < Math.abs(energy - without);
}
