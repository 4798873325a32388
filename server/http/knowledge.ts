import { Router } from 'express';
import { z } from 'zod';
import { knowledgeChange, knowledgeTrial } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { editKnowledge } from '../../core/diagnose/index.ts';
import { actorOf, change, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const version = z.union([z.literal('newest'), z.coerce.number().int().min(1)]);

/** What is known of causes and checks: read by version, changed by a lead. */
export function knowledgeRoutes(services: Services): Router {
  const { knowledge } = services;
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
      cases: knowledge.cases(),
    });
  });

  // What changes would do to past jobs is looked at before they are kept; nothing is written.
  router.post('/trials', (request, response) => {
    mustLead(actorOf(services, request), 'The knowledge');
    const { edits } = parse(knowledgeTrial, request.body);
    const newest = knowledge.newest();
    const result = editKnowledge(newest, edits);
    if (!result.ok) {
      const fields = Object.fromEntries(result.problems.map(({ at, message }) => [at, message]));
      throw new HttpError('bad-value', result.problems[0]?.message ?? 'That cannot be used.', { fields });
    }
    response.json(services.trial(newest, result.knowledge));
  });

  router.post(
    '/',
    change(services, (request, actor) => {
      const { base, note, edits } = parse(knowledgeChange, request.body);
      mustLead(actor, 'The knowledge');
      const newest = knowledge.newest().version;
      if (base !== newest)
        throw new HttpError('knowledge-moved-on', `Version ${newest} came meanwhile; you looked at ${base}.`, {
          wouldHelp: 'Look at the new version and make the change again.',
        });
      const result = knowledge.change(edits, note, actor);
      if (!result.ok) {
        const fields = Object.fromEntries(result.problems.map(({ at, message }) => [at, message]));
        throw new HttpError('bad-value', result.problems[0]?.message ?? 'That cannot be used.', { fields });
      }
      return { status: 201, body: { version: result.knowledge.version } };
    }),
  );

  return router;
}
