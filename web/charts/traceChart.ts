import { Chart, type ChartConfiguration, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import annotation, { type AnnotationOptions } from 'chartjs-plugin-annotation';
import type { Colours } from './curve.ts';
import { type Bracket, niceStep, type TraceCurves, type TraceLane } from './traceCurves.ts';

Chart.register(LineController, LineElement, PointElement, LinearScale, annotation);

/** A chart of recordings. */
export type TraceChart = Chart<'line', { x: number; y: number }[]>;
type Config = ChartConfiguration<'line', { x: number; y: number }[]>;
type Scales = NonNullable<NonNullable<Config['options']>['scales']>;

const FAMILY = "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif";
const FONT = { family: FAMILY, size: 13 };
/** Before is broken and oxide, after is whole and bottle green: told apart by form as well as colour. */
const DASH = [7, 5];
const BAND = '30';
/** Brackets stand under each other, this share of the first lane apart. */
const APART = 0.09;

const axisOf = (role: string): string => `y-${role}`;
const tone = (when: 'before' | 'after', colours: Colours): string =>
  when === 'before' ? colours.oxide : colours.bottle;

/** How recordings are drawn: a lane for each thing that was read, all on one time. */
export function traceConfig(
  curves: TraceCurves,
  brackets: readonly Bracket[],
  cursor: number | null,
  colours: Colours,
): Config {
  // Alone there is nothing to tell it apart from.
  const both = new Set(curves.series.map(({ when }) => when)).size > 1;
  return {
    type: 'line',
    data: {
      datasets: curves.series.map(({ role, when, points }) => ({
        label: `${role} ${when}`,
        data: points,
        yAxisID: axisOf(role),
        borderColor: tone(when, colours),
        borderWidth: when === 'before' ? 2 : 2.5,
        borderDash: both && when === 'before' ? DASH : [],
        pointRadius: points.length === 1 ? 4 : 0,
        pointBackgroundColor: tone(when, colours),
        // The one after is drawn over the one before.
        order: when === 'before' ? 2 : 1,
      })),
    },
    options: {
      parsing: false,
      normalized: true,
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      events: [],
      layout: { padding: { top: 6, right: 8 } },
      scales: scalesOf(curves, colours),
      plugins: {
        tooltip: { enabled: false },
        annotation: { animations: {}, annotations: annotationsOf(curves, brackets, cursor, colours) },
      },
    },
  };
}

function scalesOf({ lanes, from, to }: TraceCurves, colours: Colours): Scales {
  const step = niceStep(to - from, 8);
  return {
    x: {
      type: 'linear',
      min: from,
      max: to,
      border: { color: colours.line },
      grid: { display: false },
      ticks: {
        stepSize: step,
        color: colours.soft,
        font: FONT,
        maxRotation: 0,
        // The ends of the view have a figure only where they fall on a step.
        callback: (value) =>
          Math.abs(Number(value) / step - Math.round(Number(value) / step)) > 0.02
            ? ''
            : secondsWords(Number(value), step),
      },
    },
    // The last lane is the lowest: stacked axes are given from below.
    ...Object.fromEntries([...lanes].reverse().map((lane) => [axisOf(lane.role), laneScale(lane, colours)])),
  };
}

const laneScale = ({ low, high, weight, step }: TraceLane, colours: Colours): Scales[string] => ({
  type: 'linear',
  position: 'left',
  stack: 'lanes',
  stackWeight: weight,
  min: low,
  max: high,
  border: { color: colours.line },
  grid: { color: colours.line, drawTicks: false },
  ticks: {
    stepSize: step,
    color: colours.soft,
    font: FONT,
    // The ends of a lane touch its neighbours: they have no figure.
    callback: (value) =>
      Number(value) <= low || Number(value) >= high ? '' : `${Math.round(Number(value) * 100) / 100}`,
  },
});

/** Seconds from what both are laid on: *0*, *+2 s*, *−2 s*. */
export const secondsWords = (value: number, step: number): string => {
  const text = Math.abs(value).toFixed(step < 1 ? (step < 0.1 ? 2 : 1) : 0);
  return Number(text) === 0 ? '0' : `${value > 0 ? '+' : '−'}${text} s`;
};

function annotationsOf(
  { lanes, series, from, to: until }: TraceCurves,
  brackets: readonly Bracket[],
  cursor: number | null,
  colours: Colours,
): Record<string, AnnotationOptions> {
  const found: Record<string, AnnotationOptions> = {};
  for (const { role, name, unit, high } of lanes)
    found[`name-${role}`] = {
      type: 'label',
      xValue: from,
      yValue: high,
      yScaleID: axisOf(role),
      content: `${name}, ${unit}`,
      color: colours.ink,
      // Legible where a curve runs under it.
      backgroundColor: `${colours.paper}cc`,
      font: { ...FONT, weight: 'bold' },
      position: { x: 'start', y: 'start' },
      padding: { left: 6, top: 3, right: 0, bottom: 0 },
    };
  for (const { role, band } of lanes)
    if (band !== null)
      found[`band-${role}`] = {
        type: 'box',
        yScaleID: axisOf(role),
        yMin: band.low,
        yMax: band.high,
        backgroundColor: colours.moss + BAND,
        borderColor: colours.moss,
        borderWidth: 1,
        drawTime: 'beforeDatasetsDraw',
      };
  const [first] = lanes;
  if (first !== undefined) {
    const height = first.high - first.low;
    const span = until - from;
    brackets.forEach(({ when, from: begins, to, words }, index) => {
      const y = first.low + height * (0.05 + APART * (brackets.length - 1 - index));
      const line = { yScaleID: axisOf(first.role), borderColor: tone(when, colours), borderWidth: 2 } as const;
      found[`bracket-${index}`] = {
        type: 'line',
        ...line,
        xMin: begins,
        xMax: to,
        yMin: y,
        yMax: y,
        label: {
          display: true,
          content: words,
          color: tone(when, colours),
          backgroundColor: colours.paper,
          font: { ...FONT, weight: 'bold' },
          padding: 2,
          // Words that are wider than their bracket stand above it.
          yAdjust: (to - begins) * 12 < span ? -12 : 0,
        },
      };
      [begins, to].forEach((x, end) => {
        found[`bracket-${index}-${end}`] = {
          type: 'line',
          ...line,
          xMin: x,
          xMax: x,
          yMin: y - height * 0.025,
          yMax: y + height * 0.025,
        };
      });
    });
    if (series.some(({ points }) => points.length > 0))
      found.zero = {
        type: 'line',
        scaleID: 'x',
        value: 0,
        borderColor: colours.soft,
        borderWidth: 1,
        borderDash: [2, 3],
      };
  }
  if (cursor !== null)
    found.cursor = { type: 'line', scaleID: 'x', value: cursor, borderColor: colours.ink, borderWidth: 1.5 };
  return found;
}

/** A fresh chart on a canvas. */
export const traceChartOn = (canvas: HTMLCanvasElement, config: Config): TraceChart => new Chart(canvas, config);

/** Another stretch, other lanes or colours on a chart that is there already. */
export function traceRedraw(chart: TraceChart, { data, options }: Config): void {
  chart.data = data;
  if (options !== undefined) chart.options = options;
  chart.update('none');
}
