import { X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { randomBytes } from 'node:crypto';
import { join } from 'node:path';
import type { Reach } from './addresses.ts';
import type { Certified } from './certificates.ts';

/** The folder beside a store in which what must be in no backup is kept, readable to this server's user alone. */
export const networkFolder = (folder: string): string => join(folder, 'network');

/** Writes a file that only this user reads: never there half, and never readable to others for a moment. */
function keepFile(path: string, text: string): void {
  const fresh = `${path}.fresh`;
  writeFileSync(fresh, text, { mode: 0o600, flush: true });
  chmodSync(fresh, 0o600);
  renameSync(fresh, path);
}

function openFolder(folder: string): string {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  chmodSync(folder, 0o700);
  return folder;
}

/** What cookies are signed with: made at the first use. @param folder of the store */
export function cookieKeyOf(folder: string): string {
  const path = join(openFolder(networkFolder(folder)), 'cookie.key');
  if (!existsSync(path)) keepFile(path, randomBytes(32).toString('hex'));
  return readFileSync(path, 'utf8');
}

/** Every cookie that was signed until now counts for nothing. */
export const forgetCookieKey = (folder: string): void =>
  rmSync(join(networkFolder(folder), 'cookie.key'), { force: true });

/** A certificate and its key as they are kept; null where there are none, or not both. */
export function readCertified(folder: string, name: 'authority' | 'server'): Certified | null {
  const [certificate, key] = [join(networkFolder(folder), `${name}.crt`), join(networkFolder(folder), `${name}.key`)];
  if (!existsSync(certificate) || !existsSync(key)) return null;
  // A copy from elsewhere may have come readable to all.
  if ((statSync(key).mode & 0o077) !== 0) chmodSync(key, 0o600);
  return { certificate: readFileSync(certificate, 'utf8'), key: readFileSync(key, 'utf8') };
}

export function keepCertified(folder: string, name: 'authority' | 'server', { certificate, key }: Certified): void {
  const where = openFolder(networkFolder(folder));
  // The key first: a certificate without its key is not read.
  keepFile(join(where, `${name}.key`), key);
  keepFile(join(where, `${name}.crt`), certificate);
}

/** What a certificate is for, and until when. */
export interface Certifies extends Reach {
  readonly until: string;
  readonly since: string;
  /** SHA-256, pairs of digits. */
  readonly fingerprint: string;
}

export function certifies(certificate: string): Certifies {
  const read = new X509Certificate(certificate);
  const names = (read.subjectAltName ?? '').split(', ');
  const after = (prefix: string): string[] =>
    names.flatMap((name) => (name.startsWith(prefix) ? [name.slice(prefix.length)] : []));
  return {
    names: after('DNS:'),
    addresses: after('IP Address:'),
    since: new Date(read.validFrom).toISOString(),
    until: new Date(read.validTo).toISOString(),
    fingerprint: read.fingerprint256,
  };
}
