import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { reactive } from 'vue';
import type { Report } from '../../contract/index.ts';
import { barConfig } from '../charts/bars.ts';
import { freshShop, press, read, refusal, serve, stubs } from '../testing.ts';
import { chartOfTable, periodName, periodOn } from './reportView.ts';

const pushed: string[] = [];
const route = reactive({ path: '/records/report', params: { period: '2026-05' } });
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRoute: () => route,
  useRouter: () => ({ push: (to: string) => pushed.push(to) }),
}));
const { default: ReportView } = await import('./ReportView.vue');

beforeEach(() => {
  freshShop();
  pushed.length = 0;
  route.params.period = '2026-05';
});
const times = {
  id: 'times',
  title: 'Minutes by stage',
  note: 'A comparison of stages.',
  columns: [
    { id: 'stage', name: 'Stage', kind: 'text' as const },
    { id: 'took', name: 'Took', kind: 'minutes' as const },
    { id: 'expected', name: 'Expected', kind: 'minutes' as const },
  ],
  rows: [
    { key: 'strip lead', cells: { stage: 'Strip', took: 30, expected: 40 } },
    { key: 'strip technician', cells: { stage: 'Strip', took: 20, expected: 20 } },
    { key: 'refit lead', cells: { stage: 'Refit', took: 80, expected: 60 } },
  ],
};
const report: Report = {
  period: '2026-05',
  from: '2026-04-30T23:00:00.000Z',
  to: '2026-05-31T23:00:00.000Z',
  figures: [
    { id: 'closed', name: 'Handed over', value: 3, kind: 'count' },
    { id: 'kept', name: 'Promises kept', value: null, kind: 'percent' },
    { id: 'total', name: 'Charged', value: 94_800, kind: 'money' },
  ],
  tables: [times, { id: 'waste', title: 'Waste handed over', note: '', columns: [], rows: [] }],
};

describe('a month or a year on the screen', () => {
  async function show(replies: object = {}) {
    const asked = serve({ 'GET /api/reports/2026-05': report, ...replies });
    const wrapper = mount(ReportView, { global: { stubs: { ...stubs, BarChart: true } } });
    await flushPromises();
    return { wrapper, asked };
  }
  it('shows figures and tables, and names what there is nothing of', async () => {
    const { wrapper } = await show();
    expect(wrapper.find('h1').text()).toBe('May 2026');
    expect(read(wrapper.find('dl'))).toMatch(/3 ?Handed over ?– ?Promises kept ?948\.00 cr ?Charged/);
    expect(wrapper.findAll('tbody tr').map((row) => read(row))).toEqual([
      'Strip30 min40 min',
      'Strip20 min20 min',
      'Refit1 h 20 min1 h',
    ]);
    expect(read(wrapper)).toContain('Nothing of: waste handed over.');
    expect(wrapper.find('a[href="/api/reports/2026-05/tables/times.csv"]').exists()).toBe(true);
    expect(wrapper.find('a[href="/api/reports/2026-05/sheet.pdf"]').exists()).toBe(true);
  });
  it('leads from a row to the jobs behind it, and back', async () => {
    const { wrapper, asked } = await show({
      'GET /api/reports/2026-05/behind': { rows: [{ jobId: 'j', number: 228, plate: 'TQ 417' }] },
    });
    await press(wrapper, 'Refit');
    await flushPromises();
    expect(asked.at(-1)?.path).toBe('/api/reports/2026-05/behind?table=times&row=refit%20lead');
    expect(read(wrapper)).toContain('TQ 417, job 228');
    await press(wrapper, 'Refit');
    expect(read(wrapper)).not.toContain('TQ 417');
  });
  it('goes to the month before and after, and to the year', async () => {
    const { wrapper } = await show();
    await press(wrapper, 'April 2026');
    await press(wrapper, 'June 2026');
    await press(wrapper, 'The whole year');
    expect(pushed).toEqual(['/records/report/2026-04', '/records/report/2026-06', '/records/report/2026']);
  });
  it('says what is wrong, and teaches while nothing was done', async () => {
    expect(
      (await show({ 'GET /api/reports/2026-05': refusal(503, 'Not now.') })).wrapper.find('[role="alert"]').text(),
    ).toBe('Not now.');
    expect(read((await show({ 'GET /api/reports/2026-05': { ...report, tables: [] } })).wrapper)).toContain(
      'Nothing was done and handed over',
    );
  });
});

describe('periods', () => {
  it('are named and stepped through over the turn of a year', () => {
    expect([periodName('2026-01'), periodName('2026')]).toEqual(['January 2026', '2026']);
    expect([periodOn('2026-01', -1), periodOn('2026-12', 1), periodOn('2026', -1)]).toEqual([
      '2025-12',
      '2027-01',
      '2025',
    ]);
  });
});

describe('charts of a report', () => {
  it('sum the people of a stage, and are outlined the second time', () => {
    const bars = chartOfTable(times)!;
    expect(bars).toMatchObject({ names: ['Strip', 'Refit'], series: [{ values: [50, 80] }, { values: [60, 60] }] });
    const { data, options } = barConfig(bars, new Proxy({}, { get: () => '#123456' }) as never);
    expect(data.datasets.map(({ backgroundColor, label }) => [label, backgroundColor])).toEqual([
      ['took', '#123456'],
      ['expected', 'transparent'],
    ]);
    expect(options?.animation).toBe(false);
    expect(chartOfTable({ ...times, rows: [] })).toBeNull();
    expect(chartOfTable({ ...times, id: 'waste' })).toBeNull();
    const air = chartOfTable({ ...times, id: 'air', rows: [{ key: 'w', cells: { week: '2026-05-11', peak: 0.42 } }] })!;
    expect(air).toMatchObject({ names: ['05-11'], series: [{ values: [0.42] }] });
    expect(air.say(0.42)).toBe('42 %');
  });
});
