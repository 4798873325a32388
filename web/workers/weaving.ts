import { weaveDay } from '../../core/bay/index.ts';
import type { WeavingAnswer, WeavingTask } from './weavingProtocol.ts';

// Wiring only: the day is woven in core.
/** Clashes for which ways out are worked out at once: one is shown at a time. */
const SHOWN = 3;

addEventListener('message', ({ data: { id, input } }: MessageEvent<WeavingTask>) => {
  const answer = (message: WeavingAnswer): void => postMessage(message);
  const { day, waysOf } = weaveDay(input);
  answer({ kind: 'woven', id, day });
  for (const nth of day.clashes.keys()) {
    if (nth >= SHOWN) break;
    answer({ kind: 'ways', id, nth, ways: waysOf(nth) });
  }
});
