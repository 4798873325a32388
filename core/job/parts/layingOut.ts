import { PART_FORMS, UNIT_FORMS } from '../../clean/index.ts';
import { id, line, oneOf, optional, record } from '../../shape/index.ts';
import { upperFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link partLaidOut} holds. */
export const partLaidOutShape = record({
  id,
  form: oneOf(...PART_FORMS),
  name: line,
  /** Where it goes: “cylinder 3”; empty where there is but one. */
  place: line,
  /** The item that it is, where it is one of those that came off. */
  itemId: optional(id),
});
/** The id under which a part stands among the units. */
export const partId = (own: string): string => `part-${own}`;

/** Something besides the units lies on the bench to be looked at and cleaned. */
export const partLaidOut = fact('part-laid-out', {
  shape: partLaidOutShape,
  means: (job, data, stamp) => ({ laidOut: [...job.laidOut, { ...data, ...stamp }] }),
  words: ({ name, place }) => `On the bench: ${[name, place].filter(Boolean).join(', ')}`,
  putRight: {
    anew: {
      command: 'lay-out-part',
      from: (data) => data,
      fields: { name: { label: 'What it is' }, place: { label: 'Where it goes' } },
    },
  },
  sheet: 'On the bench',
});

/** Lays out a part. Two of a name need a place to be told apart. */
export const layOutPart = command('lay-out-part', {
  shape: partLaidOutShape,
  decide: (job, { place, name, ...data }) => {
    if (job.laidOut.some(({ id: known }) => known === data.id))
      return refuse('already-there', 'That part lies there already.');
    if (data.itemId !== undefined && job.items.find(({ id: item }) => item === data.itemId)?.stripOrder == null)
      return refuseField('itemId', 'That is not among what came off.');
    const made = { ...data, name: upperFirst(name.trim() || UNIT_FORMS[data.form]), place: place.trim() };
    const alike = job.laidOut.some((each) => each.name === made.name && each.place === made.place);
    return (
      (alike
        ? nonEmpty('place', '', `There is a ${made.name.toLowerCase()} already: say where this one goes.`)
        : null) ?? accept(partLaidOut.of(made))
    );
  },
});
