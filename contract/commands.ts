import { z } from 'zod';
import { type Command, COMMANDS } from '../core/job/index.ts';
import { count, id, isoTime } from './primitives.ts';
import { zodOf } from './shapes.ts';

/** Times have one precision, milliseconds, so that text compares as time does. */
const commandTime = isoTime.transform((time) => new Date(time).toISOString());
const head = {
  id,
  at: commandTime,
  by: id,
  seen: count.min(0),
  /** Why it comes long after its time; left out it is asked about. */
  late: z.enum(['kept', 'written-up']).optional(),
  /** The device's own clock when it was sent: what `at` is out by is measured with it. */
  sentAt: commandTime.optional(),
};
const members = [...COMMANDS.values()].map(({ type, shape }) =>
  z.strictObject({ ...head, type: z.literal(type), data: zodOf(shape) }),
);

/** A command as it crosses the wire. */
export type SentCommand = Command & { readonly sentAt?: string };
/** A command as it crosses the wire. */
export const command = z.discriminatedUnion(
  'type',
  members as [(typeof members)[number], ...typeof members],
) as unknown as z.ZodType<SentCommand>;
