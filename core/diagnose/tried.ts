import { UNIT_KINDS, type UnitObjectKind } from '../vehicle/index.ts';
import { CHANCE } from './likelihood.ts';
import { OPTION_IDS, type OptionId } from './options.ts';
import type { Cause, Finding } from './types.ts';
import type { UnitRef } from './subject.ts';

/** Something that was done about it, here, in an earlier job, or by somebody else. */
export interface Attempt {
  readonly option: OptionId;
  /** The unit it was done on; null when nobody said which. */
  readonly unit: UnitRef | null;
  /** Whether what is complained of went away. What came back later still helped. */
  readonly helped: boolean;
  /** How long ago: distance in km, running hours, days; null where it is not known. */
  readonly ago: { readonly km: number | null; readonly h: number | null; readonly days: number | null };
}

/** Distance, hours and days after which an attempt says half as much, in bits. Days where nothing else is known. */
export const HALVES = { km: 20_000, h: 150, days: 365 } as const;

/** What an attempt still counts, 0 to 1. Unknown age counts as now. */
export function attemptWeight({ km, h, days }: Attempt['ago']): number {
  const halvings = km !== null ? km / HALVES.km : h !== null ? h / HALVES.h : days !== null ? days / HALVES.days : 0;
  return 2 ** -Math.max(0, halvings);
}

/** How often an option cures a cause, 0 to 1. Here never means never: no amount of relearning flattens a body. */
export function cureOf({ cures }: Pick<Cause, 'cures'>, option: OptionId): number {
  const word = cures.find((cure) => cure.option === option)?.word;
  return word === undefined || word === 'never' ? 0 : CHANCE[word];
}

/** Signs of attempts begin so; no sign of the knowledge may. */
export const TRIED = 'tried:';
/** The sign that an attempt is: of an option, on a kind of unit where that is known. */
export const triedSign = (option: OptionId, kind: UnitObjectKind | null): string =>
  kind === null ? `${TRIED}${option}` : `${TRIED}${option}@${kind}`;

/** An attempt as a finding: it is weighed like what is seen. */
export const attemptFinding = ({ option, unit, helped, ago }: Attempt): Finding => ({
  sign: triedSign(option, unit?.kind ?? null),
  outcome: helped ? 'helped' : 'still',
  unit,
  weight: attemptWeight(ago),
});

/** What a sign of an attempt is about, or null for any other sign. */
export function triedOf(sign: string): { readonly option: OptionId; readonly kind: UnitObjectKind | null } | null {
  if (!sign.startsWith(TRIED)) return null;
  const [name = '', kind = ''] = sign.slice(TRIED.length).split('@');
  const option = OPTION_IDS.find((each) => each === name);
  return option === undefined ? null : { option, kind: kind in UNIT_KINDS ? (kind as UnitObjectKind) : null };
}

/**
 * After an option that did not help, P(still there | cause) = 1 − cure(option, cause); after one that did,
 * cure(option, cause), and never nothing, for things also go away by themselves. What was done on one kind of unit does
 * nothing for a cause that sits at another.
 * @param cause null for a cause that sits at another unit
 */
export function triedChances(cause: Cause | null): [string, Readonly<Record<string, number>>][] {
  return OPTION_IDS.flatMap((option) =>
    [null, ...(Object.keys(UNIT_KINDS) as UnitObjectKind[])].map((kind): [string, Readonly<Record<string, number>>] => {
      const reaches = cause !== null && (kind === null || !ON_A_UNIT.has(option) || reachesFrom(cause, kind));
      const helped = Math.max(CHANCE.never, reaches ? cureOf(cause, option) : 0);
      return [triedSign(option, kind), { helped, still: 1 - helped }];
    }),
  );
}

/** Work on a unit; a relearn, or looking elsewhere, is done to the engine. */
const ON_A_UNIT: ReadonlySet<OptionId> = new Set([
  'remove',
  'adjust',
  'clean-in-place',
  'clean-bench',
  'rebuild',
  'replace',
  'replace-rebuilt',
  'replace-used',
]);
const reachesFrom = ({ homes }: Cause, kind: UnitObjectKind): boolean => homes.includes(kind);
