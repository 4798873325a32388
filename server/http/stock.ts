import { randomUUID } from 'node:crypto';
import express, { type Request, Router } from 'express';
import { z } from 'zod';
import {
  auditQuery,
  crossReference,
  id,
  movementInput,
  orderInput,
  plainQuery,
  receiveInput,
  type StockFile,
  stockInput,
  stockQuery,
} from '../../contract/index.ts';
import { dayOf } from '../../core/days/index.ts';
import { readBarcode, samePart } from '../../core/stock/index.ts';
import type { Services } from '../services.ts';
import { type Past, PAST_KEY, type StockOutcome } from '../store/stock.ts';
import { readStockCsv, stockToCsv } from '../store/stockCsv.ts';
import { change } from './acting.ts';
import { mustBeWhole } from './badTable.ts';
import { HttpError, saved } from './errors.ts';
import { answerPage, type InOrder, readKey } from './pageKeys.ts';
import { parse } from './parse.ts';

const itemBody = z.strictObject({ by: id, basedOn: z.number().int().min(0).default(0), item: stockInput });
const movementBody = z.strictObject({ by: id, movement: movementInput });
const orderBody = z.strictObject({ by: id, order: orderInput });
const receiveBody = z.strictObject({ by: id, received: receiveInput });
const referenceBody = z.strictObject({ by: id, reference: crossReference });
const codeQuery = z.strictObject({ code: z.string().max(120) });
const csvQuery = z.strictObject({ by: id, good: z.enum(['1']).optional() });

const newestFirst = (list: Past): InOrder => ({ list, sort: 'time', direction: 'desc', columns: PAST_KEY });
const PAST: Readonly<Record<Past, InOrder>> = {
  movements: newestFirst('movements'),
  uses: newestFirst('uses'),
  arrivals: newestFirst('arrivals'),
};

