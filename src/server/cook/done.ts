import { sessionOf, type CookSession } from "../../core/cook";
import type * as db from "../../db";
import { Refusal } from "../http/problems";
import { getBatch, type PlacedEvent } from "./batches";

/** A batch that is done, and what it came to. */
export interface DoneBatch {
  readonly batch: db.StoredBatch;
  readonly events: readonly PlacedEvent[];
  readonly session: CookSession;
}

/** A batch that is done; 409 while it is on the stove. */
export async function requireDone(id: string): Promise<DoneBatch> {
  const { batch, events } = await getBatch(id);
  const session = sessionOf(
    batch.plan,
    events.map(({ event }) => event),
  );
  if (session.endedAt === null) throw new Refusal(409, "It is still on the stove. It is tasted and put by once it is done.");
  return { batch, events, session };
}
