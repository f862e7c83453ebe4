import { cautionInput, cautionsForEaters, titleWithoutClaims, vesselsUsed } from "../cautions";
import { sessionOf, stoveState, type StoveState } from "../cook";
import { NO_EQUIPMENT } from "../household";
import { ingredientsOf, type LabelContents, type Storage, type SweetContents } from "../keep";
import type { Kitchen } from "../kitchen";
import { pulpsLeft } from "../leftovers";
import { labelPanel, nutritionProfile } from "../nutrition";
import { withOwnWords } from "../adaptation";
import { standingOf, tableVerdict } from "../substitution";
import { onDay, type Eater } from "../table";
import { cookPlan } from "./cook-plan";
import { coolingByVessel, type VesselCooling } from "./keep-cooling";
import { portionsOf, type PortionFor } from "./keep-portions";
import { mayTaste } from "./may-taste";
import { methodView } from "./method-view";
import { keepingAsItStands } from "./stove-keeping";
import { stoveStanding, type CookGround, type StoveQuestion, type StoveStanding } from "./stove-standing";
import { isReadWhole } from "./told-figures";

/** A sweet that is to be kept: a batch, or a kept version that is not cooked yet. */
export interface KeepQuestion extends StoveQuestion {
  readonly title: string;
  readonly eaters: readonly Eater[];
  /** The pan that it was cooked in, by name; null where nobody said: the usual one. */
  readonly pan: string | null;
  /** The day and the fasts that fall on it: who may eat of it is asked of that day. */
  readonly today: { readonly day: string; readonly falls: readonly string[] | null };
  /** °C in the room where it cools. */
  readonly room: number;
}

/** What is left over of its making beside it. */
export interface ByProduct {
  readonly id: string;
  readonly name: string;
  /** Wet, g. */
  readonly grams: number;
  readonly uses: readonly string[];
  readonly storage: Pick<Storage, "times" | "thaw" | "unknown" | "thawed">;
  readonly allergens: readonly string[];
}

export interface KeepView {
  readonly label: LabelContents;
  readonly cooling: readonly VesselCooling[];
  readonly portions: readonly PortionFor[];
  readonly byProducts: readonly ByProduct[];
  /** The rule book of the household's labels, by id. */
  readonly book: string;
}

/** A sweet as it is planned, before anybody has cooked it: nothing is weighed. */
export const asPlanned = (ground: CookGround, kitchen: Kitchen): StoveState =>
  stoveState(sessionOf(cookPlan(ground.recipe, ground.table, methodView(ground, kitchen)), []));

/** How long a sweet keeps, its label, who gets which box, how it cools and what is left over of its making. */
export function keepView(question: KeepQuestion, kitchen: Kitchen): KeepView {
  const { recipe, table, bench, stove, eaters, pan, today, room } = question;
  const { constants, foods } = kitchen.reference;
  const stands = stoveStanding({ recipe, table, bench, stove }, kitchen);
  const { ground, figures, isBound } = stands;
  const served = onDay(table, today.day, today.falls);
  const may = mayTaste({ recipe, table: served, bench, stove, eaters, pan }, kitchen);
  return {
    label: labelContents(question, stands, may, kitchen),
    cooling: coolingByVessel(figures, table.servings, kitchen.household.equipment?.pans ?? [], room),
    portions: portionsOf({
      table: served,
      figures,
      usual: ground.before.figures,
      may: mayTaste({ recipe, table: served, bench, stove, eaters: atTable(question), pan }, kitchen),
      rules: kitchen.rules,
      sugar: foods.get("sugar"),
      isBound,
      constants,
    }),
    byProducts: leftOfMaking(stands, table, kitchen),
    book: kitchen.books.find(({ id }) => id === kitchen.household.labelBook)?.id ?? kitchen.books[0]?.id ?? "",
  };
}

/** Who sits at its table, as they are now; who eats here no more, as they were. */
const atTable = ({ table, eaters }: KeepQuestion): readonly Eater[] =>
  (table.seats ?? []).map(
    (at) =>
      eaters.find(({ id }) => id === at.eater) ?? {
        id: at.eater,
        name: at.name,
        rules: at.rules,
        limits: at.limits,
        note: "",
        ...(at.traces ? { traces: at.traces } : {}),
      },
  );

