import { day, idOrNone, line, orNull, paragraph, record } from '../../shape/index.ts';
import { addDays, dayOf, sayDate } from '../../days/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';
import { lyingOpen } from '../start/tallies.ts';

/** What {@link jobAssigned} holds. */
export const jobAssignedShape = record({ to: idOrNone, name: line, note: paragraph });
/** A job was given to somebody, with a note that waits for them; or to nobody in particular. */
export const jobAssigned = fact('job-assigned', {
  shape: jobAssignedShape,
  means: (_, data, stamp) => ({ assigned: data.to === '' ? null : { ...data, ...stamp } }),
  words: ({ to, name }) => (to === '' ? 'Given to nobody in particular' : `Given to ${name}`),
  sheet: { no: 'who did what stands at each entry' },
});

/** Gives a job to somebody; an empty `to` takes it back. */
export const assignJob = command('assign-job', {
  shape: jobAssignedShape,
  decide: (job, data) => {
    if (data.to === '' && job.assigned === null)
      return refuse('already-there', 'It is nobody’s in particular already.');
    if (data.to !== '' && job.assigned?.to === data.to && job.assigned.note === data.note.trim())
      return refuse('already-there', `${data.name} has it already.`);
    return accept(jobAssigned.of({ ...data, note: data.note.trim() }));
  },
});

/** What {@link jobPutAside} holds. */
export const jobPutAsideShape = record({ until: orNull(day), why: paragraph });
/** A job rests until a day, or until somebody takes it up. */
export const jobPutAside = fact('job-put-aside', {
  shape: jobPutAsideShape,
  means: (_, data, stamp) => ({ aside: { ...data, ...stamp } }),
  words: ({ until }) => (until === null ? 'Put aside' : `Put aside until ${sayDate(until)}`),
  sheet: { no: 'a rest is no work; the waiting minutes have it' },
});

/** Puts a job aside. */
export const putAside = command('put-aside', {
  shape: jobPutAsideShape,
  decide: (_, { until, why }, __, at) => {
    // Gone in every time zone: which of two days it is, only the shop knows.
    if (until !== null && at !== null && until < addDays(dayOf(at, 'UTC'), -1))
      return refuseField('until', `${sayDate(until)} is gone: expected today or later.`);
    return (
      nonEmpty('why', why, 'Why does it rest? Somebody will ask.') ?? accept(jobPutAside.of({ until, why: why.trim() }))
    );
  },
});

/** What {@link jobTakenUp} holds. */
export const jobTakenUpShape = record({});
/** A job that was put aside goes on. */
export const jobTakenUp = fact('job-taken-up', {
  shape: jobTakenUpShape,
  means: () => ({ aside: null }),
  words: () => 'Taken up again',
  sheet: { no: 'a rest is no work; the waiting minutes have it' },
});

/** Takes a job up again. */
export const takeUp = command('take-up', {
  shape: jobTakenUpShape,
  decide: (job) => (job.aside === null ? refuse('not-there', 'It was not put aside.') : accept(jobTakenUp.of({}))),
});

/** What {@link jobCancelled} holds. */
export const jobCancelledShape = record({ why: paragraph });
/** The work is not done after all; the job is closed, and says so everywhere. */
export const jobCancelled = fact('job-cancelled', {
  shape: jobCancelledShape,
  means: (_, data, stamp) => ({ cancelled: { ...data, ...stamp }, status: 'closed', aside: null }),
  words: () => 'Cancelled',
  undo: 'final',
  sheet: 'Left over or unusual',
});

/** Cancels a job: nothing may lie open, in or off. */
export const cancelJob = command('cancel-job', {
  shape: jobCancelledShape,
  decide: (job, { why }) => {
    const open = lyingOpen(job);
    if (open.length > 0)
      return refuse(
        'engine-held',
        `It cannot go like this: ${open
          .slice(0, 4)
          .map(({ words }) => words)
          .join('; ')}${open.length > 4 ? `; and ${open.length - 4} more` : ''}.`,
        'Put it back first, or strike what never came off.',
      );
    return nonEmpty('why', why, 'Why is it not done after all?') ?? accept(jobCancelled.of({ why: why.trim() }));
  },
});
