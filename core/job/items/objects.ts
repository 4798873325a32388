import { id, line, oneOf, record } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link objectPlaced} holds. */
export const objectPlacedShape = record({ id, what: line, where: line });
/** Something that must come out again was put in: a rag, a tie. */
export const objectPlaced = fact('object-placed', {
  shape: objectPlacedShape,
  means: (job, data, stamp) => ({ objects: [...job.objects, { ...data, ...stamp, out: false }] }),
  words: (data) => `${data.what} in: ${data.where}`,
  putRight: {},
  sheet: { no: 'what is in holds the engine; once out it is as if it had not been' },
});

/** Counts something that was put in. */
export const placeObject = command('place-object', {
  shape: objectPlacedShape,
  decide: (job, data) =>
    nonEmpty('what', data.what, 'What is it: a rag, a tie, a hook?') ??
    nonEmpty('where', data.where, 'Where is it? Somebody else may have to find it.') ??
    (job.objects.some(({ id }) => id === data.id)
      ? refuse('already-there', 'That is counted already.')
      : accept(objectPlaced.of(data))),
});

/** What {@link objectTakenOut} holds. */
export const objectTakenOutShape = record({ id });
/** It came out again. */
export const objectTakenOut = fact('object-taken-out', {
  shape: objectTakenOutShape,
  means: (job, { id }) => ({
    objects: job.objects.map((object) => (object.id === id ? { ...object, out: true } : object)),
  }),
  words: (data, job) => `${job.objects.find(({ id }) => id === data.id)?.what ?? 'Object'} out`,
  sheet: { no: 'what is in holds the engine; once out it is as if it had not been' },
});

/** Counts it as out. */
export const takeObjectOut = command('take-object-out', {
  shape: objectTakenOutShape,
  decide: (job, data) => {
    const object = job.objects.find(({ id }) => id === data.id);
    return object === undefined || object.out
      ? refuse('not-there', 'That is out already.')
      : accept(objectTakenOut.of(data));
  },
});

/** What {@link objectDropped} holds. */
export const objectDroppedShape = record({ id, what: line, where: line });
/** Something was dropped and is looked for. */
export const objectDropped = fact('object-dropped', {
  shape: objectDroppedShape,
  means: (job, data, stamp) => ({ searches: [...job.searches, { ...data, ...stamp, ended: null }] }),
  words: (data) => `Dropped: ${lowerFirst(data.what)}`,
  sheet: 'Left over or unusual',
});

/** Says that something was dropped. */
export const dropObject = command('drop-object', {
  shape: objectDroppedShape,
  decide: (job, data) =>
    nonEmpty('what', data.what, 'What was dropped?') ??
    nonEmpty('where', data.where, 'Where was it last seen or heard?') ??
    (job.searches.some(({ id }) => id === data.id)
      ? refuse('already-there', 'That is looked for already.')
      : accept(objectDropped.of(data))),
});

/** What {@link searchEnded} holds. */
export const searchEndedShape = record({ id, outcome: oneOf('found', 'accepted'), where: line });
/** It was found, or a lead accepted that it stays lost. */
export const searchEnded = fact('search-ended', {
  shape: searchEndedShape,
  means: (job, { id, ...ended }, stamp) => ({
    searches: job.searches.map((each) => (each.id === id ? { ...each, ended: { ...ended, ...stamp } } : each)),
  }),
  words: (data, job) => {
    const what = job.searches.find(({ id }) => id === data.id)?.what ?? 'It';
    return data.outcome === 'found' ? `${what} found` : `${what}: loss accepted`;
  },
  sheet: 'Left over or unusual',
});

/** Ends the search. */
export const endSearch = command('end-search', {
  shape: searchEndedShape,
  may: {
    roles: ['lead'],
    when: ({ outcome }) => outcome === 'accepted',
    words: 'Only a lead may accept that it stays lost.',
  },
  decide: (job, data, { role, alone }) => {
    const search = job.searches.find(({ id }) => id === data.id);
    if (search === undefined || search.ended !== null)
      return refuse('not-there', 'Nothing of that kind is looked for.');
    if (data.outcome === 'accepted' && role !== 'lead' && !alone)
      return refuse(
        'lead-only',
        'Only a lead may accept that it stays lost.',
        'Ask the lead to look and to enter it under their own name.',
      );
    return (
      nonEmpty(
        'where',
        data.where,
        data.outcome === 'found' ? 'Where was it found?' : 'Where can it be, and why is that safe?',
      ) ?? accept(searchEnded.of(data))
    );
  },
});
