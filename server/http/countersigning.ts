import { Router } from 'express';
import { countersignBody, id } from '../../contract/index.ts';
import { placeOf } from '../access/caller.ts';
import { byPassword, byPin } from '../access/lettingIn.ts';
import { fewTries } from '../access/tries.ts';
import type { Services } from '../services.ts';
import { fromRefusal } from './errors.ts';
import { heard } from './heard.ts';
import { parse } from './parse.ts';

/** A person’s name beside what an apprentice did, at the apprentice’s station and without a change of hands. */
export function countersignRoutes(services: Services): Router {
  const { access, jobs, oneGo, now, changes } = services;
  const router = Router();
  router.post(
    '/jobs/:id/countersign',
    fewTries(({ personId }) => personId),
    async (request, response) => {
      const jobId = parse(id, request.params.id);
      const { personId, secret, command } = parse(countersignBody, request.body);
      const place = placeOf(request);
      // At a station the PIN is enough; elsewhere it is as short as anywhere.
      const person =
        request.station === undefined
          ? await byPassword(services, personId, secret, place)
          : await byPin(services, personId, secret, place);
      const { sentAt, ...sent } = command;
      const [counts, arrival] = heard({ ...sent, type: 'countersign', by: person.id }, sentAt, now());
      const reply = oneGo.run(() => {
        const outcome = jobs.take(jobId, counts, arrival);
        if (outcome.kind === 'refused') throw fromRefusal(outcome.refusal);
        if (!outcome.reply.repeated) access.record.write('countersigned', now(), person.id, jobId, place);
        return outcome.reply;
      });
      changes.tell({ kind: 'rows', list: 'jobs' });
      response.status(reply.repeated ? 200 : 201).json(reply);
    },
  );
  return router;
}
