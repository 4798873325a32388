import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { OptionTerms } from '../../../core/choose/index.ts';
import type { CommandBody } from '../../../core/job/index.ts';
import { open, SAMPLES } from '../../../core/job/testing/samples.ts';
import { useShop } from '../../stores/shop.ts';
import { field, freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import EstimateBlock from './EstimateBlock.vue';

const of = <K extends keyof typeof SAMPLES>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
const terms: OptionTerms[] = [
  { id: 'relearn', partsMinor: 0, consumablesMinor: 0, minutes: 30, daysOff: 0, life: 100_000 },
  { id: 'clean-bench', partsMinor: 700, consumablesMinor: 300, minutes: 120, daysOff: 0, life: 70_000 },
];
beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
  useShop().settings = { ...useShop().settings, shopName: 'Tern Quay Garage', ratePerHourMinor: 6000 };
});
function block(...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  const wrapper = mount(EstimateBlock, { props: { job: shown.job(), terms, way: null }, global: { stubs } });
  return { ...shown, wrapper, renew: () => wrapper.setProps({ job: shown.job() }) };
}
const amountFields = (wrapper: ReturnType<typeof block>['wrapper']) =>
  wrapper
    .findAll('label')
    .filter((each) => each.text().startsWith('Amount of line'))
    .map((each) => wrapper.find<HTMLInputElement>(`#${each.attributes('for')}`));
const amounts = (wrapper: ReturnType<typeof block>['wrapper']): string[] =>
  amountFields(wrapper).map((each) => each.element.value);

describe('the estimate', () => {
  it('is proposed from what was decided, adjusted line by line, and sums up', async () => {
    const { wrapper, sent, renew } = block(of('decide', { choice: 'clean-bench' }));
    expect(amounts(wrapper)).toContain('120.00');
    await press(wrapper, 'Another line');
    await wrapper.findAll('input[aria-label^="Line"]').at(-1)!.setValue('Ferry');
    await amountFields(wrapper).at(-1)!.setValue('dear');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('“Ferry”: expected an amount of money.');
    expect(sent).toEqual([]);
    await amountFields(wrapper).at(-1)!.setValue('15');
    const before = amounts(wrapper).reduce((sum, each) => sum + Math.round(Number(each) * 100), 0);
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({ type: 'make-estimate', data: { choice: 'clean-bench', currency: 'cr' } });
    const { lines, lowMinor, highMinor } = sent[0]?.data as {
      lines: { words: string; minor: number }[];
      lowMinor: number;
      highMinor: number;
    };
    expect(lines.reduce((sum, { minor }) => sum + minor, 0)).toBe(before);
    expect(lines.at(-1)).toEqual({ words: 'Ferry', minor: 1500 });
    expect(lowMinor).toBeLessThanOrEqual(before);
    expect(highMinor).toBeGreaterThanOrEqual(before);
    await renew();
    // The page is made of what is saved; the estimate still waits to be sent.
    expect(wrapper.find('a[href$="estimate.pdf"]').exists()).toBe(false);
    expect(read(wrapper)).toContain('A4 page, once all is saved');
    expect(read(wrapper)).toContain('Tern Quay Garage');
  });
  it('keeps the owner’s answer, up to an amount only with the amount', async () => {
    const { wrapper, sent, renew } = block(of('decide'), of('make-estimate'));
    expect(wrapper.find('a[href$="estimate.pdf"]').attributes('target')).toBe('_blank');
    await press(wrapper, 'Up to an amount');
    const form = wrapper.find('form');
    await form.trigger('submit');
    expect(sent).toEqual([]);
    expect(wrapper.find(field(wrapper, 'Up to, cr')).attributes('aria-invalid')).toBe('true');
    await wrapper.find(field(wrapper, 'Up to, cr')).setValue('40');
    await wrapper.find(field(wrapper, 'How')).setValue('telephone');
    await form.trigger('submit');
    expect(sent[0]).toMatchObject({
      type: 'answer-estimate',
      data: { answer: 'up to', limitMinor: 4000, who: 'Nurse', how: 'telephone' },
    });
    await renew();
    expect(read(wrapper)).toContain('Approved up to 40.00 cr by Nurse, telephone');
    expect(wrapper.find('form').exists()).toBe(false);
  });
  it('is made anew when the owner said no', async () => {
    const { wrapper, renew } = block(of('decide'), of('make-estimate'));
    await press(wrapper, 'No');
    await wrapper.find('form').trigger('submit');
    await renew();
    expect(read(wrapper)).toContain('Declined by Nurse');
    expect(read(wrapper)).toContain('Make the estimate');
  });
});
