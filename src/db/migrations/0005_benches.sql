-- What lay on a bench before: every state that was stored can be got back.

CREATE TABLE bench_state (
  recipe_id text NOT NULL REFERENCES recipe (id) ON DELETE CASCADE,
  revision integer NOT NULL CHECK (revision > 0),
  bench jsonb NOT NULL,
  replaced_at timestamptz NOT NULL,
  PRIMARY KEY (recipe_id, revision)
);
