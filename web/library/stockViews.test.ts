import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { ReturnLine, StockFile, StockItem } from '../../contract/index.ts';
import { lowOn } from '../../core/stock/index.ts';
import { type Asked, field, freshShop, press, read, refusal, serve, stockItem, stubs } from '../testing.ts';
import ReminderRows from '../parts/ReminderRows.vue';
import ReturnsView from './ReturnsView.vue';
import StockItemView from './StockItemView.vue';
import StockView from './StockView.vue';

const pushed: unknown[] = [];
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push: (to: unknown) => pushed.push(to) }),
  useRoute: () => ({ params: { id: 's-1' }, query: { batch: 'L7' } }),
}));

const item = (more: Partial<StockItem> = {}): StockItem =>
  stockItem({ id: 's-1', name: 'Body gasket', partNumber: 'G-1', place: 'G2', ...more });
/** What a job has ordered for itself. */
const OF_JOB: StockItem['onOrder'][number] = {
  id: 'j need',
  itemId: 's-1',
  quantity: 1,
  received: 0,
  orderedAt: '2026-05-12T08:00:00.000Z',
  by: '',
  expected: '2026-05-15',
  supplier: '',
  note: '',
  jobId: 'j',
  number: 231,
};
const file = (more: Partial<StockItem> = {}): StockFile => ({
  item: item(more),
  movements: { rows: [], next: null },
  uses: { rows: [], next: null },
  arrivals: { rows: [], next: null },
  standIns: [],
});
const show = async (component: object, replies: Record<string, unknown>, props = {}) => {
  const asked: Asked[] = serve(replies);
  const wrapper = mount(component, { props, global: { stubs } });
  await flushPromises();
  return { wrapper, asked };
};
beforeEach(() => {
  freshShop();
  pushed.length = 0;
});

describe('the stock', () => {
  it('says what to order, what is spoken for, and what was never booked in', async () => {
    const rows = [
      item({
        reserved: [{ jobId: 'j', number: 231, quantity: 1 }],
        free: 0,
        reorder: { point: 1, perMonth: 1, words: '' },
      }),
      item({ id: 's-2', name: 'Ring', partNumber: 'R', left: -2, free: -2 }),
      item({
        id: 's-3',
        name: 'Cleaner',
        kind: 'cleaner',
        batches: [{ batch: 'B7', bestBefore: '2020-01-01', quantity: 1 }],
      }),
    ];
    const { wrapper } = await show(StockView, {
      'GET /api/stock': { rows },
      'GET /api/stock?q=ring&sort=kind&direction=asc': { rows: [rows[1]] },
      'GET /api/stock/outlook': {
        toOrder: [rows[0]],
        going: [{ item: rows[2], batch: rows[2]!.batches[0], past: true }],
      },
    });
    const text = read(wrapper);
    expect(text).toContain('Body gasket 0 free, order at 1');
    expect(text).toContain('job 231');
    expect(text).toContain('more used than was booked in: count again');
    expect(text).toContain('batch B7: past its date');
    await wrapper.find('input[type="search"]').setValue('ring');
    await vi.waitFor(() => expect(read(wrapper)).not.toContain('Body gasket'));
  });
  it('does not ask twice for what a job has ordered already', async () => {
    const rows = [item({ left: 0, free: -1, onOrder: [OF_JOB] }), item({ id: 's-2', name: 'Ring', left: 0, free: -1 })];
    const { wrapper } = await show(StockView, { 'GET /api/stock': { rows } });
    const text = read(wrapper);
    expect([lowOn(rows[0]!), lowOn(rows[1]!)]).toEqual([false, true]);
    expect(text).toContain('1 on the way');
  });
  it('goes to what a scanner typed, with its batch', async () => {
    const { wrapper } = await show(StockView, {
      'GET /api/stock': { rows: [item()] },
      'GET /api/stock/find?code=4006381333931': { itemId: 's-1', code: { batch: 'L7', bestBefore: '2027-06-30' } },
    });
    await wrapper.find('input[type="search"]').setValue('4006381333931');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(pushed).toEqual([{ path: '/stock/s-1', query: { batch: 'L7', bestBefore: '2027-06-30' } }]);
  });
  it('takes in a table, or says line by line what is wrong with it and offers the good ones', async () => {
    const { wrapper, asked } = await show(StockView, {
      'GET /api/stock': { rows: [item()] },
      'POST /api/stock/table?by=tomas': new Response(
        JSON.stringify({
          error: {
            code: 'bad-table',
            message: '1 of 2 lines cannot be read',
            fields: { 'line 3': 'no count' },
            wouldHelp: 'Correct them',
          },
        }),
        { status: 400 },
      ),
      'POST /api/stock/table?by=tomas&good=1': { taken: 1, problems: [] },
    });
    const input = wrapper.find('input[type="file"]');
    Object.defineProperty(input.element, 'files', { value: [new File(['name\na'], 'a.csv')] });
    await input.trigger('change');
    await flushPromises();
    expect(read(wrapper)).toContain('line 3: no count');
    await press(wrapper, 'Take in the good lines');
    await flushPromises();
    expect(read(wrapper)).toContain('1 line taken in.');
    expect(asked.map(({ path }) => path)).toContain('/api/stock/table?by=tomas&good=1');
  });
});

