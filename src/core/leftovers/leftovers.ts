import { evaluatePoint, valueOf, type EvaluationInput, type Figures, type PropertyId } from "../evaluate";
import { sumOf, SUGAR_INDICES, type Food, type ServingTemperature } from "../food";
import { make, type MilkMaking } from "../making";
import { shortName } from "../method";
import { foodFromMaking, type PantryTables } from "../pantry";
import type { BalancedLine, LineId, ReadRecipe } from "../recipe";
import { ALL_IN, dose, partOf, rescue, withMore, type Addition, type Mender } from "../rescue";
import { mayEnter, type AdaptationProblem, type Version } from "../substitution";
import { capital, formatGrams, lowerFirst, weighable } from "../units";

/** What is left over is told of. */
export interface LeftoverGround {
  readonly read: ReadRecipe;
  readonly version: Version;
  /** The version as the models take it. */
  readonly input: EvaluationInput;
  readonly figures: Figures;
  /** Servings of the version by those of the recipe. */
  readonly scale: number;
  readonly problem: AdaptationProblem;
  readonly foods: ReadonlyMap<string, Food>;
  readonly tables: PantryTables;
  /** Foods that are pressed at home for a version, by id. */
  readonly isPressedAtHome: (foodId: string) => boolean;
  readonly menders: readonly Mender[];
}

/** Something small of its own, from what a sweet leaves over, with its amounts. */
export interface DerivedBatch {
  readonly kind: "balls" | "pulp" | "pan" | "syrup";
  readonly title: string;
  /** What there is to begin with, g. */
  readonly from: { readonly name: string; readonly grams: number };
  readonly adds: readonly Addition[];
  readonly words: string;
  /** Allergens that go in with it and are not in the sweet. */
  readonly brings: readonly string[];
  /** What it comes to. */
  readonly figures: Figures;
  /** What its amounts were found by. */
  readonly by: string;
}

/** Less than this is wiped out of the pan with a finger, g. */
const LEAST_LEFT = 8;
const LEAST_PULP = 25;
/** A pulp halwa: so much fat, and liquid to begin with, of the wet pulp (rules of thumb); the body it is stirred to. */
const FAT = 0.15;
const MOUNDS = 6.5;
/** A drink that tastes lightly sweet, and a cold one of syrup and water, g as sugar in 100 g (rules of thumb). */
const LIGHTLY_SWEET = 5;
const COLD_DRINK = 8;
/** A serving of what is made of leftovers, g. */
const SMALL_SERVING = 60;

/**
 * What a sweet leaves over, each made into something small of its own: a loose mix pressed to balls, pulp to a halwa, what clings
 * to the pan and a syrup that is left to a drink. Amounts are solved with the models, for this table.
 */
export function derivedBatches(ground: LeftoverGround): readonly DerivedBatch[] {
  const there = new Set(ground.input.lines.flatMap(({ food }) => food.allergens));
  return [...balls(ground), ...pulps(ground), ...clings(ground), ...syrups(ground)]
    .filter(({ from, adds }) => from.grams > 0 && adds.every(({ grams }) => grams > 0))
    .map((batch) => ({ ...batch, brings: [...new Set(batch.adds.flatMap(({ food }) => food.allergens))].filter((allergen) => !there.has(allergen)) }));
}
/** Before it is told what it brings. */
type Found = Omit<DerivedBatch, "brings">;

/** A mix that is eaten loose, bound: the least of what binds it. */
function balls({ input, figures, problem, foods, menders }: LeftoverGround): readonly Found[] {
  if (problem.archetype !== "loose mix") return [];
  const found = rescue({ meant: input, state: { ...ALL_IN, grams: null, celsius: null }, fault: "crumbles", problem, foods, menders });
  const way = found.kind === "ways out" ? found.ways.find(({ kind, adds }) => kind === "mend" && adds.length > 0) : undefined;
  if (!way) return [];
  return [
    {
      kind: "balls",
      title: "Balls of the loose mix",
      from: { name: "the mix", grams: figures.yield.value },
      adds: way.adds,
      words: `${way.words} Press into balls of about 25 g while it is warm.`,
      figures: way.after.figures,
      by: "the least that binds it, by the model of binding",
    },
  ];
}

