import { id, keyOf, line, number, oneOf, optional, paragraph, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, within } from '../decision.ts';
import { fact } from '../fact.ts';
import { when } from '../shapes.ts';
import { condition } from './conditions.ts';
import { held } from './held.ts';
import { MEASURES, measureText, PROOF_SHORT, PROOFS } from './kinds.ts';

/** What {@link measurementTaken} holds. */
export const measurementTakenShape = record({
  id,
  kind: keyOf(MEASURES),
  when,
  value: number,
  /** As it was typed: 0.50 V stays 0.50. Left out where it was read from the vehicle. */
  typed: optional(line),
  ...condition,
});
/** A figure was measured before or after. */
export const measurementTaken = fact('measurement-taken', {
  shape: measurementTakenShape,
  means: (job, data, stamp) => ({
    measurements: [
      ...job.measurements.filter((known) => !(known.kind === data.kind && known.when === data.when)),
      { ...data, ...stamp },
    ],
  }),
  words: (data) => `${MEASURES[data.kind].name} ${measureText(data)} ${MEASURES[data.kind].unit}`,
  putRight: {
    anew: {
      command: 'take-measurement',
      from: ({ typed: _, ...data }) => data,
      fields: { value: { label: 'Figure', typedInto: 'typed' } },
    },
  },
  sheet: 'Proved',
});

/** Takes a measurement. */
export const takeMeasurement = command('take-measurement', {
  shape: measurementTakenShape,
  decide: (job, data) => {
    const { low, high, unit } = MEASURES[data.kind];
    const wrong = within('value', data.value, low, high, unit);
    if (wrong) return wrong;
    return (data.when === 'after' ? held(job) : null) ?? accept(measurementTaken.of(data));
  },
});

/** What {@link proofRecorded} holds. */
export const proofRecordedShape = record({
  check: keyOf(PROOFS),
  result: oneOf('good', 'bad'),
  note: paragraph,
  ...condition,
});
/** Something was proved by looking or driving, or was not. */
export const proofRecorded = fact('proof-recorded', {
  shape: proofRecordedShape,
  means: (job, data, stamp) => ({
    proofs: [...job.proofs.filter(({ check }) => check !== data.check), { ...data, ...stamp }],
  }),
  words: (data) => `${PROOF_SHORT[data.check]}: ${data.result}`,
  putRight: {
    anew: {
      command: 'record-proof',
      from: (data) => data,
      fields: { result: { label: 'Result', choices: { good: 'Good', bad: 'Not good' } }, note: { label: 'Note' } },
    },
  },
  sheet: 'Proved',
});

/** Records a proof. */
export const recordProof = command('record-proof', {
  shape: proofRecordedShape,
  decide: (job, data) =>
    held(job) ??
    (data.result === 'bad' ? nonEmpty('note', data.note, 'Say what was wrong.') : null) ??
    accept(proofRecorded.of(data)),
});
