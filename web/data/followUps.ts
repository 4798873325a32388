import type { Reminder, ReturnLine } from '../../contract/index.ts';
import { give } from './asking.ts';
import { type Query, usePages } from './pages.ts';
import { useRead } from './read.ts';

/** What is to be looked at again. */
export const useReminders = (query: () => Query) => usePages<Reminder>('/reminders', query, ['reminders', 'jobs']);
/** It was looked at. */
export const endReminder = ({ jobId, id }: Reminder): Promise<unknown> =>
  give(`/reminders/${jobId}/${id}/done`, { note: '' });
/** Units that came off for good, the newest first. */
export const useReturns = () => usePages<ReturnLine>('/returns', () => ({}), ['returns', 'jobs']);
/** How often each fail code came. */
export const useFailCodes = () =>
  useRead<{ failCodes: readonly { readonly code: string; readonly count: number }[] }>(() => '/returns?limit=1');
/** It went back. */
export const sendReturn = ({ jobId, id }: ReturnLine): Promise<unknown> =>
  give(`/returns/${jobId}/${id}/sent`, { note: '' });
