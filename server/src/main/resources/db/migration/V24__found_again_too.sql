-- Checks, holds, readings and past jobs are found again too, as V20 has it: one index and one view a sort, kept together by triggers.

CREATE VIRTUAL TABLE find_check USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
CREATE VIEW find_check_words AS
SELECT id, what || ' ' || load || ' ' || remark || ' ' || COALESCE(as_remark, '') || ' ' || replace(lower(verdict), '_', ' ') AS words
FROM check_entry
WHERE struck_at IS NULL;
INSERT INTO find_check (rowid, words) SELECT id, words FROM find_check_words;
CREATE VIRTUAL TABLE find_check_vocabulary USING fts5vocab (find_check, row);
CREATE TRIGGER find_check_new AFTER INSERT ON check_entry
BEGIN
    INSERT INTO find_check (rowid, words) SELECT id, words FROM find_check_words WHERE id = NEW.id;
END;
CREATE TRIGGER find_check_changed AFTER UPDATE OF struck_at, as_remark ON check_entry
BEGIN
    DELETE FROM find_check WHERE rowid = NEW.id;
    INSERT INTO find_check (rowid, words) SELECT id, words FROM find_check_words WHERE id = NEW.id;
END;
CREATE TRIGGER find_check_gone AFTER DELETE ON check_entry
BEGIN
    DELETE FROM find_check WHERE rowid = OLD.id;
END;

CREATE VIRTUAL TABLE find_hold USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
CREATE VIEW find_hold_words AS
SELECT id, why || ' ' || COALESCE(answer, '') || ' ' || end_why AS words
FROM hold;
INSERT INTO find_hold (rowid, words) SELECT id, words FROM find_hold_words;
CREATE VIRTUAL TABLE find_hold_vocabulary USING fts5vocab (find_hold, row);
CREATE TRIGGER find_hold_new AFTER INSERT ON hold
BEGIN
    INSERT INTO find_hold (rowid, words) SELECT id, words FROM find_hold_words WHERE id = NEW.id;
END;
CREATE TRIGGER find_hold_changed AFTER UPDATE OF why, answer, end_why ON hold
BEGIN
    DELETE FROM find_hold WHERE rowid = NEW.id;
    INSERT INTO find_hold (rowid, words) SELECT id, words FROM find_hold_words WHERE id = NEW.id;
END;
CREATE TRIGGER find_hold_gone AFTER DELETE ON hold
BEGIN
    DELETE FROM find_hold WHERE rowid = OLD.id;
END;

CREATE VIRTUAL TABLE find_reading USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
CREATE VIEW find_reading_words AS
SELECT id, lower(gauge) || ' ' || place || ' ' || words || ' ' || COALESCE((SELECT group_concat(value, ' ') FROM json_tree(measurement.asked)
                                                                     WHERE type = 'text' AND key = 'name'), '') AS words
FROM measurement
WHERE struck_at IS NULL;
INSERT INTO find_reading (rowid, words) SELECT id, words FROM find_reading_words;
CREATE VIRTUAL TABLE find_reading_vocabulary USING fts5vocab (find_reading, row);
CREATE TRIGGER find_reading_new AFTER INSERT ON measurement
BEGIN
    INSERT INTO find_reading (rowid, words) SELECT id, words FROM find_reading_words WHERE id = NEW.id;
END;
CREATE TRIGGER find_reading_changed AFTER UPDATE OF struck_at ON measurement
BEGIN
    DELETE FROM find_reading WHERE rowid = NEW.id;
    INSERT INTO find_reading (rowid, words) SELECT id, words FROM find_reading_words WHERE id = NEW.id;
END;
CREATE TRIGGER find_reading_gone AFTER DELETE ON measurement
BEGIN
    DELETE FROM find_reading WHERE rowid = OLD.id;
END;

CREATE VIRTUAL TABLE find_past USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
CREATE VIEW find_past_words AS
SELECT past_job.id, owner || ' ' || model || ' ' || part || ' ' || COALESCE(component.name || ' ' || fault.wrong, '') || ' '
           || COALESCE((SELECT group_concat(symptom.name, ' ') FROM json_each(symptoms) JOIN symptom ON symptom.id = value), '') AS words
