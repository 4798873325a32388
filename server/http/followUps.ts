import { Router } from 'express';
import { z } from 'zod';
import { id, plainQuery } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { REMINDER_ORDER, RETURN_ORDER } from '../store/followUps.ts';
import { change } from './acting.ts';
import { HttpError } from './errors.ts';
import { answerPage, type InOrder, readKey } from './pageKeys.ts';
import { parse } from './parse.ts';

const reminderQuery = plainQuery.extend({ vehicleId: id.optional(), dueBy: z.iso.date().optional() });
const REMINDERS: InOrder = { list: 'reminders', sort: 'day', direction: 'asc', columns: REMINDER_ORDER.length };
const RETURNS: InOrder = { list: 'returns', sort: 'time', direction: 'desc', columns: RETURN_ORDER.length };
const settleBody = z.strictObject({ by: id, note: z.string().max(300) });

/** What is to be looked at again, and the returns box. */
export function followUpRoutes(services: Services): Router {
  const { followUps } = services;
  const router = Router();
  router.get('/reminders', (request, response) => {
    const { vehicleId, dueBy, after, limit } = parse(reminderQuery, request.query);
    const ask = { after: readKey(after, REMINDERS), descending: false, limit };
    response.json(answerPage(followUps.reminders(vehicleId ?? null, dueBy ?? null, ask), REMINDERS));
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
  router.get('/returns', (request, response) => {
    const { after, limit } = parse(plainQuery, request.query);
    const ask = { after: readKey(after, RETURNS), descending: true, limit };
    response.json({ ...answerPage(followUps.returns(ask), RETURNS), failCodes: followUps.failCodes() });
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
