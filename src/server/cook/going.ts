import { sessionOf, stoveState, whereItIs } from "../../core/cook";
import { stoveView } from "../../core/views";
import type { BatchSummary } from "../../db";
import { getKitchen } from "../kitchen/kitchen";
import { getBatch } from "./batches";

const HOUR = 3_600_000;
/** After so long what was cooked is cold, or gone; and by when it has to be at 21 and 5 °C. */
const [COOLED, TO_21, TO_5] = [6 * HOUR, 2 * HOUR, 6 * HOUR];

/** Of so many it is told at the most: more of them were forgotten on the stove. */
const MOST = 12;

/** What goes on of batches that are on the stove, or cool: by batch, each a few words; of others nothing. */
export async function whatGoesOn(
  batches: readonly BatchSummary[],
  clock: (at: number) => string,
  now = Date.now(),
): Promise<ReadonlyMap<string, readonly string[]>> {
  const live = batches.filter(({ endedAt }) => endedAt === null || now - Date.parse(endedAt) < COOLED).slice(0, MOST);
  const told = await Promise.all(
    live.map(async ({ id, endedAt }) => {
      const { batch, events } = await getBatch(id);
      const session = sessionOf(
        batch.plan,
        events.map(({ event }) => event),
      );
      if (endedAt === null) return [id, whereItIs(session, clock, now)] as const;
      const ended = session.endedAt ?? Date.parse(endedAt);
      const coldest = session.temperatures.filter(({ at }) => at >= ended).at(-1)?.celsius ?? Infinity;
      // What is dry does not have to be cooled in hours.
      const cools = coldest > 5 && stoveView({ ...batch.ground, stove: stoveState(session) }, await getKitchen()).cooling.length > 0;
      const to21 = coldest > 21 ? [`to 21 °C by ${clock(ended + TO_21)}`] : [];
      return [id, cools ? [`cooling: ${[...to21, `to 5 °C by ${clock(ended + TO_5)}`].join(", ")}`] : []] as const;
    }),
  );
  return new Map(told);
}