const lineOf = (food: Food, grams: number, role: BalancedLine["role"] = food.role): BalancedLine => ({ food, grams, sd: 0.02 * grams, role });
const exactly = (food: Food, grams: number): Addition => ({ food, grams, low: 0.8 * grams, high: 1.2 * grams });

/** Of the version's own foods the one there is most of that holds, else the first of others that may enter. */
function ownOr(holds: (line: BalancedLine) => boolean, others: readonly string[], { input, foods, problem }: LeftoverGround): Food | null {
  const own = input.lines.filter((line) => line.grams > 0 && holds(line) && mayEnter(line.food, problem)).sort((a, b) => b.grams - a.grams)[0]?.food;
  return own ?? others.flatMap((id) => foods.get(id) ?? []).find((food) => mayEnter(food, problem)) ?? null;
}
const isSugary = ({ role, food }: BalancedLine): boolean => role === "sweetener" && sumOf(food.per100g, SUGAR_INDICES) > 30;
/** What is poured in and at hand again: of a milk that is pressed for the sweet nothing is left. */
const pourable =
  ({ foods, isPressedAtHome }: LeftoverGround) =>
  ({ role, food }: BalancedLine): boolean =>
    role === "liquid" && food.family !== "water" && foods.has(food.id) && !isPressedAtHome(food.id);

const sweetnessAt = (serve: ServingTemperature): PropertyId => (serve === "hot" ? "sweetness.hot" : "sweetness.chilled");

/** Pulp of what was pressed for it: a halwa as sweet as the sweet itself, stirred until it mounds. */
function pulps(ground: LeftoverGround): readonly Found[] {
  const { figures, problem, foods, tables } = ground;
  const { constants } = problem.reference;
  const fat = ownOr(({ food }) => food.family === "fat", ["ghee", "coconut-oil", "sunflower-oil"], ground);
  const sweetener = ownOr(isSugary, ["jaggery", "sugar", "date-syrup"], ground);
  const liquid = ownOr(pourable(ground), ["water"], ground) ?? foods.get("water");
  if (!fat || !sweetener || !liquid) return [];
  return pulpsLeft(ground).flatMap(({ pulp, grams }): Found[] => {
    // Raw pulses upset the stomach, and frying does not boil them.
    if (grams < LEAST_PULP || pulp.family === "pulse" || !mayEnter(pulp, problem)) return [];
    const made = (sweet: number, wet: number): EvaluationInput => {
      const lines = [
        lineOf(pulp, grams, "body"),
        lineOf(fat, FAT * grams),
        ...(sweet > 0 ? [lineOf(sweetener, sweet)] : []),
        ...(wet > 0 ? [lineOf(liquid, wet)] : []),
      ];
      const all = lines.reduce((sum, line) => sum + line.grams, 0);
      return {
        lines,
        apart: 0,
        evaporation: { value: Math.max(0, -wet), sd: 0 },
        servings: Math.max(1, Math.round(all / SMALL_SERVING)),
        cookMinutes: 12,
        archetype: "vegetable halwa",
      };
    };
    const wanted = Math.max(LIGHTLY_SWEET, figures["sweetness.hot"].value);
    let [sweet, wet] = [0.25 * grams, 0];
    for (let round = 0; round < ROUNDS; round++) {
      const bySweet = dose((amount) => valueOf(made(amount, wet), "sweetness.hot", constants), wanted, 0.5, 1.5 * grams);
      sweet = bySweet?.amount ?? sweet;
      const isStiff = valueOf(made(sweet, 0), "body.hot", constants) > MOUNDS;
      const byBody = dose((amount) => valueOf(made(sweet, isStiff ? amount : -amount), "body.hot", constants), MOUNDS, 0.8, (isStiff ? 3 : 0.6) * grams);
      wet = (isStiff ? 1 : -1) * (byBody?.amount ?? 0);
    }
    const amounts = { sweet: weighable(sweet), fat: weighable(FAT * grams), wet: wet > 0 ? weighable(wet) : wet };
    const told = evaluatePoint(made(amounts.sweet, amounts.wet), constants);
    if (Math.abs(told["sweetness.hot"].value - wanted) > Math.max(1, 0.15 * wanted)) return [];
    const name = shortName(pulp);
    const pours = amounts.wet > 0 ? `, pour in ${formatGrams(amounts.wet)} g ${shortName(liquid)}` : "";
    return [
      {
        kind: "pulp",
        title: `Halwa of the ${name}`,
        from: { name, grams },
        adds: [exactly(fat, amounts.fat), exactly(sweetener, amounts.sweet), ...(amounts.wet > 0 ? [exactly(liquid, amounts.wet)] : [])],
        words: `Fry the pulp in ${formatGrams(amounts.fat)} g ${shortName(fat)} over a low flame until it smells toasted and is loose, 8 minutes${pours}, stir in ${formatGrams(amounts.sweet)} g ${shortName(sweetener)} and stir until it mounds on the spoon. The wet pulp keeps ${lowerFirst(tables.making.pulpKeeps)}`,
        figures: told,
        by: "as sweet as the sweet itself, hot, and of a body that mounds; the fat is a rule of thumb",
      },
    ];
  });
}
const ROUNDS = 4;

