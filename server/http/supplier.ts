import { randomUUID } from 'node:crypto';
import { Router } from 'express';
import { z } from 'zod';
import { id, offersQuery, supplierOrder, type SupplierReply } from '../../contract/index.ts';
import { mayGive } from '../../core/access/index.ts';
import { expectedOf } from '../../core/supplier/index.ts';
import type { Services } from '../services.ts';
import { NoAnswer } from '../supplier/client.ts';
import { actorOf } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';
import { takeOn } from './takeOn.ts';

const orderBody = supplierOrder.extend({
  by: id,
  /** Sent again, it is the same order. */
  orderId: z
    .string()
    .regex(/^[\w-]{1,60}$/, 'Expected an id.')
    .optional(),
});

/** The supplier: asked for prices and days, and ordered from for a job. */
export function supplierRoutes(services: Services): Router {
  const { supplier, jobs, oneGo } = services;
  const router = Router();
  router.get('/supplier/offers', async (request, response) => {
    const { number } = parse(offersQuery, request.query);
    if (supplier === null) {
      response.json({ reached: false, words: 'No supplier is connected to this shop.' } satisfies SupplierReply);
      return;
    }
    try {
      const offers = await supplier.offers(number);
      response.json({ reached: true, offers } satisfies SupplierReply);
    } catch (error) {
      if (!(error instanceof NoAnswer)) throw error;
      response.json({ reached: false, words: error.message } satisfies SupplierReply);
    }
  });
  router.post('/supplier/orders', async (request, response) => {
    const { jobId, lines, agreedMinor, orderId = randomUUID() } = parse(orderBody, request.body);
    const actor = actorOf(services, request);
    if (!mayGive(actor.role, 'tick-need'))
      throw new HttpError('not-yours', 'Parts are ordered by those who work on vehicles, and by the parts counter.');
    if (supplier === null) throw new HttpError('no-supplier', 'No supplier is connected to this shop.');
    if (jobs.job(jobId) === null) throw new HttpError('no-such-job', 'There is no such job.');
    const taken = await supplier
      .order(
        orderId,
        lines.map(({ partNumber, kind, quantity }) => ({ partNumber, kind, quantity })),
      )
      .catch((error: unknown) => {
        if (error instanceof NoAnswer)
          throw new HttpError('no-supplier', error.message, {
            wouldHelp: 'Write the order as text, or try again: the same order is not taken twice.',
          });
        throw error;
      });
    // What was ordered is on its way, whatever it costs: the job says so, each part with its own day.
    const unknown = lines.filter(({ partNumber }) => expectedOf(taken, partNumber) === null);
    oneGo.run(() => {
      for (const { needId, partNumber } of lines) {
        const expected = expectedOf(taken, partNumber);
        if (expected !== null)
          takeOn(services, jobId, { type: 'tick-need', data: { needId, state: 'ordered', expected } }, actor);
      }
    });
    response.status(201).json({
      ...taken,
      dearerMinor: Math.max(0, taken.totalMinor - agreedMinor),
      withoutDay: unknown.map(({ partNumber }) => partNumber),
    });
  });
  return router;
}
