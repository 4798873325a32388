import { INSTRUMENT_KINDS, type InstrumentId, type InstrumentKind, type InstrumentReading } from './instruments.ts';

/**
 * The line protocol of the bench’s instruments: fields parted by semicolons, one line a word.
 * `id;KIND;NAME;LOW;HIGH;UNIT;DAY` when it is asked with `?` and when it is plugged in; `reading;VALUES;UNIT;live` or
 * `;peak`, with the angle turned where there is one; values of several columns are parted by spaces; `OL` is an overload.
 */
export type Heard =
  | { readonly kind: 'id'; readonly id: InstrumentId }
  | { readonly kind: 'reading'; readonly reading: InstrumentReading }
  | { readonly kind: 'garbled'; readonly words: string };

const DAY = /^\d{4}-\d\d-\d\d$/;
const garbled = (line: string, expected: string): Heard => ({
  kind: 'garbled',
  words: `Expected ${expected}, got “${line.slice(0, 60)}”.`,
});

/** What a line of an instrument says. */
export function heardIn(line: string): Heard {
  const [word, ...fields] = line.trim().split(';');
  if (word === 'id') {
    const [kind = '', name = '', low, high, unit = '', day = ''] = fields;
    const [from, to] = [Number(low), Number(high)];
    if (!Object.hasOwn(INSTRUMENT_KINDS, kind) || !(to > from))
      return garbled(line, 'what kind of instrument it is, and its range');
    return {
      kind: 'id',
      id: { kind: kind as InstrumentKind, name, low: from, high: to, unit, calibratedOn: DAY.test(day) ? day : null },
    };
  }
  if (word !== 'reading') return garbled(line, 'a reading');
  const [values = '', unit = '', how = 'live', angle] = fields;
  if (how !== 'live' && how !== 'peak') return garbled(line, 'live or peak');
  if (values === 'OL')
    return { kind: 'reading', reading: { values: null, unit, peak: how === 'peak', angleDeg: null } };
  const read = values.split(' ').map(Number);
  if (values === '' || read.some((value) => !Number.isFinite(value))) return garbled(line, 'numbers');
  const turned = angle === undefined || angle === '' ? null : Number(angle);
  return {
    kind: 'reading',
    reading: { values: read, unit, peak: how === 'peak', angleDeg: Number.isFinite(turned) ? turned : null },
  };
}

/** What an instrument says of itself, as a line. */
export const idLine = ({ kind, name, low, high, unit, calibratedOn }: InstrumentId): string =>
  `id;${kind};${name.replaceAll(';', ',')};${low};${high};${unit};${calibratedOn ?? ''}`;
/** A reading as a line. */
export const readingLine = ({ values, unit, peak, angleDeg }: InstrumentReading): string =>
  `reading;${values === null ? 'OL' : values.join(' ')};${unit};${peak ? 'peak' : 'live'}${angleDeg === null ? '' : `;${angleDeg}`}`;
