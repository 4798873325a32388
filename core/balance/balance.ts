/** What a gauge shows at one body: suction below the outside air, kPa. */
export interface Suction {
  /** Which body, by its place: “cylinder 2”. */
  readonly place: string;
  readonly kPa: number;
}

/** How one body stands against the one that has no screw of its own. */
export interface Against {
  readonly place: string;
  /** Suction over that of the reference, kPa: plus is a plate that is less open. */
  readonly offKPa: number;
  readonly turn: 'open' | 'close' | 'leave';
}

/** How even the bodies of a bank draw. */
export interface Balance {
  readonly meanKPa: number;
  /** Highest less lowest. */
  readonly spreadKPa: number;
  readonly even: boolean;
  readonly against: readonly Against[];
  /** The body whose screw is turned first: farthest off; null where the bank is even. */
  readonly first: Against | null;
}

/** The spread that is even enough, kPa (20 mmHg): a shop figure, to be verified. */
export const EVEN_SPREAD_KPA = 2.7;
/** A difference that no gauge of a workshop tells from none, kPa. */
const SAME_KPA = 0.15;

/**
 * How even a bank draws, and which screw to turn first. More suction at a body means that its plate lets less through:
 * its screw opens it. One screw is turned at a time, then all are read again, since each moves the idle of all.
 * @param reference the body without a screw of its own; the others are brought to it
 * @param mostKPa the spread that counts as even
 * @throws RangeError for fewer than two bodies, or a reference that is not among them
 */
export function balanceOf(read: readonly Suction[], reference: string, mostKPa = EVEN_SPREAD_KPA): Balance {
  if (read.length < 2) throw new RangeError(`Expected at least two bodies to balance, got ${read.length}.`);
  const base = read.find(({ place }) => place === reference);
  if (base === undefined) throw new RangeError(`Expected the reference “${reference}” among the bodies.`);
  const all = read.map(({ kPa }) => kPa);
  const spreadKPa = Math.max(...all) - Math.min(...all);
  const even = spreadKPa <= mostKPa + 1e-9;
  const against = read
    .filter(({ place }) => place !== reference)
    .map(({ place, kPa }): Against => {
      const offKPa = kPa - base.kPa;
      return { place, offKPa, turn: Math.abs(offKPa) <= SAME_KPA ? 'leave' : offKPa > 0 ? 'open' : 'close' };
    });
  const farthest = [...against].sort((a, b) => Math.abs(b.offKPa) - Math.abs(a.offKPa))[0] ?? null;
  return {
    meanKPa: all.reduce((sum, each) => sum + each, 0) / all.length,
    spreadKPa,
    even,
    against,
    first: even ? null : farthest,
  };
}
