import { Router } from 'express';
import { z } from 'zod';
import { id, type LinkMade, phoneJoin } from '../../contract/index.ts';
import { placeOf } from '../access/caller.ts';
import { freshSigned, PHONE_MS } from '../access/sessions.ts';
import { fewTries } from '../access/tries.ts';
import type { Services } from '../services.ts';
import { actorOf } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';
import { begin } from './signIn.ts';

/** A code on the screen is for the phone beside it, ms. */
const TO_COME_IN_MS = 5 * 60_000;
const makeBody = z.strictObject({ by: id.optional() });

/** A phone joins one job, to take photos for it in the name of whoever let it in. */
export function phoneRoutes(services: Services): Router {
  const { access, jobs, oneGo, now } = services;
  const router = Router();

  router.post('/jobs/:id/phones', (request, response) => {
    const jobId = parse(id, request.params.id);
    parse(makeBody, request.body);
    const made = oneGo.run((): LinkMade => {
      const { by, at } = actorOf(services, request);
      if (jobs.job(jobId) === null) throw new HttpError('no-such-job', 'There is no such job.');
      const endsAt = new Date(Date.parse(at) + TO_COME_IN_MS).toISOString();
      const { link, token } = access.links.make('phone', jobId, { by, at, endsAt });
      access.record.write('link-made', at, by, link.id, placeOf(request));
      return { link, path: `/phone/${token}` };
    });
    response.status(201).json(made);
  });

  router.post(
    '/phones',
    fewTries(({ token }) => (typeof token === 'string' ? 'a phone' : null)),
    async (request, response) => {
      const { token } = parse(phoneJoin, request.body);
      const at = now();
      const link = access.links.follow(token, at);
      if (!access.isAsked() || link === null || link.kind !== 'phone') throw over();
      oneGo.run(() => {
        if (!access.links.use(link.id, at)) throw over();
        access.record.write('phone-joined', at, link.madeBy, link.id, placeOf(request));
      });
      const signed = freshSigned(link.madeBy, 'phone', at, { jobId: link.jobId });
      await begin(request, signed);
      const job = jobs.job(link.jobId);
      response.status(201).json({
        jobId: link.jobId,
        by: link.madeBy,
        plate: job?.vehicle.plate ?? '',
        number: job?.number ?? 0,
        version: job?.version ?? 0,
        token: signed.token,
        minutes: PHONE_MS / 60_000,
      });
    },
  );
  return router;
}

const over = (): HttpError =>
  new HttpError('link-over', 'This code was used already, or is too old.', {
    wouldHelp: 'Ask for a fresh one at the station.',
  });
