import { plateArea } from './orifice.ts';

/** The throttle plates of an engine. */
export interface Plates {
  readonly boreMm: number;
  /** Angle at which they close, ° from square to the bore. */
  readonly closedDeg: number;
  readonly bodies: number;
}

/** Discharge of a plate’s edge, as commonly taken for small openings. */
const EDGE_DISCHARGE = 0.7;

/** What plates let through beyond their closed gap, as effective area, mm². @param degrees above closed */
export const openPlateArea = ({ boreMm, closedDeg, bodies }: Plates, degrees: number): number =>
  EDGE_DISCHARGE * bodies * plateArea(boreMm, closedDeg + degrees, closedDeg);

/** How far plates must open to let through so much, ° above closed: the inverse of {@link openPlateArea} without a shaft. */
export function plateDegrees({ boreMm, closedDeg, bodies }: Plates, areaMm2: number): number {
  if (areaMm2 <= 0) return 0;
  const rad = Math.PI / 180;
  const cos = Math.cos(closedDeg * rad) * (1 - areaMm2 / (EDGE_DISCHARGE * bodies * (Math.PI / 4) * boreMm ** 2));
  return Math.acos(Math.min(1, Math.max(-1, cos))) / rad - closedDeg;
}
