import { groundOf, withOwnWords } from "../adaptation";
import { TABLE_RATE_SD, type StoveState } from "../cook";
import { bodyHolds, evaluate, evaluatePoint, propertyOf, valueOf, type EvaluationInput, type Figures, type PropertyId } from "../evaluate";
import { INDEX, sumOf, type Food, type Role, type ServingTemperature } from "../food";
import type { Kitchen } from "../kitchen";
import { bodyWords } from "../models/texture";
import type { Figure } from "../numeric";
import { burnerCap, evaporationRate } from "../process";
import { kitchenMeasure, type BalancedLine } from "../recipe";
import { dose, waterIn, withMore } from "../rescue";
import { partedPortions, partedWords, standingOf, tableVerdict, versionInput, type TableVerdict, type Version } from "../substitution";
import { whoseRules } from "../table";
import { fraction } from "../units";
import { groundOfBench, laidBench, type BenchQuestion } from "./bench-ground";
import { stoveVersion } from "./stove-version";

/** From what a batch was begun: recipe, table and what lay on the bench then; null for the recipe as handed down. */
export type CookGround = Pick<BenchQuestion, "recipe" | "table" | "bench">;
/** A batch on the stove, and what its events come to. */
export interface StoveQuestion extends CookGround {
  readonly stove: StoveState;
}

/** A figure of the whole batch as it stands, beside what it was meant to be. */
export interface StoveFigure {
  readonly id: PropertyId;
  readonly name: string;
  readonly unit: string;
  readonly per: string;
  readonly meant: number;
  readonly now: Figure;
  /** Somebody would notice. */
  readonly isNoticed: boolean;
  /** In words; empty where figures say it. */
  readonly words: string;
}

/** How a line goes in bit by bit: the least that is noticed, and by what. */
export interface ToldBlock {
  readonly grams: number;
  readonly measure: string;
  readonly why: string;
}

/** To what the pot is cooked down, so that the sweet comes out as it was meant. */
export interface CookDown {
  /** g in the pot, without the pan; with less and more the difference is just not noticed. */
  readonly stop: Figure;
  /** Set by hand, not worked out. */
  readonly isSet: boolean;
  /** What was in it when the step began, g, as far as the masses tell. */
  readonly start: number;
  readonly solids: number;
  /** g a minute, of water alone, by a rule of practice; its logarithm's spread. */
  readonly prior: { readonly rate: number; readonly sd: number };
  /** Why it is less thick than one thinks: how it is when served. */
  readonly words: string;
  /** g per ml, for what is told by a stick. */
  readonly density: number;
}

/** What is sweet of itself, and how much sweetener it then takes. */
export interface ToldFruit {
  readonly line: string;
  readonly name: string;
  /** Of it, g in 100 g, by the tables. */
  readonly sugars: number;
  /** The sweetener that is still to come, as meant and as the fruit wants it; null where none is, or nobody tasted. */
  readonly sweetener: { readonly line: string; readonly name: string; readonly meant: number; readonly wanted: number } | null;
}

export interface StoveView {
  readonly figures: readonly StoveFigure[];
  readonly verdict: TableVerdict;
  /** What went in that no figure counts. */
  readonly unknown: readonly string[];
  readonly blocks: Readonly<Record<string, ToldBlock>>;
  readonly fruits: readonly ToldFruit[];
  readonly cookDown: CookDown | null;
  /** What serving will do to what is tasted now; null where it is served as it is. */
  readonly served: string | null;
}

/** What is told of a batch, where it has any. */
const TOLD: readonly PropertyId[] = ["serving.freeSugarsUk", "serving.energy", "yield"];
const bodyAtTable = (serve: ServingTemperature): PropertyId => (serve === "chilled" ? "body.chilled" : "body.hot");
const sweetnessAtTable = (serve: ServingTemperature): PropertyId => `sweetness.${serve}`;
/** What of binding is told apart by the squeeze of a ball: a rule of thumb. */
const SQUEEZED = 0.05;
/** g of salt that is tasted in a kilogram: a rule of thumb. */
const SALTED = 0.5;

