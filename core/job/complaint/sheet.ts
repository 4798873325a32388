import { row, type SheetRow } from '../../sheet/index.ts';
import { DTC_MEANINGS } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';

/** What was told, read and cleared. */
export function complaintRows(job: Job): SheetRow[] {
  const asked = job.signs.filter(({ source }) => source === 'asked');
  return [
    row('Owner says', job.complaint),
    ...job.told.filter(({ text }) => text !== job.complaint).map(({ text }) => row('Told', text)),
    ...(asked.length > 0 ? [row('Asked', asked.map(({ words }) => words).join(', '))] : []),
    ...(job.symptoms.length > 0 ? [row('Noticed', job.symptoms.map(({ text }) => text).join(', '))] : []),
    ...(job.since === '' ? [] : [row('Since', job.since)]),
    ...(job.doneBefore === '' ? [] : [row('Done before', job.doneBefore)]),
    ...job.codes.map(({ code, when, status }) =>
      row(`${code}, ${when}`, DTC_MEANINGS.get(code) ?? 'unknown here', status),
    ),
    ...job.frames.map(({ code, values }) =>
      row(
        `Freeze frame of ${code}`,
        values.map(({ name, value, unit }) => `${name.toLowerCase()} ${value} ${unit}`).join(', '),
      ),
    ),
    ...job.clearings.map(({ codes, ended }) =>
      row(
        'Cleared',
        codes.join(', ') || 'nothing stored',
        ended === null ? 'how it ended is not known' : ended.outcome === 'cleared' ? 'done' : `failed: ${ended.words}`,
      ),
    ),
  ];
}

/** Codes that were read after the work, once they were read to the end. */
export const codesAfterRows = (job: Job): SheetRow[] =>
  job.codesRead.after === null
    ? []
    : [
        row(
          'Codes after',
          job.codes
            .filter(({ when }) => when === 'after')
            .map(({ code }) => code)
            .join(', ') || 'none',
        ),
      ];
