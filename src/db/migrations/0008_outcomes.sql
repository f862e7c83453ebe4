-- What each batch that is done has shown beside the tables, worked out from its events; made anew where models or events are others.

CREATE TABLE batch_outcome (
  batch_id text PRIMARY KEY REFERENCES batch (id) ON DELETE CASCADE,
  -- The models and constants that it was held against, and how many events there were.
  basis text NOT NULL,
  events integer NOT NULL CHECK (events >= 0),
  outcomes jsonb NOT NULL
);

-- What batches teach is asked for once any of them is done.
INSERT INTO setting (key, value, revision) SELECT 'batches', 'true'::jsonb, 1 WHERE EXISTS (SELECT 1 FROM batch WHERE ended_at IS NOT NULL);
