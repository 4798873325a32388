import { defineStore } from 'pinia';
import { ref } from 'vue';

/** Work that is written up for another time than now, job by job; a reload is back to now. */
export const useWritingUp = defineStore('writing-up', () => {
  const chosen = ref<{ readonly jobId: string; readonly at: string } | null>(null);
  /** ISO time that entries on a job are kept with, or null for now. */
  const timeFor = (jobId: string): string | null => (chosen.value?.jobId === jobId ? chosen.value.at : null);
  const choose = (jobId: string, at: string): void => {
    chosen.value = { jobId, at };
  };
  const backToNow = (): void => {
    chosen.value = null;
  };
  return { chosen, timeFor, choose, backToNow };
});
