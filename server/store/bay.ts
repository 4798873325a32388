import type { Database, Statement } from 'better-sqlite3';
import type { BayLine, BayStretch } from '../../contract/index.ts';
import type { Step } from '../../core/bay/index.ts';
import { addDays, dayOf, instantOf, sayDate } from '../../core/days/index.ts';
import { type Calendar, hoursOf } from '../../core/prepare/index.ts';
import type { JobLines } from './jobLines.ts';

/** Where the shop is and when it is open. */
export interface Place {
  readonly timeZone: string;
  readonly calendar: Calendar;
}

interface LineRow {
  readonly job_id: string;
  readonly nickname: string;
  readonly plug: string | null;
  readonly plug_minutes: number;
  readonly plug_urgency: number;
  readonly beside: string | null;
  readonly beside_minutes: number;
  readonly beside_urgency: number;
  readonly step: string;
  readonly step_minutes: number;
  readonly step_urgency: number;
  readonly part: string | null;
  readonly part_expected: string | null;
}
interface TimerRow {
  readonly job_id: string;
  readonly label: string;
  readonly started_at: string;
  readonly ends_at: string;
  readonly ended_at: string | null;
}
interface StretchRow {
  readonly job_id: string;
  readonly started_at: string;
  readonly ended_at: string;
}
interface PartRow {
  readonly job_id: string;
  readonly last_at: string;
  readonly expected: string;
}

/** Only what the day shows is read: from the evening before, as a night shift may have begun it. */
const ONLY = '(@only IS NULL OR b.job_id = @only)';

/** The Bay: a line per open job, from columns that are kept with each entry. */
export class Bay {
  readonly #lines: Statement<[{ only: string | null }], LineRow>;
  readonly #timers: Statement<[{ only: string | null; since: string }], TimerRow>;
  readonly #handsOn: Statement<[{ only: string | null; since: string }], StretchRow>;
  readonly #parts: Statement<[{ only: string | null }], PartRow>;
  readonly #jobLines: JobLines;

  constructor(db: Database, jobLines: JobLines) {
    this.#jobLines = jobLines;
    this.#lines = db.prepare(`SELECT * FROM bay_line b WHERE ${ONLY}`);
    // CROSS JOIN keeps SQLite from beginning with the long table: few jobs are open, and many were ever worked on.
    this.#timers = db.prepare(
      `SELECT t.job_id, t.label, t.started_at, t.ends_at, t.ended_at FROM bay_line b CROSS JOIN timer t ON t.job_id = b.job_id
       WHERE ${ONLY} AND (t.ended_at IS NULL OR t.ended_at >= @since) ORDER BY t.job_id, t.started_at, t.id`,
    );
    this.#handsOn = db.prepare(
      `SELECT h.job_id, h.started_at, h.ended_at FROM bay_line b CROSS JOIN hands_on h ON h.job_id = b.job_id
       WHERE ${ONLY} AND h.ended_at >= @since ORDER BY h.job_id, h.started_at`,
    );
    this.#parts = db.prepare(
      `SELECT w.job_id, j.last_at, w.expected FROM bay_line b CROSS JOIN job_want w ON w.job_id = b.job_id JOIN job_summary j ON j.job_id = b.job_id
       WHERE ${ONLY} AND w.state = 'ordered' AND w.expected IS NOT NULL ORDER BY w.job_id, w.expected`,
    );
  }

  /** Lines by job number. @param now ISO time @param only one job; none when it is not open */
  lines(now: string, place: Place, only?: string): BayLine[] {
    const since = instantOf(addDays(dayOf(now, place.timeZone), -1), 12 * 60, place.timeZone);
    const asked = { only: only ?? null };
    const kept = new Map(this.#lines.all(asked).map((row) => [row.job_id, row]));
    const timers = byJob(this.#timers.all({ ...asked, since }));
    const handsOn = byJob(this.#handsOn.all({ ...asked, since }));
    const parts = byJob(this.#parts.all(asked));
    return this.#jobLines.open(only).flatMap((job): BayLine[] => {
      const row = kept.get(job.id);
      if (row === undefined) return [];
      const own = timers.get(job.id) ?? [];
      return [
        {
          job,
          jobId: job.id,
          nickname: row.nickname,
          plug: stepOf(row.plug, row.plug_minutes, row.plug_urgency),
          beside: stepOf(row.beside, row.beside_minutes, row.beside_urgency),
          step: { what: row.step, minutes: row.step_minutes, urgency: row.step_urgency },
          part: row.part === null ? null : { name: row.part, expected: row.part_expected },
          waits: own
            .filter(({ ended_at }) => ended_at === null)
            .map(({ label, started_at, ends_at }) => ({ label, startedAt: started_at, endsAt: ends_at })),
          stretches: [
            ...(handsOn.get(job.id) ?? []).map(worked),
            ...own.map(waited),
            ...(parts.get(job.id) ?? []).map((part) => awaited(part, place)).filter(({ to }) => to > now),
          ],
        },
      ];
    });
  }
}

const stepOf = (what: string | null, minutes: number, urgency: number): Step | null =>
  what === null ? null : { what, minutes, urgency };
const worked = ({ started_at, ended_at }: StretchRow): BayStretch => ({
  kind: 'hands-on',
  from: started_at,
  to: ended_at,
  words: '',
});
const waited = ({ label, started_at, ends_at, ended_at }: TimerRow): BayStretch => ({
  kind: 'wait',
  from: started_at,
  to: ended_at ?? ends_at,
  words: label,
});
const awaited = ({ last_at, expected }: PartRow, place: Place): BayStretch => ({
  kind: 'part',
  from: last_at,
  to: opening(expected, place),
  words: `part expected ${sayDate(expected)}`,
});

/** A part is expected when the shop opens that day; on a day off at eight. */
function opening(day: string, { timeZone, calendar }: Place): string {
  const { from } = hoursOf(calendar, day) ?? { from: 8 * 60 };
  return instantOf(day, from, timeZone);
}

function byJob<Row extends { readonly job_id: string }>(rows: readonly Row[]): ReadonlyMap<string, Row[]> {
  const jobs = new Map<string, Row[]>();
  for (const row of rows) {
    const known = jobs.get(row.job_id);
    if (known === undefined) jobs.set(row.job_id, [row]);
    else known.push(row);
  }
  return jobs;
}
