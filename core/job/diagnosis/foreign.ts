import { id, line, oneOf, optional, record, type TypeOf } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact, type Recorded } from '../fact.ts';
import type { Job } from '../job.ts';
import { unitRef } from '../shapes.ts';

/** How much of it there was. */
export const AMOUNTS = { one: 'One piece', several: 'Several pieces', crumbs: 'Crumbs or shreds' } as const;

/** What {@link foreignFound} holds. */
export const foreignFoundShape = record({
  id,
  what: line,
  where: line,
  /** Where it came from, as far as one can say. */
  came: line,
  amount: oneOf('one', 'several', 'crumbs', 'not said'),
  unit: optional(unitRef),
});
/** Something that does not belong was found on the plate or behind it. It holds the engine until it is accounted for. */
export const foreignFound = fact('foreign-found', {
  shape: foreignFoundShape,
  means: (job, data, stamp) => ({
    foreign: [
      ...job.foreign.filter((each) => each.id !== data.id),
      { ...data, ...stamp, recovered: job.foreign.find((each) => each.id === data.id)?.recovered ?? null },
    ],
  }),
  words: (data) => `Found: ${lowerFirst(data.what)}, ${data.where}`,
  sheet: 'Left over or unusual',
});

/** Says what was found, where, how much of it and where it came from; said again, it is described anew. */
export const describeForeign = command('describe-foreign', {
  shape: foreignFoundShape,
  decide: (_, data) =>
    nonEmpty('what', data.what, 'What is it: a seed, a clip, a piece of filter?') ??
    nonEmpty('where', data.where, 'Where does it lie?') ??
    accept(foreignFound.of(data)),
});

/** What {@link foreignRecovered} holds. */
export const foreignRecoveredShape = record({ id, recovered: oneOf('part', 'all', 'accounted'), how: line });
/** It came out: part of it, all of it, or a lead says where the rest went. */
export const foreignRecovered = fact('foreign-recovered', {
  shape: foreignRecoveredShape,
  means: (job, { id, ...recovered }, stamp) => ({
    foreign: job.foreign.map((each) => (each.id === id ? { ...each, recovered: { ...recovered, ...stamp } } : each)),
  }),
  words: (data, job) => {
    const what = job.foreign.find(({ id }) => id === data.id)?.what ?? 'It';
    return data.recovered === 'all'
      ? `${what}: all of it out`
      : data.recovered === 'part'
        ? `${what}: part of it out`
        : `${what}: the rest accounted for`;
  },
  sheet: 'Left over or unusual',
});

/** Says how much of it came out. */
export const recoverForeign = command('recover-foreign', {
  shape: foreignRecoveredShape,
  may: {
    roles: ['lead'],
    when: ({ recovered }) => recovered === 'accounted',
    words: 'Only a lead may say that the rest is accounted for.',
  },
  decide: (job, data, { role }) => {
    const found = job.foreign.find(({ id }) => id === data.id);
    if (found === undefined) return refuse('not-there', 'Nothing of that kind was found.');
    if (data.recovered === 'accounted' && role !== 'lead')
      return refuse(
        'lead-only',
        'Only a lead may say that the rest is accounted for.',
        'Ask the lead to look and to enter it under their own name.',
      );
    const missing =
      data.recovered === 'all'
        ? null
        : nonEmpty(
            'how',
            data.how,
            data.recovered === 'part'
              ? 'What is missing, and where can it be?'
              : 'Where did the rest go, and why is that safe?',
          );
    return missing ?? accept(foreignRecovered.of(data));
  },
});

/** Something that was found, with how much of it came out. */
export type ForeignFound = Recorded<typeof foreignFoundShape> & {
  readonly recovered: (Recorded<typeof foreignRecoveredShape> extends infer R ? Omit<R, 'id'> : never) | null;
};

/** What of it is still in, in words; null once all of it is out or accounted for. */
export function foreignStillIn({
  what,
  where,
  recovered,
}: ForeignFound): { readonly what: string; readonly where: string } | null {
  if (recovered === null) return { what, where };
  return recovered.recovered === 'part' ? { what: `Part of: ${lowerFirst(what)}`, where: recovered.how } : null;
}

/** Everything foreign that still holds the engine. */
export const foreignHolding = (job: Job): readonly ForeignFound[] =>
  job.foreign.filter((found) => foreignStillIn(found) !== null);

/** See {@link foreignFoundShape}. */
export type ForeignData = TypeOf<typeof foreignFoundShape>;
