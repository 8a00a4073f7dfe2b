-- An entry stands or not by the whole chain of reversals behind it: undone, done again, undone. This is where SQL
-- says so; core/ledger/effective.ts says the same of a list.
CREATE FUNCTION entry_is_undone(of_garden uuid, of_entry uuid) RETURNS boolean LANGUAGE sql STABLE PARALLEL SAFE AS $$
	WITH RECURSIVE chain AS (
		SELECT id FROM entry WHERE garden_id = of_garden AND reverses = of_entry
		UNION ALL
		SELECT r.id FROM chain c JOIN entry r ON r.garden_id = of_garden AND r.reverses = c.id
	)
	SELECT count(*) % 2 = 1 FROM chain
$$;
-- The last of a chain: what has to be reversed to turn it over.
CREATE FUNCTION entry_chain_end(of_garden uuid, of_entry uuid) RETURNS uuid LANGUAGE sql STABLE PARALLEL SAFE AS $$
	WITH RECURSIVE chain AS (
		SELECT of_entry AS id, 0 AS n
		UNION ALL
		SELECT r.id, c.n + 1 FROM chain c JOIN entry r ON r.garden_id = of_garden AND r.reverses = c.id
	)
	SELECT id FROM chain ORDER BY n DESC LIMIT 1
$$;

-- Which form of the state was derived last: a start compares it and derives afresh what is older.
CREATE TABLE projection_state (
	garden_id        uuid PRIMARY KEY REFERENCES garden (id),
	version          integer NOT NULL
);

CREATE INDEX batch_by_struck ON batch (garden_id, struck_on DESC, code DESC);

-- State points at state. Checked when a transaction ends, for a rebuild writes the rows in any order.
ALTER TABLE stock
	ADD FOREIGN KEY (garden_id, place_id) REFERENCES place (garden_id, id) DEFERRABLE INITIALLY DEFERRED NOT VALID;
ALTER TABLE want
	ADD FOREIGN KEY (garden_id, place_id) REFERENCES place (garden_id, id) DEFERRABLE INITIALLY DEFERRED NOT VALID;
ALTER TABLE batch
	ADD FOREIGN KEY (garden_id, place_id) REFERENCES place (garden_id, id) DEFERRABLE INITIALLY DEFERRED NOT VALID,
	ADD FOREIGN KEY (garden_id, stock_id) REFERENCES stock (garden_id, id) DEFERRABLE INITIALLY DEFERRED NOT VALID,
	ADD FOREIGN KEY (garden_id, want_id) REFERENCES want (garden_id, id) DEFERRABLE INITIALLY DEFERRED NOT VALID;

-- Tries to sign in are counted by a library, in the table that it asks for.
DROP TABLE sign_in_try;
CREATE TABLE rate_limit (
	key              varchar(255) PRIMARY KEY,
	points           integer NOT NULL DEFAULT 0,
	expire           bigint
);
ALTER TABLE session ADD COLUMN used_at timestamptz NOT NULL DEFAULT now();

-- The household's password, as its hash: another password ends every session.
CREATE TABLE household (
	only_one         boolean PRIMARY KEY DEFAULT true CHECK (only_one),
	password_hash    text NOT NULL
);

-- Every row tells the ledger's last entry about it: a form names the version that it was drawn from.
ALTER TABLE garden_state ADD COLUMN version bigint NOT NULL DEFAULT 0;
ALTER TABLE place ADD COLUMN version bigint NOT NULL DEFAULT 0;
ALTER TABLE stock ADD COLUMN version bigint NOT NULL DEFAULT 0;
ALTER TABLE want ADD COLUMN version bigint NOT NULL DEFAULT 0;
ALTER TABLE batch DROP COLUMN entries, ADD COLUMN version bigint NOT NULL DEFAULT 0;
