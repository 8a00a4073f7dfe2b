-- Weather of a garden, readings of its places, work done on the round, what was seen of the season.

ALTER TABLE entry DROP CONSTRAINT entry_subject_check;
ALTER TABLE entry ADD CONSTRAINT entry_subject_check
	CHECK (subject IN ('garden', 'place', 'stock', 'want', 'figure', 'batch', 'weather', 'care', 'sighting'));

-- Days that came in a file. They stay when an import is undone; whether they count is `standing`, derived from the ledger.
CREATE TABLE weather_import (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	seq              bigint GENERATED ALWAYS AS IDENTITY,
	name             text NOT NULL,
	standing         boolean NOT NULL DEFAULT false,
	PRIMARY KEY (garden_id, id)
);
CREATE TABLE weather_day (
	garden_id        uuid NOT NULL,
	import_id        uuid NOT NULL,
	day              date NOT NULL,
	low              real,
	high             real,
	rain             real CHECK (rain >= 0),
	PRIMARY KEY (garden_id, import_id, day),
	FOREIGN KEY (garden_id, import_id) REFERENCES weather_import (garden_id, id),
	CHECK (low <= high),
	CHECK (coalesce(low, high, rain) IS NOT NULL)
);

-- What the weather station told: past days as they became known, and its last forecast.
CREATE TABLE station_day (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	day              date NOT NULL,
	low              real NOT NULL,
	high             real NOT NULL CHECK (low <= high),
	rain             real NOT NULL CHECK (rain >= 0),
	PRIMARY KEY (garden_id, day)
);
CREATE TABLE station_state (
	garden_id        uuid PRIMARY KEY REFERENCES garden (id),
	tried_at         timestamptz NOT NULL,
	ok_at            timestamptz,
	trouble          text,
	issued_on        date,
	forecast         jsonb,
	hours            jsonb
);

-- Thermometers of places, by day: however many readings come, a day is one row.
CREATE TABLE reading_day (
	garden_id        uuid NOT NULL,
	place_id         uuid NOT NULL,
	day              date NOT NULL,
	low              real NOT NULL,
	high             real NOT NULL CHECK (low <= high),
	last_c           real NOT NULL,
	last_at          timestamptz NOT NULL,
	readings         integer NOT NULL CHECK (readings >= 1),
	PRIMARY KEY (garden_id, place_id, day)
);

-- Secrets that open one door of one garden: sending readings, reading the calendar. Only their hash is kept.
CREATE TABLE garden_token (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	purpose          text NOT NULL CHECK (purpose IN ('readings', 'calendar')),
	label            text NOT NULL CHECK (length(label) <= 80),
	token_hash       bytea NOT NULL UNIQUE,
	created_at       timestamptz NOT NULL DEFAULT now(),
	used_at          timestamptz,
	revoked_at       timestamptz,
	PRIMARY KEY (garden_id, id)
);

-- Work of the round by what it is and where: when it was last done, skipped or put off for each plant.
CREATE TABLE care (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	care             text NOT NULL,
	place_id         uuid,
	marks            jsonb NOT NULL,
	PRIMARY KEY (garden_id, id)
);

CREATE TABLE sighting (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	kind_id          text NOT NULL,
	event            text NOT NULL,
	seen_on          date NOT NULL,
	PRIMARY KEY (garden_id, id)
);
CREATE INDEX sighting_by_kind ON sighting (garden_id, kind_id, seen_on);
