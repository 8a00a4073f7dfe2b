-- A batch holds cohorts: pieces of one stage and one history. What was seen of those that had not rooted is kept
-- between one full count and the next, and parts of one strike know that they are one family.
ALTER TABLE batch
	DROP COLUMN since,
	DROP COLUMN looked_on,
	ADD COLUMN cohorts jsonb NOT NULL DEFAULT '[]',
	ADD COLUMN rooting jsonb NOT NULL DEFAULT '{"epochs": [], "own": 0, "signs": []}',
	ADD COLUMN family uuid,
	ADD COLUMN inherited jsonb NOT NULL DEFAULT '{}',
	ADD COLUMN stays jsonb NOT NULL DEFAULT '[]';

-- Size and age of a stock plant grow on from the day they were told.
ALTER TABLE stock ADD COLUMN told_on date;
