import { flushPromises, mount } from '@vue/test-utils';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { DayReply } from '../../../contract/index.ts';
import type { WovenDay } from '../../../core/bay/index.ts';
import type { CommandBody } from '../../../core/job/index.ts';
import { bayLine, dayReply, freshShop, movedOn, press, read, refusal, serve, stubs } from '../../testing.ts';
import BayView from '../BayView.vue';
import { dayAround } from '../day.ts';
import { daySentence, notPlannedWords, type Saying, tenths, wayWords } from './planWords.ts';
import { personLines, promiseOf } from './planView.ts';

const NOW = '2026-05-13T08:12:00.000Z';
const promise = (ready: string): CommandBody => ({ type: 'promise-ready', data: { ready, told: 'then', why: '' } });
const FAR = '2030-05-17T15:00:00.000Z';
let plan: { version: number; blocks: unknown[] } | null = null;
const asked = (jobs: Readonly<Record<string, CommandBody[]>>, more: Partial<DayReply> = {}, replies: object = {}) =>
  serve({
    'GET /api/reminders': { rows: [], next: null },
    'GET /api/bay': { now: NOW, lines: Object.entries(jobs).map(([id, bodies]) => bayLine(id, ...bodies)) },
    'GET /api/day': () => dayReply(jobs, more),
    'PUT /api/day/plan': (body: { seen: number; blocks: unknown[] }) => {
      plan = { version: body.seen + 1, blocks: body.blocks };
      return { ...plan, madeAt: NOW, by: 'tomas' };
    },
    'PUT /api/day/wishes': (wish: object) => dayReply(jobs, { ...more, wishes: [wish as never] }),
    ...replies,
  });
async function show() {
  const wrapper = mount(BayView, { global: { stubs }, attachTo: document.body });
  await vi.waitFor(() => expect(wrapper.find('[data-testid="day-sentence"]').text()).not.toBe(''), 4000);
  await flushPromises();
  return wrapper;
}

beforeEach(() => {
  freshShop();
  plan = null;
  vi.useFakeTimers({ now: new Date(NOW), toFake: ['Date'] });
});
afterEach(() => {
  vi.useRealTimers();
  document.body.innerHTML = '';
});

