import type { Figure } from "../numeric";
import { INDEX, NUTRIENTS, SUGARS, POLYOLS, type Constants, type Food, type ServingTemperature } from "../food";
import { amountPerGram } from "../models/nutrition";
import { rebaudiosideSweetness, relativeSweetness } from "../models/sweetness";
import { bodyIndex, bodyWords, creaminessPerGram } from "../models/texture";
import { thickeningPerGram, type Cooled } from "../process";
import { potOnly, type Balance, type BalancedLine } from "../recipe";
import { balanceOf, evaluate, spreadOf, type EvaluationInput } from "./evaluate";
import { describeAmount, propertyOf, type Amount, type PropertyId, type WorkingKind } from "./properties";

/** One term of a working: what it is, what it adds, and where it is from. */
export interface WorkingTerm {
  readonly label: string;
  readonly detail: string;
  readonly value: number;
}

/** The answer to "why this figure". */
export interface Working {
  readonly id: PropertyId;
  readonly name: string;
  readonly unit: string;
  readonly per: string;
  readonly figure: Figure;
  /** The equation in words. */
  readonly equation: string;
  readonly terms: readonly WorkingTerm[];
  /** Unit of the terms. */
  readonly termUnit: string;
  /** What the terms are divided by or turned with, in words. */
  readonly then: string;
  readonly sources: readonly string[];
  readonly rule: boolean;
  /** Shares of the spread, largest first, summing to 1 (empty where there is none). */
  readonly spread: readonly { readonly from: string; readonly share: number }[];
}

/** Explains one figure of a sweet: its terms by line, their sources, its uncertainty by cause. */
export function explain(input: EvaluationInput, id: PropertyId, constants: Constants): Working {
  const { sweet, figures } = evaluate(input, constants);
  const { name, unit, per, working } = propertyOf(id);
  const parts = spreadOf(input, id, constants);
  const total = parts.measures + parts.evaporation + parts.composition + parts.model;
  const spread = [
    { from: "kitchen measures", share: parts.measures },
    { from: "evaporation", share: parts.evaporation },
    { from: "composition of the foods", share: parts.composition },
    { from: "the model", share: parts.model },
  ]
    .map((part) => ({ ...part, share: total > 0 ? part.share / total : 0 }))
    .filter((part) => part.share > 0.005)
    .sort((a, b) => b.share - a.share);
  return { id, name, unit, per, figure: figures[id], spread, ...workingOf(input, id, working, sweet, constants) };
}

function workingOf(input: EvaluationInput, id: PropertyId, working: WorkingKind, sweet: Balance, constants: Constants): Part {
  switch (working.kind) {
    case "mass":
      return massWorking(input, id, sweet);
    case "sweetness":
      return sweetnessWorking(input, working.serve, sweet.finishedMass, constants);
    case "body":
      return bodyWorking(input, working.serve, constants);
    case "amount":
      return amountWorking(input, working.amount, working.per, sweet.finishedMass, constants);
    case "mouthfeel":
      return mouthfeelWorking(input, working.of, sweet.finishedMass);
  }
}

type Part = Pick<Working, "equation" | "terms" | "termUnit" | "then" | "sources" | "rule">;

const massWorking = (input: EvaluationInput, id: PropertyId, sweet: Balance): Part => ({
  termUnit: "g",
  rule: true,
  equation: id === "yield" ? "everything put in, less the water driven off" : "yield, by the number of servings",
  terms: [
    ...input.lines.map((line) => ({ label: line.food.name, detail: "put in", value: line.grams })),
    { label: "Evaporation", detail: sweet.evaporation < 0 ? "water taken up" : "water driven off", value: -sweet.evaporation },
  ],
  then: id === "yield" ? "" : `divided by ${input.servings} servings`,
  sources: ["Mass balance: only water evaporates"],
});

function mouthfeelWorking(input: EvaluationInput, of: Extract<WorkingKind, { kind: "mouthfeel" }>["of"], mass: number): Part {
  const perGram: Readonly<Record<typeof of, (food: Food, role: BalancedLine["role"]) => number>> = {
    richness: (food) => (food.per100g[INDEX.fat] ?? 0) / 100,
    creaminess: (food, role) => creaminessPerGram(food, food.per100g, role),
    solutes: (food) => [...SUGARS, ...POLYOLS, "allulose" as const].reduce((sum, nutrient) => sum + (food.per100g[INDEX[nutrient]] ?? 0), 0) / 100,
    water: (food) => (food.per100g[INDEX.water] ?? 0) / 100,
  };
  return {
    termUnit: "g",
    rule: false,
    equation: `${propertyOf(of).name.toLowerCase()} of every line, per 100 g of the finished sweet`,
    terms: byLine(input, (line) => perGram[of](line.food, line.role) * line.grams),
    then: `divided by ${mass.toFixed(0)} g finished, times 100`,
    sources: sourcesOf(input.lines),
  };
}

