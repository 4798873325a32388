import { pointName } from '../../inspect/index.ts';
import { id, line, orNull, paragraph, record, whole } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuseField, within } from '../decision.ts';
import { fact } from '../fact.ts';
import { when } from '../shapes.ts';

/** What {@link findingRecorded} holds. */
export const findingRecordedShape = record({ id, unit: id, point: line, when, grade: orNull(whole), text: paragraph });
/** Something was seen of a unit, in a grade or in words. */
export const findingRecorded = fact('finding-recorded', {
  shape: findingRecordedShape,
  means: (job, data, stamp) => ({
    findings: [
      ...job.findings.filter(
        (known) => !(known.point === data.point && known.unit === data.unit && known.when === data.when),
      ),
      { ...data, ...stamp },
    ],
  }),
  words: (data) => `${pointName(data.point)} looked at`,
  putRight: { anew: { command: 'record-finding', from: (data) => data, fields: { text: { label: 'What was seen' } } } },
  sheet: 'Found on the bench',
});

/** Records what was seen. */
export const recordFinding = command('record-finding', {
  shape: findingRecordedShape,
  decide: (_, data) => {
    if (data.grade === null && data.text.trim() === '') return refuseField('text', 'Pick a grade or say what you see.');
    return (data.grade === null ? null : within('grade', data.grade, 0, 4)) ?? accept(findingRecorded.of(data));
  },
});
