/** A million crowns in minor units: more is a slip of the finger. */
export const DEAREST = 100_000_000;
