import { Router } from 'express';
import { z } from 'zod';
import { knowledgeChange } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';
import { mustLead } from './people.ts';

const version = z.union([z.literal('newest'), z.coerce.number().int().min(1)]);

/** What is known of causes and checks: read by version, changed by a lead. */
export function knowledgeRoutes(services: Services): Router {
  const { knowledge, lists, now } = services;
  const router = Router();

  router.get('/:version', (request, response) => {
    const asked = parse(version, request.params.version);
    const found = asked === 'newest' ? knowledge.newest() : knowledge.get(asked);
    if (found === null) throw new HttpError('no-such-knowledge', `There is no knowledge ${String(asked)}.`);
    response.json(found);
  });

  router.get('/:version/page', (request, response) => {
    const asked = parse(version, request.params.version);
    const found = asked === 'newest' ? knowledge.newest() : knowledge.get(asked);
    if (found === null) throw new HttpError('no-such-knowledge', `There is no knowledge ${String(asked)}.`);
    response.json({
      knowledge: found,
      versions: knowledge.versions(),
      newest: knowledge.newest().version,
      score: knowledge.score(found, lists.settings().ratePerHourMinor / 60),
    });
  });

  router.post('/', (request, response) => {
    const { by, base, note, edits } = parse(knowledgeChange, request.body);
    mustLead(services, by, 'The knowledge');
    const newest = knowledge.newest().version;
    if (base !== newest)
      throw new HttpError('knowledge-moved-on', `Version ${newest} came meanwhile; you looked at ${base}.`, {
        wouldHelp: 'Look at the new version and make the change again.',
      });
    const result = knowledge.change(edits, note, by, now());
    if (!result.ok) {
      const fields = Object.fromEntries(result.problems.map(({ at, message }) => [at, message]));
      throw new HttpError('bad-value', result.problems[0]?.message ?? 'That cannot be used.', { fields });
    }
    response.status(201).json({ version: result.knowledge.version });
  });

  return router;
}
