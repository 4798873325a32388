import type { VehicleInput } from '../contract/index.ts';
import type { CommandData } from '../core/job/index.ts';
import { checkDone } from './jobs/steps.ts';
import { type DemoClient, Player } from './player.ts';

const DAY = 86_400_000;
const HOUR = 3_600_000;

/** What all vehicles of a model have alike. */
interface Model extends Pick<VehicleInput, 'familyId' | 'make' | 'model' | 'engine' | 'throttle' | 'idleValve'> {
  readonly gasket: string;
  /** The ring of its idle valve; empty where it has none. */
  readonly ring: string;
}
const MODELS = {
  wick: {
    familyId: 'calder-14',
    make: 'Calder',
    model: 'Wick',
    engine: '1.4 L four',
    throttle: 'electronic',
    idleValve: 'none',
    gasket: 'CW-14-0209',
    ring: '',
  },
  till: {
    familyId: 'ostrea-20',
    make: 'Ostrea',
    model: 'Till',
    engine: '2.0 L four',
    throttle: 'cable',
    idleValve: 'rotary',
    gasket: 'OT-20-1109',
    ring: 'OT-20-1122',
  },
  parcel: {
    familyId: 'norrland-25',
    make: 'Norrland',
    model: 'Parcel',
    engine: '2.5 L four',
    throttle: 'cable',
    idleValve: 'rotary',
    gasket: 'NP-25-1109',
    ring: 'NP-25-1131',
  },
} satisfies Readonly<Record<string, Model>>;

type Choice = CommandData['decide']['choice'];
/**
 * A visit of years ago: so many days before now, at that reading, found that fouled, and what was done about it; as a planned
 * service, or with how the ring of its valve was.
 */
type Past = readonly [
  daysAgo: number,
  meter: number,
  grade: number,
  choice: Choice,
  more?: 'service' | 'hard' | 'soft',
];

interface PastVehicle {
  readonly id: string;
  readonly vehicle: VehicleInput;
  readonly parts: Pick<Model, 'gasket' | 'ring'>;
  readonly visits: readonly Past[];
}
const past = (
  id: string,
  of: keyof typeof MODELS,
  [plate, nickname, owner, year]: readonly [string, string, string, number],
  ...visits: readonly Past[]
): PastVehicle => {
  const { gasket, ring, ...model } = MODELS[of];
  const figures = { idleRpm: null, valveDuty: null, closedVolts: null };
  return {
    id,
    vehicle: { ...model, plate, nickname, owner, year, vin: '', meterUnit: 'km', figures, notes: '', units: [] },
    parts: { gasket, ring },
    visits,
  };
};

