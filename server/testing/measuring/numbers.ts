import { FIELDS, type FieldName, readField } from '../../../core/quantity/index.ts';
import { rowsOf, score } from '../../../core/quantity/written/score.ts';
import { SET_APART } from '../../../core/quantity/written/setApart.ts';
import { TUNING } from '../../../core/quantity/written/tuning.ts';
import { type Measured, median, time } from './measure.ts';

const RUNS = 60;

/** Reading a field, over every written number of both tables, against JavaScript's own `Number` on the same texts. */
function speed(): Measured {
  const rows = [...rowsOf(TUNING), ...rowsOf(SET_APART)].filter(({ field }) => Object.hasOwn(FIELDS, field));
  let kept = 0;
  const read = time(() => {
    for (const { text, field } of rows) kept += readField(text, FIELDS[field as FieldName]).ok ? 1 : 0;
  }, RUNS);
  const bare = time(() => {
    for (const { text } of rows) kept += Number.isNaN(Number(text)) ? 0 : 1;
  }, RUNS);
  const each = (times: readonly number[]): number => (median(times.slice(10)) * 1000) / rows.length;
  const [own, plain] = [each(read), each(bare)];
  return {
    what: `reading one of ${rows.length} written numbers`,
    measured: `${own.toFixed(1)} µs, ${(own / plain).toFixed(0)} × Number()${kept < 0 ? '!' : ''}`,
    wanted: '< 20 µs',
    met: own < 20,
  };
}

/** How the reader does on what was set apart before it was written. */
function setApart(): Measured {
  const { clear, clearRead, asked, askedBack, wrongInSilence } = score(SET_APART);
  return {
    what: 'written numbers set apart',
    measured: `${clearRead}/${clear} read, ${askedBack}/${asked} asked, ${wrongInSilence.length} silent`,
    wanted: '≥ 97 %, all, 0',
    met: clearRead >= 0.97 * clear && askedBack === asked && wrongInSilence.length === 0,
  };
}

/** What reading numbers costs, and how well it does. */
export const numbers = (): Measured[] => [speed(), setApart()];
