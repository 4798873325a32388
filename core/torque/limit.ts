import { CONDITIONS, PROOF_STRESS, type PropertyClass } from './preload.ts';
import { STRENGTHS, type ThreadMaterial, threadStrip } from './strip.ts';
import { stressArea, type Thread } from './thread.ts';

/** What is taken for true where nobody has said it: the weakest that is common under a bonnet. */
export const ASSUMED = { grade: '8.8', material: 'die-cast-aluminium', depths: 1.5 } as const satisfies {
  readonly grade: PropertyClass;
  readonly material: ThreadMaterial;
  /** Engagement in diameters. */
  readonly depths: number;
};

/** The most that a thread may be given, and what sets it. */
export interface TorqueLimit {
  readonly nm: number;
  readonly by: 'bolt' | 'thread';
  /** “8.8, 9 mm into die-cast aluminium, dry” */
  readonly words: string;
}

/** A bolt is not pulled beyond this share of its proof load (Bickford). */
const OF_PROOF = 0.9;

/**
 * The torque above which a bolt is pulled for good or its thread shears, whichever comes first, in a dry
 * thread: a limit, never a figure to aim at. Proof stress by ISO 898-1, shear area by FED-STD-H28/2B.
 * @param known what is known of it; what is left out is {@link ASSUMED}
 */
export function torqueLimit(
  thread: Thread,
  known: {
    readonly grade?: PropertyClass | undefined;
    readonly hole?: { readonly material: ThreadMaterial; readonly engagementMm: number } | undefined;
  } = {},
): TorqueLimit {
  const grade = known.grade ?? ASSUMED.grade;
  const material = known.hole?.material ?? ASSUMED.material;
  const engagement = known.hole?.engagementMm ?? thread.diameter * ASSUMED.depths;
  const bolt = OF_PROOF * stressArea(thread) * PROOF_STRESS[grade];
  const hole = threadStrip({ thread, engagement, material }).stripLoadN;
  const { k } = CONDITIONS.dry;
  return {
    nm: (Math.min(bolt, hole) * k * thread.diameter) / 1000,
    by: bolt <= hole ? 'bolt' : 'thread',
    words: `class ${grade}, ${Number(engagement.toFixed(1))} mm into ${STRENGTHS[material].name}, dry`,
  };
}
