import type { OptionId } from '../choose/index.ts';
import { type FoulingLevel, foulingLevel } from '../interval/index.ts';
import type { Job } from '../job/index.ts';
import { isLooseUnit } from '../vehicle/index.ts';

/** Why a vehicle came. */
export type VisitKind = 'fault' | 'service' | 'replacement';

/** What one job tells of its vehicle over the years. */
export interface Visit {
  readonly jobId: string;
  readonly number: number;
  readonly vehicleId: string;
  /** Empty where the vehicle is of no family. */
  readonly familyId: string;
  readonly kind: VisitKind;
  /** What was decided; null while nothing was. */
  readonly option: OptionId | null;
  /** The kind of unit that it was done to: `throttle-body`; empty where it is done to none. */
  readonly unitKind: string;
  /** ISO times. */
  readonly openedAt: string;
  readonly closedAt: string | null;
  /** Distance in km, or running hours. */
  readonly meter: number;
  readonly hours: boolean;
  /** The cluster was replaced before this reading. */
  readonly anew: boolean;
  readonly before: FoulingLevel | null;
  readonly after: FoulingLevel | null;
  /** Whether the deposit was taken away, or the unit renewed. */
  readonly cleaned: boolean;
  /** How often it was opened again after it had been handed over. */
  readonly reopened: number;
}

const MILE_KM = 1.609344;
const CLEANS: ReadonlySet<OptionId> = new Set([
  'clean-in-place',
  'clean-bench',
  'rebuild',
  'replace',
  'replace-rebuilt',
  'replace-used',
]);
/** What leaves every unit as it is. */
const OF_NO_UNIT: ReadonlySet<OptionId> = new Set(['relearn', 'elsewhere', 'remove']);

/** What a job tells of its vehicle; null for one that was called off, and for a unit that came without a vehicle. */
export function visitOf(job: Job): Visit | null {
  if (job.cancelled !== null || isLooseUnit(job.vehicle)) return null;
  const option = job.decision?.choice ?? null;
  const closedAt = job.status === 'closed' ? (job.handOver?.at ?? null) : null;
  return {
    jobId: job.id,
    number: job.number,
    vehicleId: job.vehicle.id,
    familyId: job.vehicle.familyId ?? '',
    kind: job.planned?.kind ?? 'fault',
    option,
    unitKind: option === null || OF_NO_UNIT.has(option) ? '' : unitKindOf(job),
    openedAt: job.opened.at,
    closedAt,
    ...meterOf(job),
    anew: job.readingReason.trim() !== '',
    before: levelOf(job, 'before'),
    after: levelOf(job, 'after'),
    cleaned: closedAt !== null && option !== null && CLEANS.has(option),
    reopened: job.reopened.length,
  };
}

/** What the meter showed: distance in km, whatever it counts in, or running hours. */
export const meterOf = ({ reading: { value, unit } }: Job): { readonly meter: number; readonly hours: boolean } => ({
  meter: unit === 'mi' ? value * MILE_KM : value,
  hours: unit === 'h',
});

/** The kind of unit that the first step of what was decided is done to; without a plan the first that the vehicle has. */
function unitKindOf({ decision, vehicle }: Job): string {
  const [, at = ''] = (decision?.plan?.[0] ?? '').split('@');
  return at.split(':')[0] || vehicle.units[0]?.kind || 'throttle-body';
}

/** How fouled it was seen: by the worst grade, and, before, by what the work gave back of air and of duty. */
function levelOf(job: Job, when: 'before' | 'after'): FoulingLevel | null {
  const grades = job.findings.flatMap((finding) => (finding.when === when ? (finding.grade ?? []) : []));
  // After several rounds the last look counts, before the worst.
  const last = new Map<string, number>();
  for (const { when: of, unit, judged, grade } of job.findings)
    if (of === when && grade !== null) last.set(`${unit} ${judged?.which ?? ''}`, grade);
  const grade = grades.length === 0 ? null : Math.max(...(when === 'before' ? grades : last.values()));
  if (when === 'after') return foulingLevel({ grade, lostMm2: null, extraDuty: null });
  return foulingLevel({ grade, lostMm2: gained(job, areaOf), extraDuty: negated(gained(job, dutyOf)) });
}

type Told = (job: Job, when: 'before' | 'after') => number | undefined;
const areaOf: Told = ({ recordings }, when) =>
  recordings
    .filter((recording) => recording.when === when)
    .flatMap(({ figures }) => figures.flatMap(({ kind, value }) => (kind === 'gap-area' ? [value] : [])))
    .at(-1);
const dutyOf: Told = ({ measurements, recordings }, when) =>
  measurements.findLast(({ kind, when: of }) => kind === 'valve-duty' && of === when)?.value ??
  recordings
    .filter((recording) => recording.when === when)
    .flatMap(({ figures }) => figures.flatMap(({ kind, value }) => (kind === 'duty' ? [value] : [])))
    .at(-1);

/** After less before, where both are known. */
function gained(job: Job, told: Told): number | null {
  const [before, after] = [told(job, 'before'), told(job, 'after')];
  return before === undefined || after === undefined ? null : after - before;
}
const negated = (value: number | null): number | null => (value === null ? null : -value);
