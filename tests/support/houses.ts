import { forecast, sessionOf, stoveState, transition, type CookHappening, type CookSession, type Forecast, type Holds } from "../../src/core/cook";
import { potWorld, type PotWorld } from "../../src/core/devices";
import { NOTHING_LEARNED, type Learned } from "../../src/core/food";
import { USUAL_SOURCES } from "../../src/core/kitchen";
import { learn, type Outcome } from "../../src/core/learning";
import { batchOutcomes, cookPlan, methodView, stoveView } from "../../src/core/views";
import { stoveStanding } from "../../src/core/views/stove-standing";
import { kitchenOf, REFERENCE } from "../../src/data";
import { read, tableOf } from "./kitchen";

/** Puddings that boil down, of three starches, with how much more each thickens cold, and a ladoo. */
const SWEETS = [
  [
    "Rice kheer\nServes 6\n\n1 litre milk\n80 g rice\n90 g sugar\n\n1. Simmer the rice in the milk in an open pan for 40 minutes, stirring now and then.\n2. Stir in the sugar and simmer for 3 minutes.\n3. Chill.",
    1.45,
  ],
  [
    "Semolina pudding\nServes 5\n\n900 ml milk\n60 g semolina\n80 g sugar\n\n1. Simmer the milk with the semolina and the sugar in an open pan for 25 minutes, stirring.\n2. Chill.",
    1.5,
  ],
  [
    "Sago pudding\nServes 5\n\n900 ml oat milk\n85 g sago pearls\n80 g sugar\n\n1. Simmer the milk with the sago in an open pan for 25 minutes, stirring now and then.\n2. Stir in the sugar.\n3. Chill.",
    1.15,
  ],
] as const;
const LADOO =
  "Besan ladoo\nMakes 16\n\n250 g besan\n120 g ghee\n130 g icing sugar\n\n1. Roast the besan in the ghee for 15 minutes.\n2. Cool, mix in the icing sugar, and shape into balls.";

const MINUTE = 60_000;
const WAVES = [12.9898, 78.233, 37.719, 4.581];
/** From 0 to 1, the same for the same numbers. */
function chance(...of: readonly number[]): number {
  const x = Math.sin(of.reduce((sum, each, i) => sum + each * (WAVES[i % WAVES.length] ?? 1), 0.5)) * 43_758.5453;
  return x - Math.floor(x);
}
/** About normal, sd 1: twelve even ones. */
const normal = (...of: readonly number[]): number => Array.from({ length: 12 }, (_, i) => chance(...of, i + 1)).reduce((sum, each) => sum + each, -6);

interface Ready {
  readonly plan: ReturnType<typeof cookPlan>;
  readonly ground: { readonly recipe: ReturnType<typeof read>["recipe"]; readonly table: ReturnType<typeof tableOf>; readonly bench: null };
}
const tables = kitchenOf(USUAL_SOURCES);
const known = new Map<string, Ready>();
function ready(text: string): Ready {
  const { recipe } = read(text);
  const ground = { recipe, table: tableOf({ servings: recipe.servings, serve: "chilled" }), bench: null };
  const made = known.get(text) ?? { ground, plan: cookPlan(recipe, ground.table, methodView(ground, tables)) };
  known.set(text, made);
  return made;
}

/** A house, with what nobody in it knows: how its stove boils, how much its starches thicken, what its flour takes up. */
export interface House {
  readonly seed: number;
  readonly text: string;
  readonly sets: number;
  readonly pan: { readonly name: string; readonly diameter: number; readonly grams: number };
  readonly burner: { readonly name: string; readonly kind: "gas"; readonly power: number };
  /** What it calls a simmer, as against what the table of rates does. */
  readonly simmers: number;
  readonly thickens: { readonly hot: number; readonly chilled: number };
  readonly takesUp: number;
}
export function houseOf(seed: number): House {
  const diameter = Math.round(18 + 10 * chance(seed, 1));
  const [text, sets] = SWEETS[seed % SWEETS.length] ?? SWEETS[0];
  const power = 1.6 + 1.4 * chance(seed, 2);
  return {
    seed,
    text,
    sets,
    pan: { name: "the pan", diameter, grams: 900 },
    burner: { name: "the flame", kind: "gas", power },
    simmers: Math.exp(0.38 * normal(seed, 3)),
    thickens: { hot: Math.exp(0.22 * normal(seed, 4)), chilled: Math.exp(0.22 * normal(seed, 5)) },
    takesUp: Math.exp(0.2 * normal(seed, 6)),
  };
}

