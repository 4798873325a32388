import { lineProblems, type LineThing } from '../../line/index.ts';
import {
  type FastenerGroup,
  figureWanted,
  plainItem,
  type ProcedureItem,
  type ProcedureOpening,
  type UnitKind,
} from '../../procedure/index.ts';
import { isSpec, specFromText } from '../../torque/index.ts';
import type { Vehicle } from '../../vehicle/index.ts';
import { lowerFirst } from '../../words/index.ts';
import type { CommandData } from '../catalogue.ts';
import type { Job } from '../job.ts';
import { freePocket, hangsLoose, UNIT_PLACE } from './places.ts';
import type { JobItem } from './state.ts';

/** A field of a typed thing that a person may change before it is taken off. */
export type TypedField = 'name' | 'kind' | 'count' | 'thread' | 'joint' | 'tool' | 'torque' | 'place' | 'plug';

/** How a chip came to its value: read from the words, proposed by the program, or not there and called for. */
export type ChipState = 'said' | 'proposed' | 'wanted';

/** Something that came off as it would be recorded, with what is open about it. */
export interface TypedThing {
  readonly item: ProcedureItem;
  /** What it leaves open; null for nothing. */
  readonly opening: ProcedureOpening | null;
  /** What the opening may be plugged with, the likeliest first. */
  readonly plugs: readonly string[];
  /** What plugs it, as it was said; empty while it gapes. */
  readonly plug: string;
  readonly pocket: string;
  /** It stays connected and is only tied aside: how, as it was said; empty for what comes off. */
  readonly aside: string;
  readonly states: Readonly<Partial<Record<TypedField, ChipState>>>;
  /** What cannot be recorded, by field, in words. */
  readonly problems: readonly { readonly field: TypedField; readonly message: string }[];
}

/** Items that are still on and whose names hold all the words: what was typed may be one of them. At most five. */
export function listedAs(job: Job, text: string): JobItem[] {
  const words = text.toLowerCase().match(/[\p{L}\d]+/gu) ?? [];
  if (words.length === 0) return [];
  return job.items
    .filter(
      ({ state, name, origin, backBefore }) =>
        state === 'on' &&
        origin !== 'plug' &&
        backBefore === undefined &&
        words.every((word) => name.toLowerCase().includes(word)),
    )
    .slice(0, 5);
}

/**
 * How a thing that was read would be recorded on this job. Nothing is prefilled as a fact: a torque is never proposed.
 * @param meant pockets of what was read before it in the same line
 */
export function asItem(job: Job, thing: LineThing, id: string, meant: readonly string[] = []): TypedThing {
  const words = thing.name.toLowerCase();
  const unit = thing.kind === 'unit' ? unitOf(words) : null;
  const counted = thing.kind === 'fasteners' || thing.joint !== null;
  const named = unit !== null && words === 'unit' ? UNIT_NAMES[unit] : thing.name;
  const inWords = !counted && (thing.count ?? 1) > 1 ? `, ${COUNTED[thing.count ?? 0] ?? String(thing.count)}` : '';
  const group = counted ? groupOf(thing) : null;
  const item = plainItem(id, `${named}${inWords}`, thing.kind, {
    tool: thing.tool,
    unit,
    fasteners: group?.fasteners ?? null,
    cautions: cautionsOf(words, thing, job.vehicle),
  });
  const opens = thing.aside !== '' ? null : (openingOf(item, words) ?? (thing.plug === '' ? null : pluggedEnd(item)));
  const hangs = hangsLoose(thing) || opens?.hangs === true;
  const pocket = thing.place || thing.aside || (unit !== null ? UNIT_PLACE : hangs ? '' : freePocket(job, '', meant));
  const states: Partial<Record<TypedField, ChipState>> = {
    name: named === thing.name ? 'said' : 'proposed',
    kind: thing.kindSaid ? 'said' : 'proposed',
    place: thing.place === '' ? 'proposed' : 'said',
    ...(thing.tool === '' ? {} : { tool: 'said' as const }),
    ...(counted && { count: thing.count === null ? ('wanted' as const) : ('said' as const) }),
    ...(counted && thing.thread !== '' && { thread: 'said' as const }),
    ...(counted && { joint: 'proposed' as const }),
    ...(group !== null &&
      (thing.torque !== ''
        ? { torque: 'said' as const }
        : figureWanted({ kind: thing.kind, fasteners: group.fasteners })
          ? { torque: 'wanted' as const }
          : {})),
    ...(opens !== null && { plug: thing.plug === '' ? ('wanted' as const) : ('said' as const) }),
  };
  return {
    item,
    opening:
      opens === null ? null : { id: `${id}-opening`, name: opens.name, plugWith: opens.plugs[0] ?? 'Clean cloth' },
    plugs: opens?.plugs ?? [],
    plug: thing.plug,
    pocket,
    aside: thing.aside,
    states,
    problems: [
      ...lineProblems(thing),
      ...(counted && thing.count === null
        ? [{ field: 'count' as const, message: 'How many? They are counted back.' }]
        : []),
      ...(group?.problem == null ? [] : [{ field: 'torque' as const, message: group.problem }]),
      ...nameTaken(job, item.name),
    ],
  };
}

