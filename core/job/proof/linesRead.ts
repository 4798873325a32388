import { parseDtc } from '../../vehicle/index.ts';
import { lowerFirst, upperFirst } from '../../words/index.ts';
import { balanceSeen } from '../balance/query.ts';
import type { Job } from '../job.ts';
import { forgotten, sinceCleared } from './codesStand.ts';
import { type MeasureKind, MEASURES } from './kinds.ts';
import { overtaken, type ProofLine, type Verdict } from './line.ts';
import { bandOf, measured } from './measured.ts';
import type { Moved } from './moved.ts';

/** Codes that were read, against those after the work. */
export function codeLines(job: Job, moved: Moved | null): ProofLine[] {
  const of = (when: 'before' | 'after') =>
    job.codes.filter((code) => code.when === when && code.status !== 'ours' && code.status !== 'cleared');
  const before = of('before');
  const after = of('after');
  const meaning = (code: string): string => {
    const parsed = parseDtc(code);
    return parsed.ok && parsed.dtc.meaning !== undefined ? `${code}, ${lowerFirst(parsed.dtc.meaning)}` : code;
  };
  const line = (code: string, was: string, is: string, verdict: Verdict, remark: string): ProofLine => ({
    id: `code:${code}`,
    kind: 'code',
    name: meaning(code),
    before: was,
    after: is,
    under: {},
    verdict,
    remark,
    byHand: false,
    at: { stage: 'prove', spot: 'codes-after' },
  });
  const since = sinceCleared(job);
  return [...new Set([...before, ...after].map(({ code }) => code))].map((code) => {
    const was = before.find((each) => each.code === code)?.status ?? '';
    const again = after.find((each) => each.code === code);
    if (again === undefined || forgotten(job, again)) return notThere(code, was);
    const old = overtaken(again, moved);
    if (old !== null) return line(code, was, '', 'not tried', `${again.status}, but read ${old}`);
    const driven = since.driven ? since.words : '';
    return was === ''
      ? line(code, was, `${again.status}, new`, 'worse', driven)
      : line(code, was, `${again.status} again`, 'still there', driven);
  });

  /** What was not read is gone only where all was read, after the last that was done, and it was driven. */
  function notThere(code: string, was: string): ProofLine {
    const read = job.codesRead.after;
    if (read === null) return line(code, was, '', 'not tried', '');
    const old = overtaken(read, moved);
    if (old !== null) return line(code, was, '', 'not tried', `not there, but read ${old}`);
    return line(code, was, 'not there', since.driven ? 'gone' : 'not tried', since.words);
  }
}

/** A measured figure, judged by its band where there is one. */
export function bandLine(job: Job, kind: MeasureKind, moved: Moved | null): ProofLine[] {
  const { name, unit } = MEASURES[kind];
  const before = measured(job, kind, 'before');
  const after = measured(job, kind, 'after');
  if (before === null && after === null) return [];
  const taken = job.measurements.find((each) => each.kind === kind && each.when === 'after');
  const old = taken === undefined ? null : overtaken(taken, moved);
  const shown = (figure: typeof before): string => (figure === null ? '' : `${figure.shown} ${unit}`);
  return [
    {
      id: `band:${kind}`,
      kind: 'band',
      name,
      before: shown(before),
      after: shown(after),
      under: taken ?? {},
      verdict: old === null ? bandVerdict(job, kind) : 'not tried',
      remark: old === null ? (after?.words ?? '') : `measured ${old}`,
      byHand: false,
      at: { stage: 'prove', spot: 'measured' },
    },
  ];
}

/** A figure further out of its band than before by this share is worse, not only still out. */
const WORSE_BY = 1.1;

function bandVerdict(job: Job, kind: MeasureKind): Verdict {
  const band = bandOf(job, kind);
  const before = measured(job, kind, 'before');
  const after = measured(job, kind, 'after');
  if (after === null) return 'not tried';
  if (band === null || after.good === null) return 'shown';
  if (after.good) return before?.good === false ? 'gone' : 'good';
  if (before === null) return 'failed';
  const out = (value: number): number => Math.max(band.low - value, value - band.high, 0);
  return out(after.value) > out(before.value) * WORSE_BY ? 'worse' : 'still there';
}

/** The bodies of a bank against each other. */
export function balanceLine(job: Job, moved: Moved | null): ProofLine[] {
  const before = balanceSeen(job, 'before');
  const after = balanceSeen(job, 'after');
  if (before === null && after === null) return [];
  const words = (seen: typeof before): string => (seen === null ? '' : seen.balance.even ? 'even' : 'uneven');
  const old = after === null ? null : overtaken(after.read, moved);
  const verdict =
    after === null || old !== null
      ? 'not tried'
      : after.balance.even
        ? before?.balance.even === false
          ? 'gone'
          : 'good'
        : before?.balance.even === false
          ? 'still there'
          : 'failed';
  return [
    {
      id: 'balance',
      kind: 'balance',
      name: 'Bodies draw evenly',
      before: words(before),
      after: words(after),
      under: {},
      verdict,
      remark: old === null ? '' : `read ${old}`,
      byHand: false,
      at: { stage: 'prove', spot: 'balance' },
    },
  ];
}

/** What the maker’s tool said. */
export function toolLines(job: Job): ProofLine[] {
  const whats = [...new Set(job.toolSays.map(({ what }) => what.toLowerCase()))];
  return whats.map((what) => {
    const of = (when: 'before' | 'after') =>
      job.toolSays.find((each) => each.what.toLowerCase() === what && each.when === when);
    const [before, after] = [of('before'), of('after')];
    return {
      id: `tool:${what}`,
      kind: 'tool',
      name: upperFirst((after ?? before)?.what ?? what),
      before: before?.said ?? '',
      after: after?.said ?? '',
      under: {},
      verdict: after === undefined ? 'not tried' : 'shown',
      remark: 'by the maker’s tool',
      byHand: false,
      at: { stage: 'prove', spot: 'measured' },
    };
  });
}
