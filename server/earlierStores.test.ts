import { sayDay } from '../core/days/index.ts';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Database } from 'better-sqlite3';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { factData } from '../contract/index.ts';
import { isCurrent } from '../core/job/index.ts';
import { besideMetric } from '../core/quantity/index.ts';
import { createServices, type Services } from './services.ts';
import { openStore } from './store/open.ts';
import { NOW } from './testing/harness.ts';
import { sayingOf } from './testing/sayings.ts';

/**
 * Stores as earlier versions of the program wrote them, each with what that version said of every job. This version
 * must open a copy, verify every chain, and say the same but for what is listed here as meant to differ.
 */
const STORES = fileURLToPath(new URL('./testing/stores/', import.meta.url));

/** A difference from what a version said that is meant: why, and how what it said reads now. */
interface Meant {
  readonly why: string;
  readonly now: (said: Said) => Said;
}
interface Said {
  readonly sheet: {
    readonly identity: readonly { readonly label: string }[];
    readonly sections: readonly {
      readonly title: string;
      readonly empty: string;
      readonly rows: readonly { readonly label: string; readonly value: string; readonly note: string }[];
    }[];
  };
}

const NAMED_DAY =
  /(Monday|Tuesday|Wednesday|Thursday|Friday|Saturday|Sunday) (\d{1,2}) (January|February|March|April|May|June|July|August|September|October|November|December)(?! \d{4})/g;

/** The year in which a day of a month falls on that weekday, of those that the stores are about. */
const yearOf = (weekday: string, day: string, month: string): string =>
  ['2025', '2026', '2027'].find((year) => sayDay(isoOf(`${day} ${month} ${year}`)).startsWith(weekday)) ?? '?';
const isoOf = (text: string): string => new Date(`${text} UTC`).toISOString().slice(0, 10);

const YEARS: Meant = {
  why: 'every day is said with its year',
  now: (said) =>
    JSON.parse(
      JSON.stringify(said).replace(NAMED_DAY, (all, weekday: string, day: string, month: string) =>
        [all, yearOf(weekday, day, month)].join(' '),
      ),
    ) as Said,
};

const FREEZES: Meant = {
  why: 'freeze points stand on the published tables by volume, which know that a mix contracts',
  now: (said) => JSON.parse(JSON.stringify(said).replace('freezes at −38 °C', 'freezes at −37 °C')) as Said,
};

interface HeldNow {
  readonly mayStart: {
    readonly may: boolean;
    readonly passed: readonly unknown[];
    readonly holds?: readonly { readonly code: string }[];
  };
  readonly tally: { readonly itemsOff: readonly { readonly kind: string }[] };
}
const COOLANT = { code: 'coolant', id: 'circuit', words: 'Coolant: nothing says that it is back' };
const WATER = { code: 'cooling-water', id: 'water', words: 'An outboard never runs without cooling water' };
/** Holds that come after coolant that is not back. */
const LATER: ReadonlySet<string> = new Set(['connector', 'measure', 'end-step']);
/** What the tally counts of an item or a group beside what it counted. */
const countedMore = (_: string, value: unknown): unknown => {
  if (value === null || typeof value !== 'object') return value;
  if ('atTorque' in value && 'stripped' in value) return { ...value, byFeel: 0, figureWanted: false };
  return 'toRestore' in value && 'singleUse' in value ? { ...value, loose: false } : value;
};
const HELD_MORE: Meant = {
  why: 'joints without a figure, units that nothing holds and coolant that is not back hold the engine',
  now: (said) => {
    const { mayStart, tally, ...rest } = JSON.parse(JSON.stringify(said), countedMore) as Said & HeldNow;
    // In these stores nobody poured anything back where a coolant hose is still off; one job is on an outboard.
    const wanted = [
      ...(tally.itemsOff.some(({ kind }) => kind === 'coolant-hose') ? [COOLANT] : []),
      ...(said.sheet.identity.some(({ label }) => label === 'Hours') ? [WATER] : []),
    ];
    const holds = mayStart.holds ?? [];
    const at = holds.findIndex(({ code }) => LATER.has(code));
    const place = at < 0 ? holds.length : at;
    const more = wanted.map(({ id, ...hold }) => ({ ...hold, subject: id }));
    return {
      ...rest,
      mayStart:
        wanted.length === 0
          ? mayStart
          : { may: false, holds: [...holds.slice(0, place), ...more, ...holds.slice(place)], passed: mayStart.passed },
      tally: { ...tally, figuresWanted: [], unitsLoose: [], fluidsWanted: wanted },
    };
  },
};

