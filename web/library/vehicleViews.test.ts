import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { VehicleFile } from '../../contract/index.ts';
import { SAMPLE_FAMILY, SAMPLE_VEHICLE } from '../../core/job/testing/samples.ts';
import { field, freshShop, pick, press, read, refusal, serve, stubs } from '../testing.ts';
import VehicleFormView from './VehicleFormView.vue';
import VehicleView from './VehicleView.vue';

const { route, push } = vi.hoisted(() => ({
  route: { name: 'vehicle-edit', params: { id: 'v' }, query: {}, matched: [] },
  push: vi.fn(),
}));
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push }),
  useRoute: () => route,
}));
const file = (more: Partial<VehicleFile> = {}): VehicleFile =>
  ({ vehicle: SAMPLE_VEHICLE, jobs: { rows: [], next: null }, family: null, ...more }) as VehicleFile;
const families = { rows: [{ ...SAMPLE_FAMILY, use: 'outboard', throttle: 'electronic', idleValve: 'none' }] };

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  push.mockReset();
  route.name = 'vehicle-edit';
});
async function form(replies: Record<string, unknown>, name = 'vehicle-edit') {
  route.name = name;
  const asked = serve({ 'GET /api/families': families, ...replies });
  const wrapper = mount(VehicleFormView, { global: { stubs } });
  await flushPromises();
  const type = async (label: string, text: string) => wrapper.find(field(wrapper, label)).setValue(text);
  const keep = async () => {
    await wrapper.find('form').trigger('submit');
    await flushPromises();
  };
  const put = () => asked.find(({ method }) => method === 'PUT');
  return { wrapper, asked, type, keep, put };
}

describe('the form of a vehicle', () => {
  it('waits for the vehicle before anything can be typed, and tries again when it did not come', async () => {
    const { wrapper } = await form({ 'GET /api/vehicles/v': refusal(503, 'Another program holds the store.') });
    expect(wrapper.find('form').exists()).toBe(false);
    expect(wrapper.find('[role="alert"]').text()).toContain('Another program holds the store.');
    serve({ 'GET /api/vehicles/v': file() });
    await press(wrapper, 'Try again');
    expect(wrapper.find('[aria-busy="true"]').exists()).toBe(true);
    await flushPromises();
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Plate')).element.value).toBe('AB 1');
  });
  it('shows what is known, and a band that was not touched keeps its source', async () => {
    const source = 'maker’s book';
    const vehicle = {
      ...SAMPLE_VEHICLE,
      figures: { ...SAMPLE_VEHICLE.figures, idleRpm: { low: 1200, high: 1400, source } },
    };
    const { wrapper, type, keep, put } = await form({
      'GET /api/vehicles/v': file({ vehicle }),
      'PUT /api/vehicles/v': {},
    });
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Warm idle')).element.value).toBe('1200 to 1400');
    await type('Valve duty', '28–40');
    await keep();
    expect(put()?.body).toMatchObject({
      by: 'tomas',
      vehicle: {
        plate: 'AB 1',
        figures: { idleRpm: { source }, valveDuty: { low: 28, high: 40, source: null }, closedVolts: null },
      },
    });
    expect(push).toHaveBeenCalledWith('/vehicles/v');
  });
  it('says beside each field what cannot be read, and sends nothing', async () => {
    const { wrapper, type, keep, put } = await form({ 'GET /api/vehicles/v': file() });
    await type('Warm idle', 'about 1300');
    await type('Valve duty', '40 to 28');
    await type('Year', 'old');
    await keep();
    expect(read(wrapper)).toContain('Expected two figures, such as 780 to 880; got “about 1300”.');
    expect(read(wrapper)).toContain('Expected the smaller figure first, got “40 to 28”.');
    expect(read(wrapper)).toContain('got “old”');
    expect(put()).toBeUndefined();
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Year')).element.value).toBe('old');
  });
  it('keeps what was typed when the server refuses it', async () => {
    const { wrapper, type, keep } = await form({
      'GET /api/vehicles/v': file(),
      'PUT /api/vehicles/v': refusal(400, 'AB 2 is another vehicle.', {
        'vehicle.plate': 'That plate is another vehicle’s.',
      }),
    });
    await type('Plate', 'AB 2');
    await keep();
    expect(read(wrapper)).toContain('That plate is another vehicle’s.');
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Plate')).element.value).toBe('AB 2');
    expect(push).not.toHaveBeenCalled();
  });
  it('offers the likely misreading of a VIN', async () => {
    const { wrapper, type } = await form({ 'GET /api/vehicles/v': file() });
    await type('VIN', '1M8GDM9AXKP04278B');
    await wrapper.find('button.code').trigger('click');
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'VIN')).element.value).toBe('1M8GDM9AXKP042788');
    expect(wrapper.find('button.code').exists()).toBe(false);
  });
  it('takes over what kind of engine a family is, and its units', async () => {
    const { wrapper, keep, put, type } = await form({}, 'vehicle-new');
    await pick(wrapper, 'Engine family', SAMPLE_FAMILY.name.slice(0, 3), SAMPLE_FAMILY.name);
    await type('Plate', 'TQ 9');
    await type('Make', 'Sund');
    await type('Model', 'Mole');
    await press(wrapper, 'Put in what the family takes');
    const units = SAMPLE_FAMILY.unitTypes.flatMap(({ kind, places }) => places.map((place) => ({ kind, place })));
    expect(wrapper.findAll('.rows li')).toHaveLength(units.length);
    await press(wrapper, 'Take off the list');
    expect(wrapper.findAll('.rows li')).toHaveLength(units.length - 1);
    await keep();
    expect(put()?.body).toMatchObject({
      vehicle: {
        familyId: 'twin',
        throttle: 'electronic',
        idleValve: 'none',
        meterUnit: 'h',
        engine: SAMPLE_FAMILY.engine,
        units: units.slice(1),
      },
    });
  });
});

