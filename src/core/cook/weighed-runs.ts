import { applied } from "./apply";
import type { CookEvent } from "./event";
import type { PotWeight } from "./forecast";
import type { CookPlan } from "./plan";
import { newSession, weightsNow, type CookSession } from "./session";
import { standingEvents } from "./transition";

/** Weights of one pot between which nothing changed, with the batch as it was at the last of them. */
export interface WeighedRun {
  readonly session: CookSession;
  readonly weights: readonly PotWeight[];
}

/** All runs of two weights or more of a batch, in their order. */
export function weighedRuns(plan: CookPlan, events: readonly CookEvent[]): readonly WeighedRun[] {
  const runs: WeighedRun[] = [];
  let session = newSession(plan);
  const note = () => {
    const weights = weightsNow(session);
    if (weights.length > 1) runs.push({ session, weights });
  };
  for (const event of standingEvents(events)) {
    const after = applied(session, event);
    // The end takes the pot from the fire, as another step does.
    if (after.weighedBefore !== session.weighedBefore || event.kind === "ended") note();
    session = after;
  }
  if (session.endedAt === null) note();
  return runs;
}
