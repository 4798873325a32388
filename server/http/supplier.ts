import { randomUUID } from 'node:crypto';
import express, { Router } from 'express';
import { z } from 'zod';
import {
  id,
  offersQuery,
  onOrderQuery,
  type OnOrderReply,
  priceListQuery,
  supplierOrder,
  type SupplierReply,
} from '../../contract/index.ts';
import { mayGive } from '../../core/access/index.ts';
import { dayOf } from '../../core/days/index.ts';
import { type Barcode, plainNumber, readBarcode } from '../../core/stock/index.ts';
import { expectedOf } from '../../core/supplier/index.ts';
import type { Services } from '../services.ts';
import { NoAnswer, type Supplier } from '../supplier/client.ts';
import { readPriceList } from '../supplier/priceListCsv.ts';
import { actorOf, change } from './acting.ts';
import { mustBeWhole } from './badTable.ts';
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
  const { supplier, jobs, jobLines, stock, oneGo, priceLists, settings, now } = services;
  /** The part number of what bears a barcode in stock; empty where nothing does. */
  const numberOf = (code: Barcode): string => {
    const itemId = stock.find(code);
    return itemId === null ? '' : (stock.file(itemId, now())?.item.partNumber ?? '');
  };
  const router = Router();
  router.get('/supplier/offers', async (request, response) => {
    const { number } = parse(offersQuery, request.query);
    const said = await askSupplier(supplier, number);
    const known = new Set(said.offers.map((offer) => `${plainNumber(offer.partNumber)} ${offer.kind}`));
    const listed = priceLists
      .offers(number, now())
      .filter((offer) => !known.has(`${plainNumber(offer.partNumber)} ${offer.kind}`));
    response.json({ ...said, offers: [...said.offers, ...listed] } satisfies SupplierReply);
  });
  // A scanner types a part number or a barcode; what is on its way for a job is found by either.
  router.get('/on-order', (request, response) => {
    const { code } = parse(onOrderQuery, request.query);
    const read = code === undefined ? null : readBarcode(code);
    if (read?.kind === 'wrong') throw new HttpError('bad-value', read.message, { fields: { code: read.message } });
    const number = read === null ? null : read.kind === 'number' ? read.number : numberOf(read);
    const rows = jobLines.onOrder(number === null ? null : [plainNumber(number)]);
    response.json({ today: dayOf(now(), settings.timeZone()), rows, next: null } satisfies OnOrderReply);
  });
  router.get('/price-lists', (_request, response) => {
    response.json({ rows: priceLists.all(), next: null });
  });
  // A list with a bad line brings nothing in, unless the good ones are asked for.
  router.post(
    '/price-lists',
    express.text({ type: ['text/csv', 'text/plain'], limit: '20mb' }),
    change(services, (request, actor) => {
      const { supplier: whose, good } = parse(priceListQuery, request.query);
      if (typeof request.body !== 'string') throw new HttpError('wrong-type', 'Expected a table as text/csv.');
      const { lines, problems } = readPriceList(request.body, settings.shop().currency);
      mustBeWhole(lines.length, problems, good === '1');
      if (lines.length === 0) throw new HttpError('bad-table', 'There is no line in it; nothing was taken in.');
      priceLists.take(whose, lines, actor);
      return { status: 201, body: { taken: lines.length, problems } };
    }),
  );
  router.delete(
    '/price-lists/:id',
    change(services, (request, actor) => {
      if (!priceLists.drop(parse(id, request.params.id), actor))
        throw new HttpError('not-found', 'There is no such price list.');
      return { body: { ok: true } };
    }),
  );
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

async function askSupplier(supplier: Supplier | null, numbers: readonly string[]): Promise<SupplierReply> {
  if (supplier === null) return { reached: false, words: 'No supplier is connected to this shop.', offers: [] };
  try {
    return { reached: true, words: '', offers: await supplier.offers(numbers) };
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error;
    return { reached: false, words: error.message, offers: [] };
  }
}
