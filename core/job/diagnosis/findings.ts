import {
  findingOfCode,
  findingsOfCodes,
  interpret,
  type Finding,
  type Knowledge,
  type Sign,
  signsFor,
  type Subject,
  type UnitRef,
  understand,
} from '../../diagnose/index.ts';
import { type EngineFamily, figuresOf, groupOf, hasIdleValve, UNIT_KINDS } from '../../vehicle/index.ts';
import { isVehicleUnit, jobUnits } from '../inspection/units.ts';
import type { Job } from '../job.ts';
import { attemptFindings } from './attempts.ts';
import type { JobFinding } from './found.ts';
import { standing } from './standing.ts';

/**
 * Every unit of a vehicle: those of its file, those that its family takes where that lists more (a file often names
 * only what was ever changed), else one body and its valve.
 */
export function unitsOf(job: Job, family: EngineFamily | null): UnitRef[] {
  const { units } = job.vehicle;
  const taken = (family?.unitTypes ?? []).flatMap(({ kind, places }) => places.map((place) => ({ kind, place })));
  if (taken.length > units.length) return taken;
  return jobUnits(job, family)
    .filter(isVehicleUnit)
    .map(({ kind, place }) => ({ kind, place }));
}

/** A unit in words: “throttle actuator, left bank”; its place alone is left out where it is the only one. */
export const whereIs = ({ kind, place }: UnitRef): string =>
  place === 'only' || place === '' ? UNIT_KINDS[kind].toLowerCase() : `${UNIT_KINDS[kind].toLowerCase()}, ${place}`;

/** Which experience speaks for this job, and which units it is about. */
export const subjectOf = (job: Job, family: EngineFamily | null): Subject => ({
  group: groupOf(job.vehicle, family),
  hasValve: hasIdleValve(job.vehicle, family),
  units: unitsOf(job, family),
});

/** How much a code counts by its status: one that was cleared speaks of what was, our own unplugging of nothing. */
const STATUS_WEIGHT = { stored: 1, permanent: 1, pending: 0.7, cleared: 0.3, ours: 0 } as const;

/** Measures that are checks too: measured once, they need not be done again. */
const MEASURED_CHECKS = {
  'idle-rpm': 'idle-speed',
  'valve-duty': 'valve-duty',
  'closed-volts': 'closed-volts',
} as const;
/** Values of the adapter that are checks too, when the engine idles warm. */
const LIVE_CHECKS: Readonly<Record<number, string>> = { 0x0c: 'idle-speed', 0x10: 'air-mass', 0x0b: 'manifold' };
/** Coolant from which an engine counts as warm, °C. */
const WARM_C = 70;
/** Above this it is not idling, whatever is wrong with it, rpm. */
const IDLE_AT_MOST = 2500;

/**
 * Everything found before the work, in the order it was met. Later findings of one sign stand beside earlier ones;
 * the ranking counts the latest.
 */
