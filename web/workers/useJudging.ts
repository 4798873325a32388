import { onScopeDispose } from 'vue';
import type { Knowledge } from '../../core/diagnose/index.ts';
import type { JudgingAnswer, JudgingTask } from './judgingProtocol.ts';

type Ask = Exclude<JudgingTask, { kind: 'knowledge' }>;
/** A task without what the wrapper fills in. */
export type JudgingAsk = Ask extends infer T ? (T extends Ask ? Omit<T, 'id' | 'version'> : never) : never;

/**
 * The judging worker, started with the first task and ended with its user. Where there are no workers nothing comes
 * back: what is shown meanwhile stays.
 */
export function useJudging(hear: (answer: JudgingAnswer) => void) {
  let worker: Worker | null = null;
  let asked = 0;
  const known = new Set<number>();

  function start(): Worker | null {
    if (worker === null && typeof Worker !== 'undefined') {
      worker = new Worker(new URL('./judging.ts', import.meta.url), { type: 'module' });
      // An answer to what was asked before the last question is late, and not heard.
      worker.addEventListener('message', ({ data }: MessageEvent<JudgingAnswer>) => {
        if (data.id === asked) hear(data);
      });
    }
    return worker;
  }

  function ask(knowledge: Knowledge, task: JudgingAsk): void {
    const to = start();
    if (to === null) return;
    if (!known.has(knowledge.version)) {
      to.postMessage({ kind: 'knowledge', knowledge: plain(knowledge) } satisfies JudgingTask);
      known.add(knowledge.version);
    }
    asked += 1;
    to.postMessage(plain({ ...task, id: asked, version: knowledge.version }));
  }
  onScopeDispose(() => worker?.terminate());
  return { ask };
}

/** What the screen holds may be watched, and what is watched cannot be sent. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
