import { Router } from 'express';
import { dueAnswerInput, dueQuery, followUpInput, id } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { change } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const answerBody = dueAnswerInput.safeExtend({ by: id });
const followUpBody = followUpInput.extend({ by: id });

/** Vehicles over the years: what is due, what lasts, and what customers said. */
export function yearRoutes(services: Services): Router {
  const { years, vehicles, now } = services;
  const router = Router();
  router.get('/due', (request, response) => {
    response.json(years.due(now(), parse(dueQuery, request.query).weeks));
  });
  router.put(
    '/due/:vehicleId',
    change(services, (request, actor) => {
      const vehicleId = parse(id, request.params.vehicleId);
      const { by: _, ...answer } = parse(answerBody, request.body);
      if (vehicles.get(vehicleId) === null) throw new HttpError('no-such-vehicle', 'There is no such vehicle.');
      years.answerDue(vehicleId, answer, actor);
      return { body: { ok: true } };
    }),
  );
  router.get('/lasting', (_request, response) => {
    response.json(years.lasting(now()));
  });
  router.post(
    '/follow-ups/:jobId',
    change(services, (request, actor) => {
      const jobId = parse(id, request.params.jobId);
      const { by: _, ...said } = parse(followUpBody, request.body);
      if (!years.wasHandedOver(jobId)) throw new HttpError('no-such-job', 'There is no such job that was handed over.');
      years.followUp(jobId, said, actor);
      return { status: 201, body: years.lasting(now()) };
    }),
  );
  return router;
}
