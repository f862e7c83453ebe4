import { randomUUID } from "node:crypto";
import { addDays, dayOf } from "../../core/calendar";
import { baseOf } from "../../core/models/diet";
import { onDay, seat, type DiningTable, type Eater } from "../../core/table";
import { newGathering } from "../../core/plan";
import { splitIn, viewOf } from "../../core/views";
import type { StoredBench } from "../../core/adaptation";
import type { Ending } from "../../core/substitution";
import * as db from "../../db";
import { proposeOnServer } from "../adapt/solver-queue";
import { dayAtPlace } from "../kitchen/calendar";
import { getKitchen } from "../kitchen/kitchen";
import { getEaters, getHousehold, getHouseRules, getPantry } from "../kitchen/sources";
import { getAdaptation, requireRecipe, saveBench, saveRecipe, saveTable } from "../recipes/recipes";
import { saveProposals } from "../recipes/proposals";
import { createGathering } from "../plan/gatherings";
import { solvedGathering } from "../plan/solved";
import { getVersion, keepVersion } from "../versions/versions";
import { dayHere } from "../kitchen/day";
import { putInStock } from "../kitchen/stock";
import { getDatabase, WORK_DUE } from "./database";
import { layCooked, layUnderWay } from "./demo-batches";

const DAYS_TO_SUPPER = 2;
const LONGEST_SOLVE_MS = 30_000;

/** A table of the supper: who sits at it, and what it leaves out besides. */
interface Set {
  readonly recipe: string;
  readonly eaters: readonly string[];
  readonly part?: Partial<DiningTable>;
}

/**
 * Lays work under way on the demo's counter, as a hand would and by the same use cases: three tables of a supper in two days,
 * two versions kept, of which one is on the stove and one was cooked, one half worked on, a pot that is split, a table that no version fits, a line to answer. Once.
 */
export async function layDemoWork(): Promise<void> {
  const database = await getDatabase();
  const due = await database.transaction(async (connection) => {
    const { value, revision } = await db.readSetting(connection, WORK_DUE);
    if (value === true) await db.writeSetting(connection, WORK_DUE, false, revision);
    return value === true;
  });
  if (!due) return;
  const { place } = (await getHousehold()).document;
  const day = place ? addDays(dayOf(Date.now(), place), DAYS_TO_SUPPER) : null;
  const at = day === null ? null : await dayAtPlace(day);
  const falls = at && [...new Set(at.fasts.flatMap(({ rule }) => (rule === null ? [] : [baseOf(rule)])))].sort();
  const { eaters } = (await getEaters()).document;
  const set = ({ recipe, eaters: ids, part = {} }: Set) =>
    setTable(recipe, ids, eaters, (table) => ({ ...onDay(table, day, falls), hour: at?.moonrise ?? null, ...part }));

  // A line that is still to be answered.
  const almond = await requireRecipe("demo-14");
  await saveRecipe("demo-14", {
    document: { ...almond.recipe, lines: [...almond.recipe.lines, { id: "l-asked", text: "a handful of what the neighbour dried", choice: {} }] },
    revision: almond.revision,
  });
  // What no version fits, and what would.
  await set({
    recipe: "demo-10",
    eaters: ["cousin", "niece"],
    part: { rules: ["vegan", "no-cashew", "nut-free", "soy-free", "no-coconut", "gluten-free"], serve: "chilled" },
  });
  // Kept, for the supper.
  await set({ recipe: "demo-6", eaters: ["grandmother", "cousin"] });
  const pudding = await keepFirst("demo-6");
  await set({ recipe: "demo-1", eaters: ["grandmother", "cousin", "uncle"] });
  const halwa = await keepFirst("demo-1");
  await layStock();
  // Both were cooked, and one is on the stove again, by what the first batches taught; of one some is left over.
  if (halwa !== null) {
    await layCooked("demo-1", halwa, { daysAgo: 41, left: 0, got: 0.91, said: { grandmother: [0, 7], cousin: [1, 7], uncle: [1, 6] } });
    await layCooked("demo-1", halwa, { daysAgo: 20, left: 0, got: 1.03, said: { grandmother: [0, 8], cousin: [1, 7] } });
  }
  if (pudding !== null) await layCooked("demo-6", pudding, { daysAgo: 6, left: 0, said: { grandmother: [0, 8], cousin: [0, 7] } });
  if (halwa !== null) await layCooked("demo-1", halwa, { daysAgo: 1, left: 0.3, said: { grandmother: [1, 7], cousin: [1, 7], uncle: [2, 6] } });
  if (pudding !== null) await layUnderWay("demo-6", pudding);
  await layGathering(day, { "demo-1": halwa, "demo-6": pudding });
  // A pot that is split before the cashews.
  await set({ recipe: "demo-9", eaters: ["grandmother", "niece", "child"] });
  await keepPortion("demo-9", "niece");
  // Half worked on: taken up, and one amount changed by hand.
  await set({ recipe: "demo-2", eaters: ["grandmother", "cousin", "uncle"], part: { serve: "chilled" } });
  const [first] = await benchesOf("demo-2");
  if (first) {
    const row = first.rows.find(({ role, change }) => role === "liquid" && change === "replaced");
    const rows = first.rows.map((each) => (each === row ? { ...each, grams: Math.round(each.grams / 50) * 50 + 50 } : each));
    await layBench("demo-2", { ...first, rows, byHand: true, label: `${first.label}, by hand` });
  }
}

