import { describe, expect, it } from 'vitest';
import { SHIPPED_KNOWLEDGE } from '../knowledge/index.ts';
import { understand } from './understand.ts';
import { matchesOf } from './pattern.ts';
import { oneSlip } from './spelling.ts';
import { daysAgo } from './time.ts';
import { sentencesOf, wordsOf } from './tokens.ts';

const { signs } = SHIPPED_KNOWLEDGE;
const heard = (text: string) => understand(text, signs).heard.map(({ sign, outcome }) => `${sign}=${outcome}`);

describe('a phrase', () => {
  const found = (pattern: string, text: string) => matchesOf(pattern, wordsOf(text)).length;
  it.each([
    ['stall', 'it stalled twice', 1],
    ['=stall', 'it stalled', 0],
    ['up and down', 'goes up and down', 1],
    ['rev * drop', 'rev then it drops', 1],
    ['rev * drop', 'rev it up so then it drops', 0],
    ['low/high idle', 'a high idle', 1],
    ['on', 'only', 0],
    ['^ always $', 'always', 1],
    ['^ always $', 'it always does', 0],
  ])('“%s” in “%s”: %i', (pattern, text, times) => {
    expect(found(pattern, text)).toBe(times);
  });
});

describe('what stands before a phrase', () => {
  it.each([
    ['It does not stall', ['stalls=no']],
    ['neither hunts nor stalls', ['hunting=no', 'stalls=no']],
    ['The idle is not too high, only rough', ['idle-high=no', 'rough=yes']],
    ['nearly stalls at lights', ['stalls=nearly']],
    ['If it stalls I will call', []],
    ['Could it be that it stalls?', []],
    ['my brother’s car stalls', []],
    ['please clean the throttle', []],
    ['the throttle was cleaned last week', ['cleaned=yes']],
    ['the throttle was cleaned three years ago', []],
    ['the radio hisses', []],
    ['clicking from the driveshaft', []],
    ['stals and hunts whne warm', ['hunting=yes', 'stalls=yes', 'temperature=warm']],
    ['never when it is warm', ['temperature=cold']],
  ])('“%s”', (text, expected) => {
    expect(heard(text).sort()).toEqual([...expected].sort());
  });
});

describe('beside findings', () => {
  it('hears codes, an idle speed and attempts with how they went', () => {
    const told = understand('Idles at 1.600, P0507. New idle valve made no difference.', signs);
    expect(told).toMatchObject({
      codes: ['P0507'],
      idleRpm: 1600,
      attempts: [{ option: 'replace', kind: 'idle-valve', helped: false }],
    });
    expect(told.heard.map(({ sign }) => sign)).not.toContain('unit-changed');
    expect(understand('cleaning helped for a month', signs).attempts).toMatchObject([
      { option: 'clean-in-place', helped: true },
    ]);
    expect(understand('at 56000 km', signs).idleRpm).toBeNull();
  });
  it('asks back where there are two readings, and hears neither', () => {
    const told = understand('new throttle body', signs);
    expect(told.asks).toMatchObject([{ sign: 'unit-changed', readings: [{ outcome: 'yes' }, { outcome: null }] }]);
    expect(told.heard).toEqual([]);
    expect(understand('wants a new throttle body', signs).asks).toEqual([]);
    expect(understand('new throttle body, since then the lamp is on', signs).heard).toMatchObject([
      { sign: 'unit-changed', outcome: 'yes' },
    ]);
  });
  it('leaves in view what it did not understand, and hears what the shop taught', () => {
    expect(understand('Hunting again; it does the tango.', signs).left).toEqual(['it does the tango']);
    const own = [{ phrase: 'does the tango', sign: 'hunting', outcome: 'yes' }];
    expect(understand('it does the tango', signs, own)).toMatchObject({ heard: [{ sign: 'hunting' }], left: [] });
  });
});

describe('how long ago', () => {
  it.each([
    ['three days ago', 3],
    ['a year ago', 365],
    ['2 weeks ago', 14],
    ['last week', 7],
    ['in 2019', 1000],
    ['yesterday', 1],
    ['it stalls', null],
  ])('%s: %s days', (text, days) => {
    expect(daysAgo(wordsOf(text))).toBe(days);
  });
});

describe('slips of the pen', () => {
  it.each([
    ['stals', 'stalls', true],
    ['hutning', 'hunting', true],
    ['throtle', 'throttle', true],
    ['stalls', 'stalls', false],
    ['small', 'stalls', false],
  ])('%s, %s: %s', (a, b, one) => {
    expect(oneSlip(a, b)).toBe(one);
  });
});

describe('sentences', () => {
  it('end at stops and not inside figures; clauses at commas and “but”', () => {
    expect(sentencesOf('Idles at 1.600 rpm. It hunts, but not cold.').map(({ clauses }) => clauses.length)).toEqual([
      1, 2,
    ]);
  });
});
