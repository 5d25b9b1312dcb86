-- On what labels tags are printed.
ALTER TABLE shop ADD COLUMN tags TEXT NOT NULL DEFAULT 'W70_H30';
