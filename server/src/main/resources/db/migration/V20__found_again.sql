-- Everything that was said can be found again. One index for each sort of thing, without what is shown: that comes from the rooms. What stands in it is told by
-- one view each; triggers keep the two together.
DROP TABLE finder;

CREATE VIRTUAL TABLE find_job USING fts5 (
    tag, serial, model, owner, said, state,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3'
);
CREATE VIEW find_job_words AS
SELECT job.id AS id,
       printf('WN-%04d %d', unit.tag, unit.tag) AS tag,
       unit.serial AS serial,
       model.maker || ' ' || model.name || ' ' || revision.name AS model,
       COALESCE(owner.name || ' ' || owner.contact, 'resale') AS owner,
       complaint || ' ' || COALESCE((SELECT group_concat(symptom.name, ' ')
                                     FROM job_symptom JOIN symptom ON symptom.id = symptom_id
                                     WHERE job_id = job.id AND present), '') AS said,
       condition_words || ' ' || COALESCE((SELECT group_concat(name || ' ' || why, ' ')
                                           FROM belonging WHERE job_id = job.id), '')
                       || ' ' || COALESCE((SELECT group_concat(replace(lower(mark), '_', ' ') || ' ' || place, ' ')
                                           FROM job_mark WHERE job_id = job.id), '') AS state
FROM job
JOIN unit ON unit.id = job.unit_id
JOIN revision ON revision.id = job.revision_id
JOIN model ON model.id = revision.model_id
LEFT JOIN owner ON owner.id = job.owner_id;
INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words;
CREATE VIRTUAL TABLE find_job_vocabulary USING fts5vocab (find_job, row);

CREATE VIRTUAL TABLE find_finding USING fts5 (
    words, about,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);
CREATE VIEW find_finding_words AS
SELECT finding.id AS id,
       component.name || ' ' || fault.wrong || ' ' || finding.remark || ' ' || COALESCE(proof, '') || ' ' || COALESCE(cause, '')
           || ' ' || replace(lower(remedy), '_', ' ') AS words,
       model.maker || ' ' || model.name AS about
FROM finding
JOIN component ON component.id = finding.component_id
JOIN fault ON fault.id = finding.fault_id
JOIN revision ON revision.id = finding.revision_id
JOIN model ON model.id = revision.model_id
WHERE struck_at IS NULL;
INSERT INTO find_finding (rowid, words, about) SELECT id, words, about FROM find_finding_words;
CREATE VIRTUAL TABLE find_finding_vocabulary USING fts5vocab (find_finding, row);

CREATE VIRTUAL TABLE find_entry USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);
CREATE VIEW find_entry_words AS
SELECT entry.id AS id,
       COALESCE((SELECT group_concat(value, ' ') FROM json_tree(entry.said) WHERE type = 'text'), '') || ' '
           || COALESCE((SELECT group_concat(value, ' ') FROM json_tree(entry_private.said) WHERE type = 'text'), '') AS words
FROM entry
LEFT JOIN entry_private ON entry_id = entry.id
WHERE kind NOT IN ('POWER', 'POWER_OFF', 'ACKNOWLEDGED', 'ELECTRICAL')
  AND takes_back IS NULL
  AND NOT EXISTS (SELECT 1 FROM entry AS back WHERE back.takes_back = entry.id);
INSERT INTO find_entry (rowid, words) SELECT id, words FROM find_entry_words;
CREATE VIRTUAL TABLE find_entry_vocabulary USING fts5vocab (find_entry, row);

CREATE VIRTUAL TABLE find_outcome USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);
CREATE VIEW find_outcome_words AS
SELECT outcome_entry.id AS id, replace(lower(outcome), '_', ' ') || ' ' || remark AS words
FROM outcome_entry;
INSERT INTO find_outcome (rowid, words) SELECT id, words FROM find_outcome_words;
CREATE VIRTUAL TABLE find_outcome_vocabulary USING fts5vocab (find_outcome, row);

