import { contradictions, findingWords } from '../../diagnose/index.ts';
import { id, line, optional, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { unitRef } from '../shapes.ts';
import { jobFindings } from './findings.ts';
import { NO_KNOWLEDGE } from './signs.ts';
import type { JobFinding } from './found.ts';

const one = { sign: id, outcome: id, unit: optional(unitRef) } as const;

/** What {@link findingStands} holds. */
export const findingStandsShape = record({ id, stands: record(one), falls: record(one), words: line });
/** Two findings could not both be; somebody said which stands. The other stays on the record and is not weighed. */
export const findingStands = fact('finding-stands', {
  shape: findingStandsShape,
  means: (job, data, stamp) => ({
    fallen: [...job.fallen.filter((each) => each.id !== data.id), { ...data, ...stamp }],
  }),
  words: (data) => `Stands: ${data.words}`,
  sheet: { no: 'the sheet has both looks, each with who and when' },
});

/** Says which of two findings that contradict each other stands. */
export const letStand = command('let-stand', {
  shape: record({ id, stands: record(one), falls: record(one) }),
  asks: () => ({ knowledge: 'own', family: true }),
  decide: (job, data, { knowledge, family }) => {
    if (knowledge === null) return NO_KNOWLEDGE;
    const open = contradictions(knowledge, jobFindings(job, knowledge, family));
    const isOne = (a: { sign: string; outcome: string }, b: { sign: string; outcome: string }): boolean =>
      a.sign === b.sign && a.outcome === b.outcome;
    const meant = open.some(
      ({ a, b }) => (isOne(a, data.stands) && isOne(b, data.falls)) || (isOne(b, data.stands) && isOne(a, data.falls)),
    );
    return meant
      ? accept(findingStands.of({ ...data, words: findingWords(knowledge.signs, data.stands) }))
      : refuse('no-contradiction', 'These two do not contradict each other.');
  },
});

/** Findings without those that somebody said do not stand; found again later, they count again. */
export const standing = (job: Pick<Job, 'fallen'>, findings: readonly JobFinding[]): JobFinding[] =>
  findings.filter(
    ({ sign, outcome, at }) =>
      !job.fallen.some(({ falls, at: said }) => falls.sign === sign && falls.outcome === outcome && at <= said),
  );
