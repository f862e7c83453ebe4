-- What the logbook tells of a batch that is done, and by what it is found: derived with its outcomes, and made anew with them.

ALTER TABLE batch_outcome ADD COLUMN logged jsonb;
-- The words it is found by, each once, in lower case: its name, what went in, what was noted, who tasted it and what they said.
ALTER TABLE batch_outcome ADD COLUMN words text;
-- Who sat at its table, by id.
ALTER TABLE batch_outcome ADD COLUMN seats text[] NOT NULL DEFAULT '{}';
-- The day on which it was made, where the household is.
ALTER TABLE batch_outcome ADD COLUMN made_on text;