describe('one thing in stock', () => {
  it('books a movement with its batch, and keeps what was typed when it is refused', async () => {
    let refuse = true;
    const { wrapper, asked } = await show(StockItemView, {
      'GET /api/stock/s-1': file(),
      'POST /api/stock/s-1/movements': () =>
        refuse ? refusal(400, 'no', { figure: 'Expected 1 or more, got 0.' }) : file({ left: 8 }),
    });
    await press(wrapper, 'Received');
    const figure = wrapper.findAll('input')[0]!;
    await figure.setValue('0');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(read(wrapper)).toContain('Expected 1 or more, got 0.');
    expect((figure.element as HTMLInputElement).value).toBe('0');
    refuse = false;
    await figure.setValue('five');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('got “five”');
    await figure.setValue('5');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(asked.at(-1)?.body).toMatchObject({ by: 'tomas', movement: { kind: 'received', figure: 5, batch: 'L7' } });
    expect(read(wrapper)).toContain('8 lie there');
  });
  it('is the same movement when it is sent again, another when another figure is typed', async () => {
    const { wrapper, asked } = await show(StockItemView, {
      'GET /api/stock/s-1': file(),
      'POST /api/stock/s-1/movements': () => refusal(503, 'Another program holds the store.'),
    });
    const figure = wrapper.findAll('input')[0]!;
    for (const typed of ['4', '4', '5']) {
      await figure.setValue(typed);
      await wrapper.find('form').trigger('submit');
      await flushPromises();
    }
    const ids = asked.flatMap(({ body }) => (body as { movement?: { id: string } } | null)?.movement?.id ?? []);
    expect(ids).toHaveLength(3);
    expect(ids[1]).toBe(ids[0]);
    expect(ids[2]).not.toBe(ids[0]);
  });
  it('orders, and books in what came of it', async () => {
    const onOrder = [
      {
        id: 'o1',
        itemId: 's-1',
        quantity: 5,
        received: 1,
        orderedAt: '2026-05-12T08:00:00.000Z',
        by: 'tomas',
        expected: '2026-05-14',
        supplier: 'mainland',
        note: '',
        jobId: null,
        number: null,
      },
      OF_JOB,
    ];
    const { wrapper, asked } = await show(StockItemView, {
      'GET /api/stock/s-1': file(),
      'POST /api/stock/s-1/orders': file({ onOrder }),
      'POST /api/orders/o1/received': file({ left: 6 }),
    });
    await wrapper.find(field(wrapper, 'Order')).setValue('boxes');
    const form = wrapper.findAll('form').find((each) => each.text().includes('Ordered'))!;
    await form.trigger('submit');
    expect(read(wrapper)).toContain('got “boxes”');
    await wrapper.find(field(wrapper, 'Order')).setValue('5');
    await form.trigger('submit');
    await flushPromises();
    expect(asked.at(-1)?.body).toMatchObject({ by: 'tomas', order: { quantity: 5 } });
    expect(read(wrapper)).toContain('4 of 5 from mainland');
    // What a job ordered for itself is received on the job.
    expect(read(wrapper)).toMatch(/1 for job 231, expected .*: tick it there when it comes/);
    expect(wrapper.findAll('button').filter((each) => each.text() === 'Book in')).toHaveLength(1);
    await press(wrapper, 'Book in');
    await flushPromises();
    expect(asked.at(-1)?.body).toMatchObject({ received: { quantity: 4, batch: 'L7' } });
    expect(read(wrapper)).toContain('6 lie there');
    expect(read(wrapper)).toContain('Nothing is on the way.');
  });
  it('is described anew when it is not there yet', async () => {
    const { wrapper, asked } = await show(StockItemView, {
      'PUT /api/stock/s-1': (body: unknown) => body,
    });
    expect(read(wrapper)).toContain('A new thing in stock');
    await wrapper.findAll('input')[0]!.setValue('Clamp 40');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(asked.find(({ method }) => method === 'PUT')?.body).toMatchObject({
      item: { name: 'Clamp 40', kind: 'part', priceMinor: 0 },
    });
  });
  it('shows what may stand in, and the safety sheet of a cleaner', async () => {
    const shown: StockFile = {
      ...file({ kind: 'cleaner', detail: { substance: 'throttle-cleaner' } }),
      standIns: [{ number: 'X-9', fit: 'no', notes: ['two holes'], through: [] }],
    };
    const { wrapper } = await show(StockItemView, { 'GET /api/stock/s-1': shown });
    expect(read(wrapper)).toContain('X-9 does not fit two holes');
    expect(read(wrapper)).toContain('Flash point-20 °C'.replace('point', 'point '));
    expect(read(wrapper)).toContain('The product’s own sheet is not noted yet.');
  });
});

