import { describe, expect, it } from 'vitest';
import type { VisitFigure } from '../../contract/index.ts';
import { format } from '../../core/quantity/index.ts';
import { kindsOf, visitCurve, visitsOf } from './visitCurves.ts';

const row = (
  number: number,
  reading: number,
  kind: VisitFigure['kind'],
  when: 'before' | 'after',
  value: number,
): VisitFigure => ({
  kind,
  when,
  value,
  sd: null,
  jobId: `job-${number}`,
  number,
  reading,
  readingUnit: 'km',
  openedAt: '2026-05-13T08:00:00.000Z',
  choice: number === 12 ? '' : 'clean-bench',
});
const ROWS = [
  row(8, 120_000, 'gap-area', 'before', 1.6),
  row(8, 120_000, 'gap-area', 'after', 4.4),
  row(12, 148_000, 'gap-area', 'before', 1.4),
  row(12, 148_000, 'swing', 'before', 140),
];

describe('figures over the visits of a vehicle', () => {
  it('run along the distance, down between visits and back at each', () => {
    expect(kindsOf(ROWS)).toEqual(['swing', 'gap-area']);
    const curve = visitCurve(ROWS, 'gap-area')!;
    expect(curve.lines[0]!.points).toEqual([{ x: 120_000, y: 1.6 }, { x: 120_000, y: 4.4 }, { x: 148_000, y: 1.4 }]); // prettier-ignore
    expect(curve.marks.map(({ at, words }) => [at, words])).toEqual([[120_000, '8'], [148_000, '12']]); // prettier-ignore
    expect(curve.x.from).toBeLessThan(120_000);
    expect(curve.x.say(148_000)).toBe(format({ value: 148_000, unit: 'km' }));
    // One point is no curve; it stands in the table.
    expect(visitCurve(ROWS, 'swing')).toBeNull();
  });
  it('stand in a table with the work of each visit', () => {
    expect(visitsOf(ROWS, 'gap-area')).toMatchObject([
      { number: 8, before: '1.6 mm²', after: '4.4 mm²', work: 'Clean on the bench' },
      { number: 12, before: '1.4 mm²', after: '—', work: 'not decided' },
    ]);
    expect(visitsOf(ROWS, 'swing')).toMatchObject([{ number: 12, before: '±140 rpm' }]);
  });
});
