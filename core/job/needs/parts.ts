import { id, line, record, whole } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, within } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link partUsed} holds. */
export const partUsedShape = record({ id, name: line, partNumber: line, quantity: whole, priceMinor: whole });
/** A part was fitted; `priceMinor` is for one. */
export const partUsed = fact('part-used', {
  shape: partUsedShape,
  means: (job, data, stamp) => ({ parts: [...job.parts, { ...data, ...stamp }] }),
  words: (data) => `${data.name} fitted`,
  putRight: {
    anew: {
      command: 'use-part',
      from: (data) => data,
      fields: {
        name: { label: 'Part' },
        partNumber: { label: 'Part number' },
        quantity: { label: 'How many' },
        priceMinor: { label: 'Price of one', money: true },
      },
    },
  },
  sheet: 'Used and fitted',
});

/** Notes a part that was fitted. */
export const usePart = command('use-part', {
  shape: partUsedShape,
  decide: (_, data) =>
    nonEmpty('name', data.name, 'Which part?') ??
    within('quantity', data.quantity, 1, 999) ??
    within('priceMinor', data.priceMinor, 0, 100_000_000) ??
    accept(partUsed.of(data)),
});
