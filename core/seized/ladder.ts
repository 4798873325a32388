/** What the screw sits in: it sets how hot it may get and how hard it may be struck. */
export const HOSTS = {
  aluminium: { name: 'cast aluminium', heatLimitC: 150, mayStrike: true },
  plastic: { name: 'plastic', heatLimitC: null, mayStrike: false },
  'brass-insert': { name: 'brass insert in plastic', heatLimitC: 70, mayStrike: false },
  steel: { name: 'steel or iron', heatLimitC: 300, mayStrike: true },
} as const satisfies Record<string, { name: string; heatLimitC: number | null; mayStrike: boolean }>;
/** The id of a host. */
export type Host = keyof typeof HOSTS;

/** A seized screw. */
export interface SeizedScrew {
  readonly host: Host;
  /** Head still takes a bit. */
  readonly headWhole: boolean;
  /** Motor, sensor or seal within a hand's breadth. */
  readonly nearDelicate: boolean;
}

/** One rung: what is tried, what it may cost. Chances and shares are shop figures, not measured. */
export interface Rung {
  readonly id: RungId;
  readonly name: string;
  /** Where there is little room. */
  readonly short: string;
  readonly how: string;
  /** Hands-on minutes. */
  readonly minutes: number;
  /** Wait that needs nobody, minutes; 0 for none. */
  readonly waitMinutes: number;
  /** It comes out at this rung, when it is reached. */
  readonly chance: number;
  /** The part is spoilt at this rung. */
  readonly damage: number;
  readonly risk: string;
  readonly protect: string;
  readonly materialsMinor: number;
}
/** The id of a rung; stored, never change one. */
export type RungId = 'access' | 'right-bit' | 'oil' | 'oil-again' | 'heat' | 'impact' | 'grip' | 'slot' | 'drill';

/** Patience first: each rung costs more, risks more, and takes away the ones before it. */
export const RUNGS: readonly Rung[] = [
  {
    id: 'right-bit',
    name: 'The right bit, pressed hard',
    short: 'The right bit',
    how: 'Cross-point of the Japanese pattern where it has the dot; clean the slot; press more than you turn.',
    minutes: 3,
    waitMinutes: 0,
    chance: 0.35,
    damage: 0.01,
    risk: 'a bit that climbs out takes the head with it',
    protect: 'eyes',
    materialsMinor: 0,
  },
  {
    id: 'access',
    name: 'Room for hand and tool',
    short: 'Room for it',
    how: 'Unbolt what is in the way, or take the unit out and hold it in a vice, bore protected; come at it straight.',
    minutes: 15,
    waitMinutes: 0,
    chance: 0.2,
    damage: 0.01,
    risk: 'what was moved is put back wrong, or the vice marks a face',
    protect: 'soft jaws; never by the bore',
    materialsMinor: 0,
  },
  {
    id: 'oil',
    name: 'Penetrating oil, overnight',
    short: 'Penetrating oil',
    how: 'A drop on the head and on the thread end, tap it, leave it; a drop more in the evening.',
    minutes: 4,
    waitMinutes: 16 * 60,
    chance: 0.4,
    damage: 0,
    risk: 'oil that runs into a motor or onto rubber',
    protect: 'motor, sensor and rubber: cloth under, wipe what runs',
    materialsMinor: 60,
  },
  {
    id: 'oil-again',
    name: 'Oil and tap, another day',
    short: 'Oil and tap',
    how: 'Oil, tap in line with the screw, try a hair tighter before looser.',
    minutes: 5,
    waitMinutes: 24 * 60,
    chance: 0.25,
    damage: 0.01,
    risk: 'impatience',
    protect: 'as before',
    materialsMinor: 60,
  },
  {
    id: 'heat',
    name: 'Gentle heat',
    short: 'Gentle heat',
    how: 'Hot air round the screw, not on it; a thermometer on the part; turn while it is warm.',
    minutes: 12,
    waitMinutes: 10,
    chance: 0.35,
    damage: 0.04,
    risk: 'seals, sensor and plastic near by; oil that smokes and burns',
    protect: 'solvent and oil away and dried; sensor and rings out; no chlorinated cleaner anywhere near',
    materialsMinor: 0,
  },
  {
    id: 'impact',
    name: 'Impact driver, light blows',
    short: 'Impact driver',
    how: 'Body on wood, never on its bore; short light blows, the bit held in line.',
    minutes: 8,
    waitMinutes: 0,
    chance: 0.45,
    damage: 0.06,
    risk: 'a cracked lug, a shaft or motor that took the blow',
    protect: 'motor and shaft off or hung free; eyes',
    materialsMinor: 0,
  },
  {
    id: 'grip',
    name: 'Grip the head',
    short: 'Grip the head',
    how: 'Locking pliers square on the head, turn a little each way.',
    minutes: 8,
    waitMinutes: 0,
    chance: 0.4,
    damage: 0.03,
    risk: 'the head breaks off',
    protect: 'face of the body: tape',
    materialsMinor: 0,
  },
  {
    id: 'slot',
    name: 'Cut a slot, or chisel the edge round',
    short: 'Cut a slot',
    how: 'Thin saw blade across the head, wide driver; or a small chisel at the rim, tapping it round.',
    minutes: 12,
    waitMinutes: 0,
    chance: 0.5,
    damage: 0.06,
    risk: 'a slip marks the face; filings',
    protect: 'bore plugged, port taped, filings caught with a magnet and a vacuum',
    materialsMinor: 0,
  },
  {
    id: 'drill',
    name: 'Drill it out',
    short: 'Drill it out',
    how: 'Punch the middle, left-hand drill first, then up to the core; a thread insert after.',
    minutes: 35,
    waitMinutes: 0,
    chance: 0.9,
    damage: 0.15,
    risk: 'a crooked hole is the end of the part',
    protect: 'bore plugged, swarf out before anything is turned; eyes',
    materialsMinor: 900,
  },
];

