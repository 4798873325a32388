import type { Database, Statement } from 'better-sqlite3';
import type { FoundKind, FoundLine, FoundPart, SearchReply } from '../../contract/index.ts';
import { plainNumber } from '../../core/stock/index.ts';
import type { People } from './people.ts';

interface JobHit {
  readonly ref: string;
  readonly number: number;
  readonly plate: string;
  readonly name: string;
  readonly status: 'open' | 'closed';
  readonly piece: string;
  readonly snippet: string;
}
interface RowHit {
  readonly ref: string;
  readonly title: string;
  readonly snippet: string;
}

/** Marks what was found within a snippet; neither can be typed. */
const [OPEN, CLOSE] = ['\u0002', '\u0003'];
const KINDS: readonly Exclude<FoundKind, 'job'>[] = ['vehicle', 'unit', 'stock', 'procedure'];
/** More words than anybody types; the rest would only narrow what is narrow already. */
const MOST_WORDS = 8;

/** Finds anything by its words, in any order, begun or whole, and by numbers however they are spelt. */
export class Search {
  readonly #people: People;
  readonly #jobs: Statement<[string, number], JobHit>;
  readonly #rows: Statement<[string, string, number], RowHit>;

  constructor(db: Database, people: People) {
    this.#people = people;
    // One line a job: its best piece, newest jobs first among equals.
    this.#jobs = db.prepare(
      `WITH hits AS MATERIALIZED (
         SELECT rowid AS id, rank AS place, snippet(job_found, -1, '${OPEN}', '${CLOSE}', '…', 12) AS snippet
         FROM job_found WHERE job_found MATCH ?
       ), best AS (
         SELECT w.job_id, w.piece, h.snippet,
           ROW_NUMBER() OVER (PARTITION BY w.job_id ORDER BY w.piece = 'job' DESC, h.place) AS nth
         FROM hits h JOIN job_words w ON w.id = h.id
       )
       SELECT b.job_id AS ref, j.number, j.plate, j.name, j.status, b.piece, b.snippet
       FROM best b JOIN job_summary j ON j.job_id = b.job_id
       WHERE b.nth = 1 ORDER BY j.status = 'open' DESC, j.number DESC LIMIT ?`,
    );
    this.#rows = db.prepare(
      `SELECT w.ref, w.title, snippet(row_found, -1, '${OPEN}', '${CLOSE}', '…', 12) AS snippet
       FROM row_found JOIN row_words w ON w.id = row_found.rowid
       WHERE row_found MATCH ? AND w.kind = ? ORDER BY row_found.rank, w.title LIMIT ?`,
    );
  }

  /** What fits, by kind. @param limit lines of each kind; `more` says that there are others */
  find(text: string, limit: number): SearchReply {
    const query = this.#queryOf(text);
    if (query === null) return { groups: [] };
    const jobs = this.#jobs.all(query, limit + 1);
    const groups = [
      { kind: 'job' as const, rows: jobs.slice(0, limit).map(jobLine), more: jobs.length > limit },
      ...KINDS.map((kind) => {
        const rows = this.#rows.all(query, kind, limit + 1);
        return { kind, rows: rows.slice(0, limit).map(rowLine), more: rows.length > limit };
      }),
    ];
    return { groups: groups.filter(({ rows }) => rows.length > 0) };
  }

  /** Every word begun, or the whole as a number; null where nothing was typed that could be found. */
  #queryOf(text: string): string | null {
    const words = text.match(/[\p{L}\p{N}]+/gu)?.slice(0, MOST_WORDS) ?? [];
    if (words.length === 0) return null;
    const asked = words.map((word) => this.#wordOf(word)).join(' AND ');
    const key = plainNumber(text).slice(0, 60);
    return `(${asked}) OR plain : "${key}" *`;
  }

  /** A person is found by name, though what they did is kept by their id. */
  #wordOf(word: string): string {
    const ids = [...this.#people.names()].flatMap(([id, name]) =>
      name
        .toLowerCase()
        .split(/\s+/)
        .some((part) => part.startsWith(word.toLowerCase()))
        ? [id]
        : [],
    );
    const own = `"${word}" *`;
    return ids.length === 0 ? own : `(${[own, ...ids.map((id) => `"${id.replaceAll('"', '')}"`)].join(' OR ')})`;
  }
}

const jobLine = ({ ref, number, plate, name, status, piece, snippet }: JobHit): FoundLine => ({
  ref,
  title: `${number} · ${plate} · ${name}`,
  about: piece === 'job' ? '' : piece,
  status,
  parts: piece === 'job' ? [] : partsOf(snippet),
});
const rowLine = ({ ref, title, snippet }: RowHit): FoundLine => ({
  ref,
  title,
  about: '',
  status: null,
  parts: partsOf(snippet),
});

/** A snippet as data: what was found in it, and what stands round it. */
function partsOf(snippet: string): FoundPart[] {
  return snippet.split(OPEN).flatMap((stretch, index): FoundPart[] => {
    if (index === 0) return stretch === '' ? [] : [{ text: stretch, hit: false }];
    const end = stretch.indexOf(CLOSE);
    const after = stretch.slice(end + 1);
    return [{ text: stretch.slice(0, end), hit: true }, ...(after === '' ? [] : [{ text: after, hit: false }])];
  });
}
