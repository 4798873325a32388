import type { PartForm } from '../../clean/index.ts';
import type { Job } from '../job.ts';
import { partId } from './layingOut.ts';

/** A part on the bench beside the units: laid out by hand, or an item that came off and is cleaned by itself. */
export interface BenchPart {
  /** Its id among the units. */
  readonly id: string;
  readonly form: PartForm;
  readonly name: string;
  /** Where it goes: “cylinder 3”; empty where there is but one, or its name says it. */
  readonly place: string;
  readonly partNumber: string;
  /** The item that it is; empty where it is none of those that came off. */
  readonly itemId: string;
}

/** The parts on the bench: items that came off and are one, in their order, then what was laid out besides. */
export function benchParts(job: Job): BenchPart[] {
  const linked = new Set(job.laidOut.map(({ itemId = '' }) => itemId));
  return [
    ...job.items.flatMap(({ id, part, name, partNumber, stripOrder, aside }): BenchPart[] =>
      part === undefined || stripOrder === null || aside !== null || linked.has(id)
        ? []
        : [{ id: partId(id), form: part, name, place: '', partNumber, itemId: id }],
    ),
    ...job.laidOut.map(({ id, form, name, place, itemId = '' }): BenchPart => ({
      id: partId(id),
      form,
      name,
      place,
      partNumber: job.items.find((item) => item.id === itemId)?.partNumber ?? '',
      itemId,
    })),
  ];
}
