import { Router } from 'express';
import { keepingBody } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { change, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

/** How the shop's data are kept: backups, room on the disk, and what is not well. */
export function keepingRoutes(services: Services): Router {
  const { keeper } = services;
  const router = Router();
  router.get('/keeping', (_request, response) => {
    response.json(keeper.status());
  });
  router.put(
    '/keeping',
    change(services, (request, actor) => {
      const { keeping } = parse(keepingBody, request.body);
      mustLead(actor, 'Where backups go');
      const problems = Object.entries(keeper.set(keeping, actor));
      const [first] = problems;
      if (first !== undefined)
        throw new HttpError('bad-value', first[1], {
          fields: Object.fromEntries(problems.map(([index, words]) => [`keeping.folders.${index}`, words])),
        });
      return { body: keeper.status() };
    }),
  );
  // Anybody may ask for one: it changes nothing of the shop. It goes on after the answer.
  router.post('/backups', (_request, response) => {
    void keeper.backUp();
    response.status(202).json(keeper.status());
  });
  return router;
}
