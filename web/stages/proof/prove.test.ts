import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../core/job/index.ts';
import { afloat, open, SAMPLES } from '../../../core/job/testing/samples.ts';
import { field, freshShop, press, read, showJob, stubs } from '../../testing.ts';
import BandLine from './BandLine.vue';
import ProveStage from './ProveStage.vue';

const StageFrame = { template: '<div><slot /><aside><slot name="why" /></aside></div>' };
const global = { stubs: { ...stubs, StageFrame, SourceNote: true } };
const idle = (when: 'before' | 'after', value: number): CommandBody => ({
  type: 'take-measurement',
  data: { id: `${when}-${value}`, kind: 'idle-rpm', when, value },
});
const of = <K extends keyof typeof SAMPLES>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
function stage(...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  return { ...shown, wrapper: mount(ProveStage, { global }) };
}

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  vi.stubGlobal('fetch', () => new Promise<never>(() => undefined));
});

describe('proving', () => {
  it('draws before and after on one line with the band, and says which is which', () => {
    const { job } = stage(idle('before', 900), idle('after', 1300));
    const wrapper = mount(BandLine, { props: { job: job(), kind: 'idle-rpm' }, global });
    const drawing = wrapper.find('svg');
    expect(drawing.attributes('aria-label')).toContain('band 1200 to 1400 rpm, before 900, after 1300');
    const [before, after] = wrapper.findAll('circle').map((each) => Number(each.attributes('cx')));
    const band = wrapper.find('rect');
    const left = Number(band.attributes('x'));
    const right = left + Number(band.attributes('width'));
    expect(before).toBeLessThan(left);
    expect(after).toBeGreaterThan(left);
    expect(after).toBeLessThan(right);
    expect(wrapper.findAll('circle')[1]!.attributes('fill')).toBe('var(--moss)');
  });
  it('has no line for what has no band or was not measured', () => {
    const { job } = stage();
    expect(
      mount(BandLine, { props: { job: job(), kind: 'idle-rpm' }, global })
        .find('svg')
        .exists(),
    ).toBe(false);
    const valve = stage({
      ...idle('after', 30),
      data: { id: 'v', kind: 'valve-duty', when: 'after', value: 30 },
    } as CommandBody);
    expect(
      mount(BandLine, { props: { job: valve.job(), kind: 'valve-duty' }, global })
        .find('svg')
        .exists(),
    ).toBe(false);
  });
  it('keeps a figure when its field is left, and refuses what is no number', async () => {
    const { wrapper, sent } = stage();
    const input = wrapper.find(field(wrapper, 'Idle speed'));
    await input.setValue('fast');
    await input.trigger('blur');
    expect(read(wrapper)).toContain('got “fast”');
    await input.setValue('about 1,250');
    await input.trigger('blur');
    expect(sent).toMatchObject([
      { type: 'take-measurement', data: { when: 'after', value: 1250, typed: 'about 1,250' } },
    ]);
    expect(read(wrapper)).toContain('1250');
  });
  it('takes good by a tap, and what is not good only with words', async () => {
    const { wrapper, sent, job } = stage();
    await press(wrapper, 'Good');
    expect(sent[0]).toMatchObject({ type: 'record-proof', data: { result: 'good' } });
    await press(wrapper, 'Not good');
    const form = wrapper.findAll('form').find((each) => each.text().includes('What was wrong?'))!;
    await form.trigger('submit');
    expect(sent).toHaveLength(1);
    await form.find('input').setValue('hisses at the flange');
    await form.trigger('submit');
    expect(job().proofs.at(-1)).toMatchObject({ result: 'bad', note: 'hisses at the flange' });
    expect(read(wrapper)).toContain('hisses at the flange');
  });
  it('reads codes after: one that came back, or none', async () => {
    const { wrapper, job } = stage();
    const code = wrapper.find(field(wrapper, 'A code that came back'));
    await code.setValue('505');
    const form = wrapper.findAll('form').find((each) => each.text().includes('A code that came back'))!;
    await form.trigger('submit');
    expect(job().codes).toEqual([]);
    expect(wrapper.find('[aria-invalid="true"]').exists()).toBe(true);
    await code.setValue('p0505');
    await form.trigger('submit');
    expect(job().codes.map(({ code: each, when }) => [each, when])).toEqual([['P0505', 'after']]);
    await press(wrapper, 'That is all');
    expect(job().codesRead.after).not.toBeNull();
  });
  it('says that none was stored', () => {
    expect(read(stage(of('read-codes-out')).wrapper)).toContain('Read: none stored.');
  });
});

