import type { Channel, Trace } from '../trace.ts';

const cell = (text: string): string => (/[",\n;]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);
const heading = ({ name, unit }: Channel): string => cell(unit === '' ? name : `${name} [${unit}]`);
const seconds = (time: number): string => String(Math.round(time * 10_000) / 10_000);
const shown = (value: number): string => String(Math.round(value * 1e6) / 1e6);

/** A recording as CSV, one row a moment: a cell is empty where a channel was not read just then. */
export function writeWideCsv({ channels }: Trace): string {
  const at = channels.map(() => 0);
  const rows = [['time [s]', ...channels.map(heading)].join(',')];
  for (;;) {
    let time = Number.POSITIVE_INFINITY;
    channels.forEach(({ times }, index) => {
      const next = times[at[index]!];
      if (next !== undefined && next < time) time = next;
    });
    if (time === Number.POSITIVE_INFINITY) break;
    const row = channels.map(({ times, values }, index) => {
      const place = at[index]!;
      if (times[place] !== time) return '';
      at[index] = place + 1;
      return shown(values[place]!);
    });
    rows.push([seconds(time), ...row].join(','));
  }
  return `${rows.join('\n')}\n`;
}

/** A recording as CSV, one row a value. */
export function writeLongCsv({ channels }: Trace): string {
  const rows = ['time [s],name,value,unit'];
  for (const { name, unit, times, values } of channels)
    times.forEach((time, at) => rows.push([seconds(time), cell(name), shown(values[at]!), cell(unit)].join(',')));
  const [head = '', ...rest] = rows;
  const byTime = rest
    .map((row) => ({ row, time: Number(row.slice(0, row.indexOf(','))) }))
    .sort((a, b) => a.time - b.time)
    .map(({ row }) => row);
  return `${[head, ...byTime].join('\n')}\n`;
}
