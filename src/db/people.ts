import type { AboutPeople } from "../core/household";
import type { Connection } from "./database";
import { number, one } from "./rows";

const COUNTS = {
  eaters: number,
  with_rules: number,
  with_notes: number,
  tastings: number,
  by_guests: number,
  answers: number,
  tries: number,
  pictures: number,
  stove_notes: number,
  recipe_notes: number,
};

export async function countAboutPeople(db: Connection): Promise<AboutPeople> {
  const row = await one(
    db,
    COUNTS,
    `SELECT (SELECT count(*) FROM eater)::int AS eaters,
            (SELECT count(*) FROM eater WHERE jsonb_array_length(document -> 'rules') + jsonb_array_length(document -> 'limits') > 0)::int AS with_rules,
            (SELECT count(*) FROM eater WHERE document ->> 'note' <> '')::int AS with_notes,
            (SELECT count(*) FROM tasting)::int AS tastings,
            (SELECT count(*) FROM tasting WHERE is_guest)::int AS by_guests,
            (SELECT count(*) FROM triangle_answer)::int AS answers,
            (SELECT count(*) FROM practice_run)::int AS tries,
            (SELECT count(*) FROM photo)::int AS pictures,
            (SELECT count(*) FROM cook_event WHERE event ->> 'kind' = 'note')::int AS stove_notes,
            (SELECT count(*) FROM recipe WHERE deleted_at IS NULL AND coalesce(document ->> 'notes', '') <> '')::int AS recipe_notes`,
  );
  return {
    eaters: row.eaters,
    withRules: row.with_rules,
    withNotes: row.with_notes,
    tastings: row.tastings,
    byGuests: row.by_guests,
    answers: row.answers,
    tries: row.tries,
    pictures: row.pictures,
    stoveNotes: row.stove_notes,
    recipeNotes: row.recipe_notes,
  };
}
