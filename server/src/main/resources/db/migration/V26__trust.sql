-- Somebody who was put out: their history stays, and nothing opens to them any more.
ALTER TABLE person ADD COLUMN left_at INTEGER;

-- Where a sign-in was made, and that it was ended: what is ended opens nothing, and stays to be read for a while.
ALTER TABLE sign_in ADD COLUMN address TEXT NOT NULL DEFAULT '';
ALTER TABLE sign_in ADD COLUMN ended_at INTEGER;

-- What lets a script in: named, for some rooms, as a hash.
CREATE TABLE api_token (
    id         INTEGER PRIMARY KEY,
    name       TEXT    NOT NULL,
    token_hash TEXT    NOT NULL UNIQUE,
    scopes     TEXT    NOT NULL CHECK (json_valid(scopes)),
    made_at    INTEGER NOT NULL,
    made_by    INTEGER NOT NULL REFERENCES person (id),
    used_at    INTEGER,
    ended_at   INTEGER
) STRICT;
CREATE INDEX api_token_by_person ON api_token (made_by);

-- Which of them wrote a line.
ALTER TABLE journal ADD COLUMN token_id INTEGER REFERENCES api_token (id);
CREATE INDEX journal_by_day ON journal (at);

-- What happened at the shop's door: who came in, who was refused and why. Nobody need be known for it.
CREATE TABLE door_line (
    id        INTEGER PRIMARY KEY,
    at        INTEGER NOT NULL,
    kind      TEXT    NOT NULL,
    person_id INTEGER REFERENCES person (id),
    address   TEXT    NOT NULL DEFAULT '',
    words     TEXT    NOT NULL DEFAULT ''
) STRICT;
CREATE INDEX door_line_by_day ON door_line (at);
