import type { Job } from '../job.ts';
import { vehicleName } from '../../vehicle/index.ts';
import type { Speaker } from '../../sheet/index.ts';
import { CHOICES } from './choices.ts';
import type { Estimate } from './state.ts';

/** What the estimate says, ready for a page and for a message. */
export interface EstimateSheet {
  readonly title: string;
  readonly subtitle: string;
  readonly finding: string;
  readonly lines: readonly { readonly words: string; readonly money: string }[];
  readonly range: string;
  readonly note: string;
  /** What becomes of it. */
  readonly answer: string;
  readonly terms: string;
}

const TERMS =
  'An estimate, not a fixed price: hidden damage, seized screws and parts that turn out wrong can change it. Nothing beyond the higher figure is done without asking.';

/** An estimate in words the owner understands. */
export function estimateSheet(job: Job, estimate: Estimate, say: Speaker): EstimateSheet {
  const cause = job.belief?.causes[0];
  const { answer } = estimate;
  return {
    title: `${job.vehicle.plate}, ${vehicleName(job.vehicle)}`,
    subtitle: `Job ${job.number} · ${say.time(estimate.at)} · for ${job.vehicle.owner || 'the owner'}`,
    finding:
      cause === undefined
        ? `You told us: ${job.complaint}`
        : `You told us: ${job.complaint} What we found speaks for: ${cause.name.toLowerCase()} (${Math.round(cause.share * 100)} in 100). We propose: ${CHOICES[estimate.choice].toLowerCase()}.`,
    lines: estimate.lines.map(({ words, minor }) => ({ words, money: say.money(minor) })),
    range: `${say.money(estimate.lowMinor)} to ${say.money(estimate.highMinor)}`,
    note: estimate.note,
    answer:
      answer === null
        ? 'Not answered yet.'
        : `${answer.answer === 'declined' ? 'Declined' : answer.answer === 'up to' ? `Approved up to ${say.money(answer.limitMinor ?? 0)}` : 'Approved'} by ${answer.who}${answer.how === '' ? '' : `, ${answer.how}`}, ${say.time(answer.at)}.`,
    terms: TERMS,
  };
}

/** The same as a plain message, short enough to be read on a telephone. */
export function estimateMessage(job: Job, estimate: Estimate, say: Speaker, shop: string): string {
  const sheet = estimateSheet(job, estimate, say);
  return [
    `${shop}: ${sheet.title}`,
    sheet.finding,
    ...sheet.lines.map(({ words, money }) => `- ${words}: ${money}`),
    `Between ${sheet.range.replace(' to ', ' and ')}.`,
    ...(sheet.note === '' ? [] : [sheet.note]),
    'We do nothing beyond the higher figure without asking. May we go ahead?',
  ].join('\n');
}