/** A batch on the stove in figures: as it stands beside as it was meant, what waits by the least that is noticed, and where to stop. */
export function stoveView({ recipe, table, bench, stove }: StoveQuestion, kitchen: Kitchen): StoveView {
  const { constants, foods } = kitchen.reference;
  const ground = groundOfBench({ recipe, table, bench }, kitchen);
  const { read, problem, handedDown } = ground;
  const state = laidBench(bench, ground, table, kitchen)?.state ?? handedDown;
  const plan = state.version;
  const by = groundOf(read, table);
  const meant = evaluatePoint(versionInput(plan, by), constants);
  const { version, unknown } = stoveVersion(plan, stove, foods);
  const isBound = !bodyHolds(meant);
  const pot = potOf(stove);
  const asPlanned = versionInput(version, by);
  const aim: Aim = { body: bodyAtTable(table.serve), wanted: meant[bodyAtTable(table.serve)].value, noticed: constants.noticeable.value.body };
  const isSame = version.rows.every((row, i) => row.grams === plan.rows[i]?.grams && row.food === plan.rows[i].food);
  const driven = drivenBy(asPlanned, isBound || isSame ? null : aim, plan.evaporation, constants);
  const off = stove.stopAt !== null && stove.isCookedDown ? pot - stove.stopAt + stove.drivenLater : driven;
  const input = { ...asPlanned, evaporation: { ...asPlanned.evaporation, value: off } };
  const { figures } = evaluate(input, constants);
  const own = "steps" in state ? state.steps : undefined;
  const judged = withOwnWords(problem, read, version, own, kitchen.reading.find);
  const standing = standingOf(judged, version, figures);
  const rowOf = new Map(version.rows.map((row) => [row.id, row] as const));
  const blocks = Object.fromEntries(
    stove.lines.flatMap(({ id, all }): [string, ToldBlock][] => {
      const row = rowOf.get(id);
      const planned = plan.rows.find((each) => each.id === id);
      if (!row?.food || !planned) return [];
      const line: BalancedLine = { food: row.food, grams: 1, sd: 0, role: row.role };
      const found = blockOf(line, { input, figures, isBound, serve: table.serve, most: Math.max(2 * planned.grams, 30, all) }, constants);
      return found ? [[id, { ...found, measure: kitchenMeasure(row.food, found.grams, read.measures)?.text ?? "" }]] : [];
    }),
  );
  return {
    figures: [sweetnessAtTable(table.serve), ...(isBound ? (["binding"] as const) : ([aim.body] as const)), ...TOLD].flatMap((id): StoveFigure[] => {
      const { name, unit, per, noticed } = propertyOf(id);
      const [then, now] = [meant[id].value, figures[id]];
      if (id === "binding" && !(then > 0)) return [];
      const least = id === "binding" ? SQUEEZED : (noticed?.(then, constants.noticeable.value) ?? 0.05 * Math.max(then, 1e-9));
      const words = id === aim.body ? bodyWords(now.value, constants) : "";
      return [{ id, name, unit, per, meant: then, now, isNoticed: Math.abs(now.value - then) > least, words }];
    }),
    verdict: withUnknown(tableVerdict(standing, judged, table, partedWords(partedPortions(read, standing, problem.rules), whoseRules(table))), unknown),
    unknown,
    blocks,
    fruits: fruitsOf(
      stove,
      version,
      {
        inputOf: (rows) => versionInput({ ...version, rows }, by),
        drivenOf: (of) => (isBound ? off : drivenBy(of, aim, off, constants)),
        wanted: meant[sweetnessAtTable(table.serve)].value,
        driven: off,
        sweetness: sweetnessAtTable(table.serve),
      },
      constants,
    ),
    cookDown:
      stove.isCookedDown && pot > 0
        ? cookDownOf(stove, { version, grams: pot, input, figures, isBound, aim, planned: plan.evaporation, serve: table.serve }, constants)
        : null,
    served: servedWords(figures, table.serve, isBound, constants),
  };
}

const potOf = ({ pot, others }: StoveState): number => [...pot, ...others].reduce((sum, { grams }) => sum + grams, 0);

interface Aim {
  readonly body: PropertyId;
  readonly wanted: number;
  readonly noticed: number;
}
type Constants = Kitchen["reference"]["constants"];

