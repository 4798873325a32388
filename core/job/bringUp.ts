import { factOf, type RecordedEvent } from './catalogue.ts';
import type { Job } from './job.ts';
import type { LoggedFact } from './recorded.ts';

/**
 * A fact of the log in its current version.
 * @param job the state before it; null only before the first
 * @throws Error for a fact that is not declared
 */
export function bringUp(logged: LoggedFact, job: Job | null): RecordedEvent {
  const { earlier = [], v } = factOf(logged.type);
  const { at, by } = logged;
  const data = earlier
    .slice(logged.v - 1)
    .reduce<unknown>((held, version) => version.bringUp(held as never, job, { at, by }), logged.data);
  return { ...logged, v, data } as RecordedEvent;
}

/** Whether a fact of the log was written by the current version of its shape. */
export const isCurrent = ({ type, v }: Pick<LoggedFact, 'type' | 'v'>): boolean => factOf(type).v === v;
