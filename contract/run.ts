import { z } from 'zod';
import type { Recipe } from '../core/relearn/index.ts';
import { id, line, number, paragraph } from './primitives.ts';

const readingName = z.enum(['ect', 'rpm', 'speed']);
const flagName = z.enum(['loads-off', 'fan-running', 'bubbles', 'heater-hot']);

const condition = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('reading'),
    name: readingName,
    low: number.nullable(),
    high: number.nullable(),
    words: line,
  }),
  z.strictObject({ kind: z.literal('flag'), name: flagName, on: z.boolean(), words: line }),
]);

/** A run described as data, kept whole in the event that starts it. */
export const recipe = z.strictObject({
  id,
  name: line,
  purpose: z.enum(['bleed', 'relearn']),
  source: line.nullable(),
  steps: z
    .array(
      z.strictObject({
        id,
        kind: z.enum(['key', 'pedal', 'wait', 'hold rpm', 'idle until', 'drive', 'tool', 'check']),
        title: line,
        how: paragraph,
        seconds: number.positive().nullable(),
        conditions: z.array(condition).max(10),
        pausedBy: z.array(flagName).max(10),
        endsBadly: z
          .strictObject({
            name: readingName,
            below: number.nullable(),
            above: number.nullable(),
            words: line,
            goTo: id.nullable(),
          })
          .nullable(),
      }),
    )
    .min(1)
    .max(50),
}) satisfies z.ZodType<Recipe>;