function labelContents({ title, table, bench, stove, pan }: KeepQuestion, stands: StoveStanding, may: LabelContents["whom"], kitchen: Kitchen): LabelContents {
  const { ground, version, input, figures, unknown } = stands;
  const { read, problem } = ground;
  const judged = withOwnWords(problem, read, version, bench?.steps, kitchen.reading.find);
  const verdict = tableVerdict(standingOf(judged, version, figures), judged, { ...table, seats: [] });
  const contents = contentsOf(stands, judged, pan, kitchen);
  const { ingredients, allergens } = ingredientsOf(contents, kitchen.reading.find);
  const isWhole = unknown.length === 0 && isReadWhole(read);
  const why = isWhole ? null : "Not told: not all that is in it is known.";
  const isEmpty = !(figures.yield.value > 0);
  return {
    title: titleWithoutClaims(title),
    grams: stove.got !== null || isWhole ? figures.yield.value : null,
    isWeighed: stove.got !== null,
    servings: table.servings,
    ingredients,
    allergens,
    unread: contents.unread,
    whom: may.map(({ name, may: is, why: reasons }) => ({ name, may: is, why: reasons })),
    breaches: verdict.breaches,
    // What an unread line asks is told by the line itself.
    questions: verdict.questions.filter((question) => !contents.unread.some((line) => question.includes(line))),
    serve: table.serve,
    storage: keepingAsItStands(stands, kitchen),
    nutrition: why === null && !isEmpty ? panelsOf(input, kitchen) : [],
    whyNoNutrition: isEmpty ? "Not told: nothing in it has a weight." : why,
    cautions: cautionsForEaters(
      cautionInput(
        read,
        input.lines.map(({ food, grams }) => ({ food, grams })),
        table.servings,
        [...read.ledger.pressedIn.keys()],
      ),
      kitchen.cautions,
    ),
  };
}

function panelsOf(input: StoveStanding["input"], { books, retention, reference }: Kitchen): LabelContents["nutrition"] {
  const profile = nutritionProfile(input, reference.constants, retention);
  return books.map((book) => labelPanel(profile, book));
}

/** All that is, and may be, in it: what stands in the version, what lines and steps name beside, what no table knows, and what the vessels are used for. */
function contentsOf(
  { ground, version, input, unknown }: StoveStanding,
  judged: StoveStanding["ground"]["problem"],
  pan: string | null,
  kitchen: Kitchen,
): SweetContents {
  const { read } = ground;
  const rowOf = new Map(version.rows.flatMap((row) => (row.line === null ? [] : [[row.line, row] as const])));
  const { pans, ...equipment } = kitchen.household.equipment ?? NO_EQUIPMENT;
  const inUse = { ...equipment, pans: [...pans.filter(({ name }) => name === pan), ...pans.filter(({ name }) => name !== pan)] };
  const open = judged.judged.filter(({ line }) => !rowOf.has(line));
  const there = new Set(input.lines.map(({ food }) => food.id));
  const stays = judged.judged.filter(({ line }) => {
    const row = rowOf.get(line);
    return row === undefined || (row.food !== null && (row.change === "as is" || row.change === "amount"));
  });
  return {
    lines: input.lines,
    driven: input.evaporation.value,
    unmeasured: open.flatMap(({ line, food }) => (food && read.unresolved.includes(line) ? [food] : [])),
    unread: [...open.flatMap(({ food, text }) => (food ? [] : [text])), ...unknown],
    named: [
      ...stays.flatMap(({ beside }) => [
        ...(beside?.foods ?? []).map((food) => ({ food, words: food.name, isSure: false })),
        ...(beside?.words ?? []).map((words) => ({ food: null, words, isSure: false })),
      ]),
      ...judged.unlisted.map(({ food, words, made }) => ({ food, words, isSure: !made })),
      // What goes in and leaves again: a nut that was pressed, a tea that was strained.
      ...[...rowOf.values()].flatMap(({ food, grams }) => (food && grams > 0 && !there.has(food.id) ? [{ food, words: food.name, isSure: true }] : [])),
    ],
    shared: vesselsUsed(read, inUse),
  };
}

/** What is left over of the making of a batch beside it. */
export const byProductsOf = (question: StoveQuestion, kitchen: Kitchen): readonly ByProduct[] =>
  leftOfMaking(stoveStanding(question, kitchen), question.table, kitchen);

/** What is left in the cloth of what was pressed for it. */
function leftOfMaking({ ground, version }: StoveStanding, table: StoveQuestion["table"], kitchen: Kitchen): readonly ByProduct[] {
  const { read } = ground;
  const { keeping } = kitchen.reference.constants;
  const { room, fridge, freezer } = keeping.value.byProducts.pulp;
  return pulpsLeft({
    read,
    version,
    scale: table.servings / read.recipe.servings,
    foods: kitchen.reference.foods,
    tables: kitchen.pantryTables,
    isPressedAtHome: (food) => kitchen.handling.foods.get(food)?.prepare?.operations.includes("press") === true,
  }).map(({ pulp, grams, uses }) => ({
    id: pulp.id,
    name: pulp.name,
    grams: Math.round(grams),
    uses: pulp.family === "pulse" ? [] : uses,
    allergens: pulp.allergens,
    storage: {
      times: [
        { place: "room" as const, days: room, hours: 2, by: "kind" as const },
        { place: "fridge" as const, days: fridge, hours: null, by: "kind" as const },
        { place: "freezer" as const, days: freezer, hours: null, by: "kind" as const },
      ],
      thaw: "Thaw it overnight in the fridge, and cook it that day.",
      unknown: null,
      thawed: 1,
    },
  }));
}
