import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import type { CommandBody } from '../../../../core/job/index.ts';
import { open, pinRich } from '../../../../core/job/testing/world.ts';
import { useJob } from '../../../stores/job.ts';
import { freshShop, press, read, serve, showJob, stubs } from '../../../testing.ts';
import UnitsDone from '../../rebuild/UnitsDone.vue';
import TagsView from './TagsView.vue';
import TrayView from './TrayView.vue';

const off = (itemId: string, pocket = ''): CommandBody => ({
  type: 'remove-item',
  data: { itemId, pocket, label: itemId, countedOut: null },
});
const router = createRouter({
  history: createMemoryHistory(),
  routes: [
    { path: '/jobs/:id/tags', component: { template: '<p />' } },
    { path: '/:rest(.*)*', component: { template: '<p />' } },
  ],
});
const frame = { template: '<div><slot name="head" /><slot /><slot name="why" /></div>' };
const { RouterLink: _, ...others } = stubs;
const global = { plugins: [router], stubs: { ...others, StageFrame: frame } };

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
});

describe('the tray', () => {
  it('shows what lies where, names a pocket, and moves an item in two taps', async () => {
    const { job, sent } = showJob([open, pinRich, off('dashpot', 'A1'), off('screws', 'A2')]);
    const wrapper = mount(TrayView, { global });
    expect(read(wrapper)).toContain('2 pockets in use');
    await wrapper.find('form input').setValue('small things');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toEqual({ type: 'name-pocket', data: { pocket: 'A1', name: 'small things' } });
    await press(wrapper, 'Move it');
    expect(read(wrapper)).toContain('Sample dashpot in hand: tap its pocket.');
    await wrapper.findAll('.pocket')[7]!.trigger('click');
    expect(job().items.find(({ id }) => id === 'dashpot')?.pocket).toBe('B2');
    expect(read(wrapper)).toContain('2 pockets in use');
  });
  it('keeps a name that is half typed when the server answers meanwhile', async () => {
    showJob([open, pinRich]);
    const store = useJob();
    const wrapper = mount(TrayView, { global });
    const name = () => wrapper.find<HTMLInputElement>('form input');
    await name().setValue('small');
    store.confirmed = { ...store.confirmed!, version: store.confirmed!.version + 1 };
    await flushPromises();
    expect(name().element.value).toBe('small');
  });
  it('counts fasteners by length in their pocket, and lists what nobody placed', async () => {
    showJob([open, pinRich, off('screws', 'A2'), off('arm')]);
    const wrapper = mount(TrayView, { global });
    await wrapper.findAll('.pocket')[1]!.trigger('click');
    expect(read(wrapper)).toContain('3 × 25 mm, 1 × 20 mm');
    expect(read(wrapper)).toContain('Off, and nobody said where');
    await press(wrapper, 'Put it somewhere');
    expect(read(wrapper)).toContain('Sample arm in hand');
  });
  it('grows by rows and columns, and says when it cannot', async () => {
    const { job } = showJob([open, pinRich, { type: 'lay-out-tray', data: { rows: 1, columns: 12 } }]);
    const wrapper = mount(TrayView, { global });
    await wrapper.find('[aria-label="One row more"]').trigger('click');
    expect(job().tray.rows).toBe(2);
    await wrapper.find('[aria-label="One column more"]').trigger('click');
    expect(wrapper.find('[role=alert]').text()).toContain('Expected 1 to 12');
  });
});

describe('tags to print', () => {
  it('carry number, name, mark and place of all that comes off', async () => {
    await router.push('/jobs/j/tags');
    showJob([open, pinRich, off('left-plug'), off('dashpot', 'B3')]);
    const wrapper = mount(TagsView, { global });
    const tags = wrapper.findAll('li').map(read);
    expect(tags).toHaveLength(7);
    expect(tags[0]).toContain('1 Sample left-plug left-plug');
    expect(tags[1]).toContain('pocket B3');
    expect(tags.find((tag) => tag.includes('Sample screws'))).toContain('4 × M6×25');
    expect(tags.every((tag) => tag.includes('AB 1 · job 1'))).toBe(true);
  });
});

describe('units on the bench', () => {
  it('are finished one by one, and not listed when there is only one', async () => {
    const one = showJob([open, pinRich, off('unit')]);
    expect(mount(UnitsDone, { props: { job: one.job() }, global }).text()).toBe('');
    const { items } = one.job();
    const two = {
      ...one.job(),
      items: [...items, { ...items.find(({ id }) => id === 'unit')!, id: 'other', name: 'Other unit' }],
    };
    const wrapper = mount(UnitsDone, { props: { job: two }, global });
    expect(wrapper.findAll('li')).toHaveLength(2);
    await press(wrapper, 'Bench work is finished');
    expect(one.sent).toEqual([{ type: 'finish-bench', data: { itemId: 'unit', note: '' } }]);
  });
});
