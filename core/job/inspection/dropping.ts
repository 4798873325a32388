import { FIELDS } from '../../quantity/index.ts';
import { id, line, orNull, paragraph, record, type TypeOf } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse, refuseField } from '../decision.ts';
import { fact, type Recorded } from '../fact.ts';
import type { Job } from '../job.ts';
import { quantity } from '../shapes.ts';
import { typedAmount } from '../typedAmount.ts';
import { unitName } from './units.ts';

/** What {@link unitDropped} holds: which unit, from how high as entered (null where nobody knows), and onto what. */
export const unitDroppedShape = record({ id, unit: id, height: orNull(quantity), note: paragraph });
/** A unit that was dropped. */
export type UnitDropped = Recorded<typeof unitDroppedShape>;

/** A unit was dropped: whatever was found good of it before is to be looked at again. */
export const unitDropped = fact('unit-dropped', {
  shape: unitDroppedShape,
  means: (job, data, stamp) => ({ drops: [...job.drops, { ...data, ...stamp }] }),
  words: ({ unit }, job) => `${unitName(job, unit)} dropped`,
  putRight: {},
  sheet: 'Found on the bench',
});

/** What {@link dropUnit} holds; an empty `heightText` says that nobody knows. */
const dropUnitShape = record({ id, unit: id, heightText: line, note: paragraph });
/** Says that a unit was dropped. */
export const dropUnit = command('drop-unit', {
  shape: dropUnitShape,
  decide: (job, { heightText, ...data }) => {
    if (job.drops.some((drop) => drop.id === data.id)) return refuse('already-there', 'That is noted already.');
    const height = heightOf(heightText);
    if (height !== null && 'ok' in height) return height;
    return accept(unitDropped.of({ ...data, height }));
  },
});

function heightOf(heightText: TypeOf<typeof line>) {
  if (heightText.trim() === '') return null;
  const height = typedAmount('heightText', heightText, FIELDS.dropMetres);
  return !('ok' in height) && height.value <= 0 ? refuseField('heightText', 'Expected more than 0 m.') : height;
}

/** Units that were dropped and that nobody has looked at since. */
export const droppedUnseen = (job: Job): readonly UnitDropped[] =>
  job.drops.filter(({ unit, at }) => !job.findings.some((finding) => finding.unit === unit && finding.at > at));
