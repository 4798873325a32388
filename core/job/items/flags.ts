import { RESTORE_KINDS } from '../../procedure/index.ts';
import { id, keyOf, line, orNull, paragraph, record } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import { allNeeds } from '../needs/needs.ts';
import { needAdded, needTicked } from '../needs/ticking.ts';
import { FLAG_NEEDS, FLAGS } from './flagKinds.ts';
import { onItem } from './item.ts';
import { notHere } from './listing.ts';
import { itemOf, nameOf } from './query.ts';

/** What {@link itemFlagged} holds. */
export const itemFlaggedShape = record({
  itemId: id,
  flag: keyOf(FLAGS),
  needs: keyOf(FLAG_NEEDS),
  text: paragraph,
  needId: orNull(id),
});
/** An item was found broken, seized, missing or wrong. */
export const itemFlagged = fact('item-flagged', {
  shape: itemFlaggedShape,
  means: (job, { itemId, ...flag }, stamp) =>
    onItem(job, itemId, (item) => ({ ...item, flag: { ...flag, ...stamp, settled: null } })),
  words: (data, job) => `${nameOf(job, data.itemId)}: ${lowerFirst(FLAGS[data.flag])}`,
  about: ({ itemId }) => itemId,
  way: 'off',
  putRight: {},
  sheet: 'Left over or unusual',
});

/** Flags an item; `partNumber` and a fresh `needId` put the part on the list when one is needed. */
export const flagItem = command('flag-item', {
  shape: record({ ...itemFlaggedShape.fields, needId: id, partNumber: line }),
  decide: (job, { partNumber, needId, ...data }) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return notHere(data.itemId);
    if (data.needs === 'note' || data.needs === 'repair') {
      const missing = nonEmpty('text', data.text, `Say what ${FLAG_NEEDS[data.needs].toLowerCase()} should cover.`);
      if (missing) return missing;
    }
    if (data.needs !== 'part') return accept(itemFlagged.of({ ...data, needId: null }));
    if (allNeeds(job).some(({ id }) => id === needId)) return refuse('already-there', 'That is on the list already.');
    return accept(
      needAdded.of({
        need: {
          id: needId,
          kind: 'part',
          name: item.name,
          partNumber: partNumber.trim() || item.partNumber,
          note: `${FLAGS[data.flag].toLowerCase()}${data.text === '' ? '' : `: ${data.text}`}`,
          caution: null,
        },
      }),
      needTicked.of({ needId, state: 'missing', expected: null }),
      itemFlagged.of({ ...data, needId }),
    );
  },
});

/** What {@link flagSettled} holds. */
export const flagSettledShape = record({ itemId: id, how: line });
/** What was flagged is settled. */
export const flagSettled = fact('flag-settled', {
  shape: flagSettledShape,
  means: (job, { itemId, how }, stamp) =>
    onItem(job, itemId, (item) => ({ ...item, flag: item.flag && { ...item.flag, settled: { ...stamp, how } } })),
  words: (data, job) => `${nameOf(job, data.itemId)}: settled`,
  about: ({ itemId }) => itemId,
  sheet: 'Left over or unusual',
});

/** Says how a flag was settled. */
export const settleFlag = command('settle-flag', {
  shape: flagSettledShape,
  decide: (job, data) => {
    const flag = itemOf(job, data.itemId)?.flag ?? null;
    if (flag === null || flag.settled !== null) return refuse('not-there', 'Nothing is open there.');
    return nonEmpty('how', data.how, 'How was it settled?') ?? accept(flagSettled.of(data));
  },
});

/** What {@link measureKept} holds. */
export const measureKeptShape = record({ itemId: id, kind: keyOf(RESTORE_KINDS), text: line });
/** A measure or mark was taken before the item came off. */
export const measureKept = fact('measure-kept', {
  shape: measureKeptShape,
  means: (job, { itemId, kind, text }, stamp) =>
    onItem(job, itemId, (item) => ({
      ...item,
      kept: [...item.kept.filter((each) => each.kind !== kind), { kind, text, ...stamp, restored: null }],
    })),
  words: (data, job) => `${nameOf(job, data.itemId)}: ${lowerFirst(RESTORE_KINDS[data.kind])} ${data.text}`,
  about: ({ itemId }) => itemId,
  way: 'off',
  putRight: { anew: { command: 'keep-measure', from: (data) => data, fields: { text: { label: 'Measure' } } } },
  sheet: { no: 'it is printed with its item, once that has come off' },
});

/** Keeps a measure. */
export const keepMeasure = command('keep-measure', {
  shape: measureKeptShape,
  decide: (job, data) =>
    itemOf(job, data.itemId) === undefined
      ? notHere(data.itemId)
      : (nonEmpty('text', data.text, 'What is the measure or mark?') ?? accept(measureKept.of(data))),
});

/** What {@link measureRestored} holds. */
export const measureRestoredShape = record({ itemId: id, kind: keyOf(RESTORE_KINDS), text: line });
/** It was set again. */
export const measureRestored = fact('measure-restored', {
  shape: measureRestoredShape,
  means: (job, { itemId, kind, text }, stamp) =>
    onItem(job, itemId, (item) => ({
      ...item,
      kept: item.kept.map((each) => (each.kind === kind ? { ...each, restored: { text, ...stamp } } : each)),
    })),
  words: (data, job) => `${nameOf(job, data.itemId)}: ${lowerFirst(RESTORE_KINDS[data.kind])} set again`,
  about: ({ itemId }) => itemId,
  way: 'back',
  sheet: 'Came off and went back',
});

/** Sets a measure again. */
export const restoreMeasure = command('restore-measure', {
  shape: measureRestoredShape,
  decide: (job, data) => {
    const item = itemOf(job, data.itemId);
    if (item === undefined) return notHere(data.itemId);
    return item.kept.some(({ kind }) => kind === data.kind)
      ? accept(measureRestored.of(data))
      : refuse('not-there', 'Nothing of that kind was measured before.');
  },
});
