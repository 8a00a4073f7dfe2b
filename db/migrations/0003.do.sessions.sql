-- Sign-in of the household, asked only where the app is served beyond loopback.

CREATE TABLE session (
	-- SHA-256 of the cookie's token: a copy of this table opens no door.
	token_hash   bytea PRIMARY KEY,
	created_at   timestamptz NOT NULL DEFAULT now(),
	expires_at   timestamptz NOT NULL
);

CREATE TABLE sign_in_try (
	address      text NOT NULL,
	tried_at     timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX sign_in_try_by_address ON sign_in_try (address, tried_at);
