import type { Course, Moment, StartAdvice } from '../../../core/prepare/index.ts';

/** How days are said: “Thursday”, “Mon 18 May”. */
export type SayDay = (isoDay: string) => string;

/** Nobody works to the minute: what is worked out is said to a quarter of an hour. */
const QUARTER = 15;

/** “Thursday 14:15”. */
export function sayMoment({ day, minute: exact }: Moment, sayDay: SayDay): string {
  const minute = Math.min(Math.round(exact / QUARTER) * QUARTER, 24 * 60 - QUARTER);
  const clock = `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
  return `${sayDay(day)} ${clock}`;
}

const over = ({ closedDays }: Course, sayDay: SayDay): string => {
  const [first, ...rest] = closedDays.map(sayDay);
  if (first === undefined) return '';
  const last = rest.at(-1);
  return last === undefined ? first : `${first} to ${last}`;
};

/** “2:50–3:50 h” or “40–55 min”: a range in one unit. */
export function sayRange(low: number, high: number): string {
  const clock = (minutes: number): string => {
    const whole = Math.round(minutes / 5) * 5;
    return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
  };
  return high < 90 ? `${Math.round(low)}–${Math.round(high)} min` : `${clock(low)}–${clock(high)} h`;
}

/** The advice in words. */
export interface AdviceWords {
  readonly headline: string;
  readonly tone: 'good' | 'wait' | 'plain';
  readonly lines: readonly string[];
}

/** The advice as a headline and sentences. */
export function adviceWords(advice: StartAdvice, sayDay: SayDay): AdviceWords {
  if (advice.verdict === 'order first')
    return {
      headline: 'Order first',
      tone: 'wait',
      lines: [
        `${advice.unordered.map(({ name }) => name).join(', ')}: not here, and no day is known. Leave the vehicle whole until one is.`,
      ],
    };
  if (advice.verdict === 'never open')
    return { headline: 'The shop is never open', tone: 'plain', lines: ['Set the opening hours in Settings.'] };
  const { best, now, lastMoment } = advice;
  if (advice.verdict === 'start now') {
    const stands = over(now, sayDay);
    return {
      headline: 'Start now',
      tone: 'good',
      lines: [
        `Done about ${sayMoment(now.finish, sayDay)}.`,
        now.idleFrom === null ? '' : `From ${sayMoment(now.idleFrom, sayDay)} it waits for parts, in pieces.`,
        stands === '' ? '' : `It stands in pieces over ${stands} whichever way.`,
      ].filter(Boolean),
    };
  }
  const stranded = over(now, sayDay);
  return {
    headline: `Wait until ${sayMoment(best.start, sayDay)}`,
    tone: 'wait',
    lines: [
      `Then done about ${sayMoment(best.finish, sayDay)}, whole until it starts.`,
      `Started now it is done about ${sayMoment(now.finish, sayDay)}${stranded === '' ? '' : `, but stands in pieces over ${stranded}`}${
        now.idleFrom === null ? '' : ` and waits for parts from ${sayMoment(now.idleFrom, sayDay)}`
      }.`,
      lastMoment === null ? '' : `Last moment that still has it done as soon: ${sayMoment(lastMoment, sayDay)}.`,
    ].filter(Boolean),
  };
}
