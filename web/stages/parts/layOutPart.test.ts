import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { PART_FORMS } from '../../../core/clean/index.ts';
import { pointsFor } from '../../../core/inspect/index.ts';
import { item, off, open } from '../../../core/job/testing/world.ts';
import { field, freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import { stopAt } from '../inspection/stops.ts';
import LayOutPart from './LayOutPart.vue';

const global = { stubs: { ...stubs, PutRight: true } };
beforeEach(() => {
  freshShop();
  serve({});
});

describe('another part on the bench', () => {
  it('is laid out by what it is and where it goes; a second of the same name says where', async () => {
    const { job, sent } = showJob([open]);
    const wrapper = mount(LayOutPart, { props: { job: job() }, global });
    await press(wrapper, 'Another part on the bench');
    await wrapper.find(field(wrapper, 'Goes to')).setValue('cylinder 3');
    await wrapper.find('form').trigger('submit');
    await wrapper.setProps({ job: job() });
    expect(read(wrapper)).toContain('Injector, cylinder 3');
    await wrapper.find('select').setValue('breather');
    await wrapper.find('form').trigger('submit');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('There is a breather valve already: say where this one goes.');
    expect(sent).toHaveLength(2);
  });
  it('has a place on the drawing for each stop of its walk', () => {
    for (const form of PART_FORMS)
      for (const { id } of pointsFor(form)) expect([form, id, stopAt(form, id)]).not.toContain(null);
  });
});

describe('one of those that came off', () => {
  it('is picked from the list, and takes its name', async () => {
    const { job, sent } = showJob([open, { type: 'add-item', data: { item: item('pipe') } }, off('pipe')]);
    const wrapper = mount(LayOutPart, { props: { job: job() }, global });
    await press(wrapper, 'Another part on the bench');
    await wrapper.find('select').setValue('hose');
    await wrapper.findAll('select')[1]!.setValue('pipe');
    await wrapper.find('form').trigger('submit');
    expect(sent.at(-1)).toMatchObject({ data: { form: 'hose', name: 'Sample pipe', itemId: 'pipe' } });
    await wrapper.setProps({ job: job() });
    expect(wrapper.findAll('select')).toHaveLength(1);
  });
});
