import { createHash } from 'node:crypto';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import yauzl from 'yauzl';
import { sayBytes } from '../../../core/keeping/index.ts';
import { StoreError } from '../../store/errors.ts';
import type { Files } from '../files.ts';
import { type Heads, readHeads } from '../heads.ts';
import { DATABASE, FILES, HEADS, MANIFEST, manifest, type Manifest, MANIFEST_BYTES } from './manifest.ts';

/** An archive whose table of contents and manifest were read and agree with each other. */
export interface Archive {
  readonly path: string;
  readonly manifest: Manifest;
  /** Room that its contents take, bytes. */
  readonly bytes: number;
}

interface Expected {
  readonly bytes: number;
  readonly sha256: string;
}

const notWhole = (path: string, words: string, cause?: unknown): StoreError =>
  new StoreError('not-whole', `The backup ${path} is not whole: ${words} Take another one.`, cause);
const foreign = (path: string, words: string): StoreError =>
  new StoreError('foreign', `${path} is no backup of this program: ${words}`);

/** Opens a zip file and hands it on; closed whatever happens. @throws StoreError when it is none, or cut */
async function opened<T>(path: string, work: (zip: yauzl.ZipFile) => Promise<T>): Promise<T> {
  let zip: yauzl.ZipFile;
  try {
    zip = await yauzl.openPromise(path, { lazyEntries: true, autoClose: false, strictFileNames: true });
  } catch (error) {
    throw notWhole(path, 'its table of contents cannot be read; it was cut, or is something else.', error);
  }
  try {
    return await work(zip);
  } finally {
    zip.close();
  }
}

/** Goes through the entries one after another. @throws StoreError for a name that leads outside, and what else is wrong */
function eachEntry(path: string, zip: yauzl.ZipFile, take: (entry: yauzl.Entry) => Promise<void>): Promise<void> {
  return new Promise((resolve, reject) => {
    zip.on('error', (error: Error) =>
      reject(
        /relative path|absolute path|invalid characters/.test(error.message)
          ? foreign(path, 'it holds names that lead outside. Nothing of it was written.')
          : notWhole(path, 'its table of contents is damaged.', error),
      ),
    );
    zip.on('end', resolve);
    zip.on('entry', (entry: yauzl.Entry) => {
      take(entry).then(() => zip.readEntry(), reject);
    });
    zip.readEntry();
  });
}

async function read(
  path: string,
  zip: yauzl.ZipFile,
  entry: yauzl.Entry,
  take: (chunk: Buffer) => void,
): Promise<void> {
  let stream: Readable;
  try {
    stream = await zip.openReadStreamPromise(entry);
    for await (const chunk of stream) take(chunk as Buffer);
  } catch (error) {
    // A disk that is full, or fails, is no fault of the archive.
    if (error instanceof StoreError || /^E[A-Z]+$/.test((error as { code?: string }).code ?? '')) throw error;
    throw notWhole(path, `“${entry.fileName}” cannot be read.`, error);
  }
}

/** Reads what an archive says of itself. @throws StoreError when it is foreign, cut, of a later version, or does not hold what it says */
export async function openArchive(path: string): Promise<Archive> {
  const sizes = new Map<string, number>();
  const chunks: Buffer[] = [];
  await opened(path, (zip) =>
    eachEntry(path, zip, async (entry) => {
      const { fileName, uncompressedSize } = entry;
      if (sizes.has(fileName)) throw foreign(path, `it holds “${fileName}” twice.`);
      sizes.set(fileName, uncompressedSize);
      if (fileName !== MANIFEST) return;
      if (uncompressedSize > MANIFEST_BYTES) throw foreign(path, 'its manifest is far too large.');
      await read(path, zip, entry, (chunk) => void chunks.push(chunk));
    }),
  );
  if (!sizes.has(MANIFEST)) throw foreign(path, 'it has no manifest.');
  const said = parsed(path, Buffer.concat(chunks).toString('utf8'));
  const expected = expectedOf(said);
  for (const [name, { bytes }] of expected)
    if (sizes.get(name) !== bytes)
      throw notWhole(path, `“${name}” has ${sizes.get(name) ?? 'no'} bytes; its manifest says ${bytes}.`);
  for (const name of sizes.keys())
    if (name !== MANIFEST && !expected.has(name))
      throw foreign(path, `it holds “${name}”, which its manifest does not name.`);
  return { path, manifest: said, bytes: [...expected.values()].reduce((sum, { bytes }) => sum + bytes, 0) };
}

