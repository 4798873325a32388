import type { z } from 'zod';
import { fromZod, HttpError } from './errors.ts';

/** Parses anything from outside by its contract schema. @throws HttpError 400 naming every wrong field */
export function parse<T>(schema: z.ZodType<T>, value: unknown): T {
  if (value === undefined)
    throw new HttpError('wrong-type', 'Expected JSON in the body of the request, sent as application/json.');
  const result = schema.safeParse(value);
  if (!result.success) throw fromZod(result.error);
  return result.data;
}
