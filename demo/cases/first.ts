import { planOptions, usualTerms } from '../../core/choose/index.ts';
import { bestPair, type Case, causesFor, type Knowledge, type OptionId, rank } from '../../core/diagnose/index.ts';
import { failedOptions, jobBelief } from '../../core/job/index.ts';
import type { EngineFamily, UnitObjectKind } from '../../core/vehicle/index.ts';

/** What units cost in the cases, minor units: of the size that the demo shop pays. */
const PRICES: Readonly<
  Record<UnitObjectKind, { readonly new: number; readonly rebuilt: number; readonly used: number }>
> = {
  'throttle-body': { new: 38_000, rebuilt: 21_000, used: 9000 },
  'idle-valve': { new: 14_000, rebuilt: 8000, used: 4000 },
  'throttle-actuator': { new: 32_000, rebuilt: 19_000, used: 11_000 },
  'idle-actuator': { new: 26_000, rebuilt: 14_000, used: 8000 },
};
const SHOP = { ratePerHourMinor: 5800, dayPriceMinor: 4500, comebackMinor: 9000, unsolvedMinor: 65_000 };
const DAYS_TO_GET = 3;

/** What the plan begins with, once everything was looked at that the case tells of. */
export function firstOption(knowledge: Knowledge, { subject, told, finds }: Case): OptionId | null {
  const causes = causesFor(knowledge, subject);
  const findings = [...told, ...finds];
  const belief = jobBelief({ ranking: rank(causes, findings), pair: bestPair(causes, findings), causes });
  const units = subject.units ?? [];
  const unitTypes = [...new Set(units.map(({ kind }) => kind))].map((kind) => ({
    kind,
    prices: PRICES[kind],
    daysToGet: DAYS_TO_GET,
  }));
  const per = subject.group === 'outboard' ? 'h' : 'km';
  const terms = usualTerms({ family: { unitTypes } as unknown as EngineFamily, units, belief, per, wayMinutes: null });
  const { plans } = planOptions({
    belief,
    causes: knowledge.causes,
    terms,
    results: [],
    ...SHOP,
    failed: failedOptions(findings),
    per,
  });
  return plans[0]?.steps[0]?.way.option ?? null;
}

/** Of cases, how many plans begin with what a good technician would accept. */
export const firstAccepted = (knowledge: Knowledge, cases: readonly Case[]): readonly boolean[] =>
  cases.map((each) => {
    const first = firstOption(knowledge, each);
    return first !== null && (each.first ?? []).includes(first);
  });
