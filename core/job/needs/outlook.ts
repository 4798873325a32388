import { USUAL } from '../../choose/index.ts';
import { figureOf, type ShopValues } from '../../figures/index.ts';
import { heldByParts, type MissingPart, type Readiness } from '../../prepare/index.ts';
import { expectedMinutes } from '../../procedure/index.ts';
import { estimate, type TimedStep, type TimeEstimate } from '../../refit/index.ts';
import { isBack } from '../items/query.ts';
import type { Job } from '../job.ts';

/** How long a job still takes, minutes: off, work on the units, back before and after the missing parts. */
export interface Outlook {
  readonly off: TimeEstimate;
  readonly back: TimeEstimate;
  readonly units: number;
  /** Items that cannot go back before the parts are here. */
  readonly held: number;
  /** Share of the items that those are, 0 to 1. */
  readonly heldShare: number;
}

/**
 * Work on the units while they are off, minutes, for those that are not back: what was decided takes what its estimate
 * says, for as many units as it is done to; until then each takes what the shop has said of a unit that nobody timed.
 */
export function benchMinutes(job: Job, said: ShopValues = {}): number {
  const units = job.items.filter(({ kind }) => kind === 'unit');
  const left = units.filter((item) => !isBack(item)).length;
  if (job.decision === null || units.length === 0) return left * figureOf(said, 'unit-minutes');
  const { comesOff, benchMinutes: each } = USUAL[job.decision.choice];
  return (left / units.length) * (comesOff ? each * decidedUnits(job).length : each);
}

/** The units that what was decided is done to: by the first step of its plan, else all of the first kind, or all. */
function decidedUnits({ vehicle, decision }: Job): readonly { readonly kind: string; readonly place: string }[] {
  const all = vehicle.units.length > 0 ? vehicle.units : [{ kind: 'throttle-body', place: 'only' }];
  const [, at = ''] = (decision?.plan?.[0] ?? '').split('@');
  const [kind = '', place = ''] = at.split(':');
  if (kind !== '') return all.filter((unit) => unit.kind === kind && (place === '' || unit.place === place));
  return decision?.choice === 'clean-bench' ? all : all.filter((unit) => unit.kind === all[0]?.kind);
}

/** Minutes that items took in finished jobs, by item. */
export type ItemHistory = Readonly<
  Record<string, { readonly off: readonly number[]; readonly back: readonly number[] }>
>;

/** A part that is not here, with the need that it is. */
export interface Missing extends MissingPart {
  readonly needId: string;
  readonly partNumber: string;
}

/** Parts that are not here, each with the day on which it is expected, when one is known. */
export const missingParts = (job: Job, list: readonly Readiness[]): Missing[] =>
  list.flatMap(({ need, status }): Missing[] => {
    if (need.kind !== 'part') return [];
    const part = { needId: need.id, partNumber: need.partNumber, name: need.name };
    const expected = job.needs.find(({ needId }) => needId === need.id)?.expected ?? null;
    if (status === 'on order') return [{ ...part, expected }];
    return status === 'not in stock' || status === 'spoken for' ? [{ ...part, expected: null }] : [];
  });

/** The outlook of a job, or null while nothing is listed on it. @param said the figures that the shop has set */
export function jobOutlook(
  job: Job,
  history: ItemHistory,
  missing: readonly Missing[],
  said: ShopValues = {},
): Outlook | null {
  if (job.items.length === 0) return null;
  const parts = new Set(missing.flatMap(({ needId, partNumber }) => [needId, partNumber]));
  const heldIds = heldByParts(job.constraints, (part) => parts.has(part));
  const held = job.items.filter((item) => heldIds.has(item.id) && !isBack(item)).length;
  const steps = (way: 'off' | 'back'): TimedStep[] =>
    job.items
      .filter(({ state, origin }) => origin !== 'plug' && (state === 'on' || (way === 'back' && state === 'off')))
      .map((item) => ({ id: item.id, expected: expectedMinutes(item, way) }));
  const took = (way: 'off' | 'back'): Map<string, readonly number[]> =>
    new Map(Object.entries(history).map(([id, taken]) => [id, taken[way]]));
  const listed = job.items.filter(({ origin }) => origin !== 'plug').length;
  return {
    off: estimate(steps('off'), took('off')),
    back: estimate(steps('back'), took('back'), [figureOf(said, 'soak-minutes')]),
    units: benchMinutes(job, said),
    held,
    heldShare: listed === 0 ? 0 : held / listed,
  };
}
