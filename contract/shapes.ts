import { z } from 'zod';
import { PASS_KINDS, SUBSTANCES } from '../core/clean/index.ts';
import { OPTIONS } from '../core/choose/index.ts';
import { CHOICES, MEASURES, PROOFS, STAGES } from '../core/job/index.ts';
import { benchShapes, benchUnit, cleanerExtras, coolantExtras, passExtras, sealExtras } from './benchShapes.ts';
import { stripShapes } from './stripShapes.ts';
import { UNIT_KINDS } from '../core/vehicle/index.ts';
import { count, id, isoDay, keysOf, line, meterReading, number, paragraph, when } from './primitives.ts';
import { beforeConstraint, procedureItem } from './procedure.ts';
import { runInput } from './run.ts';
import { variantFeatures } from './vehicle.ts';

const liveValues = z
  .array(z.strictObject({ pid: count.min(0).max(255), name: line, value: number, unit: line }))
  .max(64);
const minor = count.min(0, 'Expected zero or more.');

/** Figures of an option as they looked at a moment. */
export const optionFigures = z.strictObject({
  id: z.enum(keysOf(OPTIONS)),
  chance: number.min(0).max(1),
  nowMinor: minor.nullable(),
  perUseMinor: minor.nullable(),
});

/** Shapes that a command and its event share, each named after the event. */
export const shapes = {
  ...stripShapes,
  ...benchShapes,
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
  'knowledge-chosen': z.strictObject({ version: count.min(1) }),
  'sign-struck': z.strictObject({ id }),
  'frame-read': z.strictObject({ id, code: line, values: liveValues }),
  'values-read': z.strictObject({ id, when, values: liveValues, from: line }),
  'codes-cleared': z.strictObject({ id, codes: z.array(line).max(200), from: line }),
  'clearing-ended': z.strictObject({ id, outcome: z.enum(['cleared', 'failed']), words: line }),
  'terms-set': z.strictObject({
    option: z.enum(keysOf(OPTIONS)),
    partsMinor: count.nullable(),
    minutes: number,
    daysOff: number,
    life: number,
  }),
  'estimate-made': z.strictObject({
    id,
    choice: z.enum(keysOf(CHOICES)),
    lines: z.array(z.strictObject({ words: line, minor: count })).max(40),
    lowMinor: minor,
    highMinor: minor,
    currency: line,
    note: paragraph,
  }),
  'estimate-answered': z.strictObject({
    id,
    answer: z.enum(['approved', 'declined', 'up to']),
    limitMinor: count.nullable(),
    who: line,
    how: line,
    note: line,
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
  'item-removed': z.strictObject({
    itemId: id,
    pocket: line,
    label: line,
    countedOut: count.nullable(),
    stayIn: count.min(0).optional(),
    lengthsOut: z
      .array(z.strictObject({ lengthMm: number, count: count.min(0) }))
      .max(20)
      .optional(),
  }),
  'item-remarked': z.strictObject({ itemId: id, pocket: line, label: line, remark: paragraph }),
  'opening-plugged': z.strictObject({ openingId: id, plugId: id, what: line }),
  'opening-unplugged': z.strictObject({ openingId: id }),
  'item-put-back': z.strictObject({
    itemId: id,
    renewed: z.boolean(),
    fitted: line,
    countedBack: count.nullable(),
    confirmed: z.boolean(),
    against: paragraph.optional(),
  }),
  'connector-confirmed': z.strictObject({ itemId: id }),
  'item-left-off': z.strictObject({ itemId: id, reason: line }),
  'object-placed': z.strictObject({ id, what: line, where: line }),
  'object-taken-out': z.strictObject({ id }),
  'finding-recorded': z.strictObject({
    id,
    unit: benchUnit,
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
  'pass-done': z.strictObject({ id, unit: benchUnit, kind: z.enum(keysOf(PASS_KINDS)), ...passExtras }),
  'timer-started': z.strictObject({
    id,
    label: line,
    minutes: number,
    kind: z.enum(['soak', 'cure', 'cool', 'heat-cycle', 'oil', 'air', 'other']),
    itemId: id.optional(),
    unit: id.optional(),
  }),
  'timer-ended': z.strictObject({ id, outcome: z.enum(['done', 'stopped']) }),
  'seal-decided': z.strictObject({
    id,
    name: line,
    decision: z.enum(['renewed', 'reused']),
    partNumber: line,
    why: line,
    ...sealExtras,
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

/** What `record-check` and `compare-variant` share with their events. */
export const diagnosisParts = {
  check: { id, check: id, outcome: z.union([id, z.literal('')]), typed: z.array(z.string().max(40)).max(2), when },
  variant: { id, kind: z.enum(keysOf(UNIT_KINDS)), place: line, found: variantFeatures },
};

/** Ids and enumerations that weigh-can, tighten-bolt and record-coolant need beside their typed text. */
export const parts = {
  can: { id, substance: z.enum(keysOf(SUBSTANCES)), surface: line, ...cleanerExtras },
  bolt: {
    itemId: id,
    boltId: id,
    pass: count,
    method: z.enum(['wrench', 'by-feel', 'angle']),
    adapter: line.optional(),
  },
  coolant: {
    id,
    kind: z.enum(['caught', 'returned', 'added', 'discarded']),
    concentration: number.nullable(),
    ...coolantExtras,
  },
};
