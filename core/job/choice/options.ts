import {
  type Believed,
  type ChooseInput,
  type OptionId,
  type OptionTerms,
  type PartLived,
  type ShopResult,
  USUAL,
  usualTerms,
  wayId,
  type RepairsHeld,
  withHeld,
  withLives,
} from '../../choose/index.ts';
import type { Knowledge } from '../../diagnose/index.ts';
import { expectedMinutes, type Procedure } from '../../procedure/index.ts';
import { minorOf } from '../../quantity/index.ts';
import { type EngineFamily, type UnitObjectKind, unitTypeOf } from '../../vehicle/index.ts';
import type { JobDiagnosis } from '../diagnosis/diagnose.ts';
import type { Job } from '../job.ts';
import type { EstimateLine } from './state.ts';
import { figureOf, optionFactors, type ShopValues } from '../../figures/index.ts';

/** Money that the shop has set, minor units. */
export interface ShopFigures {
  readonly ratePerHourMinor: number;
  readonly dayPriceMinor: number;
  readonly comebackMinor: number;
}

/** Of a pair that is proved, how much of the belief is that both are there. */
const PAIR_PROVED = 0.95;

/** What is believed, as a plan is made from: every cause at its unit, and two at once where that is the story. */
export function jobBelief({ ranking, pair, causes }: Pick<JobDiagnosis, 'ranking' | 'pair' | 'causes'>): Believed[] {
  const single = ranking.causes.map(({ cause, unit, id, share }): Believed => ({
    cause,
    ...(id === cause ? {} : { unit }),
    share,
  }));
  if (pair === null) return single;
  const both = pair.proved ? PAIR_PROVED : 1 / (1 + 2 ** -pair.bits);
  const at = (id: string): Pick<Believed, 'cause' | 'unit'> => {
    const model = causes.find((each) => each.id === id);
    const cause = model?.cause ?? id;
    return { cause, ...(id === cause ? {} : { unit: model?.unit ?? null }) };
  };
  return [
    ...single.map((one) => ({ ...one, share: one.share * (1 - both) })),
    { ...at(pair.first), with: at(pair.second), share: both },
  ];
}

/** Hands-on minutes of the way off and back by a procedure, all of its items once. */
export const wayMinutes = ({ items }: Pick<Procedure, 'items'>): number =>
  items.reduce((sum, item) => sum + expectedMinutes(item, 'off') + expectedMinutes(item, 'back'), 0);

/** Terms of every option for this job: what was set by hand comes before what is usual. */
export function jobTerms(
  job: Job,
  diagnosis: JobDiagnosis,
  family: EngineFamily | null,
  procedure: Pick<Procedure, 'items'> | null,
  said: ShopValues = {},
  lived: readonly PartLived[] = [],
  held: readonly RepairsHeld[] = [],
): OptionTerms[] {
  const per = job.vehicle.meterUnit === 'h' ? 'h' : 'km';
  const usual = usualTerms({
    family,
    units: diagnosis.subject.units ?? [],
    belief: jobBelief(diagnosis),
    per,
    wayMinutes: procedure === null ? null : wayMinutes(procedure),
  }).map((terms) => inThisShop(terms, procedure !== null, said));
  return withLives(withHeld(usual, held, per), lived, per, (kind) => partNumberFor(job, family, kind)).map((terms) => ({
    ...terms,
    ...setByHand(job, terms),
  }));
}

/** The number of the part that a unit of that kind is replaced by: the family’s, else the one that sits there. */
export const partNumberFor = (
  job: Pick<Job, 'vehicle'>,
  family: EngineFamily | null,
  kind: UnitObjectKind,
): string | null =>
  unitTypeOf(family, kind)?.partNumber || job.vehicle.units.find((unit) => unit.kind === kind)?.partNumber || null;

/** Terms with the minutes and lives that this shop has; a procedure's own minutes stand. */
function inThisShop(terms: OptionTerms, timed: boolean, said: ShopValues): OptionTerms {
  const { minutes, life } = optionFactors(said, terms.id);
  return { ...terms, minutes: timed ? terms.minutes : terms.minutes * minutes, life: terms.life * life };
}

/** What was set for this very way; what was set before ways were told apart goes for every way of its option. */
function setByHand(job: Job, terms: OptionTerms): Partial<OptionTerms> {
  const own = job.terms.find(({ way }) => way === wayId(terms));
  const set = own ?? job.terms.find(({ id, way }) => way === undefined && id === terms.id);
  if (set === undefined) return {};
  const { partsMinor, minutes, daysOff, life } = set;
  return { partsMinor, minutes, daysOff, life };
}

/**
 * What it costs when nothing of a plan cured it: a comeback, a look beyond the throttle, and a new unit after all. Made
 * from the family's list price, not from this job's, so that a dearer part never makes its own option look better.
 */
export function unsolvedMinor(family: EngineFamily | null, shop: ShopFigures): number {
  const dearest = Math.max(0, ...(family?.unitTypes ?? []).map(({ prices }) => prices.new ?? 0));
  const minutes = USUAL.elsewhere.minutes + USUAL.replace.minutes;
  return shop.comebackMinor + dearest + Math.round((minutes * shop.ratePerHourMinor) / 60);
}

/** What `planOptions` is asked for a job. @param said the figures that the shop has set */
export function jobChoice(
  job: Job,
  diagnosis: JobDiagnosis,
  knowledge: Pick<Knowledge, 'causes'>,
  family: EngineFamily | null,
  procedure: Pick<Procedure, 'items'> | null,
  results: readonly ShopResult[],
  shop: ShopFigures,
  said: ShopValues = {},
  lived: readonly PartLived[] = [],
  held: readonly RepairsHeld[] = [],
): ChooseInput {
  return {
    belief: jobBelief(diagnosis),
    causes: knowledge.causes,
    terms: jobTerms(job, diagnosis, family, procedure, said, lived, held),
    results,
    ratePerHourMinor: shop.ratePerHourMinor,
    dayPriceMinor: shop.dayPriceMinor,
    comebackMinor: shop.comebackMinor,
    unsolvedMinor: unsolvedMinor(family, shop),
    failed: diagnosis.failed,
    per: job.vehicle.meterUnit === 'h' ? 'h' : 'km',
    leastChance: figureOf(said, 'least-chance') / 100,
  };
}

/** An estimate is kept to within so much of the sum worked out, up and down: small jobs hide seized screws. */
export const ESTIMATE_SPREAD = { low: 0.95, high: 1.2 } as const;

/** Lines of an estimate for one option; parts of unknown price are left out, and must be added by hand. */
export function estimateLines(
  terms: OptionTerms,
  name: (option: OptionId) => string,
  ratePerHourMinor: number,
  way: number | null = null,
): EstimateLine[] {
  const labour = (words: string, minutes: number): EstimateLine[] =>
    minutes <= 0
      ? []
      : [
          {
            words: `${words}, about ${Math.round(minutes)} minutes`,
            minor: Math.round((minutes * ratePerHourMinor) / 60),
          },
        ];
  const off = way === null ? 0 : Math.min(way, terms.minutes);
  const waits =
    (terms.waiting ?? 0) > 0 ? ` (and ${Math.round(terms.waiting ?? 0)} minutes of soaking, not charged)` : '';
  return [
    ...(off > 0
      ? [
          ...labour('Labour: off and back', off),
          ...labour(`${name(terms.id)}: at the bench${waits}`, terms.minutes - off),
        ]
      : labour(`${name(terms.id)}: labour${waits}`, terms.minutes)),
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
