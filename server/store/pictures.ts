import { closeSync, openSync, readFileSync, readSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import sharp from 'sharp';
import { LAST_BYTES } from '../../core/keeping/index.ts';
import { type Files, hashOf, isWhole, lengthOf, putFile } from '../keeping/files.ts';
import { prepared } from './prepared.ts';

/** A stored picture. */
export interface StoredPicture {
  readonly hash: string;
  readonly mime: string;
  readonly width: number;
  readonly height: number;
}

/** A picture whose files are written and that is not known yet; `bytes` is the length of the original. */
export interface PreparedPicture extends StoredPicture {
  readonly bytes: number;
}

const MIME: Readonly<Record<string, string>> = { jpeg: 'image/jpeg', png: 'image/png', webp: 'image/webp' };
/** Longest side of the copies that screens show, pixels. */
const SHOWN_SIDE = 1600;
const SMALL_SIDE = 360;

/** Which copy of a picture is asked for. */
export type PictureSize = 'original' | 'shown' | 'small';

/** A file of a picture, or why there is none: it was never sent here, or it is gone or damaged. */
export type PictureFile =
  { readonly path: string; readonly mime: string } | { readonly path: null; readonly why: 'unknown' | 'lost' };

const toShow = (from: Buffer | string): Promise<Buffer> =>
  sharp(from)
    .rotate()
    .resize(SHOWN_SIDE, SHOWN_SIDE, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 82 })
    .toBuffer();
const smaller = (from: Buffer | string): Promise<Buffer> =>
  sharp(from)
    .resize(SMALL_SIDE, SMALL_SIDE, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 76 })
    .toBuffer();

/** Pictures are files named by the hash of their content beside the database, with a row each. */
export class Pictures {
  readonly #sql: Database['prepare'];
  readonly #folder: string;
  readonly #files: Files;

  constructor(db: Database, folder: string, files: Files) {
    this.#sql = prepared(db);
    this.#folder = folder;
    this.#files = files;
  }

  /** Whether there is room for pictures; the last of the disk is for what is typed. */
  hasRoom(): boolean {
    const free = this.#files.freeBytes(this.#folder);
    return free === null || free >= LAST_BYTES;
  }

  /**
   * Writes a picture's files, the original and the copies that screens show; {@link record} makes it known. What is
   * there already is looked at, not believed: sent again, a picture that was lost or damaged is whole. Files that are
   * never recorded are only room on the disk.
   * @returns null when the bytes are not a JPEG, PNG or WebP picture
   * @throws what the disk says
   */
  async prepare(bytes: Buffer): Promise<PreparedPicture | null> {
    const found = await sharp(bytes, { failOn: 'error' })
      .metadata()
      .catch(() => null);
    const mime = MIME[found?.format ?? ''];
    if (found === null || mime === undefined) return null;
    const hash = hashOf(bytes);
    // Decoding the whole picture proves it is one; the copy also drops the place and camera data.
    const copy = await toShow(bytes).catch(() => null);
    if (copy === null) return null;
    const small = await smaller(copy);
    this.#files.makeFolder(this.#folder);
    if (!isWhole(join(this.#folder, hash), bytes.length, hash)) putFile(this.#files, join(this.#folder, hash), bytes);
    putFile(this.#files, this.#copyOf(hash, 'shown'), copy);
    putFile(this.#files, this.#copyOf(hash, 'small'), small);
    return { hash, mime, width: found.width, height: found.height, bytes: bytes.length };
  }

  /** Makes a picture known whose files are there. Call inside a transaction. */
  record({ hash, mime, width, height, bytes }: PreparedPicture, at: string): StoredPicture {
    this.#sql(
      'INSERT OR IGNORE INTO picture (hash, mime, bytes, width, height, added_at) VALUES (?, ?, ?, ?, ?, ?)',
    ).run(hash, mime, bytes, width, height, at);
    return { hash, mime, width, height };
  }

  has(hash: string): boolean {
    return this.#row(hash) !== undefined;
  }

  /** The kind of a picture; empty for one that is not known. */
  mimeOf(hash: string): string {
    return this.#row(hash)?.mime ?? '';
  }

  #row(hash: string): { mime: string; bytes: number } | undefined {
    return this.#sql<[string], { mime: string; bytes: number }>('SELECT mime, bytes FROM picture WHERE hash = ?').get(
      hash,
    );
  }

  #copyOf(hash: string, size: 'shown' | 'small'): string {
    return join(this.#folder, `${hash}.${size}.webp`);
  }

  /** The file of a picture as it was taken, when it is there with the length that it had. */
  original(hash: string): PictureFile {
    const row = this.#row(hash);
    if (row === undefined) return { path: null, why: 'unknown' };
    const path = join(this.#folder, hash);
    return lengthOf(path) === row.bytes ? { path, mime: row.mime } : { path: null, why: 'lost' };
  }

  /** The bytes of a picture as it was taken, whole and of its hash; null when they are not to be had. */
  bytesOf(hash: string): Buffer | null {
    const { path } = this.original(hash);
    if (path === null) return null;
    const bytes = readFileSync(path);
    return hashOf(bytes) === hash ? bytes : null;
  }

  /**
   * The file to send for a picture. Copies for the screen that are not there, or not whole, are made anew from the
   * original, and served as long as they last when that is gone.
   */
  async copy(hash: string, size: PictureSize): Promise<PictureFile> {
    if (size === 'original' || !this.has(hash)) return this.original(hash);
    const path = this.#copyOf(hash, size);
    if (isWholeWebp(path)) return { path, mime: 'image/webp' };
    const from = size === 'small' ? await this.copy(hash, 'shown') : this.original(hash);
    if (from.path === null) return from;
    const made = await (size === 'small' ? smaller : toShow)(from.path).catch(() => null);
    if (made === null) return { path: null, why: 'lost' };
    try {
      putFile(this.#files, path, made);
    } catch {
      // Where nothing can be written, the larger one does as well.
      return from;
    }
    return { path, mime: 'image/webp' };
  }
}

/** Whether a WebP file is as long as its own head says (RIFF: four signs, then the length of what follows). */
function isWholeWebp(path: string): boolean {
  const length = lengthOf(path);
  if (length === null || length < 12) return false;
  const head = Buffer.alloc(8);
  const file = openSync(path, 'r');
  try {
    readSync(file, head);
  } finally {
    closeSync(file);
  }
  return head.toString('latin1', 0, 4) === 'RIFF' && head.readUInt32LE(4) + 8 === length;
}
