import { describe, expect, it } from 'vitest';
import { departure, HOUSE_QUESTIONS, ruleFor, ruleProblem, schoolOfChoice } from './index.ts';

describe('house rules', () => {
  it('ask sixteen plain questions, each with schools that say what they cost', () => {
    expect(HOUSE_QUESTIONS).toHaveLength(16);
    for (const { question, schools } of HOUSE_QUESTIONS) {
      expect(question).toMatch(/\?$/);
      expect(schools.length).toBeGreaterThanOrEqual(2);
      for (const { costs } of schools) expect(costs).toMatch(/\.$/);
    }
    expect(new Set(HOUSE_QUESTIONS.map(({ id }) => id)).size).toBe(16);
  });
  it('hold where they are set, and only there', () => {
    expect(ruleFor({ gasket: 'renew' }, 'gasket')?.name).toBe('Renew it, dry');
    expect(ruleFor({}, 'gasket')).toBeNull();
    expect(ruleFor({ gasket: 'glue' }, 'gasket')).toBeNull();
    expect(ruleProblem('gasket', 'renew')).toBeNull();
    expect(ruleProblem('gasket', 'glue')).toMatch(/Renew it, dry; .*Reuse it/);
    expect(ruleProblem('tea', 'black')).toMatch(/no question “tea”/);
  });
  it('notice when a choice departs from them', () => {
    expect(departure({ where: 'off' }, 'clean-in-place')?.rule.id).toBe('off');
    expect(departure({ where: 'off' }, 'clean-bench')).toBeNull();
    expect(departure({}, 'clean-in-place')).toBeNull();
    expect(departure({ where: 'off' }, 'replace')).toBeNull();
    expect(schoolOfChoice('clean-bench')).toEqual({ question: 'where', school: 'off' });
  });
});
