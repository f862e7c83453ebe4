import { INDEX, learnedKey, learnedWords, NUTRIENTS, SUGARS, POLYOLS, type Constants, type Food, type ServingTemperature } from "../food";
import { amountPerGram } from "../models/nutrition";
import { rebaudiosideSweetness, relativeSweetness, sucroseEquivalentPerGram, tastedShare } from "../models/sweetness";
import { bodyIndex, bodyWords, creaminessPerGram } from "../models/texture";
import { bodyFamilyOf, bodyPerGram, thickeningPerGram, type Cooled } from "../process";
import { potOnly, type Balance, type BalancedLine } from "../recipe";
import { activityWorking, bindingWorking, iceWorking, suppressionWorking } from "./more-workings";
import { byLine, treated, type Part, type Working } from "./working";
import { balanceOf, evaluate, spreadOf } from "./evaluate";
import type { EvaluationInput } from "./input";
import { describeAmount, propertyOf, type Amount, type PropertyId, type WorkingKind } from "./properties";

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
  return {
    id,
    name,
    unit,
    per,
    figure: figures[id],
    spread,
    weigh: weighFirst(input, parts.byLine, total),
    ...workingOf(input, id, working, sweet, constants),
  };
}

function workingOf(input: EvaluationInput, id: PropertyId, working: WorkingKind, sweet: Balance, constants: Constants): Part {
  switch (working.kind) {
    case "mass":
      return massWorking(input, id, sweet, constants);
    case "sweetness":
      return sweetnessWorking(input, working.serve, sweet.finishedMass, constants);
    case "body":
      return bodyWorking(input, working.serve, constants);
    case "amount":
      return amountWorking(input, working.amount, working.per, sweet.finishedMass, constants);
    case "mouthfeel":
      return mouthfeelWorking(input, working.of, sweet.finishedMass);
    case "suppression":
      return suppressionWorking(input, constants);
    case "binding":
      return bindingWorking(input, constants);
    case "ice":
      return iceWorking(input, constants);
    case "waterActivity":
      return activityWorking(input, sweet.finishedMass, constants);
  }
}

/** From this share of the doubt on, an amount is worth weighing; what is known to so much of itself is weighed already. */
const MUCH_DOUBT = 0.25;
const WEIGHED_SHARE = 0.03;

function weighFirst({ lines }: EvaluationInput, byLine: readonly number[], total: number): Working["weigh"] {
  const [largest] = byLine.map((variance, i) => ({ line: lines[i], share: total > 0 ? variance / total : 0 })).sort((a, b) => b.share - a.share);
  if (!largest?.line || largest.share < MUCH_DOUBT || largest.line.sd <= WEIGHED_SHARE * largest.line.grams) return null;
  return { name: largest.line.food.name, share: largest.share };
}

const massWorking = (input: EvaluationInput, id: PropertyId, sweet: Balance, { process }: Constants): Part => ({
  termUnit: "g",
  rule: true,
  equation: id === "yield" ? "everything put in, less the water driven off" : "yield, by the number of servings",
  terms: [
    ...input.lines.map((line) => ({ label: line.food.name, detail: "put in", value: line.grams })),
    { label: "Evaporation", detail: sweet.evaporation < 0 ? "water taken up" : `water driven off${rateWords(process.value.rate)}`, value: -sweet.evaporation },
  ],
  then: id === "yield" ? "" : `divided by ${input.servings} servings`,
  sources: ["Mass balance: only water evaporates"],
});

/** By what the minutes of a simmer are reckoned, where that was learned. */
const rateWords = (rate: Constants["process"]["value"]["rate"]): string =>
  rate === null
    ? ""
    : `; by the minute your usual pan boils away ${Math.exp(rate.ln).toFixed(2)} × as fast as the table (${rate.batches === 1 ? "a batch" : `${rate.batches} batches`})`;

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
    (line) => line.grams * sucroseEquivalentPerGram(treated(line), line.food.per100g, celsius, constants),
    (line) => {
      const tasted = tastedShare(treated(line), constants);
      return [
        ...r.filter(([index]) => (line.food.per100g[index] ?? 0) >= 1).map(([index, each]) => `${NUTRIENTS[index]} × ${each.toFixed(2)}`),
        ...(tasted < 0.995 ? [`${Math.round(100 * tasted)} % of it is tasted in the whole`] : []),
      ].join(", ");
    },
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
      const { thick } = bodyPerGram(treated(line), line.food.per100g, cooled, input.cookMinutes, constants);
      return line.apart ? 0 : (thick * line.grams * 100) / index.serum;
    },
    (line) => {
      const food = treated(line);
      const { starch, particles } = thickeningPerGram(food, food.per100g, cooled, input.cookMinutes, constants);
      const family = bodyFamilyOf(food, constants);
      const own = family === null ? "" : learnedWords(constants.learned, learnedKey.body(cooled, family));
      const by =
        particles > 0
          ? "particles of ground nut, seed or coconut"
          : starch > 0 && food.thickening.starch
            ? `starch, ${food.thickening.starch.kind}, ${food.thickening.starch.grain}`
            : "fibre or gum";
      return own === "" ? by : `${by}; ${own}`;
    },
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
      ...(index.fromEgg > 0.01 ? [{ label: "Egg", detail: "protein that heat sets", value: index.fromEgg }] : []),
      ...(index.fromCultured > 0.01 ? [{ label: "Yogurt or tofu", detail: "protein set by souring or a salt", value: index.fromCultured }] : []),
    ],
    then:
      `X = ${index.x.toFixed(1)}; step = 10 × (1 − exp(−X/9.5)): ${bodyWords(evaluate(input, constants).figures[`body.${serve}`].value, constants)}` +
      (index.agarPercent > 0 ? `; agar ${index.agarPercent.toFixed(2)} % sets it further when cold` : "") +
      (index.gelatinePercent > 0 ? `; gelatine ${index.gelatinePercent.toFixed(2)} % sets it further when cold` : "") +
      (serve === "warm" || serve === "room" ? "; between hot and chilled by temperature" : ""),
    sources: [`Body model: ${constants.body.source}`],
  };
}

function amountWorking(input: EvaluationInput, amount: Amount, per: "serving" | "per100g", mass: number, constants: Constants): Part {
  const perGram = (line: BalancedLine): number => amountPerGram(amount, treated(line), line.food.per100g, constants);
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
      (line) => perGram(line) * line.grams,
      (line) =>
        free
          ? `counted as ${treated(line).sugarClass}`
          : load
            ? `GI ${(line.food.glycaemicIndex ?? constants.glycaemicClassRange.value).value}`
            : `${(perGram(line) * 100).toPrecision(3)} per 100 g`,
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

const sourcesOf = (lines: readonly BalancedLine[]) => [...new Set(lines.map((line) => `${line.food.name}: ${line.food.source} (${line.food.provenance})`))];
