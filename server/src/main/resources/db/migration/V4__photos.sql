-- Pictures lie as files in the data folder, named by the SHA-256 of what is kept; here stands who brought them.
CREATE TABLE photo (
    hash    TEXT    PRIMARY KEY CHECK (length(hash) = 64),
    width   INTEGER NOT NULL CHECK (width > 0),
    height  INTEGER NOT NULL CHECK (height > 0),
    made_at INTEGER NOT NULL,
    made_by INTEGER NOT NULL REFERENCES person (id)
) STRICT, WITHOUT ROWID;
