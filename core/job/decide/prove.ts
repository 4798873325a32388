import { recipe } from '../../relearn/index.ts';
import { countsHours } from '../../vehicle/index.ts';
import { accept, type Refusal, refuse, refuseField } from '../commands.ts';
import { event } from '../events.ts';
import { MEASURES } from '../lists.ts';
import { jobMayStart } from '../tallies.ts';
import type { Job } from '../types.ts';
import { type Handlers, nonEmpty, plain, within } from './handlers.ts';

/** Relearn, prove, hand over, and what comes after. */
export const prove: Handlers<
  | 'start-run'
  | 'advance-run'
  | 'close-run'
  | 'take-measurement'
  | 'record-proof'
  | 'pass-stage'
  | 'hand-over'
  | 'reopen-job'
> = {
  'start-run': (job, data) => {
    const found = recipe(data.recipeId);
    if (found === undefined) return refuse('no-such-run', 'That run is not known here.');
    if (job.runs.some(({ id }) => id === data.id)) return refuse('already-there', 'That run was started already.');
    if (job.runs.some(({ closed }) => closed === null))
      return refuse('run-open', 'Another run is still open.', 'Close it first: took, did not take or abandoned.');
    return held(job) ?? accept(event('run-started', { id: data.id, recipe: found }));
  },
  'advance-run': (job, data) => {
    const run = job.runs.find(({ id }) => id === data.runId);
    if (run === undefined || run.closed !== null) return refuse('run-not-open', 'That run is not open.');
    if (data.input.kind === 'reading') {
      const bounds = { ect: [-50, 150], rpm: [0, 10_000], speed: [0, 300] } as const;
      const [low, high] = bounds[data.input.name];
      const wrong = within('value', data.input.value, low, high);
      if (wrong) return wrong;
    }
    return accept(event('run-advanced', data));
  },
  'close-run': (job, data) => {
    const run = job.runs.find(({ id }) => id === data.runId);
    if (run === undefined || run.closed !== null) return refuse('run-not-open', 'That run is not open.');
    if (data.outcome !== 'took')
      return nonEmpty('why', data.why, 'Say why, for the next attempt.') ?? accept(event('run-closed', data));
    return run.run.status === 'complete'
      ? accept(event('run-closed', data))
      : refuse('run-not-complete', 'It has not gone through all its steps.', 'Finish it, or close it as abandoned.');
  },
  'take-measurement': (job, data) => {
    const { low, high, unit } = MEASURES[data.kind];
    const wrong = within('value', data.value, low, high, unit);
    if (wrong) return wrong;
    return (data.when === 'after' ? held(job) : null) ?? accept(event('measurement-taken', data));
  },
  'record-proof': (job, data) =>
    held(job) ??
    (data.result === 'bad' ? nonEmpty('note', data.note, 'Say what was wrong.') : null) ??
    accept(event('proof-recorded', data)),
  'pass-stage': plain('stage-passed'),
  'hand-over': (job, data) => {
    const { nextDue } = data;
    if (nextDue !== null && countsHours(nextDue.unit) !== countsHours(job.reading.unit))
      return refuseField('nextDue', `This vehicle counts ${job.reading.unit}; got ${nextDue.unit}.`);
    if (nextDue !== null && nextDue.unit === job.reading.unit && nextDue.value <= job.reading.value) {
      return refuseField(
        'nextDue',
        `Expected more than today’s ${job.reading.value} ${job.reading.unit}, got ${nextDue.value}.`,
      );
    }
    return (
      held(job) ??
      within('labourMinutes', data.labourMinutes, 0, 60_000, 'minutes') ??
      within('ratePerHourMinor', data.ratePerHourMinor, 0, 10_000_000) ??
      (job.runs.some(({ closed }) => closed === null)
        ? refuse('run-open', 'A run is still open.', 'Close it first.')
        : null) ??
      (job.decision === null
        ? refuse('not-decided', 'Nothing was decided.', 'Say at Decide what was chosen and why.')
        : null) ??
      accept(event('handed-over', data))
    );
  },
  'reopen-job': (_, data) =>
    nonEmpty('reason', data.reason, 'Say why it is opened again.') ?? accept(event('job-reopened', data)),
};

/** The engine is held: nothing that starts it may be recorded. */
function held(job: Job): Refusal | null {
  const verdict = jobMayStart(job);
  if (verdict.may) return null;
  const shown = verdict.holds.slice(0, 4).map(({ words }) => words);
  const more = verdict.holds.length - shown.length;
  return refuse(
    'engine-held',
    `The engine is held: ${shown.join('; ')}${more > 0 ? `; and ${more} more` : ''}.`,
    'Clear what holds it first.',
  );
}
