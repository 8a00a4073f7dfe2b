-- How tall the plants of a want are to stand at least.
ALTER TABLE want ADD COLUMN least_cm real CHECK (least_cm > 0);
