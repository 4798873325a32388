import type { DayInput } from '../../core/bay/index.ts';
import type { WeavingAnswer, WeavingTask } from './weavingProtocol.ts';

/** The weaving worker: started with the first day that is asked for. Where there are no workers it is woven here. */
export function useWeaving(hear: (answer: WeavingAnswer) => void) {
  let worker: Worker | null = null;
  let asked = 0;

  async function ask(input: DayInput): Promise<void> {
    asked += 1;
    const id = asked;
    if (typeof Worker === 'undefined') {
      const { weaveDay } = await import('./weaveHere.ts');
      const { day, waysOf } = weaveDay(input, { tries: 60 });
      if (id !== asked) return;
      hear({ kind: 'woven', id, day });
      for (const nth of day.clashes.keys()) hear({ kind: 'ways', id, nth, ways: waysOf(nth) });
      return;
    }
    if (worker === null) {
      worker = new Worker(new URL('./weaving.ts', import.meta.url), { type: 'module' });
      // What was woven before the last question is late, and not heard.
      worker.addEventListener('message', ({ data }: MessageEvent<WeavingAnswer>) => {
        if (data.id === asked) hear(data);
      });
    }
    // What the screen holds may be watched, and what is watched cannot be sent.
    worker.postMessage({ id, input: JSON.parse(JSON.stringify(input)) as DayInput } satisfies WeavingTask);
  }
  return { ask };
}
