/** Whether one number may stand in for another. */
export const FITS = { fits: 'fits', 'fits-but': 'fits, but', no: 'does not fit' } as const;
/** The id of a {@link FITS}. */
export type Fit = keyof typeof FITS;

/** A statement about two part numbers; it holds both ways. */
export interface CrossReference {
  readonly a: string;
  readonly b: string;
  readonly fit: Fit;
  /** What has to be known: “0.5 mm thicker”, “sets idle codes”. */
  readonly note: string;
  readonly source: string | null;
}

/** A number that may stand in. */
export interface StandIn {
  readonly number: string;
  readonly fit: Fit;
  readonly notes: readonly string[];
  /** Numbers in between; empty for a direct statement. */
  readonly through: readonly string[];
}

/** Whether two part numbers are one, however they are spaced, dashed and capitalised; an empty one is none. */
export const samePart = (a: string, b: string): boolean => plainNumber(a) !== '' && plainNumber(a) === plainNumber(b);

/** A part number as it is compared: letters and digits in capitals, without spaces, dashes and points. */
export const plainNumber = (number: string): string => number.toUpperCase().replace(/[^\p{L}\p{N}]/gu, '');

/**
 * What may stand in for a number. *Fits* is passed on (what fits a thing that fits, fits), *fits, but* taints all that
 * comes after it, *does not fit* ends there and outweighs what a chain would say. The shortest chain is given.
 */
export function standIns(references: readonly CrossReference[], number: string): StandIn[] {
  const start = plainNumber(number);
  const found = new Map<string, StandIn>();
  const queue: { key: string; number: string; fit: Fit; notes: readonly string[]; through: readonly string[] }[] = [
    { key: start, number, fit: 'fits', notes: [], through: [] },
  ];
  const reached = new Set([start]);
  const refused = new Set<string>();
  for (const reference of references) {
    const other = otherEnd(reference, start);
    if (other === null || reference.fit !== 'no') continue;
    refused.add(plainNumber(other));
    found.set(plainNumber(other), { number: other, fit: 'no', notes: notesOf([], reference), through: [] });
  }
  for (let here = queue.shift(); here !== undefined; here = queue.shift()) {
    for (const reference of references) {
      const other = otherEnd(reference, here.key);
      const key = other === null ? '' : plainNumber(other);
      if (other === null || reference.fit === 'no' || reached.has(key) || refused.has(key)) continue;
      reached.add(key);
      const fit: Fit = here.fit === 'fits-but' || reference.fit === 'fits-but' ? 'fits-but' : 'fits';
      const through = here.key === start ? [] : [...here.through, here.number];
      const entry = { number: other, fit, notes: notesOf(here.notes, reference), through };
      found.set(key, entry);
      queue.push({ key, ...entry });
    }
  }
  const rank: Readonly<Record<Fit, number>> = { fits: 0, 'fits-but': 1, no: 2 };
  return [...found.values()].sort(
    (a, b) => rank[a.fit] - rank[b.fit] || a.through.length - b.through.length || a.number.localeCompare(b.number),
  );
}

const notesOf = (before: readonly string[], { note }: CrossReference): readonly string[] =>
  note === '' ? before : [...before, note];

function otherEnd({ a, b }: CrossReference, key: string): string | null {
  if (plainNumber(a) === key) return b;
  return plainNumber(b) === key ? a : null;
}
