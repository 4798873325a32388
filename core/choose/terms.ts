import type { Believed } from './types.ts';
import type { UnitRef } from '../diagnose/index.ts';
import type { EngineFamily, UnitObjectKind } from '../vehicle/index.ts';
import { OPTION_IDS, type OptionId, type OptionTerms } from './types.ts';

/** Figures of an option where nothing better is known. Shop figures, to be verified. */
export interface UsualFigures {
  /** Hands-on minutes at the unit itself, beside the way off and back. */
  readonly benchMinutes: number;
  /** Hands-on minutes with the way off and back, where no procedure says better. */
  readonly minutes: number;
  /** Soaks and cures that nobody need stand by. */
  readonly waiting: number;
  /** Whether the unit comes off for it. */
  readonly comesOff: boolean;
  readonly consumablesMinor: number;
  readonly lifeKm: number;
  readonly lifeH: number;
  /** Of failures, the share that shows before hand-over. */
  readonly showsAtOnce: number;
}

const usual = (
  minutes: number,
  benchMinutes: number,
  waiting: number,
  comesOff: boolean,
  consumablesMinor: number,
  lifeKm: number,
  lifeH: number,
  showsAtOnce: number,
): UsualFigures => ({ minutes, benchMinutes, waiting, comesOff, consumablesMinor, lifeKm, lifeH, showsAtOnce });

/** What each option takes and holds where nothing better is known. Shop figures, to be verified. */
export const USUAL: Readonly<Record<OptionId, UsualFigures>> = {
  relearn: usual(25, 25, 0, false, 0, 120_000, 800, 0.6),
  remove: usual(20, 20, 0, false, 0, 180_000, 1200, 0.95),
  adjust: usual(40, 40, 0, false, 0, 80_000, 500, 0.9),
  'clean-in-place': usual(45, 45, 0, false, 600, 25_000, 150, 0.7),
  'clean-bench': usual(130, 40, 25, true, 1400, 70_000, 400, 0.8),
  rebuild: usual(190, 100, 25, true, 1800, 110_000, 700, 0.8),
  replace: usual(100, 30, 0, true, 800, 180_000, 1200, 0.9),
  'replace-rebuilt': usual(100, 30, 0, true, 800, 130_000, 900, 0.85),
  'replace-used': usual(110, 40, 0, true, 800, 60_000, 350, 0.75),
  elsewhere: usual(90, 90, 0, false, 0, 120_000, 800, 0.7),
};

/** Seals and screws of a rebuild, and the gasket of a bench clean, minor units a unit. */
const SMALL_PARTS: Readonly<Partial<Record<OptionId, number>>> = { 'clean-bench': 700, rebuild: 3400 };

/** Options that are done to one kind of unit: a new valve does nothing for the body. */
const BY_KIND: ReadonlySet<OptionId> = new Set([
  'clean-bench',
  'rebuild',
  'replace',
  'replace-rebuilt',
  'replace-used',
]);
/** Of those, the ones that are sensibly done to one unit of several. */
const ONE_OF_SEVERAL: ReadonlySet<OptionId> = new Set(['replace', 'replace-rebuilt', 'replace-used', 'rebuild']);

/** What has to be ordered before it can be fitted. */
const ORDERED: ReadonlySet<OptionId> = new Set(['replace', 'replace-rebuilt', 'replace-used']);

/** What the terms of a vehicle are made from. */
export interface TermsInput {
  readonly family: EngineFamily | null;
  /** Every unit of the vehicle; empty where they are not known, and then there is one throttle body. */
  readonly units: readonly UnitRef[];
  readonly belief: readonly Believed[];
  readonly per: 'km' | 'h';
  /** Hands-on minutes of the way off and back by the procedure that would be taken; null without one. */
  readonly wayMinutes: number | null;
}

/** A share of belief from which one unit of several is worth its own way. */
const POINTED_AT = 0.1;

/**
 * Terms of every option for a vehicle. Prices of units come from the family; where it has none they are unknown, not
 * nothing. Parts are multiplied by the units they are for; what comes off does so once.
 */
export function usualTerms(input: TermsInput): OptionTerms[] {
  const units = input.units.length > 0 ? input.units : [{ kind: 'throttle-body', place: 'only' } as const];
  const kinds = [...new Set(units.map(({ kind }) => kind))];
  return OPTION_IDS.flatMap((id): OptionTerms[] => {
    if (!BY_KIND.has(id)) return [termsOf(id, input, units, {})];
    // What is cleaned can be cleaned all at once; what is renewed is renewed by kind.
    const whole = id === 'clean-bench' && kinds.length > 1 ? [termsOf(id, input, units, {})] : [];
    const byKind = kinds.flatMap((kind) => {
      const all = units.filter((unit) => unit.kind === kind);
      const pointed = all.filter((unit) => pointsAt(input.belief, unit));
      return [
        termsOf(id, input, all, kinds.length > 1 || all.length > 1 ? { kind } : {}),
        ...(all.length > 1 && ONE_OF_SEVERAL.has(id)
          ? pointed.map((unit) => termsOf(id, input, [unit], { unit, kind }))
          : []),
      ];
    });
    return [...whole, ...byKind];
  });
}

const pointsAt = (belief: readonly Believed[], unit: UnitRef): boolean =>
  belief.reduce(
    (sum, one) =>
      [one.unit, one.with?.unit].some((at) => at?.kind === unit.kind && at.place === unit.place)
        ? sum + one.share
        : sum,
    0,
  ) >= POINTED_AT;

function termsOf(
  id: OptionId,
  { family, per, wayMinutes }: TermsInput,
  units: readonly UnitRef[],
  at: Pick<OptionTerms, 'kind' | 'unit'>,
): OptionTerms {
  const { minutes, benchMinutes, waiting, comesOff, consumablesMinor, lifeKm, lifeH, showsAtOnce } = USUAL[id];
  const kind = at.kind ?? units[0]?.kind ?? 'throttle-body';
  const several = Math.max(1, units.length);
  const bench = benchMinutes * (comesOff ? several : 1);
  const way = wayMinutes ?? minutes - benchMinutes;
  return {
    id,
    partsMinor: partsOf(id, family, kind, several),
    consumablesMinor: comesOff ? consumablesMinor * several : consumablesMinor,
    minutes: Math.round(comesOff ? way + bench : minutes),
    waiting,
    daysOff: ORDERED.has(id) ? (typeOf(family, kind)?.daysToGet ?? 0) : 0,
    life: per === 'km' ? lifeKm : lifeH,
    showsAtOnce,
    ...at,
  };
}

const typeOf = (family: EngineFamily | null, kind: UnitObjectKind) =>
  family?.unitTypes.find((each) => each.kind === kind) ?? null;

function partsOf(id: OptionId, family: EngineFamily | null, kind: UnitObjectKind, several: number): number | null {
  const prices = typeOf(family, kind)?.prices;
  const one =
    id === 'replace'
      ? (prices?.new ?? null)
      : id === 'replace-rebuilt'
        ? (prices?.rebuilt ?? null)
        : id === 'replace-used'
          ? (prices?.used ?? null)
          : (SMALL_PARTS[id] ?? 0);
  return one === null ? null : one * several;
}