/** What an amount comes to as against what it was told to be. */
interface Held {
  readonly told: number;
  readonly low: number;
  readonly high: number;
  readonly real: number;
}
export interface HouseBatch {
  readonly outcomes: readonly Outcome[];
  /** Minutes to the stop weight, told before anything was weighed; what all of it weighs if it is stopped by them; body, cold. */
  readonly minutes: Held;
  readonly grams: Held;
  readonly body: Held;
  readonly binding: Held;
}

/**
 * How thick it is by a law that is none of ours: what thickens as against the water that is left, to a power, times what the house's
 * starch is like; sugar takes less water than our serum has it; milk solids add.
 */
function thickness(
  holds: { readonly water: number; readonly sugar: number; readonly starch: number; readonly other: number },
  by: number,
  sets: number,
): number {
  const dense = (100 * (0.66 * holds.starch * sets + 0.13 * holds.other)) / (holds.water + 0.45 * holds.sugar);
  return 10 * (1 - Math.exp(-0.0876 * by * dense ** 1.08));
}
const ANCHORS = REFERENCE.constants.bodyAnchors.map(([step]) => step);
/** The word that is said of a body: the nearest, by somebody who is not sure. */
const said = (body: number, off: number): number => ANCHORS.reduce((best, step) => (Math.abs(step - body - off) < Math.abs(best - body - off) ? step : best));

/** The flame at which about as much steam goes as is wanted, g a minute, or as its burner can. */
function flameFor(pot: PotWorld, wanted: number): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < 8; i++) {
    const flame = (low + high) / 2;
    const tried = pot.set({ flame }).after(60);
    if (tried.grams - tried.after(60).grams < wanted) low = flame;
    else high = flame;
  }
  return high;
}

const LOOKED = 5;
/** A pot as it boils down, every third of a minute: the flame is set by how it looks, and set again where it goes off the boil or boils up. */
function boilingDown(start: PotWorld, wanted: number, until: number): readonly PotWorld[] {
  let flame = flameFor(start.after(150), wanted);
  let pot = start.after(150).set({ flame }).after(60);
  const path = [pot];
  for (let third = 1; third < 1200 && (pot.grams > until || third < 30); third++) {
    pot = pot.after(20);
    path.push(pot);
    const before = path.at(-4);
    if (third % (3 * LOOKED) !== 0 || !before) continue;
    const steam = before.grams - pot.grams;
    if (steam < 0.55 * wanted || steam > 1.6 * wanted) {
      flame = flameFor(pot, wanted);
      pot = pot.set({ flame });
    }
  }
  return path;
}

