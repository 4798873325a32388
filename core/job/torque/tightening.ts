import { FIELDS, format, type Quantity, readField, readFigure, torqueNm } from '../../quantity/index.ts';
import { withAdapter } from '../../torque/index.ts';
import {
  flag,
  id,
  idOrNone,
  line,
  number,
  oneOf,
  optional,
  orNull,
  record,
  type TypeOf,
  whole,
} from '../../shape/index.ts';
import { command } from '../command.ts';
import type { Context } from '../context.ts';
import { accept, type Decision, type Refusal, refuse, refuseField } from '../decision.ts';
import { earlier, fact, type MadeFact } from '../fact.ts';
import { change } from '../items/item.ts';
import { itemOf, nameOf } from '../items/query.ts';
import { itemPutBack, mayGoBack } from '../items/refitting.ts';
import type { JobItem } from '../items/state.ts';
import type { Job } from '../job.ts';
import { quantity } from '../shapes.ts';
import { boltIds, boltOrder, boltVerdict, groupPasses, isTight, strippedThreads, wantsPass } from './bolts.ts';

/** A crow-foot or extension on the wrench. Its angle to the wrench: 0° straight on, 90° square, 180° folded back. */
export const adapterShape = record({
  leverMm: number,
  lengthMm: number,
  angleDeg: number,
});
/** See {@link adapterShape}. */
export type AdapterOn = TypeOf<typeof adapterShape>;

/** What {@link boltTightened} holds. */
export const boltTightenedShape = record({
  itemId: id,
  boltId: id,
  pass: whole,
  method: oneOf('wrench', 'by-feel', 'angle'),
  final: flag,
  torque: orNull(quantity),
  nm: orNull(number),
  wrench: line,
  /** Degrees turned in an angle pass; null otherwise. */
  angleDeg: orNull(number),
  /** The adapter that was on the wrench, and what the wrench then showed; null where none was. */
  adapter: orNull(adapterShape),
  reading: orNull(quantity),
  /** An adapter of before that was noted in words which give no lengths. */
  adapterNote: optional(line),
});
const { adapter: _adapter, reading: _reading, adapterNote: _note, ...withoutAdapter } = boltTightenedShape.fields;
/** Adapters in words, as versions before the third held them. */
const adapterInWords = record({ ...withoutAdapter, adapter: line });
/** A bolt reached a pass. The torque is as entered, with newton metres beside it; null by feel. */
export const boltTightened = fact('bolt-tightened', {
  shape: boltTightenedShape,
  earlier: [
    // At first there were neither angles nor adapters.
    earlier(
      record({ ...adapterInWords.fields, angleDeg: optional(number), adapter: optional(line) }),
      ({ angleDeg = null, adapter = '', ...rest }) => ({ ...rest, angleDeg, adapter }),
    ),
    earlier(adapterInWords, ({ adapter, ...rest }) => ({ ...rest, reading: null, ...adapterOf(adapter) })),
  ],
  means: (job, { itemId, ...result }, stamp) => ({
    items: change(job.items, itemId, (item) => ({
      ...item,
      bolts: [...item.bolts.filter(({ boltId }) => boltId !== result.boltId), { ...result, ...stamp }],
    })),
  }),
  words: (data, job) => {
    const { torque: entered, angleDeg } = data;
    const torque = angleDeg !== null ? `${angleDeg}°` : entered === null ? 'by feel' : format(entered);
    return `${nameOf(job, data.itemId)}, bolt ${data.boltId}: ${torque}`;
  },
  about: ({ itemId }) => itemId,
  way: 'back',
  putRight: {
    anew: {
      command: 'tighten-bolt',
      from: ({ itemId, boltId, pass, method, torque, reading, angleDeg, adapter, wrench }) => {
        const shown = reading ?? torque;
        return {
          itemId,
          boltId,
          pass,
          method,
          torqueText: shown === null ? (angleDeg === null ? '' : `${angleDeg}°`) : (shown.text ?? format(shown)),
          wrenchId: wrench,
          ...(adapter === null ? {} : { adapter }),
        };
      },
      fields: {
        torqueText: { label: 'What it got' },
        method: { label: 'How', choices: { wrench: 'By the wrench', 'by-feel': 'By feel', angle: 'By angle' } },
      },
    },
  },
  sheet: 'Fasteners',
});

/** The lengths in the words that versions before the third recorded; other words are kept as a note. */
function adapterOf(words: string): Pick<TypeOf<typeof boltTightenedShape>, 'adapter' | 'adapterNote'> {
  const [, lengthMm, angleDeg, leverMm] =
    /^(\d+(?:\.\d+)?) mm adapter at (\d+(?:\.\d+)?)° on a (\d+(?:\.\d+)?) mm lever$/.exec(words) ?? [];
  if (leverMm !== undefined)
    return { adapter: { leverMm: Number(leverMm), lengthMm: Number(lengthMm), angleDeg: Number(angleDeg) } };
  return words === '' ? { adapter: null } : { adapter: null, adapterNote: words };
}

/** What {@link tightenPass} holds. */
const tightenPassShape = record({
  itemId: id,
  pass: whole,
  method: oneOf('wrench', 'by-feel', 'angle'),
  torqueText: line,
  wrenchId: idOrNone,
  /** With it, `torqueText` is what the wrench showed; what the bolt got is worked out. */
  adapter: optional(adapterShape),
});
/** Tightens one bolt; an empty `torqueText` by feel records the stated choice. */
export const tightenBolt = command('tighten-bolt', {
  shape: record({ ...tightenPassShape.fields, boltId: id }),
  asks: () => ({ wrenches: true }),
  decide: (job, data, context, at) => {
    const item = itemOf(job, data.itemId);
    const wrong = passProblem(item, data.pass);
    if (wrong !== null || item === undefined) return wrong ?? refuse('no-such-item', 'There is no such item.');
    if (!boltIds(item).includes(data.boltId))
      return refuse('no-such-bolt', `There is no bolt “${data.boltId}” in ${item.name}.`);
    return tighten(job, item, [data.boltId], data, context, at);
  },
});

