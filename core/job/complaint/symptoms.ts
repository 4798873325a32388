import { id, line, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link symptomNoted} holds. */
export const symptomNotedShape = record({ id, text: line });
/** A symptom in short words. */
export const symptomNoted = fact('symptom-noted', {
  shape: symptomNotedShape,
  means: (job, data, stamp) => ({ symptoms: [...job.symptoms, { ...data, ...stamp }] }),
  words: (data) => `Noted: ${data.text}`,
  sheet: 'Complaint',
});

/** Notes a symptom. */
export const noteSymptom = command('note-symptom', {
  shape: symptomNotedShape,
  decide: (job, data) => {
    const missing = nonEmpty('text', data.text, 'Say what is noticed.');
    if (missing) return missing;
    const known = job.symptoms.some(({ text }) => text.toLowerCase() === data.text.trim().toLowerCase());
    return known
      ? refuse('already-there', `“${data.text}” is already noted.`)
      : accept(symptomNoted.of({ ...data, text: data.text.trim() }));
  },
});

/** What {@link symptomStruck} holds. */
export const symptomStruckShape = record({ id });
/** A symptom was struck out. */
export const symptomStruck = fact('symptom-struck', {
  shape: symptomStruckShape,
  means: (job, { id }) => ({ symptoms: job.symptoms.filter((symptom) => symptom.id !== id) }),
  words: () => 'Symptom struck out',
  sheet: 'Complaint',
});

/** Strikes a symptom. */
export const strikeSymptom = command('strike-symptom', {
  shape: symptomStruckShape,
  decide: (job, data) =>
    job.symptoms.some(({ id }) => id === data.id)
      ? accept(symptomStruck.of(data))
      : refuse('not-there', 'That symptom is not noted.'),
});
