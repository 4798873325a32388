import { hostname, networkInterfaces } from 'node:os';

/** By which names and addresses this machine can be reached on its own network. */
export interface Reach {
  /** Names in small letters, the one that is typed most easily first. */
  readonly names: readonly string[];
  /** IPv4 addresses. */
  readonly addresses: readonly string[];
}

/** What this machine says of itself. @param more names that whoever starts the server adds */
export function reachOf(more: readonly string[] = []): Reach {
  const own = hostname()
    .toLowerCase()
    .replace(/\.local$/, '');
  const names = [...more.map((name) => name.toLowerCase()), `${own}.local`, own];
  const addresses = Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address);
  return {
    names: [...new Set(names)].filter((name) => isHostName(name)),
    addresses: [...new Set(addresses)].toSorted(),
  };
}

/** A name that can stand in an address and in a certificate. */
export const isHostName = (name: string): boolean =>
  name.length <= 253 && name.split('.').every((label) => /^[a-z0-9]([a-z0-9-]{0,61}[a-z0-9])?$/.test(label));
