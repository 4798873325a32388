import { CHANCE, COMMONNESS, PROOF_OF_ANOTHER } from './likelihood.ts';
import { IDLE_KINDS, type Subject, THROTTLE_KINDS, unitKey, type UnitRef } from './subject.ts';
import { triedChances } from './tried.ts';
import type { Cause, CauseModel, Knowledge, Sign } from './types.ts';

/** The rest outcome keeps at least this much, so that no answer is impossible. */
export const LEAST_REST = CHANCE.never;

/** The outcome of a sign that takes whatever the others leave. */
export const restOf = (sign: Sign): string => sign.outcomes.at(-1)?.id ?? '';

/** `sign=outcome`, as findings are named in data. */
export const findingKey = ({ sign, outcome }: { readonly sign: string; readonly outcome: string }): string =>
  `${sign}=${outcome}`;

/** Whether a sign can be met on this subject. */
export const signFits = (sign: Sign, subject: Subject): boolean =>
  (sign.groups === null || sign.groups.includes(subject.group)) && (!sign.needsValve || subject.hasValve);

/** Signs that can be met on this subject. */
export const signsFor = (knowledge: Knowledge, subject: Subject): Sign[] =>
  knowledge.signs.filter((sign) => signFits(sign, subject));

/** Units of a subject at which a cause can sit; empty where the units are not known, or it sits at none. */
export const unitsAt = ({ homes }: Pick<Cause, 'homes'>, { units = [] }: Subject): readonly UnitRef[] =>
  units.filter(({ kind }) => homes.includes(kind));

/** Causes that occur on this subject. */
export const causesOf = (knowledge: Knowledge, subject: Subject): Cause[] =>
  knowledge.causes.filter(
    (cause) =>
      cause.common[subject.group] !== undefined &&
      (!cause.needsValve || subject.hasValve) &&
      hasItsUnits(cause, subject),
  );

/** Where the units are listed, a cause needs as many of its kinds as it says. */
function hasItsUnits(cause: Cause, subject: Subject): boolean {
  if (cause.homes.length === 0 || (subject.units ?? []).length === 0) return true;
  const there = unitsAt(cause, subject).length;
  // A list of units that leaves the valve out says nothing of the valve.
  const listed = (subject.units ?? []).some(({ kind }) => kindsLike(cause.homes).includes(kind));
  return there >= cause.leastUnits || (!listed && cause.leastUnits <= 1);
}
const kindsLike = (homes: Cause['homes']): Cause['homes'] =>
  [THROTTLE_KINDS, IDLE_KINDS].filter((kinds) => homes.some((home) => kinds.includes(home))).flat();

/** Findings that prove something, each `sign=outcome`, with the causes that they name. */
export function proofsOf({ causes }: Pick<Knowledge, 'causes'>): ReadonlyMap<string, readonly string[]> {
  const proofs = new Map<string, string[]>();
  for (const { id, shows } of causes)
    for (const row of shows)
      if (row.word === 'proves') proofs.set(findingKey(row), [...(proofs.get(findingKey(row)) ?? []), id]);
  return proofs;
}

type Proofs = ReadonlyMap<string, readonly string[]>;
const NO_PROOFS: Proofs = new Map();

/**
 * The chance of every outcome of a sign when this is the cause; they add up to 1.
 * @param cause its portrait rows come first, then what the sign usually shows; null for a cause that says nothing
 * @param proofs findings that prove something: with every cause they do not name they are seen once in a thousand
 */
export function chancesOf(
  cause: Pick<Cause, 'id' | 'shows'> | null,
  sign: Sign,
  proofs: Proofs = NO_PROOFS,
): Readonly<Record<string, number>> {
  const rest = restOf(sign);
  const chances: Record<string, number> = {};
  let sum = 0;
  for (const { id } of sign.outcomes) {
    if (id === rest) continue;
    const row = cause?.shows.find((shown) => shown.sign === sign.id && shown.outcome === id);
    const usual = proofs.has(findingKey({ sign: sign.id, outcome: id }))
      ? PROOF_OF_ANOTHER
      : CHANCE[sign.usually[id] ?? 'never'];
    const chance =
      row === undefined ? usual : row.word === 'proves' ? CHANCE[row.seen ?? 'nearly always'] : CHANCE[row.word];
    chances[id] = chance;
    sum += chance;
  }
  const ruledOut = cause?.shows.some(
    (shown) => shown.sign === sign.id && shown.outcome === rest && shown.word === 'rules out',
  );
  if (!ruledOut || sum <= 0) return { ...chances, [rest]: 1 - sum };
  const scale = (1 - CHANCE['rules out']) / sum;
  for (const id of Object.keys(chances)) chances[id] = (chances[id] ?? 0) * scale;
  return { ...chances, [rest]: CHANCE['rules out'] };
}

/**
 * Causes ready to be ranked for one subject: priors from how common each is in the group, adding up to 1. A cause that
 * sits at a unit is there once for every unit of its kinds, and shares its prior among them.
 * @returns an empty list when the knowledge has no cause for the group
 */
export function causesFor(knowledge: Knowledge, subject: Subject): readonly CauseModel[] {
  const of = kept.get(knowledge) ?? new Map<string, readonly CauseModel[]>();
  kept.set(knowledge, of);
  const key = JSON.stringify([subject.group, subject.hasValve, subject.units ?? []]);
  const models = of.get(key) ?? madeFor(knowledge, subject);
  of.set(key, models);
  return models;
}

/** Models are made once for a knowledge and a kind of vehicle: every screen asks for them with every tap. */
const kept = new WeakMap<Knowledge, Map<string, readonly CauseModel[]>>();

function madeFor(knowledge: Knowledge, subject: Subject): readonly CauseModel[] {
  const causes = causesOf(knowledge, subject);
  const signs = signsFor(knowledge, subject);
  const proofs = proofsOf(knowledge);
  const weight = (cause: Cause): number => COMMONNESS[cause.common[subject.group] ?? 'rare'];
  const total = causes.reduce((sum, cause) => sum + weight(cause), 0);
  const elsewhere = new Map([
    ...signs.map((sign) => [sign.id, chancesOf(null, sign, proofs)] as const),
    ...triedChances(null),
  ]);
  const groupOf = new Map(knowledge.groups.flatMap(({ id, signs: views }) => views.map((view) => [view, id] as const)));
  return causes.flatMap((cause): CauseModel[] => {
    const chances = new Map([
      ...signs.map((sign) => [sign.id, chancesOf(cause, sign, proofs)] as const),
      ...triedChances(cause),
    ]);
    const keys = (word: 'proves' | 'rules out'): ReadonlySet<string> =>
      new Set(cause.shows.filter((row) => row.word === word).map(findingKey));
    const shared = {
      cause: cause.id,
      chances,
      elsewhere,
      groupOf,
      provedBy: keys('proves'),
      ruledOutBy: keys('rules out'),
      decides: cause.decides,
    };
    const units = cause.leastUnits > 1 ? [] : unitsAt(cause, subject);
    const prior = weight(cause) / total;
    return units.length <= 1
      ? [{ ...shared, id: cause.id, unit: units[0] ?? null, prior }]
      : units.map((unit) => ({ ...shared, id: `${cause.id}@${unitKey(unit)}`, unit, prior: prior / units.length }));
  });
}
