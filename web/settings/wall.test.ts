import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { useShop } from '../stores/shop.ts';
import { field, freshShop, press, read, refusal, serve } from '../testing.ts';
import PeopleRows from './PeopleRows.vue';
import ToolRows from './ToolRows.vue';
import TradeFigures from './TradeFigures.vue';

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
});

describe('other tools', () => {
  const meter = {
    id: 't',
    name: 'Refractometer',
    place: 'wall',
    range: '−50 to 0 °C',
    calibratedOn: '2020-01-02',
    calibrationMonths: 12,
  };
  it('are listed with when they are due, added, changed and taken off', async () => {
    useShop().tools = [meter];
    const asked = serve({
      'DELETE /api/tools/t': { tools: [] },
      'PUT /api/tools/t': { tools: [{ ...meter, place: 'drawer' }] },
    });
    const wrapper = mount(ToolRows, { props: { mayEdit: true } });
    expect(read(wrapper)).toContain('check overdue since');
    await press(wrapper, 'Change');
    await wrapper.find(field(wrapper, 'Where it hangs')).setValue('drawer');
    await wrapper.find(field(wrapper, 'Checked again after, months')).setValue('1.5');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Expected whole months, such as 12.');
    expect(asked).toEqual([]);
    await wrapper.find(field(wrapper, 'Checked again after, months')).setValue('24');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(asked[0]?.body).toMatchObject({ tool: { name: 'Refractometer', place: 'drawer', calibrationMonths: 24 } });
    expect(useShop().tools[0]?.place).toBe('drawer');
    await press(wrapper, 'Take it off');
    await flushPromises();
    expect(read(wrapper)).toContain('None noted.');
  });
  it('say what is wrong beside the field, and keep what was typed', async () => {
    serve({});
    const wrapper = mount(ToolRows, { props: { mayEdit: true } });
    vi.stubGlobal('fetch', async () => refusal(400, 'Not kept.', { 'tool.name': 'What is it called?' }));
    await wrapper.find(field(wrapper, 'What it covers')).setValue('0 to 5 bar');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(read(wrapper)).toContain('What is it called?');
    expect(wrapper.find(field(wrapper, 'What it covers')).element).toHaveProperty('value', '0 to 5 bar');
    vi.stubGlobal('fetch', async () => refusal(400, 'Not kept.', { 'tool.calibratedOn': 'That day lies ahead.' }));
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(read(wrapper)).toContain('That day lies ahead.');
  });
  it('are only read by whoever may not change them', () => {
    useShop().tools = [meter];
    const wrapper = mount(ToolRows, { props: { mayEdit: false } });
    expect(wrapper.find('form').exists()).toBe(false);
    expect(wrapper.findAll('button')).toHaveLength(0);
  });
});

describe('somebody who leaves with open jobs', () => {
  it('is asked about: who has them from now on', async () => {
    const bodies: unknown[] = [];
    serve({
      'POST /api/people/tomas/leave': (body: { to?: string | null }) => {
        bodies.push(body);
        return body.to === undefined
          ? new Response(
              JSON.stringify({
                error: { code: 'jobs-with-them', message: 'Tomas Virk still has job 7.', fields: {}, wouldHelp: '' },
              }),
              { status: 409, headers: { 'content-type': 'application/json' } },
            )
          : { people: useShop().people.filter(({ id }) => id !== 'tomas') };
      },
    });
    const wrapper = mount(PeopleRows, { props: { mayEdit: true } });
    await press(wrapper, 'Has left');
    await flushPromises();
    expect(read(wrapper)).toContain('Tomas Virk still has job 7. Who has them from now on?');
    await wrapper
      .findAll('button')
      .find((each) => each.text() === 'Isla Renn')!
      .trigger('click');
    await flushPromises();
    expect(bodies).toMatchObject([{ by: 'tomas' }, { to: 'isla' }]);
    expect(read(wrapper)).not.toContain('Who has them');
  });
});

describe('figures of the trade', () => {
  it('say what is usual, take what this shop has with where it is from, and go back', async () => {
    const told = { value: 30, source: 'our last twenty', by: 'isla', at: '2026-05-13T08:00:00.000Z' };
    let figures: object = { 'soak-minutes': told };
    const asked = serve({ 'PUT /api/figures/soak-minutes': () => ({ figures }) });
    const wrapper = mount(TradeFigures, { props: { mayEdit: true } });
    const row = () => wrapper.findAll('li').find((each) => each.text().includes('A usual soak'))!;
    expect(read(row())).toContain('25 min');
    expect(read(row())).toContain('our own estimate, verify');
    await press(row(), 'Change');
    await row().find(field(row(), 'Here it is, min')).setValue('long');
    await row().find('form').trigger('submit');
    expect(asked).toEqual([]);
    await row().find(field(row(), 'Here it is, min')).setValue('30');
    await row().find(field(row(), 'Where it is from')).setValue('our last twenty');
    await row().find('form').trigger('submit');
    await flushPromises();
    expect(asked[0]?.body).toMatchObject({ by: 'tomas', value: 30, source: 'our last twenty' });
    expect(read(row())).toContain('our last twenty; Isla, Wednesday 13 May 2026; usual 25 min');
    figures = {};
    await press(row(), 'Change');
    await press(row(), 'Back to the usual');
    await flushPromises();
    expect(asked[1]?.body).toMatchObject({ value: null });
    expect(read(row())).toContain('our own estimate, verify');
  });
  it('are only read by whoever may not change them', () => {
    serve({});
    expect(mount(TradeFigures, { props: { mayEdit: false } }).findAll('button')).toHaveLength(0);
  });
});
