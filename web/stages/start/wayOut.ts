import { type Job, closerOf } from '../../../core/job/index.ts';
import type { Hold } from '../../../core/refit/index.ts';

/** Where a hold is cleared. */
export function wayOut(job: Job, { code, subject }: Hold): string {
  const stage = (name: string): string => `/jobs/${job.id}/${name}`;
  if (code === 'coolant' || code === 'bleed') return stage('coolant');
  if (code === 'end-step') return stage('refit');
  const item = code.startsWith('opening') ? (closerOf(job, subject)?.id ?? '') : subject;
  return job.items.some(({ id }) => id === item) ? stage(`refit?item=${encodeURIComponent(item)}`) : stage('refit');
}
