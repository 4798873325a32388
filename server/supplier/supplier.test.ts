import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import type { OnOrderReply, SupplierReply } from '../../contract/index.ts';
import { createApp } from '../app.ts';
import { type Harness, harness, NOW, openJob } from '../testing/harness.ts';
import { pino } from 'pino';
import supertest from 'supertest';
import { NoAnswer, Supplier } from './client.ts';
import { serveSupplier, standInOffers, type SupplierMood } from './standIn.ts';

const TODAY = '2026-05-13';
const servers: Server[] = [];
const harnesses: Harness[] = [];
afterEach(() => {
  for (const server of servers.splice(0)) {
    server.closeAllConnections();
    server.close();
  }
  for (const each of harnesses.splice(0)) each.close();
});
async function standIn(mood: SupplierMood): Promise<number> {
  const { port, server } = await serveSupplier(0, mood, { today: () => TODAY, currency: 'cr' });
  servers.push(server);
  return port;
}
/** A supplier that answers with whatever it likes. */
async function strange(status: number, body: string): Promise<number> {
  const server = createServer((_, response) => response.writeHead(status).end(body));
  servers.push(server);
  await new Promise<void>((done) => void server.listen(0, '127.0.0.1', done));
  return (server.address() as AddressInfo).port;
}
const valve = { partNumber: 'NP-25-1120', kind: 'rebuilt' as const, quantity: 1 };
const gasket = { partNumber: 'NP-25-1107', kind: 'new' as const, quantity: 2 };

describe('a supplier', () => {
  it('offers units new, rebuilt and used, each with its price, deposit and day; the same at every asking', async () => {
    const supplier = new Supplier(await standIn('well'));
    const offers = await supplier.offers(['NP-25-1120', 'NP-25-1107']);
    expect(offers).toEqual([...standInOffers('NP-25-1120', TODAY, 'cr'), ...standInOffers('NP-25-1107', TODAY, 'cr')]);
    expect(offers.map(({ kind }) => kind)).toEqual(['new', 'rebuilt', 'used', 'new']);
    expect(offers[1]).toMatchObject({ expected: '2026-05-17', currency: 'cr' });
    expect(offers[1]!.depositMinor).toBeGreaterThan(0);
    expect(offers[1]!.priceMinor).toBeLessThan(offers[0]!.priceMinor);
  });
  it('takes an order once, whoever sends it again', async () => {
    const supplier = new Supplier(await standIn('well'));
    const first = await supplier.order('o-1', [valve, gasket]);
    expect(first.deliveries).toEqual([{ expected: '2026-05-17', lines: [valve, gasket] }]);
    expect(await supplier.order('o-1', [valve, gasket])).toEqual(first);
    expect((await supplier.order('o-2', [valve])).orderId).not.toBe(first.orderId);
  });
  it('may be dearer than it offered, send in two deliveries, or know no such number', async () => {
    const fair = await new Supplier(await standIn('well')).order('o', [valve]);
    const dear = await new Supplier(await standIn('dearer')).order('o', [valve]);
    expect(dear.totalMinor / fair.totalMinor).toBeCloseTo(1.25, 3);
    const split = await new Supplier(await standIn('split')).order('o', [valve, gasket]);
    expect(split.deliveries.map(({ expected, lines }) => [expected, lines.length])).toEqual([
      ['2026-05-17', 1],
      ['2026-05-22', 1],
    ]);
    const unknown = new Supplier(await standIn('unknown'));
    expect(await unknown.offers(['NP-25-1120'])).toEqual([]);
    await expect(unknown.order('o', [valve])).rejects.toThrow('NP-25-1120 is not to be had rebuilt.');
  });
  it('that is slow, not there, or speaks nonsense is said in words', async () => {
    await expect(new Supplier(await standIn('slow'), 80).offers(['A'])).rejects.toThrow(
      'does not answer within 0.08 seconds',
    );
    const port = await standIn('well');
    servers.at(-1)!.close();
    servers.at(-1)!.closeAllConnections();
    await expect(new Supplier(port).offers(['A'])).rejects.toThrow('The supplier cannot be reached.');
    await expect(new Supplier(await strange(200, 'hello')).offers(['A'])).rejects.toThrow(NoAnswer);
    const negative = JSON.stringify({ offers: [{ ...standInOffers('A', TODAY, 'cr')[0], priceMinor: -5 }] });
    await expect(new Supplier(await strange(200, negative)).offers(['A'])).rejects.toThrow(
      'offers.0.priceMinor Expected zero or more.',
    );
    await expect(new Supplier(await strange(500, '')).offers(['A'])).rejects.toThrow('The supplier answers 500.');
  });
});

