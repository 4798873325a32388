import type { Job } from '../job.ts';
import { type MeasureKind, MEASURES, PROOFS } from './kinds.ts';
import { byHand, overtaken, type ProofLine, VERDICT_WORDS } from './line.ts';
import { benchLines } from './linesBench.ts';
import { traceLines } from './linesRecorded.ts';
import { checkLines, symptomLines } from './linesByHand.ts';
import { balanceLine, bandLine, codeLines, toolLines } from './linesRead.ts';
import { lastMoved } from './moved.ts';

/** The line of that id, or null. */
export const lineOf = (job: Job, id: string): ProofLine | null =>
  proofOf(job).lines.find((each) => each.id === id) ?? null;

/**
 * The proof line by line: every symptom, code, figure, check and bench finding of the job, and what somebody tried of
 * their own. What was proved before something came off again counts as not tried.
 */
function proofLines(job: Job): ProofLine[] {
  const moved = lastMoved(job);
  return [
    ...symptomLines(job, moved),
    ...codeLines(job, moved),
    ...(Object.keys(MEASURES) as MeasureKind[]).flatMap((kind) => bandLine(job, kind, moved)),
    ...balanceLine(job, moved),
    ...traceLines(job),
    ...checkLines(job, moved),
    ...benchLines(job),
    ...job.proofs.map((proof): ProofLine => {
      const old = overtaken(proof, moved);
      const verdict = proof.result === 'good' ? 'good' : 'failed';
      return {
        id: `proof:${proof.check}`,
        kind: 'proof',
        name: PROOFS[proof.check],
        before: '',
        after: proof.note,
        under: proof,
        verdict: old === null ? verdict : 'not tried',
        remark: old === null ? '' : `${VERDICT_WORDS[verdict]}, but ${old}`,
        byHand: false,
        at: { stage: 'prove', spot: 'driven' },
      };
    }),
    ...job.tried
      .filter(({ line }) => line.startsWith('own:'))
      .map((tried) => byHand({ id: tried.line, kind: 'own', name: tried.words, before: '' }, tried, moved)),
    ...toolLines(job),
  ];
}

/** Verdicts by which a line fails: it goes over only with a reason. */
const FAILS: ReadonlySet<ProofLine['verdict']> = new Set<ProofLine['verdict']>(['still there', 'worse', 'failed']);

/** The proof as it stands. */
export interface ProofSoFar {
  readonly lines: readonly ProofLine[];
  /** Lines that came out wrong. */
  readonly failing: readonly ProofLine[];
  /** Lines that nobody has tried, or that were tried before something came off again. */
  readonly untried: readonly ProofLine[];
}

const proofs = new WeakMap<Job, ProofSoFar>();

/** The proof line by line, with what fails and what is still to be tried. Remembered per job value: every screen asks. */
export function proofOf(job: Job): ProofSoFar {
  const known = proofs.get(job);
  if (known !== undefined) return known;
  const lines = proofLines(job);
  const proof = {
    lines,
    failing: lines.filter(({ verdict }) => FAILS.has(verdict)),
    untried: lines.filter(({ verdict }) => verdict === 'not tried'),
  };
  proofs.set(job, proof);
  return proof;
}