function parsed(path: string, text: string): Manifest {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    throw notWhole(path, 'its manifest is damaged.', error);
  }
  const { format, version } = (value ?? {}) as { format?: unknown; version?: unknown };
  if (typeof version === 'number' && version > 1 && format === manifest.shape.format.value)
    throw new StoreError('newer-than-program', `The backup ${path} was made by a later program. Start that one.`);
  const read = manifest.safeParse(value);
  if (read.success) return read.data;
  throw foreign(path, 'its manifest says something else.');
}

const expectedOf = ({ database, heads, files }: Manifest): Map<string, Expected> =>
  new Map<string, Expected>([
    [DATABASE, database],
    [HEADS, heads],
    ...files.map((each) => [`${FILES}${each.sha256}`, each] as const),
  ]);

/** What is done with a part while it is read. */
interface Sink {
  readonly write: (chunk: Buffer) => void;
  readonly end: () => void;
}
const NOWHERE: Sink = { write: () => undefined, end: () => undefined };

/** Reads every part and holds it against its length and hash. @throws StoreError naming the part that differs */
async function readParts(
  { path, manifest: said, bytes }: Archive,
  sinkOf: (name: string) => Sink,
  progress: (done: number, of: number) => void,
): Promise<void> {
  const expected = expectedOf(said);
  let done = 0;
  await opened(path, (zip) =>
    eachEntry(path, zip, async (entry) => {
      const meant = expected.get(entry.fileName);
      if (meant === undefined) return;
      const hash = createHash('sha256');
      const sink = sinkOf(entry.fileName);
      let length = 0;
      try {
        await read(path, zip, entry, (chunk) => {
          length += chunk.length;
          if (length > meant.bytes) throw notWhole(path, `“${entry.fileName}” is longer than its manifest says.`);
          hash.update(chunk);
          sink.write(chunk);
          progress((done += chunk.length), bytes);
        });
      } finally {
        sink.end();
      }
      if (length !== meant.bytes || hash.digest('hex') !== meant.sha256)
        throw notWhole(path, `“${entry.fileName}” is not what was backed up.`);
    }),
  );
}

/** Reads an archive from beginning to end and proves every part of it. @returns the heads that it holds @throws StoreError */
export async function proveArchive(
  archive: Archive,
  progress: (done: number, of: number) => void = () => undefined,
): Promise<Heads> {
  const chunks: Buffer[] = [];
  await readParts(
    archive,
    (name) => (name === HEADS ? { write: (chunk) => void chunks.push(chunk), end: () => undefined } : NOWHERE),
    progress,
  );
  return readHeads(Buffer.concat(chunks).toString('utf8'));
}

/**
 * Unpacks an archive into a new folder: the database, its heads, and the files beside each other in `files`.
 * @throws StoreError when a part differs, or there is no room for it
 */
export async function unpack(
  files: Files,
  archive: Archive,
  folder: string,
  progress: (done: number, of: number) => void = () => undefined,
): Promise<void> {
  const free = files.freeBytes(folder);
  if (free !== null && free < archive.bytes)
    throw new StoreError(
      'no-room',
      `The backup takes ${sayBytes(archive.bytes)} when it is unpacked; there are ${sayBytes(free)} left.`,
    );
  files.makeFolder(join(folder, FILES));
  await readParts(
    archive,
    (name) => {
      const out = files.create(join(folder, name));
      return {
        write: (chunk) => out.write(chunk),
        end: () => {
          out.sync();
          out.close();
        },
      };
    },
    progress,
  );
  for (const inner of [join(folder, FILES), folder]) files.syncFolder(inner);
}
