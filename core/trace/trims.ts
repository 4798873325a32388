import { quantile } from './statistics.ts';
import { between, channelOf, type Phase, type Role, type Trace, valueAt } from './trace.ts';

/** Trims of one bank under one condition, per cent; short and long together is what the mixture was off by. */
export interface TrimAt {
  readonly bank: 1 | 2;
  readonly short: number;
  readonly long: number;
  readonly together: number;
}

const BANKS = [
  { bank: 1, short: 'short-trim', long: 'long-trim' },
  { bank: 2, short: 'short-trim-second', long: 'long-trim-second' },
] as const satisfies readonly { bank: 1 | 2; short: Role; long: Role }[];

/** Trims over a stretch: the middle of each; banks that were not read are left out. */
export function trimsIn(trace: Trace, { from, to }: Pick<Phase, 'from' | 'to'>): TrimAt[] {
  return BANKS.flatMap(({ bank, short, long }) => {
    const [fast, slow] = [channelOf(trace, short), channelOf(trace, long)];
    if (fast === null && slow === null) return [];
    const middle = (channel: typeof fast): number => {
      if (channel === null) return 0;
      const part = between(channel, from, to);
      return part.values.length === 0 ? Number.NaN : quantile(part.values, 0.5);
    };
    const [a, b] = [middle(fast), middle(slow)];
    return Number.isFinite(a) && Number.isFinite(b) ? [{ bank, short: a, long: b, together: a + b }] : [];
  });
}

/** A speed that was held, s. */
export interface HeldSpeed {
  readonly from: number;
  readonly to: number;
  readonly rpm: number;
}

const HELD_S = 4;
const WITHIN = 0.06;

/**
 * The longest stretch at which a speed well above idle was held without driving.
 * @param idleRpm what it idles at @returns null where none was held for four seconds
 */
export function heldSpeed(trace: Trace, idleRpm: number): HeldSpeed | null {
  const rpm = channelOf(trace, 'rpm');
  const road = channelOf(trace, 'road-speed');
  if (rpm === null) return null;
  let best: HeldSpeed | null = null;
  const { times, values } = rpm;
  for (let at = 0; at < values.length; at += 1) {
    const start = values[at]!;
    if (start < 1.8 * idleRpm || (road !== null && valueAt(road, times[at]!) > 1)) continue;
    let [low, high, end] = [start, start, at];
    while (end + 1 < values.length) {
      const next = values[end + 1]!;
      if (Math.max(high, next) - Math.min(low, next) > WITHIN * start * 2) break;
      low = Math.min(low, next);
      high = Math.max(high, next);
      end += 1;
    }
    const lasted = times[end]! - times[at]!;
    if (lasted >= HELD_S && (best === null || lasted > best.to - best.from))
      best = { from: times[at]!, to: times[end]!, rpm: (low + high) / 2 };
    if (lasted >= HELD_S) at = end;
  }
  return best;
}
