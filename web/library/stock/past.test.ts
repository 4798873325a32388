import { describe, expect, it } from 'vitest';
import { pastOf } from './past.ts';

describe('what came and went', () => {
  it('is one list, newest first, with its sign and whose it was', () => {
    const past = pastOf({
      movements: [
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
      ],
      arrivals: [{ at: '2026-05-13T11:00:00.000Z', quantity: 1, jobId: 'a', number: 231 }],
      uses: [{ at: '2026-05-13T10:00:00.000Z', quantity: 2, jobId: 'b', number: 230 }],
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
});
