import type { FoulingLevel } from './fouling.ts';
import { normalQuantile } from './normal.ts';
import { type MeterOn, rateOfUse, type RateOfUse } from './rateOfUse.ts';

/** A visit at which the deposit was looked at or taken away. */
export interface FoulingVisit {
  /** Days since any fixed day, the same as of the readings. */
  readonly day: number;
  /** Distance or running hours, whatever the readings count. */
  readonly meter: number;
  /** How fouled it was when it came; null where nobody looked. */
  readonly before: FoulingLevel | null;
  /** Whether it was cleaned, rebuilt or renewed then. */
  readonly cleaned: boolean;
  /** How fouled it was when it left; null where nobody looked: nearly clean after cleaning, as it came otherwise. */
  readonly after: FoulingLevel | null;
}

/** How fast vehicles of one kind foul: of the logarithm of use until due, mean and standard deviation between vehicles. */
export interface FoulingPrior {
  readonly meanLog: number;
  readonly sdLog: number;
  /** Vehicles it was learned from; 0 for the house interval alone. */
  readonly vehicles: number;
}

/** What is known of a vehicle. */
export interface DueInput {
  readonly readings: readonly MeterOn[];
  readonly visits: readonly FoulingVisit[];
  readonly prior: FoulingPrior;
  /** Used a day by vehicles of this kind where its own readings do not say. */
  readonly usualPerDay: number;
}

/** A likely figure with its band of 80 %. */
export interface Banded {
  readonly likely: number;
  readonly low: number;
  readonly high: number;
}

/** When a vehicle is due. */
export interface Due {
  /** On the meter, and on which day. */
  readonly meter: Banded;
  readonly day: Banded;
  /** Use from clean to due. */
  readonly interval: Banded;
  readonly perDay: number;
  /** Null where its own readings do not say. */
  readonly use: RateOfUse | null;
  /** From what: stretches between visits of its own, other vehicles of its kind, or the house interval alone. */
  readonly from: 'own' | 'kind' | 'house';
  /** Stretches of its own, cleaned to seen, that it is worked out from. */
  readonly stretches: number;
}

/** From one cleaning to the next a vehicle fouls faster or slower by so much: season, oil, driver. Standard deviation of the logarithm. */
const BETWEEN_STRETCHES = 0.15;
/** How fouled it leaves the bench when nobody graded it. */
const LEFT_CLEAN: FoulingLevel = { level: 0.08, sd: 0.08 };
/** A vehicle that stays clean fouls as if it had gone this far, and nobody knows much slower. */
const LEAST_FOULED = 0.1;
/** How much of the use to come is unlike the use of before. */
const USE_CHANGES = 0.12;
/** What is not known of use where no readings say: half as much or twice. */
const USE_UNKNOWN = 0.6;
const Z = normalQuantile(0.9);

/**
 * When it is due, from how fast it fouled between visits and how much it is used. Use until due is log-normal: each stretch
 * from a cleaning to the next look gives one estimate of it, weighed against the vehicles of its kind (normal with known
 * variances, on the logarithm). What is predicted is the next stretch, which differs from the last ones as those do from
 * each other.
 * @returns null for a vehicle that was never here
 */
export function dueOf({ readings, visits, prior, usualPerDay }: DueInput): Due | null {
  const sorted = visits.toSorted((a, b) => a.day - b.day);
  const last = sorted.at(-1);
  if (last === undefined) return null;
  const own = ownFouling(sorted);
  const { mean, variance } = posterior(prior, own);
  const interval = { mean, sd: Math.sqrt(variance + BETWEEN_STRETCHES ** 2) };
  const at = sorted.reduce<FoulingLevel>((level, visit) => leftAt(visit, level), LEFT_CLEAN);
  const left = Math.max(0.02, 1 - at.level);
  // What is left of the way is as uncertain as the level it leaves from.
  const way = { mean: mean + Math.log(left), sd: Math.hypot(interval.sd, Math.min(1, at.sd / left)) };
  const use = rateOfUse(readings, 0.8);
  const perDay = use === null || use.perDay <= 0 ? usualPerDay : use.perDay;
  const days = { mean: way.mean - Math.log(perDay), sd: Math.hypot(way.sd, spreadOfUse(use)) };
  const from = (start: number, { likely, low, high }: Banded): Banded => ({
    likely: start + likely,
    low: start + low,
    high: start + high,
  });
  return {
    meter: from(last.meter, banded(way)),
    day: from(last.day, banded(days)),
    interval: banded(interval),
    perDay,
    use,
    from: own !== null ? 'own' : prior.vehicles > 0 ? 'kind' : 'house',
    stretches: own?.stretches ?? 0,
  };
}

