import type { Database } from 'better-sqlite3';
import type { Finding } from '../../../contract/index.ts';
import type { Job, LoggedFact } from '../../../core/job/index.ts';
import { CHAIN_START, chainHash } from '../../store/chain.ts';
import { StoreError } from '../../store/errors.ts';
import { stretchesOf } from '../../store/handsOn.ts';
import { workOf } from '../../store/workStretches.ts';
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

/** The log of one job as it lies there: its entries, each with its hash, up to the first that is no JSON any more. */
interface StoredLog {
  readonly jobId: string;
  readonly facts: LoggedFact[];
  /** One an entry, those that cannot be read included. */
  readonly hashes: string[];
  /** The numbers and times of the entries, likewise. */
  readonly seqs: number[];
  readonly times: string[];
  unreadable: number | null;
}
/** Job, number, command, time, person, type, version, data, hash. */
type EventCells = readonly [string, number, string, string, string, string, number, string, string];

/** Every job's log to its end: chain, meaning, and what was made of it. */
export function checkJobs(db: Database, { witnesses, madeIn, progress }: JobsCheck): Finding[] {
  const findings: Finding[] = [];
  const kept = madeIn === null ? null : new KeptTables(db, madeIn);
  const seen = new Set<string>();
  try {
    const of =
      db.prepare<[], { n: number }>('SELECT COUNT(*) AS n FROM (SELECT DISTINCT job_id FROM event)').get()?.n ?? 0;
    for (const log of logsOf(db)) {
      seen.add(log.jobId);
      findings.push(...chainFindings(log), ...headFindings(log, witnesses));
      const job = log.unreadable === null ? read(log, findings) : null;
      if (kept !== null) findings.push(...kept.of(log, job));
      progress(seen.size, of);
    }
    if (kept !== null) findings.push(...kept.end());
  } finally {
    kept?.close();
  }
  return [...findings, ...goneFindings(seen, witnesses)];
}

/** The log of each job, all jobs in the order of their ids, read once from beginning to end. */
function* logsOf(db: Database): Generator<StoredLog> {
  const all = db
    .prepare('SELECT job_id, seq, command_id, at, person, type, v, data, hash FROM event ORDER BY job_id, seq')
    .raw()
    .iterate() as IterableIterator<EventCells>;
  let log = null as StoredLog | null;
  for (const [jobId, seq, commandId, at, by, type, v, data, hash] of all) {
    if (log?.jobId !== jobId) {
      if (log !== null) yield log;
      log = { jobId, facts: [], hashes: [], seqs: [], times: [], unreadable: null };
    }
    log.hashes.push(hash);
    log.seqs.push(seq);
    log.times.push(at);
    if (log.unreadable !== null) continue;
    try {
      log.facts.push({ seq, commandId, at, by, type, v, data: JSON.parse(data) as unknown });
    } catch {
      log.unreadable = seq;
    }
  }
  if (log !== null) yield log;
}

/** The first place at which a chain breaks; what comes after it hangs on nothing and is not named again. */
function chainFindings({ jobId, facts, hashes, seqs, unreadable }: StoredLog): Finding[] {
  const missing = seqs.findIndex((seq, index) => seq !== index + 1);
  let previous = CHAIN_START;
  for (const [index, fact] of facts.entries()) {
    if (index === missing) break;
    previous = chainHash(previous, jobId, fact);
    if (previous !== hashes[index]) return [finding('chain', `Job ${jobId}: the chain breaks at entry ${fact.seq}.`)];
  }
  if (missing >= 0 && missing <= facts.length)
    return [finding('chain', `Job ${jobId}: entry ${missing + 1} is missing.`)];
  return unreadable === null
    ? []
    : [finding('chain', `Job ${jobId}: entry ${unreadable} is no readable record any more.`)];
}

/** Whether a log reaches as far as it did when it was last seen, with the same past. */
function headFindings({ jobId, hashes }: StoredLog, witnesses: readonly Witness[]): Finding[] {
  for (const { where, heads } of witnesses) {
    const head = heads.jobs.get(jobId);
    if (head === undefined) continue;
    const own = hashes[head.seq - 1];
    if (own === undefined)
      return [
        finding('cut', `Job ${jobId} ends at entry ${hashes.length}; ${where} has seen it with ${head.seq} entries.`),
      ];
    if (own !== head.hash)
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

function read({ jobId, facts }: StoredLog, findings: Finding[]): Job | null {
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
  readonly #work: KeptRows;

  constructor(db: Database, timeZone: string) {
    this.#timeZone = timeZone;
    const opened: KeptRows[] = [];
    const open = (table: string, leftOut: readonly string[] = []): KeptRows => {
      const rows = new KeptRows(db, table, leftOut);
      opened.push(rows);
      return rows;
    };
    try {
      this.#tables = PROJECTIONS.map((projection) => ({
        projection,
        // Words are numbered by SQLite, for the index that finds them.
        rows: open(projection.table, projection.table === 'job_words' ? ['id'] : []),
      }));
      this.#handsOn = open('hands_on');
      this.#work = open('work_stretch', ['minutes']);
    } catch (error) {
      // A damaged table cannot even be begun; those that were begun would keep the database from being closed.
      for (const rows of opened) rows.close();
      throw error;
    }
  }

  of({ jobId, times, facts }: StoredLog, job: Job | null): Finding[] {
    const differing = this.#tables.flatMap(({ projection, rows }) => {
      const stored = rows.of(jobId);
      if (job === null) return [];
      return rows.same(stored, projection.rows(job, this.#timeZone), projection.key) ? [] : [projection.table];
    });
    const stretches = stretchesOf([...new Set(times)].sort()).map((stretch) => ({ ...stretch, job_id: jobId }));
    if (!this.#handsOn.same(this.#handsOn.of(jobId), stretches, ['started_at'])) differing.push('hands_on');
    const entries = facts.toSorted((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.seq - b.seq));
    const work = workOf(entries).map((stretch) => ({ ...stretch, job_id: jobId }));
    if (!this.#work.same(this.#work.of(jobId), work, ['person', 'started_at'])) differing.push('work_stretch');
    return differing.map((table) => finding('projection', `Job ${jobId}: “${table}” does not say what its log says.`));
  }

  end(): Finding[] {
    return [
      ...this.#tables.map(({ projection, rows }) => ({ table: projection.table, rows })),
      { table: 'hands_on', rows: this.#handsOn },
      { table: 'work_stretch', rows: this.#work },
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
    this.#work.close();
  }
}
