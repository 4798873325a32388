import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { useShop } from '../stores/shop.ts';
import { field, freshShop, press, read, refusal, serve } from '../testing.ts';
import ShopFigures from './ShopFigures.vue';

beforeEach(() => {
  freshShop();
  vi.unstubAllGlobals();
  useShop().settings = {
    shopName: 'Tern Quay Garage',
    currency: 'cr',
    timeZone: 'Europe/London',
    measures: null,
    ratePerHourMinor: 5800,
    dayPriceMinor: 4500,
    comebackMinor: 9000,
    comebackWithin: { days: 90, km: 5000, h: 50 },
  };
});

describe('what the shop says of itself', () => {
  it('is kept with its zone, its gallon and its amounts, as they are typed', async () => {
    const asked = serve({ 'PUT /api/settings': useShop().settings });
    const wrapper = mount(ShopFigures, { props: { mayEdit: true } });
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Labour an hour')).element.value).toBe('58.00');
    expect(read(wrapper)).toContain('2 decimals, as in 12.50');
    await wrapper.find(field(wrapper, 'Where it is')).setValue('Pacific/Auckland');
    expect(read(wrapper)).toMatch(/There it is \w+day \d+ \w+ \d{4}, \d\d:\d\d/);
    await wrapper.find(field(wrapper, 'Labour an hour')).setValue('1,250');
    await press(wrapper, 'Imperial');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(asked.at(-1)?.body).toMatchObject({
      by: 'tomas',
      settings: { timeZone: 'Pacific/Auckland', measures: 'imperial', ratePerHourMinor: 125_000, dayPriceMinor: 4500 },
    });
    expect(wrapper.find('[role="status"]').text()).toBe('Kept.');
  });
  it('says how soon the same complaint is a comeback', async () => {
    const asked = serve({ 'PUT /api/settings': useShop().settings });
    const wrapper = mount(ShopFigures, { props: { mayEdit: true } });
    await wrapper.find(field(wrapper, 'Days')).setValue('soon');
    await wrapper.find('form').trigger('submit');
    expect(asked).toEqual([]);
    await wrapper.find(field(wrapper, 'Days')).setValue('120');
    await wrapper.find(field(wrapper, 'and km')).setValue('7,500 km');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(asked.at(-1)?.body).toMatchObject({ settings: { comebackWithin: { days: 120, km: 7500, h: 50 } } });
  });
  it('counts in whole amounts where the currency has no decimals', async () => {
    const asked = serve({ 'PUT /api/settings': useShop().settings });
    const wrapper = mount(ShopFigures, { props: { mayEdit: true } });
    await wrapper.find(field(wrapper, 'Currency')).setValue('JPY');
    expect(read(wrapper)).toContain('Whole amounts only');
    for (const [label, text] of [
      ['Labour an hour', '5,800'],
      ['A day without', '4500'],
      ['A comeback', '90.50'],
    ] as const)
      await wrapper.find(field(wrapper, label)).setValue(text);
    await wrapper.find('form').trigger('submit');
    expect(asked).toEqual([]);
    expect(wrapper.find('[role="alert"]').text()).toContain('Expected an amount in JPY, zero or more.');
    await wrapper.find(field(wrapper, 'A comeback')).setValue('9000');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(asked.at(-1)?.body).toMatchObject({ settings: { currency: 'JPY', ratePerHourMinor: 5800 } });
  });
  it('says beside its field what the server would not take, and keeps what was typed', async () => {
    serve({
      'PUT /api/settings': refusal(400, 'no', { 'settings.timeZone': 'Expected a time zone such as Europe/London.' }),
    });
    const wrapper = mount(ShopFigures, { props: { mayEdit: true } });
    await wrapper.find(field(wrapper, 'Where it is')).setValue('Tern Quay');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(read(wrapper)).toContain('Expected a time zone such as Europe/London.');
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Where it is')).element.value).toBe('Tern Quay');
  });
  it('is only looked at by who may not change it', () => {
    const wrapper = mount(ShopFigures, { props: { mayEdit: false } });
    expect(wrapper.findAll('button').some((each) => each.text() === 'Keep the figures')).toBe(false);
  });
});
