import { Router } from 'express';
import { z } from 'zod';
import { id } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { change } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const reminderQuery = z.strictObject({ vehicleId: id.optional() });
const settleBody = z.strictObject({ by: id, note: z.string().max(300) });

/** What is to be looked at again, and the returns box. */
export function followUpRoutes(services: Services): Router {
  const { followUps } = services;
  const router = Router();
  router.get('/reminders', (request, response) => {
    const { vehicleId } = parse(reminderQuery, request.query);
    response.json({ rows: followUps.reminders(vehicleId ?? null), next: null });
  });
  router.post(
    '/reminders/:jobId/:id/done',
    change(services, (request, actor) => {
      const { note } = parse(settleBody, request.body);
      const jobId = parse(id, request.params.jobId);
      if (!followUps.endReminder(jobId, parse(id, request.params.id), note, actor))
        throw new HttpError('no-such-reminder', 'There is no such reminder.');
      return { body: { ok: true } };
    }),
  );
  router.get('/returns', (_request, response) => {
    response.json({ rows: followUps.returns(), next: null });
  });
  router.post(
    '/returns/:jobId/:id/sent',
    change(services, (request, actor) => {
      const { note } = parse(settleBody, request.body);
      if (!followUps.sendReturn(parse(id, request.params.jobId), parse(id, request.params.id), note, actor))
        throw new HttpError('no-such-return', 'There is no such unit in the box.');
      return { body: { ok: true } };
    }),
  );
  return router;
}