FROM past_job
LEFT JOIN component ON component.id = past_job.component_id
LEFT JOIN fault ON fault.id = past_job.fault_id;
INSERT INTO find_past (rowid, words) SELECT id, words FROM find_past_words;
CREATE VIRTUAL TABLE find_past_vocabulary USING fts5vocab (find_past, row);
CREATE TRIGGER find_past_new AFTER INSERT ON past_job
BEGIN
    INSERT INTO find_past (rowid, words) SELECT id, words FROM find_past_words WHERE id = NEW.id;
END;
CREATE TRIGGER find_past_changed AFTER UPDATE OF owner ON past_job
BEGIN
    DELETE FROM find_past WHERE rowid = NEW.id;
    INSERT INTO find_past (rowid, words) SELECT id, words FROM find_past_words WHERE id = NEW.id;
END;
CREATE TRIGGER find_past_gone AFTER DELETE ON past_job
BEGIN
    DELETE FROM find_past WHERE rowid = OLD.id;
END;

-- A mark is said at the bench again and again and names a picture: it is no remark.
DROP VIEW find_entry_words;
CREATE VIEW find_entry_words AS
SELECT entry.id AS id,
       COALESCE((SELECT group_concat(value, ' ') FROM json_tree(entry.said) WHERE type = 'text'), '') || ' '
           || COALESCE((SELECT group_concat(value, ' ') FROM json_tree(entry_private.said) WHERE type = 'text'), '') AS words
FROM entry
LEFT JOIN entry_private ON entry_id = entry.id
WHERE kind NOT IN ('POWER', 'POWER_OFF', 'ACKNOWLEDGED', 'ELECTRICAL', 'MARKED')
  AND takes_back IS NULL
  AND NOT EXISTS (SELECT 1 FROM entry AS back WHERE back.takes_back = entry.id);

-- The first letter that is typed finds its words in every index without reading all of them.
DROP TABLE find_finding_vocabulary;
DROP TABLE find_finding;
CREATE VIRTUAL TABLE find_finding USING fts5 (
    words, about,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
INSERT INTO find_finding (rowid, words, about) SELECT id, words, about FROM find_finding_words;
CREATE VIRTUAL TABLE find_finding_vocabulary USING fts5vocab (find_finding, row);
DROP TABLE find_entry_vocabulary;
DROP TABLE find_entry;
CREATE VIRTUAL TABLE find_entry USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
INSERT INTO find_entry (rowid, words) SELECT id, words FROM find_entry_words;
CREATE VIRTUAL TABLE find_entry_vocabulary USING fts5vocab (find_entry, row);
DROP TABLE find_outcome_vocabulary;
DROP TABLE find_outcome;
CREATE VIRTUAL TABLE find_outcome USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
INSERT INTO find_outcome (rowid, words) SELECT id, words FROM find_outcome_words;
CREATE VIRTUAL TABLE find_outcome_vocabulary USING fts5vocab (find_outcome, row);
DROP TABLE find_part_vocabulary;
DROP TABLE find_part;
CREATE VIRTUAL TABLE find_part USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
INSERT INTO find_part (rowid, words) SELECT id, words FROM find_part_words;
CREATE VIRTUAL TABLE find_part_vocabulary USING fts5vocab (find_part, row);
DROP TABLE find_model_vocabulary;
DROP TABLE find_model;
CREATE VIRTUAL TABLE find_model USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
INSERT INTO find_model (rowid, words) SELECT id, words FROM find_model_words;
CREATE VIRTUAL TABLE find_model_vocabulary USING fts5vocab (find_model, row);
DROP TABLE find_component_vocabulary;
DROP TABLE find_component;
CREATE VIRTUAL TABLE find_component USING fts5 (
    words, about,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
INSERT INTO find_component (rowid, words, about) SELECT id, words, about FROM find_component_words;
CREATE VIRTUAL TABLE find_component_vocabulary USING fts5vocab (find_component, row);
DROP TABLE find_step_vocabulary;
DROP TABLE find_step;
CREATE VIRTUAL TABLE find_step USING fts5 (
    words, about,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
INSERT INTO find_step (rowid, words, about) SELECT id, words, about FROM find_step_words;
CREATE VIRTUAL TABLE find_step_vocabulary USING fts5vocab (find_step, row);
DROP TABLE find_owner_vocabulary;
DROP TABLE find_owner;
CREATE VIRTUAL TABLE find_owner USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
INSERT INTO find_owner (rowid, words) SELECT id, words FROM find_owner_words;
CREATE VIRTUAL TABLE find_owner_vocabulary USING fts5vocab (find_owner, row);
