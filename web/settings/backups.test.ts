import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { KeepingReply } from '../../contract/index.ts';
import KeepingNote from '../bay/KeepingNote.vue';
import ReadOnlyNote from '../shell/ReadOnlyNote.vue';
import { useShop } from '../stores/shop.ts';
import { field, freshShop, press, read, refusal, serve, stubs } from '../testing.ts';
import BackupKeeping from './BackupKeeping.vue';
import BrokenSettings from './BrokenSettings.vue';
import { readClock } from '../../core/days/index.ts';
import { clockText } from './hours.ts';

const route = vi.hoisted(() => ({ hash: '' }));
vi.mock('vue-router', async (original) => ({ ...(await original<object>()), useRoute: () => route }));

const backup = (at: string, good = true) => ({ name: `w-${at}.zip`, folder: '/b', at, bytes: 1_250_000, good });
const GOOD = backup('2026-05-13T02:00:00.000Z');
const WELL: KeepingReply = {
  age: 'good',
  lastGood: GOOD,
  lastTry: null,
  running: null,
  minute: 180,
  folders: [{ path: '/shop/backups', problem: null }],
  chosen: false,
  backups: [GOOD],
  findings: [],
  room: 'well',
  freeBytes: 84_000_000_000,
  readOnly: false,
  broken: [],
};
beforeEach(() => {
  freshShop();
  vi.unstubAllGlobals();
  vi.useFakeTimers({ now: new Date('2026-05-13T13:09:00.000Z'), toFake: ['Date'] });
  useShop().settings = { ...useShop().settings, timeZone: 'Europe/London' };
  route.hash = '';
});
afterEach(() => void vi.useRealTimers());

async function settings(keeping: Partial<KeepingReply>, replies: Readonly<Record<string, unknown>> = {}) {
  const asked = serve({ 'GET /api/keeping': { ...WELL, ...keeping }, ...replies });
  const wrapper = mount(BackupKeeping, { props: { mayEdit: true }, global: { stubs }, attachTo: document.body });
  await flushPromises();
  return { wrapper, asked };
}
async function note(keeping: Partial<KeepingReply>): Promise<string> {
  serve({ 'GET /api/keeping': { ...WELL, ...keeping } });
  const wrapper = mount(KeepingNote, { global: { stubs } });
  await flushPromises();
  return read(wrapper);
}

describe('backups in Settings', () => {
  it('say when the last good one was made, and hang those that are kept on their strings', async () => {
    const { wrapper } = await settings({
      backups: [
        GOOD,
        backup('2026-05-12T02:00:00.000Z'),
        backup('2026-01-31T02:00:00.000Z'),
        backup('2026-05-11T02:00:00.000Z', false),
      ],
    });
    expect(read(wrapper)).toMatch(/Last good backup.*03:00.*1\.3 MB, read back and whole/);
    const strings = wrapper.findAll('dd').map((each) => each.findAll('.tag').length);
    // Fewer than seven days have one: all three count as such.
    expect(strings).toEqual([3, 0, 0]);
    expect(wrapper.findAll('.hole')).toHaveLength(7 - 3 + 5 + 12);
    expect(read(wrapper)).toContain('Made while the store was not well');
  });
  it('are made when asked, show how far it is, and say how it ended', async () => {
    let running: KeepingReply['running'] = null;
    const { wrapper, asked } = await settings(
      {},
      {
        'GET /api/keeping': () => ({ ...WELL, running }),
        'POST /api/backups': () => {
          running = { step: 'check', done: 30, of: 120 };
          return { ...WELL, running };
        },
      },
    );
    await press(wrapper, 'Back up now');
    await flushPromises();
    expect(asked.some(({ method, path }) => method === 'POST' && path === '/api/backups')).toBe(true);
    expect(read(wrapper)).toMatch(/Checking every job ?25 %/);
    expect(wrapper.find('progress').attributes('value')).toBe('25');
    expect(wrapper.findAll('button').some((each) => each.text() === 'Back up now')).toBe(false);
  });
  it('say in words why the last try failed, and what a check found', async () => {
    const { wrapper } = await settings({
      age: 'old',
      lastTry: { at: '2026-05-13T02:00:00.000Z', ok: false, words: 'The disk is full.' },
      findings: [
        { kind: 'chain', words: 'Job j: the chain breaks at entry 3.', toDo: 'Compare it with the last good backup.' },
      ],
    });
    expect(read(wrapper)).toContain('Too old');
    expect(wrapper.find('[role="alert"]').text()).toContain('The last try failed: The disk is full.');
    expect(read(wrapper)).toContain('the chain breaks at entry 3. Compare it with the last good backup.');
  });
  it('go where a lead says; what is wrong stands beside its folder, and what was typed stays', async () => {
    const { wrapper, asked } = await settings(
      {},
      {
        'PUT /api/keeping': refusal(400, 'no', {
          'keeping.folders.1': 'This folder is not there. Is the disk plugged in?',
        }),
      },
    );
    await wrapper.find(field(wrapper, 'They go to this folder')).setValue('/srv/backup');
    await wrapper.find(field(wrapper, 'And to this one')).setValue('/media/stick');
    await wrapper.find(field(wrapper, 'Each day at')).setValue('half past');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Expected a time of day such as 03:00.');
    expect(asked.some(({ method }) => method === 'PUT')).toBe(false);
    await wrapper.find(field(wrapper, 'Each day at')).setValue('4:30');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(asked.find(({ method }) => method === 'PUT')?.body).toEqual({
      by: 'tomas',
      keeping: { folders: ['/srv/backup', '/media/stick'], minute: 270 },
    });
    expect(read(wrapper)).toContain('Is the disk plugged in?');
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'And to this one')).element.value).toBe('/media/stick');
  });
  it('have the focus when somebody comes for them', async () => {
    route.hash = '#backups';
    const { wrapper } = await settings({});
    await flushPromises();
    expect(document.activeElement).toBe(wrapper.find('h2').element);
  });
  it('cannot be made of a store that can only be read', async () => {
    const { wrapper } = await settings({ readOnly: true });
    expect(
      wrapper
        .findAll('button')
        .find((each) => each.text() === 'Back up now')
        ?.attributes('disabled'),
    ).toBeDefined();
  });
});

