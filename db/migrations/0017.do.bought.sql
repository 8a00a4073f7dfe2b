-- Plants that are bought towards a want: how many may be, how many are to be, and how many were.
ALTER TABLE want ADD COLUMN may_buy integer NOT NULL DEFAULT 0 CHECK (may_buy >= 0),
	ADD COLUMN buying integer NOT NULL DEFAULT 0 CHECK (buying >= 0),
	ADD COLUMN bought integer NOT NULL DEFAULT 0 CHECK (bought >= 0);
