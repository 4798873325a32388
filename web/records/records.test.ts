import { flushPromises, mount, RouterLinkStub, type VueWrapper } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { DueLine, DueReply, LastingReply, LifeLine } from '../../contract/index.ts';
import { kaplanMeier, logRank } from '../../core/interval/index.ts';
import { lastingOf } from '../../core/visits/index.ts';
import { field, freshShop, press, read, refusal, serve, stubs } from '../testing.ts';

vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRoute: () => ({ path: '/records/due', params: {} }),
}));
const { default: DueView } = await import('./DueView.vue');
const { default: LastingView } = await import('./LastingView.vue');
const { comparedWords, kindName, medianWords } = await import('./lastingWords.ts');
const { dueWhy } = await import('./dueWords.ts');

beforeEach(() => freshShop());
const links = (wrapper: VueWrapper): unknown[] =>
  wrapper.findAllComponents(RouterLinkStub).map((each) => each.props('to'));
const banded = (likely: number) => ({ likely, low: likely * 0.7, high: likely * 1.4 });
const line = (more: Partial<DueLine> = {}): DueLine => ({
  vehicleId: 'farm',
  plate: 'OT 551',
  name: 'Ostrea Till',
  owner: 'Lower farm',
  hours: false,
  meter: banded(260_000),
  day: banded(21_000),
  interval: banded(44_000),
  perDay: 41.2,
  use: { perDay: 41.2, low: 39, high: 44, readings: 6 },
  from: 'own',
  stretches: 2,
  likelyOn: '2026-06-12',
  lowOn: '2026-03-01',
  highOn: '2026-11-20',
  lastJobId: 'j1',
  lastOn: '2025-05-01',
  lastMeter: 220_000,
  openJob: null,
  answer: null,
  parts: [],
  ...more,
});
const reply = (rows: DueLine[], more: Partial<DueReply> = {}): DueReply => ({
  today: '2026-05-13',
  rows,
  later: 2,
  shelf: [],
  ...more,
});

describe('the list of what is due', () => {
  async function show(rows: DueLine[], replies: object = {}, more: Partial<DueReply> = {}) {
    const asked = serve({ 'GET /api/due': reply(rows, more), ...replies });
    const wrapper = mount(DueView, { global: { stubs } });
    await flushPromises();
    return { wrapper, asked };
  }
  it('says of each when, how sure, why, and what to have on the shelf', async () => {
    const shelf = [
      { name: 'Body gasket', partNumber: 'G-1', quantity: 2, inStock: 1 },
      { name: 'Seal', partNumber: 'S-1', quantity: 1, inStock: null },
    ];
    const { wrapper } = await show(
      [line(), line({ vehicleId: 'old', plate: 'AB 1', likelyOn: '2026-02-01', from: 'house' })],
      {},
      { shelf },
    );
    const rows = wrapper.findAll('[aria-label="Vehicles that are due"] > li');
    expect(read(rows[0]!)).toContain('due around 12 June 2026; 8 in 10 between 1 March 2026 and 20 November 2026');
    expect(read(rows[1]!)).toContain('likely due since 1 February 2026');
    expect(read(wrapper)).toContain('2 more are due later.');
    expect(read(wrapper.find('aside'))).toMatch(/Body gasket ?G-1 2 ?1 there ?Seal ?S-1 1 ?not in stock/);
    await rows[0]!.find('button').trigger('click');
    expect(read(rows[0]!)).toMatch(
      /due again after 44.000 km \(31.000 to 62.000\), by 2 stretches of its own\. It is used 41 km a day, by 6 readings\./,
    );
    expect(read(rows[0]!)).toMatch(/This workshop|: the throttle of OT 551, Ostrea Till, is best cleaned again/);
    expect(links(wrapper)).toContain('/vehicles/farm/new-job?planned=service');
  });
  it('says why where nothing is known of it', () => {
    const say = { day: (iso: string) => iso } as never;
    expect(dueWhy(line({ from: 'house', use: null, perDay: 36 }), say)).toMatch(
      /house interval .* A house figure, verify\. How much it is used nobody knows: taken as 36 km a day/,
    );
    expect(dueWhy(line({ from: 'kind', stretches: 0 }), say)).toContain('vehicles of its kind here');
    expect(dueWhy(line({ stretches: 1 }), say)).toContain('by one stretch of its own');
  });
  it('is put off with a day and why, refused, told, and taken back', async () => {
    const { wrapper, asked } = await show(
      [line({ answer: { answer: 'told', until: null, note: '', at: '2026-05-10T08:00:00.000Z', by: 'isla' } })],
      {
        'PUT /api/due/farm': (body: { answer: string | null; until: string | null }) =>
          body.answer === 'put-off' && body.until === null
            ? refusal(400, 'x', { until: 'Until which day is it put off?' })
            : { ok: true },
      },
    );
    expect(read(wrapper)).toMatch(/customer told \(Isla, .*\)/);
    await wrapper.find('[aria-expanded]').trigger('click');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(read(wrapper)).toContain('Until which day is it put off?');
    await wrapper.find('input[type="date"]').setValue('2026-08-01');
    await wrapper.find(field(wrapper, 'Because')).setValue('harvest');
    await wrapper.find('form').trigger('submit');
    await press(wrapper, 'Not wanted');
    await press(wrapper, 'Take back');
    await flushPromises();
    const said = asked.filter(({ method }) => method === 'PUT').map(({ body }) => body);
    expect(said.slice(1)).toMatchObject([
      { by: 'tomas', answer: 'put-off', until: '2026-08-01', note: 'harvest' },
      { answer: 'not-wanted', until: null },
      { answer: null },
    ]);
  });
  it('leads to the job where one is open, and teaches while it is empty', async () => {
    const { wrapper } = await show([line({ openJob: { jobId: 'j9', number: 240 } })]);
    expect(read(wrapper)).toContain('job 240 is open');
    await wrapper.find('[aria-expanded]').trigger('click');
    expect(links(wrapper)).toContain('/jobs/j9');
    expect(read((await show([], {}, { later: 0 })).wrapper)).toContain(
      'A vehicle is in this list once it was cleaned here',
    );
    serve({ 'GET /api/due': refusal(503, 'Not now.') });
    const broken = mount(DueView, { global: { stubs } });
    await flushPromises();
    expect(broken.find('[role="alert"]').text()).toBe('Not now.');
  });
});

