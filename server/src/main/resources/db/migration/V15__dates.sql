-- In which order the shop writes a day.
ALTER TABLE shop ADD COLUMN dates TEXT NOT NULL DEFAULT 'DAY_FIRST';
