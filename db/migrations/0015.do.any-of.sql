-- Other kinds that a want is met with as well: all of them together make up its number.
ALTER TABLE want ADD COLUMN or_kinds text[] NOT NULL DEFAULT '{}' CHECK (cardinality(or_kinds) <= 4);
