import { plainNumber, samePart } from '../../../core/stock/index.ts';
import { allNeeds, needState } from '../../../core/job/index.ts';
import { perElement, type Projection } from '../projection.ts';

/** Tables of what is needed and was used. */
export const NEEDS_TABLES: readonly Projection[] = [
  {
    table: 'need_state',
    key: ['need_id'],
    from: (job) => [job.needs, job.ownNeeds, job.procedure, job.endSteps, job.items],
    rows: (job) =>
      allNeeds(job).flatMap((need) => {
        const state = needState(job, need.id);
        if (state === undefined) return [];
        return [
          {
            job_id: job.id,
            need_id: need.id,
            name: need.name,
            kind: need.kind,
            part_number: need.partNumber,
            part_key: plainNumber(need.partNumber),
            state: state.state,
            expected: state.expected,
            ordered_at: state.orderedAt ?? null,
            arrived_at: state.arrivedAt ?? null,
            own: job.ownNeeds.includes(need) ? 1 : 0,
            ended_at: job.endSteps.find(({ needId }) => needId === need.id)?.at ?? null,
            // “O-rings, four” is one need and four items.
            quantity: Math.max(1, job.items.filter(({ partNumber }) => samePart(partNumber, need.partNumber)).length),
          },
        ];
      }),
  },
  perElement(
    'part_use',
    ['id'],
    (job) => job.parts,
    ({ id, partNumber, quantity, at }, job) => [
      {
        job_id: job.id,
        id,
        part_number: partNumber,
        part_key: plainNumber(partNumber),
        quantity,
        at,
      },
    ],
  ),
];
