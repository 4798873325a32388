import { WASTE_KINDS } from '../../clean/index.ts';
import { id, keyOf, line, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link wasteTaken} holds. */
export const wasteTakenShape = record({ id, kind: keyOf(WASTE_KINDS), amount: line, where: line });
/** Waste was taken where it belongs. */
export const wasteTaken = fact('waste-taken', {
  shape: wasteTakenShape,
  means: (job, data, stamp) => ({ waste: [...job.waste, { ...data, ...stamp }] }),
  words: (data) => `${WASTE_KINDS[data.kind].name} taken away`,
  putRight: {
    anew: {
      command: 'take-waste',
      from: (data) => data,
      fields: { amount: { label: 'How much' }, where: { label: 'Where to' } },
    },
  },
  sheet: 'Waste',
});

/** Says where waste went. */
export const takeWaste = command('take-waste', {
  shape: wasteTakenShape,
  decide: (_, data) => nonEmpty('where', data.where, 'Where did it go?') ?? accept(wasteTaken.of(data)),
});
