-- Parts that know what they are: read off their labels once (V28), told by people afterwards. No kind: nobody could read it yet.
ALTER TABLE part ADD COLUMN kind TEXT;
ALTER TABLE part ADD COLUMN fields TEXT NOT NULL DEFAULT '{"form":1}';
ALTER TABLE part ADD COLUMN place TEXT NOT NULL DEFAULT '';
ALTER TABLE part ADD COLUMN supplier_number TEXT NOT NULL DEFAULT '';
ALTER TABLE part ADD COLUMN pack INTEGER NOT NULL DEFAULT 1 CHECK (pack >= 1);
-- Somebody's own word on when to order; else the movements say.
ALTER TABLE part ADD COLUMN minimum INTEGER CHECK (minimum >= 0);
ALTER TABLE part ADD COLUMN gone INTEGER NOT NULL DEFAULT 0 CHECK (gone IN (0, 1));
-- For a test only: it must not leave the shop.
ALTER TABLE part ADD COLUMN temporary INTEGER NOT NULL DEFAULT 0 CHECK (temporary IN (0, 1));
ALTER TABLE part ADD COLUMN photo TEXT REFERENCES photo (hash);
CREATE INDEX part_of_kind ON part (kind, id);

-- What lies in each account: the sum of the movements, kept with each of them, so that nobody adds up two hundred thousand.
CREATE TABLE part_balance (
    part_id     INTEGER NOT NULL REFERENCES part (id),
    account     TEXT    NOT NULL,
    count       INTEGER NOT NULL,
    value_minor INTEGER NOT NULL,
    PRIMARY KEY (part_id, account)
) STRICT, WITHOUT ROWID;

INSERT INTO part_balance (part_id, account, count, value_minor)
SELECT part_id, account, SUM(count), SUM(value_minor)
FROM (SELECT part_id, to_account AS account, count, value_minor FROM part_movement WHERE part_id IS NOT NULL
      UNION ALL
      SELECT part_id, from_account, -count, -value_minor FROM part_movement WHERE part_id IS NOT NULL)
GROUP BY part_id, account;

CREATE TRIGGER part_movement_is_summed AFTER INSERT ON part_movement WHEN NEW.part_id IS NOT NULL
BEGIN
    INSERT INTO part_balance (part_id, account, count, value_minor)
    VALUES (NEW.part_id, NEW.to_account, NEW.count, NEW.value_minor)
    ON CONFLICT (part_id, account)
        DO UPDATE SET count = part_balance.count + excluded.count, value_minor = part_balance.value_minor + excluded.value_minor;
    INSERT INTO part_balance (part_id, account, count, value_minor)
    SELECT NEW.part_id, NEW.from_account, 0, 0
    WHERE NOT EXISTS (SELECT 1 FROM part_balance WHERE part_id = NEW.part_id AND account = NEW.from_account);
    UPDATE part_balance
    SET count = count - NEW.count, value_minor = value_minor - NEW.value_minor
    WHERE part_id = NEW.part_id AND account = NEW.from_account;
END;