function sweetnessWorking(input: EvaluationInput, serve: ServingTemperature, mass: number, constants: Constants): Part {
  const celsius = constants.temperatures[serve];
  const r = relativeSweetness(celsius, constants);
  const terms = byLine(
    input,
    (line) => r.reduce((sum, [index, each]) => sum + ((line.food.per100g[index] ?? 0) * each * line.grams) / 100, 0),
    (line) =>
      r
        .filter(([index]) => (line.food.per100g[index] ?? 0) >= 1)
        .map(([index, each]) => `${NUTRIENTS[index]} × ${each.toFixed(2)}`)
        .join(", "),
  );
  const steviol = input.lines.reduce((sum, line) => sum + (line.grams * (line.food.per100g[INDEX.steviolGlycosides] ?? 0)) / 100, 0);
  const potent =
    steviol > 0
      ? [
          {
            label: "Steviol glycosides",
            detail: "10·C/(200 + C), C in mg per litre",
            value: (rebaudiosideSweetness((steviol * 1e6) / mass, constants.rebaudioside.value) * mass) / 100,
          },
        ]
      : [];
  return {
    termUnit: "g as sugar",
    rule: true,
    equation: `each sugar's grams times its sweetness beside sucrose at ${celsius} °C`,
    terms: [...terms, ...potent],
    then: `divided by ${mass.toFixed(0)} g finished, times 100`,
    sources: [
      `Fructose by temperature: ${constants.fructoseSweetness.source}`,
      `Others: ${constants.relativeSweetness.source}`,
      ...(potent.length ? [constants.rebaudioside.source] : []),
    ],
  };
}

function bodyWorking(input: EvaluationInput, serve: ServingTemperature, constants: Constants): Part {
  const cooled: Cooled = serve === "hot" || serve === "warm" ? "hot" : "chilled";
  const sweet = potOnly(balanceOf(input));
  const index = bodyIndex(sweet, cooled, constants);
  const terms = byLine(
    input,
    (line) => {
      const part = thickeningPerGram(line.food, line.food.per100g, cooled, input.cookMinutes, constants);
      return ((part.starch + part.fibre + part.other) * line.grams * 100) / index.serum;
    },
    (line) => (line.food.thickening.starch ? `starch, ${line.food.thickening.starch.kind}, ${line.food.thickening.starch.grain}` : "fibre"),
  );
  return {
    termUnit: "of X",
    rule: true,
    equation: `thickening of starch, fibre and protein, ${cooled}, in ${index.serum.toFixed(0)} g of serum (water + 0.62 × sugars)`,
    terms: [
      ...terms,
      ...(index.fromProtein > 0.01
        ? [{ label: "Protein", detail: `${index.protein.toFixed(0)} g of milk, soya, coconut or nut`, value: index.fromProtein }]
        : []),
    ],
    then:
      `X = ${index.x.toFixed(1)}; step = 10 × (1 − exp(−X/9.5)): ${bodyWords(evaluate(input, constants).figures[`body.${serve}`].value, constants)}` +
      (index.agarPercent > 0 ? `; agar ${index.agarPercent.toFixed(2)} % sets it further when cold` : "") +
      (serve === "warm" || serve === "room" ? "; between hot and chilled by temperature" : ""),
    sources: [`Body model: ${constants.body.source}`],
  };
}

function amountWorking(input: EvaluationInput, amount: Amount, per: "serving" | "per100g", mass: number, constants: Constants): Part {
  const perGram = (food: Food): number => amountPerGram(amount, food, food.per100g, constants);
  const free = amount.startsWith("freeSugars");
  const load = amount === "glycaemicLoad";
  const { name, unit } = describeAmount(amount);
  return {
    termUnit: unit,
    rule: load,
    equation: load
      ? "GI times available carbohydrate, each line, divided by 100: an estimate; a mixed sweet's measured value can differ"
      : amount === "energy"
        ? "protein 17, fat 37, carbohydrate 17, fibre 8 kJ per gram"
        : `${name.toLowerCase()} of every line`,
    terms: byLine(
      input,
      (line) => perGram(line.food) * line.grams,
      (line) =>
        free
          ? `counted as ${line.food.sugarClass}`
          : load
            ? `GI ${(line.food.glycaemicIndex ?? constants.glycaemicClassRange.value).value}`
            : `${(perGram(line.food) * 100).toPrecision(3)} per 100 g`,
    ),
    then: per === "serving" ? `divided by ${input.servings} servings` : `divided by ${mass.toFixed(0)} g finished, times 100`,
    sources: [
      ...(free
        ? [constants.freeSugarShares.source]
        : load
          ? [...new Set(input.lines.map((line) => line.food.glycaemicIndex?.source ?? constants.glycaemicClassRange.source))]
          : amount === "energy"
            ? [constants.energyPerGram.source]
            : []),
      ...sourcesOf(input.lines),
    ],
  };
}

function byLine(input: EvaluationInput, value: (line: BalancedLine) => number, detail: (line: BalancedLine) => string = () => ""): WorkingTerm[] {
  return input.lines
    .map((line) => ({
      label: `${line.food.name}, ${line.grams < 10 ? line.grams.toPrecision(2) : line.grams.toFixed(0)} g`,
      detail: detail(line),
      value: value(line),
    }))
    .filter((term) => Math.abs(term.value) > 1e-4)
    .sort((a, b) => b.value - a.value);
}

const sourcesOf = (lines: readonly BalancedLine[]) => [...new Set(lines.map((line) => `${line.food.name}: ${line.food.source} (${line.food.provenance})`))];
