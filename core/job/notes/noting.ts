import { id, oneOf, paragraph, record } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import { STAGE_NAMES, STAGES } from '../stages.ts';

/** What {@link noteMade} holds. */
export const noteMadeShape = record({ id, stage: oneOf(...STAGES), text: paragraph });
/** A note. */
export const noteMade = fact('note-made', {
  shape: noteMadeShape,
  means: (job, data, stamp) => ({ notes: [...job.notes, { ...data, ...stamp }] }),
  words: (data) => `Note at ${lowerFirst(STAGE_NAMES[data.stage])}`,
  putRight: { anew: { command: 'make-note', from: (data) => data, fields: { text: { label: 'Note' } } } },
  sheet: 'What to watch',
});

/** Makes a note. */
export const makeNote = command('make-note', {
  shape: noteMadeShape,
  whenClosed: true,
  decide: (_, data) => nonEmpty('text', data.text, 'Type the note first.') ?? accept(noteMade.of(data)),
});

/** What {@link cautionAcknowledged} holds. */
export const cautionAcknowledgedShape = record({ caution: id });
/** A caution was read. */
export const cautionAcknowledged = fact('caution-acknowledged', {
  shape: cautionAcknowledgedShape,
  means: (job, { caution }) => ({ cautions: [...job.cautions, caution] }),
  words: () => 'Caution read',
  undo: { keeps: ['cautions'] },
  sheet: { no: 'reading it is between the person and the job' },
});

/** Acknowledges a caution. */
export const acknowledgeCaution = command('acknowledge-caution', {
  shape: cautionAcknowledgedShape,
  decide: (job, data) =>
    job.cautions.includes(data.caution)
      ? refuse('already-there', 'That caution was acknowledged already.')
      : accept(cautionAcknowledged.of(data)),
});
