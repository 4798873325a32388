import { CONDITIONS, K_SCATTER, preload, type ThreadCondition } from './preload.ts';
import type { Thread } from './thread.ts';
import { largestPitch, smallestMajor } from './tolerance.ts';
import type { TorqueSpec } from './types.ts';

/** Shear strength of what a thread is cut into. */
export interface ThreadStrength {
  readonly name: string;
  /** MPa. */
  readonly shearMpa: number;
  /** Null is shown as *shop figure, verify*. */
  readonly source: string | null;
}

/** 0.6 of the least tensile strength of a common grade, by the distortion-energy rule rounded up; edit for your castings. */
export const STRENGTHS = {
  'die-cast-aluminium': {
    name: 'die-cast aluminium',
    shearMpa: 144,
    source: '0.6 × 240 MPa, EN 1706 AC-46000, pressure die cast',
  },
  'wrought-aluminium': { name: 'wrought aluminium', shearMpa: 177, source: '0.6 × 295 MPa, EN 755-2 AW-6082 T6' },
  magnesium: { name: 'magnesium', shearMpa: 120, source: '0.6 × 200 MPa, EN 1753 MC21120' },
  'pa66-gf30': { name: 'PA66-GF30', shearMpa: 55, source: null },
  'brass-insert': { name: 'brass insert', shearMpa: 258, source: '0.6 × 430 MPa, EN 12164 CuZn39Pb3' },
  'cast-iron': { name: 'cast iron', shearMpa: 150, source: '0.6 × 250 MPa, EN 1561 GJL-250' },
  steel: { name: 'mild steel', shearMpa: 216, source: '0.6 × 360 MPa, EN 10025 S235' },
} as const satisfies Record<string, ThreadStrength>;
/** The id of a material. */
export type ThreadMaterial = keyof typeof STRENGTHS;

/** What an internal thread holds before it shears. */
export interface ThreadStrip {
  readonly areaMm2: number;
  readonly stripLoadN: number;
}

/**
 * Internal thread shear area π·d_min·Le·(½ + 0.57735·(d_min − D₂max)/P) by FED-STD-H28/2B, times the shear strength;
 * d_min is the smallest major diameter of the bolt (6g), D₂max the largest pitch diameter of the nut thread (6H). The
 * basic profile would promise a third more than the worst pair within tolerance holds.
 * @param options.thread mm
 * @param options.engagement length of thread in grip, mm
 * @param options.material an id, or a strength of your own
 * @throws RangeError when the engagement is not positive
 */
export function threadStrip(options: {
  thread: Thread;
  engagement: number;
  material: ThreadMaterial | ThreadStrength;
}): ThreadStrip {
  const { thread, engagement } = options;
  if (!(engagement > 0)) throw new RangeError(`Expected an engagement of more than 0 mm, got ${engagement}.`);
  const strength: ThreadStrength =
    typeof options.material === 'string' ? STRENGTHS[options.material] : options.material;
  const major = smallestMajor(thread);
  const areaMm2 = Math.PI * major * engagement * (0.5 + (0.57735 * (major - largestPitch(thread))) / thread.pitch);
  return { areaMm2, stripLoadN: areaMm2 * strength.shearMpa };
}

/** How far a thread is from stripping. */
export interface StripMargin {
  /** Strip load over the hardest pull that the band allows. */
  readonly margin: number;
  readonly verdict: 'holds' | 'little to spare' | 'will strip';
  readonly words: string;
}

/** Below this a thread has little to spare; below one it strips. */
export const MARGIN_WANTED = 1.5;

/** Strip load over the pull at the top of the band with the lowest nut factor of that condition. */
export function stripMargin(
  spec: TorqueSpec,
  options: {
    thread: Thread;
    engagement: number;
    material: ThreadMaterial | ThreadStrength;
    condition: ThreadCondition;
  },
): StripMargin {
  const k = CONDITIONS[options.condition].k * (1 - K_SCATTER);
  const hardest = preload({ torque: spec.highNm, diameter: options.thread.diameter, k }).newtons;
  const margin = threadStrip(options).stripLoadN / hardest;
  const said = margin.toFixed(1);
  if (margin < 1)
    return {
      margin,
      verdict: 'will strip',
      words: `Stop: at the top of the band the thread may pull out (${said} × its load). Check figure, engagement and wetness.`,
    };
  if (margin < MARGIN_WANTED)
    return {
      margin,
      verdict: 'little to spare',
      words: `Little to spare: ${said} × the load. Use the bottom of the band and a small wrench.`,
    };
  return { margin, verdict: 'holds', words: `The thread holds ${said} × the hardest pull.` };
}
