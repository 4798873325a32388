import { type Glycol, shareForFreezePoint } from './glycol.ts';

/** Litres a hose or unit lets go when nothing is said of it: a heater-loop hose, tied up. Shop convention. */
export const USUAL_LOSS_L = 0.25;
/** What really comes differs by so much from what is expected. Shop convention. */
const SPREAD = 0.4;

/** A place where coolant came out. */
export interface OpenedHose {
  readonly name: string;
  /** Litres that come when it is opened; null when nobody has said. */
  readonly litres: number | null;
}

/** What should have come out, litres. */
export interface ExpectedLoss {
  readonly low: number;
  readonly high: number;
  readonly middle: number;
  /** Hoses of which the amount was assumed. */
  readonly assumed: readonly string[];
}

/** What the opened hoses let go. Nothing opened: nothing expected. */
export function expectedLoss(opened: readonly OpenedHose[]): ExpectedLoss {
  const middle = opened.reduce((sum, { litres }) => sum + (litres ?? USUAL_LOSS_L), 0);
  return {
    middle,
    low: middle * (1 - SPREAD),
    high: middle * (1 + SPREAD),
    assumed: opened.filter(({ litres }) => litres === null).map(({ name }) => name),
  };
}

/** What the caught amount says against what was expected, or null when it says nothing. @param caught litres */
export function lossQuestion(caught: number, { low, high, middle }: ExpectedLoss): string | null {
  const said = (value: number): string => `${value.toFixed(2)} L`;
  if (middle === 0) return caught > 0 ? `${said(caught)} was caught although no hose came off: what was opened?` : null;
  if (caught === 0) return `About ${said(middle)} came out with the hoses: how much was caught?`;
  if (caught < low)
    return `Only ${said(caught)} was caught where about ${said(middle)} comes out: spilled, or low before?`;
  return caught > high
    ? `${said(caught)} was caught where about ${said(middle)} comes out: was another hose opened?`
    : null;
}

/**
 * The share of antifreeze by volume from a freeze point read in a refractometer.
 * @param scale the scale that was read; each glycol has its own, and the other's is wrong by several degrees
 * @param celsius 0 down to the end of the table
 * @throws RangeError in words for the wrong scale or a reading beyond the table
 */
export function shareFromRefractometer(glycol: Glycol, scale: Glycol, celsius: number): number {
  if (glycol !== scale)
    throw new RangeError(`This system holds ${glycol} glycol: read the ${glycol} scale, not the ${scale} one.`);
  return shareForFreezePoint(glycol, celsius);
}
