import { figureWanted, jointOf } from '../../procedure/index.ts';
import { id, line, list, number, orNull, paragraph, record, whole } from '../../shape/index.ts';
import { isSpec, specFromText } from '../../torque/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField, within } from '../decision.ts';
import { fact } from '../fact.ts';
import { change, onItem } from '../items/item.ts';
import { itemOf, nameOf } from '../items/query.ts';
import type { JobItem } from '../items/state.ts';
import type { Job } from '../job.ts';

/** A job of this shop from which a figure was taken. */
export const likeJobShape = record({ jobId: id, number: whole, vehicle: line });

/** A torque specification as it is recorded; newton metres. */
const specShape = record({
  text: line,
  lowNm: number,
  highNm: number,
  targetNm: number,
  angleDeg: orNull(number),
  source: orNull(line),
});

/** What {@link figureGiven} holds. */
export const figureGivenShape = record({ itemId: id, spec: specShape, like: orNull(likeJobShape) });
/** A torque figure was given to a group that had none, or another than it had. */
export const figureGiven = fact('figure-given', {
  shape: figureGivenShape,
  means: (job, { itemId, spec, like }) =>
    onItem(job, itemId, (item) => ({
      ...item,
      fasteners: item.fasteners && { ...item.fasteners, spec, fractions: stages(item.fasteners) },
      figureFrom: like,
      byFeel: null,
    })),
  words: (data, job) => `${nameOf(job, data.itemId)}: figure ${data.spec.text}`,
  about: ({ itemId }) => itemId,
  way: 'back',
  putRight: {},
  sheet: 'Fasteners',
});

/** Several bolts are tightened in two stages, where nobody has said otherwise. */
const stages = ({ count, fractions }: NonNullable<JobItem['fasteners']>): readonly number[] =>
  count > 1 && fractions.length === 1 ? [0.5, 1] : fractions;

/** Gives a group its torque figure: typed, or from a like job. */
export const giveFigure = command('give-figure', {
  shape: record({ itemId: id, text: line, source: orNull(line), like: orNull(likeJobShape) }),
  decide: (job, { itemId, text, source, like }) => {
    const item = itemOf(job, itemId);
    if (item?.fasteners == null) return refuse('no-such-item', 'That item has no fasteners to tighten.');
    const told = source?.trim() ?? '';
    const spec = specFromText(text, told === '' ? null : told);
    if (!isSpec(spec)) return refuseField('text', spec.message);
    return within('text', spec.targetNm, 0.1, 500, 'N·m') ?? accept(figureGiven.of({ itemId, spec, like }));
  },
});

/** What {@link byFeelChosen} holds. */
export const byFeelChosenShape = record({ itemIds: list(id, { low: 1, high: 200 }), why: paragraph });
/** Groups that call for a figure go back by feel, with why. */
export const byFeelChosen = fact('by-feel-chosen', {
  shape: byFeelChosenShape,
  means: (job, { itemIds, why }, stamp) => ({
    items: itemIds.reduce<readonly JobItem[]>(
      (items, itemId) => change(items, itemId, (item) => ({ ...item, byFeel: { ...stamp, why } })),
      job.items,
    ),
  }),
  words: ({ itemIds }, job) =>
    itemIds.length === 1
      ? `${nameOf(job, itemIds[0] ?? '')}: by feel`
      : `By feel: ${itemIds.map((itemId) => lowerFirst(nameOf(job, itemId))).join(', ')}`,
  way: 'back',
  putRight: {},
  sheet: 'Fasteners',
});

/** Chooses to tighten by feel what calls for a figure that nobody has. */
export const chooseByFeel = command('choose-by-feel', {
  shape: byFeelChosenShape,
  decide: (job, { itemIds, why }) => {
    for (const itemId of itemIds) {
      const item = itemOf(job, itemId);
      if (item === undefined) return refuse('no-such-item', `There is no item “${itemId}” on this job.`);
      if (!wantsFigure(item) && !loose(job, item))
        return refuse('not-there', `${item.name}: no figure is wanted there.`);
    }
    return (
      nonEmpty('why', why, 'Say why there is no figure, in a few words: the sheet carries it.') ??
      accept(byFeelChosen.of({ itemIds: [...new Set(itemIds)], why: why.trim() }))
    );
  },
});

/**
 * Whether a group waits for a torque figure: it came off, calls for one, has none, and nobody chose to go by feel. Of a
 * group that a procedure lists without saying what it holds, its writer has said that none is called for.
 */
export const wantsFigure = (item: JobItem): boolean =>
  item.state !== 'on' &&
  item.state !== 'left-off' &&
  item.byFeel === null &&
  (item.origin === 'typed' || item.fasteners?.joint !== undefined) &&
  figureWanted(item);

/** What holds a unit down: bolts of its flange, or the clamps of its own boot. Those of a duct or a cover do not. */
const ties = (item: JobItem): boolean =>
  item.stripOrder !== null &&
  (item.kind === 'clamp' ? OF_A_UNIT.test(item.name) : item.fasteners !== null && jointOf(item) === 'flange');
const OF_A_UNIT = /\b(?:boot|rubber|manifold|body|throttle|unit|valve|flange|flap)s?\b/i;

/** Whether a unit was put back by typing alone, and nothing on the job says what holds it down. */
export const loose = (job: Job, item: JobItem): boolean =>
  item.unit !== null &&
  item.origin === 'typed' &&
  item.byFeel === null &&
  (item.state === 'refitted' || item.state === 'renewed') &&
  !job.items.some(ties);
