import type { Database, Statement } from 'better-sqlite3';
import type { FoundKind, FoundLine, FoundPart, SearchReply } from '../../contract/index.ts';
import { searchWords } from '../../core/words/index.ts';
import { matching, type Sought, soughtIn } from './matching.ts';
import type { People } from './people.ts';

interface JobHit {
  readonly id: number;
  readonly ref: string;
  readonly number: number;
  readonly plate: string;
  readonly name: string;
  readonly status: 'open' | 'closed';
  readonly piece: string;
}
interface RowHit {
  readonly id: number;
  readonly ref: string;
  readonly title: string;
}
interface Snippet {
  readonly snippet: string;
}
interface Ref {
  readonly ref: string;
}

/** Marks what was found within a snippet; neither can be typed. */
const [OPEN, CLOSE] = ['\u0002', '\u0003'];
const KINDS: readonly Exclude<FoundKind, 'job'>[] = ['vehicle', 'unit', 'stock', 'procedure'];
/** So many of the newest are looked at to find the best of them. */
const NEWEST = 400;
/** A filter that leaves no more than so many rows is looked up first; one that leaves more is met again at every step. */
const FEW = 1000;

/** Finds anything by its words, in any order, begun or whole, and by numbers however they are spelt. */
export class Search {
  readonly #people: People;
  readonly #jobs: Statement<[string, number], JobHit>;
  readonly #jobSnippet: Statement<[string, number], Snippet>;
  readonly #rows: Statement<[string, number], RowHit>;
  readonly #rowSnippet: Statement<[string, number], Snippet>;
  readonly #fewJobs: Statement<[string], Ref>;
  readonly #fewRows: Statement<[string], Ref>;

  constructor(db: Database, people: People) {
    this.#people = people;
    // One line a job: its best piece. What is written last has the highest number, so the newest are met first, and
    // nothing is read of the many others that fit.
    this.#jobs = db.prepare(
      `WITH hits AS MATERIALIZED (
         SELECT rowid AS id FROM job_found WHERE job_found MATCH ? ORDER BY rowid DESC LIMIT ${NEWEST}
       ), best AS (
         SELECT w.id, w.job_id, w.piece, ROW_NUMBER() OVER (PARTITION BY w.job_id ORDER BY w.piece = 'job' DESC, w.id) AS nth
         FROM hits JOIN job_words w ON w.id = hits.id
       )
       SELECT b.id, b.job_id AS ref, j.number, j.plate, j.name, j.status, b.piece
       FROM best b JOIN job_summary j ON j.job_id = b.job_id
       WHERE b.nth = 1 ORDER BY j.status = 'open' DESC, j.number DESC LIMIT ?`,
    );
    this.#jobSnippet = db.prepare(
      `SELECT snippet(job_found, -1, '${OPEN}', '${CLOSE}', '…', 12) AS snippet FROM job_found WHERE job_found MATCH ? AND rowid = ?`,
    );
    this.#rows = db.prepare(
      `SELECT w.id, w.ref, w.title FROM row_found JOIN row_words w ON w.id = row_found.rowid
       WHERE row_found MATCH ? ORDER BY row_found.rowid DESC LIMIT ?`,
    );
    this.#rowSnippet = db.prepare(
      `SELECT snippet(row_found, -1, '${OPEN}', '${CLOSE}', '…', 12) AS snippet FROM row_found WHERE row_found MATCH ? AND rowid = ?`,
    );
    this.#fewJobs = db.prepare(
      `SELECT DISTINCT w.job_id AS ref FROM (SELECT rowid AS id FROM job_found WHERE job_found MATCH ? LIMIT ${FEW + 1}) f JOIN job_words w ON w.id = f.id`,
    );
    this.#fewRows = db.prepare(
      `SELECT w.ref FROM (SELECT rowid AS id FROM row_found WHERE row_found MATCH ? LIMIT ${FEW + 1}) f JOIN row_words w ON w.id = f.id`,
    );
  }

  /** What fits, by kind. @param limit lines of each kind; `more` says that there are others */
  find(text: string, limit: number): SearchReply {
    const sought = soughtIn(text);
    if (sought === null) return { groups: [] };
    const query = matching(sought, (word) => this.#called(word));
    const jobs = this.#jobs.all(query, limit + 1);
    const groups = [
      {
        kind: 'job' as const,
        rows: jobs.slice(0, limit).map((hit) => this.#jobLine(query, hit)),
        more: jobs.length > limit,
      },
      ...KINDS.map((kind) => this.#rowsOf(kind, sought, limit)),
    ];
    return { groups: groups.filter(({ rows }) => rows.length > 0) };
  }

  /** Ids of the rows of that kind that fit, when they are few; null when they are many. */
  few(kind: 'job' | 'vehicle', sought: Sought): readonly string[] | null {
    const found =
      kind === 'job' ? this.#fewJobs.all(`(${matching(sought)})`) : this.#fewRows.all(ofKind(kind, matching(sought)));
    return found.length > FEW ? null : found.map(({ ref }) => ref);
  }

  /** What bears exactly that number stands before what only begins so. */
  #rowsOf(kind: Exclude<FoundKind, 'job'>, sought: Sought, limit: number): SearchReply['groups'][number] {
    const query = ofKind(kind, matching(sought));
    const exact = this.#rows.all(ofKind(kind, `plain : "${sought.number}"`), limit);
    const known = new Set(exact.map(({ id }) => id));
    const hits = [...exact, ...this.#rows.all(query, limit + exact.length + 1).filter(({ id }) => !known.has(id))];
    return {
      kind,
      rows: hits.slice(0, limit).map(({ id, ref, title }) => {
        const { snippet } = this.#rowSnippet.get(query, id) ?? { snippet: '' };
        return { ref, title, about: '', status: null, parts: partsOf(snippet) };
      }),
      more: hits.length > limit,
    };
  }

  #jobLine(query: string, { id, ref, number, plate, name, status, piece }: JobHit): FoundLine {
    const own = piece === 'job';
    const { snippet } = own ? { snippet: '' } : (this.#jobSnippet.get(query, id) ?? { snippet: '' });
    return {
      ref,
      title: `${number} · ${plate} · ${name}`,
      about: own ? '' : piece,
      status,
      parts: partsOf(snippet),
    };
  }

  /** A person is found by name, though what they did is kept by their id. */
  #called(word: string): string[] {
    return [...this.#people.names()].flatMap(([id, name]) =>
      searchWords(name).some((part) => part.startsWith(word)) ? [id] : [],
    );
  }
}

const ofKind = (kind: string, query: string): string => `kind : "${kind}" AND (${query})`;

/** A snippet as data: what was found in it, and what stands round it. */
function partsOf(snippet: string): FoundPart[] {
  return snippet.split(OPEN).flatMap((stretch, index): FoundPart[] => {
    if (index === 0) return stretch === '' ? [] : [{ text: stretch, hit: false }];
    const end = stretch.indexOf(CLOSE);
    const after = stretch.slice(end + 1);
    return [{ text: stretch.slice(0, end), hit: true }, ...(after === '' ? [] : [{ text: after, hit: false }])];
  });
}
