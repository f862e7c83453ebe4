-- Each thing that is edited by itself in a row of its own, with who wrote it and when; null where nobody said, or from before.

CREATE TABLE eater (
  id text PRIMARY KEY,
  place integer NOT NULL,
  document jsonb NOT NULL,
  written_at timestamptz,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);
CREATE TABLE own_food (
  id text PRIMARY KEY,
  place integer NOT NULL,
  document jsonb NOT NULL,
  written_at timestamptz,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);
CREATE TABLE weighing (
  id text PRIMARY KEY,
  place integer NOT NULL,
  document jsonb NOT NULL,
  written_at timestamptz,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);
CREATE TABLE price (
  id text PRIMARY KEY,
  place integer NOT NULL,
  document jsonb NOT NULL,
  written_at timestamptz,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);
CREATE TABLE pressing (
  id text PRIMARY KEY,
  place integer NOT NULL,
  document jsonb NOT NULL,
  written_at timestamptz,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);
CREATE TABLE food_name (
  id text PRIMARY KEY,
  place integer NOT NULL,
  document jsonb NOT NULL,
  written_at timestamptz,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);
CREATE TABLE own_rule (
  id text PRIMARY KEY,
  place integer NOT NULL,
  document jsonb NOT NULL,
  written_at timestamptz,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);
CREATE TABLE rule_answer (
  id text PRIMARY KEY,
  place integer NOT NULL,
  document jsonb NOT NULL,
  written_at timestamptz,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);

-- What is in the house: how much of which food, since when and until when.
CREATE TABLE stock (
  id text PRIMARY KEY,
  food_id text NOT NULL,
  grams numeric NOT NULL CHECK (grams >= 0),
  got_on date NOT NULL,
  use_by date,
  note text NOT NULL DEFAULT '',
  revision integer NOT NULL DEFAULT 1 CHECK (revision > 0),
  written_at timestamptz,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);
CREATE INDEX stock_use_by ON stock (use_by);

-- How often the lists that are edited together were saved.
CREATE TABLE collection (
  name text PRIMARY KEY,
  revision integer NOT NULL CHECK (revision > 0)
);

ALTER TABLE recipe ADD COLUMN person_id text REFERENCES eater (id) ON DELETE SET NULL;
ALTER TABLE recipe_revision ADD COLUMN person_id text REFERENCES eater (id) ON DELETE SET NULL;
ALTER TABLE adaptation ADD COLUMN person_id text REFERENCES eater (id) ON DELETE SET NULL;
ALTER TABLE bench_state ADD COLUMN person_id text REFERENCES eater (id) ON DELETE SET NULL;
ALTER TABLE version ADD COLUMN person_id text REFERENCES eater (id) ON DELETE SET NULL;
ALTER TABLE setting ADD COLUMN person_id text REFERENCES eater (id) ON DELETE SET NULL;

INSERT INTO eater (id, place, document)
SELECT DISTINCT ON (item->>'id') item->>'id', n, item
FROM setting CROSS JOIN LATERAL jsonb_array_elements(CASE WHEN jsonb_typeof(value->'eaters') = 'array' THEN value->'eaters' ELSE '[]'::jsonb END) WITH ORDINALITY AS told (item, n)
WHERE key = 'eaters' AND item->>'id' IS NOT NULL ORDER BY item->>'id', n DESC;

INSERT INTO own_food (id, place, document)
SELECT DISTINCT ON (item->>'id') item->>'id', n, item
FROM setting CROSS JOIN LATERAL jsonb_array_elements(CASE WHEN jsonb_typeof(value->'foods') = 'array' THEN value->'foods' ELSE '[]'::jsonb END) WITH ORDINALITY AS told (item, n)
WHERE key = 'pantry' AND item->>'id' IS NOT NULL ORDER BY item->>'id', n DESC;

INSERT INTO weighing (id, place, document)
SELECT DISTINCT ON (item->>'id') item->>'id', n, item
FROM setting CROSS JOIN LATERAL jsonb_array_elements(CASE WHEN jsonb_typeof(value->'weighings') = 'array' THEN value->'weighings' ELSE '[]'::jsonb END) WITH ORDINALITY AS told (item, n)
WHERE key = 'pantry' AND item->>'id' IS NOT NULL ORDER BY item->>'id', n DESC;