const NEW_SHEET: Meant = {
  why: 'what was put right has a heading of its own, the customer is called so, and metric stands beside what was entered otherwise',
  now: (said) => ({
    ...said,
    sheet: {
      ...said.sheet,
      identity: said.sheet.identity.map((row) => (row.label === 'Owner' ? { ...row, label: 'Customer' } : row)),
      sections: said.sheet.sections.flatMap((section) => {
        const put = { title: 'Put right', rows: [], empty: 'Nothing was put right afterwards.' };
        const rows = section.rows.map((row) =>
          section.title === 'Fasteners' ? { ...row, value: metricBeside(row.value) } : row,
        );
        return section.title === 'Left over or unusual' ? [put, { ...section, rows }] : [{ ...section, rows }];
      }),
    },
  }),
};
/** Torques as they were entered, each with its newton metres; what the wrench showed stands alone. */
const metricBeside = (words: string): string =>
  words.replace(/(?<!wrench at )\b(\d+(?:\.\d+)?) in·lb/g, (_, figure: string) =>
    besideMetric({ value: Number(figure), unit: 'in·lb', text: figure }),
  );

const STEPS: Meant = {
  why: 'the tally has steps of the way back, of which those stores have none',
  now: (said) => {
    const { tally, ...rest } = said as Said & HeldNow;
    return { ...rest, tally: { ...tally, stepsToDo: [] } };
  },
};

const MEANT: Readonly<Record<string, readonly Meant[]>> = {
  '0.1.0': [
    {
      why: 'what a heading says where it has no rows no longer depends on whether it has any',
      now: (said) => ({
        ...said,
        sheet: {
          ...said.sheet,
          sections: said.sheet.sections.map((section) =>
            section.title === 'Coolant' ? { ...section, empty: 'The coolant was not touched.' } : section,
          ),
        },
      }),
    },
    YEARS,
    FREEZES,
    HELD_MORE,
    NEW_SHEET,
    STEPS,
  ],
  '0.2.0': [YEARS, FREEZES, HELD_MORE, NEW_SHEET, STEPS],
  '0.3.0': [HELD_MORE, NEW_SHEET, STEPS],
  '0.4.0': [HELD_MORE, NEW_SHEET, STEPS],
  '0.5.0': [HELD_MORE, NEW_SHEET, STEPS],
  '0.6.0': [HELD_MORE, NEW_SHEET, STEPS],
  '0.7.0': [STEPS],
  '0.8.0': [],
  '0.9.0': [],
  '0.10.0': [],
  '0.11.0': [],
  '0.12.0': [],
};

/** Those that hold facts of earlier versions. A version that changes a fact adds the ones before it. */
const OLDER: ReadonlySet<string> = new Set(['0.1.0', '0.2.0', '0.3.0', '0.4.0', '0.5.0', '0.6.0', '0.7.0']);

type Facts = Readonly<Record<string, Said>>;

describe.each(readdirSync(STORES))('a store that version %s wrote', (version) => {
  const folder = mkdtempSync(join(tmpdir(), 'uw-earlier-'));
  const said = JSON.parse(readFileSync(join(STORES, version, 'facts.json'), 'utf8')) as Facts;
  let db: Database;
  let services: Services;
  beforeAll(() => {
    cpSync(join(STORES, version), folder, { recursive: true });
    db = openStore(join(folder, 'shop.sqlite'));
    services = createServices(db, join(folder, 'pictures'), () => NOW, 'Europe/London');
  });
  afterAll(() => {
    db.close();
    rmSync(folder, { recursive: true, force: true });
  });

  it('holds the jobs it held', () => {
    expect(services.jobs.log.jobIds()).toEqual(Object.keys(said));
    expect(MEANT[version]).toBeDefined();
  });
  it('has its facts read whole in their current versions, those of earlier ones too', () => {
    const { log } = services.jobs;
    const older = log.jobIds().flatMap((jobId) => log.since(jobId, 0).filter((each) => !isCurrent(each)));
    expect(older.length > 0).toBe(OLDER.has(version));
    for (const jobId of log.jobIds())
      for (const { type, v, data } of services.jobs.read(jobId, 0)?.events ?? [])
        expect(factData(type, v)?.safeParse(data).success, type).toBe(true);
  });
  it.each(Object.keys(said))('says of %s what it said', (jobId) => {
    expect(services.jobs.verify(jobId)).toBeNull();
    const says = sayingOf(services, jobId);
    const meant = (MEANT[version] ?? []).reduce((facts, { now }) => now(facts), said[jobId]!);
    expect(JSON.parse(JSON.stringify(says))).toEqual(meant);
  });
});
