import { addDays } from '../days/index.ts';
import { type Due, dueOf, type FoulingPrior, type FoulingVisit, type MeterOn, priorOf } from '../interval/index.ts';
import type { Visit } from './visit.ts';

/** A vehicle as its dueness is worked out. */
export interface DueVehicle {
  readonly vehicleId: string;
  readonly familyId: string;
  readonly hours: boolean;
  readonly visits: readonly Visit[];
}

/** When a vehicle is due, by days. */
export interface DueOn extends Due {
  readonly vehicleId: string;
  readonly hours: boolean;
  /** ISO days; the far end is none where it lies beyond what a calendar is good for. */
  readonly likelyOn: string;
  readonly lowOn: string;
  readonly highOn: string;
  /** The last visit at which it was cleaned or looked at. */
  readonly lastJobId: string;
  readonly lastOn: string;
  readonly lastMeter: number;
}

/** The house's own interval, km and hours. */
export interface HouseInterval {
  readonly km: number;
  readonly h: number;
}
/** What a vehicle is taken to be used a day where nobody knows: about 13,000 km or 120 hours a year. */
const USUAL_PER_DAY = { km: 36, h: 0.33 } as const;
const DAY_MS = 86_400_000;
/** Beyond so many days nothing is foretold. */
const FARTHEST_DAYS = 3650;

const dayNumber = (iso: string): number => Date.parse(iso) / DAY_MS;
const isoDay = (day: number): string => addDays('1970-01-01', Math.round(day));

/** Visits at which somebody looked at the deposit, or took it away. */
const fouling = (visits: readonly Visit[]): FoulingVisit[] =>
  visits
    .filter(({ closedAt, before, cleaned }) => closedAt !== null && (before !== null || cleaned))
    .map(({ closedAt, meter, before, cleaned, after }) => ({
      day: dayNumber(closedAt ?? ''),
      meter,
      before,
      cleaned,
      after,
    }));

/**
 * When vehicles are due, most pressing first. What is like all vehicles of a family is learned from those of this shop; of
 * a family with none, from all that count the same way.
 * @param vehicles each with its own visits; those without one that tells anything are left out
 */
export function dueList(vehicles: readonly DueVehicle[], house: HouseInterval): DueOn[] {
  const priors = new Map<string, FoulingPrior>();
  const groups = new Map<string, FoulingVisit[][]>();
  const seen = vehicles.map((vehicle) => ({ vehicle, own: fouling(vehicle.visits) }));
  for (const { vehicle, own } of seen)
    for (const key of [groupOf(vehicle), unitOf(vehicle)]) {
      const known = groups.get(key);
      if (known === undefined) groups.set(key, [own]);
      else known.push(own);
    }
  const priorFor = (vehicle: DueVehicle): FoulingPrior => {
    const interval = vehicle.hours ? house.h : house.km;
    const made = (key: string): FoulingPrior => {
      const known = priors.get(key) ?? priorOf(interval, groups.get(key) ?? []);
      priors.set(key, known);
      return known;
    };
    const kin = made(groupOf(vehicle));
    return kin.vehicles >= LEAST_KIN ? kin : made(unitOf(vehicle));
  };
  return seen
    .flatMap(({ vehicle, own }) => dueOn(vehicle, own, priorFor(vehicle)))
    .toSorted((a, b) => a.likelyOn.localeCompare(b.likelyOn) || a.vehicleId.localeCompare(b.vehicleId));
}
/** From so many vehicles on a family speaks for itself. */
const LEAST_KIN = 3;
const groupOf = ({ familyId, hours }: DueVehicle): string => `${familyId} ${hours ? 'h' : 'km'}`;
const unitOf = ({ hours }: DueVehicle): string => (hours ? 'all h' : 'all km');

function dueOn(vehicle: DueVehicle, own: readonly FoulingVisit[], prior: FoulingPrior): DueOn[] {
  const last = own.toSorted((a, b) => a.day - b.day).at(-1);
  if (last === undefined) return [];
  const readings: MeterOn[] = vehicle.visits.map(({ openedAt, meter, anew }) => ({
    day: dayNumber(openedAt),
    value: meter,
    anew,
  }));
  const due = dueOf({
    readings,
    visits: own,
    prior,
    usualPerDay: vehicle.hours ? USUAL_PER_DAY.h : USUAL_PER_DAY.km,
  });
  const lastVisit = vehicle.visits.find(({ closedAt }) => closedAt !== null && dayNumber(closedAt) === last.day);
  if (due === null || lastVisit === undefined) return [];
  const within = (day: number): string => isoDay(Math.min(day, last.day + FARTHEST_DAYS));
  return [
    {
      ...due,
      vehicleId: vehicle.vehicleId,
      hours: vehicle.hours,
      likelyOn: within(due.day.likely),
      lowOn: within(due.day.low),
      highOn: within(due.day.high),
      lastJobId: lastVisit.jobId,
      lastOn: isoDay(last.day),
      lastMeter: last.meter,
    },
  ];
}
