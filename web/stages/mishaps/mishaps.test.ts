import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { cautionsFor, MISHAPS } from '../../../core/job/index.ts';
import { open, SAMPLE_VEHICLE } from '../../../core/job/testing/samples.ts';
import { useShop } from '../../stores/shop.ts';
import { field, freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import RuleLines from '../house/RuleLines.vue';
import MishapSheet from './MishapSheet.vue';

const SheetDialog = { props: ['title'], template: '<div><h2>{{ title }}</h2><slot /></div>' };
const global = { stubs: { ...stubs, SheetDialog, PutRight: true } };
beforeEach(() => {
  freshShop();
  serve({});
});

describe('a mishap', () => {
  it('says two lines first, then keeps the record', async () => {
    const { job, sent } = showJob([open]);
    const wrapper = mount(MishapSheet, { props: { job: job() }, global });
    expect(wrapper.text()).not.toContain('Rinse');
    await press(wrapper, 'Something in the eye');
    for (const line of MISHAPS.eye.now) expect(read(wrapper)).toContain(line);
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Say in a line what happened.');
    await wrapper.find(field(wrapper, 'What happened, when')).setValue('a drop of cleaner');
    await wrapper.find(field(wrapper, 'To whom')).setValue('Wen');
    await wrapper.find('form').trigger('submit');
    await wrapper.setProps({ job: job() });
    expect(sent).toMatchObject([{ type: 'note-mishap', data: { kind: 'eye', whom: 'Wen' } }]);
    expect(read(wrapper)).toContain('a drop of cleaner');
    expect(job().last?.words).toBe('Mishap: something in the eye');
  });
  it('has two short lines of every kind, and each says whom to ask or where to look', () => {
    for (const { now } of Object.values(MISHAPS)) {
      expect(now).toHaveLength(2);
      for (const line of now) expect(line.length).toBeLessThan(110);
    }
  });
});

describe('cautions that a vehicle calls for', () => {
  const vehicle = (throttle: 'cable' | 'electronic' | 'diesel-flap') => ({
    vehicle: { ...SAMPLE_VEHICLE, throttle, units: [] },
  });
  it('warn of a driven plate wherever fingers go', () => {
    for (const stage of ['diagnose', 'inspect', 'clean'] as const) {
      expect(cautionsFor(vehicle('electronic'), stage)).toContain('plate');
      expect(cautionsFor(vehicle('cable'), stage)).toEqual([]);
    }
    expect(cautionsFor(vehicle('electronic'), 'refit')).toEqual([]);
    expect(cautionsFor(vehicle('diesel-flap'), 'clean')).toEqual(['plate', 'diesel-spray']);
  });
});

describe('the house rules at a stage', () => {
  it('are left on this job with why, and stand as left', async () => {
    useShop().rules = { gasket: 'renew', grease: 'silicone-grease' };
    const { job, sent } = showJob([open]);
    const wrapper = mount(RuleLines, { props: { job: job(), stage: 'rebuild' }, global });
    expect(read(wrapper)).toContain('Renew it, dry');
    await wrapper.find('button[aria-label="Not on this job: What about the gasket?"]').trigger('click');
    await wrapper.find('select').setValue('reuse');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Say why this job departs');
    await wrapper.find(field(wrapper, 'Because')).setValue('none to be had before Monday');
    await wrapper.find('form').trigger('submit');
    await wrapper.setProps({ job: job() });
    expect(sent).toMatchObject([{ data: { question: 'gasket', taken: 'reuse' } }]);
    expect(read(wrapper)).toContain('Reuse it if proud and unmarked on this job: none to be had before Monday');
  });
  it('say nothing where the house has said nothing', () => {
    const { job } = showJob([open]);
    expect(mount(RuleLines, { props: { job: job(), stage: 'clean' }, global }).text()).toBe('');
  });
});
