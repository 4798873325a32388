import { flag, list, record, whole } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import { awaitingCountersign } from './awaiting.ts';

/** What {@link countersignAsked} holds: the entries of the same command. */
export const countersignAskedShape = record({ seqs: list(whole, { low: 1 }) });
/** What an apprentice just entered waits for a technician to look at it. It comes with those entries and goes with them. */
export const countersignAsked = fact('countersign-asked', {
  shape: countersignAskedShape,
  means: (job, data, stamp) => ({ countersignAsked: [...job.countersignAsked, { ...data, ...stamp }] }),
  words: () => 'A technician is to look at it',
  undo: { keeps: ['countersignAsked'] },
  sheet: { no: 'whether somebody looked at it stands beside it' },
});

/** What {@link countersigned} holds: the entries, and whether the hand-over of the job as it stood then is among it. */
export const countersignedShape = record({ seqs: list(whole), handOver: flag });
/** Somebody looked at what an apprentice did, and puts a name beside it. */
export const countersigned = fact('countersigned', {
  shape: countersignedShape,
  means: (job, data, stamp) => ({ countersigned: [...job.countersigned, { ...data, ...stamp }] }),
  words: ({ seqs, handOver }) =>
    handOver ? 'Hand-over countersigned' : `Countersigned: ${seqs.length} ${seqs.length === 1 ? 'entry' : 'entries'}`,
  sheet: 'Left over or unusual',
});

/** Puts a name beside entries of an apprentice, or beside the hand-over that an apprentice is about to make. */
export const countersign = command('countersign', {
  shape: countersignedShape,
  may: { roles: ['lead', 'technician'], words: 'A technician or a lead countersigns.' },
  decide: (job, data) => {
    if (data.seqs.length === 0 && !data.handOver)
      return refuse('nothing-awaited', 'There is nothing to countersign.', 'Choose the entries that were looked at.');
    const awaited = new Set(awaitingCountersign(job).map(({ seq }) => seq));
    if (data.seqs.some((seq) => !awaited.has(seq)))
      return refuse(
        'not-awaited',
        'Some of these do not wait for a countersignature any more.',
        'Somebody countersigned them, or they were taken back. Look at what is left.',
      );
    return accept(countersigned.of(data));
  },
});
