import type { RequestHandler } from 'express';
import helmet from 'helmet';
import { HttpError } from './errors.ts';

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);

const hostName = (host: string): string => host.replace(/:\d+$/, '');

/**
 * Lets in only requests that name this machine and come from this very page. A page elsewhere that points its own
 * name here (DNS rebinding) fails the first test, one that merely sends requests here fails the second.
 */
export const onlyFromHere: RequestHandler = (request, _response, next) => {
  const host = request.headers.host ?? '';
  if (!LOOPBACK.has(hostName(host))) throw new HttpError('not-from-here', 'This server answers only on this machine.');
  const { origin } = request.headers;
  const site = request.headers['sec-fetch-site'];
  if ((origin !== undefined && origin !== `http://${host}`) || site === 'cross-site') {
    throw new HttpError('not-from-here', 'Another page may not use this server.');
  }
  next();
};

/** Strict headers: everything from here, no inline script or style. */
export const strictHeaders = helmet({
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
  // Plain http on loopback: there is nothing to upgrade to.
  strictTransportSecurity: false,
  crossOriginEmbedderPolicy: true,
});
