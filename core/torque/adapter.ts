/** A crow-foot or extension on the square of a torque wrench. */
export interface Adapter {
  /** What the bolt should get, N·m. */
  readonly target: number;
  /** From the middle of the grip to the square, mm. */
  readonly leverLength: number;
  /** From the square to the bolt, mm. */
  readonly adapterLength: number;
  /** Between the adapter and the wrench: 0° straight on, 90° square to it, 180° folded back. */
  readonly angle: number;
}

/**
 * What to set so that the bolt gets its target: T·L / (L + E·cos θ), by the lever law. Square to the wrench an adapter
 * changes nothing.
 * @returns N·m
 * @throws RangeError when a length is not positive, or the adapter folds back as far as the grip
 */
export function withAdapter({ target, leverLength, adapterLength, angle }: Adapter): number {
  if (!(leverLength > 0)) throw new RangeError(`Expected a lever of more than 0 mm, got ${leverLength}.`);
  if (!(adapterLength >= 0)) throw new RangeError(`Expected an adapter of 0 mm or more, got ${adapterLength}.`);
  const reach = leverLength + adapterLength * Math.cos((angle * Math.PI) / 180);
  if (!(reach > 0)) throw new RangeError('The adapter folds back as far as the grip: no lever is left.');
  return (target * leverLength) / reach;
}
