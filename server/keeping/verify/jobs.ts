import type { Database } from 'better-sqlite3';
import type { Finding } from '../../../contract/index.ts';
import type { Job, LoggedFact } from '../../../core/job/index.ts';
import { CHAIN_START, chainHash } from '../../store/chain.ts';
import { StoreError } from '../../store/errors.ts';
import { stretchesOf } from '../../store/handsOn.ts';
import type { Projection } from '../../store/projection.ts';
import { PROJECTIONS } from '../../store/projections/index.ts';
import { readLog } from '../../store/reader.ts';
import type { Heads } from '../heads.ts';
import { finding } from './finding.ts';
import { KeptRows } from './keptRows.ts';

/** Heads that were kept somewhere, and where, as said in a finding. */
export interface Witness {
  readonly where: string;
  readonly heads: Heads;
}

/** How the logs of all jobs are checked. */
export interface JobsCheck {
  readonly witnesses: readonly Witness[];
  /** The zone that columns were made in; null when they are made anew at the next start anyway. */
  readonly madeIn: string | null;
  readonly progress: (done: number, of: number) => void;
}

interface EventRow extends Omit<LoggedFact, 'data' | 'commandId' | 'by'> {
  readonly jobId: string;
  readonly commandId: string;
  readonly by: string;
  readonly data: string;
  readonly hash: string;
}

/** Every job's log to its end: chain, meaning, and what was made of it. */
export function checkJobs(db: Database, { witnesses, madeIn, progress }: JobsCheck): Finding[] {
  const findings: Finding[] = [];
  const kept = madeIn === null ? null : new KeptTables(db, madeIn);
  const of =
    db.prepare<[], { n: number }>('SELECT COUNT(*) AS n FROM (SELECT DISTINCT job_id FROM event)').get()?.n ?? 0;
  const seen = new Set<string>();
  try {
    for (const rows of jobsOf(db)) {
      const jobId = rows[0]?.jobId ?? '';
      seen.add(jobId);
      const facts = parsed(jobId, rows, findings);
      findings.push(...chainFindings(jobId, rows, facts), ...headFindings(jobId, rows, witnesses));
      const job = facts === null ? null : read(jobId, facts, findings);
      if (kept !== null) findings.push(...kept.of(jobId, job, rows));
      progress(seen.size, of);
    }
    if (kept !== null) findings.push(...kept.end());
  } finally {
    kept?.close();
  }
  return [...findings, ...goneFindings(seen, witnesses)];
}

/** The rows of each job, all jobs in the order of their ids, read once from beginning to end. */
function* jobsOf(db: Database): Generator<EventRow[]> {
  const all = db
    .prepare<[], EventRow>(
      `SELECT job_id AS jobId, seq, command_id AS commandId, at, person AS "by", type, v, data, hash FROM event
         ORDER BY job_id, seq`,
    )
    .iterate();
  let rows: EventRow[] = [];
  for (const row of all) {
    if (rows[0] !== undefined && rows[0].jobId !== row.jobId) {
      yield rows;
      rows = [];
    }
    rows.push(row);
  }
  if (rows.length > 0) yield rows;
}

function parsed(jobId: string, rows: readonly EventRow[], findings: Finding[]): LoggedFact[] | null {
  const facts: LoggedFact[] = [];
  for (const { seq, commandId, at, by, type, v, data } of rows) {
    try {
      facts.push({ seq, commandId, at, by, type, v, data: JSON.parse(data) as unknown });
    } catch {
      findings.push(finding('chain', `Job ${jobId}: entry ${seq} is no readable record any more.`));
      return null;
    }
  }
  return facts;
}

/** The first place at which a chain breaks; what comes after it hangs on nothing and is not named again. */
function chainFindings(jobId: string, rows: readonly EventRow[], facts: readonly LoggedFact[] | null): Finding[] {
  let previous = CHAIN_START;
  for (const [index, { seq, hash }] of rows.entries()) {
    if (seq !== index + 1) return [finding('chain', `Job ${jobId}: entry ${index + 1} is missing.`)];
    const fact = facts?.[index];
    if (fact === undefined) return [];
    if (chainHash(previous, jobId, fact) !== hash)
      return [finding('chain', `Job ${jobId}: the chain breaks at entry ${seq}.`)];
    previous = hash;
  }
  return [];
}

/** Whether a log reaches as far as it did when it was last seen, with the same past. */
function headFindings(jobId: string, rows: readonly EventRow[], witnesses: readonly Witness[]): Finding[] {
  for (const { where, heads } of witnesses) {
    const head = heads.jobs.get(jobId);
    if (head === undefined) continue;
    const own = rows[head.seq - 1];
    if (own === undefined)
      return [
        finding('cut', `Job ${jobId} ends at entry ${rows.length}; ${where} has seen it with ${head.seq} entries.`),
      ];
    if (own.hash !== head.hash)
      return [finding('cut', `Job ${jobId}: entry ${head.seq} is another than ${where} has seen.`)];
  }
  return [];
}

function goneFindings(seen: ReadonlySet<string>, witnesses: readonly Witness[]): Finding[] {
  const gone = new Map<string, Finding>();
  for (const { where, heads } of witnesses)
    for (const [jobId, { seq }] of heads.jobs)
      if (!seen.has(jobId) && !gone.has(jobId))
        gone.set(jobId, finding('cut', `Job ${jobId} is not there at all; ${where} has seen it with ${seq} entries.`));
  return [...gone.values()];
}

function read(jobId: string, facts: readonly LoggedFact[], findings: Finding[]): Job | null {
  try {
    return readLog(jobId, facts).job;
  } catch (error) {
    if (!(error instanceof StoreError)) throw error;
    findings.push(finding('log', error.message));
    return null;
  }
}

/** What was made of the logs and is kept in columns, held against what they say now. */
class KeptTables {
  readonly #timeZone: string;
  readonly #tables: readonly { readonly projection: Projection; readonly rows: KeptRows }[];
  readonly #handsOn: KeptRows;

  constructor(db: Database, timeZone: string) {
    this.#timeZone = timeZone;
    this.#tables = PROJECTIONS.map((projection) => ({
      projection,
      // Words are numbered by SQLite, for the index that finds them.
      rows: new KeptRows(db, projection.table, projection.table === 'job_words' ? ['id'] : []),
    }));
    this.#handsOn = new KeptRows(db, 'hands_on');
  }

  of(jobId: string, job: Job | null, log: readonly EventRow[]): Finding[] {
    const differing = this.#tables.flatMap(({ projection, rows }) => {
      const stored = rows.of(jobId);
      if (job === null) return [];
      return rows.same(stored, projection.rows(job, this.#timeZone), projection.key) ? [] : [projection.table];
    });
    const times = [...new Set(log.map(({ at }) => at))].sort();
    const stretches = stretchesOf(times).map((stretch) => ({ ...stretch, job_id: jobId }));
    if (!this.#handsOn.same(this.#handsOn.of(jobId), stretches, ['started_at'])) differing.push('hands_on');
    return differing.map((table) => finding('projection', `Job ${jobId}: “${table}” does not say what its log says.`));
  }

  end(): Finding[] {
    return [
      ...this.#tables.map(({ projection, rows }) => ({ table: projection.table, rows })),
      { table: 'hands_on', rows: this.#handsOn },
    ].flatMap(({ table, rows }) => {
      rows.end();
      return [...rows.strays].map((jobId) =>
        finding('projection', `“${table}” holds rows of job ${jobId}, of which there is no log.`),
      );
    });
  }

  close(): void {
    for (const { rows } of this.#tables) rows.close();
    this.#handsOn.close();
  }
}
