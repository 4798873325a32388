import { coldness, idleTarget, type Live, rpmOf } from './live.ts';
import { roll } from '../chance/index.ts';

/** What a computer watches for: a code, how long it must be seen, and whether it is seen now. */
interface Monitor {
  readonly code: string;
  readonly afterS: number;
  readonly sees: (s: Live) => boolean;
}

const idling = (s: Live): boolean => s.running && s.pedal < 1 && s.runS > 8 && s.roadMs < 0.5 && coldness(s) < 0.1;
const trims = (s: Live, bank: 0 | 1): number => s.trimShort[bank] + s.trimLong[bank];

const MONITORS: readonly Monitor[] = [
  { code: 'P0506', afterS: 12, sees: (s) => idling(s) && rpmOf(s) < idleTarget(s) - 100 },
  { code: 'P0507', afterS: 12, sees: (s) => idling(s) && rpmOf(s) > idleTarget(s) + 200 },
  { code: 'P0511', afterS: 4, sees: (s) => s.key !== 'off' && s.spec.valveMm2 > 0 && s.faults.deadCoil },
  {
    code: 'P2101',
    afterS: 1,
    sees: (s) => s.key !== 'off' && s.spec.governor === 'plate' && s.faults.throttleUnplugged,
  },
  {
    code: 'P2119',
    afterS: 6,
    sees: (s) =>
      s.spec.governor === 'plate' &&
      s.running &&
      s.plateDeg > s.plateAskedDeg + Math.max(1.5, s.faults.plateStickDeg * 0.5),
  },
  { code: 'P0171', afterS: 40, sees: (s) => s.running && trims(s, 0) > 20 },
  { code: 'P0174', afterS: 40, sees: (s) => s.running && s.spec.banks === 2 && trims(s, 1) > 20 },
  { code: 'P0172', afterS: 40, sees: (s) => s.running && trims(s, 0) < -20 },
  { code: 'P0300', afterS: 20, sees: (s) => s.running && s.faults.misfire > 0.03 && roll(s) < 0.9 },
  {
    code: 'P0121',
    afterS: 0.1,
    sees: ({ faults, plateDeg }) =>
      faults.wornTrack !== null && Math.abs(plateDeg - faults.wornTrack.atDeg) < faults.wornTrack.widthDeg / 2,
  },
  { code: 'P0562', afterS: 10, sees: (s) => s.running && s.volts < 12.8 },
];

/** Seen so long it is pending; seen twice as long it is stored. */
export function watch(s: Live, dt: number): void {
  for (const { code, afterS, sees } of MONITORS) {
    const before = s.seen[code] ?? 0;
    const now = sees(s) ? before + dt : 0;
    if (now === before) continue;
    s.seen = { ...s.seen, [code]: now };
    if (now >= afterS && !s.pending.includes(code)) s.pending = [...s.pending, code];
    if (now >= 2 * afterS && !s.stored.includes(code)) s.stored = [...s.stored, code];
  }
}
