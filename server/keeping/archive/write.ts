import { join } from 'node:path';
import yazl from 'yazl';
import type { Files } from '../files.ts';
import { DATABASE, FILES, HEADS, type Manifest, MANIFEST } from './manifest.ts';

/** Where the parts of an archive lie. */
export interface Parts {
  readonly manifest: Manifest;
  /** The copied database. */
  readonly database: string;
  readonly heads: Buffer;
  /** The folder of files that are named by their hash. */
  readonly files: string;
}

/** Photos do not get any smaller; a database does, and quickly enough at the lowest level. */
const LEVEL = 1;

/**
 * Writes an archive, a zip file that any program can open, and flushes it.
 * @param progress told how many bytes are written, of about how many
 */
export async function writeArchive(
  files: Files,
  path: string,
  { manifest, database, heads, files: folder }: Parts,
  progress: (done: number, of: number) => void,
): Promise<void> {
  const zip = new yazl.ZipFile();
  const failed = new Promise<never>((_, reject) => zip.once('error', reject));
  // It is awaited with the writing; a failure after that has nobody to tell.
  failed.catch(() => undefined);
  zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, 1)}\n`), MANIFEST);
  zip.addFile(database, DATABASE, { compress: true, compressionLevel: LEVEL });
  zip.addBuffer(heads, HEADS);
  for (const { sha256 } of manifest.files) zip.addFile(join(folder, sha256), `${FILES}${sha256}`, { compress: false });
  zip.end();
  const of = manifest.database.bytes + manifest.files.reduce((sum, { bytes }) => sum + bytes, 0);
  const out = files.create(path);
  try {
    let done = 0;
    const chunks = (zip.outputStream as unknown as AsyncIterable<Buffer>)[Symbol.asyncIterator]();
    for (;;) {
      const next = await Promise.race([chunks.next(), failed]);
      if (next.done === true) break;
      out.write(next.value);
      done += next.value.length;
      progress(Math.min(done, of), of);
    }
    out.sync();
  } finally {
    out.close();
  }
}
