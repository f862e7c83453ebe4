-- What was practised: each try with the seed that it was drawn from, what was answered, and what it came to.

CREATE TABLE practice_run (
  id text PRIMARY KEY,
  kind text NOT NULL CHECK (kind IN ('stop in time', 'what went wrong', 'guess the grams', 'palate ladder')),
  -- Null where nobody said who practised, and of who is not at the household any more.
  eater_id text REFERENCES eater (id) ON DELETE SET NULL,
  seed integer NOT NULL,
  answer jsonb NOT NULL,
  result jsonb NOT NULL,
  at timestamptz NOT NULL
);
CREATE INDEX practice_run_by_kind ON practice_run (kind, eater_id, at DESC);
