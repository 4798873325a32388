import { FAULT_SIGNS, WELL_OUTCOMES } from '../../diagnose/index.ts';
import { upperFirst } from '../../words/index.ts';
import type { DiagnosisState } from '../diagnosis/state.ts';
import type { Job } from '../job.ts';
import { conditionNamed } from './conditions.ts';
import { figuresJudged } from '../recordings/judged.ts';
import { SHOWN_BY, shownOf } from './linesRecorded.ts';
import { byHand, LINES, overtaken, type ProofLine } from './line.ts';
import type { Moved } from './moved.ts';

/** What was complained of, each line by itself. */
export function symptomLines(job: Job, moved: Moved | null): ProofLine[] {
  if (job.planned !== null) return [];
  const noted = job.symptoms.map(({ id, text }) => ({ id: `symptom:${id}`, text }));
  const lower = noted.map(({ text }) => text.toLowerCase());
  const told = job.signs.flatMap(({ sign, outcome, words }) => {
    const phrase = words.toLowerCase();
    const again = lower.some((text) => text.includes(phrase) || phrase.includes(text));
    return !FAULT_SIGNS.has(sign) || WELL_OUTCOMES.has(outcome) || again ? [] : [{ id: `sign:${sign}`, text: words }];
  });
  const all = [...noted, ...told];
  const lines = all.length > 0 ? all : job.complaint.trim() === '' ? [] : [{ id: 'told', text: job.complaint.trim() }];
  const recorded = new Map(figuresJudged(job).map((judged) => [judged.kind, judged]));
  return lines.map(({ id, text }): ProofLine => {
    const tried = job.tried.find(({ line }) => line === id);
    const head = { id, kind: 'symptom', name: upperFirst(text), before: 'as told' } as const;
    const by = id.startsWith('sign:') ? SHOWN_BY[id.slice('sign:'.length)] : undefined;
    const judged = by === undefined ? undefined : recorded.get(by);
    // What a person said of it stands; else what was recorded says it.
    return tried === undefined && judged !== undefined && judged.verdict !== 'shown'
      ? { ...head, ...shownOf(judged), byHand: true, at: LINES }
      : byHand(head, tried, moved, conditionNamed(text));
  });
}

type CheckDone = DiagnosisState['checks'][number];
const sameCheck = (a: CheckDone, b: CheckDone): boolean =>
  (a.check === null ? a.name === b.name : a.check === b.check) && a.unit?.place === b.unit?.place;

/** Checks that found something, done again. */
export function checkLines(job: Job, moved: Moved | null): ProofLine[] {
  const before = job.checks.filter(
    (check, index) =>
      check.when === 'before' &&
      check.verdict === 'abnormal' &&
      !job.checks.slice(index + 1).some((later) => later.when === 'before' && sameCheck(later, check)),
  );
  return before.map((check) => {
    const head = {
      id: `check:${check.id}`,
      kind: 'check',
      name: upperFirst(check.name),
      before: check.result,
    } as const;
    const again = job.checks.filter((each) => each.when === 'after' && sameCheck(each, check)).at(-1);
    const tried = job.tried.find(({ line }) => line === head.id);
    if (again === undefined || (tried !== undefined && tried.at > again.at)) return byHand(head, tried, moved);
    const old = overtaken(again, moved);
    return {
      ...head,
      after: again.result,
      under: {},
      verdict: old !== null ? 'not tried' : again.verdict === 'abnormal' ? 'still there' : 'gone',
      remark: old === null ? '' : `checked ${old}`,
      byHand: true,
      at: LINES,
    };
  });
}
