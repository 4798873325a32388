import { describe, expect, it } from 'vitest';
import { pastOf, readOn } from './past.ts';

const page = <T>(rows: readonly T[], next: string | null = null) => ({ rows, next });

describe('what came and went', () => {
  it('is one list, newest first, with its sign and whose it was', () => {
    const past = pastOf({
      movements: page([
        {
          at: '2026-05-13T09:00:00.000Z',
          by: 'wen',
          kind: 'counted',
          change: -1,
          batch: '',
          bestBefore: null,
          note: 'one torn',
        },
        { at: '', by: 'shop', kind: 'counted', change: 3, batch: '', bestBefore: null, note: '' },
      ]),
      arrivals: page([{ at: '2026-05-13T11:00:00.000Z', quantity: 1, jobId: 'a', number: 231 }]),
      uses: page([{ at: '2026-05-13T10:00:00.000Z', quantity: 2, jobId: 'b', number: 230 }]),
    });
    expect(past.map(({ change, words, job }) => [change, words, job?.number ?? null])).toEqual([
      [1, 'Came for', 231],
      [-2, 'Used on', 230],
      [-1, 'Counted', null],
      [3, 'Counted', null],
    ]);
    expect(past.reduce((sum, { change }) => sum + change, 0)).toBe(1);
    expect(past[2]).toMatchObject({ by: 'wen', note: 'one torn' });
  });
  it('goes back only as far as all of it was read, and says which to read on', () => {
    const use = (at: string) => ({ at, quantity: 1, jobId: 'b', number: 230 });
    const past = {
      movements: page([]),
      arrivals: page([use('2026-05-03'), use('2026-05-01')], 'more'),
      uses: page([use('2026-05-04'), use('2026-05-02')], 'more'),
    };
    expect(readOn(past)).toBe('uses');
    expect(pastOf(past).map(({ at }) => at)).toEqual(['2026-05-04', '2026-05-03', '2026-05-02']);
    const read = { ...past, uses: page([...past.uses.rows, use('2026-04-01')]) };
    expect(readOn(read)).toBe('arrivals');
    expect(pastOf(read).map(({ at }) => at)).not.toContain('2026-04-01');
    expect(readOn({ ...read, arrivals: page([]) })).toBeNull();
  });
});
