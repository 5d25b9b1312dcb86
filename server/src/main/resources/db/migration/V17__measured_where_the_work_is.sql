-- What a reading is of, under what it was taken, and what whoever took it says that it means.
DROP TRIGGER IF EXISTS measurement_is_never_changed;
ALTER TABLE measurement ADD COLUMN component_id INTEGER REFERENCES component (id);
ALTER TABLE measurement ADD COLUMN step TEXT;
ALTER TABLE measurement ADD COLUMN supply TEXT;
ALTER TABLE measurement ADD COLUMN warmth TEXT;
ALTER TABLE measurement ADD COLUMN look_id INTEGER REFERENCES component_look (id);
CREATE TRIGGER measurement_is_never_changed
BEFORE UPDATE OF id, job_id, gauge, place, stage, good_unit, instrument, asked, typed, verdict, words, component_id, step, supply, warmth, look_id,
    at, by ON measurement
BEGIN SELECT RAISE(ABORT, 'What is in measurement is written once'); END;
