import { format } from '../../quantity/index.ts';
import { id, line, paragraph, record, type TypeOf, wholeWithin } from '../../shape/index.ts';
import { checkReading, type EngineFamily, figuresOf, type Vehicle } from '../../vehicle/index.ts';
import { command } from '../command.ts';
import type { Context } from '../context.ts';
import { accept, type Decision, nonEmpty, refuse, refuseField } from '../decision.ts';
import { knowledgeChosen } from '../diagnosis/knowledge.ts';
import { fact } from '../fact.ts';
import { reading, vehicle } from '../shapes.ts';

/** The figures that will judge the job, the family's where the vehicle has none: later edits change nothing here. */
function withFigures(vehicle: Vehicle, family: EngineFamily | null): Vehicle {
  const { idleRpm = null, valveDuty = null, closedVolts = null } = figuresOf(vehicle, family);
  return { ...vehicle, figures: { idleRpm, valveDuty, closedVolts } };
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
  asks: ({ vehicleId }) => ({ nextNumber: true, vehicle: vehicleId, knowledge: 'newest', family: true }),
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

/** Whether a job may be opened, and what that leads to; the one decision that is made without a job. */
export function decideOpening(
  data: TypeOf<typeof openJob.shape>,
  { vehicle, nextNumber, knowledge, family }: Context,
): Decision {
  if (vehicle === null || nextNumber === null) return refuse('no-such-vehicle', 'That vehicle is not in the list.');
  const problem = checkReading(data.reading, vehicle.lastReading, data.readingReason);
  if (problem !== null) return refuseField('reading', problem.message);
  const missing = nonEmpty('complaint', data.complaint, 'What does the owner say is wrong?');
  if (missing) return missing;
  const { vehicleId: _, ...rest } = data;
  const opened = jobOpened.of({ number: nextNumber, vehicle: withFigures(vehicle, family), ...rest });
  return knowledge === null ? accept(opened) : accept(opened, knowledgeChosen.of({ version: knowledge.version }));
}
