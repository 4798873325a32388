import { onScopeDispose } from 'vue';
import type { TracingAnswer, TracingTask } from './tracingProtocol.ts';

/** A task without its number. */
type Ask = TracingTask extends infer T ? (T extends TracingTask ? Omit<T, 'id'> : never) : never;

/** Said where what was asked cannot be done: a sentence. */
export class TracingRefusal extends Error {
  override readonly name = 'TracingRefusal';
}

/** The tracing worker, started with the first task and ended with its user. */
export function useTracing() {
  let worker: Worker | null = null;
  let count = 0;
  const waiting = new Map<number, { readonly hear: (answer: TracingAnswer) => void }>();

  function start(): Worker {
    if (worker === null) {
      worker = new Worker(new URL('./tracing.ts', import.meta.url), { type: 'module' });
      worker.addEventListener('message', ({ data }: MessageEvent<TracingAnswer>) => waiting.get(data.id)?.hear(data));
    }
    return worker;
  }

  /**
   * Asks, and waits for the answer of that kind.
   * @param progress told how far it is, 0 to 1
   * @returns the answer, its number to cancel it by, or null once it was cancelled
   */
  function ask<K extends TracingAnswer['kind']>(
    kind: K,
    task: Ask,
    progress: (share: number) => void = () => undefined,
  ): { readonly id: number; readonly answer: Promise<Extract<TracingAnswer, { kind: K }> | null> } {
    const id = (count += 1);
    const answer = new Promise<Extract<TracingAnswer, { kind: K }> | null>((resolve, reject) => {
      waiting.set(id, {
        hear: (data) => {
          if (data.kind === 'progress') return progress(data.share);
          waiting.delete(id);
          if (data.kind === 'refused') reject(new TracingRefusal(data.message));
          else resolve(data.kind === kind ? (data as Extract<TracingAnswer, { kind: K }>) : null);
        },
      });
    });
    start().postMessage({ ...task, id });
    return { id, answer };
  }
  const cancel = (id: number): void => worker?.postMessage({ kind: 'cancel', id });
  onScopeDispose(() => worker?.terminate());
  return { ask, cancel };
}
