import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { freshShop, press, read, serve, stubs } from '../../testing.ts';
import AskPrices from './AskPrices.vue';

beforeEach(() => freshShop());
const ways = [
  { way: 'replace', option: 'replace', partNumber: 'U-1', units: 2 },
  { way: 'replace-used', option: 'replace-used', partNumber: 'U-1', units: 2 },
] as const;
const offer = { partNumber: 'u 1', name: 'x', kind: 'new', priceMinor: 20_000, currency: 'cr', depositMinor: 4000, inStock: 1, expected: '2099-05-16' }; // prettier-ignore
const show = (reply: object) => {
  serve({ 'GET /api/supplier/offers': reply });
  return mount(AskPrices, { props: { ways, name: (way: string) => `Way ${way}` }, global: { stubs } });
};

describe('prices that nobody has given', () => {
  it('are asked of the supplier, and taken one by one', async () => {
    const wrapper = show({ reached: true, words: '', offers: [offer] });
    await press(wrapper, 'Ask the supplier for 2 prices');
    await flushPromises();
    expect(read(wrapper)).toMatch(/Way replace ?here .*, deposit 40\.00 cr on the old unit ?400\.00 cr/);
    expect(read(wrapper)).toContain('No price in cr for: way replace-used.');
    expect(wrapper.emitted('take')).toBeUndefined();
    await press(wrapper, 'Take it');
    expect(wrapper.emitted('take')?.[0]?.[0]).toMatchObject({ way: 'replace', partsMinor: 40_000 });
  });
  it('come from a price list where nobody answers, and say so', async () => {
    const wrapper = show({
      reached: false,
      words: 'The supplier cannot be reached.',
      offers: [{ ...offer, expected: null, list: { supplier: 'Skerry Parts', day: '2026-05-12' } }],
    });
    await press(wrapper, 'Ask the supplier');
    await flushPromises();
    expect(read(wrapper)).toContain('The supplier cannot be reached.');
    expect(read(wrapper)).toContain('no day said, deposit 40.00 cr on the old unit, by the list of Skerry Parts, Tuesday 12 May'); // prettier-ignore
  });
  it('are not spoken of where every way has one', () => {
    const wrapper = mount(AskPrices, { props: { ways: [], name: String }, global: { stubs } });
    expect(wrapper.text()).toBe('');
  });
});
