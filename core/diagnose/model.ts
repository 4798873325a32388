import { type Cause, type CauseModel, CHANCE, COMMONNESS, type Knowledge, type Sign, type Subject } from './types.ts';

/** The rest outcome keeps at least this much, so that no answer is impossible. */
export const LEAST_REST = CHANCE.never;

/** The outcome of a sign that takes whatever the others leave. */
export const restOf = (sign: Sign): string => sign.outcomes.at(-1)?.id ?? '';

/** Whether a sign can be met on this subject. */
export const signFits = (sign: Sign, subject: Subject): boolean =>
  (sign.groups === null || sign.groups.includes(subject.group)) && (!sign.needsValve || subject.hasValve);

/** Signs that can be met on this subject. */
export const signsFor = (knowledge: Knowledge, subject: Subject): Sign[] =>
  knowledge.signs.filter((sign) => signFits(sign, subject));

/** Causes that occur on this subject. */
export const causesOf = (knowledge: Knowledge, subject: Subject): Cause[] =>
  knowledge.causes.filter(
    ({ common, needsValve }) => common[subject.group] !== undefined && (!needsValve || subject.hasValve),
  );

/**
 * The chance of every outcome of a sign when this is the cause; they add up to 1.
 * @param cause its portrait rows come first, then what the sign usually shows
 */
export function chancesOf(cause: Cause, sign: Sign): Readonly<Record<string, number>> {
  const rest = restOf(sign);
  const chances: Record<string, number> = {};
  let sum = 0;
  for (const { id } of sign.outcomes) {
    if (id === rest) continue;
    const row = cause.shows.find((shown) => shown.sign === sign.id && shown.outcome === id);
    const chance = CHANCE[row?.word ?? sign.usually[id] ?? 'never'];
    chances[id] = chance;
    sum += chance;
  }
  return { ...chances, [rest]: 1 - sum };
}

/**
 * Causes ready to be ranked for one subject: priors from how common each is in the group, adding up to 1.
 * @returns an empty list when the knowledge has no cause for the group
 */
export function causesFor(knowledge: Knowledge, subject: Subject): CauseModel[] {
  const causes = causesOf(knowledge, subject);
  const signs = signsFor(knowledge, subject);
  const weight = (cause: Cause): number => COMMONNESS[cause.common[subject.group] ?? 'rare'];
  const total = causes.reduce((sum, cause) => sum + weight(cause), 0);
  return causes.map((cause) => ({
    id: cause.id,
    prior: weight(cause) / total,
    chances: new Map(signs.map((sign) => [sign.id, chancesOf(cause, sign)])),
  }));
}
