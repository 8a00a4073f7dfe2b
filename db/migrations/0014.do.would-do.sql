-- How a want would do too, where it cannot be met whole, and how it weighs against others.
ALTER TABLE want
	ADD COLUMN enough integer CHECK (enough >= 1),
	ADD COLUMN late_weeks integer NOT NULL DEFAULT 0 CHECK (late_weeks BETWEEN 0 AND 104),
	ADD COLUMN weighs text NOT NULL DEFAULT 'alike' CHECK (weighs IN ('first', 'alike', 'last'));
