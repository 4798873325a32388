import { findingKey } from './model.ts';
import { sameUnit } from './subject.ts';
import type { CauseModel, Finding } from './types.ts';

/**
 * How far a cause is settled:
 * *proved* by something that was seen or measured directly; *decided* by the look that its entry names, which spoke for
 * it; *likely* from the rest alone, and to be looked at first; *ruled out* by something seen; *open*.
 */
export type Standing = 'proved' | 'decided' | 'likely' | 'ruled out' | 'open';

/** From this share a cause is acted on. */
export const SETTLES_AT = 0.75;
/** From this share a cause is called likely. */
export const LIKELY_AT = 0.5;

/** Whether a finding proves a cause where it sits. */
const provesIt = ({ provedBy, unit: at }: CauseModel, finding: Finding): boolean =>
  provedBy?.has(findingKey(finding)) === true && (!finding.unit || !at || sameUnit(finding.unit, at));

/**
 * Whether something was seen that proves this cause and no other. What proves two, or one at units that nobody told
 * apart, proves that it is one of them.
 */
export const isProved = (model: CauseModel, findings: readonly Finding[], causes: readonly CauseModel[]): boolean =>
  findings.some(
    (finding) =>
      isPresent(finding) &&
      provesIt(model, finding) &&
      causes.every((other) => other === model || !provesIt(other, finding)),
  );

/** The standing of a cause among all of them, and the look that would settle it. */
export function standingOf(
  model: CauseModel,
  findings: readonly Finding[],
  share: number,
  steps: readonly { readonly finding: Finding; readonly bits: number }[],
  causes: readonly CauseModel[],
): { readonly standing: Standing; readonly lookFirst: string | null } {
  const here = findings.filter(({ unit }) => !unit || !model.unit || sameUnit(unit, model.unit));
  if (isProved(model, here, causes)) return { standing: 'proved', lookFirst: null };
  const decides = model.decides ?? [];
  const looked = here.filter(({ sign }) => decides.includes(sign));
  const lookFirst = looked.length > 0 ? null : (decides[0] ?? null);
  if (here.some((finding) => model.ruledOutBy?.has(findingKey(finding))) && share < LIKELY_AT)
    return { standing: 'ruled out', lookFirst: null };
  const spoke = looked.some(({ sign }) => steps.some((step) => step.finding.sign === sign && step.bits > 0));
  if (share >= SETTLES_AT && spoke) return { standing: 'decided', lookFirst: null };
  return share >= LIKELY_AT ? { standing: 'likely', lookFirst } : { standing: 'open', lookFirst };
}

/** What was seen long ago, or read from history, proves nothing of today. */
const isPresent = ({ weight = 1 }: Finding): boolean => weight >= 0.5;
