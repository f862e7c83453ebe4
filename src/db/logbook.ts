import type { LoggedBatch } from "../core/views";
import { readSummary, SUMMARY, type BatchSummary } from "./batches";
import type { Connection } from "./database";
import { documentOf, many, maybe, number, one, text, truth } from "./rows";

/** What is looked for in the logbook: all words, an eater who tasted it or sat at its table, the months it was made in, one sweet. */
export interface LogbookQuery {
  /** Lower case, each of them to be there. */
  readonly words: readonly string[];
  readonly eater: string | null;
  /** 1 to 12; empty: any. */
  readonly months: readonly number[];
  readonly recipe: string | null;
}

/** A batch as the logbook has it. */
export interface LogbookEntry extends BatchSummary {
  /** Null while it is on the stove, or is not looked through yet. */
  readonly logged: LoggedBatch | null;
  readonly tastings: number;
  /** Mean of nine; null where nobody said. */
  readonly liking: number | null;
  /** A picture is kept of it, and which shade was picked from it. */
  readonly hasPhoto: boolean;
  readonly shade: string | null;
}

// What is not looked through yet is found by its name.
const FOUND = `SELECT batch.id, ended_at, begun_at FROM batch LEFT JOIN batch_outcome ON batch_outcome.batch_id = batch.id
  WHERE deleted_at IS NULL
    AND (jsonb_array_length($1::jsonb) = 0
      OR coalesce(words, lower(title || ' ' || coalesce(label, ''))) LIKE ALL (ARRAY(SELECT jsonb_array_elements_text($1::jsonb))))
    AND ($2::text IS NULL OR seats @> ARRAY[$2::text] OR batch.id IN (SELECT batch_id FROM tasting WHERE eater_id = $2))
    AND (jsonb_array_length($3::jsonb) = 0
      OR substr(coalesce(made_on, to_char(begun_at, 'YYYY-MM-DD')), 6, 2) IN (SELECT jsonb_array_elements_text($3::jsonb)))
    AND ($4::text IS NULL OR recipe_id = $4)`;
const parametersOf = ({ words, eater, months, recipe }: LogbookQuery) => [
  JSON.stringify(words.map((each) => `%${each.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`)),
  eater,
  JSON.stringify(months.map((month) => String(month).padStart(2, "0"))),
  recipe,
];

const ENTRY = {
  ...SUMMARY,
  total: number,
  logged: maybe(documentOf<LoggedBatch>()),
  tastings: number,
  liking: maybe(number),
  has_photo: truth,
  shade: maybe(text),
};
const ORDER = "ended_at IS NOT NULL, begun_at DESC, id";

/** Batches that are found, what is on the stove first, then the latest; and how many there are in all. */
export async function findLogged(
  db: Connection,
  query: LogbookQuery,
  limit: number,
  offset: number,
): Promise<{ readonly entries: readonly LogbookEntry[]; readonly total: number }> {
  const parameters = parametersOf(query);
  // What is large is read of those alone that are shown.
  const rows = await many(
    db,
    ENTRY,
    `WITH found AS (${FOUND}), shown AS (SELECT id FROM found ORDER BY ${ORDER} LIMIT $5 OFFSET $6)
     SELECT (SELECT count(*)::int FROM found) AS total, batch.id, recipe_id, version_id, title, label, batch.begun_at, batch.ended_at, (plan->>'grams')::float8 AS planned, got::float8 AS got, logged,
       coalesce(said.tastings, 0)::int AS tastings, said.liking, photo.batch_id IS NOT NULL AS has_photo, shade
     FROM shown JOIN batch ON batch.id = shown.id
       LEFT JOIN batch_outcome ON batch_outcome.batch_id = batch.id
       LEFT JOIN photo ON photo.batch_id = batch.id
       LEFT JOIN LATERAL (SELECT count(*) AS tastings, avg((answer->>'liking')::float8) AS liking FROM tasting WHERE tasting.batch_id = batch.id) AS said ON true
     ORDER BY batch.ended_at IS NOT NULL, batch.begun_at DESC, batch.id`,
    [...parameters, limit, offset],
  );
  // Behind the last page there is no row to say how many there are.
  const total = rows[0]?.total ?? (await one(db, { total: number }, `SELECT count(*)::int AS total FROM (${FOUND}) AS found`, parameters)).total;
  return {
    total,
    entries: rows.map(({ logged, tastings, liking, has_photo, shade, ...row }) => ({
      ...readSummary(row),
      logged,
      tastings,
      liking,
      hasPhoto: has_photo,
      shade,
    })),
  };
}

/** Whether any batch is kept, and how many in all. */
export async function countBatches(db: Connection): Promise<{ readonly batches: number; readonly tastings: number }> {
  return one(
    db,
    { batches: number, tastings: number },
    `SELECT count(*)::int AS batches, (SELECT count(*)::int FROM tasting JOIN batch ON batch.id = batch_id WHERE deleted_at IS NULL) AS tastings
     FROM batch WHERE deleted_at IS NULL`,
    [],
  );
}

/** What can have been cooked: recipes with their versions that are kept, what was changed last first; one of them before all others, where it is named. */
export async function listCookables(
  db: Connection,
  first: string | null,
  limit: number,
): Promise<readonly { readonly recipeId: string; readonly title: string; readonly versions: readonly { readonly id: string; readonly label: string }[] }[]> {
  const rows = await many(
    db,
    { id: text, title: text, versions: documentOf<readonly { readonly id: string; readonly label: string }[]>() },
    `SELECT id, title, coalesce((SELECT jsonb_agg(jsonb_build_object('id', version.id, 'label', label) ORDER BY kept_at DESC)
       FROM version WHERE version.recipe_id = recipe.id AND version.deleted_at IS NULL), '[]'::jsonb) AS versions
     FROM recipe WHERE deleted_at IS NULL ORDER BY (id = $1) IS TRUE DESC, updated_at DESC, id LIMIT $2`,
    [first, limit],
  );
  return rows.map(({ id, title, versions }) => ({ recipeId: id, title, versions }));
}
