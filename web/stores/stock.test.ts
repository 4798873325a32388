import { beforeEach, describe, expect, it } from 'vitest';
import { freshShop, refusal, serve, stockItem } from '../testing.ts';
import { useStock } from './stock.ts';

beforeEach(freshShop);

describe('the stock on a screen', () => {
  it('stays as it was last seen while the server is out of reach, and says why', async () => {
    let reachable = true;
    serve({
      'GET /api/stock': () => (reachable ? { rows: [stockItem()] } : refusal(503, 'Another program holds the store.')),
    });
    const stock = useStock();
    await stock.load({ kind: 'gasket' });
    expect([stock.rows.map(({ id }) => id), stock.failed]).toEqual([['s'], '']);
    reachable = false;
    await stock.load({ kind: 'gasket' });
    expect([stock.rows.length, stock.failed]).toEqual([1, 'Another program holds the store.']);
    reachable = true;
    await stock.load({ kind: 'gasket' });
    expect(stock.failed).toBe('');
  });
  it('is read page after page, and not at all where nothing is wanted', async () => {
    const asked = serve({
      'GET /api/stock?kind=gasket&kind=seal&limit=200': { rows: [stockItem()], next: 'k' },
      'GET /api/stock?kind=gasket&kind=seal&limit=200&after=k': { rows: [stockItem({ id: 't' })], next: null },
    });
    const stock = useStock();
    await stock.load({ kind: ['gasket', 'seal'] });
    expect(stock.rows.map(({ id }) => id)).toEqual(['s', 't']);
    await stock.load({ number: ['', ''] });
    expect([stock.rows, asked.length]).toEqual([[], 2]);
  });
});
