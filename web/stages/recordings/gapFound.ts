import { type IdleArea, recovered, type Recovered } from '../../../core/airflow/index.ts';
import { type FigureSeen, figureSeen, type Job } from '../../../core/job/index.ts';

/** Idle air before and after the work, and what was found again. */
export interface GapFound {
  readonly before: number;
  readonly after: number;
  readonly found: Recovered;
  /** Bore that it is drawn in, mm. */
  readonly boreMm: number;
}

/** What of an area is the sensor’s own error, the same both times, as a share. */
const COMMON = 0.05;
const USUAL_BORE_MM = 50;

const areaOf = ({ value, sd }: FigureSeen): IdleArea => ({
  total: { value, sd: sd ?? 0 },
  governed: { value: 0, sd: 0 },
  ungoverned: { value, sd: sd ?? 0 },
  commonError: value > 0 ? Math.min(COMMON, (sd ?? 0) / value) : 0,
  by: 'air mass',
});

/** Gap and leaks as the last recordings before and after show them; null where either does not. */
export function gapFound(job: Job): GapFound | null {
  const [before, after] = [figureSeen(job, 'gap-area', 'before'), figureSeen(job, 'gap-area', 'after')];
  if (before === null || after === null) return null;
  const bore = job.vehicle.units.map(({ features }) => features?.portMm).find((each) => typeof each === 'number');
  return {
    before: before.value,
    after: after.value,
    found: recovered(areaOf(before), areaOf(after)),
    boreMm: bore ?? USUAL_BORE_MM,
  };
}
