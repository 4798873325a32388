import type { VehicleInput } from '../contract/index.ts';
import type { CommandData } from '../core/job/index.ts';
import { checkDone } from './jobs/steps.ts';
import { type DemoClient, Player } from './player.ts';

const DAY = 86_400_000;
const HOUR = 3_600_000;

const plain = (
  of: Partial<VehicleInput> & Pick<VehicleInput, 'plate' | 'make' | 'model' | 'engine' | 'throttle' | 'idleValve'>,
): VehicleInput => ({
  vin: '',
  nickname: '',
  year: null,
  owner: '',
  meterUnit: 'km',
  figures: { idleRpm: null, valveDuty: null, closedVolts: null },
  notes: '',
  units: [],
  ...of,
});
const wick = (plate: string, nickname: string, owner: string, year: number): VehicleInput =>
  plain({
    familyId: 'calder-14',
    plate,
    make: 'Calder',
    model: 'Wick',
    engine: '1.4 L four',
    throttle: 'electronic',
    idleValve: 'none',
    nickname,
    owner,
    year,
  });
const till = (plate: string, nickname: string, owner: string, year: number): VehicleInput =>
  plain({
    familyId: 'ostrea-20',
    plate,
    make: 'Ostrea',
    model: 'Till',
    engine: '2.0 L four',
    throttle: 'cable',
    idleValve: 'rotary',
    nickname,
    owner,
    year,
  });
const parcel = (plate: string, nickname: string, owner: string, year: number): VehicleInput =>
  plain({
    familyId: 'norrland-25',
    plate,
    make: 'Norrland',
    model: 'Parcel',
    engine: '2.5 L four',
    throttle: 'cable',
    idleValve: 'rotary',
    nickname,
    owner,
    year,
  });

type Choice = CommandData['decide']['choice'];
/** A visit of years ago: so many days before now, at that reading, found that fouled, and what was done about it. */
type Past = readonly [daysAgo: number, meter: number, grade: number, choice: Choice, kind?: 'service'];

interface PastVehicle {
  readonly id: string;
  readonly vehicle: VehicleInput;
  readonly gasket: string;
  readonly visits: readonly Past[];
}

/** Vehicles of the island that were here before and are not now. */
const PAST: readonly PastVehicle[] = [
  {
    id: 'inn1',
    vehicle: wick('CW 301', 'inn car 1', 'Quay Inn', 2017),
    gasket: 'CW-14-0209',
    visits: [
      [1010, 41_200, 3, 'clean-bench'],
      [640, 63_900, 3, 'clean-bench'],
      [255, 87_400, 2, 'clean-bench', 'service'],
    ],
  },
  {
    id: 'inn2',
    vehicle: wick('CW 302', 'inn car 2', 'Quay Inn', 2017),
    gasket: 'CW-14-0209',
    visits: [
      [980, 38_700, 2, 'clean-bench'],
      [700, 52_300, 3, 'clean-bench'],
      [390, 70_100, 3, 'replace'],
    ],
  },
  {
    id: 'post4',
    vehicle: wick('CW 119', 'post van 4', 'Island post', 2018),
    gasket: 'CW-14-0209',
    visits: [
      [860, 52_000, 3, 'clean-bench'],
      [420, 98_500, 3, 'clean-bench'],
    ],
  },
  {
    id: 'nurse2',
    vehicle: wick('CW 240', 'district nurse', 'Island clinic', 2019),
    gasket: 'CW-14-0209',
    visits: [
      [720, 30_200, 2, 'clean-bench'],
      [190, 61_800, 3, 'clean-bench'],
    ],
  },
  {
    id: 'baker',
    vehicle: parcel('TQ 288', 'baker’s van', 'Rise bakery', 2001),
    gasket: 'NP-25-1109',
    visits: [
      [1090, 180_400, 4, 'clean-bench'],
      [730, 201_900, 3, 'clean-bench'],
      [330, 226_100, 3, 'rebuild'],
    ],
  },
  {
    id: 'theatre',
    vehicle: parcel('TQ 290', 'theatre van', 'Harbour players', 2000),
    gasket: 'NP-25-1109',
    visits: [
      [900, 96_100, 2, 'clean-in-place'],
      [610, 103_800, 3, 'clean-bench'],
    ],
  },
  {
    id: 'croft',
    vehicle: till('OT 212', 'croft utility', 'Upper croft', 2003),
    gasket: 'OT-20-1109',
    visits: [
      [1040, 150_300, 3, 'clean-in-place'],
      [560, 178_800, 3, 'clean-bench'],
      [110, 205_600, 3, 'clean-bench'],
    ],
  },
  {
    id: 'forest',
    vehicle: till('OT 388', 'forester', 'Island forestry', 2005),
    gasket: 'OT-20-1109',
    visits: [
      [870, 121_000, 3, 'clean-in-place'],
      [770, 126_500, 3, 'clean-bench'],
      [300, 158_900, 2, 'clean-bench', 'service'],
    ],
  },
];

