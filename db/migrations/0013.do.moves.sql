-- What a household means to move in its ground: one plan a garden, kept as said; the order of it is worked out anew.
ALTER TABLE entry DROP CONSTRAINT entry_subject_check;
ALTER TABLE entry ADD CONSTRAINT entry_subject_check
	CHECK (subject IN ('garden', 'place', 'stock', 'want', 'figure', 'batch', 'weather', 'care', 'sighting', 'timer', 'shelf', 'vessel', 'kind', 'lodging', 'moves')) NOT VALID;
ALTER TABLE entry VALIDATE CONSTRAINT entry_subject_check;

CREATE TABLE moves (
	garden_id    uuid NOT NULL REFERENCES garden (id),
	id           uuid NOT NULL,
	-- All are to be done by then; null where nothing presses.
	by_day       date,
	weekends     boolean NOT NULL,
	-- Where plants wait between two moves; null where nobody has said.
	hold_id      uuid,
	-- [{stock_id, place_id, at, takes}]
	moves        jsonb NOT NULL,
	set_on       date NOT NULL,
	version      bigint NOT NULL DEFAULT 0,
	PRIMARY KEY (garden_id, id)
);
