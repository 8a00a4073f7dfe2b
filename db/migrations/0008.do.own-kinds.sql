-- Kinds of plants that a garden adds to the handbook's: whole, so that a later handbook does not change them.
ALTER TABLE entry DROP CONSTRAINT entry_subject_check;
ALTER TABLE entry ADD CONSTRAINT entry_subject_check
	CHECK (subject IN ('garden', 'place', 'stock', 'want', 'figure', 'batch', 'weather', 'care', 'sighting', 'timer', 'shelf', 'vessel', 'kind')) NOT VALID;
ALTER TABLE entry VALIDATE CONSTRAINT entry_subject_check;

CREATE TABLE own_kind (
	garden_id    uuid NOT NULL REFERENCES garden (id),
	id           uuid NOT NULL,
	-- What stock, wants and batches name it by.
	kind_id      text NOT NULL CHECK (kind_id ~ '^own-[a-z0-9-]{1,56}$'),
	-- The handbook's kind that it behaves like, if it was begun from one.
	like_id      text,
	data         jsonb NOT NULL,
	version      bigint NOT NULL DEFAULT 0,
	PRIMARY KEY (garden_id, id),
	UNIQUE (garden_id, kind_id)
);
