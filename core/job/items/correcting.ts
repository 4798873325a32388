import { isBackStep, ITEM_KINDS, jointOf, JOINTS } from '../../procedure/index.ts';
import { id, keyOf, line, orNull, paragraph, record, type TypeOf, wholeWithin } from '../../shape/index.ts';
import { parseThread } from '../../torque/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, type Refusal, refuse, refuseField, within } from '../decision.ts';
import { fact, type MadeFact } from '../fact.ts';
import type { Job } from '../job.ts';
import { asItWas } from './aside.ts';
import { stepsRest } from './backSteps.ts';
import { change } from './item.ts';
import { notHere } from './listing.ts';
import { openingAdded } from './openings.ts';
import { itemOf, nameOf } from './query.ts';
import { leftOpenBy } from './typed.ts';
import type { JobItem } from './state.ts';

/** What is said of an item and can be put right where it stands. */
const said = {
  name: line,
  kind: keyOf(ITEM_KINDS),
  tool: line,
  /** Null where it has no fasteners. */
  count: orNull(wholeWithin({ low: 0 })),
  thread: line,
  /** What its fasteners hold. */
  joint: orNull(keyOf(JOINTS)),
} as const;
const saidShape = record(said);
type Said = TypeOf<typeof saidShape>;

/** What an item says of itself now, as it would be put right. */
export const saidOf = (item: JobItem): Said => ({
  name: item.name,
  kind: item.kind,
  tool: item.tool,
  count: item.fasteners?.count ?? null,
  thread: item.fasteners?.thread ?? '',
  joint: item.fasteners === null ? null : jointOf(item),
});

/** What {@link itemCorrected} holds. */
export const itemCorrectedShape = record({ itemId: id, was: saidShape, is: saidShape, why: paragraph });
/** What was said of an item was wrong; the old words stay legible. */
export const itemCorrected = fact('item-corrected', {
  shape: itemCorrectedShape,
  means: (job, { itemId, was, is, why }, stamp) => ({
    items: change(job.items, itemId, (item) => ({
      ...item,
      name: is.name,
      kind: is.kind,
      tool: is.tool,
      fasteners:
        item.fasteners === null || is.count === null
          ? item.fasteners
          : {
              ...item.fasteners,
              count: is.count,
              thread: is.thread,
              ...(is.joint === null || is.joint === was.joint ? {} : { joint: is.joint }),
            },
      // What came out was counted as one said it: it is what was said that was wrong.
      countedOut: item.countedOut === was.count && item.countedOut !== null ? is.count : item.countedOut,
      corrections: [...item.corrections, { was, is, why, ...stamp }],
    })),
  }),
  words: (data) => `${data.was.name} put right`,
  about: ({ itemId }) => itemId,
  sheet: 'Came off and went back',
});

/** What a correction changed, in words: “3 × M8×20 instead of 2 × M8”. */
export function changesOf(was: Said, is: Said): string[] {
  const group = ({ count, thread }: Said): string => (count === null ? '' : `${count} × ${thread}`.trim());
  const pairs: readonly (readonly [string, string])[] = [
    [was.name, is.name],
    [ITEM_KINDS[was.kind], ITEM_KINDS[is.kind]],
    [group(was), group(is)],
    [was.tool, is.tool],
    [was.joint === null ? '' : JOINTS[was.joint].name, is.joint === null ? '' : JOINTS[is.joint].name],
  ];
  return pairs.flatMap(([before, now]) =>
    before === now ? [] : [`${now || 'nothing'} instead of ${before || 'nothing'}`],
  );
}

/** Puts right what was said of an item. */
export const correctItem = command('correct-item', {
  shape: record({ itemId: id, is: saidShape, why: paragraph }),
  decide: (job, { itemId, is: told, why }) => {
    const item = itemOf(job, itemId);
    if (item === undefined) return notHere(itemId);
    if (item.origin === 'plug') return refuse('not-an-item', `${item.name} is a plug.`, 'Take it out and plug anew.');
    const was = saidOf(item);
    const is = { ...told, name: told.name.trim(), tool: told.tool.trim(), thread: told.thread.trim() };
    const wrong = wrongIn(job, item, is);
    if (wrong !== null) return wrong;
    return changesOf(was, is).length === 0
      ? refuse('nothing-changes', 'That is what it says already.')
      : accept(itemCorrected.of({ itemId, was, is, why: why.trim() }), ...nowOpens(job, item, is));
  },
});

