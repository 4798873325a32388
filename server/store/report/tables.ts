import { SUBSTANCES, type Substance, WASTE_KINDS, type WasteKind } from '../../../core/clean/index.ts';
import { roleWords, type Role } from '../../../core/access/index.ts';
import { OPTIONS, type OptionId } from '../../../core/diagnose/index.ts';
import { type Stage, STAGE_NAMES, STAGES } from '../../../core/job/index.ts';
import { upperFirst } from '../../../core/words/index.ts';
import type { ReportColumn } from '../../../contract/index.ts';

/** A row as SQL gives it. */
export type SqlRow = Readonly<Record<string, string | number | null>>;

/** A table of a report: what it is made of, and which jobs are behind a row. Both are asked with `:from` and `:to`. */
export interface TableSpec {
  readonly id: string;
  readonly title: string;
  readonly note: string;
  readonly columns: readonly ReportColumn[];
  /** `key` is what a row is known by. */
  readonly sql: string;
  /** Jobs of a row, by `:key`. */
  readonly behind: string;
  /** What a row reads like; left out: as it is. */
  readonly words?: (row: SqlRow) => SqlRow;
}

const text = (id: string, name: string): ReportColumn => ({ id, name, kind: 'text' });
const figure = (id: string, name: string, kind: ReportColumn['kind']): ReportColumn => ({ id, name, kind });
/** Jobs that were handed over in the time. */
const CLOSED = 'v.closed_at >= :from AND v.closed_at < :to';
const JOB = 'j.job_id AS jobId, j.number, j.plate';

