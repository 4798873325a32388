import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import type { Logger } from 'pino';
import { adapterRoutes } from './http/adapter.ts';
import { airRoutes } from './http/air.ts';
import { bayRoutes } from './http/bay.ts';
import { changeRoutes } from './http/changes.ts';
import { answerErrors, HttpError } from './http/errors.ts';
import { onlyFromHere, strictHeaders } from './http/guard.ts';
import { followUpRoutes } from './http/followUps.ts';
import { houseRoutes } from './http/house.ts';
import { peopleRoutes } from './http/people.ts';
import { wallRoutes } from './http/wall.ts';
import { instrumentRoutes } from './http/instruments.ts';
import { jobRoutes } from './http/jobs.ts';
import { keepingRoutes } from './http/keeping.ts';
import { knowledgeRoutes } from './http/knowledge.ts';
import { pictureRoutes } from './http/pictures.ts';
import { recordingNowRoutes } from './http/recordingNow.ts';
import { recordingRoutes } from './http/recordings.ts';
import { procedureRoutes } from './http/procedures.ts';
import { recipeRoutes } from './http/recipes.ts';
import { searchRoutes } from './http/search.ts';
import { shopRoutes } from './http/shop.ts';
import { stockRoutes } from './http/stock.ts';
import { transferRoutes } from './http/transfer.ts';
import { familyRoutes, unitRoutes } from './http/units.ts';
import { vehicleRoutes } from './http/vehicles.ts';
import { speakPlainly } from './http/words.ts';
import type { Services } from './services.ts';

/** The application over its services. It does not listen; `main.ts` does. @param webRoot the built interface, or null */
export function createApp(services: Services, log: Logger, webRoot: string | null): Express {
  speakPlainly();
  const app = express();
  app.disable('x-powered-by');
  app.use(strictHeaders, onlyFromHere, compression());
  // At each contact a device hears what time it is here, whatever its own clock says.
  app.use('/api', (_request, response, next) => {
    response.set('x-shop-time', services.now());
    next();
  });
  app.use('/api', transferRoutes(services));
  app.use('/api/pictures', pictureRoutes(services));
  app.use('/api/recordings', recordingRoutes(services));
  app.use('/api', express.json({ limit: '2mb' }));
  app.use('/api/jobs', jobRoutes(services));
  app.use('/api/vehicles', vehicleRoutes(services));
  app.use('/api/procedures', procedureRoutes(services));
  app.use('/api/recipes', recipeRoutes(services));
  app.use('/api/families', familyRoutes(services));
  app.use('/api/units', unitRoutes(services));
  app.use('/api/knowledge', knowledgeRoutes(services));
  app.use('/api/adapter/recordings', recordingNowRoutes(services));
  app.use('/api/adapter', adapterRoutes(services));
  app.use('/api/instruments', instrumentRoutes(services));
  app.use('/api', houseRoutes(services));
  app.use('/api', peopleRoutes(services));
  app.use('/api', wallRoutes(services));
  app.use('/api', stockRoutes(services));
  app.use('/api', airRoutes(services));
  app.use('/api', followUpRoutes(services));
  app.use('/api', bayRoutes(services));
  app.use('/api', changeRoutes(services));
  app.use('/api', searchRoutes(services));
  app.use('/api', keepingRoutes(services));
  app.use('/api', shopRoutes(services));
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