/** What of a pressing is left in the cloth, wet, g; and what it is good for, by who presses it. */
export interface PressedPulp {
  readonly pulp: Food;
  readonly grams: number;
  readonly uses: readonly string[];
}
/** The pulps of what is pressed for a version: of its lines that are pressed in their steps, and of milks that are got ready at home. */
export function pulpsLeft({
  read,
  version,
  scale,
  foods,
  tables,
  isPressedAtHome,
}: Pick<LeftoverGround, "read" | "version" | "scale" | "foods" | "tables" | "isPressedAtHome">): readonly PressedPulp[] {
  const pulpOf = (materialId: string, from: { readonly grams: number } | { readonly milk: number }): readonly PressedPulp[] => {
    const material = tables.making.milks.find(({ foodId }) => foodId === materialId);
    const food = foods.get(materialId);
    if (!material || !food) return [];
    const making: MilkMaking = {
      kind: "milk",
      material: materialId,
      grams: 100,
      soaked: material.soak?.usual ?? 0,
      presses: material.presses.map((water) => 100 * water),
      squeeze: "hard",
      holds: null,
      weighedMilk: null,
      weighedPulp: null,
    };
    const made = make(making, foods, tables.making);
    const part = (key: string) => (made.ok ? (made.value.parts.find((each) => each.key === key)?.grams.value ?? 0) : 0);
    const pulp = foodFromMaking(
      {
        id: `${materialId}-pulp`,
        name: capital(`${material.milk.replace(/ milk$/, "")} pulp`),
        synonyms: [],
        family: food.family,
        origin: food.origin,
        allergens: food.allergens,
        traces: [],
        made: { kind: "made", making, part: "pulp" },
        density: null,
        note: "",
        revision: 1,
      },
      making,
      "pulp",
      foods,
      tables,
    );
    if (!pulp || part("milk") <= 0) return [];
    return [{ uses: material.uses, pulp, grams: part("pulp") * ("grams" in from ? from.grams / 100 : from.milk / part("milk")) }];
  };
  const stands = new Map(
    version.rows.flatMap((row) => (row.line !== null && (row.change === "as is" || row.change === "amount") ? [[row.line, row] as const] : [])),
  );
  const byLine = [...read.ledger.pressedIn.keys()].flatMap((line: LineId) => {
    const reading = read.byLine.get(line);
    return reading?.kind === "read" && stands.has(line) ? pulpOf(reading.food.id, { grams: reading.grams.value * scale }) : [];
  });
  const byRow = version.rows.flatMap(({ food, grams, change }) => {
    if (!food || grams <= 0 || change === "as is" || change === "amount" || !isPressedAtHome(food.id)) return [];
    const material = tables.making.milks.find(({ milkLike }) => milkLike === food.id);
    return material ? pulpOf(material.foodId, { milk: grams }) : [];
  });
  return [...byLine, ...byRow];
}

