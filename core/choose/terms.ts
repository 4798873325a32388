import type { EngineFamily, UnitObjectKind } from '../vehicle/index.ts';
import type { OptionId, OptionTerms } from './types.ts';

/** Minutes and consumables of each option where nothing better is known. Shop figures, to be verified. */
export const USUAL: Readonly<
  Record<
    OptionId,
    { readonly minutes: number; readonly consumablesMinor: number; readonly lifeKm: number; readonly lifeH: number }
  >
> = {
  relearn: { minutes: 25, consumablesMinor: 0, lifeKm: 120_000, lifeH: 800 },
  'clean-in-place': { minutes: 45, consumablesMinor: 600, lifeKm: 25_000, lifeH: 150 },
  'clean-bench': { minutes: 130, consumablesMinor: 1400, lifeKm: 70_000, lifeH: 400 },
  rebuild: { minutes: 190, consumablesMinor: 1800, lifeKm: 110_000, lifeH: 700 },
  replace: { minutes: 100, consumablesMinor: 800, lifeKm: 180_000, lifeH: 1200 },
  'replace-rebuilt': { minutes: 100, consumablesMinor: 800, lifeKm: 130_000, lifeH: 900 },
  'replace-used': { minutes: 110, consumablesMinor: 800, lifeKm: 60_000, lifeH: 350 },
  elsewhere: { minutes: 90, consumablesMinor: 0, lifeKm: 120_000, lifeH: 800 },
};

/** Seals and screws of a rebuild, and the gasket of a bench clean, minor units. */
const SMALL_PARTS: Readonly<Partial<Record<OptionId, number>>> = {
  'clean-bench': 700,
  rebuild: 3400,
  'clean-in-place': 0,
};

/**
 * Terms of every option for one unit of a family. Prices of units come from the family; where it has none they are
 * unknown, not nothing.
 * @param kind the unit that the leading cause points at
 */
export function usualTerms(family: EngineFamily | null, kind: UnitObjectKind, per: 'km' | 'h'): OptionTerms[] {
  const type = family?.unitTypes.find((each) => each.kind === kind) ?? null;
  const prices: Readonly<Partial<Record<OptionId, number | null>>> = {
    replace: type?.prices.new ?? null,
    'replace-rebuilt': type?.prices.rebuilt ?? null,
    'replace-used': type?.prices.used ?? null,
  };
  return (Object.keys(USUAL) as OptionId[]).map((id) => {
    const { minutes, consumablesMinor, lifeKm, lifeH } = USUAL[id];
    const partsMinor = id in prices ? (prices[id] ?? null) : (SMALL_PARTS[id] ?? 0);
    const daysOff = id === 'replace' ? (type?.daysToGet ?? 0) : 0;
    return { id, partsMinor, consumablesMinor, minutes, daysOff, life: per === 'km' ? lifeKm : lifeH };
  });
}