/** A thing that turns out to be a unit, a coolant hose or a fuel line has left something open all the time. */
function nowOpens(job: Job, item: JobItem, { kind, name }: Said): MadeFact[] {
  if (kind === item.kind || item.opens.length > 0) return [];
  const opening = leftOpenBy({ ...item, kind, name });
  return opening === null || job.openings.some(({ id: there }) => there === opening.id)
    ? []
    : [openingAdded.of({ itemId: item.id, opening })];
}

function wrongIn(job: Job, item: JobItem, { name, count, thread }: Said): Refusal | null {
  const empty = nonEmpty('name', name, 'What is it called?');
  if (empty) return empty;
  const same = job.items.find((each) => each.id !== item.id && each.name.toLowerCase() === name.toLowerCase());
  if (same !== undefined)
    return refuseField('name', `There is a “${same.name}” already. Tell them apart: left, right, upper.`);
  if (item.fasteners === null || count === null) return null;
  const out = within('count', count, 1, 200);
  if (out) return out;
  const highest = Math.max(0, ...item.bolts.map(({ boltId }) => Number(boltId)).filter(Number.isFinite));
  if (item.fasteners.bolts.length === 0 && count < highest)
    return refuseField('count', `Bolt ${highest} is recorded as tightened: expected ${highest} or more.`);
  if (item.fasteners.bolts.length > 0 && count !== item.fasteners.count)
    return refuseField('count', `Its ${item.fasteners.bolts.length} places are drawn: the procedure says how many.`);
  return thread !== '' && /^m\s?\d/i.test(thread) && parseThread(thread) === null
    ? refuseField('thread', `There is no thread ${thread}. Expected one such as M6 or M6×25.`)
    : null;
}

/** What {@link removalStruck} holds. */
export const removalStruckShape = record({ itemId: id, why: paragraph });
/** An item that was said to be off never came off. */
export const removalStruck = fact('removal-struck', {
  shape: removalStruckShape,
  means: (job, { itemId, why }, stamp) => {
    const opens = itemOf(job, itemId)?.opens ?? [];
    return {
      items: stepsRest(
        change(job.items, itemId, (item) => ({
          ...asItWas(item),
          state: 'on',
          stripOrder: null,
          off: null,
          back: null,
          pocket: '',
          countedOut: null,
          countedBack: null,
          stayingIn: 0,
          lengthsOut: [],
          bolts: [],
          neverOff: { why, ...stamp },
        })),
        itemId,
      ),
      openings: job.openings.map((opening) => (opens.includes(opening.id) ? { ...opening, state: 'whole' } : opening)),
    };
  },
  words: ({ itemId }, job) => `${nameOf(job, itemId)} never came off`,
  about: ({ itemId }) => itemId,
  sheet: 'Came off and went back',
});

/** Strikes that an item came off. */
export const strikeRemoval = command('strike-removal', {
  shape: removalStruckShape,
  decide: (job, { itemId, why }) => {
    const item = itemOf(job, itemId);
    if (item === undefined) return notHere(itemId);
    if (item.origin === 'plug' || isBackStep(item) || item.stripOrder === null)
      return refuse('not-off', `${item.name} is not among what came off.`);
    const plugged = job.openings.find(({ id: opening, state }) => item.opens.includes(opening) && state === 'plugged');
    return plugged === undefined
      ? accept(removalStruck.of({ itemId, why: why.trim() }))
      : refuse(
          'plug-still-in',
          `${plugged.name} holds a plug.`,
          'Take the plug out first: then nothing depends on it.',
        );
  },
});

/** What falls with an item that never came off, in words; empty when nothing does. */
export const fallsWith = ({ bolts, opens, back }: JobItem, job: Job): string[] => [
  ...(back === null ? [] : ['that it went back']),
  ...(bolts.length === 0 ? [] : [`${bolts.length} ${bolts.length === 1 ? 'bolt' : 'bolts'} as tightened`]),
  ...job.openings.flatMap(({ id: opening, name, state }) =>
    opens.includes(opening) && state !== 'whole' ? [`that it left ${lowerFirst(name)} open`] : [],
  ),
];
