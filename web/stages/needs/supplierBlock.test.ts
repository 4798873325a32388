import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Offer } from '../../../core/supplier/index.ts';
import { freshShop, press, read, refusal, serve, showJob, stubs } from '../../testing.ts';
import { open, pin } from '../../../core/job/testing/samples.ts';
import { useJob } from '../../stores/job.ts';
import SupplierBlock from './SupplierBlock.vue';

beforeEach(() => freshShop());
const part = (needId: string, partNumber: string, expected: string | null = null) => ({
  needId,
  partNumber,
  name: `Part ${needId}`,
  expected,
});
const offer = (partNumber: string, more: Partial<Offer> = {}): Offer => ({
  partNumber,
  name: 'x',
  kind: 'new',
  priceMinor: 1000,
  currency: 'cr',
  depositMinor: 0,
  inStock: 2,
  expected: '2026-05-15',
  ...more,
});
async function show(missing: ReturnType<typeof part>[], replies: object = {}) {
  const asked = serve(replies as Record<string, unknown>);
  const { job } = showJob([open, pin]);
  vi.spyOn(useJob(), 'load').mockResolvedValue();
  const wrapper = mount(SupplierBlock, { props: { job: job(), missing }, global: { stubs } });
  await flushPromises();
  return { wrapper, asked };
}
const OFFERS = {
  reached: true,
  offers: [
    offer('U-1', { priceMinor: 20_000, expected: '2026-05-16' }),
    offer('U-1', { kind: 'rebuilt', priceMinor: 12_000, depositMinor: 4000, expected: '2026-05-18', inStock: 0 }),
    offer('G-1', { priceMinor: 600 }),
  ],
};

describe('missing parts and the supplier', () => {
  it('are asked for, picked and ordered, for what was offered; what is on its way is not asked for again', async () => {
    const { wrapper, asked } = await show(
      [part('u', 'U-1'), part('g', 'G-1'), part('way', 'W-1', '2026-05-20'), part('none', '')],
      {
        'GET /api/supplier/offers': OFFERS,
        'POST /api/supplier/orders': {
          orderId: 'S-9',
          deliveries: [{}, {}],
          totalMinor: 21_000,
          currency: 'cr',
          dearerMinor: 400,
          withoutDay: ['G-1'],
        },
      },
    );
    await press(wrapper, 'Ask for 2 parts');
    await flushPromises();
    expect(asked.at(-1)?.path).toBe('/api/supplier/offers?number=U-1&number=G-1');
    expect(read(wrapper)).toMatch(
      /rebuilt ?120\.00 cr ?here .*18 May, not in stock there, deposit 40\.00 cr on the old unit/,
    );
    expect(read(wrapper)).toContain('Order for 206.00 cr');
    await wrapper.findAll('input[type="radio"]')[1]!.setValue(true);
    expect(read(wrapper)).toContain('Order for 166.00 cr');
    await press(wrapper, 'Order for');
    await flushPromises();
    expect(asked.at(-1)?.body).toMatchObject({
      jobId: 'j',
      agreedMinor: 16_600,
      lines: [
        { needId: 'u', partNumber: 'U-1', kind: 'rebuilt', quantity: 1 },
        { needId: 'g', partNumber: 'G-1', kind: 'new', quantity: 1 },
      ],
    });
    expect(read(wrapper)).toContain(
      'Ordered as S-9, in 2 deliveries. It is 4.00 cr dearer than was offered: call them. No day is known of G-1: ask.',
    );
  });
  it('say that the supplier cannot be asked, or knows no such number', async () => {
    const { wrapper } = await show([part('u', 'U-1')], {
      'GET /api/supplier/offers': { reached: false, words: 'No supplier is connected to this shop.', offers: [] },
    });
    await press(wrapper, 'Ask for one part');
    await flushPromises();
    expect(read(wrapper)).toContain('No supplier is connected to this shop.');
    const unknown = await show([part('u', 'U-1')], { 'GET /api/supplier/offers': { reached: true, offers: [] } });
    await press(unknown.wrapper, 'Ask for');
    await flushPromises();
    expect(read(unknown.wrapper)).toContain('The supplier does not know this number.');
    expect(read(unknown.wrapper)).not.toContain('Order for');
  });
  it('keep what was picked when the order is not taken', async () => {
    const { wrapper } = await show([part('g', 'G-1')], {
      'GET /api/supplier/offers': OFFERS,
      'POST /api/supplier/orders': refusal(503, 'The supplier cannot be reached.'),
    });
    await press(wrapper, 'Ask for');
    await flushPromises();
    await press(wrapper, 'Order for');
    await flushPromises();
    expect(wrapper.find('[role="alert"]').text()).toContain('The supplier cannot be reached.');
    expect(read(wrapper)).toContain('Order for 6.00 cr');
  });
  it('are nothing to speak of where nothing is missing', async () => {
    expect((await show([part('way', 'W-1', '2026-05-20')])).wrapper.find('section').exists()).toBe(false);
  });
});
