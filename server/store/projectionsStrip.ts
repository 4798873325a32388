import { allNeeds, needState } from '../../core/job/index.ts';
import { holdKey } from '../../core/refit/index.ts';
import type { Projection } from './projection.ts';

/** Projections of preparing, stripping and refitting. */
export const STRIP_PROJECTIONS: readonly Projection[] = [
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
            state: state.state,
            expected: state.expected,
            ordered_at: state.orderedAt ?? null,
            arrived_at: state.arrivedAt ?? null,
            own: job.ownNeeds.includes(need) ? 1 : 0,
            ended_at: job.endSteps.find(({ needId }) => needId === need.id)?.at ?? null,
            // “O-rings, four” is one need and four items.
            quantity: Math.max(
              1,
              need.partNumber === '' ? 0 : job.items.filter(({ partNumber }) => partNumber === need.partNumber).length,
            ),
          },
        ];
      }),
  },
  {
    table: 'item_flag',
    key: ['item_id'],
    from: (job) => [job.items],
    rows: (job) =>
      job.items.flatMap(({ id, name, flag }) =>
        flag === null
          ? []
          : [
              {
                job_id: job.id,
                item_id: id,
                name,
                flag: flag.flag,
                needs: flag.needs,
                body: flag.text,
                settled: flag.settled?.how ?? null,
                at: flag.at,
              },
            ],
      ),
  },
  {
    table: 'kept_measure',
    key: ['item_id', 'kind'],
    from: (job) => [job.items],
    rows: (job) =>
      job.items.flatMap(({ id, kept }) =>
        kept.map(({ kind, text, restored }) => ({
          job_id: job.id,
          item_id: id,
          kind,
          body: text,
          restored: restored?.text ?? null,
        })),
      ),
  },
  {
    table: 'thread_damage',
    key: ['item_id', 'bolt_id'],
    from: (job) => [job.items],
    rows: (job) =>
      job.items.flatMap(({ id, threads }) =>
        threads.map(({ boltId, repaired, at }) => ({
          job_id: job.id,
          item_id: id,
          bolt_id: boltId,
          route: repaired?.route ?? null,
          at,
        })),
      ),
  },
  {
    table: 'dropped',
    key: ['id'],
    from: (job) => [job.searches],
    rows: (job) =>
      job.searches.map(({ id, what, where, ended }) => ({
        job_id: job.id,
        id,
        what,
        place: ended?.where ?? where,
        outcome: ended?.outcome ?? null,
        ended_by: ended?.by ?? null,
      })),
  },
  {
    table: 'hold_override',
    key: ['hold', 'at'],
    from: (job) => [job.overrides],
    rows: (job) =>
      job.overrides.flatMap(({ holds, reason, by, at }) =>
        holds.map((hold) => ({ job_id: job.id, hold: holdKey(hold), words: hold.words, person: by, reason, at })),
      ),
  },
  {
    table: 'broken_order',
    key: ['item_id', 'at'],
    from: (job) => [job.brokenOrders],
    rows: (job) =>
      job.brokenOrders.map(({ itemId, over, reason, at }) => ({
        job_id: job.id,
        item_id: itemId,
        at,
        over_items: over.map(({ item }) => item).join(' '),
        reason,
      })),
  },
  {
    table: 'step_in_hand',
    key: ['person'],
    from: (job) => [job.hands],
    rows: (job) => job.hands.map(({ by, itemId, at }) => ({ job_id: job.id, person: by, item_id: itemId, at })),
  },
  {
    table: 'bench_done',
    key: ['item_id'],
    from: (job) => [job.benchDone],
    rows: (job) => job.benchDone.map(({ itemId, at, note }) => ({ job_id: job.id, item_id: itemId, at, note })),
  },
  {
    table: 'tray_pocket',
    key: ['pocket'],
    from: (job) => [job.tray],
    rows: (job) => Object.entries(job.tray.names).map(([pocket, name]) => ({ job_id: job.id, pocket, name })),
  },
  {
    table: 'item_time',
    key: ['item_id'],
    from: (job) => [job.items, job.procedure, job.status],
    rows: (job) =>
      job.items.flatMap(({ id, name, seconds }) =>
        seconds.off + seconds.back === 0
          ? []
          : [
              {
                job_id: job.id,
                item_id: id,
                procedure_id: job.procedure?.id ?? '',
                name,
                off_s: seconds.off,
                back_s: seconds.back,
                closed: job.status === 'closed' ? 1 : 0,
              },
            ],
      ),
  },
];
