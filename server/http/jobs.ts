import { Router } from 'express';
import { command, id, itemQuery, jobQuery, sinceQuery } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { change } from './acting.ts';
import { fromRefusal, HttpError } from './errors.ts';
import { heard } from './heard.ts';
import { answerPage, type InOrder, readKey } from './pageKeys.ts';
import { parse } from './parse.ts';
import { whoEntered } from './whoEntered.ts';

/** The order in which jobs come unless another is asked for. */
export const NEWEST_FIRST: InOrder = { list: 'jobs', sort: 'number', direction: 'desc', columns: 1 };

/** Jobs: lines, logs and the one way to change them. */
export function jobRoutes(services: Services): Router {
  const { jobs, jobLines, figures, now } = services;
  const router = Router();

  router.get('/', (request, response) => {
    const { q, status, vehicleId, sort, direction, after, limit } = parse(jobQuery, request.query);
    const order = { list: 'jobs', sort, direction, columns: jobLines.keyLength(sort) };
    const ask = { after: readKey(after, order), descending: direction === 'desc', limit };
    response.json(answerPage(jobLines.page({ text: q, status, vehicleId }, sort, ask), order));
  });

  router.get('/:id', (request, response) => {
    const reply = jobs.read(parse(id, request.params.id), parse(sinceQuery, request.query).since);
    if (reply === null) throw new HttpError('no-such-job', 'There is no such job.');
    response.json(reply);
  });

  router.get('/:id/like-figures', (request, response) => {
    const job = jobs.job(parse(id, request.params.id));
    if (job === null) throw new HttpError('no-such-job', 'There is no such job.');
    response.json(figures.like(job, parse(itemQuery, request.query).item));
  });

  router.get('/:id/verify', (request, response) => {
    const jobId = parse(id, request.params.id);
    if (jobs.job(jobId) === null) throw new HttpError('no-such-job', 'There is no such job.');
    const brokenAt = jobs.verify(jobId);
    response.json({ whole: brokenAt === null, brokenAt });
  });

  router.post(
    '/:id/commands',
    change(services, (request) => {
      const jobId = parse(id, request.params.id);
      const { sentAt, ...sent } = parse(command, request.body);
      const [counts, arrival] = heard(sent, sentAt, now());
      whoEntered(services, request, jobId, counts);
      const outcome = jobs.take(jobId, counts, arrival);
      if (outcome.kind === 'refused') throw fromRefusal(outcome.refusal);
      return { status: outcome.reply.repeated ? 200 : 201, body: outcome.reply };
    }),
  );

  return router;
}
