import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  type ChartConfiguration,
  Legend,
  LinearScale,
  Tooltip,
} from 'chart.js';
import type { Colours, Tone } from './curve.ts';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip, Legend);

/** Bars side by side, by a few names. */
export interface Bars {
  /** What it shows, as a sentence for those who cannot see it. */
  readonly words: string;
  readonly names: readonly string[];
  readonly series: readonly { readonly name: string; readonly tone: Tone; readonly values: readonly number[] }[];
  readonly say: (value: number) => string;
}

const FONT = { family: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif", size: 13 };

/** How bars are drawn: outlined the second time, so that they are told apart without colour. */
export const barConfig = ({ names, series, say }: Bars, colours: Colours): ChartConfiguration<'bar'> => ({
  type: 'bar',
  data: {
    labels: [...names],
    datasets: series.map(({ name, tone, values }, nth) => ({
      label: name,
      data: [...values],
      backgroundColor: nth === 0 ? colours[tone] : 'transparent',
      borderColor: colours[tone],
      borderWidth: 2,
      maxBarThickness: 26,
    })),
  },
  options: {
    animation: false,
    maintainAspectRatio: false,
    plugins: {
      legend: {
        display: series.length > 1,
        labels: { color: colours.ink, font: FONT, boxWidth: 14 },
      },
      tooltip: { callbacks: { label: ({ dataset, parsed }) => `${dataset.label ?? ''}: ${say(parsed.y ?? 0)}` } },
    },
    scales: {
      x: { grid: { display: false }, ticks: { color: colours.soft, font: FONT }, border: { color: colours.line } },
      y: {
        beginAtZero: true,
        grid: { color: colours.line },
        border: { display: false },
        ticks: { color: colours.soft, font: FONT, maxTicksLimit: 5, callback: (value) => say(Number(value)) },
      },
    },
  },
});

/** Fresh bars on a canvas. */
export const barsOn = (canvas: HTMLCanvasElement, bars: Bars, colours: Colours): Chart<'bar'> =>
  new Chart(canvas, barConfig(bars, colours));

/** Other bars, or other colours, on a chart that is there already. */
export function redrawBars(chart: Chart<'bar'>, bars: Bars, colours: Colours): void {
  const { data, options } = barConfig(bars, colours);
  chart.data = data;
  if (options !== undefined) chart.options = options;
  chart.update('none');
}
