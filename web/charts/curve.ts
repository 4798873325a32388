/** Colours of the theme that a curve may be drawn in, by their names in the style sheet. */
export type Tone = 'ink' | 'soft' | 'line' | 'brass' | 'harbour' | 'moss' | 'oxide' | 'alarm' | 'bottle' | 'paper';
/** The colours of the theme in force, as `#rrggbb`. */
export type Colours = Readonly<Record<Tone, string>>;

/** One line of a curve; its points run from left to right. */
export interface CurveLine {
  readonly name: string;
  readonly tone: Tone;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  /** Not yet so: drawn dashed. */
  readonly expected?: boolean;
  /** Its points are shown: they are few, and each was measured. */
  readonly dots?: boolean;
  /** Down to the foot of the chart. */
  readonly filled?: boolean;
}

/** A straight mark across the chart, with its words. */
export interface CurveMark {
  readonly axis: 'x' | 'y';
  readonly at: number;
  readonly words: string;
  readonly tone: Tone;
}

/** One axis: what is on it, from where to where, a tick at every step, and how a value of it is said. */
export interface CurveAxis {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly step: number;
  readonly say: (value: number) => string;
}

/** A curve over time or against a scale, without its colours. */
export interface Curve {
  /** What it shows, as a sentence for those who cannot see it. */
  readonly words: string;
  readonly lines: readonly CurveLine[];
  readonly marks: readonly CurveMark[];
  readonly x: CurveAxis;
  readonly y: CurveAxis;
}

/** The values of an axis that have a tick. */
export function ticksOf({ from, to, step }: CurveAxis): readonly number[] {
  const count = Math.floor((to - from) / step + 1e-9);
  return Array.from({ length: count + 1 }, (_, index) => from + index * step);
}

/** A curve as figures: at every tick of x the value of the nearest point of each line, null where a line does not reach. */
export function figuresOf(
  curve: Curve,
): readonly { readonly x: string; readonly values: readonly (string | null)[] }[] {
  return ticksOf(curve.x).map((x) => ({
    x: curve.x.say(x),
    values: curve.lines.map(({ points }) => {
      const near = points.reduce<{ x: number; y: number } | null>(
        (best, point) => (best === null || Math.abs(point.x - x) < Math.abs(best.x - x) ? point : best),
        null,
      );
      return near !== null && Math.abs(near.x - x) <= curve.x.step / 4 ? curve.y.say(near.y) : null;
    }),
  }));
}
