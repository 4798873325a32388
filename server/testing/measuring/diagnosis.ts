import { type CauseModel, causesFor, type Finding, nextCheck, rank, signsFor } from '../../../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../../core/diagnose/knowledge/index.ts';
import { scoreCases } from '../../../demo/cases/index.ts';
import { shop } from '../../../demo/shop.ts';
import { type Measured, median } from './measure.ts';

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
const line = (what: string, measured: string, wanted: string, met: boolean): Measured => ({
  what,
  measured,
  wanted,
  met,
});
const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Ranking speed, and how the written cases come out against a fixed order of checks. */
export function diagnosing(): Measured[] {
  const causes = Array.from({ length: 40 }, (_, cause): CauseModel => ({
    id: `c${cause}`,
    prior: 1 / 40,
    chances: new Map(
      Array.from({ length: 80 }, (_, sign) => {
        const yes = 0.02 + ((cause * 31 + sign * 17) % 90) / 100;
        return [`s${sign}`, { yes, no: 1 - yes }];
      }),
    ),
  }));
  const findings = Array.from({ length: 80 }, (_, sign): Finding => ({
    sign: `s${sign}`,
    outcome: sign % 3 === 0 ? 'no' : 'yes',
  }));
  const ranking = typical(() => rank(causes, findings));

  const subject = { group: 'cable', hasValve: true } as const;
  const models = causesFor(SHIPPED_KNOWLEDGE, subject);
  const signs = signsFor(SHIPPED_KNOWLEDGE, subject);
  const told: Finding[] = [
    { sign: 'hunting', outcome: 'yes' },
    { sign: 'stalls', outcome: 'yes' },
    { sign: 'temperature', outcome: 'cold' },
  ];
  const choosing = typical(() => nextCheck(models, told, signs, { minutePrice: 97 }));

  const minutePrice = Number(shop.settings['rate-per-hour-minor']) / 60;
  const { gain, list } = scoreCases(SHIPPED_KNOWLEDGE, minutePrice);
  const fewer = 1 - gain.meanMinutes / list.meanMinutes;
  return [
    line('rank, 40 causes × 80 findings', `${ranking.toFixed(2)} ms`, '< 20 ms', ranking < 20),
    line(
      `next check over ${signs.length} signs, ${models.length} causes`,
      `${choosing.toFixed(2)} ms`,
      '< 20 ms',
      choosing < 20,
    ),
    line(`${gain.cases} written cases, true cause in the first three`, percent(gain.top3), '≥ 90 %', gain.top3 >= 0.9),
    line('… first, when checking ends', `${percent(gain.top1)} (list ${percent(list.top1)})`, 'for the record', true),
    line('… first three, from what was told alone', percent(gain.top3Told), 'for the record', true),
    line(
      '… checks until it leads',
      `${gain.meanChecks.toFixed(1)} (list ${list.meanChecks.toFixed(1)})`,
      'for the record',
      true,
    ),
    line(
      '… minutes until it leads',
      `${gain.meanMinutes.toFixed(0)} (list ${list.meanMinutes.toFixed(0)}): ${percent(fewer)} fewer`,
      '≥ 30 % fewer',
      fewer >= 0.3,
    ),
  ];
}
