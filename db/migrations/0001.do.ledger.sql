-- The ledger: what was done or seen. Rows are added and never changed; the database itself sees to it.

CREATE TABLE garden (
	id           uuid PRIMARY KEY,
	slug         text NOT NULL UNIQUE CHECK (slug ~ '^[a-z0-9][a-z0-9-]{0,59}$'),
	created_at   timestamptz NOT NULL DEFAULT now(),
	-- Next batch code; taken under the garden's row lock.
	next_code    integer NOT NULL DEFAULT 0 CHECK (next_code >= 0)
);

CREATE TABLE entry (
	garden_id    uuid NOT NULL REFERENCES garden (id),
	id           uuid NOT NULL,
	seq          bigint GENERATED ALWAYS AS IDENTITY,
	kind         text NOT NULL CHECK (kind ~ '^[a-z]+\.[a-z-]+$'),
	subject      text NOT NULL CHECK (subject IN ('garden', 'place', 'stock', 'want', 'figure', 'batch')),
	subject_id   uuid NOT NULL,
	-- Entries made by one act; undone together.
	group_id     uuid NOT NULL,
	happened_on  date NOT NULL,
	recorded_at  timestamptz NOT NULL DEFAULT now(),
	actor        text NOT NULL DEFAULT 'household',
	reverses     uuid,
	data         jsonb NOT NULL,
	note         text NOT NULL DEFAULT '' CHECK (length(note) <= 5000),
	-- One line for people, and what they search by: names, codes, places as they were called then.
	line         text NOT NULL,
	kind_id      text,
	-- Without hyphens: "337-8" would be read as the numbers 337 and minus 8.
	words        tsvector GENERATED ALWAYS AS (to_tsvector('simple', translate(line || ' ' || note, '-', ' '))) STORED,
	PRIMARY KEY (garden_id, id),
	FOREIGN KEY (garden_id, reverses) REFERENCES entry (garden_id, id),
	CHECK ((kind = 'entry.reversed') = (reverses IS NOT NULL))
);

-- An entry is reversed once; to take that back, the reversal is reversed.
CREATE UNIQUE INDEX entry_reversed_once ON entry (garden_id, reverses) WHERE reverses IS NOT NULL;
CREATE INDEX entry_by_subject ON entry (garden_id, subject, subject_id, seq);
CREATE INDEX entry_by_date ON entry (garden_id, happened_on DESC, seq DESC);
CREATE INDEX entry_by_kind ON entry (garden_id, kind, happened_on DESC, seq DESC);
CREATE INDEX entry_by_plant ON entry (garden_id, kind_id, happened_on DESC, seq DESC);
CREATE INDEX entry_by_group ON entry (garden_id, group_id);
CREATE INDEX entry_by_words ON entry USING gin (words);

CREATE FUNCTION entry_is_append_only() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	RAISE EXCEPTION 'the ledger is append-only: % of entry refused', TG_OP
		USING ERRCODE = 'restrict_violation';
END
$$;
CREATE TRIGGER entry_no_change BEFORE UPDATE OR DELETE ON entry
	FOR EACH ROW EXECUTE FUNCTION entry_is_append_only();
CREATE TRIGGER entry_no_truncate BEFORE TRUNCATE ON entry
	FOR EACH STATEMENT EXECUTE FUNCTION entry_is_append_only();
