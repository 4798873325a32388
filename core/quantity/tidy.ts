/** Removes the dust of binary arithmetic (9.1 − 0.2 is 8.9, not 8.899999…). */
export const tidy = (value: number): number => Number(value.toPrecision(12));
