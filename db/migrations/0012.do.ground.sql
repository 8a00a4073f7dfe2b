-- The ground of a place as it was measured; what is reckoned from it is not kept.
ALTER TABLE place ADD COLUMN shape jsonb;

-- Where each plant of a stock stands in the ground of its place, [x, y] in metres; null where that is not told.
ALTER TABLE stock ADD COLUMN stands_at jsonb;