/** What a vehicle's own stretches say of the use from clean to due. */
interface OwnFouling {
  /** Its logarithm. */
  readonly log: number;
  readonly variance: number;
  readonly stretches: number;
}

const leftAt = ({ before, cleaned, after }: FoulingVisit, was: FoulingLevel): FoulingLevel =>
  after ?? (cleaned ? LEFT_CLEAN : (before ?? was));

/**
 * All stretches from what a vehicle left with to what it came with, taken together: use over fouling. One by one, a short
 * stretch with a coarse grade would weigh as if it were known; null where nothing was seen twice.
 */
function ownFouling(visits: readonly FoulingVisit[]): OwnFouling | null {
  let use = 0;
  let fouled = 0;
  let variance = 0;
  let stretches = 0;
  for (const [at, visit] of visits.entries()) {
    const earlier = visits[at - 1];
    const driven = visit.meter - (earlier?.meter ?? Infinity);
    if (earlier === undefined || visit.before === null || driven <= 0) continue;
    const start = leftAt(earlier, earlier.before ?? LEFT_CLEAN);
    use += driven;
    fouled += visit.before.level - start.level;
    variance += visit.before.sd ** 2 + start.sd ** 2;
    stretches += 1;
  }
  if (stretches === 0) return null;
  const way = Math.max(fouled, LEAST_FOULED);
  return { log: Math.log(use / way), variance: variance / way ** 2 + BETWEEN_STRETCHES ** 2 / stretches, stretches };
}

/** The logarithm of the use until due, of this vehicle: its own stretches against those of its kind. */
function posterior(
  { meanLog, sdLog }: FoulingPrior,
  own: OwnFouling | null,
): { readonly mean: number; readonly variance: number } {
  if (own === null) return { mean: meanLog, variance: sdLog ** 2 };
  const weight = 1 / own.variance;
  const precision = 1 / sdLog ** 2 + weight;
  return { mean: (meanLog / sdLog ** 2 + own.log * weight) / precision, variance: 1 / precision };
}

function spreadOfUse(use: RateOfUse | null): number {
  if (use === null || use.perDay <= 0) return USE_UNKNOWN;
  const seen = use.low > 0 ? Math.log(use.high / use.low) / (2 * Z) : USE_UNKNOWN;
  // Two or three readings make a band of nothing: as little as they can be believed, it is wide.
  return Math.hypot(Math.min(seen, USE_UNKNOWN), USE_CHANGES, 0.4 / use.readings);
}

const banded = ({ mean, sd }: { readonly mean: number; readonly sd: number }): Banded => ({
  likely: Math.exp(mean),
  low: Math.exp(mean - Z * sd),
  high: Math.exp(mean + Z * sd),
});

/** Between vehicles of one kind before anything was seen of them: half as long or nearly twice. */
const HOUSE_SPREAD = 0.45;
/** Vehicles of one kind always differ by as much. */
const LEAST_SPREAD = 0.25;
/** What the house interval counts beside vehicles that were seen. */
const HOUSE_WEIGHT = 3;

/**
 * How fast vehicles of a kind foul: the house interval, moved by what was seen of them. Each vehicle counts once; those that were seen move the mean as much as they are against a prior of three, and the spread
 * likewise.
 * @param interval the house's own, in the use that the meters count; more than zero
 */
export function priorOf(interval: number, vehicles: readonly (readonly FoulingVisit[])[]): FoulingPrior {
  const house = Math.log(interval);
  const each = vehicles.flatMap((visits) => ownFouling(visits.toSorted((a, b) => a.day - b.day)) ?? []);
  const logs = each.map(({ log }) => log);
  const weight = HOUSE_WEIGHT + logs.length;
  const meanLog = (HOUSE_WEIGHT * house + logs.reduce((sum, each) => sum + each, 0)) / weight;
  const square = each.reduce(
    // What stretches are off by is not what vehicles differ by.
    (sum, { log, variance }) => sum + Math.max(0, (log - meanLog) ** 2 - variance),
    HOUSE_WEIGHT * HOUSE_SPREAD ** 2,
  );
  return { meanLog, sdLog: Math.max(LEAST_SPREAD, Math.sqrt(Math.max(0, square) / weight)), vehicles: logs.length };
}
