import type { Channel, Trace } from '../trace.ts';
import { headingOf, type Heading } from './columns.ts';
import { numberOf, secondsOf } from './numbers.ts';
import { cellsOf, type CsvLayout } from './understand.ts';

/** Something in a file that could not be taken as it stands. */
export interface CsvProblem {
  /** 1-based line of the file. */
  readonly line: number;
  readonly words: string;
}

/** A file as it was read. */
export interface CsvRead {
  readonly trace: Trace;
  readonly readings: number;
  /** The first problems, in words; the rest are counted. */
  readonly problems: readonly CsvProblem[];
  readonly problemCount: number;
}

/** Lines between two words of how far it is. */
const EVERY = 20_000;
const PROBLEMS_KEPT = 20;
const DAY_S = 86_400;

/** Values of one channel that grow. */
class Column {
  times = new Float64Array(1024);
  values = new Float64Array(1024);
  count = 0;

  push(time: number, value: number): void {
    if (this.count === this.times.length) {
      const [times, values] = [new Float64Array(this.count * 2), new Float64Array(this.count * 2)];
      times.set(this.times);
      values.set(this.values);
      this.times = times;
      this.values = values;
    }
    this.times[this.count] = time;
    this.values[this.count] = value;
    this.count += 1;
  }
}

/**
 * Reads a file as it was understood. A generator, so that whoever runs it can say how far it is, and stop: it yields the
 * share that is read, and returns the recording. A cell that is no number is left out and said; a time that goes back is
 * left out, unless a clock passed midnight.
 */
export function* readCsv(text: string, layout: CsvLayout): Generator<number, CsvRead> {
  const { separator, decimal, skip, time } = layout;
  const problems: CsvProblem[] = [];
  let problemCount = 0;
  const problem = (line: number, words: string): void => {
    problemCount += 1;
    if (problems.length < PROBLEMS_KEPT) problems.push({ line, words });
  };
  const columns = layout.columns.map(() => new Column());
  const named = new Map<string, { readonly heading: Heading; readonly column: Column }>();
  let [at, line, readings] = [0, 0, 0];
  let [start, last, days] = [Number.NaN, Number.NEGATIVE_INFINITY, 0];
  const length = text.length;
  while (at < length) {
    const end = text.indexOf('\n', at);
    const stop = end < 0 ? length : end;
    const raw = text.charCodeAt(stop - 1) === 13 ? text.slice(at, stop - 1) : text.slice(at, stop);
    at = stop + 1;
    line += 1;
    if (line % EVERY === 0) yield at / length;
    if (line <= skip || raw === '') continue;
    const cells = cellsOf(raw, separator);
    let seconds = secondsOf(cells[time.column] ?? '', time.form, decimal);
    if (Number.isNaN(seconds)) {
      if (raw.trim() !== '') problem(line, `no time: “${(cells[time.column] ?? '').trim().slice(0, 30)}”`);
      continue;
    }
    if (Number.isNaN(start)) start = seconds;
    seconds += days * DAY_S - start;
    if (time.form === 'clock' && seconds < last - DAY_S / 2) {
      days += 1;
      seconds += DAY_S;
    }
    if (seconds < last) {
      problem(line, `the time goes back by ${(last - seconds).toFixed(3)} s`);
      continue;
    }
    last = seconds;
    if (layout.long === null) {
      for (let index = 0; index < columns.length; index += 1) {
        const { column, scale, offset, name } = layout.columns[index]!;
        const cell = cells[column];
        if (cell === undefined || cell === '') continue;
        const value = numberOf(cell, decimal);
        if (Number.isFinite(value)) {
          columns[index]!.push(seconds, value * scale + offset);
          readings += 1;
        } else if (cell.trim() !== '') problem(line, `${name}: “${cell.trim().slice(0, 30)}” is no number`);
      }
      continue;
    }
    const { name, value: valueColumn, unit } = layout.long;
    const words = (cells[name] ?? '').trim();
    const value = numberOf(cells[valueColumn] ?? '', decimal);
    if (words === '' || !Number.isFinite(value)) {
      problem(
        line,
        words === '' ? 'no name' : `${words}: “${(cells[valueColumn] ?? '').trim().slice(0, 30)}” is no number`,
      );
      continue;
    }
    let found = named.get(words);
    if (found === undefined) {
      found = { heading: headingOf(words, unit === null ? '' : (cells[unit] ?? '')), column: new Column() };
      named.set(words, found);
    }
    found.column.push(seconds, value * found.heading.scale + found.heading.offset);
    readings += 1;
  }
  const all =
    layout.long === null
      ? layout.columns.map((heading, index) => ({ heading, column: columns[index]! }))
      : [...named.values()];
  return { trace: { channels: channelsOf(all), phases: [] }, readings, problems, problemCount };
}

/** Channels that have a value; a role is taken once. */
function channelsOf(all: readonly { readonly heading: Heading; readonly column: Column }[]): Channel[] {
  const taken = new Set<string>();
  return all
    .filter(({ column }) => column.count > 0)
    .map(({ heading: { name, unit, role }, column }, index) => {
      const own = role !== null && !taken.has(role) ? role : null;
      if (own !== null) taken.add(own);
      return {
        id: own ?? `column-${index + 1}`,
        role: own,
        name,
        unit,
        times: column.times.slice(0, column.count),
        values: column.values.slice(0, column.count),
      };
    });
}