describe('the shop and its supplier', () => {
  /** The shop over the same store, connected to a supplier or to none. */
  async function shop(mood: SupplierMood | null) {
    const server = await harness();
    harnesses.push(server);
    await openJob(server, 'j').expect(201);
    for (const [needId, partNumber] of [
      ['valve', 'NP-25-1120'],
      ['gasket', 'NP-25-1107'],
    ])
      await server
        .send('j', 'add-need', {
          need: { id: needId, kind: 'part', name: needId, partNumber, note: '', caution: null },
        })
        .expect(201);
    const services = { ...server.services, supplier: mood === null ? null : new Supplier(await standIn(mood), 300) };
    const http = supertest(createApp(services, pino({ level: 'silent' }), null));
    const needs = () =>
      server.services.jobs.job('j')!.needs.map(({ needId, state, expected }) => [needId, state, expected]);
    const order = (more: object = {}) =>
      http.post('/api/supplier/orders').send({
        by: 'tomas',
        jobId: 'j',
        orderId: 'o-1',
        agreedMinor: 1_000_000,
        lines: [
          { ...valve, needId: 'valve' },
          { ...gasket, needId: 'gasket' },
        ],
        ...more,
      });
    return { http, needs, order };
  }
  it('asks for prices, and says where it cannot', async () => {
    const { http } = await shop('well');
    const reply = (await http.get('/api/supplier/offers?number=NP-25-1120').expect(200)).body as SupplierReply;
    expect(reply).toMatchObject({ reached: true, offers: [{ kind: 'new' }, { kind: 'rebuilt' }, { kind: 'used' }] });
    await http.get('/api/supplier/offers').expect(400);
    const none = await (await shop(null)).http.get('/api/supplier/offers?number=A').expect(200);
    expect(none.body).toEqual({ reached: false, words: 'No supplier is connected to this shop.', offers: [] });
    const slow = await (await shop('slow')).http.get('/api/supplier/offers?number=A').expect(200);
    expect(slow.body).toMatchObject({ reached: false });
  });
  it('orders for a job: each part is on its way with its day, once', async () => {
    const { needs, order } = await shop('well');
    await order().expect(201);
    expect(needs()).toEqual([
      ['valve', 'ordered', '2026-05-17'],
      ['gasket', 'ordered', '2026-05-17'],
    ]);
    await order().expect(201);
    expect(needs()).toHaveLength(2);
  });
  it('keeps the days of two deliveries apart, and says when it is dearer than it was offered', async () => {
    const { needs, order } = await shop('split');
    await order().expect(201);
    expect(needs()).toEqual([
      ['valve', 'ordered', '2026-05-17'],
      ['gasket', 'ordered', '2026-05-22'],
    ]);
    const dear = await shop('dearer');
    const reply = await dear.order({ agreedMinor: 1 }).expect(201);
    expect(reply.body.dearerMinor).toBe(reply.body.totalMinor - 1);
  });
  it('changes nothing where the supplier does not take it, or it is not for whoever asks', async () => {
    const { needs, order } = await shop('unknown');
    const refused = await order().expect(503);
    expect(refused.body.error).toMatchObject({
      code: 'no-supplier',
      message: expect.stringContaining('not to be had') as string,
    });
    expect(needs()).toEqual([]);
    await (await shop(null)).order().expect(503);
    const well = await shop('well');
    await well.order({ by: 'marit' }).expect(403);
    await well.order({ jobId: 'none' }).expect(404);
    await well.order({ lines: [] }).expect(400);
    expect(NOW).toContain(TODAY);
  });

  const LIST =
    'Part number;Name;Kind;Price;Deposit;Days\nnp 25 1120;Idle valve;rebuilt;212.50;40;3\nNP-25-1107;Gasket;;6,10;;\n';
  const take = (http: ReturnType<typeof supertest>, text: string, query = 'supplier=Skerry Parts') =>
    http.post(`/api/price-lists?by=tomas&${query}`).set('content-type', 'text/csv').send(text);
  it('asks price lists where nobody answers, and for what the supplier does not have', async () => {
    const { http } = await shop(null);
    expect((await take(http, LIST).expect(201)).body).toEqual({ taken: 2, problems: [] });
    const reply = (await http.get('/api/supplier/offers?number=NP-25-1120&number=NP-25-1107').expect(200))
      .body as SupplierReply;
    expect(reply).toMatchObject({ reached: false, words: 'No supplier is connected to this shop.' });
    expect(reply.offers).toEqual([
      { partNumber: 'NP-25-1107', name: 'Gasket', kind: 'new', priceMinor: 610, currency: 'cr', depositMinor: 0, inStock: 0, expected: null, list: { supplier: 'Skerry Parts', day: TODAY } }, // prettier-ignore
      { partNumber: 'np 25 1120', name: 'Idle valve', kind: 'rebuilt', priceMinor: 21_250, currency: 'cr', depositMinor: 4000, inStock: 0, expected: '2026-05-16', list: { supplier: 'Skerry Parts', day: TODAY } }, // prettier-ignore
    ]);
    // A new list of the same supplier takes the place of the old one, however it is spelt.
    await take(http, 'part number,price\nX-1,1.00\n', 'supplier=skerry parts').expect(201);
    const lists = (await http.get('/api/price-lists').expect(200)).body as { rows: { id: string; parts: number }[] };
    expect(lists.rows).toMatchObject([{ supplier: 'skerry parts', parts: 1, currency: 'cr', takenBy: 'tomas' }]);
    await http.delete(`/api/price-lists/${lists.rows[0]!.id}?by=tomas`).expect(200);
    await http.delete(`/api/price-lists/${lists.rows[0]!.id}?by=tomas`).expect(404);
    expect(((await http.get('/api/supplier/offers?number=X-1')).body as SupplierReply).offers).toEqual([]);
    const live = await shop('well');
    await take(live.http, LIST).expect(201);
    const both = (await live.http.get('/api/supplier/offers?number=NP-25-1120').expect(200)).body as SupplierReply;
    expect(both.offers.filter(({ kind }) => kind === 'rebuilt')).toHaveLength(1);
    expect(both.offers.every(({ list }) => list === undefined)).toBe(true);
  });
  it('takes nothing of a list with a bad line, unless the good ones are asked for', async () => {
    const { http } = await shop(null);
    const bad = 'part number,kind,price,deposit,days\nA-1,new,10,,\n,new,5,,\nB-1,old,5,,\nC-1,new,cheap,,\nD-1,new,5,x,\nE-1,new,5,,-3\na 1,new,11,,\n'; // prettier-ignore
    const refused = await take(http, bad).expect(400);
    expect(refused.body.error.fields).toEqual({
      'line 3': '“part number” is empty.',
      'line 4': '“old” is no kind: expected new, rebuilt, used.',
      'line 5': expect.stringContaining('“cheap” is no price.') as string,
      'line 6': expect.stringContaining('“x” is no deposit.') as string,
      'line 7': '“-3” is no number of days: expected 0 to 365.',
      'line 8': 'a 1, new, is in the list twice.',
    });
    expect((await http.get('/api/price-lists')).body.rows).toEqual([]);
    expect((await take(http, bad, 'supplier=S&good=1').expect(201)).body.taken).toBe(1);
    expect((await take(http, 'name,price\nx,1\n').expect(400)).body.error.fields['line 1']).toContain('“part number”');
    await take(http, LIST, 'supplier=').expect(400);
    await take(http, 'part number,price\nA-1,cheap\n', 'supplier=S&good=1').expect(400);
  });
  it('tells what is on its way, the longest awaited first, and finds it by what a scanner typed', async () => {
    const { http, order } = await shop('split');
    await order().expect(201);
    const all = (await http.get('/api/on-order').expect(200)).body as OnOrderReply;
    expect(all.today).toBe(TODAY);
    expect(all.rows.map(({ needId, number, plate, expected }) => [needId, number, plate, expected])).toEqual([
      ['valve', 228, 'TQ 417', '2026-05-17'],
      ['gasket', 228, 'TQ 417', '2026-05-22'],
    ]);
    const found = async (code: string) =>
      ((await http.get('/api/on-order').query({ code }).expect(200)).body as OnOrderReply).rows.map(
        ({ needId }) => needId,
      );
    expect(await found('np 251107')).toEqual(['gasket']);
    expect(await found('X-9')).toEqual([]);
    // By the barcode of what is in stock under that number.
    await http
      .put('/api/stock/box')
      .send({
        by: 'isla',
        basedOn: 0,
        item: {
          name: 'Valve',
          partNumber: 'NP-25-1120',
          kind: 'part',
          place: '',
          priceMinor: 0,
          detail: { barcode: '4012345678901' },
        },
      }) // prettier-ignore
      .expect(201);
    expect(await found('4012345678901')).toEqual(['valve']);
    await http.get('/api/on-order?code=4012345678902').expect(400);
  });
});