CREATE VIRTUAL TABLE find_part USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);
CREATE VIEW find_part_words AS
SELECT part.id AS id, drawer || ' ' || name || ' ' || what AS words FROM part;
INSERT INTO find_part (rowid, words) SELECT id, words FROM find_part_words;
CREATE VIRTUAL TABLE find_part_vocabulary USING fts5vocab (find_part, row);

CREATE VIRTUAL TABLE find_model USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);
CREATE VIEW find_model_words AS
SELECT model.id AS id,
       maker || ' ' || model.name || ' ' || COALESCE((SELECT group_concat(revision.name || ' ' || tell_apart, ' ')
                                                     FROM revision WHERE model_id = model.id), '') AS words
FROM model;
INSERT INTO find_model (rowid, words) SELECT id, words FROM find_model_words;
CREATE VIRTUAL TABLE find_model_vocabulary USING fts5vocab (find_model, row);

CREATE VIRTUAL TABLE find_component USING fts5 (
    words, about,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);
CREATE VIEW find_component_words AS
SELECT component.id AS id,
       component.name || ' ' || COALESCE((SELECT group_concat(value, ' ') FROM json_each(aliases)), '')
           || ' ' || COALESCE((SELECT group_concat(wrong, ' ') FROM fault WHERE component_id = component.id), '') AS words,
       model.maker || ' ' || model.name AS about
FROM component JOIN model ON model.id = component.model_id;
INSERT INTO find_component (rowid, words, about) SELECT id, words, about FROM find_component_words;
CREATE VIRTUAL TABLE find_component_vocabulary USING fts5vocab (find_component, row);

CREATE VIRTUAL TABLE find_step USING fts5 (
    words, about,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);
CREATE VIEW find_step_words AS
SELECT teardown.revision_id AS id,
       COALESCE((SELECT group_concat(value, ' ') FROM json_tree(steps)
                 WHERE type = 'text' AND key IN ('title', 'how', 'caution', 'label', 'mark', 'latch', 'hint', 'hides', 'mustBeTrue',
                                                 'closeUp', 'tool', 'words')), '')
           || ' ' || COALESCE((SELECT group_concat(value, ' ') FROM json_tree(overview) WHERE type = 'text'), '') AS words,
       model.maker || ' ' || model.name || ' ' || revision.name AS about
FROM teardown
JOIN revision ON revision.id = teardown.revision_id
JOIN model ON model.id = revision.model_id
WHERE number = (SELECT MAX(number) FROM teardown AS newest WHERE newest.revision_id = teardown.revision_id);
INSERT INTO find_step (rowid, words, about) SELECT id, words, about FROM find_step_words;
CREATE VIRTUAL TABLE find_step_vocabulary USING fts5vocab (find_step, row);

CREATE VIRTUAL TABLE find_owner USING fts5 (
    words,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3'
);
CREATE VIEW find_owner_words AS
SELECT owner.id AS id, name || ' ' || contact AS words FROM owner;
INSERT INTO find_owner (rowid, words) SELECT id, words FROM find_owner_words;
CREATE VIRTUAL TABLE find_owner_vocabulary USING fts5vocab (find_owner, row);

