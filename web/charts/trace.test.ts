import { mount } from '@vue/test-utils';
import { nextTick } from 'vue';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { type Channel, type Role, ROLES, type Trace } from '../../core/trace/index.ts';
import { theme } from '../shell/theme.ts';
import type { Colours } from './curve.ts';
import TraceChart from './TraceChart.vue';
import { secondsWords, traceConfig } from './traceChart.ts';
import { type Laid, niceStep, rolesOf, spanOfAll, traceCurves, valuesAt } from './traceCurves.ts';

const drawn = vi.hoisted(() => ({ made: [] as unknown[], updates: [] as Record<string, unknown>[], destroyed: 0 }));
vi.mock('chart.js', () => {
  class Chart {
    static register(): void {}
    data: unknown;
    options: unknown;
    chartArea = { left: 100, right: 900 };
    constructor(_: unknown, config: { data: unknown; options: unknown }) {
      drawn.made.push(config);
      this.data = config.data;
      this.options = config.options;
    }
    update(): void {
      drawn.updates.push({ data: this.data, options: this.options });
    }
    destroy(): void {
      drawn.destroyed += 1;
    }
  }
  const part = {};
  return { Chart, LinearScale: part, LineController: part, LineElement: part, PointElement: part };
});
vi.mock('chartjs-plugin-annotation', () => ({ default: {} }));

const lane = (role: Role, count: number, shows: (time: number) => number): Channel => ({
  id: role,
  role,
  name: ROLES[role].name,
  unit: ROLES[role].unit,
  times: Float64Array.from({ length: count }, (_, at) => at / 10),
  values: Float64Array.from({ length: count }, (_, at) => shows(at / 10)),
});
const trace = (idle: number): Trace => ({
  phases: [],
  channels: [lane('rpm', 300, (time) => (time === 10 ? 2400 : idle)), lane('plate', 300, () => 12)],
});
const LAID: readonly Laid[] = [
  { when: 'before', trace: trace(700), zero: 10 },
  { when: 'after', trace: trace(830), zero: 10 },
];
const COLOURS = Object.fromEntries(
  ['ink', 'soft', 'line', 'brass', 'harbour', 'moss', 'oxide', 'alarm', 'bottle', 'paper'].map((tone, at) => [
    tone,
    `#00000${at}`,
  ]),
) as unknown as Colours;
const BAND = { rpm: { low: 780, high: 880 } };

describe('recordings laid over each other', () => {
  it('lie on one time, each with its own zero, and keep every peak', () => {
    expect(rolesOf(LAID)).toEqual(['rpm', 'plate']);
    expect(spanOfAll(LAID)).toEqual({ from: -10, to: 19.9 });
    const { lanes, series } = traceCurves(LAID, ['rpm', 'plate'], BAND, { from: -3, to: 12 }, 40);
    expect(lanes.map(({ role, weight }) => [role, weight])).toEqual([
      ['rpm', 3],
      ['plate', 1],
    ]);
    expect(series.map(({ role, when }) => `${role} ${when}`)).toEqual([
      'rpm before',
      'rpm after',
      'plate before',
      'plate after',
    ]);
    const before = series[0]!.points;
    expect(Math.max(...before.map(({ y }) => y))).toBe(2400);
    expect(before.find(({ y }) => y === 2400)!.x).toBeCloseTo(0, 9);
    // What is outside the view does not stretch the lane, nor are its points drawn.
    const late = traceCurves(LAID, ['rpm'], {}, { from: 5, to: 12 }, 40);
    expect(late.lanes[0]!.high).toBeLessThan(1000);
    expect(Math.min(...late.series[0]!.points.map(({ x }) => x))).toBeGreaterThan(4.8);
  });
  it('leave room for brackets under the first lane, and end on whole steps', () => {
    const [bare] = traceCurves(LAID, ['rpm'], BAND, { from: -3, to: 12 }, 400).lanes;
    const [roomy] = traceCurves(LAID, ['rpm'], BAND, { from: -3, to: 12 }, 400, 2).lanes;
    expect(roomy!.low).toBeLessThan(bare!.low);
    expect(Math.abs((bare!.low / bare!.step) % 1)).toBe(0);
    expect([niceStep(15, 8), niceStep(0.9, 4), niceStep(900, 6)]).toEqual([2, 0.5, 200]);
  });
  it('say the values of a moment, and nothing where one does not reach', () => {
    expect(valuesAt(LAID, ['rpm'], 5)).toEqual([{ role: 'rpm', before: 700, after: 830 }]);
    expect(valuesAt(LAID, ['rpm'], 50)).toEqual([{ role: 'rpm', before: null, after: null }]);
    expect(spanOfAll([])).toEqual({ from: 0, to: 1 });
  });
  it('are told apart by form as well as colour; one alone is whole; one point is a dot', () => {
    const brackets = [{ when: 'before', from: 0.6, to: 7, words: '6.4 s before' }] as const;
    const { data, options } = traceConfig(
      traceCurves(LAID, ['rpm'], BAND, { from: -3, to: 12 }, 400),
      brackets,
      2,
      COLOURS,
    );
    expect(data.datasets[0]).toMatchObject({ borderColor: COLOURS.oxide, borderDash: [7, 5], yAxisID: 'y-rpm' });
    expect(data.datasets[1]).toMatchObject({ borderColor: COLOURS.bottle, borderDash: [] });
    const { annotations } = options?.plugins?.annotation as { annotations: Record<string, Record<string, unknown>> };
    expect(annotations['band-rpm']).toMatchObject({ yMin: 780, yMax: 880 });
    expect(annotations['bracket-0']).toMatchObject({ xMin: 0.6, xMax: 7, label: { content: '6.4 s before' } });
    expect(annotations.cursor).toMatchObject({ value: 2 });
    const alone = traceConfig(traceCurves([LAID[0]!], ['rpm'], {}, { from: 0, to: 1 }, 400), [], null, COLOURS);
    expect(alone.data.datasets[0]).toMatchObject({ borderDash: [] });
    const dot: Laid = { when: 'after', zero: 0, trace: { phases: [], channels: [lane('rpm', 1, () => 800)] } };
    const one = traceConfig(traceCurves([dot], ['rpm'], {}, spanOfAll([dot]), 400), [], null, COLOURS);
    expect(one.data.datasets[0]).toMatchObject({ pointRadius: 4, data: [{ x: 0, y: 800 }] });
    expect([secondsWords(2, 1), secondsWords(-2, 1), secondsWords(0.04, 1), secondsWords(0.5, 0.5)]).toEqual([
      '+2 s',
      '−2 s',
      '0',
      '+0.5 s',
    ]);
  });
});

