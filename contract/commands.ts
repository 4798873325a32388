import { z } from 'zod';
import { type Command, COMMANDS } from '../core/job/index.ts';
import { count, id, isoTime } from './primitives.ts';
import { zodOf } from './shapes.ts';

const head = { id, at: isoTime, by: id, seen: count.min(0) };
const members = [...COMMANDS.values()].map(({ type, shape }) =>
  z.strictObject({ ...head, type: z.literal(type), data: zodOf(shape) }),
);

/** A command as it crosses the wire. */
export const command = z.discriminatedUnion(
  'type',
  members as [(typeof members)[number], ...typeof members],
) as unknown as z.ZodType<Command>;
