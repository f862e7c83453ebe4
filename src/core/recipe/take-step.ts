import { Z80 } from "../numeric";
import { formatGrams } from "../units";
import { cook } from "./cook";
import { DRYING, dryOff, Pot, roast, soak, type PotItem, type PotState } from "./pot";
import { pressed } from "./pressing";
import type { ReadStepWithTakes } from "./read-steps";
import type { LineId, StepId } from "./recipe";
import { treat } from "./treat";
import { hasSteps, potOf, putLine, roleOf, straightIn, type Walk } from "./walk";

export interface LedgerMass {
  readonly name: string;
  readonly grams: number;
}

/** What one step does to the pot that it is done in. */
export interface LedgerEntry {
  /** Place among the read steps; null where a recipe has none. */
  readonly step: number | null;
  /** Id of the component made; null for the sweet itself. */
  readonly component: string | null;
  readonly went: readonly LedgerMass[];
  /** Water driven off, g; below 0 where it is taken up. */
  readonly driven: number;
  /** How that is known; empty where nothing is driven off or taken up. */
  readonly how: string;
  /** What else leaves: peel, pulp, what stays on the tools. */
  readonly away: readonly LedgerMass[];
  readonly after: PotState;
}

/** What stays on a pan or jar that is rinsed into the pot, as a share of what would stay. */
const RINSED = 0.3;

/** Less water than this share of the other pan's boils in none of its own. */
const LEAST_TO_BOIL = 0.05;

/** What one step does: what goes in, what it does to it, what leaves, what the scale says. */
export function takeStep(walk: Walk, reading: ReadStepWithTakes, at: number): LedgerEntry {
  const { component } = reading.step;
  const { process } = walk.constants;
  const table = process.value;
  const main = potOf(walk, component);
  const own = reading.ownPan && main.mass > 0 ? new Pot() : null;
  const pot = own ?? main;
  const before = main.net;
  const does = new Set(reading.operations);
  const went: LedgerMass[] = [];
  const away: LedgerMass[] = [];
  const told: string[] = [];
  const here: PotItem[] = [];
  let joined = 0;

  for (const { of, share } of reading.takes) {
    if (of.kind === "component") {
      const name = walk.structure.components.get(of.id)?.name ?? "";
      const source = walk.pots.get(of.id);
      // Before it is done nothing of it can go in: it does so at the end.
      if (!source?.begun || walk.steps.some(({ step }, other) => other > at && step.component === of.id)) {
        walk.problems.push({ kind: "not yet made", step: at, component: name });
        continue;
      }
      const left = Math.max(0, 1 - (walk.poured.get(of.id) ?? 0));
      countUse(walk, of.id, share, name, at);
      if (source === pot || left <= 0) continue;
      walk.poured.set(of.id, (walk.poured.get(of.id) ?? 0) + Math.min(share, left));
      const { use } = walk.structure.components.get(of.id) ?? { use: { kind: "whole" } as const };
      const came = pot.pour(source, Math.min(share, left) * (use.kind === "part" ? use.share : 1));
      joined += came.net;
      went.push({ name, grams: came.mass });
      continue;
    }
    const line = walk.byLine.get(of.id);
    if (line?.kind !== "read") continue;
    const own = line.line.component;
    const straight = component === undefined && own !== undefined && !hasSteps(walk, own) ? straightIn(walk, own, pot) : { share: 1, pot };
    const waste = does.has("peel") && !/\b(?:peeled|cored|pitted|stoned|deseeded)\b/i.test(line.description) ? (table.waste[line.food.id] ?? 0) : 0;
    const { item, told: cooked } = putLine(walk, straight.pot, line, share * straight.share, waste);
    countUse(walk, of.id, share, line.food.name, at);
    // What is served beside the sweet is named here, and stays beside it.
    if (straight.pot !== pot) continue;
    here.push(item);
    went.push({ name: line.food.name, grams: item.grams / (1 - waste) });
    if (waste > 0) away.push({ name: `peel and core of ${line.food.name.toLowerCase()}`, grams: (item.grams * waste) / (1 - waste) });
    told.push(cooked);
    if (/\bsoaked\b/i.test(line.description)) told.push(soakHere(walk, pot, item));
  }
  const liquid = here.some(({ line, food }) => food.id === "water" || roleOf(walk, line) === "liquid");
  const isBoiledApart = !liquid && reading.open.length + (reading.coveredMinutes > 0 ? 1 : 0) <= 1 && BOILED_APART.test(reading.step.text);
  if (isBoiledApart) for (const item of here) told.push(boilApart(walk, pot, item));
  if (does.has("soak") && !liquid) for (const item of here) told.push(soakHere(walk, pot, item));
  if (does.has("roast")) {
    const roasted = roast(pot, table.roastedMoisture);
    told.push(roasted);
    walk.known ||= roasted !== "";
  }
  treat(reading, pot.items, here, ({ line }) => descriptionOf(walk, line), walk.constants);
  const isPressed = drainWhey(walk, pot, reading, at, away) || (does.has("press") && press(walk, pot, component, at, away));
  // Where it cooks without anything wet of its own, what is in the other pan has come in.
  const isJoined = own !== null && reading.open.length > 0 && own.water < LEAST_TO_BOIL * main.water;
  if (isJoined) main.pour(pot, 1);
  const cooked = cook(
    isJoined ? main : pot,
    isBoiledApart ? { ...reading, open: [], coveredMinutes: 0, end: null } : reading,
    walk.constants,
    walk.pantry.tables.making,
  );
  told.push(cooked.told);
  walk.openMinutes += cooked.minutes;
  walk.known ||= cooked.known;
  if (cooked.tooMuch) walk.problems.push({ kind: "more water than there is", step: at, ...cooked.tooMuch });
  if (cooked.apart) walk.problems.push({ kind: "end and minutes differ", step: at, ...cooked.apart });
  if (cooked.unreached !== null) walk.problems.push({ kind: "end not reached", step: at, why: cooked.unreached });
  for (const operation of DRYING)
    if (does.has(operation)) {
      told.push(dryOff(pot, operation, table.waterLost[operation]));
      walk.known ||= operation !== "chill";
    }
  leftBehind(walk, pot, reading, here, away);
  told.push(weighIn(walk, pot, reading.step.choice.weighed, at));
  pot.begun = true;
  if (own !== null && !isJoined) main.pour(own, 1);
  main.begun = true;
  return {
    step: at,
    component: component !== undefined && walk.structure.components.has(component) ? component : null,
    went,
    driven: isPressed ? pot.net : main.net - before - joined,
    how: told.filter(Boolean).join("; "),
    away: away.filter(({ grams }) => grams > 0.05),
    after: main.state(),
  };
}

