/** The parts of a name of the trade: what it is, then what tells it from others, “Coil plug, left” in two. */
export function nameParts(name: string): { readonly what: string; readonly apart: string } {
  const comma = name.indexOf(',');
  return comma < 0
    ? { what: name.trim(), apart: '' }
    : { what: name.slice(0, comma).trim(), apart: name.slice(comma + 1).trim() };
}

/** One of several, as a word: “Body bolts” are “Body bolt” one by one. */
export const singular = (name: string): string => name.replace(/s$/, '');

/** “Hose clamp 3” after “Hose clamp 2”; “Hose clamp 2” after “Hose clamp”. @param taken names that are given already */
export function anotherName(name: string, taken: readonly string[]): string {
  const stem = name.replace(/\s+\d+$/, '');
  const used = new Set(taken.map((each) => each.toLowerCase()));
  for (let number = 2; ; number += 1) {
    const next = `${stem} ${number}`;
    if (!used.has(next.toLowerCase())) return next;
  }
}
