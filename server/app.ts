import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import { gate } from './access/gate.ts';
import { fewRequests } from './access/tries.ts';
import { answerErrors, HttpError } from './http/errors.ts';
import { API, FILE_ROUTES } from './http/api.ts';
import { type Front, LOOPBACK, onlyFromHere, strictHeaders } from './http/guard.ts';
import { practiceWorldRoutes } from './http/practiceWorlds.ts';
import { speakPlainly } from './http/words.ts';
import type { Services } from './services.ts';

/**
 * The application over its services. It does not listen; `main.ts` does.
 * @param webRoot the built interface, or null @param front by which names it is called
 */
export function createApp(services: Services, log: Logger, webRoot: string | null, front: Front = LOOPBACK): Express {
  speakPlainly();
  const app = express();
  app.disable('x-powered-by');
  // Only a proxy on this very machine is believed about where a request comes from.
  if (front.proxy !== null) app.set('trust proxy', 'loopback');
  app.use(strictHeaders(front), onlyFromHere(front), compression());
  // At each contact a device hears what time it is here, whatever its own clock says.
  app.use('/api', (_request, response, next) => {
    response.set('x-shop-time', services.now());
    next();
  });
  app.use('/api', gate(services), fewRequests());
  app.use('/api/practice/worlds/:world', practiceWorldRoutes(services, FILE_ROUTES, API));
  for (const [path, routes] of FILE_ROUTES) app.use(`/api${path}`, routes(services));
  app.use('/api', express.json({ limit: '2mb' }));
  for (const [path, routes] of API) app.use(`/api${path}`, routes(services));
  app.use('/api', () => {
    throw new HttpError('not-found', 'There is nothing at that address.');
  });
  if (webRoot !== null && existsSync(webRoot)) serveWeb(app, webRoot);
  app.use(answerErrors(log));
  return app;
}

/** Assets are named by content and kept for a year; the page itself is asked for anew each time. */
function serveWeb(app: Express, webRoot: string): void {
  app.use(
    '/assets',
    express.static(join(webRoot, 'assets'), { immutable: true, maxAge: '1y', index: false, fallthrough: true }),
  );
  app.use('/assets', () => {
    throw new HttpError('not-found', 'There is no such file.');
  });
  app.use(express.static(webRoot, { index: false, maxAge: 0 }));
  app.get('/{*path}', (_request, response) => {
    // By its root: a folder above it may begin with a dot.
    response.set('cache-control', 'no-cache').sendFile('index.html', { root: webRoot });
  });
}
