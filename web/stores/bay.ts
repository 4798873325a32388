import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { BayReply, JobReply } from '../../contract/index.ts';
import type { Job } from '../../core/job/index.ts';
import type * as Figures from '../bay/figures.ts';
import { api, ApiError } from './api.ts';

/** The Bay: lines from the server, and the open jobs folded here so that what fits into a wait is worked out live. */
export const useBay = defineStore('bay', () => {
  const bay = shallowRef<BayReply | null>(null);
  const jobs = shallowRef<ReadonlyMap<string, Job>>(new Map());
  const failed = ref('');
  /** What works the jobs out; null until it is loaded. */
  const figures = shallowRef<typeof Figures | null>(null);

  async function load(): Promise<void> {
    try {
      const reply = await api.get<BayReply>('/bay');
      bay.value = reply;
      // The lines are on the screen; what fits into a wait follows once the jobs themselves are there.
      figures.value ??= await import('../bay/figures.ts');
      const { replay } = figures.value;
      const folded = await Promise.all(
        reply.lines.map(async ({ job }) => {
          const known = jobs.value.get(job.id) ?? null;
          // One job that cannot be read does not keep the others from the page.
          const read = await api
            .get<JobReply>(`/jobs/${job.id}?since=${known?.version ?? 0}`)
            .catch((error: unknown) => (error instanceof ApiError ? null : Promise.reject(error)));
          return read === null ? known : replay(job.id, read.events, known);
        }),
      );
      jobs.value = new Map(folded.flatMap((job) => (job === null ? [] : [[job.id, job] as const])));
      failed.value = '';
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  }
  return { bay, jobs, figures, failed, load };
});
