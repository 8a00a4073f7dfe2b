-- Places with their other names, for finding where a garden is: filled from a file that ships, never from the ledger,
-- and left out of copies. Its indexes are made once it is filled.
CREATE EXTENSION IF NOT EXISTS pg_trgm;

CREATE TABLE town (
	id           integer PRIMARY KEY,
	name         text NOT NULL,
	-- ISO 3166-1, and the code of the part of the country.
	country      text NOT NULL,
	part         text NOT NULL,
	latitude     double precision NOT NULL,
	longitude    double precision NOT NULL,
	height_m     integer NOT NULL,
	time_zone    text NOT NULL,
	population   integer NOT NULL,
	-- Every name of it in plain letters, each between bars: |munchen|munich|мюнхен|
	names        text NOT NULL,
	-- Its other names as they are written, in the order of the file.
	also         text[] NOT NULL
);

-- Which edition of such a file a table holds.
CREATE TABLE shipped (
	name         text PRIMARY KEY,
	edition      text NOT NULL
);
