import { describe, expect, it } from 'vitest';
import { startOrWait, type StartInput, ORDINARY_WEEK } from '../../../core/prepare/index.ts';
import { hoursText, readCalendar, readDays, readHours } from '../../settings/hours.ts';
import { adviceWords, sayMoment, sayRange } from './adviceWords.ts';

const sayDay = (day: string): string => day.slice(8);
const input: StartInput = {
  now: { day: '2026-05-13', minute: 540 },
  calendar: ORDINARY_WEEK,
  minutesBefore: 180,
  minutesAfter: 120,
  waiting: 0,
  missing: [],
};
const words = (more: Partial<StartInput>) => adviceWords(startOrWait({ ...input, ...more }), sayDay);

describe('the advice in words', () => {
  it('says start, and when it is done, to a quarter of an hour', () => {
    expect(words({ minutesBefore: 187 })).toEqual({
      headline: 'Start now',
      tone: 'good',
      lines: ['Done about 13 14:00.'],
    });
  });
  it('says wait, what starting now would mean, and the last moment', () => {
    const said = words({ missing: [{ name: 'Seal', expected: '2026-05-18' }] });
    expect(said.headline).toBe('Wait until 18 08:00');
    expect(said.lines).toEqual([
      'Then done about 18 13:00, whole until it starts.',
      'Started now it is done about 18 10:00, but stands in pieces over 16 to 17 and waits for parts from 13 12:00.',
      'Last moment that still has it done as soon: 15 14:00.',
    ]);
  });
  it('says what to order first, and when the shop is never open', () => {
    expect(words({ missing: [{ name: 'Seal', expected: null }] })).toMatchObject({
      headline: 'Order first',
      tone: 'wait',
    });
    expect(words({ calendar: { hours: Array.from({ length: 7 }, () => null), closed: [] } }).headline).toBe(
      'The shop is never open',
    );
  });
  it('says moments and ranges as people do', () => {
    expect(sayMoment({ day: '2026-05-13', minute: 8 * 60 + 52 }, sayDay)).toBe('13 08:45');
    expect(sayMoment({ day: '2026-05-13', minute: 24 * 60 - 1 }, sayDay)).toBe('13 23:45');
    expect(sayRange(40.2, 55)).toBe('40–55 min');
    expect(sayRange(170, 232)).toBe('2:50–3:50 h');
  });
});

describe('opening hours as they are typed', () => {
  it.each([
    ['8–17', { from: 480, to: 1020 }],
    ['8:00 to 17:30', { from: 480, to: 1050 }],
    ['8.30-12', { from: 510, to: 720 }],
    ['closed', null],
    ['', null],
  ])('reads %s', (text, hours) => expect(readHours(text)).toEqual({ hours }));
  it.each(['all day', '17–8', '8–25'])('says what is wrong with %s', (text) =>
    expect(readHours(text)).toHaveProperty('problem'),
  );
  it('says hours back as they can be typed again', () => {
    for (const hours of [{ from: 480, to: 1050 }, null]) expect(readHours(hoursText(hours))).toEqual({ hours });
  });
  it('reads days, each once, and names the first that is none', () => {
    expect(readDays('2026-12-26, 2026-12-25\n2026-12-25')).toEqual({ days: ['2026-12-25', '2026-12-26'] });
    expect(readDays('25.12.')).toEqual({ problem: 'Expected days such as 2026-12-25, got “25.12.”.' });
    expect(readDays('2026-13-45')).toHaveProperty('problem');
  });
  it('gathers what is wrong by field, and keeps nothing then', () => {
    const week = ['8–17', 'x', '8–17', '8–17', '8–17', '', ''];
    expect(Object.keys((readCalendar(week, 'y') as { problems: object }).problems)).toEqual(['1', 'closed']);
    expect(readCalendar(week.with(1, '9–12'), '')).toMatchObject({ calendar: { closed: [] } });
  });
});
