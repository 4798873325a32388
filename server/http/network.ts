import { Router } from 'express';
import type { Services } from '../services.ts';

/** How this server is reached: for whoever brings a tablet in. */
export function networkRoutes({ network }: Services): Router {
  const router = Router();
  router.get('/network', (_request, response) => {
    response.json(network.reply);
  });
  return router;
}
