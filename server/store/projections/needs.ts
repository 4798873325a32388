import { plainNumber, samePart } from '../../../core/stock/index.ts';
import { allNeeds, type Job, needState } from '../../../core/job/index.ts';
import { perElement, type Projection, type Row } from '../projection.ts';

/** “O-rings, four” is one need and four items. */
const quantityOf = (need: ReturnType<typeof allNeeds>[number], job: Job): number =>
  Math.max(1, job.items.filter(({ partNumber }) => samePart(partNumber, need.partNumber)).length);

const wants = (job: Job): readonly Row[] =>
  allNeeds(job).flatMap((need) => {
    const state = needState(job, need.id);
    if (state === undefined) return [];
    const quantity = quantityOf(need, job);
    const used = job.parts
      .filter(({ partNumber }) => samePart(partNumber, need.partNumber))
      .reduce((sum, part) => sum + part.quantity, 0);
    return [
      {
        job_id: job.id,
        need_id: need.id,
        number: job.number,
        part_number: need.partNumber,
        part_key: plainNumber(need.partNumber),
        kind: need.kind,
        state: state.state,
        quantity,
        wanted: quantity - used,
        ordered_at: state.orderedAt ?? null,
        expected: state.expected,
      },
    ];
  });

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
            quantity: quantityOf(need, job),
          },
        ];
      }),
  },
  // What open jobs still want: the list of the stock looks nowhere else.
  {
    table: 'job_want',
    key: ['need_id'],
    from: (job) => [job.status, job.number, job.needs, job.ownNeeds, job.procedure, job.items, job.parts],
    rows: (job) => (job.status === 'open' ? wants(job) : []),
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
