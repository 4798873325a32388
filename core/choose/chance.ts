import { cureOf, sameUnit } from '../diagnose/index.ts';
import { betaQuantile } from './beta.ts';
import type { Believed, Chance, ChooseInput, Curable, OptionTerms } from './types.ts';

/** How many jobs of its own the shop must have seen before they weigh as much as the ranked causes. */
export const PRIOR_JOBS = 10;
/** No option is ever sure. */
const SUREST = 0.98;

type Place = Pick<Believed, 'cause' | 'unit'>;

/** Whether what is done to a unit, or to a kind of unit, reaches a cause where it sits. */
function reaches({ kind, unit }: OptionTerms, { unit: at }: Place, { homes }: Curable): boolean {
  if (unit) return at ? sameUnit(unit, at) : homes.includes(unit.kind);
  if (kind === undefined || homes.length === 0) return true;
  return at ? at.kind === kind : homes.includes(kind);
}

/**
 * The chance that an option cures a cause, 0 to 1, from the knowledge alone; 0 for a cause that it does not reach.
 */
export function curesAt(terms: OptionTerms, place: Place, causes: readonly Curable[]): number {
  const cause = causes.find(({ id }) => id === place.cause);
  return cause === undefined || !reaches(terms, place, cause) ? 0 : cureOf(cause, terms.id);
}

/** How long an option holds against a cause: its own life, but no longer than the cause stays away by itself. */
export function lifeAt({ life }: OptionTerms, { cause }: Place, causes: readonly Curable[], per: 'km' | 'h'): number {
  const returns = causes.find(({ id }) => id === cause)?.returns ?? null;
  return returns === null ? life : Math.min(life, returns[per]);
}

/**
 * The chance to cure: the ranked causes times how well the option treats each gives a Beta prior worth
 * {@link PRIOR_JOBS} jobs, and the shop's own results update it (conjugate: a + cured, b + came back). Two faults are
 * cured together when both are.
 */
export function chanceOf(terms: OptionTerms, input: Pick<ChooseInput, 'belief' | 'results' | 'causes'>): Chance {
  const fromCauses = Math.min(
    1,
    input.belief.reduce(
      (sum, one) =>
        sum +
        one.share *
          curesAt(terms, one, input.causes) *
          (one.with === undefined ? 1 : curesAt(terms, one.with, input.causes)),
      0,
    ),
  );
  const helps = input.belief.reduce((sum, one) => {
    const first = curesAt(terms, one, input.causes);
    const second = one.with === undefined ? 0 : curesAt(terms, one.with, input.causes);
    return sum + one.share * (1 - (1 - first) * (1 - second));
  }, 0);
  const seen = input.results.find(({ option }) => option === terms.id);
  const [cured, cameBack] = [seen?.cured ?? 0, seen?.cameBack ?? 0];
  const a = PRIOR_JOBS * fromCauses + cured;
  const b = PRIOR_JOBS * (1 - fromCauses) + cameBack;
  // A prior mean of 0 or 1 leaves no Beta; it stands as it is. What cures nothing here is not helped by luck elsewhere.
  if (fromCauses <= 0 || a <= 0 || b <= 0)
    return { mean: fromCauses, helps, fromCauses, low: fromCauses, high: fromCauses, cured, cameBack };
  return {
    mean: a / (a + b),
    helps: Math.min(1, Math.max(a / (a + b), helps)),
    fromCauses,
    low: betaQuantile(0.05, a, b),
    high: betaQuantile(0.95, a, b),
    cured,
    cameBack,
  };
}

/** The factor by which the shop's own results move a chance, wherever the option stands in a plan. */
export const ownFactor = ({ mean, fromCauses }: Chance): number => (fromCauses > 0 ? mean / fromCauses : 1);

/** A chance moved by the shop's own results; never more than nearly sure. */
export const moved = (chance: number, factor: number): number => Math.min(SUREST, chance * factor);
