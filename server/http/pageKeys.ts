import { z } from 'zod';
import type { Page } from '../../contract/index.ts';
import type { PageKey, ReadPage } from '../store/pages.ts';
import { HttpError } from './errors.ts';

const written = z.tuple([z.string(), z.array(z.union([z.string(), z.number()]))]);

/** A list in one order, by which a page key is known: a key of another would begin anywhere. */
export interface InOrder {
  readonly list: string;
  readonly sort: string;
  readonly direction: 'asc' | 'desc';
  /** How many values a key has. */
  readonly columns: number;
}
const nameOf = ({ list, sort, direction }: InOrder): string => `${list} ${sort} ${direction}`;

/** The key that a page begins after; null for the first page. @throws HttpError for one that is not of this list */
export function readKey(text: string | undefined, order: InOrder): PageKey | null {
  if (text === undefined) return null;
  const message = 'That page is of another list, or of another order. Begin at the first page.';
  try {
    const [name, key] = written.parse(JSON.parse(Buffer.from(text, 'base64url').toString('utf8')));
    if (name === nameOf(order) && key.length === order.columns) return key;
  } catch {
    // Not a key of ours: the same answer.
  }
  throw new HttpError('bad-request', message, { fields: { after: message } });
}

/** A page as it is answered. */
export const answerPage = <Row>({ rows, next }: ReadPage<Row>, order: InOrder): Page<Row> => ({
  rows,
  next: next === null ? null : Buffer.from(JSON.stringify([nameOf(order), next])).toString('base64url'),
});
