-- A picture of a batch: small, without what cameras write beside it, with the shade that was picked from it.

CREATE TABLE photo (
  batch_id text PRIMARY KEY REFERENCES batch (id) ON DELETE CASCADE,
  -- JPEG, base64; at most 1 MB.
  jpeg text NOT NULL CHECK (length(jpeg) BETWEEN 100 AND 1398104),
  width integer NOT NULL CHECK (width > 0),
  height integer NOT NULL CHECK (height > 0),
  -- "#d7a452"; null where none was picked.
  shade text CHECK (shade ~ '^#[0-9a-f]{6}$'),
  taken_at timestamptz NOT NULL
);
