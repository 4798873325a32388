import type { BayLine, BayReply, BayStretch } from '../../contract/index.ts';
import { instantsAt, sayDate } from '../../core/days/index.ts';
import { type Calendar, hoursOf } from '../../core/prepare/index.ts';
import { HANDS_ON_GAP_S, type Job, timerEnd } from '../../core/job/index.ts';
import { StoreError } from './errors.ts';
import type { Jobs } from './jobs.ts';
import type { JobLines } from './jobLines.ts';

/** Where the shop is and when it is open. */
export interface Place {
  readonly timeZone: string;
  readonly calendar: Calendar;
}

/** The Bay: a line per open job with the day's stretches. @param now ISO time */
export function bayAt(now: string, jobs: Jobs, jobLines: JobLines, place: Place): BayReply {
  const lines = jobLines.list({ status: 'open', limit: 100 }).flatMap((summary): BayLine[] => {
    const job = readable(() => jobs.job(summary.id));
    // A job whose log cannot be read is still on the list; its own page says what is wrong with it.
    if (job === null) return [{ job: summary, stretches: [] }];
    return [
      {
        job: summary,
        stretches: [...handsOn(jobs.log.since(summary.id, 0).map(({ at }) => at)), ...waits(job, now, place)],
      },
    ];
  });
  return { now, lines: lines.sort((a, b) => a.job.number - b.job.number) };
}

function readable<T>(read: () => T): T | null {
  try {
    return read();
  } catch (error) {
    if (error instanceof StoreError) return null;
    throw error;
  }
}

/** Entries less than the hands-on gap apart form one stretch. */
function handsOn(times: readonly string[]): BayStretch[] {
  const stretches: { from: string; to: string }[] = [];
  for (const at of [...times].sort()) {
    const last = stretches.at(-1);
    if (last !== undefined && Date.parse(at) - Date.parse(last.to) <= HANDS_ON_GAP_S * 1000) last.to = at;
    else stretches.push({ from: at, to: at });
  }
  return stretches.map(({ from, to }) => ({ kind: 'hands-on', from, to, words: '' }));
}

/** A part is expected when the shop opens that day; on a day off at eight. */
function opening(day: string, { timeZone, calendar }: Place): string {
  const { from } = hoursOf(calendar, day) ?? { from: 8 * 60 };
  return instantsAt({ day, minute: from }, timeZone)[0] ?? `${day}T12:00:00.000Z`;
}

function waits(job: Job, now: string, place: Place): BayStretch[] {
  const timers = job.timers.map((timer): BayStretch => ({
    kind: 'wait',
    from: timer.at,
    to: timer.ended?.at ?? timerEnd(timer),
    words: timer.label,
  }));
  const parts = job.needs.flatMap(({ state, expected }): BayStretch[] =>
    state === 'ordered' && expected !== null
      ? [{ kind: 'part', from: job.lastAt, to: opening(expected, place), words: `part expected ${sayDate(expected)}` }]
      : [],
  );
  return [...timers, ...parts.filter(({ to }) => to > now)];
}
