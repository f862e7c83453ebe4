import { dueOf, inOrderOfUse, NOTHING_LEFT, STOCK_LIMITS, type StockItem } from "../../core/stock";
import { formatGrams } from "../../core/units";
import { stoveState } from "../../core/cook";
import { movedUntil } from "../../core/keep";
import { byProductsOf, keepingOfBatch } from "../../core/views";
import * as db from "../../db";
import { leftOverId } from "../cook/batch-stock";
import { requireDone } from "../cook/done";
import { getDatabase } from "../data/database";
import { checked, checkedRevised } from "../http/checked";
import { Refusal, type ProblemError } from "../http/problems";
import { saveRevised } from "../http/revised";
import { validatePutIn, validateStockMove, validateStockSaid } from "../http/schemas/stock";
import { dayHere } from "./day";
import { getKitchen } from "./kitchen";

/** Of what came and went, so much is shown. */
const LATEST = 40;

/** What there is, what is to be used first before others; what came and went last; and which day it is. */
export async function getStock(now = Date.now()): Promise<{
  readonly items: readonly db.StoredStock[];
  readonly moves: readonly db.StoredMove[];
  readonly today: string;
}> {
  const database = await getDatabase();
  const [items, moves, dayOf] = await Promise.all([db.listStock(database), db.latestMoves(database, LATEST), dayHere()]);
  return { items: inOrderOfUse(items.filter(({ grams }) => grams >= NOTHING_LEFT)), moves, today: dayOf(now) };
}

/** What is to be used soon, or is past its last day, the first first. */
export async function stockDue(now: number): Promise<{ readonly items: readonly db.StoredStock[]; readonly today: string }> {
  const { items, today } = await getStock(now);
  return { items: items.filter((item) => ["past", "soon"].includes(dueOf(item, today))), today };
}

/** Puts something in stock, once however often it is sent. */
export async function putInStock(body: unknown, now = new Date()): Promise<db.StoredStock> {
  const { grams, ...item } = checked(validatePutIn, body);
  await checkItem(item, "", (await dayHere())(Date.now()));
  const at = now.toISOString();
  return (await getDatabase()).transaction(async (connection) => {
    if ((await db.listStock(connection)).length >= STOCK_LIMITS.items)
      throw new Refusal(422, `${STOCK_LIMITS.items} things are as many as a stock holds.`, [{ pointer: "", detail: "Take out what was used up." }]);
    if (await db.insertStock(connection, item, at)) await db.insertMove(connection, { id: item.id, item: item.id, grams, why: "put in", at });
    return requireStock(connection, item.id);
  });
}

/** Writes what is said of something in stock: 404 where it is gone, 409 where another window said something else since. */
export async function saveStock(id: string, body: unknown, now = new Date()): Promise<number> {
  const sent = checkedRevised(validateStockSaid, body);
  const database = await getDatabase();
  const saidOf = ({ foodId, name, kind, place, gotOn, useBy, note }: StockItem) => ({ foodId, name, kind, place, gotOn, useBy, note });
  const current = async () => {
    const item = await requireStock(database, id);
    return { document: saidOf(item), revision: item.revision };
  };
  const before = await requireStock(database, id);
  const today = (await dayHere())(Date.now());
  const useBy = before.batchId === null ? sent.document.useBy : await lastOfSweet(before, before.batchId, sent.document, today);
  await checkItem({ ...sent.document, useBy }, "/document", today);
  return saveRevised(
    sent,
    "thing in stock",
    ({ document, revision }) => db.updateStock(database, { id, ...document, useBy }, revision, now.toISOString()),
    current,
  );
}

