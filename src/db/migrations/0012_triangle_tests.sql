-- Triangle tests: whether anybody can tell two batches apart. Who serves, how many are planned, by what seed the cups are coded.

CREATE TABLE triangle_test (
  id text PRIMARY KEY,
  batch_a text NOT NULL REFERENCES batch (id) ON DELETE CASCADE,
  batch_b text NOT NULL REFERENCES batch (id) ON DELETE CASCADE,
  aim text NOT NULL CHECK (aim IN ('different', 'alike')),
  -- The share of eaters that tell them apart from which on it matters.
  tell numeric NOT NULL CHECK (tell > 0 AND tell < 1),
  planned integer NOT NULL CHECK (planned BETWEEN 3 AND 200),
  seed integer NOT NULL,
  served text NOT NULL CHECK (served IN ('hot', 'warm', 'room', 'chilled')),
  -- Who serves, and so does not taste; the id is null of a guest, and of who is not at the household any more.
  server_id text REFERENCES eater (id) ON DELETE SET NULL,
  server text NOT NULL CHECK (server <> ''),
  begun_at timestamptz NOT NULL,
  -- Null while answers are taken.
  ended_at timestamptz,
  CHECK (batch_a <> batch_b)
);
CREATE INDEX triangle_test_by_a ON triangle_test (batch_a);
CREATE INDEX triangle_test_by_b ON triangle_test (batch_b);

-- What was chosen of each set of three cups.
CREATE TABLE triangle_answer (
  id text PRIMARY KEY,
  test_id text NOT NULL REFERENCES triangle_test (id) ON DELETE CASCADE,
  -- Which set of cups, from 1.
  place integer NOT NULL CHECK (place > 0),
  eater_id text REFERENCES eater (id) ON DELETE SET NULL,
  name text NOT NULL CHECK (name <> ''),
  is_guest boolean NOT NULL,
  -- The code that was chosen as the other one.
  code text NOT NULL,
  -- Saw the codes, or which cup holds what: it does not count.
  saw boolean NOT NULL,
  answered_at timestamptz NOT NULL,
  UNIQUE (test_id, place)
);
