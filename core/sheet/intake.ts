import { HOUSE_QUESTIONS } from '../house/index.ts';
import { CHOICES, type Job } from '../job/index.ts';
import { DTC_MEANINGS, sourceWords } from '../vehicle/index.ts';
import type { SheetSection, Speaker } from './types.ts';
import { row } from './row.ts';

/** What was told, read and cleared. */
export function complaint(job: Job): SheetSection {
  const codes = job.codes.map(({ code, when, status }) =>
    row(`${code}, ${when}`, DTC_MEANINGS.get(code) ?? 'unknown here', status),
  );
  const rows = [
    row('Owner says', job.complaint),
    ...job.told.filter(({ text }) => text !== job.complaint).map(({ text }) => row('Told', text)),
    ...(job.signs.some(({ source }) => source === 'asked')
      ? [
          row(
            'Asked',
            job.signs
              .filter(({ source }) => source === 'asked')
              .map(({ words }) => words)
              .join(', '),
          ),
        ]
      : []),
    ...(job.symptoms.length > 0 ? [row('Noticed', job.symptoms.map(({ text }) => text).join(', '))] : []),
    ...(job.since === '' ? [] : [row('Since', job.since)]),
    ...(job.doneBefore === '' ? [] : [row('Done before', job.doneBefore)]),
    ...codes,
    ...job.frames.map(({ code, values }) =>
      row(
        `Freeze frame of ${code}`,
        values.map(({ name, value, unit }) => `${name.toLowerCase()} ${value} ${unit}`).join(', '),
      ),
    ),
    ...job.clearings.map(({ codes: cleared, ended }) =>
      row(
        'Cleared',
        cleared.join(', ') || 'nothing stored',
        ended === null ? 'how it ended is not known' : ended.outcome === 'cleared' ? 'done' : `failed: ${ended.words}`,
      ),
    ),
  ];
  return { title: 'Complaint', rows, empty: '' };
}

/** What was checked, believed and decided, and what the owner said to it. */
export function decided(job: Job, say: Speaker): SheetSection {
  const checks = job.checks.map(({ name, result, verdict, when }) =>
    row(name, result, when === 'after' ? `${verdict}, after the work` : verdict),
  );
  const variants = job.variants.map(({ place, words }) => row(`Variant, ${place}`, words));
  const choice =
    job.decision === null
      ? []
      : [row('Decided', CHOICES[job.decision.choice], `${job.decision.reason} (${say.person(job.decision.by)})`)];
  const belief =
    job.belief === null
      ? []
      : [
          row(
            'Believed then',
            job.belief.causes
              .slice(0, 3)
              .map(({ name, share }) => `${name} ${Math.round(share * 100)} %`)
              .join(', '),
            `knowledge ${job.belief.knowledge}; our judgement, not a proof`,
          ),
        ];
  const departures = job.departures.map(({ question, taken, reason }) => {
    const asked = HOUSE_QUESTIONS.find(({ id }) => id === question);
    return row('Departs from the house rule', asked?.schools.find(({ id }) => id === taken)?.name ?? taken, reason);
  });
  const estimates = job.estimates.map(({ lowMinor, highMinor, answer }) =>
    row(
      'Estimate',
      `${say.money(lowMinor)} to ${say.money(highMinor)}`,
      answer === null
        ? 'not answered'
        : `${answer.answer === 'up to' ? `approved up to ${say.money(answer.limitMinor ?? 0)}` : answer.answer} by ${answer.who}`,
    ),
  );
  const by =
    job.procedure === null
      ? []
      : [
          row(
            'Procedure',
            job.procedure.name,
            `version ${job.procedure.version}; source: ${sourceWords(job.procedure)}`,
          ),
        ];
  return {
    title: 'Checked and decided',
    rows: [...checks, ...variants, ...choice, ...belief, ...departures, ...estimates, ...by],
    empty: 'Nothing was checked.',
  };
}
