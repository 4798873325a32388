import type { Database, Statement } from 'better-sqlite3';
import type { FoundKind, FoundLine, SearchReply } from '../../contract/index.ts';
import { excerpt, searchWords } from '../../core/words/index.ts';
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
const KINDS: readonly Exclude<FoundKind, 'job'>[] = ['vehicle', 'unit', 'stock', 'procedure'];
/** So many of the newest at least are looked at to find the best of them. */
const NEWEST = 200;
/** A filter that leaves no more than so many rows is looked up first; one that leaves more is met again at every step. */
const FEW = 1000;

/** Finds anything by its words, in any order, begun or whole, and by numbers however they are spelt. */
export class Search {
  readonly #people: People;
  readonly #jobs: Statement<[string, number], JobHit>;
  readonly #rows: Statement<[string, number], RowHit>;
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
    this.#rows = db.prepare(
      `SELECT w.id, w.ref, w.title, w.words, w.plain FROM row_found JOIN row_words w ON w.id = row_found.rowid
       WHERE row_found MATCH ? ORDER BY row_found.rowid DESC LIMIT ?`,
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
    // A job is met once for each piece of it that fits.
    const window = Math.max(NEWEST, 4 * limit);
    const { hits, all } = fitting(
      (cut) => `{words plain} : (${matching(sought, cut, besides)})`,
      (query) => this.#jobs.all(query, window),
      { sought, besides, window, enough: limit + 1 },
    );
    const marked = [...sought.words, ...sought.words.flatMap(besides)];
    const jobs = hits.filter(({ ref }, index) => hits[index - 1]?.ref !== ref);
    return {
      kind: 'job',
      rows: jobs.slice(0, limit).map((hit) => lineOf(hit, marked)),
      more: jobs.length > limit || !all,
    };
  }

  /** What bears exactly that number stands before what only begins so. */
  #rowGroup(kind: Exclude<FoundKind, 'job'>, sought: Sought, limit: number): SearchReply['groups'][number] {
    const exact = mayBeNumber(sought) ? this.#rows.all(ofKind(kind, `plain : "${sought.number}"`), limit) : [];
    const known = new Set(exact.map(({ id }) => id));
    const enough = limit + exact.length + 1;
    const window = isCut(sought) ? Math.max(NEWEST, enough) : enough;
    const { hits: begun } = fitting(
      (cut) => ofKind(kind, matching(sought, cut)),
      (query) => this.#rows.all(query, window),
      { sought, besides: () => [], window, enough },
    );
    const hits = [...exact, ...begun.filter(({ id }) => !known.has(id))];
    return {
      kind,
      rows: hits.slice(0, limit).map(({ ref, title, words }) => {
        return { ref, title, about: '', status: null, parts: excerpt(withoutGaps(words), sought.words) };
      }),
      more: hits.length > limit,
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

/** A job's line says its own words in its title; of anything else in it, what was found. */
function lineOf({ ref, number, plate, name, status, piece, words }: JobHit, marked: readonly string[]): FoundLine {
  const own = piece === 'job';
  return {
    ref,
    title: `${number} · ${plate} · ${name}`,
    about: own ? '' : piece,
    status,
    parts: own ? [] : excerpt(words, marked),
  };
}

/** What fits of what a query found. */
interface Fitting<Hit> {
  readonly hits: readonly Hit[];
  /** Nothing else was found. */
  readonly all: boolean;
}

/**
 * The newest that fit. Long words are looked up by their beginning and compared: when that brings a window full of others,
 * what fits is seldom, and the whole words find it.
 * @param query cut or whole @param enough of different rows; no more need be compared
 */
function fitting<
  Hit extends { readonly ref: string; readonly words: string; readonly plain: string; readonly title?: string },
>(
  query: (cut: boolean) => string,
  read: (query: string) => readonly Hit[],
  { sought, besides, window, enough }: { sought: Sought; besides: Besides; window: number; enough: number },
): Fitting<Hit> {
  const found = read(query(true));
  const all = found.length < window;
  if (!isCut(sought)) return { hits: found, all };
  const hits: Hit[] = [];
  const refs = new Set<string>();
  for (const hit of found) {
    if (!fits(sought, `${hit.title ?? ''} ${hit.words}`, hit.plain, besides)) continue;
    hits.push(hit);
    if (refs.add(hit.ref).size >= enough) return { hits, all: false };
  }
  if (all) return { hits, all };
  const whole = read(query(false));
  return { hits: whole, all: whole.length < window };
}

/** Words of a row, without the commas between what is not said of it. */
const withoutGaps = (words: string): string => words.replace(/,\s*(?=,|$)/g, '').replace(/^[\s,]+/, '');
