import { z } from 'zod';
import { FACTS, type LoggedFact } from '../core/job/index.ts';
import { count, id, isoTime } from './primitives.ts';
import { zodOf } from './shapes.ts';

/** The envelope of a fact in the log, of whatever version: who, when, and which command caused it. */
const loggedFact = z.strictObject({
  seq: count.min(1),
  commandId: id,
  at: isoTime,
  by: id,
  type: z.string(),
  v: count.min(1),
  data: z.unknown(),
});

const parsers = new Map<string, z.ZodType>();

/** The parser of one version of a fact, or null when this program knows no such fact or version. */
export function factData(type: string, v: number): z.ZodType | null {
  const key = `${type} ${v}`;
  const kept = parsers.get(key);
  if (kept !== undefined) return kept;
  const declared = FACTS.get(type);
  const shape = v === declared?.v ? declared.shape : declared?.earlier?.[v - 1]?.shape;
  if (shape === undefined) return null;
  const parser = zodOf(shape);
  parsers.set(key, parser);
  return parser;
}

/** A fact of the log as exported: the envelope, and what it holds by the shape of its own version. */
export const exportedFact: z.ZodType<LoggedFact> = loggedFact.transform((logged, context) => {
  const parser = factData(logged.type, logged.v);
  if (parser === null) {
    context.addIssue(`This program does not know “${logged.type}” of version ${logged.v}: a later program wrote it.`);
    return z.NEVER;
  }
  const read = parser.safeParse(logged.data);
  if (read.success) return { ...logged, data: read.data };
  for (const { path, message } of read.error.issues)
    context.addIssue({ code: 'custom', message, path: ['data', ...path] });
  return z.NEVER;
});
