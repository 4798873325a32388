import { format, torqueNm } from '../quantity/index.ts';
import type { AchievedTorque, TightenMethod, TorqueSpec } from './types.ts';

/** How one bolt came out. */
export type BoltVerdict = 'in band' | 'under' | 'over' | 'not recorded' | 'by feel' | 'no figure';

/** A verdict with its reason. */
export interface Judgement {
  readonly verdict: BoltVerdict;
  readonly words: string;
}

/**
 * Judges one bolt. A reading on the edge is in the band; a thousandth of slack absorbs unit conversion.
 * @param achieved null when nothing was recorded
 */
export function judge(
  spec: TorqueSpec,
  achieved: (AchievedTorque & { readonly method: TightenMethod }) | null,
): Judgement {
  if (achieved === null) return { verdict: 'not recorded', words: 'no figure recorded' };
  if (achieved.method === 'by-feel') return { verdict: 'by feel', words: 'by feel, a stated choice' };
  const nm = torqueNm(achieved.torque);
  const said = format(achieved.torque);
  if (nm < spec.lowNm * 0.999) return { verdict: 'under', words: `${said} is under ${spec.text}` };
  if (nm > spec.highNm * 1.001)
    return { verdict: 'over', words: `${said} is over ${spec.text}: loosen it, look at the thread, start again` };
  return { verdict: 'in band', words: `${said} is within ${spec.text}` };
}
