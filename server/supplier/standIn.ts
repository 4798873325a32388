import { createServer, type Server } from 'node:http';
import { addDays } from '../../core/days/index.ts';
import { plainNumber, samePart } from '../../core/stock/index.ts';
import type { Offer, OrderedLine } from '../../core/supplier/index.ts';

/** How a stand-in for a supplier behaves. */
export const SUPPLIER_MOODS = ['well', 'slow', 'unknown', 'dearer', 'split'] as const;
/** One of {@link SUPPLIER_MOODS}: answers late, knows no number, takes more than it offered, sends in two deliveries. */
export type SupplierMood = (typeof SUPPLIER_MOODS)[number];

/** Dearer than offered, as a factor. */
const DEARER = 1.25;
/** A slow supplier takes so long, ms: longer than anybody waits. */
const SLOW_MS = 8000;
/** Parts come on the ferry of the day after next; used units a week later. */
const DAYS = { new: 2, rebuilt: 4, used: 7 } as const;

/**
 * What the stand-in has of a number: made up from the number itself, so that the same number has the same price at every
 * asking. Units, whose numbers end in 00 or 20, come rebuilt and used as well, with a deposit on the old one.
 * @param today ISO day
 */
export function standInOffers(partNumber: string, today: string, currency: string): Offer[] {
  const key = plainNumber(partNumber);
  const seed = [...key].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 9973, 7);
  const unit = /(00|20)$/.test(key);
  const base = unit ? 18_000 + (seed % 160) * 100 : 200 + (seed % 40) * 20;
  const of = (kind: Offer['kind'], share: number, depositMinor: number, inStock: number): Offer => ({
    partNumber,
    name: unit ? 'Unit' : 'Part',
    kind,
    priceMinor: Math.round(base * share),
    currency,
    depositMinor,
    inStock,
    expected: addDays(today, DAYS[kind]),
  });
  const stock = seed % 4;
  return unit
    ? [of('new', 1, 0, stock), of('rebuilt', 0.6, Math.round(base * 0.2), 1), of('used', 0.35, 0, seed % 2)]
    : [of('new', 1, 0, stock + 1)];
}

interface Taken {
  readonly lines: readonly OrderedLine[];
  readonly answer: object;
}

/**
 * A stand-in for a supplier: loopback HTTP with JSON. `GET /offers?number=…`, `PUT /orders/:id`, `GET /orders/:id`.
 * @param port 0 for any free one
 * @param today ISO day, asked at each request
 */
export function serveSupplier(
  port: number,
  mood: SupplierMood,
  { today, currency }: { readonly today: () => string; readonly currency: string },
): Promise<{ readonly port: number; readonly server: Server }> {
  const orders = new Map<string, Taken>();
  const offers = (number: string): Offer[] => (mood === 'unknown' ? [] : standInOffers(number, today(), currency));
  function take(id: string, lines: readonly OrderedLine[]): object | string {
    const known = orders.get(id);
    if (known !== undefined) return known.answer;
    let total = 0;
    for (const line of lines) {
      const offer = offers(line.partNumber).find(
        ({ kind, partNumber }) => kind === line.kind && samePart(partNumber, line.partNumber),
      );
      if (offer === undefined) return `${line.partNumber} is not to be had ${line.kind}.`;
      total += line.quantity * (offer.priceMinor + offer.depositMinor);
    }
    const day = Math.max(...lines.map(({ kind }) => DAYS[kind]));
    const whole = [{ expected: addDays(today(), day), lines }];
    const [first, ...rest] = lines;
    const deliveries =
      mood !== 'split' || first === undefined
        ? whole
        : [
            { expected: addDays(today(), day), lines: rest.length > 0 ? [first] : lines },
            { expected: addDays(today(), day + 5), lines: rest.length > 0 ? rest : lines },
          ];
    const answer = {
      orderId: `S-${id.slice(0, 8)}`,
      deliveries,
      totalMinor: Math.round(total * (mood === 'dearer' ? DEARER : 1)),
      currency,
    };
    orders.set(id, { lines, answer });
    return answer;
  }
  const server = createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://127.0.0.1');
    const answer = (status: number, body: object): void => {
      const send = (): void => {
        response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body));
      };
      if (mood === 'slow') setTimeout(send, SLOW_MS).unref();
      else send();
    };
    const [, noun, id = ''] = url.pathname.split('/');
    if (request.method === 'GET' && noun === 'offers')
      return answer(200, { offers: url.searchParams.getAll('number').flatMap(offers) });
    if (noun !== 'orders' || id === '') return answer(404, { error: 'there is nothing here.' });
    if (request.method === 'GET') {
      const known = orders.get(id);
      return known === undefined ? answer(404, { error: 'no such order.' }) : answer(200, known.answer);
    }
    const parts: Buffer[] = [];
    request.on('data', (part: Buffer) => parts.push(part));
    request.on('end', () => {
      let lines: unknown = null;
      try {
        lines = (JSON.parse(Buffer.concat(parts).toString()) as { lines?: unknown }).lines;
      } catch {
        return answer(400, { error: 'an order must be JSON.' });
      }
      if (!Array.isArray(lines) || lines.length === 0) return answer(400, { error: 'an order needs a line.' });
      const taken = take(id, lines as OrderedLine[]);
      return typeof taken === 'string' ? answer(409, { error: taken }) : answer(200, taken);
    });
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      resolve({ port: typeof address === 'object' && address !== null ? address.port : port, server });
    });
  });
}
