import type { SearchReply } from '../../contract/index.ts';
import { api } from './api.ts';
import { addressOf } from './pages.ts';

/** Anything in the shop. @param limit lines of each kind */
export const searchAll = (text: string, limit: number): Promise<SearchReply> =>
  api.get(addressOf('/search', { q: text, limit: String(limit) }));
