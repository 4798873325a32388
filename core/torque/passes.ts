import type { TorqueSpec } from './types.ts';

/** One round over all bolts of a group. */
export interface TorquePass {
  /** 1-based; pass 0 is by hand. */
  readonly number: number;
  readonly kind: 'by hand' | 'staged' | 'final' | 'angle' | 'confirm';
  /** N·m to set, null for by hand and angle. */
  readonly torqueNm: number | null;
  readonly angleDeg: number | null;
  readonly words: string;
}

/** How many passes are recorded bolt by bolt: each fraction, and the angle where the source gives one. */
export const passCount = (spec: TorqueSpec | null, fractions: readonly number[]): number =>
  fractions.length + (spec !== null && spec.angleDeg !== null ? 1 : 0);

/**
 * The passes for a group: start all by hand, then each fraction of the target, then the angle if the source gives
 * one, else one confirming round at the target.
 * @param options.fractions shares of the target, rising, the last being 1; default ½ and 1
 * @throws RangeError when the fractions do not rise to 1
 */
export function passes(
  spec: TorqueSpec,
  options: { fractions?: readonly number[]; angle?: number } = {},
): TorquePass[] {
  const fractions = options.fractions ?? [0.5, 1];
  const rising = fractions.every((share, index) => share > (fractions[index - 1] ?? 0) && share <= 1);
  if (!rising || fractions.at(-1) !== 1)
    throw new RangeError(`Expected fractions that rise to 1, got ${fractions.join(', ')}.`);
  const angleDeg = options.angle ?? spec.angleDeg;
  const staged = fractions.map((share, index): TorquePass => ({
    number: index + 1,
    kind: share === 1 ? 'final' : 'staged',
    torqueNm: share * spec.targetNm,
    angleDeg: null,
    words: share === 1 ? 'crosswise, to the figure' : `crosswise, to ${Math.round(share * 100)} %`,
  }));
  const last: TorquePass =
    angleDeg === null
      ? {
          number: staged.length + 1,
          kind: 'confirm',
          torqueNm: spec.targetNm,
          angleDeg: null,
          words: 'once round at the figure; none should move',
        }
      : { number: staged.length + 1, kind: 'angle', torqueNm: null, angleDeg, words: `then ${angleDeg}° further` };
  return [
    { number: 0, kind: 'by hand', torqueNm: null, angleDeg: null, words: 'start every one by hand' },
    ...staged,
    last,
  ];
}
