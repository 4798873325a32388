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
    await stock.load();
    expect([stock.rows.map(({ id }) => id), stock.failed]).toEqual([['s'], '']);
    reachable = false;
    await stock.load();
    expect([stock.rows.length, stock.failed]).toEqual([1, 'Another program holds the store.']);
    reachable = true;
    await stock.load();
    expect(stock.failed).toBe('');
  });
});
