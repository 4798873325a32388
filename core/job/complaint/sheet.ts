import { row, type SheetRow } from '../../sheet/index.ts';
import { OPTIONS } from '../../diagnose/index.ts';
import { parseDtc } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';
import { forgotten } from '../proof/codesStand.ts';

/** What was told, read and cleared. */
export function complaintRows(job: Job): SheetRow[] {
  const asked = job.signs.filter(({ source }) => source === 'asked');
  return [
    row('Owner says', job.complaint),
    ...(job.planned === null ? [] : [row('Planned', job.planned.what)]),
    ...job.earlierWork.map(({ number, option, helped, ago }) =>
      row(
        'Earlier here',
        `Job ${number}: ${OPTIONS[option].toLowerCase()}`,
        `${helped ? 'held' : 'came back'}, ${ago.days ?? 0} days ago`,
      ),
    ),
    ...job.attempts.map(({ option, helped, words }) =>
      row('Tried before', OPTIONS[option], `${helped ? 'helped' : 'did not help'}${words === '' ? '' : `: ${words}`}`),
    ),
    ...job.told.filter(({ text }) => text !== job.complaint).map(({ text }) => row('Told', text)),
    ...(asked.length > 0 ? [row('Asked', asked.map(({ words }) => words).join(', '))] : []),
    ...(job.symptoms.length > 0 ? [row('Noticed', job.symptoms.map(({ text }) => text).join(', '))] : []),
    ...(job.since === '' ? [] : [row('Since', job.since)]),
    ...(job.doneBefore === '' ? [] : [row('Done before', job.doneBefore)]),
    ...job.codes.map(({ code, when, status }) => row(`${code}, ${when}`, meaningOf(code), STATUS_WORDS[status])),
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

/** What a code says, failure type and all. */
function meaningOf(code: string): string {
  const parsed = parseDtc(code);
  return (parsed.ok ? parsed.dtc.meaning : undefined) ?? 'unknown here';
}

const STATUS_WORDS = {
  stored: 'stored',
  pending: 'pending',
  permanent: 'permanent',
  cleared: 'cleared',
  ours: 'set by our own unplugging',
} as const;

/** Codes that were read after the work, once they were read to the end. */
export const codesAfterRows = (job: Job): SheetRow[] =>
  job.codesRead.after === null
    ? []
    : [
        row(
          'Codes after',
          job.codes
            .filter((read) => read.when === 'after' && !forgotten(job, read))
            .map(({ code }) => code)
            .join(', ') || 'none',
        ),
      ];
