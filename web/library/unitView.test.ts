import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { SAMPLE_FAMILY, SAMPLE_VEHICLE } from '../../core/job/testing/samples.ts';
import { field, freshShop, movedOn, pick, press, read, refusal, serve, stubs } from '../testing.ts';
import FamilyView from './FamilyView.vue';
import UnitView from './UnitView.vue';

const { route, push } = vi.hoisted(() => ({
  route: { params: { id: 'u' }, query: {} as Record<string, string> },
  push: vi.fn(),
}));
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push }),
  useRoute: () => route,
}));
const [type] = SAMPLE_FAMILY.unitTypes;
const unit = {
  id: 'u',
  kind: type!.kind,
  partNumber: 'S-1',
  features: { ...type!.expected, gasket: 'round' },
  vehicleId: 'v',
  place: 'only',
  state: 'fitted',
};
const bought = {
  at: '2026-01-02T09:00:00.000Z',
  by: 'tomas',
  kind: 'bought',
  vehicleId: null,
  place: '',
  priceMinor: 14_000,
  note: 'breaker at the pier',
};
beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  push.mockReset();
  route.query = {};
});

describe('a unit', () => {
  const show = async (more: Record<string, unknown> = {}) => {
    const asked = serve({
      'GET /api/units/u': { unit, version: 2, life: [bought], plates: { v: SAMPLE_VEHICLE.plate } },
      'GET /api/vehicles/v': { vehicle: SAMPLE_VEHICLE, jobs: { rows: [], next: null }, family: SAMPLE_FAMILY },
      'GET /api/vehicles': { rows: [SAMPLE_VEHICLE], next: null },
      ...more,
    });
    const wrapper = mount(UnitView, { global: { stubs } });
    await flushPromises();
    return { wrapper, asked };
  };
  it('is held against what its vehicle expects as its marks are typed, and tells its life', async () => {
    const { wrapper, asked } = await show({ 'PUT /api/units/u': {} });
    expect(read(wrapper)).toContain('gasket outline round, expected oval');
    expect(read(wrapper)).toContain('140.00 cr, breaker at the pier');
    await wrapper.find(field(wrapper, 'Gasket outline')).setValue('oval');
    expect(read(wrapper)).toContain('As expected.');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(asked.find(({ method }) => method === 'PUT')?.body).toMatchObject({
      by: 'tomas',
      basedOn: 2,
      unit: { partNumber: 'S-1', features: { gasket: 'oval' } },
    });
  });
  it('keeps no marks that cannot be read', async () => {
    const { wrapper, asked } = await show();
    const port = wrapper.find(field(wrapper, 'Port diameter'));
    await port.setValue('wide');
    await wrapper.find('form').trigger('submit');
    expect(port.attributes('aria-invalid')).toBe('true');
    expect(asked.some(({ method }) => method === 'PUT')).toBe(false);
  });
  it('goes on living: fitted to a vehicle, with a price that can be read', async () => {
    const { wrapper, asked } = await show({ 'POST /api/units/u/life': {} });
    const form = wrapper.findAll('form')[1]!;
    await form.find('select').setValue('fitted');
    await pick(wrapper, 'To', 'ab', SAMPLE_VEHICLE.plate);
    const price = wrapper.find(field(wrapper, 'Price'));
    await price.setValue('cheap');
    await form.trigger('submit');
    expect(read(wrapper)).toContain('Expected an amount in cr, such as 80.00; got “cheap”.');
    expect(price.attributes('aria-invalid')).toBe('true');
    await price.setValue('12,50');
    await wrapper.find(field(wrapper, 'Where')).setValue('left bank');
    await form.trigger('submit');
    await flushPromises();
    const posts = asked.filter(({ method }) => method === 'POST');
    expect(posts).toHaveLength(1);
    expect(posts[0]?.body).toMatchObject({
      entry: { kind: 'fitted', vehicleId: 'v', place: 'left bank', priceMinor: 1250 },
    });
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Price')).element.value).toBe('');
  });
  it('keeps what was typed when the server refuses it', async () => {
    const { wrapper } = await show({ 'POST /api/units/u/life': refusal(409, 'It sits on AB 1: take it off first.') });
    await wrapper.find(field(wrapper, 'Note')).setValue('to the shelf');
    await wrapper.findAll('form')[1]!.trigger('submit');
    await flushPromises();
    expect(wrapper.find('[role="alert"]').text()).toBe('It sits on AB 1: take it off first.');
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Note')).element.value).toBe('to the shelf');
  });
});

