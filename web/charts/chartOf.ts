import {
  Chart,
  type ChartConfiguration,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';
import annotation, { type AnnotationOptions } from 'chartjs-plugin-annotation';
import type { Colours, Curve, CurveAxis, CurveMark } from './curve.ts';

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler, Tooltip, annotation);

type Config = ChartConfiguration<'line', { x: number; y: number }[]>;
type Scale = NonNullable<NonNullable<NonNullable<Config['options']>['scales']>[string]>;
const FONT = { family: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif", size: 14 };
/** Two hexadecimal digits of opacity behind a colour. */
const FILL = '38';

/** A fresh chart of a curve on a canvas. */
export const chartOf = (
  canvas: HTMLCanvasElement,
  curve: Curve,
  colours: Colours,
): Chart<'line', { x: number; y: number }[]> => new Chart(canvas, configOf(curve, colours));

/** Another curve, or other colours, on a chart that is there already. */
export function redraw(chart: Chart<'line', { x: number; y: number }[]>, curve: Curve, colours: Colours): void {
  const { data, options } = configOf(curve, colours);
  chart.data = data;
  if (options !== undefined) chart.options = options;
  chart.update('none');
}

/** How a curve is drawn. Its points are given as they are: sorted, and without animation, which costs most of the time. */
export function configOf(curve: Curve, colours: Colours): Config {
  return {
    type: 'line',
    data: {
      datasets: curve.lines.map(({ name, tone, points, expected, filled, dots }) => ({
        label: name,
        data: points.map(({ x, y }) => ({ x, y })),
        borderColor: colours[tone],
        backgroundColor: colours[tone] + FILL,
        borderWidth: 2.5,
        borderDash: expected ? [5, 5] : [],
        fill: filled ?? false,
        pointRadius: dots ? 4 : 0,
        pointBackgroundColor: colours[tone],
        pointHitRadius: 12,
        pointHoverRadius: 5,
        pointHoverBackgroundColor: colours[tone],
      })),
    },
    options: {
      parsing: false,
      normalized: true,
      animation: false,
      maintainAspectRatio: false,
      interaction: { mode: 'nearest', axis: 'x', intersect: false },
      layout: { padding: { top: 8, right: 4 } },
      scales: { x: scale(curve.x, 'x', colours), y: scale(curve.y, 'y', colours) },
      plugins: {
        tooltip: {
          displayColors: false,
          backgroundColor: colours.ink,
          titleFont: FONT,
          bodyFont: { ...FONT, weight: 'bold' },
          // One line of those that meet at a point is enough.
          filter: ({ datasetIndex }, _, items) => datasetIndex === items[0]?.datasetIndex,
          callbacks: {
            title: ([item]) => (item === undefined ? '' : curve.x.say(item.parsed.x ?? 0)),
            label: ({ parsed }) => `${curve.y.name} ${curve.y.say(parsed.y ?? 0)}`,
          },
        },
        annotation: {
          animations: {},
          annotations: Object.fromEntries(curve.marks.map((each, index) => [`mark-${index}`, mark(each, colours)])),
        },
      },
    },
  };
}

function scale({ from, to, step, say }: CurveAxis, axis: 'x' | 'y', colours: Colours): Scale {
  return {
    type: 'linear',
    min: from,
    max: to,
    border: { display: axis === 'x', color: colours.line },
    grid: { display: axis === 'y', color: colours.line },
    ticks: { stepSize: step, color: colours.soft, font: FONT, maxRotation: 0, callback: (value) => say(Number(value)) },
  };
}

function mark({ axis, at, words, tone }: CurveMark, colours: Colours): AnnotationOptions<'line'> {
  return {
    type: 'line',
    scaleID: axis,
    value: at,
    borderColor: colours[tone],
    borderWidth: 2,
    label: {
      display: true,
      content: words,
      color: colours[tone],
      backgroundColor: 'transparent',
      font: { ...FONT, weight: 'bold' },
      padding: 2,
      position: axis === 'x' ? 'start' : 'end',
      // Beside the line, never on it.
      ...(axis === 'x' ? { xAdjust: words.length * 4 + 8 } : { yAdjust: -12 }),
    },
  };
}
