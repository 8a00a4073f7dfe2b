-- State, derived from the ledger in the same transaction; bin/rebuild derives it afresh.

CREATE TABLE garden_state (
	garden_id        uuid PRIMARY KEY REFERENCES garden (id),
	data             jsonb NOT NULL
);

CREATE TABLE place (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	name             text NOT NULL,
	kind             text NOT NULL,
	light            text NOT NULL,
	low_c            double precision,
	high_c           double precision,
	room_cm2         double precision CHECK (room_cm2 >= 0),
	walk             integer NOT NULL,
	closed           boolean NOT NULL,
	PRIMARY KEY (garden_id, id),
	CHECK (low_c IS NULL OR high_c IS NULL OR low_c <= high_c)
);

CREATE TABLE stock (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	kind_id          text NOT NULL,
	place_id         uuid,
	label            text NOT NULL,
	count            integer NOT NULL CHECK (count >= 1),
	size_cm          double precision CHECK (size_cm > 0),
	age_years        double precision CHECK (age_years >= 0),
	condition        text NOT NULL CHECK (condition IN ('strong', 'fair', 'weak')),
	protection       text NOT NULL CHECK (protection IN ('free', 'protected', 'unknown')),
	protected_until  integer,
	leave_basis      text,
	leave_reference  text,
	from_batch       uuid,
	since            date NOT NULL,
	gone_on          date,
	gone_why         text,
	PRIMARY KEY (garden_id, id)
);

CREATE TABLE want (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	kind_id          text NOT NULL,
	purpose          text NOT NULL,
	label            text NOT NULL,
	place_id         uuid,
	target           integer NOT NULL CHECK (target >= 1),
	due              date NOT NULL,
	confidence       double precision NOT NULL CHECK (confidence BETWEEN 0.5 AND 0.99),
	shape            jsonb,
	since            date NOT NULL,
	dropped_on       date,
	dropped_why      text,
	PRIMARY KEY (garden_id, id)
);

CREATE TABLE figure (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	kind_id          text NOT NULL,
	path             text NOT NULL,
	value            double precision NOT NULL,
	PRIMARY KEY (garden_id, id),
	UNIQUE (garden_id, kind_id, path)
);

CREATE TABLE batch (
	garden_id        uuid NOT NULL REFERENCES garden (id),
	id               uuid NOT NULL,
	code             text NOT NULL,
	kind_id          text NOT NULL,
	way_id           text NOT NULL,
	stock_id         uuid,
	want_id          uuid,
	place_id         uuid,
	from_batch       uuid,
	status           text NOT NULL CHECK (status IN ('planned', 'growing', 'done', 'dropped')),
	planned_on       date,
	planned_count    integer NOT NULL CHECK (planned_count >= 0),
	struck_on        date,
	struck           integer NOT NULL CHECK (struck >= 0),
	unrooted         integer NOT NULL CHECK (unrooted >= 0),
	rooted           integer NOT NULL CHECK (rooted >= 0),
	potted           integer NOT NULL CHECK (potted >= 0),
	wintered_on      date,
	planted          integer NOT NULL CHECK (planted >= 0),
	given            integer NOT NULL CHECK (given >= 0),
	kept             integer NOT NULL CHECK (kept >= 0),
	split_off        integer NOT NULL CHECK (split_off >= 0),
	lost             integer NOT NULL CHECK (lost >= 0),
	lost_planted     integer NOT NULL CHECK (lost_planted >= 0 AND lost_planted <= planted),
	since            date,
	last_on          date,
	last_sign        text,
	looked_on        date,
	treatment        jsonb NOT NULL,
	container        text NOT NULL,
	seen             jsonb NOT NULL,
	-- Standing entries; a form that saw another number is told that someone was quicker.
	entries          integer NOT NULL,
	PRIMARY KEY (garden_id, id),
	UNIQUE (garden_id, code),
	-- All pieces are somewhere: the books balance, whatever wrote the row.
	CHECK (unrooted + rooted + potted + planted + given + kept + split_off + lost = struck)
);
CREATE INDEX batch_by_status ON batch (garden_id, status);
CREATE INDEX batch_ended ON batch (garden_id, last_on DESC NULLS LAST, code DESC) WHERE status IN ('done', 'dropped');
CREATE INDEX batch_by_kind ON batch (garden_id, kind_id);
CREATE INDEX batch_by_want ON batch (garden_id, want_id);
CREATE INDEX batch_by_stock ON batch (garden_id, stock_id);