/** How many past jobs there are: the shop’s numbers begin so many earlier. */
export const PAST_JOBS = PAST.reduce((sum, { visits }) => sum + visits.length, 0);

/** Enters the past years of the shop, oldest first, as short records of what counts later. @param now ms since 1970 */
export async function seedPast(client: DemoClient, now: number): Promise<void> {
  for (const { id, vehicle } of PAST) await client.putVehicle(id, { ...vehicle, knownSince: '2022-03-01' });
  const jobs = PAST.flatMap(({ id, vehicle, gasket, visits }) =>
    visits.map((visit) => ({ id, vehicle, gasket, visit })),
  );
  const oldestFirst = jobs.toSorted((a, b) => b.visit[0] - a.visit[0]);
  for (const [nth, job] of oldestFirst.entries()) {
    const [daysAgo] = job.visit;
    const who = nth % 3 === 0 ? 'isla' : 'tomas';
    await pastJob(new Player(client, `past-${nth + 1}`, who, now - daysAgo * DAY - 5 * HOUR), job);
  }
}

async function pastJob(
  player: Player,
  { id, gasket, visit: [, meter, grade, choice, kind] }: Pick<PastVehicle, 'id' | 'gasket'> & { readonly visit: Past },
): Promise<void> {
  await player.do('open-job', {
    vehicleId: id,
    reading: { value: meter, unit: 'km' },
    readingReason: '',
    complaint:
      kind === 'service' ? 'Planned: clean and look over.' : 'Idles unevenly and stalls when it comes to rest.',
  });
  if (kind !== undefined) await player.do('plan-work', { kind, what: 'clean the throttle body' });
  const seen = (when: 'before' | 'after', value: number): Promise<void> =>
    player.do(
      'record-finding',
      { id: player.id(), unit: 'throttle-body', point: 'deposit-front', when, grade: value, text: '' },
      6,
    );
  await checkDone(player, 'leak-by-ear', 'none', 13);
  await checkDone(player, 'duct-off-look', grade > 2 ? 'ring' : 'clean', 12);
  await seen('before', grade);
  await player.do(
    'decide',
    {
      choice,
      reason: 'deposit at the edge',
      departure: choice === 'clean-in-place' ? 'the customer waited' : '',
      options: [],
    },
    4,
  );
  for (const stage of ['complaint', 'diagnose', 'decide', 'prepare'] as const)
    await player.do('pass-stage', { stage }, 1);
  if (choice !== 'clean-in-place') {
    await player.do(
      'use-part',
      { id: player.id(), name: 'Body gasket', partNumber: gasket, quantity: 1, priceMinor: 640 },
      14,
    );
  }
  await player.do(
    'weigh-can',
    {
      id: player.id(),
      substance: 'throttle-cleaner',
      surface: 'throttle body',
      beforeText: '320 g',
      afterText: `${320 - 20 - grade * 14} g`,
      minutes: 5,
      surfaces: ['bare-aluminium'],
      priceMinor: 120,
    },
    12,
  );
  await seen('after', choice === 'clean-in-place' ? 1 : 0);
  await player.do(
    'hand-over',
    {
      watch: '',
      nextDue: { value: meter + 50_000, unit: 'km' },
      labourMinutes: choice === 'clean-in-place' ? 45 : 120,
      ratePerHourMinor: 5800,
      currency: 'cr',
    },
    12,
  );
}
