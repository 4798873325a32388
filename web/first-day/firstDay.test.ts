import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Person } from '../../contract/index.ts';
import type { Wrench } from '../../core/torque/index.ts';
import PeopleRows from '../settings/PeopleRows.vue';
import WrenchWall from '../settings/WrenchWall.vue';
import { useShop } from '../stores/shop.ts';
import { field, freshShop, press, read, refusal, serve, stubs } from '../testing.ts';
import FirstDayView from './FirstDayView.vue';

const IDA: Person = { id: 'ida', name: 'Ida Holm', role: 'lead', bay: 'bay 1' };
const CLICK: Wrench = {
  id: 'w',
  name: 'Small click',
  scale: { unit: 'N·m', low: 4, high: 20, step: 0.5 },
  deviationPercent: null,
  calibratedOn: null,
};

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  const shop = useShop();
  shop.people = [];
  shop.personId = '';
});

describe('the first day', () => {
  it('keeps all four stops in view; the others wait for a name only', async () => {
    serve({ 'GET /api/vehicles': { rows: [] }, 'GET /api/families': { rows: [] } });
    const view = mount(FirstDayView, { global: { stubs } });
    await flushPromises();
    expect(view.findAll('h2').map((each) => each.text())).toEqual(
      expect.arrayContaining([
        expect.stringContaining('Shop and people'),
        expect.stringContaining('Wrenches on the wall'),
        expect.stringContaining('First vehicle'),
        expect.stringContaining('How we do things here'),
      ]),
    );
    expect(read(view)).toContain('One name is enough to begin.');
    expect(
      view
        .findAll('button')
        .find((each) => each.text() === 'Take it in')
        ?.attributes('disabled'),
    ).toBeDefined();
    useShop().people = [IDA];
    useShop().personId = 'ida';
    await flushPromises();
    // A stop never shuts by itself: the next name can be typed at once.
    expect(read(view)).toContain('Who else works here?');
    expect(read(view)).toContain('A job can be opened now.');
    await press(view, 'On to the wrenches');
    expect(read(view)).toContain('Beam, pointer');
  });
  it('takes in the starter set, and says when it is in', async () => {
    const rows: { id: string }[] = [];
    const asked = serve({
      'GET /api/vehicles': { rows: [] },
      'GET /api/families': () => ({ rows: [...rows] }),
      'POST /api/starter': () => {
        rows.push({ id: 'starter-electronic' });
        return { added: 1, of: 1 };
      },
    });
    useShop().people = [IDA];
    useShop().personId = 'ida';
    const view = mount(FirstDayView, { global: { stubs } });
    await flushPromises();
    await press(view, 'Take it in');
    await flushPromises();
    expect(asked.find(({ method }) => method === 'POST')?.body).toEqual({ by: 'ida' });
    expect(read(view)).toContain('It is in');
  });
});

