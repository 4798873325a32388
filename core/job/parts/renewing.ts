import { id, line, oneOf, record, whole } from '../../shape/index.ts';
import { upperFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, within } from '../decision.ts';
import { fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { partUsed } from '../needs/parts.ts';
import { benchParts } from './onBench.ts';

/** What {@link partRenewed} holds: which part on the bench, and what goes on in its stead. */
export const partRenewedShape = record({
  id,
  /** Its id among the units. */
  unit: id,
  partNumber: line,
  origin: oneOf('new', 'rebuilt', 'used'),
  /** Minor units of the shop's currency; 0 where it cost nothing or is in the sum already. */
  priceMinor: whole,
  why: line,
});

/** A part on the bench gives way to another. The item that it is goes back renewed. */
export const partRenewed = fact('part-renewed', {
  shape: partRenewedShape,
  means: (job, data, stamp) => ({
    renewedParts: [...job.renewedParts.filter(({ unit }) => unit !== data.unit), { ...data, ...stamp }],
  }),
  words: ({ unit, partNumber, origin }, job) =>
    `${partNamed(job, unit)}: ${origin} one${partNumber === '' ? '' : ` ${partNumber}`}`,
  putRight: {},
  sheet: 'Used and fitted',
});

/** Takes another part instead of one on the bench. */
export const renewPart = command('renew-part', {
  shape: partRenewedShape,
  decide: (job, data) => {
    const part = benchParts(job).find(({ id }) => id === data.unit);
    if (part === undefined)
      return refuse('no-such-part', 'That part does not lie on the bench.', 'Lay it out first, under what it is.');
    if (job.renewedParts.some(({ id }) => id === data.id)) return refuse('already-there', 'That is recorded already.');
    return (
      nonEmpty('why', data.why, 'Why does the old one not serve?') ??
      within('priceMinor', data.priceMinor, 0, 100_000_000) ??
      accept(
        partRenewed.of(data),
        ...(data.priceMinor === 0
          ? []
          : [
              partUsed.of({
                id: `${data.id}-part`,
                name: upperFirst(`${partNamed(job, data.unit)}, ${data.origin}`),
                partNumber: data.partNumber,
                quantity: 1,
                priceMinor: data.priceMinor,
              }),
            ]),
      )
    );
  },
});

/** What a part on the bench is called; its id where the job has none such. */
export function partNamed(job: Job, unit: string): string {
  const part = benchParts(job).find(({ id }) => id === unit);
  return part === undefined ? unit : [part.name, part.place].filter(Boolean).join(', ');
}
