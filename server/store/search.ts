import type { Database, Statement } from 'better-sqlite3';
import type { FoundKind, FoundLine, FoundPart, SearchReply } from '../../contract/index.ts';
import { searchWords } from '../../core/words/index.ts';
import { type Besides, fits, isCut, matching, mayBeNumber, type Sought, soughtIn } from './matching.ts';
import type { People } from './people.ts';

interface JobHit {
  readonly id: number;
  readonly ref: string;
  readonly number: number;
  readonly plate: string;
  readonly name: string;
  readonly status: 'open' | 'closed';
  readonly piece: string;
  readonly words: string;
  readonly plain: string;
}
interface RowHit {
  readonly id: number;
  readonly ref: string;
  readonly title: string;
  readonly words: string;
  readonly plain: string;
}
interface Snippet {
  readonly snippet: string;
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
  readonly #foundJobs: Statement<[string], number>;
  readonly #foundRows: Statement<[string], number>;
  readonly #jobOf: Statement<[number], string>;
  readonly #rowOf: Statement<[number], string>;

  constructor(db: Database, people: People) {
    this.#people = people;
    // What is written last has the highest number, so the newest are met first, and nothing is read of the many others
    // that fit. Of a job its own line stands before what is in it.
    this.#jobs = db.prepare(
      `WITH hits AS MATERIALIZED (SELECT rowid AS id FROM job_found WHERE job_found MATCH ? ORDER BY rowid DESC LIMIT ?)
       SELECT w.id, w.job_id AS ref, w.piece, w.words, w.plain, j.number, j.plate, j.name, j.status
       FROM hits JOIN job_words w ON w.id = hits.id JOIN job_summary j ON j.job_id = w.job_id
       ORDER BY j.status = 'open' DESC, j.number DESC, w.piece = 'job' DESC, w.id`,
    );
    this.#jobSnippet = db.prepare(
      `SELECT snippet(job_found, 1, '${OPEN}', '${CLOSE}', '…', 12) AS snippet FROM job_found WHERE job_found MATCH ? AND rowid = ?`,
    );
    this.#rows = db.prepare(
      `SELECT w.id, w.ref, w.title, w.words, w.plain FROM row_found JOIN row_words w ON w.id = row_found.rowid
       WHERE row_found MATCH ? ORDER BY row_found.rowid DESC LIMIT ?`,
    );
    this.#rowSnippet = db.prepare(
      `SELECT snippet(row_found, 2, '${OPEN}', '${CLOSE}', '…', 12) AS snippet FROM row_found WHERE row_found MATCH ? AND rowid = ?`,
    );
    const found = (table: string): Statement<[string], number> =>
      db.prepare<[string], number>(`SELECT rowid FROM ${table} WHERE ${table} MATCH ? LIMIT ${FEW + 1}`).pluck();
    [this.#foundJobs, this.#foundRows] = [found('job_found'), found('row_found')];
    this.#jobOf = db.prepare<[number], string>('SELECT job_id FROM job_words WHERE id = ?').pluck();
    this.#rowOf = db.prepare<[number], string>('SELECT ref FROM row_words WHERE id = ?').pluck();
  }

  /** What fits, by kind. @param limit lines of each kind; `more` says that there are others */
  find(text: string, limit: number): SearchReply {
    const sought = soughtIn(text);
    if (sought === null) return { groups: [] };
    const groups = [this.#jobGroup(sought, limit), ...KINDS.map((kind) => this.#rowGroup(kind, sought, limit))];
    return { groups: groups.filter(({ rows }) => rows.length > 0) };
  }

  /** Ids of the rows that may fit by their own words, when they are few; null when they are many. */
  few(kind: 'job' | 'vehicle', sought: Sought): readonly string[] | null {
    const found =
      kind === 'job'
        ? this.#foundJobs.all(`piece : "job" AND (${matching(sought, true)})`)
        : this.#foundRows.all(ofKind(kind, matching(sought, true)));
    if (found.length > FEW) return null;
    const of = kind === 'job' ? this.#jobOf : this.#rowOf;
    return found.map((id) => of.get(id) ?? '');
  }

  #jobGroup(sought: Sought, limit: number): SearchReply['groups'][number] {
    const besides: Besides = (word) => this.#called(word);
    const first = ({ ref }: JobHit, index: number, all: readonly JobHit[]): boolean => all[index - 1]?.ref !== ref;
    const query = (cut: boolean): string => `{words plain} : (${matching(sought, cut, besides)})`;
    const { hits, asked } = this.#fitting(sought, besides, limit, query, (asking) => this.#jobs.all(asking, NEWEST));
    const jobs = hits.filter(first);
    return {
      kind: 'job',
      rows: jobs.slice(0, limit).map((hit) => this.#jobLine(asked, hit)),
      more: jobs.length > limit,
    };
  }

  /** What bears exactly that number stands before what only begins so. */
  #rowGroup(kind: Exclude<FoundKind, 'job'>, sought: Sought, limit: number): SearchReply['groups'][number] {
    const exact = mayBeNumber(sought) ? this.#rows.all(ofKind(kind, `plain : "${sought.number}"`), limit) : [];
    const known = new Set(exact.map(({ id }) => id));
    const window = isCut(sought) ? NEWEST : limit + exact.length + 1;
    const { hits: begun, asked } = this.#fitting(
      sought,
      () => [],
      limit,
      (cut) => ofKind(kind, matching(sought, cut)),
      (query) => this.#rows.all(query, window),
    );
    const hits = [...exact, ...begun.filter(({ id }) => !known.has(id))];
    return {
      kind,
      rows: hits.slice(0, limit).map(({ id, ref, title }) => {
        const { snippet } = this.#rowSnippet.get(asked, id) ?? { snippet: '' };
        return { ref, title, about: '', status: null, parts: partsOf(snippet) };
      }),
      more: hits.length > limit,
    };
  }

  /**
   * The newest that fit, and the query that marks what was found in them. Long words are looked up by their beginning and compared: when that
   * brings a window full of others, what fits is seldom, and the whole words find it.
   */
  #fitting<Hit extends { readonly words: string; readonly plain: string; readonly title?: string }>(
    sought: Sought,
    besides: Besides,
    limit: number,
    query: (cut: boolean) => string,
    read: (query: string) => readonly Hit[],
  ): { readonly hits: readonly Hit[]; readonly asked: string } {
    const asked = query(true);
    const found = read(asked);
    if (!isCut(sought)) return { hits: found, asked };
    const hits = found.filter(({ words, plain, title = '' }) => fits(sought, `${title} ${words}`, plain, besides));
    const missed = found.length >= NEWEST && hits.length <= limit;
    return { hits: missed ? read(query(false)) : hits, asked };
  }

  #jobLine(sought: string, { id, ref, number, plate, name, status, piece }: JobHit): FoundLine {
    const own = piece === 'job';
    const { snippet } = own ? { snippet: '' } : (this.#jobSnippet.get(sought, id) ?? { snippet: '' });
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