/** Every table of a month or a year, in the order in which they are read. */
export const TABLES: readonly TableSpec[] = [
  {
    id: 'work',
    title: 'Work by kind',
    note: 'Came back: opened again after it had been handed over.',
    columns: [
      text('kind', 'What was done'),
      figure('jobs', 'Handed over', 'count'),
      figure('back', 'Came back', 'count'),
      figure('labour', 'Labour, charged', 'minutes'),
      figure('parts', 'Parts', 'money'),
      figure('total', 'In all', 'money'),
    ],
    sql: `SELECT COALESCE(v.option, '') AS key, COUNT(*) AS jobs, SUM(v.reopened > 0) AS back, SUM(v.labour_minutes) AS labour,
        SUM(v.parts_minor) AS parts, SUM(v.total_minor) AS total
      FROM visit v WHERE ${CLOSED} GROUP BY 1 ORDER BY jobs DESC, key`,
    behind: `SELECT ${JOB} FROM visit v JOIN job_summary j ON j.job_id = v.job_id WHERE ${CLOSED} AND COALESCE(v.option, '') = :key
      ORDER BY j.number`,
    words: (row) => ({ ...row, kind: OPTIONS[row.key as OptionId] ?? 'Nothing was decided' }),
  },
  {
    id: 'times',
    title: 'Minutes by stage',
    note: 'By hand, of jobs handed over in this time, by what people are: a comparison of stages, not of people.',
    columns: [
      text('stage', 'Stage'),
      text('role', 'By'),
      figure('jobs', 'Jobs', 'count'),
      figure('took', 'Took', 'minutes'),
      figure('expected', 'Expected', 'minutes'),
      figure('share', 'Of what was expected', 'percent'),
    ],
    sql: `SELECT t.stage || ' ' || COALESCE(p.role, '') AS key, t.stage, COALESCE(p.role, '') AS role,
        COUNT(DISTINCT t.job_id) AS jobs, SUM(t.took) AS took, SUM(t.expected) AS expected
      FROM stage_took t LEFT JOIN person p ON p.id = t.person WHERE t.closed_at >= :from AND t.closed_at < :to GROUP BY 2, 3`,
    behind: `SELECT DISTINCT ${JOB} FROM stage_took t LEFT JOIN person p ON p.id = t.person JOIN job_summary j ON j.job_id = t.job_id
      WHERE t.closed_at >= :from AND t.closed_at < :to AND t.stage || ' ' || COALESCE(p.role, '') = :key ORDER BY j.number`,
    words: (row) => ({
      ...row,
      stage: STAGE_NAMES[row.stage as Stage] ?? String(row.stage),
      role: row.role === '' ? 'nobody in the list' : roleWords(row.role as Role),
      share: Number(row.expected) > 0 ? Number(row.took) / Number(row.expected) : null,
    }),
  },
  {
    id: 'over',
    title: 'What ran over, and why',
    note: 'More than twice what was expected, and a quarter of an hour more. Why is what the job itself recorded.',
    columns: [
      text('plate', 'Vehicle'),
      text('stage', 'Stage'),
      figure('took', 'Took', 'minutes'),
      figure('expected', 'Expected', 'minutes'),
      text('why', 'Why'),
    ],
    sql: `WITH took AS (
        SELECT job_id, stage, SUM(took) AS took, SUM(expected) AS expected FROM stage_took
        WHERE closed_at >= :from AND closed_at < :to GROUP BY job_id, stage
        HAVING SUM(took) > 2 * SUM(expected) AND SUM(took) - SUM(expected) >= 15)
      SELECT t.job_id AS key, j.plate, t.stage, t.took, t.expected,
        (SELECT COUNT(*) FROM seized_screw s WHERE s.job_id = t.job_id) AS seized,
        (SELECT COUNT(*) FROM thread_damage d WHERE d.job_id = t.job_id) AS threads,
        (SELECT COUNT(*) FROM dropped d WHERE d.job_id = t.job_id) AS dropped,
        (SELECT COUNT(*) FROM run r WHERE r.job_id = t.job_id AND r.outcome = 'did not take') AS runs,
        (SELECT COUNT(*) FROM need_state n WHERE n.job_id = t.job_id AND n.ordered_at IS NOT NULL) AS ordered
      FROM took t JOIN job_summary j ON j.job_id = t.job_id
      ORDER BY t.took - t.expected DESC LIMIT 100`,
    behind: `SELECT ${JOB} FROM job_summary j WHERE j.job_id = :key AND :from < :to`,
    words: (row) => ({
      ...row,
      stage: STAGE_NAMES[row.stage as Stage] ?? String(row.stage),
      why: whyOver(row),
    }),
  },
  {
    id: 'promises',
    title: 'Promises',
    note: 'Of jobs handed over in this time that had a promise: by the last one that was given.',
    columns: [text('kind', 'How it went'), figure('jobs', 'Jobs', 'count')],
    sql: `SELECT CASE WHEN v.closed_at <= j.promised THEN 'kept' ELSE 'late' END AS key, COUNT(*) AS jobs
      FROM visit v JOIN job_summary j ON j.job_id = v.job_id WHERE ${CLOSED} AND j.promised IS NOT NULL GROUP BY 1 ORDER BY 1`,
    behind: `SELECT ${JOB} FROM visit v JOIN job_summary j ON j.job_id = v.job_id
      WHERE ${CLOSED} AND j.promised IS NOT NULL AND CASE WHEN v.closed_at <= j.promised THEN 'kept' ELSE 'late' END = :key ORDER BY j.number`,
    words: (row) => ({ ...row, kind: row.key === 'kept' ? 'Kept' : 'Handed over after it' }),
  },
  {
    id: 'cleaners',
    title: 'Cleaners',
    note: '',
    columns: [text('substance', 'Cleaner'), figure('jobs', 'Jobs', 'count'), figure('grams', 'Used', 'grams')],
    sql: `SELECT substance AS key, COUNT(DISTINCT job_id) AS jobs, SUM(grams) AS grams FROM can_use
      WHERE at >= :from AND at < :to GROUP BY substance ORDER BY grams DESC`,
    behind: `SELECT DISTINCT ${JOB} FROM can_use c JOIN job_summary j ON j.job_id = c.job_id
      WHERE c.at >= :from AND c.at < :to AND c.substance = :key ORDER BY j.number`,
    words: (row) => ({ ...row, substance: upperFirst(SUBSTANCES[row.key as Substance] ?? String(row.key)) }),
  },
  {
    id: 'seals',
    title: 'Gaskets and seals, used against bought',
    note: 'Bought: booked into stock by what arrived, and ordered for a job and arrived.',
    columns: [
      text('name', 'Part'),
      text('number', 'Number'),
      figure('used', 'Used', 'count'),
      figure('bought', 'Bought', 'count'),
    ],
    sql: `WITH used AS (
        SELECT p.part_key AS key, MAX(p.part_number) AS number, SUM(p.quantity) AS used FROM part_use p
        WHERE p.at >= :from AND p.at < :to AND p.part_key <> '' GROUP BY p.part_key),
      bought AS (
        SELECT key, SUM(quantity) AS bought, MAX(number) AS number FROM (
          SELECT s.part_key AS key, s.part_number AS number, m.change AS quantity FROM stock_movement m JOIN stock s ON s.id = m.item_id
            WHERE m.at >= :from AND m.at < :to AND m.kind = 'received' AND COALESCE(s.part_key, '') <> ''
          UNION ALL SELECT n.part_key, n.part_number, n.quantity FROM need_state n
            WHERE n.arrived_at >= :from AND n.arrived_at < :to AND n.part_key <> '') GROUP BY key),
      both AS (SELECT key FROM used UNION SELECT key FROM bought)
      SELECT b.key, COALESCE(u.number, g.number) AS number, COALESCE(u.used, 0) AS used, COALESCE(g.bought, 0) AS bought,
        COALESCE((SELECT s.name FROM stock s WHERE s.part_key = b.key LIMIT 1),
          (SELECT c.name FROM consumption c WHERE c.part_key = b.key LIMIT 1), u.number, g.number) AS name
      FROM both b LEFT JOIN used u ON u.key = b.key LEFT JOIN bought g ON g.key = b.key ORDER BY used DESC, name LIMIT 500`,
    behind: `SELECT DISTINCT ${JOB} FROM part_use p JOIN job_summary j ON j.job_id = p.job_id
      WHERE p.at >= :from AND p.at < :to AND p.part_key = :key ORDER BY j.number`,
  },
  {
    id: 'waste',
    title: 'Waste handed over',
    note: 'Each line with its slip, or where it went.',
    columns: [text('kind', 'Kind'), text('amount', 'Amount'), text('place', 'Where, slip'), text('plate', 'From')],
    sql: `SELECT w.job_id || ' ' || w.id AS key, w.kind, w.amount, w.place, j.plate FROM waste w JOIN job_summary j ON j.job_id = w.job_id
      WHERE w.at >= :from AND w.at < :to ORDER BY w.at, w.job_id, w.id LIMIT 1000`,
    behind: `SELECT ${JOB} FROM waste w JOIN job_summary j ON j.job_id = w.job_id
      WHERE w.at >= :from AND w.at < :to AND w.job_id || ' ' || w.id = :key`,
    words: (row) => ({ ...row, kind: WASTE_KINDS[row.kind as WasteKind]?.name ?? String(row.kind) }),
  },
  {
    id: 'coolant',
    title: 'Coolant, out and in',
    note: '',
    columns: [text('kind', 'What'), figure('jobs', 'Jobs', 'count'), figure('litres', 'Litres', 'litres')],
    sql: `SELECT kind AS key, COUNT(DISTINCT job_id) AS jobs, SUM(litres) AS litres FROM coolant_entry
      WHERE at >= :from AND at < :to GROUP BY kind ORDER BY kind`,
    behind: `SELECT DISTINCT ${JOB} FROM coolant_entry c JOIN job_summary j ON j.job_id = c.job_id
      WHERE c.at >= :from AND c.at < :to AND c.kind = :key ORDER BY j.number`,
    words: (row) => ({ ...row, kind: COOLANT[String(row.key)] ?? String(row.key) }),
  },
];

const COOLANT: Readonly<Record<string, string>> = {
  caught: 'Caught',
  returned: 'Put back',
  added: 'Topped up',
  discarded: 'Thrown away',
};

/** What a job itself says of why it took long. */
function whyOver({ seized, threads, dropped, runs, ordered }: SqlRow): string {
  const said = (count: unknown, one: string, many: string): string[] =>
    Number(count) === 0 ? [] : [Number(count) === 1 ? one : `${String(count)} ${many}`];
  const why = [
    ...said(seized, 'a seized screw', 'seized screws'),
    ...said(threads, 'a damaged thread', 'damaged threads'),
    ...said(dropped, 'something dropped', 'things dropped'),
    ...said(runs, 'a relearn that did not take', 'relearns that did not take'),
    ...said(ordered, 'a part on order', 'parts on order'),
  ];
  return why.length === 0 ? 'nothing that was recorded' : why.join(', ');
}

/** Stages in the order of the work, for rows that come in any. */
export const stageRank = (key: string): number => STAGES.findIndex((stage) => key.startsWith(`${stage} `));