describe('the plan in the Bay', () => {
  it('says of the whole day in a sentence what is true, draws it, and keeps it for everybody', async () => {
    const sent = asked({ a: [promise(FAR)], b: [] });
    const wrapper = await show();
    expect(wrapper.find('[data-testid="day-sentence"]').text()).toMatch(/^AB a as promised(; .* saved)?\.$/);
    const people = wrapper.find('[aria-label="Who does what"]');
    expect(people.findAll('li').map((each) => read(each).split(' ')[0])).toEqual(['Tomas', 'Isla']);
    const [first] = people.findAll('button');
    expect(first?.attributes('aria-label')).toMatch(/^AB [ab]: codes, complaint, Tomas|Isla, \d\d:\d\d to \d\d:\d\d$/);
    await vi.waitFor(() => expect(plan?.version).toBe(1));
    expect(plan?.blocks.length).toBeGreaterThan(10);
    expect(sent.find(({ path }) => path === '/api/day/plan')?.body).toMatchObject({ by: 'tomas', seen: 0 });
    expect(read(wrapper)).toContain('Minutes come from this shop’s own jobs');
  });

  it('takes the plan of whoever was first', async () => {
    const jobs = { a: [] };
    const newer = { version: 4, madeAt: NOW, by: 'isla', blocks: [] };
    const sent = asked(jobs, {}, { 'PUT /api/day/plan': () => movedOn(4, newer) });
    const wrapper = await show();
    await vi.waitFor(() => expect(sent.filter(({ path }) => path === '/api/day/plan').length).toBeGreaterThan(1));
    expect(sent.filter(({ path }) => path === '/api/day/plan')[1]?.body).toMatchObject({ seen: 4 });
    wrapper.unmount();
  });

  it('names the promise that it breaks, with two ways out, and does what is picked', async () => {
    const late = '2026-05-13T08:40:00.000Z';
    const sent = asked(
      { a: [promise(FAR)] },
      {
        jobs: [],
      },
    );
    // A promise that the log would not take: the day says it.
    const reply = dayReply({ a: [] });
    serve({
      'GET /api/reminders': { rows: [], next: null },
      'GET /api/bay': { now: NOW, lines: [bayLine('a')] },
      'GET /api/day': { ...reply, jobs: reply.jobs.map((job) => ({ ...job, promised: late })) },
      'PUT /api/day/plan': (body: { seen: number; blocks: unknown[] }) => ({
        version: body.seen + 1,
        madeAt: NOW,
        by: 'tomas',
        blocks: body.blocks,
      }),
      'POST /api/jobs/a/commands': (body: object) => {
        sent.push({ method: 'POST', path: 'command', body });
        return { jobId: 'a', version: 2, events: [], repeated: false };
      },
    });
    const wrapper = await show();
    expect(wrapper.find('[data-testid="day-sentence"]').text()).toMatch(/^AB a will be .* late\.$/);
    expect(read(wrapper)).toContain('one clash to settle');
    const panel = wrapper.find('[aria-label="A clash to settle"]');
    await vi.waitFor(() => expect(panel.findAll('input[type="radio"]').length).toBeGreaterThan(0), 4000);
    expect(read(panel)).toMatch(/AB a is not done in time Promised .* by this plan it is done/);
    expect(read(panel)).toMatch(/Promise AB a for .*The plan stays; the customer is told\. Nobody waits\./);
    await press(wrapper, 'Weave it the first way');
    await vi.waitFor(() =>
      expect(sent.find(({ path }) => path === 'command')?.body).toMatchObject({ type: 'promise-ready', by: 'tomas' }),
    );
  });

  it('lets a block be shifted, given and let go by key and by finger', async () => {
    const sent = asked({ a: [] });
    const wrapper = await show();
    const block = wrapper.find('[aria-label="Who does what"]').find('button');
    await block.trigger('click');
    const panel = wrapper.find('[aria-label="The chosen piece of work"]');
    expect(document.activeElement?.textContent).toContain('AB a: codes, complaint');
    const wishes = () => sent.filter(({ path }) => path === '/api/day/wishes').map(({ body }) => body);
    await press(wrapper, 'Later, 15 min');
    await vi.waitFor(() => expect(wishes()).toHaveLength(1));
    expect(wishes()[0]).toMatchObject({ jobId: 'a', stretch: 'complaint', at: '2026-05-13T08:27:00.000Z' });
    await vi.waitFor(() => expect(read(panel)).toContain('Pinned for'));
    await press(wrapper, read(panel).includes('Isla, ') ? 'Tomas' : 'Isla');
    await vi.waitFor(() => expect(wishes()).toHaveLength(2));
    expect(wishes()[1]).toMatchObject({ at: '2026-05-13T08:27:00.000Z' });
    await press(wrapper, 'As it falls');
    await vi.waitFor(() => expect(wishes()[2]).toMatchObject({ at: null, personId: null }));
    await panel.trigger('keydown', { key: 'Escape' });
    expect(wrapper.find('[aria-label="The chosen piece of work"]').exists()).toBe(false);
  });

  it('says what is wrong with a wish beside it', async () => {
    asked({ a: [] }, {}, { 'PUT /api/day/wishes': refusal(400, 'That time is gone.') });
    const wrapper = await show();
    await wrapper.find('[aria-label="Who does what"]').find('button').trigger('click');
    await press(wrapper, 'Earlier');
    await vi.waitFor(() =>
      expect(wrapper.find('[aria-label="The chosen piece of work"] [role="alert"]').text()).toBe('That time is gone.'),
    );
  });

  it('says why it cannot be woven, and shows the rest', async () => {
    asked({ a: [] }, {}, { 'GET /api/day': refusal(503, 'Not now.') });
    const wrapper = mount(BayView, { global: { stubs } });
    await flushPromises();
    expect(read(wrapper)).toContain('The day cannot be woven: Not now.');
    expect(read(wrapper)).toContain('AB a');
  });
});

