import { ADVICE } from './adviceTable.ts';
import { SAFETY } from './safety.ts';
import { LUBRICANTS, type Method, type Substance, type Surface } from './substances.ts';

/** What may be done. */
export type Verdict = 'use' | 'with care' | 'never';

/** The answer of a house question that a cell speaks about: which school holds what. */
export interface SchoolView {
  /** The school's id under the house question `substance`. */
  readonly school: string;
  readonly holds: string;
}

/** Whether a substance may touch a surface, and why. */
export interface Advice {
  readonly verdict: Verdict;
  /** One clause: “swells within minutes”. */
  readonly reason: string;
  /** Where good technicians disagree; empty where they do not. */
  readonly schools: readonly SchoolView[];
}

/** How long something lies in a bath, minutes, and the most that this shop lets it. */
export interface BathTime {
  readonly minutes: number;
  /** Left out: {@link BATH_MINUTES}. */
  readonly most?: number;
}
/** The longest that what stands a bath with care may lie in it, mild and watched: shop conventions, to be verified. */
export const BATH_MINUTES = { 'alkaline-detergent': 10, 'oxalic-acid-bath': 8 } as const;
/** How long a substance may be bathed in with care; undefined where it is no bath. */
export const bathMinutes = (substance: Substance): number | undefined =>
  (BATH_MINUTES as Readonly<Partial<Record<Substance, number>>>)[substance];

const WETTING: ReadonlySet<Method> = new Set<Method>(['spray', 'soak', 'bath']);
/** What some drive through a running petrol engine. */
const RUN_THROUGH: ReadonlySet<Substance> = new Set<Substance>(['throttle-cleaner', 'injector-cleaner']);
/** Places into which a liquid runs and does not come out again. */
const INSIDES: Readonly<Partial<Record<Surface, string>>> = {
  'shaft-bearing': 'it washes the grease out of the bearing and carries dirt in',
  'motor-gears': 'it runs into the motor, takes the grease along and leaves dirt on the brushes',
  'position-sensor': 'it creeps under the track and lifts it',
};

const never = (reason: string): Advice => ({ verdict: 'never', reason, schools: [] });

/**
 * Whether a substance may touch a surface in this way. Rules of the way come first (heat, liquid into insides, a bath
 * that is too long for what stands it only with care), then the table of substances and surfaces. Shop knowledge, no
 * standard: the label and the maker's procedure come first.
 * @param bath how long it lies in a bath; left out, the usual time
 * @example advise('petroleum-jelly', 'epdm', 'smear').verdict // 'never'
 */
export function advise(substance: Substance, surface: Surface, method: Method, bath?: BathTime): Advice {
  const cell = ADVICE[substance][surface];
  const safety = SAFETY[substance];
  if (method === 'near-heat') {
    if (substance === 'brake-cleaner-chlorinated') return never('heat or an arc turns it into poison gas');
    if (safety?.lelPercent != null) return never(`it burns: flash point ${safety.flashPointC} °C`);
    return { ...cell, reason: `${cell.reason}; let the part cool first` };
  }
  if (method === 'running') {
    return RUN_THROUGH.has(substance)
      ? { ...cell, verdict: 'with care', reason: 'short bursts, engine warm, somebody at the key; never into a diesel' }
      : never('it burns with the charge: sensors and catalyst get all of it');
  }
  const inside = INSIDES[surface];
  if (inside !== undefined && WETTING.has(method) && !LUBRICANTS.includes(substance)) return never(inside);
  if (surface === 'hot-film' && method !== 'spray') return never('anything that touches the film breaks it');
  if (method === 'bath' && cell.verdict === 'with care') {
    const usual = bathMinutes(substance);
    if (usual === undefined) return never(`${cell.reason}; a bath is too long for that`);
    const most = bath?.most ?? usual;
    if (bath !== undefined && bath.minutes > most)
      return never(`${cell.reason}; ${most} min at most, not ${Math.round(bath.minutes * 10) / 10}`);
  }
  return cell;
}

/** The worst of several surfaces: where one must never be touched, the whole must not be sprayed. */
export function adviseAll(
  substance: Substance,
  surfaces: readonly Surface[],
  method: Method,
): readonly { readonly surface: Surface; readonly advice: Advice }[] {
  const rank: Readonly<Record<Verdict, number>> = { never: 0, 'with care': 1, use: 2 };
  return surfaces
    .map((surface) => ({ surface, advice: advise(substance, surface, method) }))
    .sort((a, b) => rank[a.advice.verdict] - rank[b.advice.verdict]);
}
