import { describe, expect, it } from 'vitest';
import type { CommandBody } from '../../job/index.ts';
import { play } from '../../job/testing/play.ts';
import { back, off, open, pin } from '../../job/testing/samples.ts';
import { byHand, LONGEST_PIECE, pieces, wait } from './left.ts';
import { expectedByStage, leftOf, needsBay, standsInside } from './ofJob.ts';
import { SKILL_OF, SKILLS, usualSkills } from './skills.ts';

const job = (...bodies: CommandBody[]) => play([open, ...bodies]).job!;
const ids = (...bodies: CommandBody[]): string[] => leftOf(job(...bodies)).map(({ id }) => id);
const of = (id: string, ...bodies: CommandBody[]) => leftOf(job(...bodies)).find((each) => each.id === id);
const passed = (...stages: string[]): CommandBody[] =>
  stages.map((stage) => ({ type: 'pass-stage', data: { stage } }) as CommandBody);
const decided = {
  type: 'decide',
  data: { choice: 'clean-bench', reason: 'deposit', departure: '', options: [] },
} as CommandBody;
const TO_STRIP = passed('complaint', 'diagnose', 'decide', 'prepare');

describe('what is left of a job', () => {
  it('is everything in its order when it was just opened, and nothing once it is over', () => {
    expect(ids()).toEqual([
      'complaint',
      'diagnose',
      'decide',
      'prepare',
      'strip',
      'inspect',
      'wet',
      'soak',
      'brush',
      'dry',
      'refit',
      'relearn',
      'prove',
      'hand-over',
    ]);
    expect(ids({ type: 'cancel-job', data: { why: 'sold' } })).toEqual([]);
  });

  it('leaves out what was passed and what was decided', () => {
    expect(ids(...passed('complaint', 'diagnose'))[0]).toBe('decide');
    expect(ids(decided, ...passed('complaint', 'diagnose'))[0]).toBe('prepare');
  });

  it('leaves out what the decision does without', () => {
    const elsewhere = {
      type: 'decide',
      data: { choice: 'relearn', reason: 'x', departure: '', options: [] },
    } as CommandBody;
    expect(ids(elsewhere)).toEqual(['complaint', 'diagnose', 'prepare', 'relearn', 'prove', 'hand-over']);
    const replaced = {
      type: 'decide',
      data: { choice: 'replace', reason: 'x', departure: '', options: [] },
    } as CommandBody;
    expect(ids(replaced)).toContain('replace');
    expect(ids(replaced)).not.toContain('soak');
  });

  it('grows shorter with what comes off, and longer on the way back', () => {
    const before = of('strip', pin, ...TO_STRIP)!;
    const after = of('strip', pin, ...TO_STRIP, off('plug'), off('cover'))!;
    expect(after.minutes).toBeLessThan(before.minutes);
    const stripped = [pin, ...TO_STRIP, off('plug'), off('cover'), ...passed('strip', 'inspect', 'clean', 'rebuild')];
    const toGo = of('refit', ...stripped)!;
    expect(toGo.minutes).toBeGreaterThan(0);
    // What never came off does not go back once the strip is over.
    expect(of('refit', ...stripped, back('plug'))!.minutes).toBeLessThan(toGo.minutes);
    expect(toGo.wantsParts).toBe(true);
  });

  it('asks for a wrench where bolts go to a figure', () => {
    expect(of('refit', pin, ...TO_STRIP)?.torquesNm).toEqual([9]);
  });

  it('begins with the longest wait that runs', () => {
    const timer = (id: string, minutes: number): CommandBody => ({
      type: 'start-timer',
      data: { id, label: `Unit ${id} soaks`, minutes, kind: 'soak' },
    });
    const [first, second] = leftOf(job(timer('a', 10), timer('b', 40)));
    expect(first).toMatchObject({ id: 'timer-b', kind: 'wait', words: 'unit b soaks' });
    expect(first?.until).toMatch(/^\d{4}-.*Z$/);
    expect(second?.kind).toBe('hands');
    // A soak that runs is not begun again.
    expect(ids(timer('a', 10))).not.toContain('soak');
  });
});

describe('pieces of long work', () => {
  it('are about as long as each other, keep their minutes, and tighten at the end', () => {
    const cut = pieces(byHand('refit', 'refit', 'refit', 200, { torquesNm: [9] }));
    expect(cut.map(({ id }) => id)).toEqual(['refit', 'refit-2', 'refit-3']);
    expect(cut.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(200, 9);
    expect(cut.every(({ minutes }) => minutes <= LONGEST_PIECE)).toBe(true);
    expect(cut.map(({ torquesNm }) => torquesNm)).toEqual([[], [], [9]]);
    expect(pieces(byHand('strip', 'strip', 'strip', LONGEST_PIECE))).toHaveLength(1);
    expect(pieces(wait('soak', 'clean', 'soaks', 900))).toHaveLength(1);
  });
});

describe('a bay', () => {
  it('is taken by what is in pieces', () => {
    expect(needsBay(job())).toBe(true);
    expect(standsInside(job(pin))).toBe(false);
    expect(standsInside(job(pin, off('plug')))).toBe(true);
  });
});

describe('what was expected of a job that is done', () => {
  it('is what it would have been from the beginning', () => {
    const whole = expectedByStage(job(pin, decided, off('plug'), off('cover')));
    const stages = whole.map(({ stage }) => stage);
    expect(stages).toEqual(expect.arrayContaining(['complaint', 'diagnose', 'strip', 'clean', 'refit', 'hand-over']));
    const strip = whole.find(({ stage }) => stage === 'strip')!.minutes;
    // Put back meanwhile, it was to come off all the same.
    const later = expectedByStage(job(pin, decided, off('plug'), off('cover'), back('cover')));
    expect(later.find(({ stage }) => stage === 'strip')!.minutes).toBe(strip);
  });
});

describe('who does what', () => {
  it('follows the role until somebody says otherwise', () => {
    expect(usualSkills('lead')).toEqual(Object.keys(SKILLS));
    expect(usualSkills('apprentice')).not.toContain('sign-off');
    expect(usualSkills('parts')).toEqual([]);
    expect(SKILL_OF['hand-over']).toBe('sign-off');
  });
});