/** The command that records a typed thing. @param plugId a fresh id for what plugs its opening */
export const takenOff = (job: Job, thing: TypedThing, plugId: string): CommandData['take-off-typed'] => ({
  item: thing.item,
  opening: thing.opening,
  pocket: thing.pocket,
  plug: thing.opening !== null && thing.plug !== '' ? { id: plugId, what: plugName(job, thing) } : null,
  ...(thing.aside === '' ? {} : { aside: thing.pocket || thing.aside }),
});

/** A second bung is told from the first by what it sits in. */
const plugName = ({ items }: Job, { plug, item }: TypedThing): string =>
  items.some(({ name }) => name.toLowerCase() === plug.toLowerCase()) ? `${plug}, ${lowerFirst(item.name)}` : plug;

const UNIT_NAMES: Readonly<Record<UnitKind, string>> = {
  'throttle-body': 'Throttle body',
  'idle-valve': 'Idle air valve',
};
const COUNTED: Readonly<Record<number, string>> = { 2: 'two', 3: 'three', 4: 'four', 5: 'five', 6: 'six', 8: 'eight' };

/** Which unit the words name; *unit* alone is the throttle body. */
const unitOf = (words: string): UnitKind => (/\b(?:idle|iacv?)\b/.test(words) ? 'idle-valve' : 'throttle-body');

function groupOf({ count, thread, joint, torque }: LineThing): { fasteners: FastenerGroup; problem: string | null } {
  const spec = torque === '' ? null : specFromText(torque, null);
  const read = spec === null || isSpec(spec) ? spec : null;
  return {
    fasteners: {
      count: count ?? 1,
      thread: thread,
      into: '',
      bolts: [],
      spec: read,
      fractions: read !== null && (count ?? 1) > 1 ? [0.5, 1] : [1],
      ...(joint === null ? {} : { joint }),
    },
    problem: spec === null || isSpec(spec) ? null : spec.message,
  };
}

/** What an item of that kind and name would leave open once it is off; null for nothing. */
export function leftOpenBy(item: ProcedureItem): ProcedureOpening | null {
  const words = item.name.toLowerCase();
  const opens = openingOf({ ...item, unit: item.kind === 'unit' ? (item.unit ?? unitOf(words)) : null }, words);
  return opens === null
    ? null
    : { id: `${item.id}-opening`, name: opens.name, plugWith: opens.plugs[0] ?? 'Clean cloth' };
}

/** What the removal of a thing leaves open: a unit its inlet, a coolant hose its circuit, a fuel line its rail. */
function openingOf(
  { kind, unit, name }: ProcedureItem,
  words: string,
): { readonly name: string; readonly plugs: readonly string[]; readonly hangs: boolean } | null {
  const apart = /,\s*(.+)$/.exec(name)?.[1] ?? /\b(left|right|upper|lower|front|rear)\b/i.exec(words)?.[1] ?? '';
  const called = (what: string): string => (apart === '' ? what : `${what}, ${apart}`);
  if (unit === 'throttle-body')
    return { name: called('Manifold inlet'), plugs: ['Inlet cap', 'Clean cloth'], hangs: false };
  if (unit === 'idle-valve') return { name: called('Idle air port'), plugs: ['Clean cloth', 'Tape'], hangs: false };
  if (kind === 'coolant-hose')
    return { name: `Coolant circuit at ${name.toLowerCase()}`, plugs: ['Bung', 'Hose clamp'], hangs: true };
  if (/\bfuel\b|\binjector/.test(words) && kind !== 'fasteners' && kind !== 'connector' && kind !== 'gasket')
    return { name: called('Fuel rail'), plugs: ['Cap', 'Bung'], hangs: true };
  return null;
}

/** What was plugged left something open, whatever it is. */
const pluggedEnd = ({ name, kind }: ProcedureItem) => ({
  name: `Open end at ${name.toLowerCase()}`,
  plugs: ['Bung', 'Cap'],
  hangs: hangsLoose({ kind }),
});

/** Cautions that what was typed calls for, by id. */
function cautionsOf(words: string, { kind, joint }: LineThing, vehicle: Vehicle): string[] {
  return [
    ...(/\bfuel\b|\binjector/.test(words) || joint === 'fuel' ? ['fuel'] : []),
    ...(/\btank\b/.test(words) && !/\b(?:expansion|header|washer|coolant|vacuum)\b/.test(words) ? ['fuel-tank'] : []),
    ...(/\b(?:battery|air-?bag|alternator|starter)\b/.test(words) ? ['battery'] : []),
    ...(kind === 'coolant-hose' || joint === 'coolant' ? ['hot-coolant'] : []),
    ...(vehicle.throttle === 'electronic' && /\b(?:throttle|plate|flap|unit|tb)\b/.test(words) ? ['plate'] : []),
  ];
}

/** The name must tell it from what is listed: it is what a person finds it by. */
function nameTaken(job: Job, name: string): TypedThing['problems'] {
  const same = job.items.find((item) => item.name.toLowerCase() === name.trim().toLowerCase());
  if (same === undefined) return [];
  return [
    {
      field: 'name',
      message:
        same.state === 'off'
          ? `${same.name} is off already. Another one? Tell them apart: left, right, upper.`
          : `There is a “${same.name}” already. Tell them apart: left, right, upper.`,
    },
  ];
}
