import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../core/job/index.ts';
import { off, open, pin, SAMPLES } from '../../../core/job/testing/samples.ts';
import { useShop } from '../../stores/shop.ts';
import { field, freshShop, press, read, showJob, stubs } from '../../testing.ts';
import HandOverStage from './HandOverStage.vue';

const StageFrame = { template: '<div><slot name="head" /><slot /><aside><slot name="why" /></aside></div>' };
const global = { stubs: { ...stubs, StageFrame } };
const of = <K extends keyof typeof SAMPLES>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
function stage(...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  return { ...shown, wrapper: mount(HandOverStage, { global }) };
}

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  vi.stubGlobal('fetch', () => new Promise<never>(() => undefined));
  const shop = useShop();
  shop.settings = { ...shop.settings, shopName: 'Tern Quay Garage', ratePerHourMinor: 6000 };
});

describe('handing over', () => {
  it('shows the sheet, what it costs by the minutes typed, and closes', async () => {
    const { wrapper, sent, job } = stage(of('decide'), of('use-part'), of('weigh-can', { priceMinor: 250 }));
    expect(read(wrapper)).toContain('Tern Quay Garage');
    expect(read(wrapper)).toContain('AB 1');
    const part = job().parts[0]!;
    await wrapper.find(field(wrapper, 'Labour, minutes')).setValue('30');
    expect(read(wrapper)).toContain('Labour 30.00 cr');
    expect(read(wrapper)).toContain(`Total ${((3000 + part.priceMinor * part.quantity + 250) / 100).toFixed(2)} cr`);
    await wrapper.find(field(wrapper, 'Next due')).setValue('30000 km');
    await wrapper.find('form').trigger('submit');
    expect(sent).toMatchObject([
      { type: 'hand-over', data: { labourMinutes: 30, nextDue: { value: 30_000, unit: 'km' }, currency: 'cr' } },
    ]);
    expect(read(wrapper)).toContain('Handed over');
  });
  it('says beside the field what cannot be read, and keeps it', async () => {
    const { wrapper, sent } = stage();
    await wrapper.find(field(wrapper, 'Labour, minutes')).setValue('long');
    await wrapper.find(field(wrapper, 'Next due')).setValue('spring');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('got “long”');
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Next due')).element.value).toBe('spring');
    expect(wrapper.findAll('[aria-invalid="true"]')).toHaveLength(2);
    expect(sent).toEqual([]);
  });
  it('says what holds the engine and where the record has gaps', () => {
    const { wrapper } = stage(pin, off('body'));
    expect(read(wrapper)).toContain('Engine held');
    expect(read(wrapper)).toMatch(/\d+ gaps in the record/);
    expect(read(wrapper)).toContain('Let it write the procedure');
  });
  it('opens again only with a reason', async () => {
    const { wrapper, sent, job } = stage(of('decide'), of('hand-over'));
    await press(wrapper, 'Open it again');
    await wrapper.find('form').trigger('submit');
    expect(sent).toEqual([]);
    expect(wrapper.find('[aria-invalid="true"]').exists()).toBe(true);
    await wrapper.find(field(wrapper, 'Open it again because')).setValue('came back hunting');
    await wrapper.find('form').trigger('submit');
    expect(job().status).toBe('open');
  });
});
