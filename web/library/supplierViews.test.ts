import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import type { OnOrderLine } from '../../contract/index.ts';
import { field, freshShop, press, read, refusal, serve, stubs } from '../testing.ts';
import ArrivalsView from './ArrivalsView.vue';
import PriceListsView from './PriceListsView.vue';

beforeEach(() => freshShop());
const line = (jobId: string, more: Partial<OnOrderLine> = {}): OnOrderLine => ({
  jobId,
  number: 231,
  plate: 'OT 551',
  needId: 'n',
  name: 'Dashpot',
  partNumber: 'OT-20-1142',
  quantity: 1,
  expected: '2026-05-12',
  ...more,
});
const onOrder = (...rows: OnOrderLine[]) => ({ today: '2026-05-13', rows, next: null });

describe('what arrived', () => {
  async function show(replies: object) {
    const asked = serve(replies as Record<string, unknown>);
    const wrapper = mount(ArrivalsView, { global: { stubs }, attachTo: document.body });
    await flushPromises();
    const scan = async (code: string): Promise<void> => {
      await wrapper.find('input').setValue(code);
      await wrapper.find('form').trigger('submit');
      await flushPromises();
      await flushPromises();
    };
    return { wrapper, asked, scan };
  }
  it('is booked for the one job that waits for it, and the field is ready for the next', async () => {
    const { wrapper, asked, scan } = await show({
      'GET /api/on-order': onOrder(line('j')),
      'GET /api/on-order?code=OT+20+1142': onOrder(line('j')),
      'POST /api/jobs/j/commands': { jobId: 'j', version: 4, events: [], repeated: false },
    });
    expect(read(wrapper)).toMatch(
      /Dashpot ?OT-20-1142.*job 231, OT 551 ?waits for it.*should have come Tuesday 12 May/,
    );
    expect(document.activeElement).toBe(wrapper.find('input').element);
    await scan('OT 20 1142');
    expect(asked.find(({ method }) => method === 'POST')?.body).toMatchObject({
      type: 'tick-need',
      data: { needId: 'n', state: 'ready', expected: null },
      by: 'tomas',
    });
    expect(read(wrapper)).toContain('Dashpot is here for job 231, OT 551.');
    expect((wrapper.find('input').element as HTMLInputElement).value).toBe('');
    wrapper.unmount();
  });
  it('asks whose it is where several jobs wait, books nothing before, and says when none does', async () => {
    const two = onOrder(line('j'), line('k', { number: 235, plate: 'VF 12', expected: null }));
    const { wrapper, asked, scan } = await show({
      'GET /api/on-order': two,
      'GET /api/on-order?code=OT-20-1142': two,
      'GET /api/on-order?code=X': onOrder(),
      'GET /api/on-order?code=4006381333932': refusal(400, 'The check digit should be 1, got 2: scan again.'),
      'POST /api/jobs/k/commands': { jobId: 'k', version: 4, events: [], repeated: false },
    });
    await scan('OT-20-1142');
    expect(read(wrapper)).toContain('Several jobs wait for it. Whose is it?');
    expect(asked.some(({ method }) => method === 'POST')).toBe(false);
    await press(wrapper, 'Dashpot for VF 12');
    await flushPromises();
    expect(asked.find(({ method }) => method === 'POST')?.path).toBe('/api/jobs/k/commands');
    await scan('X');
    expect(read(wrapper.find('[role="alert"]'))).toContain('No job waits for “X”.');
    await scan('4006381333932');
    expect(read(wrapper.find('[role="alert"]'))).toContain('scan again');
    expect((wrapper.find('input').element as HTMLInputElement).value).toBe('4006381333932');
    wrapper.unmount();
  });
});

describe('price lists', () => {
  const row = { id: 'l', supplier: 'Skerry Parts', currency: 'cr', takenAt: '2026-05-12T10:00:00.000Z', takenBy: 'isla', parts: 2 }; // prettier-ignore
  async function show(replies: object) {
    const asked = serve(replies as Record<string, unknown>);
    const wrapper = mount(PriceListsView, { global: { stubs } });
    await flushPromises();
    const pick = async (): Promise<void> => {
      const input = wrapper.find<HTMLInputElement>('input[type="file"]');
      Object.defineProperty(input.element, 'files', {
        value: [new File(['part number,price'], 'l.csv')],
        configurable: true,
      });
      await input.trigger('change');
      await flushPromises();
      await flushPromises();
    };
    return { wrapper, asked, pick };
  }
  it('are taken in under their supplier; without one it is asked for', async () => {
    const { wrapper, asked, pick } = await show({
      'GET /api/price-lists': { rows: [row] },
      'POST /api/price-lists': { taken: 2, problems: [] },
      'DELETE /api/price-lists/l': { ok: true },
    });
    expect(read(wrapper)).toMatch(/Skerry Parts ?2 parts, cr/);
    await pick();
    expect(read(wrapper)).toContain('Whose list is it?');
    expect(asked.some(({ method }) => method === 'POST')).toBe(false);
    await wrapper.find(field(wrapper, 'Supplier')).setValue('Skerry Parts');
    await pick();
    expect(asked.find(({ method }) => method === 'POST')?.path).toContain('supplier=Skerry+Parts&by=tomas');
    expect(read(wrapper)).toContain('2 prices taken in.');
    await press(wrapper, 'Throw away');
    await flushPromises();
    expect(asked.some(({ method, path }) => method === 'DELETE' && path.startsWith('/api/price-lists/l'))).toBe(true);
  });
  it('with bad lines name them, and the good ones can be taken alone', async () => {
    const { wrapper, asked, pick } = await show({
      'GET /api/price-lists': { rows: [] },
      'POST /api/price-lists': refusal(400, '1 of 2 lines cannot be read; nothing was taken in.', { 'line 3': '“cheap” is no price.' }), // prettier-ignore
    });
    await wrapper.find(field(wrapper, 'Supplier')).setValue('S');
    await pick();
    expect(read(wrapper)).toMatch(/nothing was taken in\. ?line 3: “cheap” is no price\./);
    await press(wrapper, 'Take the good lines in');
    await flushPromises();
    expect(asked.at(-1)?.path).toContain('good=1');
  });
});