describe('an engine family', () => {
  const show = async (more: Record<string, unknown> = {}) => {
    const asked = serve({ 'GET /api/families/u': { family: { ...SAMPLE_FAMILY, id: 'u' }, version: 3 }, ...more });
    const wrapper = mount(FamilyView, { global: { stubs } });
    await flushPromises();
    const keep = async () => {
      await wrapper.find('form').trigger('submit');
      await flushPromises();
    };
    const all = () => asked.filter(({ method }) => method === 'PUT');
    return { wrapper, keep, all, put: () => all()[0] };
  };
  it('is sent as it came when nothing was touched', async () => {
    const { keep, put } = await show({ 'PUT /api/families/u': {} });
    await keep();
    const { id: _, ...sent } = SAMPLE_FAMILY;
    expect(put()?.body).toMatchObject({ by: 'tomas', basedOn: 3, family: JSON.parse(JSON.stringify(sent)) });
    expect(push).toHaveBeenCalledWith('/families');
  });
  it('says beside each field what cannot be read, unit by unit', async () => {
    const { wrapper, keep, put } = await show();
    await wrapper.find(field(wrapper, 'Name')).setValue('');
    await wrapper.find(field(wrapper, 'New')).setValue('dear');
    await wrapper.find(field(wrapper, 'Port diameter')).setValue('wide');
    await keep();
    expect(put()).toBeUndefined();
    expect(read(wrapper)).toContain('Not kept yet: see beside the fields.');
    for (const label of ['New', 'Port diameter'])
      expect(wrapper.find(field(wrapper, label)).attributes('aria-invalid'), label).toBe('true');
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'New')).element.value).toBe('dear');
  });
  it('puts what the server refuses beside its field', async () => {
    const { wrapper, keep } = await show({
      'PUT /api/families/u': refusal(400, 'Two families have that name.', { 'family.name': 'That name is taken.' }),
    });
    await keep();
    expect(read(wrapper)).toContain('That name is taken.');
    expect(push).not.toHaveBeenCalled();
  });
  it('takes another unit, and lets one go', async () => {
    const { wrapper, keep, put } = await show({ 'PUT /api/families/u': {} });
    const units = () => wrapper.findAll('section').length;
    const before = units();
    await press(wrapper, 'Another unit');
    expect(units()).toBe(before + 1);
    await press(wrapper, 'Take this unit out');
    expect(units()).toBe(before);
    await wrapper.findAll('section').at(-1)!.findAll('input')[0]!.setValue('Spare valve');
    await keep();
    expect(put()).toBeDefined();
  });
  it('that was saved meanwhile is shown side by side; one saves over it, or takes the other', async () => {
    const { id: _, ...theirs } = { ...SAMPLE_FAMILY, notes: 'loud' };
    const { wrapper, keep, all } = await show({
      'PUT /api/families/u': (body: { basedOn: number }) =>
        body.basedOn === 3 ? movedOn(4, { ...theirs, id: 'u' }) : { family: SAMPLE_FAMILY, version: 5 },
    });
    await wrapper.find(field(wrapper, 'Notes')).setValue('quiet');
    await keep();
    expect(push).not.toHaveBeenCalled();
    expect(read(wrapper)).toContain('Isla Renn saved it');
    expect(read(wrapper.find('tbody'))).toBe('Notes quiet loud');
    await press(wrapper, 'Take theirs');
    expect(wrapper.find<HTMLTextAreaElement>(field(wrapper, 'Notes')).element.value).toBe('loud');
    await wrapper.find(field(wrapper, 'Notes')).setValue('neither');
    await keep();
    expect(all().at(-1)?.body).toMatchObject({ basedOn: 4, family: { notes: 'neither' } });
    expect(push).toHaveBeenCalledWith('/families');
  });
  it('that was saved meanwhile can be saved over, once it was seen', async () => {
    const { wrapper, keep, all } = await show({
      'PUT /api/families/u': (body: { basedOn: number }) =>
        body.basedOn === 3 ? movedOn(4, SAMPLE_FAMILY) : { family: SAMPLE_FAMILY, version: 5 },
    });
    await wrapper.find(field(wrapper, 'Notes')).setValue('quiet');
    await keep();
    await press(wrapper, 'Save mine over it');
    await flushPromises();
    expect(all().map(({ body }) => (body as { basedOn: number }).basedOn)).toEqual([3, 4]);
    expect(push).toHaveBeenCalledWith('/families');
  });
  it('begins empty when it is new, and wants a name before it is sent', async () => {
    route.query = { new: '1' };
    const { wrapper, keep, put } = await show({});
    expect(read(wrapper)).toContain('A new engine family');
    await keep();
    expect(put()).toBeUndefined();
    expect(read(wrapper)).toContain('What is the family called?');
    expect(wrapper.find(field(wrapper, 'Name')).attributes('aria-invalid')).toBe('true');
    await wrapper.find(field(wrapper, 'Name')).setValue('Sund 1.2');
    await wrapper.find(field(wrapper, 'Engine')).setValue('1.2 L three');
    expect(read(wrapper)).not.toContain('Not kept yet');
    await keep();
    expect(put()?.body).toMatchObject({ basedOn: 0, family: { name: 'Sund 1.2', unitTypes: [] } });
  });
  it('made of a vehicle begins as that is, and says so when the vehicle could not be put into it', async () => {
    route.query = { new: '1', of: 'v' };
    let refused = true;
    const asked = serve({
      'GET /api/vehicles/v': { vehicle: SAMPLE_VEHICLE, version: 4, jobs: { rows: [], next: null }, family: null },
      'PUT /api/families/u': {},
      'PUT /api/vehicles/v': () => (refused ? refusal(409, 'Somebody else saved it.') : {}),
    });
    const make = async () => {
      const wrapper = mount(FamilyView, { global: { stubs } });
      await flushPromises();
      expect(wrapper.find(field(wrapper, 'Engine')).element).toHaveProperty('value', SAMPLE_VEHICLE.engine);
      await wrapper.find('form').trigger('submit');
      await flushPromises();
      return wrapper;
    };
    expect(read(await make())).toContain('the vehicle is not put into it: Somebody else saved it.');
    expect(push).not.toHaveBeenCalled();
    refused = false;
    await make();
    expect(push).toHaveBeenCalledWith('/vehicles/v');
    expect(asked.findLast(({ method }) => method === 'PUT')?.body).toMatchObject({
      basedOn: 4,
      vehicle: { familyId: 'u', plate: SAMPLE_VEHICLE.plate },
    });
  });
});
