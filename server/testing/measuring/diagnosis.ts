import { askedPrices, planOptions, usualTerms, worthOfChecks } from '../../../core/choose/index.ts';
import {
  bestPair,
  type CauseModel,
  causesFor,
  type Finding,
  nextCheck,
  rank,
  signsFor,
} from '../../../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../../core/diagnose/knowledge/index.ts';
import { jobBelief } from '../../../core/job/index.ts';
import { families } from '../../../demo/families.ts';
import { VEHICLES } from '../../../demo/cases/written.ts';
import { type Measured, median, ms } from './measure.ts';

const typical = (work: () => void): number => {
  for (let warm = 0; warm < 30; warm += 1) work();
  return median(
    Array.from({ length: 100 }, () => {
      const from = performance.now();
      work();
      return performance.now() - from;
    }),
  );
};
const against = (measured: number, bare: number, reference: string): string =>
  `${ms(measured)}, ${(measured / bare).toFixed(0)} × ${reference}`;

const CAUSES = 60;
const SIGNS = 120;

/** What judging costs: ranking, choosing a check, all plans, and what checks are worth in them. */
export function diagnosing(): Measured[] {
  const causes = Array.from({ length: CAUSES }, (_, cause): CauseModel => ({
    id: `c${cause}`,
    cause: `c${cause}`,
    prior: 1 / CAUSES,
    chances: new Map(
      Array.from({ length: SIGNS }, (__, sign) => {
        const yes = 0.02 + ((cause * 31 + sign * 17) % 90) / 100;
        return [`s${sign}`, { yes, no: 1 - yes }];
      }),
    ),
  }));
  const findings = Array.from({ length: SIGNS }, (_, sign): Finding => ({
    sign: `s${sign}`,
    outcome: sign % 3 === 0 ? 'no' : 'yes',
  }));
  const table = causes.map(({ chances }) =>
    findings.map(({ sign, outcome }) => (chances.get(sign) as Record<string, number>)[outcome] ?? 1),
  );
  let kept = 0;
  const logs = typical(() => {
    for (const row of table) for (const chance of row) kept += Math.log2(chance);
  });
  const ranking = typical(() => rank(causes, findings));

  // The hardest vehicle of the demo: two kinds of unit, two of each.
  const subject = VEHICLES['four actuators'];
  const models = causesFor(SHIPPED_KNOWLEDGE, subject);
  const signs = signsFor(SHIPPED_KNOWLEDGE, subject);
  const told: Finding[] = [
    { sign: 'hunting', outcome: 'yes' },
    { sign: 'stalls', outcome: 'yes' },
    { sign: 'temperature', outcome: 'warm' },
  ];
  const choosing = typical(() => nextCheck(models, told, signs, { minutePrice: 97 }));
  const belief = jobBelief({ ranking: rank(models, told), pair: bestPair(models, told), causes: models });
  const family = families.find(({ unitTypes }) => new Set(unitTypes.map(({ kind }) => kind)).size > 1);
  const terms = usualTerms({
    family: family ?? null,
    units: subject.units,
    belief,
    per: 'km',
    wayMinutes: 120,
  });
  const choose = {
    belief,
    causes: SHIPPED_KNOWLEDGE.causes,
    terms,
    results: [],
    ratePerHourMinor: 5800,
    dayPriceMinor: 4500,
    comebackMinor: 9000,
    unsolvedMinor: 65_000,
    per: 'km' as const,
  };
  const planning = typical(() => planOptions(choose));
  // As bare as it gets: every sequence of three ways over every thing believed, multiplied and nothing kept.
  const sequences = typical(() => {
    for (let a = 0; a < terms.length; a += 1)
      for (let b = 0; b < terms.length; b += 1)
        for (let c = 0; c < terms.length; c += 1)
          for (let slot = 0; slot < belief.length; slot += 1) kept += a * b * c * slot;
  });
  const prices = typical(() => askedPrices(choose));
  const worth = typical(() =>
    worthOfChecks({
      choose,
      causes: models,
      findings: told,
      checks: signs.filter(({ kind }) => kind === 'check'),
      minutePrice: 97,
      reached: [],
      passedOver: [],
    }),
  );
  return [
    {
      what: `rank, ${CAUSES} causes × ${SIGNS} findings`,
      measured: against(ranking, logs, 'their logarithms'),
      wanted: '< 25 ms',
      met: ranking < 25 && Number.isFinite(kept),
    },
    {
      what: `next check over ${signs.length} signs, ${models.length} causes at their units`,
      measured: against(choosing, logs, 'the same'),
      wanted: '< 25 ms',
      met: choosing < 25,
    },
    {
      what: `all plans of ${terms.length} ways over ${belief.length} causes`,
      measured: against(planning, sequences, 'the bare sequences'),
      wanted: '< 30 ms',
      met: planning < 30,
    },
    {
      what: 'prices that nobody gave and that decide',
      measured: against(prices, planning, 'all plans once'),
      wanted: 'in a worker, for the record',
      met: true,
    },
    {
      what: 'what every check is worth in the plan',
      measured: against(worth, planning, 'all plans once'),
      wanted: '< 400 ms',
      met: worth < 400,
    },
  ];
}