export function jobFindings(job: Job, knowledge: Knowledge, family: EngineFamily | null): JobFinding[] {
  const signs = signsFor(knowledge, subjectOf(job, family));
  const figures = figuresOf(job.vehicle, family);
  const byId = new Map(signs.map((sign) => [sign.id, sign]));
  const judged = (check: string, value: number): string | null => {
    const sign = byId.get(check);
    if (sign === undefined) return null;
    const result = interpret(sign, [String(value)], figures);
    return result.ok ? result.outcome : null;
  };
  const found: JobFinding[] = [
    ...job.signs.map(({ id, sign, outcome, source, at, words }) => ({ id, sign, outcome, source, at, detail: words })),
    ...job.symptoms.flatMap(({ id, text, at }) =>
      understand(text, signs, knowledge.ownPhrases).heard.map((one) => ({
        ...pick(one),
        id: `${id}-${one.sign}`,
        source: 'noted' as const,
        at,
        detail: text,
      })),
    ),
    ...understand(
      `${job.since}. ${job.doneBefore}`,
      signs.filter(({ kind }) => kind === 'history' || kind === 'circumstance'),
      knowledge.ownPhrases,
    ).heard.map((one) => ({
      ...pick(one),
      id: `history-${one.sign}`,
      source: 'noted' as const,
      at: job.opened.at,
      detail: one.phrase,
    })),
    ...codeFindings(job, knowledge, signs),
    ...job.measurements
      .filter(({ when }) => when === 'before')
      .flatMap(({ id, kind, value, at }) => {
        const check = kind in MEASURED_CHECKS ? MEASURED_CHECKS[kind as keyof typeof MEASURED_CHECKS] : null;
        const outcome = check === null ? null : judged(check, value);
        return check === null || outcome === null
          ? []
          : [{ id, sign: check, outcome, source: 'measured' as const, at, detail: `${value}` }];
      }),
    ...job.values.filter(({ when }) => when === 'before').flatMap((read) => liveFindings(read, judged)),
    ...job.variants
      .filter(({ verdict }) => verdict !== 'not known')
      .map(({ id, verdict, at, words, kind, place }) => ({
        id,
        sign: 'variant',
        outcome: verdict === 'fits' ? 'same' : 'differs',
        source: 'compared' as const,
        at,
        detail: words,
        unit: { kind, place },
      })),
    ...job.checks.flatMap(({ id, check, outcome, when, at, result, unit }) =>
      check === null || outcome === null || when === 'after'
        ? []
        : [{ id, sign: check, outcome, source: 'checked' as const, at, detail: result, unit: unit ?? null }],
    ),
  ].filter(({ sign }) => byId.has(sign));
  const all = [...found, ...attemptFindings(job)].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  return standing(job, sinceChanged(job, all));
}

const pick = ({ sign, outcome }: Finding): Finding => ({ sign, outcome });

/** A mismatch, or what was seen of a unit, stands until that unit is changed. */
const sinceChanged = (job: Job, findings: readonly JobFinding[]): JobFinding[] =>
  findings.filter(
    ({ unit, at, source }) =>
      !unit ||
      (source !== 'checked' && source !== 'compared') ||
      !job.replaced.some((changed) => changed.at > at && isUnit(job, changed.unit, unit)),
  );

const isUnit = (job: Job, id: string, { kind, place }: UnitRef): boolean =>
  jobUnits(job, null).some((unit) => unit.id === id && unit.kind === kind && unit.place === place);

function codeFindings(job: Job, { ownCodes }: Knowledge, signs: readonly Sign[]): JobFinding[] {
  const before = job.codes.filter(({ when, status }) => when === 'before' && status !== 'ours');
  const stored = before.flatMap(({ id, code, at, status }): JobFinding[] => {
    const finding = findingOfCode(signs, code, ownCodes);
    return finding === null
      ? []
      : [{ ...finding, id, source: 'code', at, detail: code, weight: STATUS_WEIGHT[status] }];
  });
  const ended = job.codesRead.before;
  if (ended === null) return stored;
  const unknown = before.some(({ code }) => findingOfCode(signs, code, ownCodes) === null);
  const absent = findingsOfCodes(
    signs,
    before.map(({ code }) => code),
    // A code that nothing here knows may be any group's: it is unknown, not none.
    !unknown,
    ownCodes,
  ).filter(({ sign }) => !stored.some((one) => one.sign === sign));
  return [
    ...stored,
    ...absent.map((finding): JobFinding => ({
      ...finding,
      id: `none-${finding.sign}`,
      source: 'codes read',
      at: ended.at,
      detail: 'read to the end',
    })),
  ];
}

function liveFindings(
  read: Job['values'][number],
  judged: (check: string, value: number) => string | null,
): JobFinding[] {
  const value = (pid: number): number | undefined => read.values.find((each) => each.pid === pid)?.value;
  const speed = value(0x0c) ?? 0;
  const idlesWarm = speed > 0 && speed <= IDLE_AT_MOST && (value(0x0d) ?? 0) === 0 && (value(0x05) ?? 0) >= WARM_C;
  if (!idlesWarm) return [];
  return read.values.flatMap(({ pid, value: got, unit }): JobFinding[] => {
    const check = LIVE_CHECKS[pid];
    const outcome = check === undefined ? null : judged(check, got);
    return check === undefined || outcome === null
      ? []
      : [
          {
            id: `${read.id}-${pid}`,
            sign: check,
            outcome,
            source: 'adapter',
            at: read.at,
            detail: `${Math.round(got * 100) / 100} ${unit}`,
          },
        ];
  });
}
