-- Recipes as handed down, the adaptation worked on for each, and versions kept as snapshots.

CREATE TABLE recipe (
  id text PRIMARY KEY,
  title text NOT NULL CHECK (length(title) BETWEEN 1 AND 200),
  document jsonb NOT NULL,
  revision integer NOT NULL DEFAULT 1 CHECK (revision > 0),
  created_at timestamptz NOT NULL DEFAULT now(),
  updated_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX recipe_updated_at ON recipe (updated_at DESC);

CREATE TABLE adaptation (
  recipe_id text PRIMARY KEY REFERENCES recipe (id) ON DELETE CASCADE,
  dining_table jsonb NOT NULL,
  bench jsonb,
  revision integer NOT NULL DEFAULT 1 CHECK (revision > 0),
  updated_at timestamptz NOT NULL DEFAULT now()
);

CREATE TABLE version (
  id text PRIMARY KEY,
  recipe_id text REFERENCES recipe (id) ON DELETE SET NULL,
  title text NOT NULL CHECK (length(title) BETWEEN 1 AND 200),
  label text NOT NULL,
  snapshot jsonb NOT NULL,
  kept_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX version_kept_at ON version (kept_at DESC);
CREATE INDEX version_recipe_id ON version (recipe_id);

CREATE TABLE setting (
  key text PRIMARY KEY,
  value jsonb NOT NULL
);
