import { editKnowledge, type KnowledgeEdit } from './edit.ts';
import { SHIPPED_KNOWLEDGE } from './knowledge/index.ts';
import type { Cause, Knowledge, Portrait, Sign } from './types.ts';

/** A knowledge as a store may hold it: one of before lacks what came later. */
type Stored = Omit<Knowledge, 'causes' | 'signs' | 'groups' | 'ownCodes' | 'ownPhrases' | 'edition'> &
  Partial<Pick<Knowledge, 'groups' | 'ownCodes' | 'ownPhrases' | 'edition'>> & {
    readonly causes: readonly (Partial<Cause> &
      Pick<Cause, 'id' | 'name' | 'short' | 'about' | 'throttle' | 'needsValve' | 'common' | 'shows'>)[];
    readonly signs: readonly (Omit<Sign, 'of'> & Partial<Pick<Sign, 'of'>>)[];
  };

/**
 * A knowledge of a store in today's form. What one of before says of likelihoods stays as it was, and signs of before
 * are weighed each by itself, so that jobs that were judged by it are judged alike; what it says nothing of (what cures
 * a cause, where it sits, the look that settles it) is what ships today.
 */
export function broughtUp(stored: Stored): Knowledge {
  const shipped = (id: string): Cause | undefined => SHIPPED_KNOWLEDGE.causes.find((cause) => cause.id === id);
  return {
    ...stored,
    edition: stored.edition ?? 1,
    causes: stored.causes.map((cause): Cause => {
      const known = shipped(cause.id);
      return {
        ...cause,
        homes: cause.homes ?? known?.homes ?? [],
        leastUnits: cause.leastUnits ?? 1,
        decides: cause.decides ?? (known?.decides ?? []).filter((id) => stored.signs.some((sign) => sign.id === id)),
        cures: cause.cures ?? known?.cures ?? [],
        returns: cause.returns ?? known?.returns ?? null,
      };
    }),
    signs: stored.signs.map((sign): Sign => ({ ...sign, of: sign.of ?? [] })),
    groups: stored.groups ?? [],
    ownCodes: stored.ownCodes ?? [],
    ownPhrases: stored.ownPhrases ?? [],
  };
}

/** What a shop had changed, on the knowledge that ships today. */
export interface CarriedOver {
  readonly knowledge: Knowledge;
  readonly kept: number;
  /** Changes that no longer fit: their sign, answer or cause is another today, or it proves something now. */
  readonly lost: readonly KnowledgeEdit[];
}

/** Takes what a shop changed since an edition was shipped over to the one that ships today. */
export function carryOver(shippedThen: Knowledge, newest: Knowledge, shipped: Knowledge): CarriedOver {
  let knowledge: Knowledge = { ...shipped, version: newest.version };
  let kept = 0;
  const lost: KnowledgeEdit[] = [];
  for (const edit of changesBetween(shippedThen, newest)) {
    const result = editKnowledge(knowledge, [edit]);
    if (result.ok) {
      knowledge = { ...result.knowledge, version: newest.version };
      kept += 1;
    } else lost.push(edit);
  }
  return { knowledge: { ...knowledge, version: newest.version + 1 }, kept, lost };
}

/** What was changed from one knowledge to the other, as edits. */
export function changesBetween(before: Knowledge, after: Knowledge): KnowledgeEdit[] {
  const causeOf = new Map(before.causes.map((cause) => [cause.id, cause]));
  const signOf = new Map(before.signs.map((sign) => [sign.id, sign]));
  return [
    ...after.causes.flatMap((cause): KnowledgeEdit[] => {
      const then = causeOf.get(cause.id);
      if (then === undefined) return [];
      return [
        ...cause.shows
          .filter((row) => !then.shows.some((other) => sameRow(other, row)))
          .map((row) => ({
            kind: 'likelihood' as const,
            cause: cause.id,
            ...row,
          })),
        ...cause.cures
          .filter((cure) => !then.cures.some((other) => other.option === cure.option && other.word === cure.word))
          .map((cure) => ({ kind: 'cure' as const, cause: cause.id, ...cure })),
        ...groupsOf(then, cause).map((group) => ({
          kind: 'common' as const,
          cause: cause.id,
          group,
          to: cause.common[group] ?? null,
        })),
      ];
    }),
    ...after.signs.flatMap((sign): KnowledgeEdit[] => {
      const then = signOf.get(sign.id);
      const minutes = sign.method?.minutes;
      return minutes === undefined || then?.method?.minutes === minutes || then === undefined
        ? []
        : [{ kind: 'minutes', sign: sign.id, minutes }];
    }),
    ...after.groups
      .filter((group) => JSON.stringify(before.groups.find(({ id }) => id === group.id)) !== JSON.stringify(group))
      .map((group) => ({ kind: 'group' as const, ...group })),
    ...after.ownCodes.map((own) => ({ kind: 'code' as const, ...own })),
    ...after.ownPhrases.map((own) => ({ kind: 'phrase' as const, ...own })),
  ];
}

const sameRow = (a: Portrait, b: Portrait): boolean =>
  a.sign === b.sign && a.outcome === b.outcome && a.word === b.word && a.seen === b.seen;

const groupsOf = (then: Cause, now: Cause) =>
  (Object.keys({ ...then.common, ...now.common }) as (keyof Cause['common'])[]).filter(
    (group) => then.common[group] !== now.common[group],
  );
