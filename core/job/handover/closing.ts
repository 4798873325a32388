import { id, line, number, oneOf, orNull, paragraph, record, whole } from '../../shape/index.ts';
import { countsHours } from '../../vehicle/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { handOverCountersigned } from '../countersign/awaiting.ts';
import { accept, nonEmpty, refuse, refuseField, within } from '../decision.ts';
import { fact } from '../fact.ts';
import { held } from '../proof/held.ts';
import { reading } from '../shapes.ts';
import { WHILE_RUNNING } from '../start/tallies.ts';
import { STAGE_NAMES, STAGES } from '../stages.ts';
import { unanswered } from './openPoints.ts';

/** What {@link stagePassed} holds. */
export const stagePassedShape = record({ stage: oneOf(...STAGES) });
/** A stage is done. */
export const stagePassed = fact('stage-passed', {
  shape: stagePassedShape,
  means: (job, { stage }) => ({ passed: job.passed.includes(stage) ? job.passed : [...job.passed, stage] }),
  words: (data) => `${STAGE_NAMES[data.stage]} done`,
  sheet: { no: 'the sections say what was done' },
});

/** Goes on to the next stage. */
export const passStage = command('pass-stage', {
  shape: stagePassedShape,
  decide: (_, data) => accept(stagePassed.of(data)),
});

/** What {@link handedOver} holds. */
export const handedOverShape = record({
  watch: paragraph,
  nextDue: orNull(reading),
  labourMinutes: number,
  ratePerHourMinor: whole,
  currency: line,
});
/** The vehicle was handed over; the job is closed. */
export const handedOver = fact('handed-over', {
  shape: handedOverShape,
  means: (job, data, stamp) => ({
    handOver: { ...data, ...stamp },
    status: 'closed',
    passed: job.passed.includes('hand-over') ? job.passed : [...job.passed, 'hand-over'],
  }),
  words: () => 'Handed over',
  undo: 'final',
  sheet: 'Time and money',
});

/** Hands the vehicle over. */
export const handOver = command('hand-over', {
  shape: handedOverShape,
  decide: (job, data, { role, alone }) => {
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
      held(job, WHILE_RUNNING) ??
      within('labourMinutes', data.labourMinutes, 0, 60_000, 'minutes') ??
      within('ratePerHourMinor', data.ratePerHourMinor, 0, 10_000_000) ??
      (job.runs.some(({ closed, run }) => closed === null && run.recipe.way !== 'itself')
        ? refuse('run-open', 'A run is still open.', 'Close it first.', { stage: 'relearn' })
        : null) ??
      (job.decision === null
        ? refuse('not-decided', 'Nothing was decided.', 'Say at Decide what was chosen and why.', { stage: 'decide' })
        : null) ??
      (unanswered(job).length > 0
        ? refuse(
            'still-open',
            `Still open: ${unanswered(job)
              .map(({ words }) => words)
              .join('; ')}.`,
            'Say of each why it goes like this, what to watch, and when it is looked at again.',
            { stage: 'hand-over', spot: 'still-open' },
          )
        : null) ??
      (role === 'apprentice' && !alone && !handOverCountersigned(job)
        ? refuse(
            'countersign-first',
            'An apprentice hands over with a technician’s name beside it.',
            'Ask a technician or a lead to look at the job as it stands and to countersign the hand-over.',
            { stage: 'hand-over', spot: 'countersign' },
          )
        : null) ??
      accept(handedOver.of(data))
    );
  },
});

/** What {@link jobReopened} holds. */
export const jobReopenedShape = record({ reason: paragraph });
/** A closed job was opened again. */
export const jobReopened = fact('job-reopened', {
  shape: jobReopenedShape,
  means: (job, data, stamp) => ({
    status: 'open',
    cancelled: null,
    reopened: [...job.reopened, { ...data, ...stamp }],
    passed: job.passed.filter((stage) => stage !== 'hand-over'),
  }),
  words: () => 'Opened again',
  undo: 'final',
  sheet: 'What to watch',
});

/** Opens a closed job again. */
export const reopenJob = command('reopen-job', {
  shape: jobReopenedShape,
  whenClosed: true,
  decide: (job, data) =>
    (job.status === 'open' ? refuse('not-closed', 'This job is open.') : null) ??
    nonEmpty('reason', data.reason, 'Say why it is opened again.') ??
    accept(jobReopened.of(data)),
});

/** What {@link recheckSet} holds. */
export const recheckSetShape = record({ id, what: line, days: orNull(whole), use: orNull(number) });
/** Something is to be looked at again after the hand-over. */
export const recheckSet = fact('recheck-set', {
  shape: recheckSetShape,
  means: (job, data, stamp) => ({
    rechecks: [...job.rechecks.filter(({ what }) => what !== data.what), { ...data, ...stamp }],
  }),
  words: (data) => `To be looked at again: ${lowerFirst(data.what)}`,
  putRight: {
    anew: {
      command: 'set-recheck',
      from: (data) => data,
      fields: { what: { label: 'What is looked at again' }, days: { label: 'After how many days' } },
    },
  },
  sheet: 'What to watch',
});

/** Sets something to be looked at again. */
export const setRecheck = command('set-recheck', {
  shape: recheckSetShape,
  decide: (job, data) => {
    const per = job.vehicle.meterUnit;
    const wrong =
      nonEmpty('what', data.what, 'What is to be looked at again?') ??
      (data.days === null ? null : within('days', data.days, 1, 3650, 'days')) ??
      (data.use === null ? null : within('use', data.use, 1, 500_000, per));
    if (wrong) return wrong;
    return data.days === null && data.use === null
      ? refuseField('days', `After how many days, or how many ${per}?`)
      : accept(recheckSet.of(data));
  },
});
