import { minorOf } from '../../quantity/index.ts';
import { type ChooseInput, type OptionId, type OptionTerms, type ShopResult, usualTerms } from '../../choose/index.ts';
import type { EngineFamily, UnitObjectKind } from '../../vehicle/index.ts';
import type { JobDiagnosis } from '../diagnosis/diagnose.ts';
import type { Job } from '../job.ts';
import type { EstimateLine } from './state.ts';

/** Money that the shop has set, minor units. */
export interface ShopFigures {
  readonly ratePerHourMinor: number;
  readonly dayPriceMinor: number;
  readonly comebackMinor: number;
}

const OF_VALVE: ReadonlySet<string> = new Set(['valve-stuck', 'valve-coil', 'valve-leak', 'idle-screw']);

/** The unit at which the leading throttle cause points; the throttle body when none leads. */
export function unitInQuestion(diagnosis: JobDiagnosis, family: EngineFamily | null): UnitObjectKind {
  const leading = diagnosis.ranking.causes[0]?.id ?? '';
  const wanted: readonly UnitObjectKind[] = OF_VALVE.has(leading)
    ? ['idle-valve', 'idle-actuator']
    : ['throttle-body', 'throttle-actuator'];
  return family?.unitTypes.find(({ kind }) => wanted.includes(kind))?.kind ?? wanted[0] ?? 'throttle-body';
}

/** Terms of every option for this job: what was set by hand comes before what is usual. */
export function jobTerms(job: Job, diagnosis: JobDiagnosis, family: EngineFamily | null): OptionTerms[] {
  const per = job.vehicle.meterUnit === 'h' ? 'h' : 'km';
  return usualTerms(family, unitInQuestion(diagnosis, family), per).map((terms) => ({
    ...terms,
    ...job.terms.find(({ id }) => id === terms.id),
  }));
}

/** What `compareOptions` is asked for a job. */
export function jobChoice(
  job: Job,
  diagnosis: JobDiagnosis,
  family: EngineFamily | null,
  results: readonly ShopResult[],
  shop: ShopFigures,
): ChooseInput {
  return {
    belief: diagnosis.ranking.causes.map(({ id, share }) => ({ cause: id, share })),
    terms: jobTerms(job, diagnosis, family),
    results,
    ratePerHourMinor: shop.ratePerHourMinor,
    dayPriceMinor: shop.dayPriceMinor,
    comebackMinor: shop.comebackMinor,
    per: job.vehicle.meterUnit === 'h' ? 'h' : 'km',
  };
}

/** An estimate is kept to within so much of the sum worked out, up and down: small jobs hide seized screws. */
export const ESTIMATE_SPREAD = { low: 0.95, high: 1.2 } as const;

/** Lines of an estimate for one option; parts of unknown price are left out, and must be added by hand. */
export function estimateLines(
  terms: OptionTerms,
  name: (option: OptionId) => string,
  ratePerHourMinor: number,
): EstimateLine[] {
  return [
    {
      words: `${name(terms.id)}: labour, about ${Math.round(terms.minutes)} minutes`,
      minor: Math.round((terms.minutes * ratePerHourMinor) / 60),
    },
    ...(terms.partsMinor === null || terms.partsMinor === 0
      ? []
      : [{ words: 'Parts and seals', minor: terms.partsMinor }]),
    ...(terms.consumablesMinor === 0 ? [] : [{ words: 'Cleaner and small materials', minor: terms.consumablesMinor }]),
  ];
}

/** The range of an estimate, minor units, rounded outwards to whole units of its currency. */
export function estimateRange(
  lines: readonly EstimateLine[],
  currency: string,
): {
  readonly lowMinor: number;
  readonly highMinor: number;
} {
  const sum = lines.reduce((total, { minor }) => total + minor, 0);
  const whole = minorOf(1, currency);
  return {
    lowMinor: Math.floor((sum * ESTIMATE_SPREAD.low) / whole) * whole,
    highMinor: Math.ceil((sum * ESTIMATE_SPREAD.high) / whole) * whole,
  };
}