/** Vehicles of the island that were here before and are not now. */
const PAST: readonly PastVehicle[] = [
  past(
    'inn1',
    'wick',
    ['CW 301', 'inn car 1', 'Quay Inn', 2017],
    [1010, 41_200, 3, 'clean-bench'],
    [640, 63_900, 3, 'clean-bench'],
    [255, 87_400, 2, 'clean-bench', 'service'],
  ),
  past(
    'inn2',
    'wick',
    ['CW 302', 'inn car 2', 'Quay Inn', 2017],
    [980, 38_700, 2, 'clean-bench'],
    [700, 52_300, 3, 'clean-bench'],
    [390, 70_100, 3, 'replace'],
  ),
  past(
    'post4',
    'wick',
    ['CW 119', 'post van 4', 'Island post', 2018],
    [860, 52_000, 3, 'clean-bench'],
    [420, 98_500, 3, 'clean-bench'],
  ),
  past(
    'nurse2',
    'wick',
    ['CW 240', 'district nurse', 'Island clinic', 2019],
    [720, 30_200, 2, 'clean-bench'],
    [190, 61_800, 3, 'clean-bench'],
  ),
  past(
    'baker',
    'parcel',
    ['TQ 288', 'baker’s van', 'Rise bakery', 2001],
    [1090, 180_400, 4, 'clean-bench'],
    [730, 201_900, 3, 'clean-bench'],
    [330, 226_100, 3, 'rebuild', 'hard'],
  ),
  past(
    'theatre',
    'parcel',
    ['TQ 290', 'theatre van', 'Harbour players', 2000],
    [900, 96_100, 2, 'clean-in-place'],
    [610, 103_800, 3, 'clean-bench', 'soft'],
  ),
  past('ferry1', 'parcel', ['TQ 311', 'ferry van 1', 'Ferry line', 2003], [815, 131_600, 3, 'clean-bench', 'hard']),
  past('ferry2', 'parcel', ['TQ 312', 'ferry van 2', 'Ferry line', 2003], [590, 142_300, 3, 'clean-bench', 'hard']),
  past('boatyard', 'parcel', ['TQ 330', 'boatyard', 'Slip boatyard', 2004], [470, 118_900, 2, 'clean-bench', 'hard']),
  past(
    'croft',
    'till',
    ['OT 212', 'croft utility', 'Upper croft', 2003],
    [1040, 150_300, 3, 'clean-in-place'],
    [560, 178_800, 3, 'clean-bench'],
    [110, 205_600, 3, 'clean-bench', 'soft'],
  ),
  past(
    'forest',
    'till',
    ['OT 388', 'forester', 'Island forestry', 2005],
    [870, 121_000, 3, 'clean-in-place'],
    [770, 126_500, 3, 'clean-bench', 'soft'],
    [300, 158_900, 2, 'clean-bench', 'service'],
  ),
  past('quarry', 'till', ['OT 402', 'quarry', 'Slate quarry', 2006], [680, 164_200, 3, 'clean-bench', 'soft']),
  past('lamps', 'till', ['OT 417', 'lamp keeper', 'Harbour office', 2004], [505, 138_700, 3, 'clean-bench', 'soft']),
  past('dairy', 'till', ['OT 433', 'dairy', 'Marsh dairy', 2007], [365, 109_400, 2, 'clean-bench', 'soft']),
  past('reeds', 'till', ['OT 440', 'reed cutter', 'Reed meadow', 2005], [240, 171_800, 3, 'clean-bench', 'soft']),
];

/** How many past jobs there are: the shop’s numbers begin so many earlier. */
export const PAST_JOBS = PAST.reduce((sum, { visits }) => sum + visits.length, 0);

/** Enters the past years of the shop, oldest first, as short records of what counts later. @param now ms since 1970 */
export async function seedPast(client: DemoClient, now: number): Promise<void> {
  for (const { id, vehicle } of PAST) await client.putVehicle(id, { ...vehicle, knownSince: '2022-03-01' });
  const jobs = PAST.flatMap(({ visits, ...of }) => visits.map((visit) => ({ ...of, visit })));
  const oldestFirst = jobs.toSorted((a, b) => b.visit[0] - a.visit[0]);
  for (const [nth, job] of oldestFirst.entries()) {
    const [daysAgo] = job.visit;
    const who = nth % 3 === 0 ? 'isla' : 'tomas';
    await pastJob(new Player(client, `past-${nth + 1}`, who, now - daysAgo * DAY - 5 * HOUR), job);
  }
}

async function pastJob(
  player: Player,
  { id, parts, visit: [, meter, grade, choice, more] }: Omit<PastVehicle, 'visits'> & { readonly visit: Past },
): Promise<void> {
  const planned = more === 'service';
  await player.do('open-job', {
    vehicleId: id,
    reading: { value: meter, unit: 'km' },
    readingReason: '',
    complaint: planned ? 'Planned: clean and look over.' : 'Idles unevenly and stalls when it comes to rest.',
  });
  if (planned) await player.do('plan-work', { kind: 'service', what: 'clean the throttle body' });
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
  if (choice !== 'clean-in-place')
    await player.do(
      'use-part',
      { id: player.id(), name: 'Body gasket', partNumber: parts.gasket, quantity: 1, priceMinor: 640 },
      14,
    );
  if (more === 'hard' || more === 'soft') await ringSeen(player, more, parts.ring);
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

/** The ring of the idle valve, by a nail beside a new one; a hard one was renewed. */
async function ringSeen(player: Player, outcome: 'hard' | 'soft', partNumber: string): Promise<void> {
  const [unit, name] = ['idle-valve', 'O-ring, valve'] as const;
  const look = { unit, kind: unit, form: 'rotary-valve', point: 'ring', when: 'before', which: name } as const;
  await player.do('judge-point', { id: player.id(), ...look, marks: [], outcome, typed: [], note: '' }, 2);
  if (outcome === 'hard')
    await player.do('decide-seal', { id: player.id(), name, decision: 'renewed', partNumber, why: 'keeps a dent' }, 1);
}