/** One figure for every bolt of a pass that is not done yet. */
export const tightenPass = command('tighten-pass', {
  shape: tightenPassShape,
  asks: () => ({ wrenches: true }),
  decide: (job, data, context, at) => {
    const item = itemOf(job, data.itemId);
    const wrong = passProblem(item, data.pass);
    if (wrong !== null || item === undefined) return wrong ?? refuse('no-such-item', 'There is no such item.');
    const stripped = new Set(strippedThreads(item).map(({ boltId }) => boltId));
    const bolts = boltOrder(item).filter((id) => !stripped.has(id) && wantsPass(item, id, data.pass));
    return bolts.length === 0
      ? refuse('already-there', `Pass ${data.pass} of ${item.name} is done.`)
      : tighten(job, item, bolts, data, context, at);
  },
});

/** What is wrong with tightening this item in this pass, or null. */
function passProblem(item: JobItem | undefined, pass: number): Decision | null {
  if (item === undefined || item.fasteners === null)
    return refuse('no-such-item', 'That item has no fasteners to tighten.');
  if (item.state === 'on') return refuse('not-off', `${item.name} have not come off.`);
  const last = groupPasses(item);
  return pass < 1 || pass > last ? refuseField('pass', `Expected pass 1 to ${last}, got ${pass}.`) : null;
}

type Entry = Pick<TypeOf<typeof tightenPassShape>, 'pass' | 'method' | 'torqueText' | 'wrenchId' | 'adapter'>;

function tighten(
  job: Job,
  item: JobItem,
  bolts: readonly string[],
  entry: Entry,
  { wrenches }: Context,
  at: string | null,
): Decision {
  const stripped = strippedThreads(item).find(({ boltId }) => bolts.includes(boltId));
  if (stripped !== undefined)
    return refuse('thread-stripped', 'That thread stripped.', 'Repair it first, or replace the part.');
  const final = entry.pass === groupPasses(item);
  const spec = item.fasteners?.spec ?? null;
  const reached = final && spec !== null && spec.angleDeg !== null ? readAngle(entry) : readTorque(entry);
  if ('ok' in reached) return reached;
  const waits = item.state === 'off' ? mayGoBack(job, item, at) : null;
  if (waits !== null) return waits;
  // Said anew, it is named as the entry names it.
  const wrench = wrenches.find(({ id, name }) => id === entry.wrenchId || name === entry.wrenchId)?.name ?? '';
  const events = bolts.map((boltId) =>
    boltTightened.of({
      itemId: item.id,
      boltId,
      pass: entry.pass,
      method: entry.method,
      final,
      wrench,
      ...reached,
    }),
  );
  return accept(...events, ...goesBackWith(item, events));
}

type Reached = Pick<TypeOf<typeof boltTightenedShape>, 'torque' | 'nm' | 'angleDeg' | 'adapter' | 'reading'>;
const NOTHING: Reached = { torque: null, nm: null, angleDeg: null, adapter: null, reading: null };

function readTorque({ method, torqueText, adapter }: Entry): Reached | Refusal {
  if (method === 'by-feel' && torqueText.trim() === '') return NOTHING;
  const parsed = readField(torqueText, FIELDS.torqueReached);
  if (!parsed.ok) return refuseField('torqueText', parsed.message);
  const reading: Quantity = parsed.quantity;
  if (adapter === undefined) return { ...NOTHING, torque: reading, nm: torqueNm(reading) };
  const share = shownShare(adapter);
  if (typeof share !== 'number') return share;
  const torque = { value: Number((reading.value / share).toPrecision(3)), unit: reading.unit };
  return { torque, nm: torqueNm(reading) / share, angleDeg: null, adapter, reading };
}

/** The share of a bolt's torque that the wrench shows with this adapter on, or why there is none. */
function shownShare({ leverMm, lengthMm, angleDeg }: AdapterOn): number | Refusal {
  try {
    return withAdapter({ target: 1, leverLength: leverMm, adapterLength: lengthMm, angle: angleDeg });
  } catch (error) {
    return refuseField('adapter', (error as RangeError).message);
  }
}

function readAngle({ method, torqueText }: Entry): Reached | Refusal {
  if (method === 'by-feel' && torqueText.trim() === '') return NOTHING;
  const read = readFigure(torqueText, FIELDS.turn);
  if (!read.ok) return refuseField('torqueText', read.message);
  return read.value > 0 && read.value <= 720
    ? { ...NOTHING, angleDeg: read.value }
    : refuseField('torqueText', 'Expected the angle turned, 1 to 720°.');
}

/** A group is back once its last bolt is at torque: nobody should have to say so twice. */
function goesBackWith(item: JobItem, events: readonly MadeFact[]): MadeFact[] {
  if (item.state !== 'off') return [];
  const after = events.reduce<JobItem>((now, { data }) => {
    const bolt = { ...(data as TypeOf<typeof boltTightenedShape>), at: '', by: '' };
    return { ...now, bolts: [...now.bolts.filter(({ boltId }) => boltId !== bolt.boltId), bolt] };
  }, item);
  const good = after.bolts.every((bolt) => !['under', 'over'].includes(boltVerdict(after, bolt)));
  if (!good || !boltIds(after).every((id) => isTight(after, id))) return [];
  return [
    itemPutBack.of({ itemId: item.id, renewed: false, fitted: '', countedBack: null, confirmed: false, against: '' }),
  ];
}
