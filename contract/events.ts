import { z } from 'zod';
import type { EventData, EventType, RecordedEvent } from '../core/job/index.ts';
import { count, id, isoTime, line, meterReading, number, paragraph, quantity } from './primitives.ts';
import { procedure } from './procedure.ts';
import { recipe } from './run.ts';
import { diagnosisParts, optionFigures, parts, shapes } from './shapes.ts';
import { variantFeatures, vehicle } from './vehicle.ts';

/** A schema for the data of every event; one that is missing or differs from core's type does not compile. */
export const eventData = {
  ...shapes,
  'job-opened': z.strictObject({
    number: count.min(1),
    vehicle,
    reading: meterReading,
    readingReason: line,
    complaint: paragraph,
  }),
  'complaint-told': z.strictObject({
    id,
    text: paragraph,
    heard: z.array(z.strictObject({ sign: id, outcome: id, phrase: line })).max(100),
  }),
  'answer-given': z.strictObject({ id, sign: id, outcome: id, words: line }),
  'check-recorded': z.strictObject({
    ...diagnosisParts.check,
    outcome: id,
    name: line,
    result: paragraph,
    verdict: z.enum(['normal', 'abnormal']),
    band: z.strictObject({ low: number, high: number, source: line.nullable() }).nullable(),
  }),
  'check-passed-over': z.strictObject({ id, check: id, name: line, why: line }),
  'variant-compared': z.strictObject({
    ...diagnosisParts.variant,
    expected: variantFeatures,
    verdict: z.enum(['fits', 'fits, but sets idle codes', 'does not fit', 'not known']),
    words: paragraph,
  }),
  'belief-kept': z.strictObject({
    knowledge: count.min(1),
    causes: z.array(z.strictObject({ id, name: line, share: number })).max(40),
    findings: z.array(line).max(200),
    options: z.array(optionFigures).max(12),
  }),
  'rule-departed': z.strictObject({ question: id, rule: id, taken: id, reason: line }),
  'procedure-pinned': z.strictObject({ procedure }),
  'procedure-moved': z.strictObject({ procedure }),
  'bolt-tightened': z.strictObject({
    ...parts.bolt,
    final: z.boolean(),
    torque: quantity.nullable(),
    nm: number.nullable(),
    wrench: line,
    angleDeg: number.optional(),
  }),
  'can-weighed': z.strictObject({ ...parts.can, beforeG: number, afterG: number, grams: number }),
  'coolant-recorded': z.strictObject({ ...parts.coolant, quantity, litres: number }),
  'run-started': z.strictObject({ id, recipe }),
  undone: z.strictObject({ seqs: z.array(count).min(1), what: line }),
} satisfies { [K in EventType]: z.ZodType<EventData[K]> };

const head = { v: z.literal(1), seq: count.min(1), commandId: id, at: isoTime, by: id };
const members = Object.entries(eventData).map(([type, data]) =>
  z.strictObject({ ...head, type: z.literal(type), data }),
);

/** An event of the log, as exported. */
export const recordedEvent = z.discriminatedUnion(
  'type',
  members as [(typeof members)[number], ...typeof members],
) as unknown as z.ZodType<RecordedEvent>;
