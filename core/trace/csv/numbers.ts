/** How numbers are written in a file. */
export type DecimalSign = '.' | ',';

/**
 * A number as it stands in a cell, quickly: digits with one decimal sign and an exponent; thousands by space or
 * apostrophe. NaN for an empty cell or anything else.
 */
export function numberOf(cell: string, decimal: DecimalSign): number {
  const text = cell.trim();
  if (text === '') return Number.NaN;
  const direct = Number(decimal === ',' ? text.replace(',', '.') : text);
  if (!Number.isNaN(direct)) return direct;
  const squeezed = text.replace(/(?<=\d)[  ’'](?=\d)/g, '').replace(/−/g, '-');
  return Number(decimal === ',' ? squeezed.replace(',', '.') : squeezed);
}

/** How the time column is written. */
export type TimeForm = 'seconds' | 'milliseconds' | 'minutes' | 'clock' | 'date';

const CLOCK = /^\s*(?:(\d{1,2}):)?(\d{1,3}):(\d{1,2}(?:[.,:]\d+)?)\s*$/;

/** Seconds of a time as it stands in a cell; NaN for what is none. A clock counts from its midnight. */
export function secondsOf(cell: string, form: TimeForm, decimal: DecimalSign): number {
  switch (form) {
    case 'seconds':
      return numberOf(cell, decimal);
    case 'milliseconds':
      return numberOf(cell, decimal) / 1000;
    case 'minutes':
      return numberOf(cell, decimal) * 60;
    case 'clock': {
      const found = CLOCK.exec(cell);
      if (found === null) return Number.NaN;
      const [, hours = '0', minutes = '0', seconds = '0'] = found;
      return Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds.replace(/[,:]/, '.'));
    }
    case 'date': {
      const at = Date.parse(cell.trim().replace(' ', 'T').replace(',', '.'));
      return at / 1000;
    }
  }
}

/** How a cell that should be a time is written; null where it is none. */
export function timeFormOf(cell: string, unit: string, decimal: DecimalSign): TimeForm | null {
  if (/\d{4}-\d\d-\d\d[T ]\d/.test(cell)) return Number.isNaN(secondsOf(cell, 'date', decimal)) ? null : 'date';
  if (CLOCK.test(cell)) return 'clock';
  if (Number.isNaN(numberOf(cell, decimal))) return null;
  if (/^m(illi)?s(ec)?/i.test(unit)) return 'milliseconds';
  return /^min/i.test(unit) ? 'minutes' : 'seconds';
}