-- What somebody says of a part at a component: that it fits, or that it does not, and why.
CREATE TABLE part_fit (
    id           INTEGER PRIMARY KEY,
    part_id      INTEGER NOT NULL REFERENCES part (id),
    component_id INTEGER NOT NULL REFERENCES component (id),
    fits         INTEGER NOT NULL CHECK (fits IN (0, 1)),
    why          TEXT    NOT NULL,
    at           INTEGER NOT NULL,
    by           INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX part_fit_of_part ON part_fit (part_id, component_id);
CREATE INDEX part_fit_at ON part_fit (component_id, part_id);

-- A drawer counted through: what each count found beside what the book said at that moment, so that nothing need stand still meanwhile.
CREATE TABLE stock_take (
    id       INTEGER PRIMARY KEY,
    drawer   TEXT    NOT NULL,
    at       INTEGER NOT NULL,
    by       INTEGER NOT NULL REFERENCES person (id),
    ended_at INTEGER,
    ended_by INTEGER REFERENCES person (id),
    -- Whether its differences were taken over, or thrown away.
    taken    INTEGER CHECK (taken IN (0, 1)),
    CHECK ((ended_at IS NULL) = (taken IS NULL))
) STRICT;
CREATE UNIQUE INDEX stock_take_open ON stock_take (drawer) WHERE ended_at IS NULL;

CREATE TABLE stock_count (
    id      INTEGER PRIMARY KEY,
    take_id INTEGER NOT NULL REFERENCES stock_take (id),
    part_id INTEGER NOT NULL REFERENCES part (id),
    counted INTEGER NOT NULL CHECK (counted >= 0),
    booked  INTEGER NOT NULL,
    at      INTEGER NOT NULL,
    by      INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX stock_count_of_take ON stock_count (take_id, part_id, id);
CREATE INDEX part_told_in ON part_told (part_id, component_id, job_id) WHERE part_id IS NOT NULL AND back_at IS NULL;

-- Orders. Where a line stands follows from its events; a line is wanted first, for a job or for the drawer, and gathered into an order then.
CREATE TABLE supplier (
    id      INTEGER PRIMARY KEY,
    name    TEXT    NOT NULL UNIQUE,
    mail    TEXT    NOT NULL DEFAULT '',
    -- Where it takes orders as JSON over HTTP; empty: on paper and by mail.
    address TEXT    NOT NULL DEFAULT '',
    number  TEXT    NOT NULL DEFAULT '',
    version INTEGER NOT NULL DEFAULT 1
) STRICT;

CREATE TABLE part_order (
    id            INTEGER PRIMARY KEY,
    supplier_id   INTEGER NOT NULL REFERENCES supplier (id),
    words         TEXT    NOT NULL DEFAULT '',
    freight_minor INTEGER NOT NULL DEFAULT 0 CHECK (freight_minor >= 0),
    -- How the supplier calls it, once it has said so.
    their_number  TEXT    NOT NULL DEFAULT '',
    at            INTEGER NOT NULL,
    by            INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX part_order_of ON part_order (supplier_id, at);

CREATE TABLE order_line (
    id           INTEGER PRIMARY KEY,
    order_id     INTEGER REFERENCES part_order (id),
    part_id      INTEGER NOT NULL REFERENCES part (id),
    count        INTEGER NOT NULL CHECK (count > 0),
    each_minor   INTEGER NOT NULL CHECK (each_minor >= 0),
    job_id       INTEGER REFERENCES job (id),
    component_id INTEGER REFERENCES component (id),
    hold_id      INTEGER REFERENCES hold (id),
    why          TEXT    NOT NULL,
    -- Whether anything is still to come of it, as its events say.
    open         INTEGER NOT NULL DEFAULT 1 CHECK (open IN (0, 1)),
    -- Days from the order to the last of it, once all came.
    took         REAL,
    -- How many were set aside for its job so far.
    served       INTEGER NOT NULL DEFAULT 0 CHECK (served >= 0),
    at           INTEGER NOT NULL,
    by           INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX order_line_open ON order_line (id) WHERE open = 1;
CREATE INDEX order_line_open_of ON order_line (part_id, id) WHERE open = 1;
CREATE INDEX order_line_took ON order_line (id) WHERE took IS NOT NULL;
CREATE INDEX order_line_of ON order_line (order_id);
CREATE INDEX order_line_of_part ON order_line (part_id, id);
CREATE INDEX order_line_of_job ON order_line (job_id) WHERE job_id IS NOT NULL;
CREATE INDEX order_line_waits ON order_line (part_id, id) WHERE job_id IS NOT NULL AND served < count;

CREATE TABLE order_event (
    id      INTEGER PRIMARY KEY,
    line_id INTEGER NOT NULL REFERENCES order_line (id),
    what    TEXT    NOT NULL,
    count   INTEGER NOT NULL CHECK (count > 0),
    day     TEXT,
    words   TEXT    NOT NULL DEFAULT '',
    at      INTEGER NOT NULL,
    by      INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX order_event_of ON order_event (line_id, id);
CREATE TRIGGER order_event_is_never_changed BEFORE UPDATE ON order_event
BEGIN SELECT RAISE(ABORT, 'What is in order_event is written once'); END;
CREATE TRIGGER order_event_is_never_deleted BEFORE DELETE ON order_event
BEGIN SELECT RAISE(ABORT, 'What is in order_event is written once'); END;
