import { z } from 'zod';
import { PASS_KINDS, SUBSTANCES } from '../core/clean/index.ts';
import { CHOICES, MEASURES, PROOFS, STAGES } from '../core/job/index.ts';
import { count, id, isoDay, keysOf, line, meterReading, number, paragraph, unitKind, when } from './primitives.ts';
import { beforeConstraint, procedureItem } from './procedure.ts';
import { runInput } from './run.ts';

/** Shapes that a command and its event share, each named after the event. */
export const shapes = {
  'reading-corrected': z.strictObject({ reading: meterReading, reason: line }),
  'history-told': z.strictObject({ since: paragraph, doneBefore: paragraph }),
  'symptom-noted': z.strictObject({ id, text: line }),
  'symptom-struck': z.strictObject({ id }),
  'code-read': z.strictObject({ id, code: line, status: z.enum(['stored', 'pending', 'cleared']), when, note: line }),
  'codes-read-out': z.strictObject({ when }),
  'check-done': z.strictObject({
    id,
    name: line,
    result: paragraph,
    verdict: z.enum(['normal', 'abnormal', 'unclear']),
  }),
  'decision-made': z.strictObject({ choice: z.enum(keysOf(CHOICES)), reason: paragraph }),
  'need-ticked': z.strictObject({
    needId: id,
    state: z.enum(['ready', 'ordered', 'missing']),
    expected: isoDay.nullable(),
  }),
  'caution-acknowledged': z.strictObject({ caution: id }),
  'item-added': z.strictObject({ item: procedureItem }),
  'constraint-added': z.strictObject({ constraint: beforeConstraint }),
  'item-removed': z.strictObject({ itemId: id, pocket: line, label: line, countedOut: count.nullable() }),
  'item-remarked': z.strictObject({ itemId: id, pocket: line, label: line, remark: paragraph }),
  'opening-plugged': z.strictObject({ openingId: id, plugId: id, what: line }),
  'opening-unplugged': z.strictObject({ openingId: id }),
  'item-put-back': z.strictObject({
    itemId: id,
    renewed: z.boolean(),
    fitted: line,
    countedBack: count.nullable(),
    confirmed: z.boolean(),
  }),
  'connector-confirmed': z.strictObject({ itemId: id }),
  'item-left-off': z.strictObject({ itemId: id, reason: line }),
  'object-placed': z.strictObject({ id, what: line, where: line }),
  'object-taken-out': z.strictObject({ id }),
  'finding-recorded': z.strictObject({
    id,
    unit: unitKind,
    point: line,
    when,
    grade: count.nullable(),
    text: paragraph,
  }),
  'picture-attached': z.strictObject({
    id,
    hash: z.string().regex(/^[0-9a-f]{64}$/, 'Expected the picture’s hash.'),
    subject: line,
    when,
    caption: line,
  }),
  'pass-done': z.strictObject({ id, unit: unitKind, kind: z.enum(keysOf(PASS_KINDS)) }),
  'timer-started': z.strictObject({
    id,
    label: line,
    minutes: number,
    kind: z.enum(['soak', 'cure', 'cool', 'other']),
  }),
  'timer-ended': z.strictObject({ id, outcome: z.enum(['done', 'stopped']) }),
  'seal-decided': z.strictObject({
    id,
    name: line,
    decision: z.enum(['renewed', 'reused']),
    partNumber: line,
    why: line,
  }),
  'level-checked': z.strictObject({ when: z.enum(['hot', 'cold']), level: z.enum(['low', 'right', 'high']) }),
  'run-advanced': z.strictObject({ runId: id, input: runInput }),
  'run-closed': z.strictObject({ runId: id, outcome: z.enum(['took', 'did not take', 'abandoned']), why: line }),
  'measurement-taken': z.strictObject({ id, kind: z.enum(keysOf(MEASURES)), when, value: number }),
  'proof-recorded': z.strictObject({ check: z.enum(keysOf(PROOFS)), result: z.enum(['good', 'bad']), note: paragraph }),
  'part-used': z.strictObject({ id, name: line, partNumber: line, quantity: count, priceMinor: count }),
  'note-made': z.strictObject({ id, stage: z.enum(STAGES), text: paragraph }),
  'stage-passed': z.strictObject({ stage: z.enum(STAGES) }),
  'handed-over': z.strictObject({
    watch: paragraph,
    nextDue: meterReading.nullable(),
    labourMinutes: number,
    ratePerHourMinor: count,
    currency: line,
  }),
  'job-reopened': z.strictObject({ reason: paragraph }),
};

/** Ids and enumerations that weigh-can, tighten-bolt and record-coolant need beside their typed text. */
export const parts = {
  can: { id, substance: z.enum(keysOf(SUBSTANCES)), surface: line },
  bolt: { itemId: id, boltId: id, pass: count, method: z.enum(['wrench', 'by-feel']) },
  coolant: { id, kind: z.enum(['caught', 'returned', 'added', 'discarded']), concentration: number.nullable() },
};
