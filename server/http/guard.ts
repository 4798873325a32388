import type { RequestHandler } from 'express';
import helmet from 'helmet';
import { HttpError } from './errors.ts';

/** By which names this server is called, and how pages of it are. */
export interface Front {
  /** Host names and addresses, without ports, in small letters; IPv6 in brackets. */
  readonly hosts: ReadonlySet<string>;
  /** How a page of ours is reached: plainly on this machine, by HTTPS over a network. */
  readonly scheme: 'http' | 'https';
  /** The whole address before a proxy that speaks for this server; null where there is none. */
  readonly proxy: string | null;
}

/** On this machine alone. */
export const LOOPBACK: Front = {
  hosts: new Set(['127.0.0.1', 'localhost', '[::1]']),
  scheme: 'http',
  proxy: null,
};

const hostName = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/**
 * Lets in only requests that name this server and come from its own page. A page elsewhere that points its own name here
 * (DNS rebinding) fails the first test, one that merely sends requests here fails the second. A link that somebody
 * follows from elsewhere opens the page all the same.
 */
export const onlyFromHere =
  ({ hosts, scheme, proxy }: Front = LOOPBACK): RequestHandler =>
  (request, _response, next) => {
    const host = request.headers.host ?? '';
    if (!hosts.has(hostName(host)))
      throw new HttpError('not-from-here', 'This server does not go by that name.', {
        wouldHelp: 'Use the address that it printed when it started.',
      });
    const { origin } = request.headers;
    const own = origin === undefined || origin === `${scheme}://${host}` || (proxy !== null && origin === proxy);
    const elsewhere = request.headers['sec-fetch-site'] === 'cross-site' && !isFollowedLink(request);
    if (!own || elsewhere) throw new HttpError('not-from-here', 'Another page may not use this server.');
    next();
  };

/** A page that is opened, not a request that another page makes. */
const isFollowedLink = ({ method, headers, path }: Parameters<RequestHandler>[0]): boolean =>
  method === 'GET' &&
  headers['sec-fetch-mode'] === 'navigate' &&
  headers['sec-fetch-dest'] === 'document' &&
  !path.startsWith('/api/');

/** Strict headers: everything from here, no inline script or style. */
export const strictHeaders = ({ scheme, proxy }: Front = LOOPBACK): RequestHandler =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        'default-src': ["'self'"],
        'script-src': ["'self'"],
        'style-src': ["'self'"],
        'style-src-attr': ["'none'"],
        'script-src-attr': ["'none'"],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'worker-src': ["'self'"],
        'manifest-src': ["'self'"],
        'img-src': ["'self'", 'data:', 'blob:'],
        'base-uri': ["'self'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
        'object-src': ["'none'"],
      },
    },
    // Plain http on this machine: there is nothing to upgrade to. Over the network a browser that came by HTTPS stays with it.
    strictTransportSecurity:
      scheme === 'https' || proxy !== null ? { maxAge: 15_552_000, includeSubDomains: false } : false,
    crossOriginEmbedderPolicy: true,
    // What a customer's link leads to is told to no other page.
    referrerPolicy: { policy: 'no-referrer' },
  });
