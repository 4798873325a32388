import type { Feed, FeedMade } from '../../contract/index.ts';
import { ask, give } from './asking.ts';

/** Calendars that other programs read. */
export const readFeeds = async (): Promise<readonly Feed[]> => (await ask<{ rows: readonly Feed[] }>('/feeds')).rows;
/** Makes one. @param personId whose day; null for what the whole shop waits for */
export const makeFeed = (personId: string | null): Promise<FeedMade> => give('/feeds', { personId });
/** It shows nothing from now on. */
export const withdrawFeed = async (id: string): Promise<readonly Feed[]> =>
  (await give<{ rows: readonly Feed[] }>(`/feeds/${encodeURIComponent(id)}/withdraw`)).rows;