/** A batch of a house by what it has learned: what is told of it before, and what comes of it. */
export function batchIn(house: House, n: number, learned: Learned): HouseBatch {
  const kitchen = learned === NOTHING_LEARNED ? tables : kitchenOf({ ...USUAL_SOURCES, learned });
  const { plan, ground } = ready(house.text);
  const { seed, pan, burner } = house;
  let at = n * 7 * 24 * 60 * MINUTE;
  let count = 0;
  const after = (session: CookSession, minutes: number, ...happenings: readonly CookHappening[]) => {
    at += minutes * MINUTE;
    return happenings.reduce((now, each) => transition(now, { ...each, id: `${n}.${count++}`, at })[0], session);
  };
  let session = after(sessionOf(plan, []), 0, { kind: "set up", setUp: { pan, burner, tasting: true } }, { kind: "started" });
  const boils = plan.steps.reduce((most, step) => (step.driven > most.driven ? step : most));
  while (session.now !== null && session.now !== boils.id) session = after(session, 1, { kind: "done", step: session.now });
  const begun = stoveView({ ...ground, stove: stoveState(session) }, kitchen);
  const { cookDown, holds } = begun;
  if (!cookDown) throw new Error(`${plan.title} is not cooked down.`);
  const inPot = holds.water + holds.sugar + holds.starch + holds.fat + holds.other;
  const contents = { ...holds, water: holds.water - (inPot - cookDown.start) };
  // A flame is set by hand: never twice the same.
  const pot = potWorld({ contents, diameter: pan.diameter, power: burner.power, celsius: 92, seed: 1000 * seed + n, house: seed }).set({
    isStirred: chance(seed, 8) > 0.3,
    lid: 0,
  });
  const wanted = ((2 * Math.PI * pan.diameter ** 2) / 400) * house.simmers * Math.exp(0.12 * normal(seed, n, 7));
  const stop = cookDown.stop.value;
  const path = boilingDown(pot, wanted, stop);
  const potAt = (minutes: number) => path[Math.min(path.length - 1, Math.round(3 * minutes))] ?? pot;
  const question = {
    prior: cookDown.prior,
    weights: [],
    start: { at: 0, grams: cookDown.start, sd: 0.03 * cookDown.start },
    solids: cookDown.solids,
    target: stop,
  };
  const told = forecast({ ...question, now: 0 });
  const byClock = told.minutes?.value ?? 0;
  const later: Forecast = forecast({ ...question, now: byClock * MINUTE });

  const scale = (pot: PotWorld) => Math.round(pot.grams + pan.grams + 2 * (chance(seed, n, count) - 0.5));
  session = after(session, 0, { kind: "weighed", grams: scale(potAt(0)), pan: pan.grams });
  session = after(session, 8, { kind: "weighed", grams: scale(potAt(8)), pan: pan.grams });
  const stopped = path.findIndex(({ grams }) => grams <= stop);
  const minutes = (stopped < 0 ? path.length - 1 : stopped) / 3;
  const real = potAt(minutes);
  // Who stops by a weight weighs it then.
  session = after(session, Math.max(0, minutes - 8), { kind: "weighed", grams: scale(real), pan: pan.grams });
  while (session.now !== null) session = after(session, 1, { kind: "done", step: session.now });
  const all = plan.lines.reduce((sum, { grams }) => sum + grams, 0);
  const driven = inPot - real.grams;
  session = after(session, 1, { kind: "ended", grams: Math.round(all - driven) });
  const ended = stoveStanding({ ...ground, stove: stoveState(session) }, kitchen);
  const last = stoveView({ ...ground, stove: stoveState(session) }, kitchen).holds;
  const left = { ...last, water: last.water - driven };
  const bodies = { hot: thickness(left, house.thickens.hot, 1), chilled: thickness(left, house.thickens.chilled, house.sets) };
  for (const when of ["hot", "chilled"] as const)
    session = after(session, 60, { kind: "turned out", when, body: said(bodies[when], 0.35 * normal(seed, n, when === "hot" ? 9 : 10)), off: "" });

  const ladoo = ladooIn(house, n, kitchen, at);
  const { value, low, high } = told.minutes ?? { value: 0, low: 0, high: 0 };
  return {
    outcomes: [...batchOutcomes({ id: `${seed}.${n}`, plan, ...ground, events: session.events, tastings: [] }, tables), ...ladoo.outcomes],
    minutes: { told: value, low, high, real: minutes },
    grams: {
      told: stop,
      low: later.grams.low,
      high: later.grams.high,
      real: byClock <= path.length / 3 ? potAt(byClock).grams : real.after(60 * (byClock - minutes)).grams,
    },
    body: { told: ended.figures["body.chilled"].value, low: ended.figures["body.chilled"].low, high: ended.figures["body.chilled"].high, real: bodies.chilled },
    binding: ladoo.binding,
  };
}

