import { convert, format } from '../../quantity/index.ts';
import { id, keyOf, line, paragraph, record, type TypeOf, wholeWithin } from '../../shape/index.ts';
import { type OptionId, understand } from '../../diagnose/index.ts';
import { checkReading, countsHours, type EngineFamily, figuresOf, type Vehicle } from '../../vehicle/index.ts';
import { command } from '../command.ts';
import type { Context } from '../context.ts';
import { accept, type Decision, nonEmpty, refuse, refuseField } from '../decision.ts';
import { earlierWorkFound } from '../diagnosis/attempts.ts';
import { knowledgeChosen } from '../diagnosis/knowledge.ts';
import { fact } from '../fact.ts';
import { freshJob } from '../job.ts';
import { reading, vehicle } from '../shapes.ts';
import { whatWasTold } from './told.ts';

/** The figures that will judge the job and what it is used as, the family's where the vehicle has none: later edits change nothing here. */
export function withFigures(vehicle: Vehicle, family: EngineFamily | null): Vehicle {
  const { idleRpm = null, valveDuty = null, closedVolts = null } = figuresOf(vehicle, family);
  const use = vehicle.use ?? family?.use;
  return { ...vehicle, figures: { idleRpm, valveDuty, closedVolts }, ...(use === undefined ? {} : { use }) };
}

/** What {@link jobOpened} holds. */
export const jobOpenedShape = record({
  number: wholeWithin({ low: 1 }),
  vehicle,
  reading,
  readingReason: line,
  complaint: paragraph,
});
/** A job was opened on a vehicle, with the figures that will judge it. */
export const jobOpened = fact('job-opened', {
  shape: jobOpenedShape,
  means: (_, data) => data,
  words: () => 'Job opened',
  undo: 'final',
  sheet: 'Complaint',
});

/** Opens a job; the only command that needs none. */
export const openJob = command('open-job', {
  shape: record({ vehicleId: id, reading, readingReason: line, complaint: paragraph }),
  asks: ({ vehicleId }) => ({
    nextNumber: true,
    vehicle: vehicleId,
    knowledge: 'newest',
    family: true,
    earlier: vehicleId,
  }),
  decide: (job) => refuse('already-there', `Job ${job.number} is open already.`),
});

/** What {@link readingCorrected} holds. */
export const readingCorrectedShape = record({ reading, reason: line });
/** The odometer or hours were read wrongly at first. */
export const readingCorrected = fact('reading-corrected', {
  shape: readingCorrectedShape,
  means: (_, { reading, reason }) => ({ reading, readingReason: reason }),
  words: (data) => `Reading ${format(data.reading)}`,
  sheet: 'identity',
});

/** Corrects the reading. */
export const correctReading = command('correct-reading', {
  shape: readingCorrectedShape,
  decide: (job, data) => {
    const problem = checkReading(data.reading, job.vehicle.lastReading, data.reason);
    return problem === null ? accept(readingCorrected.of(data)) : refuseField('reading', problem.message);
  },
});

/** What {@link historyTold} holds. */
export const historyToldShape = record({ since: paragraph, doneBefore: paragraph });
/** Since when, and what was done before. */
export const historyTold = fact('history-told', {
  shape: historyToldShape,
  means: (_, { since, doneBefore }) => ({ since, doneBefore }),
  words: () => 'History noted',
  sheet: 'Complaint',
});

/** Notes since when, and what was done before. */
export const tellHistory = command('tell-history', {
  shape: historyToldShape,
  decide: (_, data) => accept(historyTold.of(data)),
});

/** What a job is for. */
export const JOB_KINDS = {
  fault: 'Something is wrong',
  service: 'Planned: clean or check',
  replacement: 'Planned: replace a unit',
} as const;

/** What {@link workPlanned} holds. */
export const workPlannedShape = record({ kind: keyOf(JOB_KINDS), what: line });
/** The work was planned, without any fault; or there is one after all. */
export const workPlanned = fact('work-planned', {
  shape: workPlannedShape,
  means: (_, data) => ({ planned: data.kind === 'fault' ? null : data }),
  words: (data) => (data.kind === 'fault' ? 'A fault after all' : `Planned: ${data.what}`),
  sheet: 'Complaint',
});