/** The last day of a sweet that is put by: it may be eaten sooner, not later; elsewhere it is kept as long as it keeps there. 422. */
async function lastOfSweet(
  before: db.StoredStock,
  batchId: string,
  { place, useBy }: Pick<StockItem, "place" | "useBy">,
  today: string,
): Promise<string | null> {
  if (place === before.place) {
    if (before.useBy !== null && (useBy === null || useBy > before.useBy))
      throw new Refusal(422, `“${before.name}” cannot be kept longer than it was put by.`, [
        { pointer: "/document/useBy", detail: `Give ${before.useBy} or a day before.` },
      ]);
    return useBy;
  }
  // What it is and when it was made say the events of its batch, not what it is called and dated by now.
  const { batch, session } = await requireDone(batchId);
  const [kitchen, dayOf] = await Promise.all([getKitchen(), dayHere()]);
  const question = { ...batch.ground, stove: stoveState(session) };
  const what = session.leftOver.find(({ event }) => leftOverId(batchId, event) === before.id)?.what;
  const storage = what === undefined ? keepingOfBatch(question, kitchen) : byProductsOf(question, kitchen).find(({ name }) => name === what)?.storage;
  if (!storage)
    throw new Refusal(422, `“${before.name}” cannot be kept there.`, [
      { pointer: "/document/place", detail: `How long it keeps is not known any more, as its foods are read otherwise now: leave it where it is.` },
    ]);
  const madeOn = dayOf(session.endedAt ?? 0);
  const until = movedUntil(storage, { from: before.place, to: place, madeOn, useBy: before.useBy }, today);
  if (!until.ok) throw new Refusal(422, `“${before.name}” cannot be kept there. ${until.why}`, [{ pointer: "/document/place", detail: until.why }]);
  if (useBy !== null && useBy > until.value)
    throw new Refusal(422, `“${before.name}” is not kept so long there.`, [{ pointer: "/document/useBy", detail: `Give ${until.value} or a day before.` }]);
  return useBy ?? until.value;
}

/** Takes some of it, or says what it weighs now; what is left, g. */
export async function moveStock(id: string, body: unknown, now = new Date()): Promise<number> {
  const move = checked(validateStockMove, body);
  const at = now.toISOString();
  return (await getDatabase()).transaction(async (connection) => {
    const { name, grams: left } = await requireStock(connection, id);
    if (await db.findMove(connection, move.id)) return left;
    if (move.why !== "weighed" && move.grams > left + NOTHING_LEFT)
      refuseGrams(`There are ${formatGrams(left)} g of ${name} in stock: ${formatGrams(move.grams)} g cannot be taken.`, "Weigh it, where there is more.");
    const change = move.why === "weighed" ? move.grams - left : -Math.min(move.grams, left);
    if (Math.abs(change) >= NOTHING_LEFT) await db.insertMove(connection, { id: move.id, item: id, grams: change, why: move.why, at });
    return left + change;
  });
}

/** Takes back what somebody did to the stock: what was put in is out of it again. 409 where that cannot be, in words. */
export async function undoStockMove(id: string): Promise<void> {
  await (
    await getDatabase()
  ).transaction(async (connection) => {
    const move = await db.findMove(connection, id);
    if (!move) throw new Refusal(404, "There is nothing of the kind to take back. Another window may have done so.");
    if (move.batch !== null) throw new Refusal(409, "It came of a batch: take it back there.");
    const item = await requireStock(connection, move.item);
    if (item.grams - move.grams < -NOTHING_LEFT) throw new Refusal(409, `Of ${item.name} more was taken since than there would be: take that back first.`);
    await db.deleteMove(connection, id);
    if (move.why === "put in") await db.deleteStock(connection, move.item);
  });
}

async function requireStock(connection: Parameters<typeof db.findStock>[0], id: string): Promise<db.StoredStock> {
  const item = await db.findStock(connection, id);
  if (!item) throw new Refusal(404, "That is not in stock any more. Another window may have taken it out.");
  return item;
}

async function checkItem({ foodId, name, gotOn, useBy }: Omit<StockItem, "id">, at: string, today: string): Promise<void> {
  const errors: ProblemError[] = [];
  if (name.trim() === "") errors.push({ pointer: `${at}/name`, detail: "Say what it is." });
  if (foodId !== null && !(await getKitchen()).reference.foods.has(foodId))
    errors.push({ pointer: `${at}/foodId`, detail: "The tables have no such food. Leave it out, and it is kept by its name." });
  if (!isDay(gotOn)) errors.push({ pointer: `${at}/gotOn`, detail: "There is no such day." });
  else if (gotOn > today) errors.push({ pointer: `${at}/gotOn`, detail: `It cannot have come after today, ${today}.` });
  if (useBy !== null && !isDay(useBy)) errors.push({ pointer: `${at}/useBy`, detail: "There is no such day." });
  else if (useBy !== null && useBy < gotOn) errors.push({ pointer: `${at}/useBy`, detail: "Its last day is before the day on which it came." });
  if (errors[0]) throw new Refusal(422, errors[0].detail, errors);
}
const isDay = (day: string): boolean => {
  const time = Date.parse(`${day}T12:00:00Z`);
  return !Number.isNaN(time) && new Date(time).toISOString().startsWith(day);
};
function refuseGrams(title: string, detail: string): never {
  throw new Refusal(422, `${title} ${detail}`, [{ pointer: "/grams", detail }]);
}
