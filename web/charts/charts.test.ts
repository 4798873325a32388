import { mount } from '@vue/test-utils';
import { nextTick } from 'vue';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { theme } from '../shell/theme.ts';
import CurveChart from './CurveChart.vue';
import { configOf } from './chartOf.ts';
import { type Colours, type Curve, figuresOf, ticksOf } from './curve.ts';

const drawn = vi.hoisted(() => ({ charts: [] as Record<string, unknown>[], updates: [] as unknown[], destroyed: 0 }));
vi.mock('chart.js', () => {
  class Chart {
    static register(): void {}
    data: unknown;
    options: unknown;
    constructor(_: unknown, config: Record<string, unknown>) {
      drawn.charts.push(config);
    }
    update(mode: string): void {
      drawn.updates.push([mode, this.data, this.options]);
    }
    destroy(): void {
      drawn.destroyed += 1;
    }
  }
  const part = {};
  return {
    Chart,
    Filler: part,
    LinearScale: part,
    LineController: part,
    LineElement: part,
    PointElement: part,
    Tooltip: part,
  };
});

vi.mock('chartjs-plugin-annotation', () => ({ default: {} }));

const COLOURS: Colours = {
  ink: '#000001',
  soft: '#000002',
  line: '#000003',
  brass: '#000004',
  harbour: '#000005',
  moss: '#000006',
  oxide: '#000007',
  alarm: '#000008',
  bottle: '#000009',
  paper: '#00000a',
};
const curve: Curve = {
  words: 'Share over time',
  lines: [
    { name: 'So far', tone: 'brass', filled: true, points: [{ x: -30, y: 1 }, { x: 0, y: 2 }] }, // prettier-ignore
    { name: 'Expected', tone: 'harbour', expected: true, points: [{ x: 0, y: 2 }, { x: 30, y: 0.5 }] }, // prettier-ignore
  ],
  marks: [
    { axis: 'x', at: 0, words: 'now', tone: 'oxide' },
    { axis: 'y', at: 1, words: 'limit', tone: 'alarm' },
  ],
  x: { name: 'When', from: -30, to: 30, step: 30, say: (x) => `${x} min` },
  y: { name: 'Share', from: 0, to: 2, step: 1, say: (y) => `${y * 100} %` },
};
beforeEach(() => {
  drawn.charts.length = 0;
  drawn.updates.length = 0;
  drawn.destroyed = 0;
});

describe('a curve', () => {
  it('has a tick at every step, the ends included', () => {
    expect(ticksOf(curve.x)).toEqual([-30, 0, 30]);
    expect(ticksOf({ ...curve.x, from: 0, to: 0.3, step: 0.1 })).toHaveLength(4);
  });
  it('reads as figures, with nothing where a line does not reach', () => {
    expect(figuresOf(curve)).toEqual([
      { x: '-30 min', values: ['100 %', null] },
      { x: '0 min', values: ['200 %', '200 %'] },
      { x: '30 min', values: [null, '50 %'] },
    ]);
  });
  it('is drawn in its tones: expected dashed, what was filled, marks across with their words', () => {
    const { data, options } = configOf(curve, COLOURS);
    expect(data.datasets[0]).toMatchObject({ borderColor: '#000004', borderDash: [], fill: true });
    expect(data.datasets[1]).toMatchObject({ borderColor: '#000005', borderDash: [5, 5], fill: false });
    expect(options).toMatchObject({ parsing: false, normalized: true, animation: false });
    const { annotations } = options?.plugins?.annotation as { annotations: Record<string, Record<string, unknown>> };
    expect(annotations['mark-0']).toMatchObject({ scaleID: 'x', value: 0, borderColor: '#000007' });
    expect(annotations['mark-1']).toMatchObject({ scaleID: 'y', value: 1, label: { content: 'limit' } });
    const { x, y } = options?.scales as Record<
      string,
      { min: number; max: number; ticks: { callback: (value: number) => string } }
    >;
    expect([x?.min, x?.max, y?.max, y?.ticks.callback(0.5)]).toEqual([-30, 30, 2, '50 %']);
  });
});

describe('the chart of a curve', () => {
  it('is drawn again with another curve and in another theme, and taken down with the page', async () => {
    document.documentElement.style.setProperty('--brass', '#111111');
    const wrapper = mount(CurveChart, { props: { curve } });
    const brass = (config: unknown) => (config as { datasets: { borderColor: string }[] }).datasets[0]?.borderColor;
    expect(brass(drawn.charts[0]?.data)).toBe('#111111');
    await wrapper.setProps({ curve: { ...curve, lines: [] } });
    expect(drawn.updates.at(-1)).toMatchObject(['none', { datasets: [] }, {}]);
    await wrapper.setProps({ curve });
    document.documentElement.style.setProperty('--brass', '#222222');
    theme.value = 'dark';
    await nextTick();
    expect(brass((drawn.updates.at(-1) as unknown[])[1])).toBe('#222222');
    wrapper.unmount();
    expect(drawn.destroyed).toBe(1);
    theme.value = 'light';
  });
  it('is named for those who do not see it, and can be read as figures', () => {
    const wrapper = mount(CurveChart, { props: { curve } });
    expect(wrapper.get('canvas').attributes()).toMatchObject({ role: 'img', 'aria-label': 'Share over time' });
    expect(wrapper.findAll('tbody tr').map((row) => row.text())).toEqual([
      '-30 min 100 %–',
      '0 min 200 %200 %',
      '30 min –50 %',
    ]);
  });
});
