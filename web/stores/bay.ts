import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { BayLine, BayReply, Change } from '../../contract/index.ts';
import { api } from '../data/api.ts';
import { BREATH_MS } from '../data/changes.ts';
import { ask } from '../data/kept.ts';

/** More jobs than so many at once, and the whole Bay is asked for. */
const FEW = 8;

/** The Bay: a line per open job, kept as the jobs change. */
export const useBay = defineStore('bay', () => {
  const byJob = shallowRef<ReadonlyMap<string, BayLine>>(new Map());
  const loaded = ref(false);
  const failed = ref('');
  const moved = new Set<string>();
  let breath: ReturnType<typeof setTimeout> | undefined;

  async function load(): Promise<void> {
    moved.clear();
    await asking(async () => {
      const { lines } = await ask<BayReply>('/bay');
      byJob.value = new Map(lines.map((line) => [line.jobId, line]));
      loaded.value = true;
    });
  }
  /** Asks for the lines of jobs that have changed, and for nothing else. */
  async function follow(): Promise<void> {
    const ids = [...moved];
    moved.clear();
    if (ids.length > FEW) return load();
    await asking(async () => {
      const replies = await Promise.all(ids.map((id) => api.get<BayReply>(`/bay?job=${encodeURIComponent(id)}`)));
      const next = new Map(byJob.value);
      for (const [index, id] of ids.entries()) {
        const line = replies[index]?.lines[0];
        if (line === undefined) next.delete(id);
        else next.set(id, line);
      }
      byJob.value = next;
    });
  }
  async function asking(work: () => Promise<void>): Promise<void> {
    try {
      await work();
      failed.value = '';
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  }
  /** What the change stream told; null when it is new. */
  function heard(change: Change | null): void {
    if (change === null) void load();
    if (change?.kind !== 'job') return;
    moved.add(change.id);
    clearTimeout(breath);
    breath = setTimeout(() => void follow(), BREATH_MS);
  }
  const lines = computed(() => [...byJob.value.values()].sort((a, b) => a.job.number - b.job.number));
  return { byJob, lines, loaded, failed, load, heard };
});
