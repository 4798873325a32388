import { z } from 'zod';
import { type Unit, UNITS } from '../core/quantity/index.ts';

/** Ids travel in addresses and in the log: letters, digits, dash, dot and underscore. */
export const id = z
  .string()
  .min(1)
  .max(80)
  .regex(/^[\w.-]+$/, 'Expected letters, digits, dots and dashes only.');
/** An ISO time in UTC. */
export const isoTime = z.iso.datetime({ error: 'Expected a time such as 2026-05-04T14:20:00.000Z.' });
/** An ISO day. */
export const isoDay = z.iso.date('Expected a day such as 2026-05-04.');
/** A line of text as a person types it. */
export const line = z.string().max(300, 'Expected at most 300 characters.');
/** A paragraph. */
export const paragraph = z.string().max(4000, 'Expected at most 4000 characters.');
/** Any number that can be stored and computed with. */
export const number = z.number('Expected a number.').finite('Expected a finite number.');
/** A count. */
export const count = number.int('Expected a whole number.');
/** Money in the smallest coin. */
export const minor = count
  .min(0, 'Expected zero or more.')
  .max(1_000_000_000, 'Expected at most a thousand million of the smallest coin.');

/** A quantity as entered. */
export const quantity = z.strictObject({
  value: number,
  unit: z.enum(Object.keys(UNITS) as [Unit, ...Unit[]]),
  text: z.string().max(300).optional(),
});
/** Distance or hours. */
export const meterUnit = z.enum(['km', 'mi', 'h']);
/** An odometer or hour-meter reading; its range is judged in core, where the message can name the last one. */
export const meterReading = z.strictObject({ value: number, unit: meterUnit, text: z.string().max(300).optional() });
/** Before or after the work. */
export const when = z.enum(['before', 'after']);
/** The two units that this work is about. */
export const unitKind = z.enum(['throttle-body', 'idle-valve']);

/** Keys of a constant, as a non-empty tuple for an enumeration. */
export const keysOf = <T extends object>(value: T): [keyof T & string, ...(keyof T & string)[]] =>
  Object.keys(value) as [keyof T & string, ...(keyof T & string)[]];
