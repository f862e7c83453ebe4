-- What somebody said of a batch as they tasted it: of each attribute whether it was just right, how much they liked it, a word.

CREATE TABLE tasting (
  id text PRIMARY KEY,
  batch_id text NOT NULL REFERENCES batch (id) ON DELETE CASCADE,
  -- Null of a guest, and of who is not at the household any more.
  eater_id text REFERENCES eater (id) ON DELETE SET NULL,
  name text NOT NULL CHECK (name <> ''),
  is_guest boolean NOT NULL,
  served text NOT NULL CHECK (served IN ('hot', 'warm', 'room', 'chilled')),
  answer jsonb NOT NULL,
  tasted_at timestamptz NOT NULL
);
CREATE INDEX tasting_by_batch ON tasting (batch_id, tasted_at);
CREATE INDEX tasting_by_eater ON tasting (eater_id);
