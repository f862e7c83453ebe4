-- What is cooked: a batch with its plan as it was when it began, and what happened at the stove, event by event. Events are only added.

CREATE TABLE batch (
  id text PRIMARY KEY,
  -- The recipe and version that it was cooked from; gone where they are.
  recipe_id text REFERENCES recipe (id) ON DELETE SET NULL,
  version_id text REFERENCES version (id) ON DELETE SET NULL,
  title text NOT NULL CHECK (title <> ''),
  -- The version's name; null for the recipe as handed down.
  label text,
  plan jsonb NOT NULL,
  -- The recipe, the table and what lay on the bench when it began: by them its figures are computed.
  ground jsonb NOT NULL,
  begun_at timestamptz NOT NULL,
  -- Null while it is on the stove.
  ended_at timestamptz,
  -- What came of it, g; null where it was not weighed.
  got numeric CHECK (got > 0),
  deleted_at timestamptz
);
CREATE INDEX batch_by_time ON batch (begun_at DESC, id);
CREATE INDEX batch_by_recipe ON batch (recipe_id);
CREATE INDEX batch_by_version ON batch (version_id);

CREATE TABLE cook_event (
  batch_id text NOT NULL REFERENCES batch (id) ON DELETE CASCADE,
  -- From 1, without a gap, in the order in which they were taken in.
  place integer NOT NULL CHECK (place > 0),
  -- Made where it happened: what is sent twice is kept once.
  id text NOT NULL,
  event jsonb NOT NULL,
  PRIMARY KEY (batch_id, place),
  UNIQUE (batch_id, id)
);
