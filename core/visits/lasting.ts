import type { OptionId } from '../choose/index.ts';
import { dayOf, daysBetween } from '../days/index.ts';
import { type Comparison, kaplanMeier, type Life, logRank, rateOfUse, type Survival } from '../interval/index.ts';
import type { Visit } from './visit.ts';

/** What a customer said of a vehicle that was not seen again. */
export const FOLLOW_UP_ANSWERS = {
  good: 'still good',
  'came-back': 'the same trouble again, seen to elsewhere',
  sold: 'sold',
  scrapped: 'scrapped',
  unknown: 'nobody could say',
} as const;
/** The id of a {@link FOLLOW_UP_ANSWERS}. */
export type FollowUpAnswer = keyof typeof FOLLOW_UP_ANSWERS;

/** An answer, and what its meter showed then where that was told. */
export interface FollowUp {
  readonly jobId: string;
  readonly answer: FollowUpAnswer;
  /** Km or hours as the visit's; null where it was not told. */
  readonly meter: number | null;
  /** ISO time. */
  readonly at: string;
}

/** By what it is known how long a repair held. */
export type KnownBy =
  /** It failed. */
  | 'failed'
  /** A later reading, in this shop. */
  | 'seen'
  /** The customer said so. */
  | 'told'
  /** Nobody said: it is assumed to be used as before, and marked so. */
  | 'assumed'
  /** Nothing but the hand-over itself. */
  | 'hand-over';

/** How long one repair held. */
export interface RepairLife extends Life {
  readonly jobId: string;
  readonly vehicleId: string;
  readonly option: OptionId;
  readonly unitKind: string;
  readonly familyId: string;
  readonly hours: boolean;
  readonly knownBy: KnownBy;
  /** The job at which it came back, where it did in this shop. */
  readonly failedIn: string | null;
}

/** What lives are worked out by. */
export interface LivesInput {
  /** Of one vehicle, in any order. */
  readonly visits: readonly Visit[];
  readonly followUps: readonly FollowUp[];
  /** ISO day. */
  readonly today: string;
}

/** Of months of use a few hours do not matter: any zone will do. */
const dayIn = (iso: string): string => dayOf(iso, 'UTC');
/** Less than this is no use at all, km or hours. */
const LEAST_USE = 1;
/** A vehicle that was seen within so many days needs no asking and no assuming. */
const SEEN_LATELY_DAYS = 60;

/**
 * How long the repairs of one vehicle held. A repair failed when the vehicle came again with a fault that was put down to
 * the throttle, or was opened again; planned work on the same unit ends it while it was still good. What was not seen again is
 * taken as far as it is known to: a later reading, what the customer said, else as it was used before, marked as assumed.
 * Scrapped and sold are ends at which it was still good.
 */
export function livesOf({ visits, followUps, today }: LivesInput): RepairLife[] {
  const sorted = visits.toSorted((a, b) => a.openedAt.localeCompare(b.openedAt));
  return sorted.flatMap((visit, at): RepairLife[] => {
    const { option, closedAt, unitKind } = visit;
    if (option === null || option === 'elsewhere' || unitKind === '' || closedAt === null) return [];
    const later = sorted.slice(at + 1).filter(({ hours }) => hours === visit.hours);
    const known = knownOf(
      visit,
      later,
      followUps.filter(({ jobId }) => jobId === visit.jobId),
      sorted,
      today,
    );
    return [
      {
        jobId: visit.jobId,
        vehicleId: visit.vehicleId,
        option,
        unitKind,
        familyId: visit.familyId,
        hours: visit.hours,
        ...known,
        use: Math.max(LEAST_USE, known.use),
      },
    ];
  });
}

type Known = Pick<RepairLife, 'use' | 'failed' | 'knownBy' | 'failedIn'>;

