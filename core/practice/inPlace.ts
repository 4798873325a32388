import { type OptionId, USUAL } from '../choose/index.ts';
import type { Cause, Knowledge } from '../diagnose/index.ts';

/** Options by which something is put right where it sits, without a unit coming off. */
const IN_PLACE: readonly OptionId[] = ['adjust', 'remove', 'elsewhere'];

/** The option by which a cause is put right where it sits; null where that takes a unit off, or a relearn. */
export const inPlaceOf = ({ cures }: Pick<Cause, 'cures'>): OptionId | null =>
  IN_PLACE.find((option) => cures.some((cure) => cure.option === option)) ?? null;

/** What putting a cause right where it sits usually takes, min; nothing for what is not put right there. */
export function mendMinutes(cause: string, { causes }: Pick<Knowledge, 'causes'>): number {
  const found = causes.find(({ id }) => id === cause);
  const option = found === undefined ? null : inPlaceOf(found);
  return option === null ? 0 : USUAL[option].minutes;
}
