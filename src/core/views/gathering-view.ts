import { isReadWhole } from "./told-figures";
import { groundOfBench } from "./bench-ground";
import { cookPlan } from "./cook-plan";
import { asPlanned } from "./keep-view";
import { mayTaste, type MayTaste } from "./may-taste";
import { methodView } from "./method-view";
import { keepingAsItStands } from "./stove-keeping";
import { stoveStanding, type CookGround, type StoveStanding } from "./stove-standing";
import { timeIn, timeWords, type Storage } from "../keep";
import type { Kitchen } from "../kitchen";
import { judge } from "../models/diet";
import { STANDS, shoppingList, sweetTasks, type Gathering, type ShoppingList, type ShoppingNeed, type SweetTasks } from "../plan";
import { atHandFor, kitchenMeasure, type ReadRecipe } from "../recipe";
import type { InStock } from "../stock";
import { rulesAt, seat, type DiningTable, type Eater } from "../table";
import { formatNumber } from "../units";
import type { Price } from "../pantry";

/** A sweet of a gathering as it is worked out for it. */
export interface GatheringSweetView {
  readonly id: string;
  /** Steps as tasks; due when all is served, until the gathering says how long before. */
  readonly plan: SweetTasks;
  readonly needs: readonly ShoppingNeed[];
  /** Lines that nobody could read: what they take is not on any list. */
  readonly unread: readonly string[];
  readonly may: readonly MayTaste[];
  readonly ahead: readonly MadeAhead[];
}

/** What of a sweet can be done before its day, how long before, and why no longer. */
export interface MadeAhead {
  readonly what: string;
  readonly until: string;
  readonly why: string;
  readonly isRuleOfThumb: boolean;
}

/** A recipe or version as it is cooked for so many servings. */
export function forServings({ recipe, table, bench }: CookGround, servings: number): CookGround {
  const ratio = servings / table.servings;
  return {
    recipe,
    table: { ...table, servings, batch: "hand" },
    bench: bench && {
      ...bench,
      byHand: true,
      madeFor: { ...bench.madeFor, servings },
      evaporation: bench.evaporation * ratio,
      rows: bench.rows.map((row) => ({ ...row, grams: row.grams * ratio })),
    },
  };
}

const GONE = "somebody who is not named in the household any more";
/** Who comes to a gathering, each with what they leave out: eaters of the household, and of the others one of each kind. */
export function peopleAt({ eaters, guests, day }: Pick<Gathering, "eaters" | "guests" | "day">, known: readonly Eater[]): readonly Eater[] {
  return [
    // Of who is not at the household any more nothing is known: asked about, never passed over.
    ...eaters.map((id): Eater => known.find((eater) => eater.id === id) ?? { id, name: GONE, rules: [], limits: [], note: "" }),
    ...guests.map(({ id, name, count, rules, isAsked }): Eater => ({
      id,
      name: count > 1 ? `${name} (${count})` : name,
      rules,
      limits: [],
      note: "",
      ...(isAsked ? { asked: day } : {}),
    })),
  ];
}

interface SweetQuestion {
  readonly id: string;
  readonly ground: CookGround;
  readonly servings: number;
  readonly people: readonly Eater[];
}

/** A sweet for a gathering: its tasks, what is bought for it, who may eat of it, what can be done before. */
export function gatheringSweetView({ id, ground: given, servings, people }: SweetQuestion, kitchen: Kitchen): GatheringSweetView {
  const ground = forServings(given, servings);
  const { recipe, table } = ground;
  const view = methodView(ground, kitchen);
  const plan = cookPlan(recipe, table, view);
  const stove = asPlanned(ground, kitchen);
  const stands = stoveStanding({ ...ground, stove }, kitchen);
  const { read } = groundOfBench(ground, kitchen);
  const storage = keepingAsItStands(stands, kitchen);
  const cold = timeIn(storage, "fridge");
  const room = timeIn(storage, "room");
  // What is dry or bound stands in the room for days, however it is served.
  const serve = (room.days ?? 0) >= DRY_DAYS && table.serve !== "chilled" ? "room" : table.serve;
  const days = serve === "chilled" ? cold.days : serve === "room" ? room.days : null;
  return {
    id,
    plan: sweetTasks(id, { ...plan, serve }, { due: 0, keeps: days === null ? null : Math.max(STANDS.warm, days * 24 * 60) }),
    needs: needsOf(stands, read).map((need) => ({ ...need, sweet: id })),
    unread: isReadWhole(read)
      ? []
      : [
          ...read.unresolved.map((line) => `“${recipe.lines.find((each) => each.id === line)?.text ?? line}”`),
          ...read.unlisted.map(({ words }) => `${words.toLowerCase()}, which a step names and no line`),
        ],
    may: mayTaste({ ...ground, stove, eaters: people, pan: null }, kitchen),
    ahead: madeAhead(plan, storage, serve),
  };
}

/** What has to be bought for a sweet: with its peel, a milk that is pressed here as what it is pressed from, and what goes in and leaves again. */
function needsOf({ input, version }: StoveStanding, read: ReadRecipe): readonly Omit<ShoppingNeed, "sweet">[] {
  const stays = new Set(input.lines.map(({ food }) => food.id));
  const leaves = version.rows.flatMap(({ food, grams }) => (food && grams > 0 && !stays.has(food.id) ? [{ food, grams }] : []));
  return [...input.lines.map(({ food, grams, bought = grams }) => ({ food, grams: bought })), ...leaves].flatMap(({ food, grams }) => {
    const at = atHandFor(read, food, grams);
    return at.food.family === "water" || !(at.grams > 0) ? [] : [{ food: at.food.id, name: at.food.name, family: at.food.family, grams: at.grams }];
  });
}

