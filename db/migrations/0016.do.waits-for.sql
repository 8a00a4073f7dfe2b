-- The want whose plants are the stock that this one is taken from: until they are there it waits.
ALTER TABLE want ADD COLUMN waits_for uuid;