const SUPPER = [
  ["demo-1", 8, 0],
  ["demo-6", 8, 0],
  ["demo-7", 14, 6],
  ["demo-14", 4, 0],
] as const;
/** The supper itself: who eats, four sweets, an errand in the afternoon before it. */
async function layGathering(day: string | null, versions: Readonly<Record<string, string | null>>): Promise<void> {
  const { place } = (await getHousehold()).document;
  if (day === null || !place) return;
  const sweets = await Promise.all(
    SUPPER.map(async ([recipe, servings, takeHome]) => {
      const [{ recipe: of }, version] = [await requireRecipe(recipe), versions[recipe] ?? null];
      const label = version === null ? null : ((await getVersion(version))?.label ?? null);
      return { id: recipe, recipe, version, title: of.title, label, servings, takeHome, before: 0 };
    }),
  );
  await createGathering({
    id: "demo-supper",
    document: {
      ...newGathering({ title: "Moonrise supper", day, hour: "19:40", timeZone: place.timeZone }),
      eaters: ["grandmother", "cousin", "uncle", "niece"],
      guests: [{ id: "neighbours", name: "neighbours from the lane", count: 4, rules: [], isAsked: true }],
      sweets,
      burners: 2,
      away: [{ id: "errand", day, from: "16:30", to: "17:20" }],
    },
  });
  await solvedGathering("demo-supper", AbortSignal.timeout(LONGEST_SOLVE_MS));
}

/** What is at home, as lines of a recipe: when it came, and how long it is good. */
const AT_HOME = [
  ["1.5 kg jaggery", 30, 300],
  ["2 kg fine semolina", 20, 150],
  ["1 kg sugar", 60, null],
  ["800 g ghee", 14, 120],
  ["half a can of coconut milk", 1, 1],
  ["250 g cashews", 40, 90],
  ["600 g date paste", 9, 20],
  ["1 litre oat milk", 12, 4],
] as const;
async function layStock(): Promise<void> {
  const [kitchen, dayOf] = await Promise.all([getKitchen(), dayHere()]);
  const today = dayOf(Date.now());
  for (const [text, daysAgo, daysLeft] of AT_HOME) {
    const read = viewOf("stock line", { text }, kitchen);
    if (read === null || read.grams === null) continue;
    const { foodId, name, grams, place } = read;
    const useBy = daysLeft === null ? null : addDays(today, daysLeft);
    const item = { id: randomUUID(), foodId, name, grams, place, kind: "bought", gotOn: addDays(today, -daysAgo), useBy, note: "" };
    await putInStock(item, new Date(Date.now() - daysAgo * 86_400_000 - 3_600_000));
  }
}

async function setTable(id: string, ids: readonly string[], eaters: readonly Eater[], change: (table: DiningTable) => DiningTable): Promise<void> {
  const { recipe } = await requireRecipe(id);
  const { table } = await getAdaptation(id, recipe);
  const seated = ids.reduce((all, each) => {
    const eater = eaters.find((known) => known.id === each);
    return eater ? seat(all, eater) : all;
  }, table.document);
  await saveTable(id, { document: change(seated), revision: table.revision });
}

const solved = (problem: Parameters<typeof proposeOnServer>[0]): Promise<Ending> => proposeOnServer(problem, AbortSignal.timeout(LONGEST_SOLVE_MS));

/** The versions for a recipe at its table, worked out and kept to be reopened at once. */
async function benchesOf(id: string): Promise<readonly StoredBench[]> {
  const [{ recipe, revision }, kitchen] = [await requireRecipe(id), await getKitchen()];
  const { table } = await getAdaptation(id, recipe);
  const others = await Promise.all([getPantry(), getHouseRules(), getHousehold()]);
  const at = { recipe, table: table.document };
  const ending = await solved(viewOf("bench problem", at, kitchen));
  const { told, kept } = viewOf("bench ending", { ...at, ending, revisions: [revision, table.revision, ...others.map((each) => each.revision)] }, kitchen);
  if (kept) await saveProposals(id, kept);
  return told.kind === "proposals" ? told.proposals.map(({ bench }) => bench) : [];
}

async function layBench(id: string, bench: StoredBench): Promise<void> {
  const { recipe } = await requireRecipe(id);
  await saveBench(id, { document: bench, revision: (await getAdaptation(id, recipe)).bench.revision });
}

async function keepFirst(id: string): Promise<string | null> {
  const [first] = await benchesOf(id);
  if (!first) return null;
  await layBench(id, first);
  return keepVersion(id, first);
}

/** Keeps the portion of one eater of a pot that is split, where it can be. */
async function keepPortion(id: string, eater: string): Promise<void> {
  const [{ recipe }, kitchen] = [await requireRecipe(id), await getKitchen()];
  const {
    views: [view],
  } = await splitIn({ recipe, table: (await getAdaptation(id, recipe)).table.document }, kitchen, solved);
  const portion = view?.portions.find(({ eaters }) => eaters.includes(eater));
  if (view && portion?.bench) await keepVersion(id, portion.bench, false, { eaters: portion.eaters, before: view.before });
}