/** Sweets of which something clings to the pan, and the share of it that does (rule of thumb). */
const CLINGS: readonly EvaluationInput["archetype"][] = ["pudding", "flour halwa", "pulse halwa", "vegetable halwa", "sauce"];

/** What clings to the pan, warmed with some of the sweet's own liquid to a drink. */
function clings(ground: LeftoverGround): readonly Found[] {
  const { input, figures, problem, foods } = ground;
  const { constants } = problem.reference;
  const grams = constants.process.value.left.transfer * figures.yield.value;
  if (grams < LEAST_LEFT || !CLINGS.includes(problem.archetype)) return [];
  const liquid = ownOr(pourable(ground), ["water"], ground) ?? foods.get("water");
  return liquid ? drink(partOf(withoutBeside(input), grams / figures.yield.value), { name: "what clings to the pan", grams }, liquid, "pan", ground) : [];
}

/** What is left of a syrup that is served beside, let down to a drink; told of 100 g of it. */
function syrups({ read, ...ground }: LeftoverGround): readonly Found[] {
  const { input, foods } = ground;
  const water = foods.get("water");
  const beside = input.lines.filter(({ apart }) => apart);
  const grams = beside.reduce((sum, line) => sum + line.grams, 0);
  const sugars = beside.reduce((sum, { food, grams: own }) => sum + (own * sumOf(food.per100g, SUGAR_INDICES)) / 100, 0);
  if (!water || read.ledger.apart.length === 0 || grams <= 0 || sugars < SYRUP * grams) return [];
  const lines = beside.map(({ apart: _, ...line }) => ({ ...line, grams: (100 * line.grams) / grams }));
  return drink({ ...input, lines, apart: 0, evaporation: { value: 0, sd: 0 } }, { name: "syrup that is left", grams: 100 }, water, "syrup", {
    read,
    ...ground,
  });
}
/** From this share of sugars on, what is served beside is a syrup. */
const SYRUP = 0.3;

/** Let down with a liquid until it tastes lightly sweet. */
function drink(input: EvaluationInput, from: DerivedBatch["from"], liquid: Food, kind: "pan" | "syrup", { problem }: LeftoverGround): readonly Found[] {
  const { constants } = problem.reference;
  const at = sweetnessAt(problem.serve);
  const withLiquid = (grams: number): EvaluationInput => withMore(input, [lineOf(liquid, grams)]);
  const wanted = kind === "pan" ? LIGHTLY_SWEET : COLD_DRINK;
  const found = dose((grams) => valueOf(withLiquid(grams), at, constants), wanted, 1, MOST_DRINK * from.grams);
  if (!found) return [];
  const grams = weighable(found.amount);
  if (from.grams + grams < LEAST_CUP) return [];
  const name = shortName(liquid);
  return [
    {
      kind,
      title: kind === "pan" ? "A small cup from the pan" : "A drink of the syrup",
      from,
      adds: [{ food: liquid, grams, low: found.low, high: found.high }],
      words:
        kind === "pan"
          ? `Pour ${formatGrams(grams)} g ${name} into the emptied pan, warm it while you scrape with a wooden spoon, and drink it warm or chilled.`
          : `Stir every 100 g of it into ${formatGrams(grams)} g cold ${name}; a squeeze of lemon, where this table takes it.`,
      figures: evaluatePoint(withLiquid(grams), constants),
      by: `sweetness of such a drink: ${wanted} g as sugar in 100 g, a rule of thumb`,
    },
  ];
}
const MOST_DRINK = 14;
/** Less than this is a sip, g. */
const LEAST_CUP = 50;

/** What is in the pot itself. */
const withoutBeside = (input: EvaluationInput): EvaluationInput => ({ ...input, lines: input.lines.filter(({ apart }) => !apart), apart: 0 });
