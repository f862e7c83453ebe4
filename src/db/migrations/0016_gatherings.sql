-- Gatherings: an occasion with its day, guests and sweets; the plan that was solved for it, what was handed to calendars, what is ticked off.

CREATE TABLE gathering (
  id text PRIMARY KEY,
  title text NOT NULL,
  -- When it is served.
  ready_at timestamptz NOT NULL,
  document jsonb NOT NULL,
  revision integer NOT NULL DEFAULT 1 CHECK (revision > 0),
  -- What it was solved to last, with what it was solved from; null where that is still to come.
  plan jsonb,
  -- Entries as calendars were last given them, with how often each has changed.
  calendar jsonb NOT NULL DEFAULT '{}',
  created_at timestamptz NOT NULL,
  updated_at timestamptz NOT NULL,
  deleted_at timestamptz,
  person_id text REFERENCES eater (id) ON DELETE SET NULL
);
CREATE INDEX gathering_by_time ON gathering (ready_at DESC, id);

-- What is bought, and which steps are done. The latest word counts.
CREATE TABLE gathering_tick (
  gathering_id text NOT NULL REFERENCES gathering (id) ON DELETE CASCADE,
  what text NOT NULL CHECK (what <> ''),
  is_done boolean NOT NULL,
  at timestamptz NOT NULL,
  person_id text REFERENCES eater (id) ON DELETE SET NULL,
  PRIMARY KEY (gathering_id, what)
);