/** A rung with why it is left out, empty when it is open. */
export interface RungState {
  readonly rung: Rung;
  readonly state: 'tried' | 'open' | 'left out';
  readonly why: string;
}

/** What may have changed since a rung was tried: with it the rung is worth another go. Ids are stored: never change one. */
export const CHANGED = {
  access: 'better access',
  vice: 'held in a vice',
  'second-blow': 'a second blow',
  'heat-first': 'heat first',
  'oil-since': 'oil has worked since',
  tool: 'another tool',
  hand: 'another hand',
} as const;
/** The id of a change. */
export type ChangedId = keyof typeof CHANGED;

/** Why a rung is left out on this screw; empty where it is not. */
export function leftOut(screw: SeizedScrew, { id }: Rung): string {
  const host = HOSTS[screw.host];
  if (id === 'heat' && host.heatLimitC === null) return `no heat on ${host.name}`;
  if (id === 'impact' && !host.mayStrike) return `no blows on ${host.name}: it cracks`;
  if (id === 'impact' && screw.nearDelicate) return 'a motor or sensor would take the blow';
  if ((id === 'right-bit' || id === 'impact') && !screw.headWhole) return 'the head no longer takes a bit';
  return '';
}

/** Chances that a shop has seen for itself, by rung, 0 to 1. */
export type RungChances = Readonly<Partial<Record<RungId, number>>>;

/** How often a rung was tried in a shop, and how often the screw came out at it. */
export interface RungTries {
  readonly rung: RungId;
  readonly tries: number;
  readonly out: number;
}
/** As many tries as the figure of before is worth: a Beta prior of that weight. */
const PRIOR_TRIES = 8;
/** From so many tries of its own a shop goes by what it has seen. */
export const ENOUGH_TRIES = 5;