const descriptionOf = ({ byLine }: Walk, id: LineId): string => {
  const line = byLine.get(id);
  return line && "description" in line ? line.description : "";
};

function countUse(walk: Walk, key: string, share: number, name: string, step: number): void {
  const before = walk.used.get(key) ?? 0;
  walk.used.set(key, before + share);
  if (before + share > 1.005 && before <= 1.005) walk.problems.push({ kind: "used twice", step, name, share: before + share });
}

function soakHere(walk: Walk, pot: Pot, item: PotItem): string {
  const { gained, told } = soak(pot, item, walk.constants.process.value.uptake);
  walk.takenUp += gained;
  return told;
}

/** Boiled in water that is poured off again. */
const BOILED_APART = /\b(?:boil|cook|simmer)\b[^.]*\b(?:plenty of|lots of|a lot of|a large pot of|ample) (?:boiling |salted |hot )?water\b[^]*\bdrain/i;
/** What is boiled until done in plenty of water and drained keeps what it took up. */
function boilApart(walk: Walk, pot: Pot, { food, grams, soaked }: PotItem): string {
  const gained = food.cooked ? (food.cooked.gain - 1) * grams - soaked : 0;
  if (gained <= 0) return "";
  pot.drive(-gained, (gained * BOILED_SHARE) / Z80);
  walk.takenUp += gained;
  return `${food.name.toLowerCase()} takes up ${formatGrams(gained)} g of water as it boils`;
}
/** Spread of what is taken up, as a share: a rule of thumb. */
const BOILED_SHARE = 0.2;

const HANGS = /\b(?:hang|hung|strain(?:ed)?|drain(?:ed)?)\b[^.]{0,60}\b(?:cloth|muslin|overnight|hours?|whey)\b/i;
const CURDLES = /\b(?:curdles?|curdled|curds? (?:form|separate)|splits?|whey)\b/i;
/** What is left of yogurt that hangs, and of milk that is curdled and pressed, g per g (rules of thumb); the rest is whey. */
const HUNG_SHARE = 0.4;
const CURD_SHARE = 0.185;
const WHEY_SPREAD = 0.12;

/** Yogurt that is hung, or milk that is curdled and strained: the whey goes, with its water, lactose and minerals. True where the curd took its place. */
function drainWhey(walk: Walk, pot: Pot, { step: { text }, operations }: ReadStepWithTakes, step: number, away: LedgerMass[]): boolean {
  const [item, ...others] = [...pot.items].sort((a, b) => b.grams - a.grams);
  if (!item || item.food.family !== "dairy") return false;
  const isYogurt = item.food.thickening.cultured === true;
  const isHung = isYogurt && HANGS.test(text);
  const isCurdled =
    !isYogurt &&
    item.food.pours &&
    CURDLES.test(text) &&
    (operations.includes("press") || HANGS.test(text)) &&
    others.every(({ food }) => food.nature?.acidity === "sour" || food.id === "water");
  const food = isHung ? walk.pantry.foods.get("hung-curd") : isCurdled ? walk.pantry.foods.get("paneer") : undefined;
  if (!food || item.food.id === food.id) return false;
  const grams = pot.items.reduce((sum, each) => sum + (each.line === item.line ? each.grams : 0), 0) * (isHung ? HUNG_SHARE : CURD_SHARE);
  const curd = { food, grams, sd: (grams * WHEY_SPREAD) / Z80 };
  const whey = pot.items.reduce((sum, each) => sum + (isHung && each.line !== item.line ? 0 : each.grams), 0) - grams;
  away.push({ name: "whey", grams: Math.max(0, whey) });
  // What else the step puts in comes after: acid and water go with the whey of curdled milk.
  const stays = isHung ? others.filter((each) => each.line !== item.line) : [];
  pot.becomes(item.line, food, grams, curd.sd);
  for (const each of stays) pot.put(each.line, each.food, each.grams, 0).treated = each.treated;
  walk.pressings.set(item.line, { line: item.line, milk: curd, until: step, component: undefined });
  return true;
}

