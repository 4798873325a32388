import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { SAMPLE_FAMILY } from '../../core/job/testing/samples.ts';
import { type Asked, freshShop, pick, press, read, serve, stubs } from '../testing.ts';
import UnitsView from './UnitsView.vue';

const push = vi.hoisted(() => vi.fn());
vi.mock('vue-router', () => ({ useRouter: () => ({ push }) }));

beforeEach(freshShop);

describe('units on no vehicle', () => {
  const unit = (id: string) => ({
    id,
    kind: 'throttle-body',
    partNumber: `CW-${id}`,
    place: 'U2',
    state: 'on the shelf',
  });
  it('come a page at a time, in the order that is asked for', async () => {
    const asked = serve({
      'GET /api/families': { rows: [] },
      'GET /api/units?sort=state&direction=asc': { rows: [unit('1')], next: 'k' },
      'GET /api/units?sort=state&direction=asc&after=k': { rows: [unit('2')], next: null },
      'GET /api/units?sort=number&direction=asc': { rows: [unit('2'), unit('1')], next: null },
      'GET /api/units?sort=number&direction=desc': { rows: [unit('1'), unit('2')], next: null },
    });
    const view = mount(UnitsView, { global: { stubs } });
    await flushPromises();
    const numbers = () => view.findAll('tbody tr').map((each) => read(each).match(/CW-\d/)?.[0]);
    expect(numbers()).toEqual(['CW-1']);
    await press(view, 'Show more');
    await flushPromises();
    expect(numbers()).toEqual(['CW-1', 'CW-2']);
    await press(view, 'Number');
    await flushPromises();
    expect(numbers()).toEqual(['CW-2', 'CW-1']);
    expect(view.find('th[aria-sort="ascending"]').text()).toBe('Number');
    await press(view, 'Number');
    await flushPromises();
    expect(numbers()).toEqual(['CW-1', 'CW-2']);
    expect(asked.filter(({ path }) => path.startsWith('/api/units'))).toHaveLength(4);
  });
});

describe('a unit that is bought', () => {
  let asked: Asked[] = [];
  const sent = () => asked.filter(({ method }) => method !== 'GET');
  beforeEach(() => {
    asked = serve({
      'GET /api/families': { rows: [SAMPLE_FAMILY] },
      'GET /api/units': { rows: [], next: null },
      'PUT /api/units/fresh': {},
      'POST /api/units/fresh/life': {},
    });
    vi.spyOn(crypto, 'randomUUID').mockReturnValue('fresh' as ReturnType<typeof crypto.randomUUID>);
  });

  it('is compared with the family it is meant for, then kept with what was paid', async () => {
    const view = mount(UnitsView, { global: { stubs } });
    await flushPromises();
    const field = (label: string) =>
      view.find<HTMLInputElement>(
        `#${view
          .findAll('label')
          .find((each) => each.text() === label)!
          .attributes('for')}`,
      );
    await pick(view, 'Meant for', SAMPLE_FAMILY.name.slice(0, 3), SAMPLE_FAMILY.name);
    await field('Port diameter, mm').setValue('46');
    expect(view.find('[role="status"]').text()).toMatch(
      /Fits, but sets idle codes: port diameter 46 mm, expected 42 mm/,
    );
    await field('Paid, cr').setValue('dear');
    await view.find('form').trigger('submit');
    expect(view.find('[role="alert"]').text()).toBe('Expected an amount in cr, such as 80.00; got “dear”.');
    expect([sent().length, field('Port diameter, mm').element.value]).toEqual([0, '46']);
    await field('Paid, cr').setValue('90');
    await view.find('form').trigger('submit');
    await flushPromises();
    expect(sent()).toMatchObject([
      { method: 'PUT', body: { unit: { kind: 'throttle-body', features: { portMm: 46 } } } },
      { method: 'POST', body: { entry: { kind: 'bought', priceMinor: 9000 } } },
    ]);
    expect(push).toHaveBeenCalledWith('/units/fresh');
  });
});
