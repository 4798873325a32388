import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import type { Database } from 'better-sqlite3';
import { pack, PackError, type Trace, unpack } from '../../core/trace/index.ts';
import { type Files, hashOf, isWhole, lengthOf, putFile } from '../keeping/files.ts';
import { prepared } from './prepared.ts';

/** A recording whose file is written and that is not known yet. */
export interface PreparedRecording {
  readonly hash: string;
  readonly bytes: number;
}

/** Recordings are packed, squeezed, and named by the hash of their file beside the pictures, with a row each. */
export class Recordings {
  readonly #sql: Database['prepare'];
  readonly #folder: string;
  readonly #files: Files;

  constructor(db: Database, folder: string, files: Files) {
    this.#sql = prepared(db);
    this.#folder = folder;
    this.#files = files;
  }

  /** Writes the file of a recording; {@link record} makes it known. The same recording is the same file. */
  prepare(trace: Trace): PreparedRecording {
    return this.prepareFile(gzipSync(pack(trace), { level: 9 }));
  }

  /** Writes a file as it stands in a job file. @throws PackError for what is no recording */
  prepareFile(file: Buffer): PreparedRecording {
    traceOf(file);
    const hash = hashOf(file);
    this.#files.makeFolder(this.#folder);
    if (!isWhole(join(this.#folder, hash), file.length, hash)) putFile(this.#files, join(this.#folder, hash), file);
    return { hash, bytes: file.length };
  }

  /** Makes a recording known whose file is there. Call inside a transaction. */
  record({ hash, bytes }: PreparedRecording, at: string): void {
    this.#sql('INSERT OR IGNORE INTO recording (hash, bytes, added_at) VALUES (?, ?, ?)').run(hash, bytes, at);
  }

  /** The file of a recording, squeezed, whole and of its hash; why not where it is not to be had. */
  file(hash: string): { readonly bytes: Buffer } | { readonly bytes: null; readonly why: 'unknown' | 'lost' } {
    const row = this.#sql<[string], { bytes: number }>('SELECT bytes FROM recording WHERE hash = ?').get(hash);
    if (row === undefined) return { bytes: null, why: 'unknown' };
    const path = join(this.#folder, hash);
    if (lengthOf(path) !== row.bytes) return { bytes: null, why: 'lost' };
    const bytes = readFileSync(path);
    return hashOf(bytes) === hash ? { bytes } : { bytes: null, why: 'lost' };
  }

  /** A recording by its hash; null where its file is not to be had. */
  trace(hash: string): Trace | null {
    const { bytes } = this.file(hash);
    return bytes === null ? null : traceOf(bytes);
  }
}

/** A recording from its file. @throws PackError for what is none */
function traceOf(file: Buffer): Trace {
  let packed: Buffer;
  try {
    packed = gunzipSync(file);
  } catch {
    throw new PackError('This is not a recording.');
  }
  return unpack(packed);
}