describe('the chart of recordings', () => {
  beforeEach(() => {
    drawn.made.length = 0;
    drawn.updates.length = 0;
    drawn.destroyed = 0;
    vi.stubGlobal('requestAnimationFrame', (run: () => void) => {
      run();
      return 1;
    });
    vi.stubGlobal('cancelAnimationFrame', () => undefined);
  });
  const shown = () =>
    mount(TraceChart, {
      props: {
        laid: LAID,
        roles: ['rpm', 'plate'],
        bands: BAND,
        brackets: [],
        words: 'Blip',
        span: { from: -3, to: 12 },
      },
    });
  const x = (): { min: number; max: number } =>
    (drawn.updates.at(-1)!.options as { scales: { x: { min: number; max: number } } }).scales.x;

  it('moves and zooms by keys, by fingers and by buttons, within what was recorded', async () => {
    const wrapper = shown();
    const app = wrapper.get('[role="application"]');
    await app.trigger('keydown', { key: 'ArrowRight' });
    expect(x()).toMatchObject({ min: -0.75, max: 14.25 });
    await app.trigger('keydown', { key: '+' });
    expect(x().max - x().min).toBeCloseTo(10.5, 6);
    await app.trigger('keydown', { key: '0' });
    expect(x()).toMatchObject({ min: -10, max: 19.9 });
    for (let each = 0; each < 60; each += 1) await app.trigger('keydown', { key: 'ArrowLeft' });
    expect(x().min).toBe(-10);
    await wrapper.get('[aria-label="Zoom in"]').trigger('click');
    const before = { ...x() };
    (app.element as HTMLElement & { setPointerCapture: () => void }).setPointerCapture = () => undefined;
    await app.trigger('pointerdown', { pointerId: 1, clientX: 500 });
    await app.trigger('pointermove', { pointerId: 1, clientX: 300 });
    await app.trigger('pointerup', { pointerId: 1, clientX: 300 });
    expect(x().min).toBeGreaterThan(before.min);
    await app.trigger('wheel', { deltaY: 100, clientX: 500 });
    expect(x().max - x().min).toBeGreaterThan(before.max - before.min);
  });
  it('says the values under the cursor, and reads as a table', async () => {
    const wrapper = shown();
    await wrapper.get('[role="application"]').trigger('keydown', { key: '.' });
    expect(wrapper.get('[aria-live]').text().replace(/\s+/g, ' ')).toContain('engine speed 700 → 830 rpm');
    const rows = wrapper.findAll('tbody tr').map((row) => row.text().replace(/\s+/g, ' '));
    expect(rows).toContain('+1.0 s 7008301212');
    expect(wrapper.get('thead').text()).toContain('Engine speed, rpm, before');
  });
  it('is drawn again in another theme, and taken down with the page', async () => {
    const wrapper = shown();
    const count = drawn.updates.length;
    theme.value = 'dark';
    await nextTick();
    expect(drawn.updates.length).toBeGreaterThan(count);
    theme.value = 'light';
    wrapper.unmount();
    expect(drawn.destroyed).toBe(1);
  });
});