/** Says that the work is planned, or that there is a fault after all. */
export const planWork = command('plan-work', {
  shape: workPlannedShape,
  decide: (_, data) =>
    (data.kind === 'fault'
      ? null
      : nonEmpty('what', data.what, 'What is planned: clean the throttle at its interval?')) ??
    accept(workPlanned.of(data)),
});

/** Whether a job may be opened, and what that leads to; the one decision that is made without a job. */
export function decideOpening(data: TypeOf<typeof openJob.shape>, context: Context, at: string | null): Decision {
  const { vehicle, nextNumber, knowledge, family } = context;
  if (vehicle === null || nextNumber === null) return refuse('no-such-vehicle', 'That vehicle is not in the list.');
  const problem = checkReading(data.reading, vehicle.lastReading, data.readingReason);
  if (problem !== null) return refuseField('reading', problem.message);
  const missing = nonEmpty('complaint', data.complaint, 'What does the owner say is wrong?');
  if (missing) return missing;
  const { vehicleId: _, ...rest } = data;
  const opening = { number: nextNumber, vehicle: withFigures(vehicle, family), ...rest };
  const opened = jobOpened.of(opening);
  if (knowledge === null) return accept(opened);
  const works = earlierWorks(context, data.complaint, data.reading, at);
  // What is told when the job is opened is weighed at once; nobody types it twice.
  const job = freshJob('', opening, { at: at ?? '', by: '' }, 0);
  return accept(
    opened,
    knowledgeChosen.of({ version: knowledge.version }),
    ...(works.length === 0 ? [] : [earlierWorkFound.of({ works })]),
    ...whatWasTold(job, { id: 'opening', text: data.complaint }, knowledge, family),
  );
}

const DAY_MS = 86_400_000;
/** What was done here before is looked at this far back, at most so many jobs. */
const EARLIER_JOBS = 6;

/**
 * Earlier jobs with the same complaint, as attempts: what came back within the shop's distance or days did not help.
 * Another complaint says nothing of this one.
 */
function earlierWorks(
  { earlier, comeback, family, vehicle, knowledge }: Context,
  complaint: string,
  reading: TypeOf<typeof openJob.shape>['reading'],
  at: string | null,
): TypeOf<typeof earlierWorkFound.shape>['works'] {
  if (knowledge === null || earlier.length === 0) return [];
  const hours = countsHours(reading.unit);
  const symptoms = (text: string): ReadonlySet<string> => symptomsIn(text, knowledge);
  const now = symptoms(complaint);
  return earlier
    .slice(0, EARLIER_JOBS)
    .flatMap(({ jobId, number, option, closedAt, reading: then, complaint: told }) => {
      if (countsHours(then.unit) !== hours || ![...symptoms(told)].some((sign) => now.has(sign))) return [];
      const use = Math.max(0, hours ? reading.value - then.value : inKm(reading) - inKm(then));
      const days = at === null ? 0 : Math.max(0, (Date.parse(at) - Date.parse(closedAt)) / DAY_MS);
      const back = days <= comeback.days && use <= (hours ? comeback.h : comeback.km);
      const unit = unitDone(option, vehicle, family);
      return [
        {
          jobId,
          number,
          option,
          ...(unit === null ? {} : { unit }),
          helped: !back,
          ago: { km: hours ? null : Math.round(use), h: hours ? Math.round(use) : null, days: Math.round(days) },
        },
      ];
    });
}

/** Symptoms that somebody complained of. */
function symptomsIn(text: string, knowledge: NonNullable<Context['knowledge']>): ReadonlySet<string> {
  const signs = knowledge.signs.filter(({ kind }) => kind === 'symptom');
  const heard = understand(text, signs, knowledge.ownPhrases).heard;
  return new Set(heard.flatMap(({ sign, outcome }) => (outcome === 'no' ? [] : [sign])));
}

const inKm = ({ value, unit }: { readonly value: number; readonly unit: string }): number =>
  unit === 'mi' ? convert(value, 'mi', 'km') : value;

/** A vehicle with one unit leaves no question which it was. */
function unitDone(option: OptionId, vehicle: Vehicle | null, family: EngineFamily | null) {
  const units = vehicle?.units ?? [];
  const [only] = units;
  return option.startsWith('replace') && only !== undefined && units.length === 1 && family !== null
    ? { kind: only.kind, place: only.place }
    : null;
}
