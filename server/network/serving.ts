import { createServer as createPlain, type RequestListener, type Server } from 'node:http';
import { createServer as createSecure } from 'node:https';
import type { AddressInfo } from 'node:net';
import type { NetworkReply } from '../../contract/index.ts';
import { type Front, LOOPBACK } from '../http/guard.ts';
import { reachOf } from './addresses.ts';
import { networkReply, openNetwork } from './network.ts';

/** How a store is to be served. */
export interface ServingOptions {
  /** The port that is wanted; over the network the two after it are used too. 0 for any. */
  readonly port: number;
  readonly network: boolean;
  /** Names of this machine that it does not know of itself. */
  readonly names: readonly string[];
  readonly newAuthority: boolean;
  /** The address of a proxy on this machine that speaks for the server; null for none. */
  readonly proxy: string | null;
  /** Folder of the store. */
  readonly folder: string;
  readonly shop: string;
  readonly now: string;
}

/** A store that is served. */
export interface Serving {
  /** Where the browser of this very machine finds it. */
  readonly here: string;
  readonly reply: NetworkReply;
  readonly close: () => Promise<void>;
}

/**
 * A quiet connection is kept open longer than any station is between two taps: one that the server closes in the moment in
 * which a browser uses it again costs that request, ms.
 */
export const KEEP_ALIVE_MS = 65_000;

/** What is answered over a server, for the names by which it is called. */
type Answering = (front: Front) => RequestListener;

/** Somebody asked for what cannot be done; in words. */
export class CannotServe extends Error {}

/** @throws CannotServe, ClockNotSet; errors of the system where a port is taken */
export async function serve(answering: Answering, options: ServingOptions): Promise<Serving> {
  if (options.network) return serveNetwork(answering, options);
  if (options.proxy !== null) return serveProxy(answering, options, options.proxy);
  const server = createPlain(answering(LOOPBACK));
  const port = await listening(server, options.port, '127.0.0.1');
  return {
    here: `http://127.0.0.1:${port}`,
    reply: HERE,
    close: () => closed([server]),
  };
}

/** On this machine alone. */
export const HERE: NetworkReply = { way: 'here', addresses: [], joining: [], fingerprint: '', until: null, said: [] };

/** HTTPS for the tablets, a plain page that brings them in, and plain HTTP for this very machine. */
async function serveNetwork(answering: Answering, options: ServingOptions): Promise<Serving> {
  const { folder, now, shop, names, newAuthority } = options;
  const network = await openNetwork(folder, { reach: reachOf(names), now, shop, anew: newAuthority });
  const secure = createSecure(
    { key: network.server.key, cert: network.server.certificate, minVersion: 'TLSv1.2' },
    answering(network.front),
  );
  const port = await listening(secure, options.port, '0.0.0.0');
  const servers: Server[] = [secure as unknown as Server];
  try {
    const address = `https://${[...network.reach.names, ...network.reach.addresses][0] ?? 'localhost'}:${port}`;
    const { joiningServer } = await import('./joining.ts');
    const joining = await joiningServer(network, shop, address);
    const joiningPort = await listening(joining, options.port === 0 ? 0 : port + 1, '0.0.0.0');
    servers.push(joining);
    const plain = createPlain(answering(LOOPBACK));
    const plainPort = await listening(plain, options.port === 0 ? 0 : port + 2, '127.0.0.1');
    servers.push(plain);
    return {
      here: `http://127.0.0.1:${plainPort}`,
      reply: networkReply(network, port, joiningPort),
      close: () => closed(servers),
    };
  } catch (error) {
    await closed(servers);
    throw error;
  }
}

/** Plain HTTP for a proxy on this machine; only it is listened to, and only for the name that it speaks by. */
async function serveProxy(answering: Answering, { port: wanted }: ServingOptions, proxy: string): Promise<Serving> {
  const { host, hostname, origin, protocol } = URL.canParse(proxy)
    ? new URL(proxy)
    : { host: '', hostname: '', origin: '', protocol: '' };
  if (protocol !== 'https:' || host === '')
    throw new CannotServe(
      `Expected the address of the proxy, such as --proxy https://wrench.quay.example, got “${proxy}”.`,
    );
  const hosts = new Set([...LOOPBACK.hosts, hostname.toLowerCase()]);
  const server = createPlain(answering({ hosts, scheme: 'http', proxy: origin }));
  const port = await listening(server, wanted, '127.0.0.1');
  return {
    here: `http://127.0.0.1:${port}`,
    reply: { ...HERE, way: 'proxy', addresses: [origin] },
    close: () => closed([server]),
  };
}

/** @returns the port @throws Error of the system, such as EADDRINUSE */
const listening = (
  server: Pick<Server, 'listen' | 'once' | 'address' | 'keepAliveTimeout'>,
  port: number,
  host: string,
): Promise<number> =>
  new Promise((done, fail) => {
    server.keepAliveTimeout = KEEP_ALIVE_MS;
    server.once('error', fail);
    server.listen(port, host, () => done((server.address() as AddressInfo).port));
  });

const closed = async (servers: readonly Server[]): Promise<void> => {
  await Promise.all(
    servers.map(
      (server) =>
        new Promise<void>((done) => {
          server.close(() => done());
          server.closeAllConnections();
        }),
    ),
  );
};
