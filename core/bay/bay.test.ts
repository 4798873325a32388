import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitInto, type Task } from './index.ts';

const task = (what: string, minutes: number, urgency: number): Task => ({ jobId: what, what, minutes, urgency });

describe('fitInto', () => {
  it('takes urgent tasks first and skips what does not fit', () => {
    const fit = fitInto(22, [task('check', 9, 3), task('strip', 20, 2), task('plug', 2, 0), task('level', 6, 3)]);
    expect(fit.chosen.map(({ what }) => what)).toEqual(['plug', 'strip']);
    expect(fit.minutesLeft).toBe(0);
  });
  it('never overfills a wait', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 200 }),
        fc.array(fc.record({ minutes: fc.integer({ min: 1, max: 60 }), urgency: fc.integer({ min: 0, max: 5 }) })),
        (minutes, list) => {
          const fit = fitInto(
            minutes,
            list.map((each, index) => task(String(index), each.minutes, each.urgency)),
          );
          expect(fit.chosen.reduce((sum, each) => sum + each.minutes, 0)).toBe(fit.minutesUsed);
          expect(fit.minutesUsed + fit.minutesLeft).toBe(minutes);
          expect(fit.minutesLeft).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
  it('refuses a wait that is over', () => {
    expect(() => fitInto(-1, [])).toThrow('zero minutes or more');
  });
});
