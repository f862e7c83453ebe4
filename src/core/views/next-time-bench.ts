import { stored, type StoredBench } from "../adaptation";
import type { Kitchen } from "../kitchen";
import { newRowId } from "../substitution";
import { offWords, type NextTimeChange, type NextTimeQuestion } from "./next-time";
import type { NextTimeWay } from "./next-time-ways";
import { stoveStanding } from "./stove-standing";

/** What is to be laid on the bench: the version as it was cooked, with one way of one change. */
export interface NextTimeDraft {
  readonly change: NextTimeChange;
  /** Null: cooked down further, or less far. */
  readonly way: NextTimeWay | null;
  /** What the batch was of: its name, and its version by id. */
  readonly label: string;
  readonly from: string | null;
}

/** A version as it was cooked, with a change for next time, as a bench; why it changed is said at its row. */
export function nextTimeBench(
  { tastings: _, endedAt: __, ...question }: NextTimeQuestion,
  { change, way, label, from }: NextTimeDraft,
  kitchen: Kitchen,
): StoredBench {
  const { bench, table } = question;
  const stands = stoveStanding(question, kitchen);
  const { version, input, ground } = stands;
  const { attribute, counts, share, cookedTo: weight } = change;
  const said = offWords(counts);
  const added = way !== null && way.row === null ? kitchen.reference.foods.get(way.food) : undefined;
  const rows = version.rows.map((row) =>
    way !== null && row.id === way.row
      ? { ...row, grams: row.grams + way.grams, change: row.change === "as is" ? ("amount" as const) : row.change, why: said }
      : row,
  );
  const all = [
    ...rows,
    ...(added && way ? [{ id: newRowId(rows), line: null, food: added, grams: way.grams, role: added.role, change: "added" as const, why: said }] : []),
  ];
  // All of it less what it comes to is what is driven off.
  const mass = input.lines.reduce((sum, { grams }) => sum + grams, 0);
  const evaporation = way === null && weight !== null ? mass - weight : input.evaporation.value;
  const words =
    attribute === "sweetness" ? `${Math.abs(Math.round(100 * share))} % ${share > 0 ? "sweeter" : "less sweet"}` : share > 0 ? "thicker" : "thinner";
  const state = {
    label: `${label}, ${words}`.slice(0, LONGEST_LABEL),
    version: { rows: all, evaporation },
    byHand: true,
    ...(from === null ? {} : { from }),
    ...(bench?.steps ? { steps: bench.steps } : {}),
    ...(bench?.ways ? { ways: bench.ways } : {}),
  };
  return stored(state, ground.read, table);
}
const LONGEST_LABEL = 100;
