import { pointOf } from './points.ts';
import type { Cure, PointVerdict } from './types.ts';
import { upperFirst } from '../words/index.ts';

/** A judged finding, as far as the choice hangs on it. */
export interface Judged {
  readonly unit: string;
  readonly point: string;
  readonly verdict: PointVerdict;
  readonly cure: Cure | null;
  readonly words: string;
}

/** What the findings say to a choice that was made. */
export interface Objection {
  readonly unit: string;
  /** “The plate is bent: cleaning will not cure it.” */
  readonly words: string;
  readonly needs: Cure;
}

const REACH: Readonly<Record<Cure, number>> = { clean: 0, renew: 0, rebuild: 1, replace: 2 };
/** How far each choice goes. */
const CHOICE_REACH: Readonly<Record<string, number>> = {
  relearn: -1,
  'clean-in-place': 0,
  'clean-bench': 0,
  rebuild: 1,
  replace: 2,
  'replace-rebuilt': 2,
  'replace-used': 2,
};
const DOES: Readonly<Record<string, string>> = {
  relearn: 'a relearn',
  'clean-in-place': 'cleaning',
  'clean-bench': 'cleaning',
  rebuild: 'a rebuild',
};

/**
 * What on the bench speaks against the choice: every bad finding whose cure lies beyond it. Cleaning takes off deposit
 * and frees what sticks, a rebuild also renews rings, springs and sensors, and no more.
 * @param choice the option that was decided for; one that does not touch the unit has no objection
 */
export function objections(choice: string, judged: readonly Judged[]): Objection[] {
  const reach = CHOICE_REACH[choice];
  if (reach === undefined) return [];
  return judged.flatMap(({ unit, point, verdict, cure, words }) =>
    verdict === 'bad' && cure !== null && REACH[cure] > reach
      ? [
          {
            unit,
            needs: cure,
            words: `${pointOf(point)?.name ?? point}: ${words.replace(/\.$/, '')}. ${DOES[choice] === undefined ? 'This choice' : upperFirst(DOES[choice])} will not cure that.`,
          },
        ]
      : [],
  );
}
