import {
  type Commonness,
  COMMONNESS,
  causesOf,
  type Group,
  type Knowledge,
  type KnowledgeEdit,
} from '../diagnose/index.ts';
import { tells } from './falseDiscovery.ts';
import { FALSE_SHARE, LEAST_BAD } from './lessons.ts';
import { binomialTail, type Count } from './tails.ts';

/** The cause that a finished job was decided by. */
export interface FoundCause {
  readonly jobId: string;
  readonly group: Group;
  readonly hasValve: boolean;
  readonly cause: string;
}

/** A cause that is found oftener than the knowledge leads one to expect. */
export interface CauseLesson {
  readonly id: string;
  readonly group: Group;
  readonly cause: string;
  readonly here: Count;
  /** By how common the knowledge says it is, 0 to 1. */
  readonly expected: number;
  readonly p: number;
  readonly is: Commonness;
  /** The word that fits what was found. */
  readonly fits: Commonness;
  readonly jobs: readonly string[];
}

const WORDS = Object.keys(COMMONNESS) as Commonness[];

/** Causes of a group that this shop finds oftener than the knowledge says, the surest first. */
export function commonerCauses(found: readonly FoundCause[], knowledge: Knowledge): CauseLesson[] {
  const groups = [...new Set(found.map(({ group, hasValve }) => `${group} ${hasValve}`))];
  const asked = groups.flatMap((key): CauseLesson[] => {
    const own = found.filter(({ group, hasValve }) => `${group} ${hasValve}` === key);
    const { group, hasValve } = own[0]!;
    const causes = causesOf(knowledge, { group, hasValve });
    const weightOf = (id: string): number => COMMONNESS[causes.find((each) => each.id === id)?.common[group] ?? 'rare'];
    const all = causes.reduce((sum, { id }) => sum + weightOf(id), 0);
    return causes.flatMap(({ id, common }): CauseLesson[] => {
      const jobs = own.filter(({ cause }) => cause === id).map(({ jobId }) => jobId);
      const is = common[group];
      if (is === undefined) return [];
      const here = { k: jobs.length, n: own.length };
      const expected = COMMONNESS[is] / all;
      const fits = fitting(here, all - COMMONNESS[is], is);
      return [
        {
          id: `cause:${key}:${id}`,
          group,
          cause: id,
          here,
          expected,
          p: binomialTail(here.k, here.n, expected),
          is,
          fits,
          jobs,
        },
      ];
    });
  });
  const told = tells(
    asked.map(({ p }) => p),
    FALSE_SHARE,
  );
  return asked
    .filter(({ here, is, fits }, nth) => told[nth] && here.k >= LEAST_BAD && fits !== is)
    .toSorted((a, b) => a.p - b.p || a.id.localeCompare(b.id));
}

/**
 * The word whose weight is nearest, in ratio, to the one that gives the share found, pulled towards what is said by as much
 * as ten jobs would: a few jobs move nothing far. Never a rarer word than now.
 */
function fitting({ k, n }: Count, others: number, is: Commonness): Commonness {
  const expected = COMMONNESS[is] / (others + COMMONNESS[is]);
  const share = Math.min(0.95, (k + PULL * expected) / (n + PULL));
  const weight = (share / (1 - share)) * others;
  const off = (word: Commonness): number => Math.abs(Math.log(COMMONNESS[word] / weight));
  const nearest = WORDS.reduce((best, word) => (off(word) < off(best) ? word : best));
  return WORDS.indexOf(nearest) > WORDS.indexOf(is) ? nearest : is;
}
const PULL = 10;

/** What it would change in the knowledge. */
export const causeEdit = ({ cause, group, fits }: CauseLesson): KnowledgeEdit => ({
  kind: 'common',
  cause,
  group,
  to: fits,
});
