import { HOUSE_QUESTIONS } from '../../house/index.ts';
import { row, type SheetRow, type Speaker } from '../../sheet/index.ts';
import type { Job } from '../job.ts';
import { CHOICES } from './choices.ts';

/** A step of a plan in words: “replace, new unit (idle valve)”. */
function wayWords(way: string): string {
  const [option = '', at = ''] = way.split('@');
  const name = option in CHOICES ? CHOICES[option as keyof typeof CHOICES].toLowerCase() : option;
  return at === '' ? name : `${name} (${at.replace(/-/g, ' ').replace(':', ', ')})`;
}

/** What was decided, believed and agreed, and where it departs from the house rules. */
export const choiceRows = (job: Job, say: Speaker): SheetRow[] => [
  ...(job.decision === null
    ? []
    : [
        row('Decided', CHOICES[job.decision.choice], `${job.decision.reason} (${say.person(job.decision.by)})`),
        ...(job.decision.plan === undefined || job.decision.plan.length < 2
          ? []
          : [row('If that does not help', job.decision.plan.slice(1).map(wayWords).join(', then '))]),
      ]),
  ...(job.belief === null
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
      ]),
  ...job.departures.map(({ question, taken, reason }) => {
    const asked = HOUSE_QUESTIONS.find(({ id }) => id === question);
    return row('Departs from the house rule', asked?.schools.find(({ id }) => id === taken)?.name ?? taken, reason);
  }),
  ...job.estimates.map(({ lowMinor, highMinor, currency, answer }) =>
    row(
      'Estimate',
      `${say.money(lowMinor, currency)} to ${say.money(highMinor, currency)}`,
      answer === null
        ? 'not answered'
        : `${answer.answer === 'up to' ? `approved up to ${say.money(answer.limitMinor ?? 0, currency)}` : answer.answer} by ${answer.who}`,
    ),
  ),
];
