import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { ChapterElsewhere, ShopKnown, SignedLook } from '../../contract/index.ts';
import { useShop } from '../stores/shop.ts';
import { freshShop, press, read, refusal, serve, stubs } from '../testing.ts';

const query: Record<string, string> = {};
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRoute: () => ({ path: '/shops', params: {}, query }),
}));
const { default: ExchangeView } = await import('./ExchangeView.vue');
const { default: ElsewhereRows } = await import('./ElsewhereRows.vue');

beforeEach(() => {
  freshShop();
  useShop().personId = 'isla';
  delete query.onto;
});
const known: ShopKnown = {
  key: 'K',
  name: 'North Pier Motors',
  fingerprint: '4f2a 91c0 77de 03b5',
  firstSeenAt: '2026-05-12T10:00:00.000Z',
  confirmedAt: null,
  confirmedBy: null,
};
const own = { name: 'Tern Quay Garage', fingerprint: 'aaaa bbbb cccc dddd' };
const look = (more: Partial<SignedLook>): SignedLook => ({
  kind: 'life',
  shop: { name: known.name, fingerprint: known.fingerprint, known: null },
  madeAt: '2021-06-02T15:00:00.000Z',
  life: {
    of: { kind: 'vehicle', plate: 'TQ 417', vin: 'V', make: 'Norrland', model: 'Parcel', year: 1998, engine: '2.5' },
    chapters: 2,
    shops: [known.name],
    ours: [{ id: 'bus', name: 'TQ 417, Norrland Parcel', by: 'vin' }],
  },
  knowHow: null,
  ...more,
});
async function show(replies: object = {}) {
  const asked = serve({
    'GET /api/shops': { own, rows: [known], next: null },
    'GET /api/procedures': { rows: [{ id: 'p', version: 1, name: 'Clean', family: '2.5', familyId: null, items: 3, constraints: 1 }] }, // prettier-ignore
    ...replies,
  });
  const wrapper = mount(ExchangeView, { global: { stubs } });
  await flushPromises();
  /** Picks a file with that content. */
  const pick = async (content: string): Promise<void> => {
    const input = wrapper.find<HTMLInputElement>('input[type="file"]');
    Object.defineProperty(input.element, 'files', { value: [new File([content], 'life.json')], configurable: true });
    await input.trigger('change');
    await flushPromises();
    await flushPromises();
  };
  return { wrapper, asked, pick };
}

