import type { BoltPlace } from './types.ts';

/**
 * The order in which the bolts of one flange are tightened. A ring gets a cross pattern: each next bolt as far round
 * as possible from the last, a tie broken by the smallest running imbalance (the length of the sum of the directions
 * already pulled down). A long row works from the middle outwards, and what lies equally far out goes corner to opposite
 * corner, never one end first: so do the four corners of a narrow flange. Two and three are taken as one reads.
 * The answer depends on where the bolts are, never on the order in which they are listed.
 * @param bolts places in millimetres; ids must be unique
 * @returns the ids in tightening order
 */
export function tighteningOrder(bolts: readonly BoltPlace[]): string[] {
  if (bolts.length <= 3)
    return [...bolts].sort((a, b) => a.y - b.y || a.x - b.x || a.id.localeCompare(b.id)).map(({ id }) => id);
  return isRow(bolts) ? middleOutwards(bolts) : crosswise(canonical(bolts));
}

interface Placed {
  readonly bolt: BoltPlace;
  /** Direction from the middle of the bolts, radians from straight up, clockwise on screen, 0 to 2π. */
  readonly angle: number;
}

const centreOf = (bolts: readonly BoltPlace[]): { x: number; y: number } => ({
  x: bolts.reduce((sum, { x }) => sum + x, 0) / bolts.length,
  y: bolts.reduce((sum, { y }) => sum + y, 0) / bolts.length,
});

/** Clockwise from the bolt nearest the upper left, so that any rotation of the list gives the same pattern. */
function canonical(bolts: readonly BoltPlace[]): Placed[] {
  const centre = centreOf(bolts);
  const turn = 2 * Math.PI;
  const placed = bolts.map((bolt) => ({
    bolt,
    // Measured from just before the upper-left diagonal, which rounding must not push to the end of the list.
    angle: (Math.atan2(bolt.x - centre.x, centre.y - bolt.y) + Math.PI / 4 + 1e-9 + 2 * turn) % turn,
  }));
  return placed.sort(byAngle);
}

const byAngle = (a: Placed, b: Placed): number => a.angle - b.angle || a.bolt.id.localeCompare(b.bolt.id);

/** A row is at least four times as long as it is wide, along its own main direction. */
function isRow(bolts: readonly BoltPlace[]): boolean {
  const { long, wide } = principalSpread(bolts);
  return long > 4 * wide;
}

function principalSpread(bolts: readonly BoltPlace[]): { long: number; wide: number; axis: { x: number; y: number } } {
  const centre = centreOf(bolts);
  let xx = 0;
  let yy = 0;
  let xy = 0;
  for (const { x, y } of bolts) {
    xx += (x - centre.x) ** 2;
    yy += (y - centre.y) ** 2;
    xy += (x - centre.x) * (y - centre.y);
  }
  const tilt = 0.5 * Math.atan2(2 * xy, xx - yy);
  const axis = { x: Math.cos(tilt), y: Math.sin(tilt) };
  const along = bolts.map(({ x, y }) => (x - centre.x) * axis.x + (y - centre.y) * axis.y);
  const across = bolts.map(({ x, y }) => (y - centre.y) * axis.x - (x - centre.x) * axis.y);
  const span = (values: number[]): number => Math.max(...values) - Math.min(...values);
  return { long: span(along), wide: span(across), axis };
}

function middleOutwards(bolts: readonly BoltPlace[]): string[] {
  const centre = centreOf(bolts);
  const { axis, long } = principalSpread(bolts);
  const placed = canonical(bolts)
    .map((each) => ({
      each,
      out: Math.abs((each.bolt.x - centre.x) * axis.x + (each.bolt.y - centre.y) * axis.y),
    }))
    .sort((a, b) => a.out - b.out);
  const rings: Placed[][] = [];
  let reach = Number.NEGATIVE_INFINITY;
  for (const { each, out } of placed) {
    if (out > reach) {
      rings.push([]);
      reach = out + SAME_REACH * long;
    }
    rings.at(-1)?.push(each);
  }
  return rings.flatMap((ring) => crosswise([...ring].sort(byAngle)));
}

/** Bolts this much further out, as a share of the row's length, still count as equally far. */
const SAME_REACH = 0.05;

/** The angle between two directions, 0 to π. */
function apart(a: number, b: number): number {
  const gap = Math.abs(a - b) % (2 * Math.PI);
  return Math.min(gap, 2 * Math.PI - gap);
}

function crosswise(placed: readonly Placed[]): string[] {
  const left = [...placed];
  const order: Placed[] = [];
  let pull = { x: 0, y: 0 };
  let next = left.shift();
  while (next !== undefined) {
    const last = next;
    order.push(last);
    pull = { x: pull.x + Math.cos(last.angle), y: pull.y + Math.sin(last.angle) };
    const imbalance = ({ angle }: Placed): number => Math.hypot(pull.x + Math.cos(angle), pull.y + Math.sin(angle));
    let best: Placed | undefined;
    for (const candidate of left) {
      if (best === undefined) {
        best = candidate;
        continue;
      }
      const further = apart(candidate.angle, last.angle) - apart(best.angle, last.angle);
      if (further > 1e-6 || (further > -1e-6 && imbalance(candidate) < imbalance(best) - 1e-6)) best = candidate;
    }
    if (best !== undefined) left.splice(left.indexOf(best), 1);
    next = best;
  }
  return order.map(({ bolt }) => bolt.id);
}