/** Chances with the shop's own tries weighed in, once there are enough of a rung. */
export const chancesSeen = (chances: RungChances, seen: readonly RungTries[]): RungChances => ({
  ...chances,
  ...Object.fromEntries(
    seen
      .filter(({ tries }) => tries >= ENOUGH_TRIES)
      .map(({ rung, tries, out }) => {
        const before = chances[rung] ?? RUNGS.find(({ id }) => id === rung)?.chance ?? 0;
        return [rung, (before * PRIOR_TRIES + out) / (PRIOR_TRIES + tries)];
      }),
  ),
});

/** The ladder for this screw. @param tried ids of rungs that did not bring it @param chances the shop's own */
export function ladder(screw: SeizedScrew, tried: readonly string[], chances: RungChances = {}): RungState[] {
  return RUNGS.map((known): RungState => {
    const rung = { ...known, chance: chances[known.id] ?? known.chance };
    if (tried.includes(rung.id)) return { rung, state: 'tried', why: '' };
    const why = leftOut(screw, rung);
    return { rung, state: why === '' ? 'open' : 'left out', why };
  });
}

/** The next rung, or null when there is none left. */
export const nextRung = (screw: SeizedScrew, tried: readonly string[]): Rung | null =>
  ladder(screw, tried).find(({ state }) => state === 'open')?.rung ?? null;

/** What going on is expected to take, from here. */
export interface LadderOutlook {
  readonly minutes: number;
  readonly waitMinutes: number;
  readonly materialsMinor: number;
  /** Comes out without spoiling the part. */
  readonly success: number;
  readonly damage: number;
}

/** Expectation over the rungs that are left: each is climbed only if the ones before failed and spoilt nothing. */
export function outlook(screw: SeizedScrew, tried: readonly string[], chances: RungChances = {}): LadderOutlook {
  let reach = 1;
  const sum = { minutes: 0, waitMinutes: 0, materialsMinor: 0, success: 0, damage: 0 };
  for (const { rung, state } of ladder(screw, tried, chances)) {
    if (state !== 'open') continue;
    sum.minutes += reach * rung.minutes;
    sum.waitMinutes += reach * rung.waitMinutes;
    sum.materialsMinor += reach * rung.materialsMinor;
    sum.damage += reach * rung.damage;
    const out = reach * (1 - rung.damage) * rung.chance;
    sum.success += out;
    reach = reach * (1 - rung.damage) - out;
  }
  return sum;
}

/** Money of going on against replacing the unit now; minor units. */
export interface ReplaceVerdict {
  readonly goOnMinor: number;
  readonly replaceMinor: number;
  readonly replaceIsCheaper: boolean;
  readonly words: string;
}

/**
 * Whether replacing is cheaper than going on with several screws: labour and materials of the ladder, and the unit's
 * price in the share of cases in which it is spoilt or never comes apart.
 * @param ratePerHourMinor labour, minor units
 * @param unitMinor price of another unit; null when it is not known
 * @returns null when the price is not known
 */
export function replaceInstead(
  screws: readonly { readonly screw: SeizedScrew; readonly tried: readonly string[] }[],
  ratePerHourMinor: number,
  unitMinor: number | null,
  chances: RungChances = {},
): ReplaceVerdict | null {
  if (unitMinor === null || screws.length === 0) return null;
  const outlooks = screws.map(({ screw, tried }) => outlook(screw, tried, chances));
  const work = outlooks.reduce((sum, each) => sum + (each.minutes / 60) * ratePerHourMinor + each.materialsMinor, 0);
  const allOut = outlooks.reduce((product, { success }) => product * success, 1);
  const goOnMinor = Math.round(work + (1 - allOut) * unitMinor);
  const replaceIsCheaper = goOnMinor > unitMinor;
  const chance = `${Math.round(allOut * 100)} %`;
  return {
    goOnMinor,
    replaceMinor: unitMinor,
    replaceIsCheaper,
    words: replaceIsCheaper
      ? `Going on costs more than another unit: ${chance} that all come out whole.`
      : `Going on is worth it: ${chance} that all come out whole.`,
  };
}
