-- The bench: what was seen at each look, trays, what was foretold, clocks that run, what is on the shelf, own vessels.

ALTER TABLE entry DROP CONSTRAINT entry_subject_check;
ALTER TABLE entry ADD CONSTRAINT entry_subject_check
	CHECK (subject IN ('garden', 'place', 'stock', 'want', 'figure', 'batch', 'weather', 'care', 'sighting', 'timer', 'shelf', 'vessel'));

-- Derived from the ledger like the rest of the row; filled by the rebuild that follows a migration.
ALTER TABLE batch
	ADD COLUMN looks    jsonb NOT NULL DEFAULT '[]',
	ADD COLUMN tray     jsonb,
	ADD COLUMN foretold integer CHECK (foretold >= 1);

-- Work that has to wait for a clock: a soak, a tray that stands. It runs on whether or not a browser is open.
CREATE TABLE timer (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	say              text NOT NULL CHECK (length(say) <= 120),
	batch_id         uuid,
	started_at       timestamptz NOT NULL,
	ends_at          timestamptz NOT NULL CHECK (ends_at > started_at),
	PRIMARY KEY (garden_id, id)
);

-- Litres of a material at hand.
CREATE TABLE shelf (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	material         text NOT NULL,
	litres           real NOT NULL CHECK (litres >= 0),
	PRIMARY KEY (garden_id, id)
);

CREATE TABLE vessel (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	name             text NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
	vessel           jsonb NOT NULL,
	PRIMARY KEY (garden_id, id)
);

-- The last entry of a garden tells whether what was summed up of its ledger still holds.
CREATE INDEX entry_by_seq ON entry (garden_id, seq DESC);
