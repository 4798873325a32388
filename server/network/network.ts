import type { NetworkReply } from '../../contract/index.ts';
import type { Front } from '../http/guard.ts';
import type { Reach } from './addresses.ts';
import type { Certified } from './certificates.ts';
import { certifies, keepCertified, readCertified } from './kept.ts';

/** What serving over the network needs, and what is said of it. */
export interface Network {
  readonly front: Front;
  readonly server: Certified;
  /** What tablets trust. */
  readonly authority: string;
  readonly reach: Reach;
  /** Of the authority, as a person compares it. */
  readonly fingerprint: string;
  readonly authorityUntil: string;
  /** What has changed since the last start, in sentences. */
  readonly said: readonly string[];
}

/** Nothing of this program was there before: a clock that shows an earlier day is not set. */
const FIRST_DAY = '2026-01-01T00:00:00.000Z';
/** A certificate is made anew so long before it runs out. */
const AHEAD_MS = 30 * 86_400_000;

/** The clock of this machine cannot be right. */
export class ClockNotSet extends Error {
  constructor(now: string) {
    super(`The clock of this machine says ${now}. Certificates and sign-ins end by it: set it, and start again.`);
    this.name = 'ClockNotSet';
  }
}

/**
 * Takes up the workshop's own authority and this server's certificate, or makes them at the first use.
 * @param folder of the store @param anew the authority is made anew: every tablet is brought in again
 * @throws ClockNotSet
 */
export async function openNetwork(
  folder: string,
  { reach, now, shop, anew = false }: { reach: Reach; now: string; shop: string; anew?: boolean },
): Promise<Network> {
  if (now < FIRST_DAY) throw new ClockNotSet(now);
  const said: string[] = [];
  const { makeAuthority, makeServerCertificate } = await import('./certificates.ts');
  let authority = anew ? null : readCertified(folder, 'authority');
  if (authority !== null && certifies(authority.certificate).until <= now) {
    said.push('The workshop’s certificate authority has run out. A new one was made: bring every tablet in again.');
    authority = null;
  }
  const before = authority === null ? null : readCertified(folder, 'server');
  if (authority === null) {
    authority = await makeAuthority(shop, reach, now);
    keepCertified(folder, 'authority', authority);
    // What the authority is constrained to stays readable beside it: the first certificate names all of it.
    keepCertified(folder, 'server', await makeServerCertificate(authority, reach, now));
  }
  const first = before === null ? null : certifies(before.certificate);
  if (first !== null) said.push(...movedWords(first, reach));
  const allowed = first === null ? reach : within(reach, first);
  let server = readCertified(folder, 'server');
  if (server === null || (first !== null && Date.parse(first.until) - Date.parse(now) < AHEAD_MS)) {
    if (first !== null && first.until <= now)
      said.push('The certificate of this server had run out: it was made anew.');
    server = await makeServerCertificate(authority, first ?? allowed, now);
    keepCertified(folder, 'server', server);
  }
  const { fingerprint, until } = certifies(authority.certificate);
  return {
    front: { hosts: hostsOf(allowed), scheme: 'https', proxy: null },
    server,
    authority: authority.certificate,
    reach: allowed,
    fingerprint,
    authorityUntil: until,
    said,
  };
}

/** What of a machine's names and addresses its certificate covers. */
const within = ({ names, addresses }: Reach, certified: Reach): Reach => ({
  names: names.filter((name) => certified.names.includes(name)),
  addresses: addresses.filter((address) => certified.addresses.includes(address)),
});

/** A machine that is reached otherwise than before. */
function movedWords(certified: Reach, reach: Reach): string[] {
  const fresh = [
    ...reach.addresses.filter((address) => !certified.addresses.includes(address)),
    ...reach.names.filter((name) => !certified.names.includes(name)),
  ];
  if (fresh.length === 0) return [];
  const kept = within(reach, certified);
  const stays = kept.names[0] ?? kept.addresses[0];
  return [
    `This machine is now also ${fresh.join(' and ')}, for which its certificate does not hold. ${
      stays === undefined
        ? 'Nothing that it holds for leads here any more.'
        : `Tablets reach it as ${stays}, as before.`
    } To use the new address, start once with --new-authority and bring every tablet in again; or give the machine its old address back.`,
  ];
}

const hostsOf = ({ names, addresses }: Reach): ReadonlySet<string> =>
  new Set([...names, ...addresses, 'localhost', '127.0.0.1']);

/** What people are told of it. @param port of the HTTPS server @param joining of the page that brings tablets in */
export const networkReply = (network: Network, port: number, joining: number): NetworkReply => ({
  way: 'https',
  addresses: [...network.reach.names, ...network.reach.addresses].map((host) => `https://${host}:${port}`),
  joining: [...network.reach.addresses, ...network.reach.names].map((host) => `http://${host}:${joining}/`),
  fingerprint: network.fingerprint,
  until: network.authorityUntil,
  said: network.said,
});
