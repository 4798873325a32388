import { createHash, randomUUID } from 'node:crypto';
import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, renameSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import sharp from 'sharp';
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

const smaller = (from: Buffer | string): Promise<Buffer> =>
  sharp(from)
    .resize(SMALL_SIDE, SMALL_SIDE, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 76 })
    .toBuffer();

/** Pictures are files named by the hash of their content beside the database, with a row each. */
export class Pictures {
  readonly #sql: Database['prepare'];
  readonly #folder: string;

  constructor(db: Database, folder: string) {
    this.#sql = prepared(db);
    this.#folder = folder;
    mkdirSync(folder, { recursive: true });
  }

  /**
   * Writes a picture's files, the original and the copies that screens show; {@link record} makes it known. Files that
   * are never recorded are only room on the disk.
   * @returns null when the bytes are not a JPEG, PNG or WebP picture
   */
  async prepare(bytes: Buffer): Promise<PreparedPicture | null> {
    const found = await sharp(bytes, { failOn: 'error' })
      .metadata()
      .catch(() => null);
    const mime = MIME[found?.format ?? ''];
    if (found === null || mime === undefined) return null;
    const hash = createHash('sha256').update(bytes).digest('hex');
    // Decoding the whole picture proves it is one; the copy also drops the place and camera data.
    const copy = await sharp(bytes)
      .rotate()
      .resize(SHOWN_SIDE, SHOWN_SIDE, { fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 82 })
      .toBuffer()
      .catch(() => null);
    if (copy === null) return null;
    const small = await smaller(copy);
    this.#write(hash, bytes);
    this.#write(`${hash}.shown.webp`, copy);
    this.#write(`${hash}.small.webp`, small);
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
    return this.#sql('SELECT 1 FROM picture WHERE hash = ?').get(hash) !== undefined;
  }

  /** The file to send for a picture, or null when there is none. Pictures from before have no small copy: it is made now. */
  async copy(hash: string, size: PictureSize): Promise<{ path: string; mime: string } | null> {
    const shown = this.file(hash, size === 'original');
    if (shown === null || size !== 'small') return shown;
    const name = `${hash}.small.webp`;
    const path = join(this.#folder, name);
    if (!existsSync(path)) this.#write(name, await smaller(shown.path));
    return { path, mime: 'image/webp' };
  }

  /** The stored file of a picture as it was taken, or its screen-sized copy. */
  file(hash: string, original: boolean): { path: string; mime: string } | null {
    const row = this.#sql<[string], { mime: string }>('SELECT mime FROM picture WHERE hash = ?').get(hash);
    if (row === undefined) return null;
    return original
      ? { path: join(this.#folder, hash), mime: row.mime }
      : { path: join(this.#folder, `${hash}.shown.webp`), mime: 'image/webp' };
  }

  /** Written aside, flushed and renamed, so that a crash never leaves half a picture under its name. */
  #write(name: string, bytes: Buffer): void {
    const target = join(this.#folder, name);
    if (existsSync(target)) return;
    const aside = join(this.#folder, `.${randomUUID()}`);
    const file = openSync(aside, 'w');
    try {
      writeSync(file, bytes);
      fsyncSync(file);
    } finally {
      closeSync(file);
    }
    renameSync(aside, target);
  }
}