const life = (use: number, failed: boolean, more: Partial<LifeLine> = {}): LifeLine => ({
  jobId: `j${use}${more.option ?? ''}`,
  vehicleId: 'bus',
  option: 'clean-bench',
  unitKind: 'throttle-body',
  familyId: 'f',
  hours: false,
  use,
  failed,
  knownBy: failed ? 'failed' : 'seen',
  failedIn: failed ? 'j99' : null,
  plate: 'TQ 1',
  number: 12,
  closedAt: '2025-05-01T10:00:00.000Z',
  ask: false,
  ...more,
});

describe('what lasts', () => {
  const lasting = (lives: LifeLine[]): LastingReply => ({
    lives,
    families: [
      { id: 'f', name: 'Norrland' },
      { id: 'g', name: 'Unseen' },
    ],
  });
  async function show(lives: LifeLine[], replies: object = {}) {
    const asked = serve({ 'GET /api/lasting': lasting(lives), ...replies });
    const wrapper = mount(LastingView, { global: { stubs } });
    await flushPromises();
    return { wrapper, asked };
  }
  it('shows each kind with its curve, its figures and the jobs behind them', async () => {
    const { wrapper } = await show([life(10_000, true), life(20_000, false), life(30_000, true)]);
    expect(read(wrapper)).toContain('3 known, 2 failed');
    expect(read(wrapper)).toMatch(/Half of them hold longer than 30.000 km/);
    expect(wrapper.findAll('tbody tr').map((row) => read(row))).toEqual([
      expect.stringMatching(/^10.000 3 1 67 % \(5 to 95\)$/) as string,
      expect.stringMatching(/^30.000 1 1 0 % \(0 to 0\)$/) as string,
    ]);
    expect(wrapper.find('svg path[stroke]').attributes('d')).toMatch(/^M44 8H/);
    expect(read(wrapper)).toContain('it failed in that job');
  });
  it('compares two kinds with an honest word', async () => {
    const { wrapper } = await show([life(10_000, true), life(20_000, false), life(5000, true, { option: 'replace' })]);
    await press(wrapper, 'compare');
    expect(read(wrapper)).toMatch(/Too few to tell: 1 of 2 failed, and 1 of 1\./);
    expect(read(wrapper)).toContain('is dashed');
  });
  it('asks customers of what was not seen again, and keeps what they say', async () => {
    const said = life(1, false, { knownBy: 'hand-over', ask: true, jobId: 'ask-me' });
    const { wrapper, asked } = await show([said, life(9000, true)], {
      'POST /api/follow-ups/ask-me': lasting([life(9000, true)]),
    });
    await press(wrapper, 'Asked about TQ 1').catch(() => press(wrapper, 'Asked'));
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('What did the customer say?');
    await press(wrapper, 'still good');
    await wrapper.find(field(wrapper, 'Kilometres now')).setValue('many');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Expected a reading such as 118 000.');
    await wrapper.find(field(wrapper, 'Kilometres now')).setValue('229 500');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(asked.at(-1)?.body).toEqual({ by: 'tomas', answer: 'good', meter: 229_500, note: '' });
    expect(wrapper.find('[aria-label="To be asked"]').exists()).toBe(false);
  });
  it('teaches while nothing was handed over', async () => {
    expect(read((await show([])).wrapper)).toContain('With each job it becomes clearer');
  });
  it('says honestly what nobody can say', () => {
    const of = (lives: LifeLine[]) => medianWords(lastingOf(lives)[0]!);
    expect(of([life(10_000, false)])).toBe('One repair, still good: nothing to go by.');
    expect(of([life(10_000, true)])).toBe('One repair, and it failed: nothing to go by.');
    expect(of([life(10_000, false), life(20_000, false)])).toBe(
      'All still good: how long they last nobody can say yet.',
    );
    expect(of([life(10_000, true), life(20_000, false), life(21_000, false)])).toContain(
      'More than half are still good',
    );
    expect(kindName({ option: 'relearn', unitKind: '' })).not.toContain(':');
  });
  it('names what lasts longer only where chance would hardly make it so', () => {
    const uses = (from: number) => Array.from({ length: 20 }, (_, nth) => ({ use: from + nth * 100, failed: true }));
    const named = (name: string, lives: { use: number; failed: boolean }[]) => ({ name, survival: kaplanMeier(lives) });
    const [short, long] = [uses(1000), uses(9000)];
    expect(comparedWords(logRank(short, long), named('A', short), named('B', long))).toMatch(
      /^B lasts longer \(20 of 20 failed, and 20 of 20; log-rank p under 0\.01\)\.$/,
    );
    expect(comparedWords(logRank(short, short), named('A', short), named('B', short))).toMatch(
      /^No difference that these repairs can show/,
    );
  });
});