function knownOf(
  visit: Visit,
  later: readonly Visit[],
  told: readonly FollowUp[],
  all: readonly Visit[],
  today: string,
): Known {
  const until = (meter: number): number => meter - visit.meter;
  if (visit.reopened > 0) return { use: LEAST_USE, failed: true, knownBy: 'failed', failedIn: visit.jobId };
  // A cluster that was replaced counts from somewhere else: what came after it says nothing of the use.
  const anew = later.findIndex((each) => each.anew || each.meter < visit.meter);
  const countable = anew < 0 ? later : later.slice(0, anew);
  for (const each of countable) {
    if (each.option === 'elsewhere' || each.option === null) continue;
    const same = each.unitKind === visit.unitKind || each.unitKind === '';
    if (each.kind === 'fault' && same)
      return { use: until(each.meter), failed: true, knownBy: 'failed', failedIn: each.jobId };
    if (each.kind !== 'fault' && same)
      return { use: until(each.meter), failed: false, knownBy: 'seen', failedIn: null };
  }
  const last = countable.at(-1);
  const answer = told.toSorted((a, b) => a.at.localeCompare(b.at)).at(-1);
  const failed = answer?.answer === 'came-back';
  if (answer !== undefined && answer.answer !== 'unknown' && (last === undefined || answer.at > last.openedAt)) {
    if (answer.meter !== null && answer.meter > visit.meter)
      return { use: until(answer.meter), failed, knownBy: failed ? 'failed' : 'told', failedIn: null };
    const assumed = assumedUse(visit, all, dayIn(answer.at));
    if (assumed !== null) return { use: assumed, failed, knownBy: failed ? 'failed' : 'assumed', failedIn: null };
  }
  if (last !== undefined) return { use: until(last.meter), failed: false, knownBy: 'seen', failedIn: null };
  if (answer?.answer === 'unknown') {
    // Nobody could say: it is good as far as it was seen, which is not at all.
    return { use: LEAST_USE, failed: false, knownBy: 'hand-over', failedIn: null };
  }
  const closed = dayIn(visit.closedAt ?? visit.openedAt);
  const assumed = daysBetween(closed, today) > SEEN_LATELY_DAYS ? null : assumedUse(visit, all, today);
  return assumed === null
    ? { use: LEAST_USE, failed: false, knownBy: 'hand-over', failedIn: null }
    : { use: assumed, failed: false, knownBy: 'assumed', failedIn: null };
}

/** Use until a day as the vehicle was used before; null where its readings do not say. */
function assumedUse(visit: Visit, all: readonly Visit[], day: string): number | null {
  const use = rateOfUse(
    all
      .filter(({ hours }) => hours === visit.hours)
      .map(({ openedAt, meter, anew }) => ({ day: Date.parse(openedAt) / 86_400_000, value: meter, anew })),
  );
  const days = daysBetween(dayIn(visit.closedAt ?? visit.openedAt), day);
  return use === null || use.perDay <= 0 || days <= 0 ? null : use.perDay * days;
}

/** Whether a repair asks for a call: nobody knows how it goes, and it is long enough ago to ask. */
export const wantsFollowUp = ({ knownBy, failed }: RepairLife, closedDay: string, today: string): boolean =>
  !failed && (knownBy === 'hand-over' || knownBy === 'assumed') && daysBetween(closedDay, today) >= ASK_AFTER_DAYS;
/** After so many days a customer has an opinion. */
export const ASK_AFTER_DAYS = 120;

/** How long one kind of repair lasts. */
export interface Lasting {
  readonly option: OptionId;
  readonly unitKind: string;
  readonly hours: boolean;
  readonly lives: readonly RepairLife[];
  readonly survival: Survival;
  /** How many are known by nothing but their hand-over: they say nothing. */
  readonly unseen: number;
  readonly assumed: number;
}

/** What lasts, by kind of repair and kind of unit; most repairs first. @param familyId only of one family; null for all */
export function lastingOf(lives: readonly RepairLife[], familyId: string | null = null): Lasting[] {
  const kinds = new Map<string, RepairLife[]>();
  for (const life of lives) {
    if (familyId !== null && life.familyId !== familyId) continue;
    const key = `${life.option} ${life.unitKind} ${life.hours}`;
    const known = kinds.get(key);
    if (known === undefined) kinds.set(key, [life]);
    else known.push(life);
  }
  return [...kinds.values()]
    .map((own): Lasting => {
      const told = own.filter(({ knownBy }) => knownBy !== 'hand-over');
      const [first] = own;
      return {
        option: first!.option,
        unitKind: first!.unitKind,
        hours: first!.hours,
        lives: own,
        survival: kaplanMeier(told),
        unseen: own.length - told.length,
        assumed: own.filter(({ knownBy }) => knownBy === 'assumed').length,
      };
    })
    .toSorted((a, b) => b.lives.length - a.lives.length || a.option.localeCompare(b.option));
}

/** Two kinds of repair compared, by what is known of each. */
export const compareLasting = (a: Lasting, b: Lasting): Comparison => logRank(known(a), known(b));
const known = ({ lives }: Lasting): RepairLife[] => lives.filter(({ knownBy }) => knownBy !== 'hand-over');