describe('the file of a vehicle', () => {
  const show = async (replies: Record<string, unknown>) => {
    serve({ 'GET /api/reminders?vehicleId=v': { rows: [] }, ...replies });
    const wrapper = mount(VehicleView, { global: { stubs } });
    await flushPromises();
    return wrapper;
  };
  it('holds each unit against what the family expects, and figures with their source', async () => {
    const [body] = SAMPLE_FAMILY.unitTypes;
    const fitted = { id: 'u', kind: body!.kind, place: 'only', partNumber: 'S-1', variant: body!.expected.mark };
    const vehicle = {
      ...SAMPLE_VEHICLE,
      units: [
        { ...fitted, features: body!.expected },
        { ...fitted, id: 'u2', place: 'spare', features: { ...body!.expected, gasket: 'round' } },
      ],
    };
    const wrapper = await show({ 'GET /api/vehicles/v': file({ vehicle, family: SAMPLE_FAMILY }) });
    const rows = wrapper.findAll('li').map((each) => read(each));
    expect(rows[0]).toContain('As expected');
    expect(rows[1]).toContain('gasket outline round, expected oval');
    expect(read(wrapper)).toMatch(/1200–1400 rpm ?shop figure, verify/);
    expect(read(wrapper)).toContain('No job yet on this vehicle.');
  });
  it('leads to the open job, and lists those of before', async () => {
    const job = (id: string, number: number, status: string, stage: string) => ({
      id,
      number,
      status,
      stage,
      reading: 1000 * number,
      readingUnit: 'km',
      decision: '',
      lastAt: '2026-05-13T08:00:00.000Z',
      lastBy: 'tomas',
      held: false,
    });
    const wrapper = await show({
      'GET /api/vehicles/v': file({
        jobs: {
          rows: [job('b', 2, 'open', 'strip'), job('a', 1, 'closed', 'hand-over')],
          next: 'earlier',
        } as unknown as VehicleFile['jobs'],
      }),
    });
    expect(read(wrapper)).toContain('Go to job 2');
    expect(read(wrapper)).not.toContain('Open a job');
    expect(read(wrapper)).toContain('All its jobs');
    expect(wrapper.findAll('ul.rows li').map((each) => read(each))[0]).toMatch(/2 ?2000 km ?not decided yet ?Strip/);
  });
  it('says what went wrong when it cannot be opened', async () => {
    const wrapper = await show({ 'GET /api/vehicles/v': refusal(404, 'There is no such vehicle.') });
    expect(wrapper.find('[role="alert"]').text()).toContain('There is no such vehicle.');
  });
});
