/** What was seen of the deposit at one visit, each part where it was seen. */
export interface FoulingSeen {
  /** Worst grade of the deposit, 0 (clean) to 4 (coked). */
  readonly grade: number | null;
  /** Idle air that the deposit had taken: what cleaning gave back, mm², zero or more. */
  readonly lostMm2: number | null;
  /** How far the valve or the computer had to open more than when it was clean, per cent of duty. */
  readonly extraDuty: number | null;
}

/** A level of fouling: 0 is clean, 1 is when it is due, more is late; and how sure that is. */
export interface FoulingLevel {
  readonly level: number;
  /** Standard deviation. */
  readonly sd: number;
}

/** What makes it due: our own convention, to be set right by a shop's own lessons. */
export const DUE_AT = { grade: 3, mm2: 6, duty: 12 } as const;
/** How far off each way of seeing it is, in levels: a grade is coarse, mm² carry their own uncertainty, duty has other reasons too. */
const SD = { grade: 0.2, mm2: 0.15, duty: 0.25 } as const;

/** The level of fouling by all that was seen, each weighed by how sure it is; null where nothing was. */
export function foulingLevel({ grade, lostMm2, extraDuty }: FoulingSeen): FoulingLevel | null {
  const parts = [
    ...(grade === null ? [] : [{ level: grade / DUE_AT.grade, sd: SD.grade }]),
    ...(lostMm2 === null ? [] : [{ level: Math.max(0, lostMm2) / DUE_AT.mm2, sd: SD.mm2 }]),
    ...(extraDuty === null ? [] : [{ level: Math.max(0, extraDuty) / DUE_AT.duty, sd: SD.duty }]),
  ];
  if (parts.length === 0) return null;
  const weight = parts.reduce((sum, { sd }) => sum + 1 / sd ** 2, 0);
  return {
    level: parts.reduce((sum, { level, sd }) => sum + level / sd ** 2, 0) / weight,
    sd: Math.sqrt(1 / weight),
  };
}
