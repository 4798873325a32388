import { Router } from 'express';
import { z } from 'zod';
import { id } from '../../contract/index.ts';
import { type AiringState, USUAL_AIRING } from '../../core/clean/index.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';
import { mustBeKnown, mustLead } from './people.ts';

const state = z.enum(Object.keys(USUAL_AIRING) as [AiringState, ...AiringState[]]);
const airingBody = z.strictObject({ by: id, state });
const rate = z
  .number()
  .min(0, 'Expected 0 to 100 air changes an hour.')
  .max(100, 'Expected 0 to 100 air changes an hour.');
const roomBody = z.strictObject({
  by: id,
  roomM3: z.number().min(10, 'Expected 10 to 100,000 m³.').max(100_000, 'Expected 10 to 100,000 m³.'),
  rates: z.strictObject({ shut: rate, door: rate, fan: rate, both: rate }),
});
const reminderQuery = z.strictObject({ vehicleId: id.optional() });
const settleBody = z.strictObject({ by: id, note: z.string().max(300) });

/** The air of the bay, reminders and the returns box. */
export function benchRoutes(services: Services): Router {
  const { bench, now } = services;
  const router = Router();
  router.get('/air', (_request, response) => {
    response.json(bench.air(now()));
  });
  router.post('/air', (request, response) => {
    const { by, state: airing } = parse(airingBody, request.body);
    mustBeKnown(services, by);
    bench.setAiring(airing, by, now());
    response.status(201).json(bench.air(now()));
  });
  router.put('/air', (request, response) => {
    const { by, roomM3, rates } = parse(roomBody, request.body);
    mustLead(services, by, 'The size of the bay');
    bench.setRoom(roomM3, rates, by, now());
    response.json(bench.air(now()));
  });
  router.get('/reminders', (request, response) => {
    const { vehicleId } = parse(reminderQuery, request.query);
    response.json({ rows: bench.reminders(vehicleId ?? null), next: null });
  });
  router.post('/reminders/:jobId/:id/done', (request, response) => {
    const { by, note } = parse(settleBody, request.body);
    mustBeKnown(services, by);
    const jobId = parse(id, request.params.jobId);
    if (!bench.endReminder(jobId, parse(id, request.params.id), by, now(), note))
      throw new HttpError('no-such-reminder', 'There is no such reminder.');
    response.json({ ok: true });
  });
  router.get('/returns', (_request, response) => {
    response.json({ rows: bench.returns(), next: null });
  });
  router.post('/returns/:jobId/:id/sent', (request, response) => {
    const { by, note } = parse(settleBody, request.body);
    mustBeKnown(services, by);
    if (!bench.sendReturn(parse(id, request.params.jobId), parse(id, request.params.id), by, now(), note))
      throw new HttpError('no-such-return', 'There is no such unit in the box.');
    response.json({ ok: true });
  });
  return router;
}
