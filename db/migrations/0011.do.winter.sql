-- What a household says of one plant's winter: where it stays, where it never goes, what it would be to lose it.
ALTER TABLE entry DROP CONSTRAINT entry_subject_check;
ALTER TABLE entry ADD CONSTRAINT entry_subject_check
	CHECK (subject IN ('garden', 'place', 'stock', 'want', 'figure', 'batch', 'weather', 'care', 'sighting', 'timer', 'shelf', 'vessel', 'kind', 'lodging')) NOT VALID;
ALTER TABLE entry VALIDATE CONSTRAINT entry_subject_check;

CREATE TABLE lodging (
	garden_id    uuid NOT NULL REFERENCES garden (id),
	-- The batch or the stock plant itself.
	id           uuid NOT NULL,
	pinned       uuid,
	never        jsonb NOT NULL,
	worth        text CHECK (worth IN ('gone', 'dear', 'easy')),
	-- Day on which it was set apart.
	apart_on     date,
	version      bigint NOT NULL DEFAULT 0,
	PRIMARY KEY (garden_id, id)
);

-- What is over a place this winter, or heats it, and since when: a thermometer read before that tells of the bare place.
ALTER TABLE place ADD COLUMN guard_cover text;
ALTER TABLE place ADD COLUMN heater_w real;
ALTER TABLE place ADD COLUMN heater_c real;
ALTER TABLE place ADD COLUMN guarded_on date;

-- What took a stock plant.
ALTER TABLE stock ADD COLUMN gone_cause text;

-- A window's side and glass, and a lamp: what light there is in winter.
ALTER TABLE place ADD COLUMN faces text;
ALTER TABLE place ADD COLUMN glass text;
ALTER TABLE place ADD COLUMN lamp_umol real;
ALTER TABLE place ADD COLUMN lamp_hours real;

-- A level of another place: as warm as that, with room and light of its own.
ALTER TABLE place ADD COLUMN level_of uuid;
