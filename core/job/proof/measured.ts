import type { Figure } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';
import type { When } from '../stamp.ts';
import { type MeasureKind, MEASURES, measureText } from './kinds.ts';

/** A measured figure with its verdict against its band; `good` is null where no band is known. */
export interface Measured {
  readonly value: number;
  /** As it is shown: with the decimals it was typed with. */
  readonly shown: string;
  readonly words: string;
  readonly good: boolean | null;
}

/** The band that a measure is judged by, or null. */
export function bandOf(job: Job, kind: MeasureKind): Figure | null {
  const { figure } = MEASURES[kind];
  return figure === null ? null : job.vehicle.figures[figure];
}

/** What was measured before or after, judged; null where it was not. */
export function measured(job: Job, kind: MeasureKind, when: When): Measured | null {
  const found = job.measurements.find((candidate) => candidate.kind === kind && candidate.when === when);
  if (found === undefined) return null;
  const { value } = found;
  const shown = measureText(found);
  const band = bandOf(job, kind);
  if (band === null) return { value, shown, words: 'no band known', good: null };
  if (value < band.low) return { value, shown, words: 'below the band', good: false };
  return value > band.high
    ? { value, shown, words: 'above the band', good: false }
    : { value, shown, words: 'in band', good: true };
}