/** Presses what is in the pot; true where a milk took its place. */
function press(walk: Walk, pot: Pot, component: string | undefined, step: number, away: LedgerMass[]): boolean {
  const soaked = pot.items.reduce((sum, item) => sum + item.soaked, 0);
  const lines = new Map<LineId, PotItem>();
  for (const item of pot.items) lines.set(item.line, { ...item, grams: item.grams + (lines.get(item.line)?.grams ?? 0) });
  const inPot = [...lines.values()];
  const result = pressed(inPot, soaked > 0, walk.pantry);
  if (result === null) return false;
  const why = typeof result === "string" ? result : (result.milks.map(({ line }) => notWhole(walk, inPot, line)).find((each) => each !== null) ?? null);
  if (typeof result === "string" || why !== null) {
    walk.problems.push({ kind: "cannot be pressed", step, why: why ?? "" });
    return false;
  }
  const before = pot.mass;
  // What was taken up in soaking is in the milk's own water now.
  walk.takenUp -= soaked;
  pot.empty();
  for (const { line, milk } of result.milks) {
    pot.put(line, milk.food, milk.grams, milk.sd);
    walk.pressings.set(line, { line, milk, until: step, component });
  }
  for (const { line, food, grams } of result.others) pot.put(line, food, grams, 0);
  away.push({ name: "pulp, and what stays on the cloth", grams: Math.max(0, before - pot.mass) });
  return true;
}

/** What keeps a pot from becoming a milk: some of the nut is meant for elsewhere. */
function notWhole({ byLine }: Walk, inPot: readonly PotItem[], id: LineId): string | null {
  const line = byLine.get(id);
  const item = inPot.find((each) => each.line === id);
  if (line?.kind === "read" && item && item.grams < 0.98 * line.grams.value)
    return `Not all of the ${line.food.name.toLowerCase()} is in the pot when it is pressed. Give what is pressed a line of its own.`;
  return null;
}

/** The steps that soak, grind and press a line: of a component all up to the pressing, else those that take it or press it. */
export function pressingSteps({ steps }: Walk, line: LineId, until: number, component: string | undefined): StepId[] {
  return steps.flatMap(({ step, takes }, at) => {
    const mine = component !== undefined ? step.component === component : at === until || takes.some(({ of }) => of.kind === "line" && of.id === line);
    return mine && at <= until ? [step.id] : [];
  });
}

/** What stays on sieve, pan, hands and tools. */
function leftBehind({ constants, byLine }: Walk, pot: Pot, { operations, step }: ReadStepWithTakes, here: readonly PotItem[], away: LedgerMass[]): void {
  const { filtered, caramelised, left } = constants.process.value;
  const lose = (grams: number, name: string) => {
    const lost = Math.min(grams, pot.mass);
    pot.lose(lost);
    away.push({ name, grams: lost });
  };
  const sugars = here.reduce((sum, { line, grams }) => sum + (roleOf({ byLine }, line) === "sweetener" ? grams : 0), 0);
  if (operations.includes("dissolve") && /\b(?:strain|filter|sieve)\b/i.test(step.text)) lose(filtered * sugars, "grit, and what the sieve holds");
  if (operations.includes("caramelise")) lose(caramelised * sugars, "gone as the sugar browns");
  if (operations.includes("shape")) lose(left.shape * pot.mass, "left on hands and tools");
  else if (operations.includes("transfer")) lose((/\brins/i.test(step.text) ? RINSED : 1) * left.transfer * pot.mass, "left on pan and spoon");
}

function weighIn(walk: Walk, pot: Pot, weighed: number | undefined, step: number): string {
  if (weighed === undefined) return "";
  walk.known = true;
  const dry = pot.mass - pot.water;
  if (weighed > pot.mass * 1.005 + 0.5) walk.problems.push({ kind: "weighs more", step, weighed, there: pot.mass });
  else if (weighed < dry - 0.5) walk.problems.push({ kind: "weighs less than dry", step, weighed, dry });
  else {
    pot.weigh(weighed);
    return "weighed";
  }
  return "";
}