describe('a time of day', () => {
  it.each([
    ['3', 180],
    ['03:00', 180],
    ['3.30', 210],
    ['23:59', 1439],
    ['24:00', null],
    ['3:75', null],
    ['noon', null],
    ['', null],
  ])('%j is read', (text, minute) => {
    expect(readClock(text)).toBe(minute);
    if (minute !== null) expect(readClock(clockText(minute))).toBe(minute);
  });
});

describe('the Bay', () => {
  it('says nothing while all is well, and on the first day', async () => {
    expect(await note({})).toBe('');
    freshShop();
    expect(await note({ age: 'not-yet', lastGood: null })).toBe('');
  });
  it.each<[Partial<KeepingReply>, RegExp]>([
    [{ age: 'old' }, /The last good backup is of .* If this disk dies today/],
    [{ age: 'never', lastGood: null }, /There is no backup yet/],
    [
      { age: 'old', lastTry: { at: '', ok: false, words: 'The disk is full.' } },
      /The last try failed: The disk is full/,
    ],
    [{ room: 'low', freeBytes: 700_000_000 }, /700 MB are left on the disk/],
    [{ room: 'last', freeBytes: 40_000_000 }, /The disk is nearly full: 40 MB left. Photos are not taken in/],
    [{ findings: [{ kind: 'chain', words: 'x', toDo: 'y' }] }, /The store is not well/],
    [{ backups: [backup('2026-05-13T03:00:00.000Z', false), GOOD] }, /The store is not well/],
  ])('says what would cost the shop its work: %o', async (keeping, words) => {
    expect(await note(keeping)).toMatch(words);
  });
});

describe('settings that cannot be read', () => {
  it('are told with what holds instead', async () => {
    serve({
      'GET /api/keeping': {
        ...WELL,
        broken: [
          { key: 'calendar', name: 'the opening hours', holds: null },
          { key: 'rate-per-hour-minor', name: 'the price of an hour', holds: '0' },
        ],
      },
    });
    const wrapper = mount(BrokenSettings);
    await flushPromises();
    expect(read(wrapper)).toMatch(/cannot read the opening hours\. What is usual holds instead/);
    expect(read(wrapper)).toMatch(/cannot read the price of an hour\. “0” holds instead/);
  });
});

describe('a store that can only be read', () => {
  it('says so', () => {
    expect(read(mount(ReadOnlyNote))).toContain('This store can only be read.');
  });
});