CREATE TRIGGER find_job_new AFTER INSERT ON job
BEGIN
    DELETE FROM find_job WHERE rowid IN (NEW.id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (NEW.id);
END;

CREATE TRIGGER find_job_changed AFTER UPDATE OF revision_id, owner_id, unit_id, complaint, condition_words ON job
BEGIN
    DELETE FROM find_job WHERE rowid IN (NEW.id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (NEW.id);
END;

CREATE TRIGGER find_job_symptom_new AFTER INSERT ON job_symptom
BEGIN
    DELETE FROM find_job WHERE rowid IN (NEW.job_id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (NEW.job_id);
END;

CREATE TRIGGER find_job_symptom_changed AFTER UPDATE ON job_symptom
BEGIN
    DELETE FROM find_job WHERE rowid IN (NEW.job_id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (NEW.job_id);
END;

CREATE TRIGGER find_job_symptom_gone AFTER DELETE ON job_symptom
BEGIN
    DELETE FROM find_job WHERE rowid IN (OLD.job_id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (OLD.job_id);
END;

CREATE TRIGGER find_belonging_new AFTER INSERT ON belonging
BEGIN
    DELETE FROM find_job WHERE rowid IN (NEW.job_id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (NEW.job_id);
END;

CREATE TRIGGER find_belonging_changed AFTER UPDATE OF name, why ON belonging
BEGIN
    DELETE FROM find_job WHERE rowid IN (NEW.job_id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (NEW.job_id);
END;

CREATE TRIGGER find_belonging_gone AFTER DELETE ON belonging
BEGIN
    DELETE FROM find_job WHERE rowid IN (OLD.job_id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (OLD.job_id);
END;

CREATE TRIGGER find_job_mark_new AFTER INSERT ON job_mark
BEGIN
    DELETE FROM find_job WHERE rowid IN (NEW.job_id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (NEW.job_id);
END;

CREATE TRIGGER find_job_mark_gone AFTER DELETE ON job_mark
BEGIN
    DELETE FROM find_job WHERE rowid IN (OLD.job_id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (OLD.job_id);
END;

CREATE TRIGGER find_unit_changed AFTER UPDATE OF serial, tag, revision_id ON unit
BEGIN
    DELETE FROM find_job WHERE rowid IN (SELECT id FROM job WHERE unit_id = NEW.id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (SELECT id FROM job WHERE unit_id = NEW.id);
END;

CREATE TRIGGER find_symptom_changed AFTER UPDATE OF name ON symptom
BEGIN
    DELETE FROM find_job WHERE rowid IN (SELECT job_id FROM job_symptom WHERE symptom_id = NEW.id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (SELECT job_id FROM job_symptom WHERE symptom_id = NEW.id);
END;

CREATE TRIGGER find_owner_new AFTER INSERT ON owner
BEGIN
    DELETE FROM find_owner WHERE rowid IN (NEW.id);
    INSERT INTO find_owner (rowid, words) SELECT id, words FROM find_owner_words WHERE id IN (NEW.id);
END;

CREATE TRIGGER find_owner_changed AFTER UPDATE OF name, contact ON owner
BEGIN
    DELETE FROM find_owner WHERE rowid IN (NEW.id);
    INSERT INTO find_owner (rowid, words) SELECT id, words FROM find_owner_words WHERE id IN (NEW.id);
    DELETE FROM find_job WHERE rowid IN (SELECT id FROM job WHERE owner_id = NEW.id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (SELECT id FROM job WHERE owner_id = NEW.id);
END;

CREATE TRIGGER find_owner_gone AFTER DELETE ON owner
BEGIN
    DELETE FROM find_owner WHERE rowid IN (OLD.id);
    INSERT INTO find_owner (rowid, words) SELECT id, words FROM find_owner_words WHERE id IN (OLD.id);
END;

CREATE TRIGGER find_finding_new AFTER INSERT ON finding
BEGIN
    DELETE FROM find_finding WHERE rowid IN (NEW.id);
    INSERT INTO find_finding (rowid, words, about) SELECT id, words, about FROM find_finding_words WHERE id IN (NEW.id);
END;

CREATE TRIGGER find_finding_changed AFTER UPDATE ON finding
BEGIN
    DELETE FROM find_finding WHERE rowid IN (NEW.id);
    INSERT INTO find_finding (rowid, words, about) SELECT id, words, about FROM find_finding_words WHERE id IN (NEW.id);
END;

CREATE TRIGGER find_component_new AFTER INSERT ON component
BEGIN
    DELETE FROM find_component WHERE rowid IN (NEW.id);
    INSERT INTO find_component (rowid, words, about) SELECT id, words, about FROM find_component_words WHERE id IN (NEW.id);
END;

CREATE TRIGGER find_component_changed AFTER UPDATE OF name, aliases, model_id ON component
BEGIN
    DELETE FROM find_component WHERE rowid IN (NEW.id);
    INSERT INTO find_component (rowid, words, about) SELECT id, words, about FROM find_component_words WHERE id IN (NEW.id);
    DELETE FROM find_finding WHERE rowid IN (SELECT id FROM finding WHERE component_id = NEW.id);
    INSERT INTO find_finding (rowid, words, about) SELECT id, words, about FROM find_finding_words WHERE id IN (SELECT id FROM finding WHERE component_id = NEW.id);
END;

CREATE TRIGGER find_component_gone AFTER DELETE ON component
BEGIN
    DELETE FROM find_component WHERE rowid IN (OLD.id);
    INSERT INTO find_component (rowid, words, about) SELECT id, words, about FROM find_component_words WHERE id IN (OLD.id);
END;

CREATE TRIGGER find_fault_new AFTER INSERT ON fault
BEGIN
    DELETE FROM find_component WHERE rowid IN (NEW.component_id);
    INSERT INTO find_component (rowid, words, about) SELECT id, words, about FROM find_component_words WHERE id IN (NEW.component_id);
END;

CREATE TRIGGER find_fault_changed AFTER UPDATE ON fault
BEGIN
    DELETE FROM find_component WHERE rowid IN (OLD.component_id, NEW.component_id);
    INSERT INTO find_component (rowid, words, about) SELECT id, words, about FROM find_component_words WHERE id IN (OLD.component_id, NEW.component_id);
    DELETE FROM find_finding WHERE rowid IN (SELECT id FROM finding WHERE fault_id = NEW.id);
    INSERT INTO find_finding (rowid, words, about) SELECT id, words, about FROM find_finding_words WHERE id IN (SELECT id FROM finding WHERE fault_id = NEW.id);
END;

CREATE TRIGGER find_fault_gone AFTER DELETE ON fault
BEGIN
    DELETE FROM find_component WHERE rowid IN (OLD.component_id);
    INSERT INTO find_component (rowid, words, about) SELECT id, words, about FROM find_component_words WHERE id IN (OLD.component_id);
END;

CREATE TRIGGER find_entry_new AFTER INSERT ON entry
BEGIN
    DELETE FROM find_entry WHERE rowid IN (NEW.id, COALESCE(NEW.takes_back, 0));
    INSERT INTO find_entry (rowid, words) SELECT id, words FROM find_entry_words WHERE id IN (NEW.id, COALESCE(NEW.takes_back, 0));
END;

CREATE TRIGGER find_entry_private_new AFTER INSERT ON entry_private
BEGIN
    DELETE FROM find_entry WHERE rowid IN (NEW.entry_id);
    INSERT INTO find_entry (rowid, words) SELECT id, words FROM find_entry_words WHERE id IN (NEW.entry_id);
END;

CREATE TRIGGER find_entry_private_changed AFTER UPDATE ON entry_private
BEGIN
    DELETE FROM find_entry WHERE rowid IN (NEW.entry_id);
    INSERT INTO find_entry (rowid, words) SELECT id, words FROM find_entry_words WHERE id IN (NEW.entry_id);
END;

CREATE TRIGGER find_entry_private_gone AFTER DELETE ON entry_private
BEGIN
    DELETE FROM find_entry WHERE rowid IN (OLD.entry_id);
    INSERT INTO find_entry (rowid, words) SELECT id, words FROM find_entry_words WHERE id IN (OLD.entry_id);
END;

CREATE TRIGGER find_outcome_new AFTER INSERT ON outcome_entry
BEGIN
    DELETE FROM find_outcome WHERE rowid IN (NEW.id);
    INSERT INTO find_outcome (rowid, words) SELECT id, words FROM find_outcome_words WHERE id IN (NEW.id);
END;

CREATE TRIGGER find_part_new AFTER INSERT ON part
BEGIN
    DELETE FROM find_part WHERE rowid IN (NEW.id);
    INSERT INTO find_part (rowid, words) SELECT id, words FROM find_part_words WHERE id IN (NEW.id);
END;

CREATE TRIGGER find_part_changed AFTER UPDATE OF drawer, name, what ON part
BEGIN
    DELETE FROM find_part WHERE rowid IN (NEW.id);
    INSERT INTO find_part (rowid, words) SELECT id, words FROM find_part_words WHERE id IN (NEW.id);
END;

CREATE TRIGGER find_part_gone AFTER DELETE ON part
BEGIN
    DELETE FROM find_part WHERE rowid IN (OLD.id);
    INSERT INTO find_part (rowid, words) SELECT id, words FROM find_part_words WHERE id IN (OLD.id);
END;

CREATE TRIGGER find_model_new AFTER INSERT ON model
BEGIN
    DELETE FROM find_model WHERE rowid IN (NEW.id);
    INSERT INTO find_model (rowid, words) SELECT id, words FROM find_model_words WHERE id IN (NEW.id);
END;

CREATE TRIGGER find_model_changed AFTER UPDATE OF maker, name ON model
BEGIN
    DELETE FROM find_model WHERE rowid IN (NEW.id);
    INSERT INTO find_model (rowid, words) SELECT id, words FROM find_model_words WHERE id IN (NEW.id);
    DELETE FROM find_component WHERE rowid IN (SELECT id FROM component WHERE model_id = NEW.id);
    INSERT INTO find_component (rowid, words, about) SELECT id, words, about FROM find_component_words WHERE id IN (SELECT id FROM component WHERE model_id = NEW.id);
    DELETE FROM find_step WHERE rowid IN (SELECT id FROM revision WHERE model_id = NEW.id);
    INSERT INTO find_step (rowid, words, about) SELECT id, words, about FROM find_step_words WHERE id IN (SELECT id FROM revision WHERE model_id = NEW.id);
    DELETE FROM find_job WHERE rowid IN (SELECT id FROM job WHERE revision_id IN (SELECT id FROM revision WHERE model_id = NEW.id));
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (SELECT id FROM job WHERE revision_id IN (SELECT id FROM revision WHERE model_id = NEW.id));
    DELETE FROM find_finding WHERE rowid IN (SELECT id FROM finding WHERE revision_id IN (SELECT id FROM revision WHERE model_id = NEW.id));
    INSERT INTO find_finding (rowid, words, about) SELECT id, words, about FROM find_finding_words WHERE id IN (SELECT id FROM finding WHERE revision_id IN (SELECT id FROM revision WHERE model_id = NEW.id));
END;

CREATE TRIGGER find_revision_new AFTER INSERT ON revision
BEGIN
    DELETE FROM find_model WHERE rowid IN (NEW.model_id);
    INSERT INTO find_model (rowid, words) SELECT id, words FROM find_model_words WHERE id IN (NEW.model_id);
END;

CREATE TRIGGER find_revision_changed AFTER UPDATE OF name, tell_apart ON revision
BEGIN
    DELETE FROM find_model WHERE rowid IN (NEW.model_id);
    INSERT INTO find_model (rowid, words) SELECT id, words FROM find_model_words WHERE id IN (NEW.model_id);
    DELETE FROM find_step WHERE rowid IN (NEW.id);
    INSERT INTO find_step (rowid, words, about) SELECT id, words, about FROM find_step_words WHERE id IN (NEW.id);
    DELETE FROM find_job WHERE rowid IN (SELECT id FROM job WHERE revision_id = NEW.id);
    INSERT INTO find_job (rowid, tag, serial, model, owner, said, state) SELECT id, tag, serial, model, owner, said, state FROM find_job_words WHERE id IN (SELECT id FROM job WHERE revision_id = NEW.id);
END;

CREATE TRIGGER find_teardown_new AFTER INSERT ON teardown
BEGIN
    DELETE FROM find_step WHERE rowid IN (NEW.revision_id);
    INSERT INTO find_step (rowid, words, about) SELECT id, words, about FROM find_step_words WHERE id IN (NEW.revision_id);
END;
