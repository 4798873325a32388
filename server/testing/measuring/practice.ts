import { random } from '../../../core/chance/index.ts';
import { causesOf, GROUPS, type Group, scoreByGain, summarise } from '../../../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../../core/diagnose/knowledge/index.ts';
import { caseOfVehicle, type PracticeVehicle, practiceVehicle, VALVED } from '../../../core/practice/index.ts';
import { bestWay, SCENARIOS, toldUnasked, vehicleOf } from '../../../core/practice/index.ts';
import { rank, causesFor } from '../../../core/diagnose/index.ts';
import { type Measured, median, ms } from './measure.ts';

const VEHICLES = 1000;
/** Seconds that the engine of each is run; the sound one of its kind is run once for all. */
const RUN_S = 1.2 + 18 + 20;

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

/** What a minute, a day and a comeback cost while ways are walked, minor units: those of the demo shop. */
const RATES = { ratePerHourMinor: 5400, dayPriceMinor: 4500, comebackMinor: 9000 };

/** The way of the plan through every scenario that ships: how often it ends with nothing wrong, and what it costs to work out. */
export function plannedWays(): Measured[] {
  const took: number[] = [];
  const bare: number[] = [];
  let cured = 0;
  for (const scenario of SCENARIOS) {
    const vehicle = vehicleOf(scenario);
    const told = toldUnasked(vehicle, SHIPPED_KNOWLEDGE, scenario.tried);
    const ranking = performance.now();
    rank(causesFor(SHIPPED_KNOWLEDGE, vehicle), told);
    const from = performance.now();
    const { left } = bestWay(vehicle, SHIPPED_KNOWLEDGE, told, RATES);
    took.push(performance.now() - from);
    bare.push(from - ranking);
    if (left.length === 0) cured += 1;
  }
  const share = cured / SCENARIOS.length;
  return [
    {
      what: `of ${SCENARIOS.length} practice scenarios the plan’s way leaves nothing wrong`,
      measured: `${(share * 100).toFixed(1)} %`,
      wanted: '≥ 90 %',
      met: share >= 0.9,
    },
    {
      what: 'the plan’s way of a scenario worked out, in a worker',
      measured: `${ms(median(took))} (${(median(took) / median(bare)).toFixed(0)} × one ranking)`,
      wanted: '< 2 s',
      met: median(took) < 2000,
    },
  ];
}
