-- Deletes that can be taken back, a revision for each thing that is edited, and where the journal stands.

ALTER TABLE recipe ADD COLUMN deleted_at timestamptz;
ALTER TABLE version ADD COLUMN deleted_at timestamptz;

ALTER TABLE adaptation ALTER COLUMN dining_table DROP NOT NULL;
ALTER TABLE adaptation RENAME COLUMN revision TO table_revision;
ALTER TABLE adaptation ALTER COLUMN table_revision SET DEFAULT 0;
ALTER TABLE adaptation DROP CONSTRAINT adaptation_revision_check;
ALTER TABLE adaptation ADD CONSTRAINT adaptation_table_revision_check CHECK (table_revision >= 0);
ALTER TABLE adaptation ADD COLUMN bench_revision integer NOT NULL DEFAULT 0 CHECK (bench_revision >= 0);

ALTER TABLE setting ADD COLUMN revision integer NOT NULL DEFAULT 1 CHECK (revision > 0);

DROP INDEX recipe_updated_at;
CREATE INDEX recipe_updated_at ON recipe (updated_at DESC) WHERE deleted_at IS NULL;
DROP INDEX version_kept_at;
CREATE INDEX version_kept_at ON version (kept_at DESC) WHERE deleted_at IS NULL;

CREATE TABLE journal_position (
  single boolean PRIMARY KEY DEFAULT true CHECK (single),
  number integer NOT NULL CHECK (number >= 0)
);
INSERT INTO journal_position (number) VALUES (0);
