-- When a unit was built, as it is stamped; and engines that start by themselves, where somebody has said so (0 no, 1 yes).
ALTER TABLE unit ADD COLUMN built TEXT NOT NULL DEFAULT '';
ALTER TABLE vehicle ADD COLUMN self_starting INTEGER CHECK (self_starting IN (0, 1));
-- How long each part held on a vehicle: from the job that fitted it to the job that replaced it.
CREATE INDEX replaced_by_number ON unit_replaced (old_number);
