import { isBackStep } from '../../../core/procedure/index.ts';
import { perElement, type Projection } from '../projection.ts';

/** Tables of what came off, and what it left. */
export const ITEMS_TABLES: readonly Projection[] = [
  perElement(
    'strip_item',
    ['id'],
    (job) => job.items,
    (item, job) => [
      {
        job_id: job.id,
        id: item.id,
        name: item.name,
        kind: item.kind,
        // Whoever counts what came off counts no step of the way back.
        origin: isBackStep(item) ? 'step' : item.origin,
        state: item.state,
        strip_order: item.stripOrder,
        off_at: item.off?.at ?? null,
        back_at: item.back?.at ?? null,
        pocket: item.pocket,
        label: item.label,
        fitted: item.fitted,
      },
    ],
  ),
  perElement(
    'opening',
    ['id'],
    (job) => job.openings,
    ({ id, name, state, plugId }, job) => [{ job_id: job.id, id, name, state, plug_id: plugId }],
  ),
  perElement(
    'placed_object',
    ['id'],
    (job) => job.objects,
    ({ id, what, where, out }, job) => [{ job_id: job.id, id, what, place: where, is_out: out ? 1 : 0 }],
  ),
  perElement(
    'item_flag',
    ['item_id'],
    (job) => job.items,
    ({ id, name, flag }, job) =>
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
  perElement(
    'kept_measure',
    ['item_id', 'kind'],
    (job) => job.items,
    ({ id, kept }, job) =>
      kept.map(({ kind, text, restored }) => ({
        job_id: job.id,
        item_id: id,
        kind,
        body: text,
        restored: restored?.text ?? null,
      })),
  ),
  perElement(
    'dropped',
    ['id'],
    (job) => job.searches,
    ({ id, what, where, ended }, job) => [
      {
        job_id: job.id,
        id,
        what,
        place: ended?.where ?? where,
        outcome: ended?.outcome ?? null,
        ended_by: ended?.by ?? null,
      },
    ],
  ),
  perElement(
    'broken_order',
    ['item_id', 'at'],
    (job) => job.brokenOrders,
    ({ itemId, over, reason, at }, job) => [
      {
        job_id: job.id,
        item_id: itemId,
        at,
        over_items: over.map(({ item }) => item).join(' '),
        reason,
      },
    ],
  ),
  perElement(
    'step_in_hand',
    ['person'],
    (job) => job.hands,
    ({ by, itemId, at }, job) => [{ job_id: job.id, person: by, item_id: itemId, at }],
  ),
  perElement(
    'bench_done',
    ['item_id'],
    (job) => job.unitWorkDone,
    ({ itemId, at, note }, job) => [{ job_id: job.id, item_id: itemId, at, note }],
  ),
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