/** What keeps so many days in the room is dry enough to stand (rule of thumb). */
const DRY_DAYS = 2;
/** What being made before its hour does to a sweet, by how it is served: rules of thumb. */
const BEFORE_HAND: Readonly<Record<DiningTable["serve"], string>> = {
  hot: "it sets as it cools: warm it gently with a spoonful of its own liquid",
  warm: "it sets as it cools: warm it gently before it is served",
  room: "it dries at its edges from the second day: keep it covered",
  chilled: "it weeps from the second day: pour off what stands on it",
};
const WAITS_LONG = 30;
/** What parts keep, by what is done to them last: rules of thumb. */
const PARTS: Readonly<Record<string, readonly [until: string, why: string]>> = {
  roast: ["a week before", "roasted and dry, cold and closed it stays crisp"],
  fry: ["2 days before", "fried in fat, cold and closed; then it tastes stale"],
  caramelise: ["a week before", "sugar alone, closed: it draws damp"],
  dissolve: ["a week before", "a syrup, strained, closed and cold"],
  press: ["the day before", "a milk or juice, in the fridge: it sours and parts"],
  grind: ["the day before", "cut or ground it browns and dries: covered, in the fridge"],
  soak: ["the day before", "soaked it sprouts and sours: drained, in the fridge"],
};

function madeAhead({ steps }: ReturnType<typeof cookPlan>, storage: Storage, serve: DiningTable["serve"]): readonly MadeAhead[] {
  const whole = (["room", "fridge", "freezer"] as const).flatMap((place): MadeAhead[] => {
    const time = timeIn(storage, place);
    if (time.days === null || time.days < 1 || (place === "room" && serve === "chilled")) return [];
    return [
      {
        what: place === "room" ? "All of it, in the room" : `All of it, in the ${place}`,
        until: time.days === 1 ? "the day before" : `${time.days} days before`,
        why: `${timeWords(storage, place)}, by its ${time.by === "kind" ? `kind: ${storage.kind}` : time.by}; ${place === "freezer" ? storage.thaw : BEFORE_HAND[serve]}`,
        isRuleOfThumb: true,
      },
    ];
  });
  const waits = steps.flatMap(({ text, minutes, attention }): MadeAhead[] =>
    attention === "unattended" && minutes.usual >= WAITS_LONG
      ? [
          {
            what: text,
            until: `${spanWords(minutes.usual)} before what follows`,
            why:
              minutes.longest > minutes.usual ? `at least ${spanWords(minutes.shortest)}, at most about ${spanWords(minutes.longest)}` : "as the recipe has it",
            isRuleOfThumb: false,
          },
        ]
      : [],
  );
  const names = [...new Set(steps.flatMap(({ part }) => part ?? []))];
  const parts = names.flatMap((name): MadeAhead[] => {
    const known = PARTS[steps.findLast(({ part }) => part === name)?.operation ?? ""];
    return known ? [{ what: name, until: known[0], why: known[1], isRuleOfThumb: true }] : [];
  });
  return [...whole, ...parts, ...waits];
}
const spanWords = (minutes: number): string => (minutes < 90 ? `${Math.round(minutes)} minutes` : `${formatNumber(Math.round(minutes / 30) / 2)} hours`);

/** From so many grams on a piece is bought whole: an egg, an apple (rule of thumb). */
const WHOLE_PIECE = 20;
/** The shopping list of a gathering, with what is asked of whoever eats there. */
export interface GatheringShopping extends Omit<ShoppingList, "rows"> {
  readonly rows: readonly (ShoppingList["rows"][number] & { readonly measure: string })[];
}

export function shoppingView(
  {
    needs,
    people,
    stock,
    day,
    prices,
  }: {
    readonly needs: readonly ShoppingNeed[];
    readonly people: readonly Eater[];
    readonly stock: readonly InStock[];
    readonly day: string;
    readonly prices: readonly Price[];
  },
  kitchen: Kitchen,
): GatheringShopping {
  const bare: DiningTable = { rules: [], limits: [], servings: 1, serve: "hot", seats: [] };
  const rules = rulesAt(
    people.reduce((table, eater) => seat(table, eater, 1), bare),
    kitchen.rules,
  );
  const { foods } = kitchen.reference;
  const list = shoppingList(needs, stock, day, {
    soldIn: (id) => {
      const [food, price] = [foods.get(id), prices.find(({ foodId }) => foodId === id)];
      const perGram = food?.pricePerGram ?? null;
      if (!price || perGram === null || !(perGram > 0) || !(price.price > 0)) return null;
      return { grams: price.price / perGram, words: `${formatNumber(price.amount)} ${price.unit}`, price: price.price };
    },
    asks: (id) => {
      const food = foods.get(id);
      if (!food) return [];
      const asked = rules.map((rule) => ({ rule, ...judge(food, rule) })).filter(({ verdict }) => verdict === "ask");
      return [...new Set(asked.map(({ reason }) => reason))];
    },
  });
  return {
    ...list,
    rows: list.rows.map((row) => {
      const food = foods.get(row.food);
      const grams = row.toBuy > 0 ? row.toBuy : row.grams;
      const piece = food?.counted.find(({ unit, grams: one }) => unit === "piece" && one >= WHOLE_PIECE)?.grams;
      const pieces = piece === undefined ? 0 : Math.ceil(grams / piece - 0.05);
      const measure =
        pieces > 0 ? `about ${pieces === 1 ? "1 piece" : `${pieces} pieces`}` : ((food && kitchenMeasure(food, grams, kitchen.household.measures)?.text) ?? "");
      return { ...row, measure };
    }),
  };
}
