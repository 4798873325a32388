import { random } from '../../../core/chance/index.ts';
import { causesOf, GROUPS, type Group, scoreByGain, summarise } from '../../../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../../core/diagnose/knowledge/index.ts';
import { caseOfVehicle, type PracticeVehicle, practiceVehicle, VALVED } from '../../../core/practice/index.ts';
import type { Measured } from './measure.ts';

const VEHICLES = 1000;
/** Seconds that the engine of each is run, and the sound one beside it. */
const RUN_S = 2 * (1.2 + 18 + 20);

/** Vehicles that behave: how fast they are made, and how the program’s own plan does on what its likelihoods were not made from. */
export function practising(): Measured[] {
  const dice = random(29);
  const groups = Object.keys(GROUPS) as Group[];
  const from = performance.now();
  const vehicles = Array.from({ length: VEHICLES }, (_, nth): PracticeVehicle => {
    const group = groups[nth % groups.length]!;
    const causes = causesOf(SHIPPED_KNOWLEDGE, { group, hasValve: VALVED.has(group) });
    return practiceVehicle(nth, group, [causes[Math.floor(dice.uniform() * causes.length)]!.id]);
  });
  const tookS = (performance.now() - from) / 1000;
  const scores = vehicles.map((vehicle) =>
    scoreByGain(SHIPPED_KNOWLEDGE, caseOfVehicle(vehicle, SHIPPED_KNOWLEDGE), 100),
  );
  const whole = scores.filter(({ placeAll }) => placeAll === 1).length / VEHICLES;
  const { top1 } = summarise(scores);
  const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
  const faster = (VEHICLES * RUN_S) / tookS;
  return [
    {
      what: 'simulated vehicles, against real time',
      measured: `${faster.toFixed(0)} × (${((tookS / VEHICLES) * 1000).toFixed(1)} ms each)`,
      wanted: '≥ 500 ×',
      met: faster >= 500,
    },
    {
      what: `of ${VEHICLES} simulated vehicles the fault leads`,
      measured: `${percent(whole)} (${percent(top1)} when checks are left off)`,
      wanted: '≥ 90 %',
      met: whole >= 0.9,
    },
  ];
}