describe('people', () => {
  it('begin with the one who adds themselves, who is then at the bench', async () => {
    const asked = serve({});
    vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
      asked.push({ method: init.method ?? 'GET', path, body: JSON.parse(String(init.body)) as unknown });
      const id = path.split('/').at(-1)!;
      return Promise.resolve(new Response(JSON.stringify({ people: [{ ...IDA, id }] })));
    });
    const view = mount(PeopleRows, { props: { mayEdit: true }, global: { stubs } });
    await view.find(field(view, 'Your name')).setValue('Ida Holm');
    await view.find('form').trigger('submit');
    expect(view.find('[role=alert]').text()).toBe('What do they do here?');
    expect(asked).toEqual([]);
    await view.findAll('[role=radio]')[0]!.trigger('click');
    await view.find('form').trigger('submit');
    await flushPromises();
    const [sent] = asked as { path: string; body: { by: string; person: object } }[];
    expect(sent!.path).toBe(`/api/people/${sent!.body.by}`);
    expect(sent!.body.person).toEqual({ name: 'Ida Holm', role: 'lead', bay: '' });
    expect(useShop().person?.name).toBe('Ida Holm');
    vi.unstubAllGlobals();
  });
  it('say beside the field what the server refuses, and keep what was typed', async () => {
    serve({});
    useShop().people = [IDA];
    useShop().personId = 'ida';
    vi.stubGlobal('fetch', () =>
      Promise.resolve(
        new Response(
          JSON.stringify({
            error: { code: 'bad-value', message: 'No.', fields: { 'person.name': 'There is one already.' } },
          }),
          { status: 400 },
        ),
      ),
    );
    const view = mount(PeopleRows, { props: { mayEdit: true }, global: { stubs } });
    await view.find(field(view, 'Who else works here?')).setValue('Ida Holm');
    await view.findAll('[role=radio]')[1]!.trigger('click');
    await view.find('form').trigger('submit');
    await flushPromises();
    expect(read(view)).toContain('There is one already.');
    expect(view.find<HTMLInputElement>(field(view, 'Who else works here?')).element.value).toBe('Ida Holm');
    vi.unstubAllGlobals();
  });
  it('leave and come back; their entries keep their names', async () => {
    const per: Person = { id: 'per', name: 'Per Lund', role: 'technician', bay: '' };
    const shop = useShop();
    shop.people = [IDA, per];
    shop.personId = 'ida';
    serve({
      'POST /api/people/per/leave': { people: [IDA, { ...per, leftAt: '2026-05-13T13:09:00.000Z' }] },
      'PUT /api/people/per': { people: [IDA, per] },
    });
    const view = mount(PeopleRows, { props: { mayEdit: true }, global: { stubs } });
    await press(view, 'Has left: Per Lund');
    await flushPromises();
    expect(shop.here.map(({ id }) => id)).toEqual(['ida']);
    expect(shop.say.person('per')).toBe('Per Lund');
    expect(read(view)).toContain('Not here any more: Per Lund');
    await press(view, 'back again');
    await flushPromises();
    expect(shop.here).toHaveLength(2);
  });
});

describe('the wall', () => {
  it('reads a wrench as it is stamped, draws what it can, and hangs it up', async () => {
    const shop = useShop();
    shop.people = [IDA];
    shop.personId = 'ida';
    shop.wrenches = [{ ...CLICK, id: 'a', name: 'Preset driver', scale: { unit: 'N·m', low: 1, high: 6, step: 0.1 } }];
    let put: unknown = null;
    vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
      put = JSON.parse(String(init.body));
      return Promise.resolve(new Response(JSON.stringify({ wrenches: [...shop.wrenches, CLICK] })));
    });
    const view = mount(WrenchWall, { props: { mayEdit: true }, global: { stubs } });
    expect(read(view)).toContain('nothing true from 6 to 25');
    await press(view, 'Small click');
    await view.find('form').trigger('submit');
    expect(read(view)).toContain('From what to what, as it is stamped?');
    await view.find(field(view, 'As stamped')).setValue('4 to 20 Nm');
    expect(read(view)).toContain('true from 4 to 20 N·m');
    expect(view.find('.bar.written').exists()).toBe(true);
    await view.find('form').trigger('submit');
    await flushPromises();
    expect(put).toMatchObject({ by: 'ida', wrench: { name: 'Small click', scale: CLICK.scale, calibratedOn: null } });
    expect(read(view)).toContain('check not known');
    expect(read(view)).toContain('nothing true from 20 to 25');
    vi.unstubAllGlobals();
  });
  it('says what went wrong when one cannot be taken down', async () => {
    useShop().people = [IDA];
    useShop().personId = 'ida';
    useShop().wrenches = [CLICK];
    serve({ 'DELETE /api/wrenches/w': refusal(404, 'That does not hang there.') });
    const view = mount(WrenchWall, { props: { mayEdit: true }, global: { stubs } });
    await press(view, 'Take it down');
    await flushPromises();
    expect(view.find('[role=alert]').text()).toBe('That does not hang there.');
  });
});
