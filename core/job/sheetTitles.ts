/** The parts of the sheet by their headings, in the order in which they are printed; `identity` is its head. */
export const SHEET_TITLES = [
  'identity',
  'Complaint',
  'Checked and decided',
  'Units',
  'Came off and went back',
  'Fasteners',
  'Found on the bench',
  'Used and fitted',
  'On the bench',
  'Waste',
  'Coolant',
  'Bleeding and relearn',
  'Proved',
  'Put right',
  'Left over or unusual',
  'Time and money',
  'What to watch',
] as const;

/** The heading of a part of the sheet. */
export type SheetTitle = (typeof SHEET_TITLES)[number];