describe('the proof line by line', () => {
  const symptom: CommandBody = { type: 'note-symptom', data: { id: 's', text: 'hunts' } };
  it('takes gone by a tap under the condition that is picked, and what is not only with words', async () => {
    const { wrapper, sent, job } = stage(symptom);
    const pick = (name: string) =>
      wrapper
        .findAll('[role="radio"]')
        .find((each) => each.text() === name)!
        .trigger('click');
    await pick('warm');
    await pick('on the road');
    await press(wrapper, 'Gone');
    expect(sent.at(-1)).toMatchObject({
      type: 'try-line',
      data: { line: 'symptom:s', verdict: 'gone', state: 'warm', place: 'road' },
    });
    expect(read(wrapper)).toContain('warm, on the road');
    expect(read(wrapper)).toContain('Proved');
    await press(wrapper, 'Still there');
    const form = wrapper.findAll('form').find((each) => each.text().includes('What did it do?'))!;
    await form.trigger('submit');
    expect(read(wrapper)).toContain('Say what it did.');
    await form.find('input').setValue('3 times in 10');
    await form.trigger('submit');
    expect(job().tried).toMatchObject([{ verdict: 'still there', came: '3 times in 10' }]);
    expect(read(wrapper)).toContain('Not proved: one came out wrong');
  });
  it('keeps something of one’s own, and what the tool said', async () => {
    const { wrapper, job } = stage();
    await press(wrapper, 'Lamp stays off');
    await wrapper
      .findAll('form')
      .find((each) => each.text().includes('Something else tried'))!
      .trigger('submit');
    expect(job().tried).toMatchObject([{ words: 'Lamp stays off', verdict: 'good' }]);
    await wrapper.find(field(wrapper, 'Something else tried')).setValue('idle with the lights');
    await press(wrapper, 'Not right');
    expect(job().tried).toHaveLength(1);
    await wrapper.find(field(wrapper, 'What it did')).setValue('sags to 600');
    await press(wrapper, 'Not right');
    expect(job().tried).toHaveLength(2);
    await wrapper.find(field(wrapper, 'What the maker’s tool shows')).setValue('Throttle adaptation');
    const tool = wrapper.findAll('form').find((each) => each.text().includes('maker’s tool'))!;
    await tool.trigger('submit');
    expect(read(wrapper)).toContain('What did the tool say?');
    await wrapper.find(field(wrapper, 'What it says')).setValue('learned');
    await tool.trigger('submit');
    expect(job().toolSays).toMatchObject([{ what: 'Throttle adaptation', said: 'learned', when: 'after' }]);
  });
  it('asks how far it was driven once codes were cleared', async () => {
    const { wrapper, job } = stage(of('clear-codes'), of('end-clearing'));
    const driven = wrapper.find(field(wrapper, 'Driven since cleared'));
    await driven.setValue('far');
    await press(wrapper, 'Read: none stored');
    expect(job().codesRead.after).toBeNull();
    await driven.setValue('12');
    await press(wrapper, 'Read: none stored');
    expect(job().codesRead.after).toMatchObject({ driven: { value: 12, unit: 'km' } });
    expect(read(wrapper)).toContain('driven 12 km since they were cleared');
  });
  it('has room for trims, air and a second track', async () => {
    const { wrapper, sent } = stage();
    expect(read(wrapper)).not.toContain('Long trim');
    await press(wrapper, 'Trims, air, second track, steps …');
    const trim = wrapper.find(field(wrapper, 'Long trim at idle'));
    await trim.setValue('-1.6');
    await trim.trigger('blur');
    expect(sent.at(-1)).toMatchObject({ type: 'take-measurement', data: { kind: 'long-trim', value: -1.6 } });
  });
});

describe('an outboard', () => {
  it('is proved where it runs: on the hose, in the tank or on the water', async () => {
    const { wrapper, sent } = (() => {
      const shown = showJob([afloat, { type: 'give-water', data: { how: 'muffs' } }]);
      return { ...shown, wrapper: mount(ProveStage, { global }) };
    })();
    await wrapper
      .findAll('[role="radio"], input[type="radio"]')
      .find((each) => (each.element.closest('label')?.textContent ?? each.text()).includes('on the water'))!
      .trigger('click');
    await wrapper.find('#driven ~ ul li button').trigger('click');
    expect(sent.at(-1)).toMatchObject({ type: 'record-proof', data: { result: 'good', place: 'water' } });
    expect(read(wrapper)).toContain('on the water');
  });
  it('is the only one that is asked', () => {
    expect(read(stage().wrapper)).not.toContain('in the tank');
  });
});
