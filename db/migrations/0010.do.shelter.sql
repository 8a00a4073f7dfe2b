-- What a place is as a body of heat, where people say it: a garage against the house is no shed.
ALTER TABLE place ADD COLUMN body text;
