import { boltVerdict, wantsFigure } from '../../../core/job/index.ts';
import { jointOf } from '../../../core/procedure/index.ts';
import { threadKey } from '../../../core/torque/index.ts';
import { perElement, type Projection } from '../projection.ts';

/** Tables of what was tightened. */
export const TORQUE_TABLES: readonly Projection[] = [
  perElement(
    'torque_result',
    ['item_id', 'bolt_id'],
    (job) => job.items,
    (item, job) =>
      item.bolts.map((bolt) => ({
        job_id: job.id,
        item_id: item.id,
        bolt_id: bolt.boltId,
        pass: bolt.pass,
        is_final: bolt.final ? 1 : 0,
        shown: bolt.reading?.value ?? null,
        shown_unit: bolt.reading?.unit ?? null,
        adapter: bolt.adapter === null ? null : JSON.stringify(bolt.adapter),
        value: bolt.torque?.value ?? null,
        unit: bolt.torque?.unit ?? null,
        nm: bolt.nm,
        method: bolt.method,
        wrench: bolt.wrench,
        verdict: boltVerdict(item, bolt),
        at: bolt.at,
      })),
  ),
  perElement(
    'fastener_group',
    ['item_id'],
    (job) => job.items,
    (item, job) =>
      item.fasteners === null || item.state === 'on'
        ? []
        : [
            {
              job_id: job.id,
              item_id: item.id,
              name: item.name,
              joint: jointOf(item),
              count: item.fasteners.count,
              thread: item.fasteners.thread,
              thread_key: threadKey(item.fasteners.thread),
              text: item.fasteners.spec?.text ?? null,
              target_nm: item.fasteners.spec?.targetNm ?? null,
              source: item.fasteners.spec?.source ?? null,
              by_feel: item.byFeel?.why ?? null,
              wanted: wantsFigure(item) ? 1 : 0,
            },
          ],
  ),
  perElement(
    'thread_damage',
    ['item_id', 'bolt_id'],
    (job) => job.items,
    ({ id, threads }, job) =>
      threads.map(({ boltId, repaired, at }) => ({
        job_id: job.id,
        item_id: id,
        bolt_id: boltId,
        route: repaired?.route ?? null,
        at,
      })),
  ),
];