INSERT INTO price (id, place, document)
SELECT DISTINCT ON (item->>'foodId') item->>'foodId', n, item
FROM setting CROSS JOIN LATERAL jsonb_array_elements(CASE WHEN jsonb_typeof(value->'prices') = 'array' THEN value->'prices' ELSE '[]'::jsonb END) WITH ORDINALITY AS told (item, n)
WHERE key = 'pantry' AND item->>'foodId' IS NOT NULL ORDER BY item->>'foodId', n DESC;

INSERT INTO pressing (id, place, document)
SELECT DISTINCT ON (item->>'id') item->>'id', n, item
FROM setting CROSS JOIN LATERAL jsonb_array_elements(CASE WHEN jsonb_typeof(value->'pressings') = 'array' THEN value->'pressings' ELSE '[]'::jsonb END) WITH ORDINALITY AS told (item, n)
WHERE key = 'pantry' AND item->>'id' IS NOT NULL ORDER BY item->>'id', n DESC;

INSERT INTO food_name (id, place, document)
SELECT DISTINCT ON (item->>'words') item->>'words', n, item
FROM setting CROSS JOIN LATERAL jsonb_array_elements(CASE WHEN jsonb_typeof(value->'names') = 'array' THEN value->'names' ELSE '[]'::jsonb END) WITH ORDINALITY AS told (item, n)
WHERE key = 'pantry' AND item->>'words' IS NOT NULL ORDER BY item->>'words', n DESC;

INSERT INTO own_rule (id, place, document)
SELECT DISTINCT ON (item->>'id') item->>'id', n, item
FROM setting CROSS JOIN LATERAL jsonb_array_elements(CASE WHEN jsonb_typeof(value->'own') = 'array' THEN value->'own' ELSE '[]'::jsonb END) WITH ORDINALITY AS told (item, n)
WHERE key = 'house-rules' AND item->>'id' IS NOT NULL ORDER BY item->>'id', n DESC;

INSERT INTO rule_answer (id, place, document)
SELECT DISTINCT ON (item->>'rule', item->>'food', item->>'question') concat_ws(' ', item->>'rule', item->>'food', item->>'question'), n, item
FROM setting CROSS JOIN LATERAL jsonb_array_elements(CASE WHEN jsonb_typeof(value->'answers') = 'array' THEN value->'answers' ELSE '[]'::jsonb END) WITH ORDINALITY AS told (item, n)
WHERE key = 'house-rules' AND item->>'rule' IS NOT NULL ORDER BY item->>'rule', item->>'food', item->>'question', n DESC;

INSERT INTO collection (name, revision) SELECT key, revision FROM setting WHERE key IN ('pantry', 'eaters', 'house-rules');
DELETE FROM setting WHERE key IN ('pantry', 'eaters', 'house-rules');

-- What recipes are found by is an index; other sweets of the occasion are called that.
ALTER TABLE recipe_facts RENAME TO search_index;
ALTER INDEX recipe_facts_basis RENAME TO search_index_basis;
ALTER INDEX recipe_facts_food_ids RENAME TO search_index_food_ids;
ALTER INDEX recipe_facts_diets RENAME TO search_index_diets;
ALTER INDEX recipe_facts_tags RENAME TO search_index_tags;
ALTER INDEX recipe_facts_minutes RENAME TO search_index_minutes;

UPDATE adaptation SET dining_table = (dining_table - 'besides'::text) || jsonb_build_object('otherSweets', dining_table->'besides')
  WHERE jsonb_typeof(dining_table) = 'object' AND dining_table ? 'besides';
UPDATE version SET snapshot = jsonb_set(snapshot, '{table}', ((snapshot->'table') - 'besides'::text) || jsonb_build_object('otherSweets', (snapshot->'table')->'besides'))
  WHERE jsonb_typeof(snapshot->'table') = 'object' AND snapshot->'table' ? 'besides';

-- What was worked out for a recipe at its table; derived, made anew where it is of another basis, in no backup.
CREATE TABLE proposal_set (
  recipe_id text PRIMARY KEY REFERENCES recipe (id) ON DELETE CASCADE,
  document jsonb NOT NULL
)
