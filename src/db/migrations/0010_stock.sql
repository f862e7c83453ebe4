-- What is in the house, and how it came and went: more and less of each thing, g. What there is of it is the sum. Nothing ever filled the table before.

DROP TABLE stock;
CREATE TABLE stock (
  id text PRIMARY KEY,
  -- A food of the tables or of the household; null for what is none.
  food_id text,
  name text NOT NULL CHECK (name <> ''),
  kind text NOT NULL CHECK (kind IN ('bought', 'made here', 'left over')),
  place text NOT NULL CHECK (place IN ('cupboard', 'fridge', 'freezer')),
  got_on date NOT NULL,
  use_by date,
  note text NOT NULL DEFAULT '',
  -- The batch that it was left over from; gone where that is.
  batch_id text REFERENCES batch (id) ON DELETE SET NULL,
  revision integer NOT NULL DEFAULT 1 CHECK (revision > 0),
  written_at timestamptz NOT NULL,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);
CREATE INDEX stock_use_by ON stock (use_by);
CREATE INDEX stock_by_batch ON stock (batch_id);

CREATE TABLE stock_move (
  id text PRIMARY KEY,
  stock_id text NOT NULL REFERENCES stock (id) ON DELETE CASCADE,
  grams numeric NOT NULL CHECK (grams <> 0),
  why text NOT NULL CHECK (why IN ('put in', 'eaten', 'given away', 'thrown away', 'used', 'cooked', 'weighed')),
  -- The batch that took it.
  batch_id text REFERENCES batch (id) ON DELETE SET NULL,
  at timestamptz NOT NULL,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);
CREATE INDEX stock_move_by_stock ON stock_move (stock_id);
CREATE INDEX stock_move_by_time ON stock_move (at DESC, id);
CREATE INDEX stock_move_by_batch ON stock_move (batch_id);
