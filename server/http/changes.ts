import { Router } from 'express';
import type { Services } from '../services.ts';

/** A quiet connection is kept open by a word now and then. */
const HEARTBEAT_MS = 20_000;

/**
 * One stream for the whole shop, as server-sent events: which job has which version now, and of which lists rows were
 * changed. What changed is asked for by whoever shows it.
 */
export function changeRoutes({ changes, access }: Pick<Services, 'changes' | 'access'>): Router {
  const router = Router();
  router.get('/changes', (request, response) => {
    // no-transform keeps compression from holding back what must go at once.
    response.set({ 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform' });
    response.write(': here\n\n');
    const stop = changes.listen((change) => void response.write(`data: ${JSON.stringify(change)}\n\n`));
    const stretch = request.caller?.signed.stretch;
    const beat = setInterval(() => {
      // Whoever was signed out elsewhere hears nothing more.
      if (stretch !== undefined && !access.sessions.goesOn(stretch)) response.end();
      else response.write(': still here\n\n');
    }, HEARTBEAT_MS);
    beat.unref();
    request.on('close', () => {
      clearInterval(beat);
      stop();
    });
  });
  return router;
}