describe('files between shops', () => {
  it('are read before anything of them is taken: who signed, whose life, and that nobody compared the key', async () => {
    const { wrapper, asked, pick } = await show({
      'POST /api/signed-files/looks': look({}),
      'POST /api/signed-files': { taken: 2 },
    });
    expect(read(wrapper)).toContain('aaaa bbbb cccc dddd');
    await pick('{"a":1}');
    expect(read(wrapper)).toMatch(/North Pier Motors signed it/);
    expect(read(wrapper)).toContain('4f2a 91c0 77de 03b5');
    expect(read(wrapper)).toContain('Nobody here has compared this key with them.');
    expect(read(wrapper)).toMatch(/The life of TQ 417, Norrland Parcel ?: 2 chapters, told by North Pier Motors\./);
    expect(asked.filter(({ method, path }) => method === 'POST' && path === '/api/signed-files')).toEqual([]);
    await press(wrapper, 'Take it as their history');
    await flushPromises();
    expect(asked.find(({ method, path }) => method === 'POST' && path === '/api/signed-files')?.body).toMatchObject({
      file: { a: 1 },
      onto: 'bus',
    });
    expect(read(wrapper)).toContain('2 chapters taken, as theirs.');
  });
  it('that were altered, or are no file at all, say so and leave everything as it is', async () => {
    const { wrapper, pick } = await show({
      'POST /api/signed-files/looks': refusal(400, 'The file was altered after North Pier Motors signed it. Nothing was read.'), // prettier-ignore
    });
    await pick('{"a":1}');
    expect(read(wrapper.find('[role="alert"]'))).toContain('altered after North Pier Motors signed it');
    await pick('not json');
    expect(read(wrapper.find('[role="alert"]'))).toContain('life.json is not JSON');
    expect(wrapper.text()).not.toContain('Take it as their history');
  });
  it('of know-how show what differs; what is the same or does not fit cannot be picked', async () => {
    const knowHow = [
      { key: 'procedure:a', name: 'Clean', state: 'new', lines: [] },
      { key: 'procedure:b', name: 'Rebuild', state: 'differs', lines: ['one', 'two', 'three'] },
      { key: 'recipe:c', name: 'Relearn', state: 'same', lines: [] },
      { key: 'edit:0', name: 'Coked', state: 'does-not-fit', lines: ['There is no cause.'] },
    ] as const;
    const { wrapper, asked, pick } = await show({
      'POST /api/signed-files/looks': look({ kind: 'know-how', life: null, knowHow }),
      'POST /api/signed-files': refusal(400, 'It holds a cycle. Nothing was taken.'),
    });
    await pick('{}');
    const boxes = wrapper.findAll<HTMLInputElement>('[aria-label="What is in it"] input');
    expect(boxes.map(({ element }) => [element.checked, element.disabled])).toEqual([
      [true, false],
      [false, false],
      [false, true],
      [false, true],
    ]);
    expect(read(wrapper)).toContain('3 differences');
    await boxes[1]!.setValue(true);
    await press(wrapper, 'Take 2 of 4');
    await flushPromises();
    expect(asked.at(-1)?.body).toMatchObject({ keys: ['procedure:a', 'procedure:b'] });
    // Refused: what was picked is still picked.
    expect(read(wrapper)).toContain('It holds a cycle. Nothing was taken.');
    expect(boxes[1]!.element.checked).toBe(true);
  });
  it('come of shops whose keys are compared, which can be taken back', async () => {
    const { wrapper, asked } = await show({ 'PUT /api/shops/4f2a%2091c0%2077de%2003b5': { ok: true } });
    expect(read(wrapper)).toContain('not compared with them');
    await press(wrapper, 'It is theirs: compared');
    await flushPromises();
    expect(asked.find(({ method }) => method === 'PUT')?.body).toMatchObject({ confirmed: true, by: 'isla' });
  });
  it('are made of what is picked', async () => {
    const { wrapper } = await show();
    expect(read(wrapper)).toContain('Pick what goes into it.');
    await wrapper.find('input[value="procedure:p"]').setValue(true);
    const href = wrapper
      .findAll('a')
      .find((each) => read(each) === 'Make the file')!
      .attributes('href');
    expect(href).toBe('/api/know-how?by=isla&procedures=p&recipes=&knowledge=no');
  });
  it('are no matter of a technician', async () => {
    useShop().personId = 'tomas';
    const { wrapper } = await show();
    expect(wrapper.find('input').exists()).toBe(false);
    expect(read(wrapper)).toContain('A lead or the owner reads and hands on files.');
  });
});

describe('what other shops tell', () => {
  const chapter: ChapterElsewhere = {
    id: 't1',
    title: 'Clean on the bench',
    openedAt: '2021-06-02T08:00:00.000Z',
    closedAt: null,
    reading: '96 400 km',
    meter: 96_400,
    hours: false,
    sections: [{ title: 'Complaint', rows: [{ label: 'Owner says', value: 'Hunts.', note: 'cold' }] }],
    shop: known,
    takenAt: '2026-05-12T10:00:00.000Z',
    tellings: 2,
  };
  it('stands under their name, with how sure that is, and their words', async () => {
    serve({ 'GET /api/vehicles/bus/elsewhere': { rows: [chapter], next: null } });
    const wrapper = mount(ElsewhereRows, { props: { subject: '/vehicles/bus' }, global: { stubs } });
    await flushPromises();
    expect(read(wrapper)).toMatch(/96 400 km.*Clean on the bench.*North Pier Motors.*nobody compared their key; told 2 times, this is the last/); // prettier-ignore
    expect(read(wrapper)).toMatch(/Owner says ?Hunts\. ?· cold/);
    expect(wrapper.find('a[download]').attributes('href')).toBe('/api/vehicles/bus/life?by=isla');
  });
  it('is not there where nobody tells anything and nobody may hand it on', async () => {
    useShop().personId = 'tomas';
    serve({ 'GET /api/units/u/elsewhere': { rows: [], next: null } });
    const wrapper = mount(ElsewhereRows, { props: { subject: '/units/u' }, global: { stubs } });
    await flushPromises();
    expect(wrapper.text()).toBe('');
  });
});
