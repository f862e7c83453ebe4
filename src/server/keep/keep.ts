import { stoveState, type CookPlan, type CookSession } from "../../core/cook";
import type { Snapshot } from "../../core/adaptation";
import { asPlanned, cardView, keepView, type CardView, type CookGround, type KeepQuestion, type KeepView } from "../../core/views";
import * as db from "../../db";
import { getDatabase } from "../data/database";
import { requireDone } from "../cook/done";
import type { PlacedEvent } from "../cook/batches";
import { Refusal } from "../http/problems";
import { dayHere, fastsToday } from "../kitchen/day";
import { getKitchen } from "../kitchen/kitchen";
import { getEaters } from "../kitchen/sources";
import { groundOfVersion } from "../versions/snapshots";
import { getVersion, UNREADABLE } from "../versions/versions";

/** What can be kept, labelled and sent on: a batch that is done, or a version that is not cooked yet. */
export type KeptKind = "batches" | "versions";

export interface Kept {
  readonly kind: KeptKind;
  readonly id: string;
  readonly recipeId: string | null;
  readonly title: string;
  /** The version's name; null for the recipe as handed down. */
  readonly label: string | null;
  readonly question: KeepQuestion;
  /** Of a batch: the day on which it was made; of a version null. */
  readonly madeOn: string | null;
  readonly batch: { readonly plan: CookPlan; readonly ground: CookGround; readonly events: readonly PlacedEvent[]; readonly session: CookSession } | null;
  /** Of a version: as it was kept, and what has moved on since. */
  readonly version: { readonly snapshot: Snapshot; readonly movedOn: readonly string[]; readonly why: string } | null;
}

/** °C in a room where nobody says. */
const USUAL_ROOM = 20;

/** A batch that is done or a kept version, with what is asked of it. 404 where there is none, 409 while it is on the stove or where it cannot be read. */
export async function requireKept(kind: KeptKind, id: string, room = USUAL_ROOM): Promise<Kept> {
  const [kitchen, { document }, today] = await Promise.all([getKitchen(), getEaters(), fastsToday()]);
  const asked = { eaters: document.eaters, today, room };
  if (kind === "batches") {
    const { batch, events, session } = await requireDone(id);
    const { recipe, table, bench } = batch.ground;
    return {
      kind,
      id,
      recipeId: batch.recipeId,
      title: batch.title,
      label: batch.label,
      question: { title: batch.title, recipe, table, bench, stove: stoveState(session), pan: session.setUp?.pan?.name ?? null, ...asked },
      madeOn: (await dayHere())(session.endedAt ?? 0),
      batch: { plan: batch.plan, ground: batch.ground, events, session },
      version: null,
    };
  }
  const version = await getVersion(id);
  if (!version) throw new Refusal(404, "There is no such version. It may have been deleted.");
  const { snapshot, title, label, recipeId, movedOn, why } = version;
  if (!snapshot) throw new Refusal(409, UNREADABLE);
  const ground = groundOfVersion({ id, label, snapshot }, kitchen);
  return {
    kind,
    id,
    recipeId,
    title,
    label,
    question: { title, ...ground, stove: asPlanned(ground, kitchen), pan: null, ...asked },
    madeOn: null,
    batch: null,
    version: { snapshot, movedOn, why },
  };
}

export const viewOfKept = async ({ question }: Kept): Promise<KeepView> => keepView(question, await getKitchen());

/** The card of a sweet for who cooks it next. */
export async function cardOfKept({ kind, id, label, question, batch }: Kept): Promise<CardView> {
  const tastings = kind === "batches" ? await db.tastingsOf(await getDatabase(), id) : [];
  const said = tastings.map(({ eaterId, name, served, answer, tastedAt }) => ({ eater: eaterId, name, served, answer, at: Date.parse(tastedAt) }));
  return cardView(question, { label, session: batch?.session ?? null, tastings: said }, await getKitchen());
}
