import { bayState, expectedByStage, leftOf, needsBay, standsInside } from '../../../core/bay/index.ts';
import { vehicleName } from '../../../core/vehicle/index.ts';
import type { Projection } from '../projection.ts';

/** The Bay: what is worked out of an open job, whatever the time is. */
export const BAY_TABLES: readonly Projection[] = [
  {
    table: 'bay_line',
    key: [],
    from: (job) => [job],
    rows: (job) => {
      if (job.status === 'closed') return [];
      const { plug, beside, part, step } = bayState(job);
      return [
        {
          job_id: job.id,
          nickname: job.vehicle.nickname || vehicleName(job.vehicle),
          plug: plug?.what ?? null,
          plug_minutes: plug?.minutes ?? null,
          plug_urgency: plug?.urgency ?? null,
          beside: beside?.what ?? null,
          beside_minutes: beside?.minutes ?? null,
          beside_urgency: beside?.urgency ?? null,
          step: step.what,
          step_minutes: step.minutes,
          step_urgency: step.urgency,
          part: part?.name ?? null,
          part_expected: part?.expected ?? null,
          work_left: JSON.stringify(leftOf(job)),
          needs_bay: needsBay(job) ? 1 : 0,
          inside: standsInside(job) ? 1 : 0,
        },
      ];
    },
  },
  {
    table: 'stage_expected',
    key: ['stage'],
    // Work that is over is worked out once, when it is.
    from: (job) => [job.status, job.handOver, job.cancelled],
    rows: (job) => {
      const { handOver } = job;
      if (job.status !== 'closed' || handOver === null || job.cancelled !== null) return [];
      return expectedByStage(job).map(({ stage, minutes }) => ({
        job_id: job.id,
        stage,
        minutes,
        closed_at: handOver.at,
      }));
    },
  },
];
