import type { Database } from 'better-sqlite3';
import type { LikeFigure } from '../../contract/index.ts';
import type { Job } from '../../core/job/index.ts';
import { jointOf } from '../../core/procedure/index.ts';
import { threadKey } from '../../core/torque/index.ts';
import { prepared } from './prepared.ts';

/** How many jobs are offered: a person reads them all. */
const OFFERED = 5;

/** Torque figures that this shop used before. */
export class Figures {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /** Figures of other jobs for the same thread in the same kind of joint on a like vehicle: itself, its family, its engine. */
  like(job: Job, itemId: string): LikeFigure[] {
    const item = job.items.find(({ id }) => id === itemId);
    if (item?.fasteners == null) return [];
    const { id, familyId, make, engine } = job.vehicle;
    return this.#sql<unknown[], LikeFigure>(
      `SELECT jobId, number, plate, vehicle, name, text, source, kin FROM (
         SELECT s.job_id AS jobId, s.number, s.plate, v.make || ' ' || v.model AS vehicle, g.name, g.text, g.source,
           CASE WHEN v.id = ? THEN 'vehicle' WHEN v.family_id IS NOT NULL AND v.family_id = ? THEN 'family' ELSE 'engine' END AS kin,
           row_number() OVER (PARTITION BY g.name, g.text, v.id ORDER BY s.number DESC) AS place
         FROM fastener_group g JOIN job_summary s ON s.job_id = g.job_id JOIN vehicle v ON v.id = s.vehicle_id
         WHERE g.thread_key = ? AND g.text IS NOT NULL AND g.joint = ? AND g.job_id <> ?
           AND (v.id = ? OR (v.family_id IS NOT NULL AND v.family_id = ?) OR (v.make = ? AND v.engine = ? AND v.engine <> ''))
       ) WHERE place = 1
       ORDER BY CASE kin WHEN 'vehicle' THEN 0 WHEN 'family' THEN 1 ELSE 2 END, name <> ?, number DESC LIMIT ${OFFERED}`,
    ).all(
      id,
      familyId ?? null,
      threadKey(item.fasteners.thread),
      jointOf(item),
      job.id,
      id,
      familyId ?? null,
      make,
      engine,
      item.name,
    );
  }
}
