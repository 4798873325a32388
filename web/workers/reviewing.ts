import { reviewOf } from '../../core/practice/index.ts';
import type { ReviewAnswer, ReviewTask } from './reviewingProtocol.ts';

// Wiring only: both ways are worked out in core.
addEventListener('message', ({ data }: MessageEvent<ReviewTask>) => {
  postMessage({ review: reviewOf(data) } satisfies ReviewAnswer);
});
