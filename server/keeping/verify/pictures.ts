import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from 'better-sqlite3';
import type { Finding } from '../../../contract/index.ts';
import { hashOfFile, lengthOf } from '../files.ts';
import { finding } from './finding.ts';

/** A photo or a recording as the store knows it. */
export interface KnownPicture {
  readonly hash: string;
  readonly bytes: number;
  readonly what: 'Photo' | 'Recording';
}

/** Every photo and recording that a store knows, in the order of their hashes. */
export const knownPictures = (db: Database): KnownPicture[] =>
  db
    .prepare<[], KnownPicture>(
      `SELECT hash, bytes, 'Photo' AS what FROM picture
       UNION ALL SELECT hash, bytes, 'Recording' AS what FROM recording ORDER BY hash`,
    )
    .all();

/** What is wrong with the file of a photo; null when it is there, whole, and of its hash. */
export async function pictureProblem(
  folder: string,
  { hash, bytes }: Pick<KnownPicture, 'hash' | 'bytes'>,
): Promise<string | null> {
  const path = join(folder, hash);
  if (!existsSync(path)) return 'is not on the disk';
  if (lengthOf(path) !== bytes) return `has ${lengthOf(path) ?? 0} bytes instead of ${bytes}`;
  return (await hashOfFile(path)) === hash ? null : 'is damaged';
}

/** What is wrong with a photo, as a finding. */
export const pictureFinding = ({ hash, what }: KnownPicture, problem: string): Finding =>
  finding('picture', `${what} ${hash.slice(0, 8)}… ${problem}.`);

/** Photos: present, whole, of their hash. @param besides hashes of those that are known to be lost */
export async function checkPictures(
  db: Database,
  folder: string,
  {
    besides = new Set<string>(),
    progress = () => undefined,
  }: { readonly besides?: ReadonlySet<string>; readonly progress?: (done: number, of: number) => void } = {},
): Promise<Finding[]> {
  const known = knownPictures(db).filter(({ hash }) => !besides.has(hash));
  const findings: Finding[] = [];
  for (const [index, picture] of known.entries()) {
    const problem = await pictureProblem(folder, picture);
    if (problem !== null) findings.push(pictureFinding(picture, problem));
    progress(index + 1, known.length);
  }
  return findings;
}
