/** What moves stock by hand; what jobs use is counted from the jobs themselves. */
export const MOVEMENTS = {
  counted: 'Counted',
  received: 'Received',
  used: 'Used without a job',
  spoilt: 'Spoilt or past its date',
  'given-back': 'Given back',
} as const;
/** The id of a movement; stored, never change one. */
export type MovementKind = keyof typeof MOVEMENTS;

/** The change that a typed figure makes, or what is wrong with it. @param left what the book says is there */
export function changeOf(kind: MovementKind, figure: number, left: number): { change: number } | { problem: string } {
  if (!Number.isInteger(figure)) return { problem: `Expected a whole number, got ${figure}.` };
  if (kind === 'counted')
    return figure < 0 ? { problem: 'Expected 0 or more: how many lie there?' } : { change: figure - left };
  if (figure <= 0) return { problem: `Expected 1 or more, got ${figure}.` };
  return { change: kind === 'received' || kind === 'given-back' ? figure : -figure };
}

/** What a count below zero means, in a sentence, or null. */
export const negativeWords = (left: number): string | null =>
  left < 0 ? `${-left} more used than was ever booked in: count again.` : null;