describe('what is drawn', () => {
  const day = dayAround(NOW, {
    timeZone: 'UTC',
    calendar: { hours: Array(7).fill({ from: 420, to: 1020 }), closed: [] },
  });
  const input = {
    day,
    woven: null,
    lines: [],
    done: [
      {
        jobId: 'a',
        plate: 'AB a',
        personId: 'tomas',
        stage: 'strip' as const,
        from: '2026-05-13T08:00:00.000Z',
        to: '2026-05-13T09:00:00.000Z',
      },
      {
        jobId: 'a',
        plate: 'AB a',
        personId: 'tomas',
        stage: 'clean' as const,
        from: '2026-05-13T09:01:00.000Z',
        to: '2026-05-13T10:00:00.000Z',
      },
      {
        jobId: 'b',
        plate: 'AB b',
        personId: 'tomas',
        stage: 'clean' as const,
        from: '2026-05-13T10:00:00.000Z',
        to: '2026-05-13T10:30:00.000Z',
      },
    ],
    pins: new Set<string>(),
    stretchOf: () => null,
  };
  it('joins what was done on one vehicle in one go', () => {
    const [tomas, isla] = personLines(input, ['tomas', 'isla'], NOW);
    expect(tomas?.done.map(({ plate, left, width }) => [plate, Math.round(left), Math.round(width)])).toEqual([
      ['AB a', 10, 20],
      ['AB b', 30, 5],
    ]);
    expect(isla).toMatchObject({ done: [], planned: [], freeMinutes: null });
  });
  it('puts the flag of a promise on its day, and only there', () => {
    expect(promiseOf(input, 'a', null)).toBeNull();
    expect(promiseOf(input, 'a', '2026-05-13T12:00:00.000Z')).toMatchObject({ left: 50, spare: null });
    expect(promiseOf(input, 'a', '2026-05-14T13:00:00.000Z')).toMatchObject({ left: null });
  });
});

describe('a plan in words', () => {
  const saying: Saying = {
    say: { nearTime: (iso: string) => iso.slice(11, 16) } as never,
    plate: (id) => id.toUpperCase(),
    first: (id) => id,
    words: (_, stretch) => stretch,
  };
  const woven = (more: Partial<WovenDay>): WovenDay => ({
    blocks: [],
    stretches: [],
    ends: [],
    clashes: [],
    noPlace: [],
    notPlanned: [],
    moved: [],
    changed: false,
    uses: [],
    savedMinutes: 0,
    cost: 0,
    bound: 0,
    ...more,
  });
  const end = (jobId: string, promised: string | null = NOW) => ({
    jobId,
    end: NOW,
    honest: null,
    promised,
    holds: null,
  });
  const late = (job: string, minutes: number) => ({
    clash: { kind: 'late' as const, job, promised: 0, end: minutes },
    at: NOW,
  });
  it('is one true sentence', () => {
    expect(daySentence(woven({}), saying)).toBe('Nothing is promised.');
    expect(daySentence(woven({ savedMinutes: 110 }), saying)).toBe('Nothing is promised; 1 h 50 min saved.');
    expect(daySentence(woven({ ends: [end('a')], savedMinutes: 3 }), saying)).toBe('A as promised.');
    expect(daySentence(woven({ ends: ['a', 'b', 'c', 'd'].map((id) => end(id)), savedMinutes: 110 }), saying)).toBe(
      'All four as promised; 1 h 50 min saved.',
    );
    expect(daySentence(woven({ ends: [end('a'), end('b')], clashes: [late('a', 15)] }), saying)).toBe(
      'A will be 15 min late; the other one as promised.',
    );
    expect(daySentence(woven({ ends: [end('a'), end('b')], clashes: [late('a', 1000), late('b', 5)] }), saying)).toBe(
      'Two will be late; A not done before 08:12.',
    );
  });
  it('says of every way out what it does and who is late then', () => {
    const way = (does: object, left: { job: string; minutes: number }[] = []) =>
      wayWords({ does, until: NOW, late: left, blocks: [] } as never, saying);
    expect(way({ kind: 'move-promise', job: 'a', to: 1 })).toMatchObject({
      title: 'Promise A for 08:12',
      late: 'Nobody waits.',
    });
    expect(
      way({ kind: 'ask', job: 'a', person: 'isla', stretches: ['strip'] }, [{ job: 'b', minutes: 15 }]),
    ).toMatchObject({
      title: 'Ask isla',
      line: 'Of A: strip.',
      late: 'B 15 min late.',
    });
    expect(way({ kind: 'stay', person: 'isla', minutes: 40, until: 1 })).toMatchObject({
      title: 'isla stays until 08:12',
    });
    expect(way({ kind: 'tomorrow', job: 'b', from: 1 }).title).toContain('next day');
    expect(way({ kind: 'let-go', job: 'b', stretch: 'strip' }).line).toContain('not pinned any more');
    expect(way({ kind: 'first', job: 'b' }).title).toBe('B goes first');
  });
  it('says why a vehicle is not in it, and how sure a promise is', () => {
    expect(notPlannedWords({ jobId: 'a', why: 'part-without-day', part: 'Seal' }, saying)).toBe(
      'A waits for seal, and nobody knows the day. Ask.',
    );
    expect([0.99, 0.93, 0.5, 0.06, 0.01].map(tenths)).toEqual([
      'as good as sure',
      '9 in 10',
      '5 in 10',
      '1 in 10',
      'hardly',
    ]);
  });
});
