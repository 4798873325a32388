import { random } from '../chance/index.ts';
import type { FoulingVisit } from './due.ts';
import { DUE_AT, foulingLevel } from './fouling.ts';
import type { MeterOn } from './rateOfUse.ts';

/** A simulated vehicle: what the shop saw of it, and when it really came to be due after that. */
export interface SimulatedVehicle {
  readonly readings: readonly MeterOn[];
  readonly visits: readonly FoulingVisit[];
  readonly trulyDueDay: number;
  readonly trulyDueMeter: number;
}

const DAY_OF_YEAR = 2 * Math.PI;

/**
 * A vehicle made by another model than the one that is fitted: deposit grows day by day with short trips and cold months,
 * slows down as it thickens, and comes in lumps; use differs by weekday and season and changes with its owner; a reading in
 * twenty is typed wrongly. Grades are what an eye says of it: whole numbers, one in ten a grade off.
 */
export function simulatedVehicle(seed: number): SimulatedVehicle {
  const { uniform, normal } = random(seed);
  const perDay = Math.exp(Math.log(42) + 0.5 * normal());
  const oily = Math.exp(0.4 * normal());
  const shortTrips = 0.6 + 0.8 * uniform();
  const winter = 0.35 * uniform();
  const phase = uniform();
  let meter = 20_000 + 80_000 * uniform();
  let deposit = 0.2 * uniform();
  let owner = 1;
  const readings: MeterOn[] = [];
  const visits: FoulingVisit[] = [];
  const visitsToCome = 2 + Math.floor(uniform() * 4);
  let nextVisit = 30 + 200 * uniform();
  let day = 0;
  const step = (): void => {
    day += 1;
    if (uniform() < 1 / 1500) owner = Math.exp(0.25 * normal());
    const season = 1 + winter * Math.cos(DAY_OF_YEAR * (day / 365 + phase));
    const weekday = day % 7 < 5 ? 1.2 : 0.5;
    const driven = perDay * owner * weekday * (0.7 + 0.6 * uniform()) * (2 - season);
    meter += driven;
    // Towards due at about 55,000 km; lumps of a gamma kind, fewer as it thickens.
    const lump = -Math.log(Math.max(1e-9, uniform()));
    deposit += (driven / 55_000) * oily * shortTrips * season * lump * (1.35 - 0.5 * Math.min(1, deposit));
  };
  const read = (): void => {
    const wrong = uniform() < 0.05;
    readings.push({ day, value: Math.round(wrong ? meter * (0.5 + uniform()) : meter) });
  };
  for (let nth = 0; nth < visitsToCome; nth += 1) {
    while (day < nextVisit && deposit < 1.25) step();
    read();
    const seen = (): ReturnType<typeof foulingLevel> => {
      const grade = Math.round(
        Math.min(4, deposit * DUE_AT.grade + (uniform() < 0.1 ? (uniform() < 0.5 ? -1 : 1) : 0)),
      );
      return foulingLevel({
        grade: uniform() < 0.85 ? Math.max(0, grade) : null,
        lostMm2: uniform() < 0.5 ? Math.max(0, deposit * DUE_AT.mm2 + 0.7 * normal()) : null,
        extraDuty: uniform() < 0.4 ? Math.max(0, deposit * DUE_AT.duty + 2.5 * normal()) : null,
      });
    };
    const before = seen();
    const cleaned = nth === visitsToCome - 1 || uniform() < 0.8;
    if (cleaned) deposit = 0.12 * uniform();
    visits.push({ day, meter, before, cleaned, after: cleaned ? null : before });
    nextVisit = day + 150 + 700 * uniform();
    if (uniform() < 0.4) for (let rest = 0; rest < 60; rest += 1) step();
    if (uniform() < 0.4) read();
  }
  while (deposit < 1 && day < 20_000) step();
  return { readings, visits, trulyDueDay: day, trulyDueMeter: meter };
}