/** Stock: things, movements, orders, numbers that stand in, and tables in and out. */
export function stockRoutes(services: Services): Router {
  const { stock, settings, audit, now } = services;
  const router = Router();
  const itemId = (request: Request): string => {
    const asked = parse(id, request.params.id);
    if (!stock.has(asked)) throw new HttpError('no-such-stock', 'There is no such thing in stock.');
    return asked;
  };
  const fileOf = (asked: string): StockFile => {
    const file = stock.file(asked, now());
    if (file === null) throw new HttpError('no-such-stock', 'There is no such thing in stock.');
    return {
      ...file,
      movements: answerPage(file.movements, PAST.movements),
      uses: answerPage(file.uses, PAST.uses),
      arrivals: answerPage(file.arrivals, PAST.arrivals),
    };
  };
  const after = (outcome: StockOutcome): StockFile => {
    if (outcome.ok) return fileOf(outcome.id);
    throw new HttpError(outcome.field === 'id' ? 'no-such-stock' : 'bad-value', outcome.message, {
      fields: { [outcome.field]: outcome.message },
    });
  };

  router.get('/stock', (request, response) => {
    const { q, kind, number, sort, direction, after: key, limit } = parse(stockQuery, request.query);
    const order = { list: 'stock', sort, direction, columns: stock.keyLength(sort) };
    const ask = { after: readKey(key, order), descending: direction === 'desc', limit };
    const filter = { text: q, kinds: kind, numbers: number.length === 0 ? null : number };
    response.json(answerPage(stock.page(filter, sort, ask, now()), order));
  });
  router.get('/stock/outlook', (_request, response) => {
    response.json(stock.outlook(now(), dayOf(now(), settings.timeZone())));
  });
  // Before `:id`, which would take its name for one.
  router.get('/stock/find', (request, response) => {
    const code = readBarcode(parse(codeQuery, request.query).code);
    if (code.kind === 'wrong') throw new HttpError('bad-value', code.message, { fields: { code: code.message } });
    response.json({ code, itemId: stock.find(code) });
  });
  router.get('/stock/table.csv', (_request, response) => {
    response
      .type('text/csv')
      .set('content-disposition', 'attachment; filename="stock.csv"')
      .send(stockToCsv(stock.all(now()), settings.shop().currency));
  });
  // A table with a bad line brings nothing in, unless the good ones are asked for.
  router.post(
    '/stock/table',
    express.text({ type: ['text/csv', 'text/plain'], limit: '2mb' }),
    change(services, (request, actor) => {
      const { good } = parse(csvQuery, request.query);
      if (typeof request.body !== 'string') throw new HttpError('wrong-type', 'Expected a table as text/csv.');
      const { rows, problems } = readStockCsv(request.body, stock.all(now()), settings.shop().currency);
      mustBeWhole(rows.length, problems, good === '1');
      for (const row of rows) {
        const rowId = row.id ?? randomUUID();
        stock.describe(rowId, row.input, actor);
        if (row.left === null) continue;
        const counted = {
          id: randomUUID(),
          kind: 'counted',
          figure: row.left,
          batch: '',
          bestBefore: null,
          note: 'from a table',
        } as const;
        after(stock.move(rowId, counted, actor));
      }
      return { body: { taken: rows.length, problems } };
    }),
  );
  router.get('/stock/:id', (request, response) => {
    response.json(fileOf(parse(id, request.params.id)));
  });
  // The past of a thing, each kind of it a list of its own.
  for (const past of ['movements', 'uses', 'arrivals'] as const)
    router.get(`/stock/:id/${past}`, (request, response) => {
      const { after: key, limit } = parse(plainQuery, request.query);
      const ask = { after: readKey(key, PAST[past]), descending: true, limit };
      response.json(answerPage(stock.past(past, itemId(request), ask), PAST[past]));
    });
  router.get('/stock/:id/audit', (request, response) => {
    const { before, limit } = parse(auditQuery, request.query);
    response.json({ rows: audit.of('stock', parse(id, request.params.id), before, limit), next: null });
  });
  router.put(
    '/stock/:id',
    change(services, (request, actor) => {
      const asked = parse(id, request.params.id);
      const { basedOn, item } = parse(itemBody, request.body);
      const twin = stock.numbered(item.partNumber, asked);
      if (twin !== null)
        throw new HttpError('bad-value', `${twin.name} has that number already.`, {
          fields: { 'item.partNumber': `${twin.name} has that number already.` },
        });
      const outcome = stock.put(asked, item, basedOn, actor);
      const whole = stock.one(asked, now());
      const { created } = saved<unknown>(
        outcome.ok ? outcome : { ok: false, newer: { version: outcome.newer.version, row: whole } },
        item.name,
        () => audit.of('stock', asked, undefined, 1),
      );
      return { status: created ? 201 : 200, body: whole };
    }),
  );
  router.post(
    '/stock/:id/movements',
    change(services, (request, actor) => {
      const asked = itemId(request);
      const { movement } = parse(movementBody, request.body);
      return { status: 201, body: after(stock.move(asked, movement, actor)) };
    }),
  );
  router.post(
    '/stock/:id/orders',
    change(services, (request, actor) => {
      const asked = itemId(request);
      stock.order(asked, parse(orderBody, request.body).order, actor);
      return { status: 201, body: fileOf(asked) };
    }),
  );
  router.post(
    '/orders/:id/received',
    change(services, (request, actor) => {
      const { received } = parse(receiveBody, request.body);
      return { status: 201, body: after(stock.receive(parse(id, request.params.id), received, actor)) };
    }),
  );
  router.get('/references', (_request, response) => {
    response.json({ rows: stock.references(), next: null });
  });
  router.put(
    '/references',
    change(services, (request, actor) => {
      const { reference } = parse(referenceBody, request.body);
      if (samePart(reference.a, reference.b))
        throw new HttpError('bad-value', 'That is one and the same number.', {
          fields: { 'reference.b': 'That is one and the same number.' },
        });
      stock.refer(reference, actor);
      return { body: { rows: stock.references(), next: null } };
    }),
  );
  return router;
}
