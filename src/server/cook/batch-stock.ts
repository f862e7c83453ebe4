import { goneIn, sessionOf, stoveState, type CookEvent, type CookPlan, type CookSession } from "../../core/cook";
import { keepingProblem } from "../../core/keep";
import { openInWays } from "../../core/kitchen";
import { atHandFor } from "../../core/recipe";
import { takeOut, type Needed } from "../../core/stock";
import { byProductsOf, keepingOfBatch } from "../../core/views";
import * as db from "../../db";
import { Refusal } from "../http/problems";
import { dayHere } from "../kitchen/day";
import { getKitchen } from "../kitchen/kitchen";

/** What has to be known of the household and the batch before its stock is written: in a transaction nothing else can be read. */
export interface StockGround {
  readonly isWater: (food: string) => boolean;
  readonly dayOf: (at: number) => string;
  /** Of what was put in, what was taken of the house for it: of a milk that is pressed here what it is pressed from. */
  readonly atHand: (needed: Needed) => Needed;
}
export async function stockGround({ ground: { recipe, bench } }: Pick<db.StoredBatch, "ground">): Promise<StockGround> {
  const [kitchen, dayOf] = await Promise.all([getKitchen(), dayHere()]);
  const { read } = openInWays(recipe, bench?.ways, kitchen);
  const pressed = new Map(read.lines.map(({ food }) => [food.id, food] as const));
  return {
    isWater: (food) => kitchen.reference.foods.get(food)?.family === "water",
    dayOf,
    atHand: (needed) => {
      const food = pressed.get(needed.food);
      if (!food) return needed;
      const at = atHandFor(read, food, needed.grams);
      return at.food.id === needed.food ? needed : { food: at.food.id, name: at.food.name, grams: at.grams };
    },
  };
}

/** What a batch takes off the stock: nothing while it is on the stove, or where the stock is to be left as it is. Water comes from the tap. */
export function takenBy(session: CookSession, { isWater, atHand }: StockGround): readonly Needed[] {
  const byFood = new Map<string, Needed>();
  for (const gone of session.isStockTaken ? goneIn(session) : []) {
    const { food, name, grams } = atHand(gone);
    if (!isWater(food)) byFood.set(food, { food, name: byFood.get(food)?.name ?? name, grams: (byFood.get(food)?.grams ?? 0) + grams });
  }
  return [...byFood.values()];
}

/** Why what is left over cannot be kept so long, or there: by what is in it. 422. */
export async function checkLeftOver({ plan, ground }: db.StoredBatch, before: readonly CookEvent[], events: readonly CookEvent[]): Promise<void> {
  const known = new Set(before.map(({ id }) => id));
  const added = events.filter(({ id }) => !known.has(id));
  if (!added.some(({ kind }) => kind === "left over")) return;
  const session = sessionOf(plan, [...before, ...added]);
  if (session.endedAt === null) return;
  const [kitchen, dayOf] = await Promise.all([getKitchen(), dayHere()]);
  const question = { ...ground, stove: stoveState(session) };
  const sweet = keepingOfBatch(question, kitchen);
  const byProducts = byProductsOf(question, kitchen);
  const madeOn = dayOf(session.endedAt);
  for (const [i, event] of events.entries()) {
    if (event.kind !== "left over" || known.has(event.id)) continue;
    const keeps = event.what === undefined ? sweet : byProducts.find(({ name }) => name === event.what)?.storage;
    const why = keeps ? keepingProblem(keeps, event.place, madeOn, event.useBy) : `Nothing called “${event.what ?? ""}” is left over of its making.`;
    if (why !== null) throw new Refusal(422, why, [{ pointer: `/events/${i}`, detail: why }]);
  }
}

/** The id in stock of what is left over of a batch, by the event that put it by. */
export const leftOverId = (batch: string, event: string): string => `${batch} ${event}`;

/** Brings the stock to what a batch comes to: what went into it is taken off once it is done, and put back where it is not; what is left over of it is there with its last day. */
export async function layStock(
  connection: db.Connection,
  { id, plan, before, after }: { readonly id: string; readonly plan: CookPlan; readonly before: CookSession; readonly after: CookSession },
  ground: StockGround,
): Promise<void> {
  const [was, is] = [takenBy(before, ground), takenBy(after, ground)];
  if (JSON.stringify(was) !== JSON.stringify(is)) {
    await db.deleteMovesOfBatch(connection, id);
    const { endedAt } = after;
    if (endedAt !== null && is.length > 0) {
      const { taken } = takeOut(is, await db.listStock(connection), ground.dayOf(endedAt));
      for (const { item, grams } of taken)
        await db.insertMove(connection, { id: `${id} ${item}`, item, grams: -grams, why: "cooked", at: new Date(endedAt).toISOString() }, { batchId: id });
    }
  }
  if (JSON.stringify(before.leftOver) === JSON.stringify(after.leftOver)) return;
  await db.deleteStockOfBatch(
    connection,
    id,
    after.leftOver.map(({ event }) => leftOverId(id, event)),
  );
  for (const { event, at, grams, place, useBy, what } of after.leftOver) {
    const moment = new Date(at).toISOString();
    const item = {
      id: leftOverId(id, event),
      foodId: null,
      name: what ?? plan.title,
      kind: "left over",
      place,
      gotOn: ground.dayOf(after.endedAt ?? at),
      useBy,
      note: "",
    } as const;
    if (await db.insertStock(connection, item, moment, { batchId: id }))
      await db.insertMove(connection, { id: item.id, item: item.id, grams, why: "put in", at: moment }, { batchId: id });
  }
}
