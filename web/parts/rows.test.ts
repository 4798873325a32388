import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { freshShop, press, read, serve, stubs } from '../testing.ts';
import AuditLines from './AuditLines.vue';
import { rowDifferences } from './rowDifference.ts';
import SideBySide from './SideBySide.vue';

beforeEach(freshShop);

describe('where two rows differ', () => {
  it('is told field by field, in words', () => {
    expect(
      rowDifferences(
        { owner: 'Nurse', priceMinor: 100, figures: { idleRpm: { low: 780, high: 880 } }, units: [{ place: 'left' }] },
        { owner: 'Nurse', priceMinor: 120, figures: { idleRpm: { low: 780, high: 900 } }, units: [] },
        { idleRpm: 'warm idle', high: 'upper' },
      ),
    ).toEqual([
      { label: 'Price minor', mine: '100', theirs: '120' },
      { label: 'Figures, warm idle, upper', mine: '880', theirs: '900' },
      { label: 'Units, 1, place', mine: 'left', theirs: '' },
    ]);
  });
  it('is nothing where one leaves out what the other says is empty', () => {
    expect(rowDifferences({ notes: '', year: null }, {})).toEqual([]);
  });
  it('passes over what people do not type', () => {
    expect(rowDifferences({ id: 'a', name: 'x' }, { id: 'b', name: 'x' }, {}, new Set(['id']))).toEqual([]);
  });
});

describe('two saves of one row', () => {
  const newer = { version: 4, row: { owner: 'Ferry company' } };
  it('stand side by side; who saved is said when it is known', async () => {
    const wrapper = mount(SideBySide, { props: { newer, mine: { owner: 'Harbour board' } }, global: { stubs } });
    expect(read(wrapper)).toContain('Somebody saved it meanwhile.');
    expect(wrapper.findAll('tbody tr').map((line) => read(line))).toEqual(['Owner Harbour board Ferry company']);
    await press(wrapper, 'Save mine over it');
    await press(wrapper, 'Take theirs');
    expect([wrapper.emitted('mine')?.length, wrapper.emitted('theirs')?.length]).toEqual([1, 1]);
  });
  it('that say the same are said to', () => {
    const wrapper = mount(SideBySide, { props: { newer, mine: { owner: 'Ferry company' } }, global: { stubs } });
    expect(read(wrapper)).toContain('You both typed the same.');
  });
});

describe('who changed a row', () => {
  const line = (id: number, by: string, body: object, kind = 'vehicle-changed') => ({
    id,
    at: `2026-05-1${id % 10}T08:00:00.000Z`,
    by,
    kind,
    body,
  });
  const show = async (replies: Record<string, unknown>) => {
    const asked = serve(replies);
    const wrapper = mount(AuditLines, { props: { path: '/vehicles/v' } });
    const details = wrapper.find('details');
    details.element.open = true;
    await details.trigger('toggle');
    await flushPromises();
    return { wrapper, asked };
  };
  it('is read when it is opened, and tells from what to what', async () => {
    const { wrapper, asked } = await show({
      'GET /api/vehicles/v/audit': {
        rows: [line(2, 'isla', { owner: 'Nurse' }), line(1, 'tomas', { owner: 'Ferry' }, 'vehicle-created')],
      },
    });
    expect(asked).toHaveLength(1);
    const [first, second] = wrapper.findAll('li').map((each) => read(each));
    expect(first).toMatch(/Isla Renn.*Owner: Ferry Nurse/);
    expect(second).toMatch(/Tomas Virk.*vehicle created/);
    expect(wrapper.find('s').text()).toBe('Ferry');
  });
  it('goes on with the older ones where there are more', async () => {
    const rows = Array.from({ length: 20 }, (_, index) => line(40 - index, 'isla', { year: 2000 + index }));
    const { wrapper } = await show({
      'GET /api/vehicles/v/audit': { rows },
      'GET /api/vehicles/v/audit?before=21': { rows: [line(20, 'wen', { year: 1999 })] },
    });
    await press(wrapper, 'Older changes');
    await flushPromises();
    expect(wrapper.findAll('li')).toHaveLength(21);
    expect(wrapper.findAll('button')).toHaveLength(0);
  });
  it('says so when nobody did, and when it cannot be read', async () => {
    expect(read((await show({ 'GET /api/vehicles/v/audit': { rows: [] } })).wrapper)).toContain(
      'Nobody since it came.',
    );
    expect(read((await show({})).wrapper)).toContain('nothing at /api/vehicles/v/audit');
  });
});