describe('the returns box and reminders', () => {
  it('keeps a unit with its code until it is sent back', async () => {
    const line: ReturnLine = {
      jobId: 'j',
      id: 'r',
      number: 232,
      plate: 'LN 007',
      oldUnit: 'tb',
      oldNumber: 'TM-1',
      failCode: 'F-10',
      failNote: '0.6 mm',
      newNumber: 'TM-2',
      supplier: '',
      warrantyUntil: '2028-05-13',
      at: '',
      sentAt: null,
    };
    const { wrapper, asked } = await show(ReturnsView, {
      'GET /api/returns': { rows: [line], next: null, failCodes: [{ code: 'F-10', count: 1 }] },
      'POST /api/returns/j/r/sent': { ok: true },
    });
    expect(read(wrapper)).toContain('Body warped or cracked, 0.6 mm');
    expect(read(wrapper)).toContain('So far: 1 × body warped or cracked.');
    await press(wrapper, 'Sent back');
    await flushPromises();
    expect(asked.map(({ method, path }) => `${method} ${path}`)).toContain('POST /api/returns/j/r/sent');
  });
  it('reminds of a vehicle until somebody has looked', async () => {
    const row = {
      jobId: 'j',
      id: 'k',
      number: 1,
      vehicleId: 'bus',
      plate: 'TQ 417',
      what: 'Coolant level',
      dueOn: '2020-05-27',
      dueReading: 500,
      readingUnit: 'km',
    };
    const { wrapper, asked } = await show(
      ReminderRows,
      { 'GET /api/reminders?vehicleId=bus': { rows: [row] }, 'POST /api/reminders/j/k/done': { ok: true } },
      { vehicleId: 'bus', title: 'Again' },
    );
    expect(read(wrapper)).toContain('Coolant level due Wednesday 27 May 2020, or at 500 km');
    await press(wrapper, 'Looked at');
    await flushPromises();
    expect(asked.at(-2)).toMatchObject({ method: 'POST', body: { by: 'tomas', note: '' } });
  });
});