/** A ladoo of the same house: with a little more or less ghee each time, and told by how it holds. */
function ladooIn({ seed, takesUp }: House, n: number, kitchen: typeof tables, at: number): { readonly outcomes: readonly Outcome[]; readonly binding: Held } {
  const { plan, ground } = ready(LADOO);
  const ghee = plan.lines.find(({ food }) => food === "ghee");
  const more: CookHappening[] = ghee ? [{ kind: "amount set", line: ghee.id, grams: Math.round(ghee.grams * (0.85 + 0.4 * chance(seed, n, 11))) }] : [];
  const happenings: CookHappening[] = [{ kind: "started" }, ...more, { kind: "ended", grams: null }];
  let session = happenings.reduce((now, each, i) => transition(now, { ...each, id: `${i}`, at: at + i })[0], sessionOf(plan, []));
  const meant = stoveStanding({ ...ground, stove: stoveState(session) }, tables).figures.binding.value;
  const real = (meant / takesUp) * Math.exp(0.06 * normal(seed, n, 12));
  const holds: Holds = real < 0.85 ? "crumbles" : real < 1.15 ? "binds" : real < 1.25 ? "rich, but holds" : "greasy";
  const { value, low, high } = stoveStanding({ ...ground, stove: stoveState(session) }, kitchen).figures.binding;
  session = transition(session, { kind: "turned out", when: "chilled", body: null, off: "", holds, id: "said", at: at + 9 })[0];
  return {
    outcomes: batchOutcomes({ id: `${seed}.${n}.l`, plan, ...ground, events: session.events, tastings: [] }, tables),
    binding: { told: value, low, high, real },
  };
}

export const MEASURES = ["minutes", "grams", "body", "binding"] as const;
export interface Judged {
  /** Mean of how far off, as a share of what it is; of bodies in steps. */
  readonly off: number;
  /** Of the 80 % intervals: how many hold the truth, and their mean half width, as `off`. */
  readonly inside: number;
  readonly width: number;
}

/** So many houses after so many batches each: how far off what is told of the next is. */
export function housesAfter(houses: number, batches: readonly number[]): ReadonlyMap<number, Readonly<Record<(typeof MEASURES)[number], Judged>>> {
  const held = new Map(
    batches.map((count) => [count, Object.fromEntries(MEASURES.map((each) => [each, [] as Held[]])) as Record<(typeof MEASURES)[number], Held[]>]),
  );
  for (let seed = 1; seed <= houses; seed++) {
    const house = houseOf(seed);
    const outcomes: Outcome[] = [];
    for (let n = 0; n <= Math.max(...batches); n++) {
      const batch = batchIn(house, n, n === 0 ? NOTHING_LEARNED : learn(outcomes));
      for (const each of MEASURES) held.get(n)?.[each].push(batch[each]);
      outcomes.push(...batch.outcomes);
    }
  }
  return new Map(
    [...held].map(([count, all]) => [
      count,
      Object.fromEntries(
        MEASURES.map((each) => {
          const list = all[each];
          const by = ({ real }: Held) => (each === "body" ? 1 : Math.max(1e-9, real));
          const mean = (of: (one: Held) => number) => list.reduce((sum, one) => sum + of(one), 0) / list.length;
          return [
            each,
            {
              off: mean((one) => Math.abs(one.told - one.real) / by(one)),
              inside: mean(({ low, high, real }) => (real >= low && real <= high ? 1 : 0)),
              width: mean((one) => (one.high - one.low) / 2 / by(one)),
            },
          ];
        }),
      ) as Record<(typeof MEASURES)[number], Judged>,
    ]),
  );
}
