-- The ground of a place as it was measured; what is reckoned from it is not kept.
ALTER TABLE place ADD COLUMN shape jsonb;
