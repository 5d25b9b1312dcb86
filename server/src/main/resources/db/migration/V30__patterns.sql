-- Whose parts came: what keeps coming back may be a supplier's. What came with an order until now says so in words.
ALTER TABLE part_movement ADD COLUMN supplier_id INTEGER REFERENCES supplier (id);
DROP TRIGGER part_movement_is_never_changed;
UPDATE part_movement
SET supplier_id = (SELECT supplier.id FROM supplier WHERE part_movement.why = 'from ' || supplier.name)
WHERE from_account = 'SUPPLIER' AND why GLOB 'from *';
CREATE TRIGGER part_movement_is_never_changed BEFORE UPDATE ON part_movement
BEGIN SELECT RAISE(ABORT, 'What is in part_movement is written once'); END;
CREATE INDEX part_movement_from ON part_movement (part_id) WHERE supplier_id IS NOT NULL;
