-- What notes say of a revision as a whole, a picture that tells a revision apart, other names of components, and
-- components that are models of their own.
ALTER TABLE teardown ADD COLUMN overview TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(overview));

ALTER TABLE revision ADD COLUMN look TEXT CHECK (look IS NULL OR json_valid(look));

ALTER TABLE component ADD COLUMN aliases TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(aliases));
ALTER TABLE component ADD COLUMN inside INTEGER REFERENCES model (id);
ALTER TABLE component ADD COLUMN version INTEGER NOT NULL DEFAULT 1;

-- Which variant of a sub-assembly sits in a unit, as seen once it was open, with the notes it was then gone by.
CREATE TABLE fitted (
    job_id       INTEGER NOT NULL REFERENCES job (id),
    component_id INTEGER NOT NULL REFERENCES component (id),
    revision_id  INTEGER NOT NULL REFERENCES revision (id),
    teardown_id  INTEGER NOT NULL REFERENCES teardown (id),
    at           INTEGER NOT NULL,
    by           INTEGER NOT NULL REFERENCES person (id),
    PRIMARY KEY (job_id, component_id)
) STRICT, WITHOUT ROWID;

CREATE INDEX closing_by_person ON closing (by);
