-- Steps as things of their own; what a version came from, why and for whom; recipes as they were; facts to find them by.

UPDATE recipe SET document = jsonb_set(document, '{steps}', (
  SELECT coalesce(jsonb_agg(jsonb_build_object('id', 's' || n, 'text', step, 'choice', '{}'::jsonb) ORDER BY n), '[]'::jsonb)
  FROM jsonb_array_elements_text(document->'steps') WITH ORDINALITY AS told (step, n)
)) WHERE jsonb_typeof(document->'steps'->0) = 'string';

UPDATE version SET snapshot = jsonb_set(snapshot, '{recipe,steps}', (
  SELECT coalesce(jsonb_agg(jsonb_build_object('id', 's' || n, 'text', step, 'choice', '{}'::jsonb) ORDER BY n), '[]'::jsonb)
  FROM jsonb_array_elements_text(snapshot->'recipe'->'steps') WITH ORDINALITY AS told (step, n)
)) WHERE jsonb_typeof(snapshot->'recipe'->'steps'->0) = 'string';

ALTER TABLE version ADD COLUMN parent_id text REFERENCES version (id) ON DELETE SET NULL;
ALTER TABLE version ADD COLUMN why text NOT NULL DEFAULT '';
ALTER TABLE version ADD COLUMN whom text NOT NULL DEFAULT '';
CREATE INDEX version_parent_id ON version (parent_id);

CREATE TABLE recipe_revision (
  recipe_id text NOT NULL REFERENCES recipe (id) ON DELETE CASCADE,
  revision integer NOT NULL CHECK (revision > 0),
  document jsonb NOT NULL,
  replaced_at timestamptz NOT NULL,
  PRIMARY KEY (recipe_id, revision)
);

-- Derived from the recipe and the pantry, made anew where it is not of this basis; in no backup.
CREATE TABLE recipe_facts (
  recipe_id text PRIMARY KEY REFERENCES recipe (id) ON DELETE CASCADE,
  revision integer NOT NULL,
  basis text NOT NULL,
  kind text NOT NULL,
  food_ids text[] NOT NULL,
  diets text[] NOT NULL,
  tags text[] NOT NULL,
  minutes integer NOT NULL
);
CREATE INDEX recipe_facts_basis ON recipe_facts (basis, revision);
CREATE INDEX recipe_facts_food_ids ON recipe_facts USING gin (food_ids);
CREATE INDEX recipe_facts_diets ON recipe_facts USING gin (diets);
CREATE INDEX recipe_facts_tags ON recipe_facts USING gin (tags);
CREATE INDEX recipe_facts_minutes ON recipe_facts (minutes);
