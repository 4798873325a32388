-- Which engine computer or market variant is fitted, and what the cooling system holds, where somebody said so.
ALTER TABLE vehicle ADD COLUMN computer TEXT;
ALTER TABLE vehicle ADD COLUMN coolant TEXT;
