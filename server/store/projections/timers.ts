import { timerEnd } from '../../../core/job/index.ts';
import { perElement, type Projection } from '../projection.ts';

/** Tables of waits. */
export const TIMERS_TABLES: readonly Projection[] = [
  perElement(
    'timer',
    ['id'],
    (job) => job.timers,
    (timer, job) => [
      {
        job_id: job.id,
        id: timer.id,
        label: timer.label,
        kind: timer.kind,
        started_at: timer.at,
        minutes: timer.minutes,
        ends_at: timerEnd(timer),
        ended_at: timer.ended?.at ?? null,
        outcome: timer.ended?.outcome ?? null,
      },
    ],
  ),
];
