/** Light seen in one sector of the closed plate's edge. */
export type LightMark = 0 | 1 | 2;
/** Sectors of the circle, the first at the top, clockwise as looked at from the front. */
export const LIGHT_SECTORS = 12;
/** What a mark means. */
export const LIGHT_NAMES = ['none', 'thin line', 'wide'] as const;

/** What the ring of light says. */
export interface LightResult {
  readonly verdict: 'even' | 'blocked' | 'patchy' | 'one-sided' | 'two-sided' | 'wide';
  readonly even: boolean;
  /** Strength of the first and second harmonic against the mean, 0 when even. */
  readonly tilt: number;
  readonly oval: number;
  /** Hour of the clock at which the light is widest; null when it is nowhere. */
  readonly widestAt: number | null;
  readonly words: string;
}

/** Above this share of the mean a harmonic is a shape and no longer noise of the eye. Shop convention. */
export const LIGHT_SHAPE = 0.45;

/** Amplitude and phase of one harmonic of the ring, against the mean. */
function harmonic(marks: readonly number[], order: number): { size: number; angle: number } {
  const [x, y] = marks.reduce<readonly [number, number]>(
    ([sumX, sumY], mark, index) => {
      const angle = (2 * Math.PI * order * index) / marks.length;
      return [sumX + mark * Math.cos(angle), sumY + mark * Math.sin(angle)];
    },
    [0, 0],
  );
  const mean = marks.reduce((sum, mark) => sum + mark, 0);
  return mean === 0 ? { size: 0, angle: 0 } : { size: Math.hypot(x, y) / mean, angle: Math.atan2(y, x) };
}

/**
 * Reads the closed-gap light test. A thin line all round is right. None at all: deposit seals it (or the stop is too
 * low). Wide on one side: plate bent or body warped. Wide on two opposite sides: bore out of round, or plate tilted on
 * its shaft. The ring is split into its first and second harmonic, as any round part is judged for runout and ovality.
 * @param marks twelve, 0 none, 1 thin, 2 wide
 * @param shape what a shop has instead of {@link LIGHT_SHAPE}, 0 to 1
 * @throws RangeError for another number of sectors or another mark
 */
export function readLight(marks: readonly number[], shape = LIGHT_SHAPE): LightResult {
  if (marks.length !== LIGHT_SECTORS) throw new RangeError(`Expected ${LIGHT_SECTORS} sectors, got ${marks.length}.`);
  const wrong = marks.find((mark) => mark !== 0 && mark !== 1 && mark !== 2);
  if (wrong !== undefined) throw new RangeError(`Expected none, thin or wide (0, 1, 2), got ${wrong}.`);
  const first = harmonic(marks, 1);
  const second = harmonic(marks, 2);
  const hour = Math.round(((first.angle / (2 * Math.PI)) * 12 + 12) % 12) || 12;
  const result = (verdict: LightResult['verdict'], words: string): LightResult => ({
    verdict,
    even: verdict === 'even',
    tilt: first.size,
    oval: second.size,
    widestAt: marks.every((mark) => mark === 0) ? null : hour,
    words,
  });
  const dark = marks.filter((mark) => mark === 0).length;
  const wide = marks.filter((mark) => mark === 2).length;
  if (dark === marks.length)
    return result('blocked', 'No light at all: deposit seals the gap, or the plate is not on its stop.');
  if (wide === marks.length) return result('wide', 'Wide all round: the plate does not close, or the stop was turned.');
  if (first.size >= shape && wide > 0)
    return result('one-sided', `Wide at ${hour} o’clock, closed opposite: plate bent or body warped.`);
  if (second.size >= shape && wide > 0)
    return result('two-sided', 'Wide on two opposite sides: bore out of round, or the plate tilted on its shaft.');
  if (dark === 0 && wide <= 2) return result('even', 'Thin and even all round, as it should be.');
  return result(
    'patchy',
    dark === 0 ? 'Uneven: wide in places.' : `Dark in ${dark} of ${marks.length} places: deposit there.`,
  );
}
