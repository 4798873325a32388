import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../core/job/index.ts';
import { open, SAMPLES } from '../../../core/job/testing/samples.ts';
import { field, freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import CodesEntry from './CodesEntry.vue';
import ReadingLine from './ReadingLine.vue';

const of = <K extends keyof typeof SAMPLES>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
});
function entry(component: typeof CodesEntry | typeof ReadingLine, ...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  const wrapper = mount(component, {
    props: { job: shown.job() },
    global: { stubs: { ...stubs, AdapterPanel: { template: '<p>the adapter</p>' } } },
  });
  return { ...shown, wrapper, renew: () => wrapper.setProps({ job: shown.job() }) };
}

describe('codes', () => {
  it('are explained as they are typed, and refused when they are none', async () => {
    const { wrapper, sent, renew } = entry(CodesEntry);
    await press(wrapper, 'Type a code');
    const code = wrapper.find(field(wrapper, 'Code'));
    await code.setValue('P1505');
    expect(read(wrapper)).toMatch(/Maker’s own, /);
    await code.setValue('5050');
    await wrapper.find('form').trigger('submit');
    expect(sent).toEqual([]);
    expect(code.attributes('aria-invalid')).toBe('true');
    await code.setValue('p0505');
    await press(wrapper, 'pending');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({ type: 'read-code', data: { code: 'p0505', status: 'pending', when: 'before' } });
    await renew();
    expect(read(wrapper)).toContain('P0505');
    await press(wrapper, 'That is all of them');
    expect(sent.at(-1)).toMatchObject({ type: 'read-codes-out', data: { when: 'before' } });
  });
  it('are picked out of a printout, each once', async () => {
    const { wrapper, job } = entry(CodesEntry, of('read-code'));
    await press(wrapper, 'Paste a printout');
    const text = wrapper.find(field(wrapper, 'The printout'));
    await text.setValue('nothing to see');
    expect(read(wrapper)).toContain('No code found in this text.');
    await text.setValue('P0505 idle air control\nP0171 pending');
    expect(read(wrapper)).toContain('noted already');
    await press(wrapper, 'Take all 2');
    await wrapper.find('form').trigger('submit');
    expect(job().codes.map(({ code, status }) => [code, status])).toEqual([
      ['P0505', 'stored'],
      ['P0171', 'pending'],
    ]);
  });
  it('can be read from the vehicle, or be none', async () => {
    const { wrapper, sent, renew } = entry(CodesEntry);
    await press(wrapper, 'Read the vehicle');
    expect(read(wrapper)).toContain('the adapter');
    await press(wrapper, 'Read: none stored');
    await renew();
    expect(sent.map(({ type }) => type)).toEqual(['read-codes-out']);
    expect(read(wrapper)).toContain('Read: none stored.');
  });
});

describe('the reading', () => {
  it('is corrected with a word when it runs backwards', async () => {
    const { wrapper, sent, renew } = entry(ReadingLine);
    expect(read(wrapper)).toContain('10 km');
    await press(wrapper, 'Correct the reading');
    const reading = wrapper.find(field(wrapper, 'Reading'));
    await reading.setValue('ten');
    await wrapper.find('form').trigger('submit');
    expect(sent).toEqual([]);
    expect(reading.attributes('aria-invalid')).toBe('true');
    await reading.setValue('148 220 km');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({ type: 'correct-reading', data: { reading: { value: 148_220, unit: 'km' } } });
    await renew();
    expect(wrapper.find('form').exists()).toBe(false);
    expect(read(wrapper)).toMatch(/148.?220 km/);
  });
});