/** What has to be driven off so that the body comes out as wanted, g; as by plan where no body is told of it, or none brings it there. */
function drivenBy(input: EvaluationInput, aim: Aim | null, byPlan: number, constants: Constants): number {
  if (aim === null) return byPlan;
  const bodyAt = (driven: number) => valueOf({ ...input, evaporation: { ...input.evaporation, value: driven } }, aim.body, constants);
  const all = waterIn({ ...input, evaporation: { value: 0, sd: 0 } });
  let [low, high] = [Math.min(0, byPlan), 0.95 * all];
  if (bodyAt(low) > aim.wanted || bodyAt(high) < aim.wanted) return byPlan;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (bodyAt(middle) < aim.wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

interface BlockGround {
  readonly input: EvaluationInput;
  readonly figures: Figures;
  readonly isBound: boolean;
  readonly serve: ServingTemperature;
  readonly most: number;
}

/** By what a line that waits is judged; null where it is not put in bit by bit. */
function judgedBy(role: Role, { isBound, serve }: Pick<BlockGround, "isBound" | "serve">): { readonly id: PropertyId; readonly why: string } | null {
  switch (role) {
    case "sweetener":
      return { id: sweetnessAtTable(serve), why: "one step sweeter that is just noticed" };
    case "liquid":
      return isBound ? { id: "binding", why: "until a pressed ball holds" } : { id: bodyAtTable(serve), why: "one step thinner that is just noticed" };
    case "richness":
      return isBound ? { id: "binding", why: "until a pressed ball holds" } : { id: "richness", why: "one step richer that is just noticed" };
    case "body":
    case "thickener":
    case "binder":
    case "setting":
      return isBound ? { id: "binding", why: "until a pressed ball holds" } : { id: bodyAtTable(serve), why: "one step thicker that is just noticed" };
    default:
      return null;
  }
}

/** The least of a line that is noticed, g: what goes in at one go; a rule of thumb for salt. Null where nothing tells it. */
function blockOf(line: BalancedLine, ground: BlockGround, constants: Constants): Omit<ToldBlock, "measure"> | null {
  if (line.food.family === "salt") return { grams: toWeigh((SALTED * ground.figures.yield.value) / 1000), why: "a pinch that is just tasted, a rule of thumb" };
  const by = judgedBy(line.role, ground);
  if (!by) return null;
  const at = (grams: number) => valueOf(withMore(ground.input, [{ ...line, grams }]), by.id, constants);
  const now = at(0);
  const noticed = by.id === "binding" ? SQUEEZED : (propertyOf(by.id).noticed?.(now, constants.noticeable.value) ?? 0);
  const sign = Math.sign(at(ground.most / 20) - now);
  if (sign === 0 || noticed <= 0) return null;
  const found = dose(at, now + sign * noticed, noticed / 2, ground.most);
  // More than all of it: half of what is meant goes in at one go.
  return { grams: toWeigh(Math.min(found?.amount ?? ground.most / 4, ground.most / 4)), why: found ? by.why : "a quarter of it" };
}
/** As a kitchen scale shows it. */
const toWeigh = (grams: number): number => (grams < 3 ? Math.max(0.1, Math.round(10 * grams) / 10) : Math.round(grams));

/** What has less sugar of its own than this is not tasted for it, g in 100 g; and what it brings has to count, g. */
const SWEET_OF_ITSELF = 4;
const COUNTS = 3;
const OWN_SWEETNESS: readonly Food["family"][] = ["fruit", "vegetable", "root"];
const OWN_SUGARS = [INDEX.fructose, INDEX.glucose, INDEX.sucrose];

interface FruitGround {
  readonly inputOf: (rows: Version["rows"]) => EvaluationInput;
  /** What such a pot then has to drive off, g. */
  readonly drivenOf: (input: EvaluationInput) => number;
  readonly wanted: number;
  readonly driven: number;
  readonly sweetness: PropertyId;
}

/** Fruit and roots, whose own sweetness nobody knows before it is tasted, and what the sweetener then is. */
function fruitsOf(stove: StoveState, { rows }: Version, ground: FruitGround, constants: Constants): readonly ToldFruit[] {
  const inNow = new Map(stove.lines.map((line) => [line.id, line.inNow] as const));
  const sweetener = rows
    .filter(({ id, role, food, grams }) => role === "sweetener" && food && grams > 0 && (inNow.get(id) ?? 0) < 0.5 * grams)
    .sort((a, b) => b.grams - a.grams)[0];
  return rows.flatMap(({ id, food, grams }): ToldFruit[] => {
    if (!food || !OWN_SWEETNESS.includes(food.family) || grams <= 0) return [];
    const sugars = sumOf(food.per100g, OWN_SUGARS);
    const tasted = stove.fruits.some(({ line }) => line === id);
    if (!tasted && (sugars < SWEET_OF_ITSELF || (sugars * grams) / 100 < COUNTS)) return [];
    const told = { line: id, name: food.name, sugars };
    if (!tasted || !sweetener?.food) return [{ ...told, sweetener: null }];
    const { id: line, grams: meant } = sweetener;
    const wanted = sweetenerFor((amount) => ground.inputOf(rows.map((row) => (row.id === line ? { ...row, grams: amount } : row))), meant, ground, constants);
    return [{ ...told, sweetener: { line, name: sweetener.food.name, meant, wanted: Math.round(wanted) } }];
  });
}

/** So much of a sweetener makes it as sweet as it was meant, cooked down to the body that was meant. */
function sweetenerFor(inputAt: (amount: number) => EvaluationInput, meant: number, ground: FruitGround, constants: Constants): number {
  const { drivenOf, wanted, sweetness } = ground;
  let [amount, driven] = [meant, ground.driven];
  // Other sugar is another body, which wants another amount driven off: it settles in a few rounds.
  for (let round = 0; round < 4; round++) {
    let [low, high] = [0, 3 * meant];
    for (let i = 0; i < 30; i++) {
      const middle = (low + high) / 2;
      if (valueOf({ ...inputAt(middle), evaporation: { value: driven, sd: 0 } }, sweetness, constants) < wanted) low = middle;
      else high = middle;
    }
    amount = (low + high) / 2;
    driven = drivenOf(inputAt(amount));
  }
  return amount;
}

/** What holds something that no table knows is not known to fit. */
function withUnknown(verdict: TableVerdict, unknown: readonly string[]): TableVerdict {
  if (unknown.length === 0) return verdict;
  const question = `Nobody knows what ${unknown.join(", ")} holds.`;
  return { ...verdict, kind: verdict.kind === "fits" ? "cannot tell" : verdict.kind, questions: [...verdict.questions, question] };
}

/** g per ml: rules of thumb. */
const DENSITY = { solids: 1.55, fat: 0.92, water: 0.97 } as const;

interface PotGround {
  readonly version: Version;
  readonly grams: number;
  readonly input: EvaluationInput;
  readonly figures: Figures;
  readonly isBound: boolean;
  readonly aim: Aim;
  /** Driven off by plan, all in all, g. */
  readonly planned: number;
  readonly serve: ServingTemperature;
}

/** To what the pot at hand is cooked down, and how fast that goes. */
function cookDownOf(stove: StoveState, { version, grams, input, figures, isBound, aim, planned, serve }: PotGround, constants: Constants): CookDown {
  const { drivenLater, drivenHere, heat, diameter, burner, stopAt } = stove;
  const stopOf = (driven: number) => Math.max(1, grams - (driven - drivenLater));
  const { value: driven } = input.evaporation;
  const value = stopAt ?? stopOf(driven);
  const near = isBound
    ? []
    : [-1, 1].map((sign) => stopOf(drivenBy(input, { ...aim, wanted: figures[aim.body].value + (sign * aim.noticed) / 2 }, driven, constants)));
  const held = heldIn(stove, version);
  // What was driven off before; what was soaked or cooked under a lid took up water.
  const start = grams - (planned - drivenLater - drivenHere);
  const cap = burner ? burnerCap(burner) : constants.process.value.cap;
  const { body } = aim;
  return {
    stop: { value, low: Math.min(value, ...near), high: Math.max(value, ...near) },
    isSet: stopAt !== null,
    start,
    solids: held.solids,
    prior: {
      rate: evaporationRate(heat ?? "simmer", diameter ?? constants.process.value.pan, fraction(0), constants.evaporationFlux.value, cap),
      sd: TABLE_RATE_SD,
    },
    words: isBound ? "" : `${serve === "chilled" ? "cold" : serve}, it will be ${bodyWords(figures[body].value, constants)}`,
    density: start / (held.solids / DENSITY.solids + held.fat / DENSITY.fat + Math.max(1, start - held.solids - held.fat) / DENSITY.water),
  };
}

/** Solids without fat, and fat, of what is in the pot, g. */
function heldIn({ pot, others }: StoveState, { rows }: Version): { readonly solids: number; readonly fat: number } {
  const added = rows.filter(({ line, change }) => line === null && change === "added");
  const grams = (row: Version["rows"][number]) => pot.find(({ line }) => line === row.id)?.grams ?? (others.length > 0 && added.includes(row) ? row.grams : 0);
  return rows.reduce(
    (sum, row) => {
      const { per100g = [] } = row.food ?? {};
      const fat = (grams(row) * (per100g[INDEX.fat] ?? 0)) / 100;
      const water = (grams(row) * (per100g[INDEX.water] ?? 0)) / 100;
      return { solids: sum.solids + Math.max(0, grams(row) - water - fat), fat: sum.fat + fat };
    },
    { solids: 0, fat: 0 },
  );
}

/** What it tastes and looks like at the table, beside how it is in the pot. */
function servedWords(figures: Figures, serve: ServingTemperature, isBound: boolean, constants: Constants): string | null {
  if (serve === "hot") return null;
  const [hot, cold] = [figures["sweetness.hot"].value, figures[sweetnessAtTable(serve)].value];
  const share = hot > 0 ? Math.round((100 * (cold - hot)) / hot) : 0;
  const where = serve === "chilled" ? "Chilled" : serve === "room" ? "At room temperature" : "Warm";
  const sweet =
    Math.abs(share) < 2 ? `${where} it is as sweet as it tastes hot` : `${where} it tastes ${Math.abs(share)} % ${share < 0 ? "less" : "more"} sweet than hot`;
  if (isBound || serve !== "chilled") return `${sweet}.`;
  const [then, now] = [figures["body.chilled"].value, figures["body.hot"].value];
  return then - now < constants.noticeable.value.body / 2
    ? `${sweet}.`
    : `${sweet}, and is thicker: body ${now.toFixed(1)} now, ${then.toFixed(1)} of 10 cold (${bodyWords(then, constants)}). Stop earlier than it looks.`;
}
