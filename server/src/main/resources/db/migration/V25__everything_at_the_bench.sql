-- The parts that went in for a component before are offered when it is found wrong again.
CREATE INDEX part_told_for ON part_told (component_id, part_id, job_id) WHERE part_id IS NOT NULL AND back_at IS NULL;

-- What a fault looked like, as it was found. The last one of a fault is shown to whoever asks what it is.
CREATE TABLE finding_photo (
    finding_id INTEGER NOT NULL REFERENCES finding (id),
    -- The finding's own, which never changes: what is asked for is the last picture of a fault.
    fault_id   INTEGER NOT NULL REFERENCES fault (id),
    hash       TEXT    NOT NULL REFERENCES photo (hash),
    at         INTEGER NOT NULL,
    by         INTEGER NOT NULL REFERENCES person (id),
    PRIMARY KEY (finding_id, hash)
) STRICT, WITHOUT ROWID;
CREATE INDEX finding_photo_of_fault ON finding_photo (fault_id);

-- On which bench a unit lies: that of the browser that began its run, or took it over with its tray.
CREATE TABLE at_bench (
    job_id INTEGER PRIMARY KEY REFERENCES job (id),
    bench  TEXT    NOT NULL,
    at     INTEGER NOT NULL,
    by     INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX run_under_way ON run (job_id) WHERE closing_id IS NULL;

-- Reasons that were given before are offered again.
CREATE INDEX entry_power ON entry (id) WHERE kind = 'POWER';
CREATE INDEX closing_for_now ON closing (id) WHERE for_now IS NOT NULL;
CREATE INDEX ledger_left_out ON ledger_entry (id) WHERE to_account = 'LEFT_OUT' AND reason <> '';

-- What was said of a step on the way in is shown there on the way back.
CREATE INDEX entry_remark ON entry (job_id, id) WHERE kind = 'REMARK';
