import type { Connection } from "./database";
import { documentOf, many, maybe, number, text, time, word } from "./rows";

export const PRACTICES = ["stop in time", "what went wrong", "guess the grams", "palate ladder"] as const;
export type Practice = (typeof PRACTICES)[number];

/** What a try came to. */
export interface RunResult {
  /** How far off: steps of body, least noticed differences, or the logarithm of guess by truth; null of a pair of the ladder. */
  readonly miss: number | null;
  /** What was guessed, by id. */
  readonly food?: string;
  /** Of a pair: how much sweeter one was, and whether it was named. */
  readonly step?: number;
  readonly isRight?: boolean;
}
export interface PracticeRun {
  readonly id: string;
  readonly kind: Practice;
  readonly eaterId: string | null;
  readonly seed: number;
  readonly answer: Readonly<Record<string, unknown>>;
  readonly result: RunResult;
  readonly at: string;
}

const RUN = {
  id: text,
  kind: word(PRACTICES),
  eater_id: maybe(text),
  seed: number,
  answer: documentOf<Readonly<Record<string, unknown>>>(),
  result: documentOf<RunResult>(),
  at: time,
};
const COLUMNS = "id, kind, eater_id, seed, answer, result, at";

/** The last tries of a kind, from the first of them to the last; of somebody, or of nobody that is named. */
export async function practiceRuns(db: Connection, kind: Practice, eater: string | null, limit: number): Promise<readonly PracticeRun[]> {
  const rows = await many(
    db,
    RUN,
    `SELECT ${COLUMNS} FROM practice_run WHERE kind = $1 AND eater_id IS NOT DISTINCT FROM $2::text ORDER BY at DESC, id DESC LIMIT $3`,
    [kind, eater, limit],
  );
  return rows.toReversed().map(({ eater_id, ...row }) => ({ ...row, eaterId: eater_id }));
}

/** Keeps a try, once however often it is sent; false where it is there. */
export async function insertRun(db: Connection, { id, kind, eaterId, seed, answer, result, at }: PracticeRun): Promise<boolean> {
  const rows = await db.query(
    `INSERT INTO practice_run (id, kind, eater_id, seed, answer, result, at) VALUES ($1, $2, $3, $4, $5::jsonb, $6::jsonb, $7)
     ON CONFLICT (id) DO NOTHING RETURNING id`,
    [id, kind, eaterId, seed, JSON.stringify(answer), JSON.stringify(result), at],
  );
  return rows.length > 0;
}

/** Forgets all tries of a kind of somebody; how many there were. */
export async function forgetRuns(db: Connection, kind: Practice, eater: string | null): Promise<number> {
  return (await db.query("DELETE FROM practice_run WHERE kind = $1 AND eater_id IS NOT DISTINCT FROM $2::text RETURNING id", [kind, eater])).length;
}
