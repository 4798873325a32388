/** A line of the table. */
export interface Measured {
  readonly what: string;
  readonly measured: string;
  readonly wanted: string;
  readonly met: boolean;
}

/** A duration as it is printed. */
export const ms = (value: number): string => `${value < 10 ? value.toFixed(2) : value.toFixed(0)} ms`;
/** The middle value. */
export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
/** The value below which a share of the others lies. */
export const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? 0;
/** How long some work takes, each time, ms. */
export const time = (work: () => void, times: number): number[] =>
  Array.from({ length: times }, () => {
    const from = performance.now();
    work();
    return performance.now() - from;
  });
