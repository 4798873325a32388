import type { Database } from 'better-sqlite3';
import type { VisitFigure } from '../../contract/index.ts';
import { prepared } from './prepared.ts';

/** Figures of a vehicle over all its visits, along its meter. */
export class Visits {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /**
   * What was measured or recorded before and after the work at each visit, in the order of the meter. A figure that was
   * typed and recorded stands once, as it was typed.
   */
  of(vehicleId: string): VisitFigure[] {
    return this.#sql<[string], VisitFigure>(
      `WITH told AS (
         SELECT job_id, CASE kind WHEN 'idle-rpm' THEN 'idle' WHEN 'valve-duty' THEN 'duty' WHEN 'valve-steps' THEN 'steps'
             WHEN 'settle-time' THEN 'settle' WHEN 'long-trim' THEN 'trim-idle' ELSE kind END AS kind,
           phase, value, NULL AS sd, 0 AS rank FROM measurement
         UNION ALL
         SELECT f.job_id, f.kind, f.phase, f.value, f.sd, 1 AS rank FROM trace_figure f
           JOIN recording_kept r ON r.job_id = f.job_id AND r.id = f.recording_id
           WHERE r.started_at = (SELECT MAX(started_at) FROM recording_kept l WHERE l.job_id = r.job_id AND l.phase = r.phase)),
       once AS (SELECT job_id, kind, phase, value, sd, MIN(rank) FROM told GROUP BY job_id, kind, phase)
       SELECT o.kind, o.phase AS "when", o.value, o.sd, j.job_id AS jobId, j.number, j.reading, j.reading_unit AS readingUnit,
         j.opened_at AS openedAt, COALESCE(d.choice, '') AS choice
       FROM once o JOIN job_summary j ON j.job_id = o.job_id LEFT JOIN job_decision d ON d.job_id = o.job_id
       WHERE j.vehicle_id = ? AND o.kind IN ('idle', 'duty', 'steps', 'settle', 'trim-idle', 'gap-area', 'swing')
       ORDER BY j.reading, j.number, o.kind, o.phase DESC`,
    ).all(vehicleId);
  }
}
