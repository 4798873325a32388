import { parseDtc } from '../../vehicle/index.ts';
import { checkReading } from '../../vehicle/index.ts';
import { accept, refuse, refuseField } from '../commands.ts';
import { event } from '../events.ts';
import type { Handlers } from './handlers.ts';
import { nonEmpty, plain } from './handlers.ts';

/** Complaint, codes, own checks and notes. */
export const intake: Handlers<
  | 'correct-reading'
  | 'tell-history'
  | 'note-symptom'
  | 'strike-symptom'
  | 'read-code'
  | 'read-codes-out'
  | 'do-check'
  | 'make-note'
  | 'acknowledge-caution'
> = {
  'correct-reading': (job, data) => {
    const problem = checkReading(data.reading, job.vehicle.lastReading, data.reason);
    return problem === null ? accept(event('reading-corrected', data)) : refuseField('reading', problem.message);
  },
  'tell-history': plain('history-told'),
  'note-symptom': (job, data) => {
    const missing = nonEmpty('text', data.text, 'Say what is noticed.');
    if (missing) return missing;
    const known = job.symptoms.some(({ text }) => text.toLowerCase() === data.text.trim().toLowerCase());
    return known
      ? refuse('already-there', `“${data.text}” is already noted.`)
      : accept(event('symptom-noted', { ...data, text: data.text.trim() }));
  },
  'strike-symptom': (job, data) =>
    job.symptoms.some(({ id }) => id === data.id)
      ? accept(event('symptom-struck', data))
      : refuse('not-there', 'That symptom is not noted.'),
  'read-code': (job, data) => {
    const parsed = parseDtc(data.code);
    if (!parsed.ok) return refuseField('code', parsed.message);
    const { code } = parsed.dtc;
    const known = job.codes.some((read) => read.code === code && read.when === data.when);
    return known ? refuse('already-there', `${code} is already noted.`) : accept(event('code-read', { ...data, code }));
  },
  'read-codes-out': plain('codes-read-out'),
  'do-check': (_, data) =>
    nonEmpty('name', data.name, 'Say what was checked.') ??
    nonEmpty('result', data.result, 'Say what was found.') ??
    accept(event('check-done', data)),
  'make-note': (_, data) => nonEmpty('text', data.text, 'Type the note first.') ?? accept(event('note-made', data)),
  'acknowledge-caution': (job, data) =>
    job.cautions.includes(data.caution)
      ? refuse('already-there', 'That caution was acknowledged already.')
      : accept(event('caution-acknowledged', data)),
};
