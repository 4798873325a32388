import type { Hold } from '../../refit/index.ts';
import { closerOf } from '../items/query.ts';
import type { Job } from '../job.ts';
import type { WhereTo } from '../whereTo.ts';

/** Where a hold is cleared. */
export function whereCleared(job: Job, { code, subject }: Hold): WhereTo {
  if (code === 'coolant') return { stage: 'coolant', spot: 'book' };
  if (code === 'bleed') return { stage: 'coolant', spot: 'bleed' };
  if (code === 'end-step') return { stage: 'refit', spot: 'last' };
  const item = code.startsWith('opening') ? (closerOf(job, subject)?.id ?? '') : subject;
  return job.items.some(({ id }) => id === item) ? { stage: 'refit', item } : { stage: 'refit' };
}
