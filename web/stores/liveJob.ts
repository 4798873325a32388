import { onBeforeUnmount, onMounted, watch } from 'vue';
import { useJob } from './job.ts';

/** One's own command is answered in this time; only what others did needs asking for. */
const OWN_ANSWER_MS = 150;

/**
 * Keeps the job on the screen as others change it. The browser connects again by itself when the server comes back.
 * A page that nobody looks at lets go: browsers allow six connections to one server, over all pages together.
 */
export function useLiveJob(jobId: () => string): void {
  const store = useJob();
  let source: EventSource | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const heard = (id: string, version: number): void => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      if (store.id === id && version > (store.confirmed?.version ?? 0)) void store.load(id);
    }, OWN_ANSWER_MS);
  };
  function close(): void {
    clearTimeout(timer);
    source?.close();
    source = null;
  }
  function open(): void {
    close();
    if (typeof EventSource === 'undefined' || document.visibilityState === 'hidden') return;
    const id = jobId();
    source = new EventSource(`/api/jobs/${id}/changes`);
    source.onmessage = ({ data }: MessageEvent<string>) => heard(id, Number(data));
  }
  watch(jobId, open, { immediate: true });
  onMounted(() => document.addEventListener('visibilitychange', open));
  onBeforeUnmount(() => {
    document.removeEventListener('visibilitychange', open);
    close();
  });
}
