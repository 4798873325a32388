import type { Constraint } from '../refit/index.ts';
import { UNIT_FORMS } from '../clean/index.ts';
import { OFF_REASONS, type Procedure, type ProcedureItem, RESTORE_KINDS } from './types.ts';
import { lowerFirst } from '../words/index.ts';

/** One field that differs, both sides in words; empty where there is none. */
export interface FieldChange {
  readonly field: string;
  readonly before: string;
  readonly after: string;
}

/** One thing that differs between two versions. */
export interface Difference {
  readonly what: 'procedure' | 'item' | 'reason' | 'opening' | 'need';
  readonly id: string;
  readonly name: string;
  readonly change: 'added' | 'removed' | 'changed' | 'moved';
  readonly fields: readonly FieldChange[];
}

/** What differs between two versions, from an earlier to a later one; empty when nothing does. */
export function diffProcedures(before: Procedure, after: Procedure): Difference[] {
  const nameOf = (id: string): string =>
    (after.items.find((item) => item.id === id) ?? before.items.find((item) => item.id === id))?.name ?? id;
  return [
    ...headDifference(before, after),
    ...compare('item', before.items, after.items, ({ name }) => name, itemWords),
    ...moved(before.items, after.items),
    ...compare(
      'reason',
      before.constraints,
      after.constraints,
      (constraint) => constraintWords(constraint, nameOf),
      (constraint) => ({
        reads: constraintWords(constraint, nameOf),
        because: constraint.reason,
      }),
    ),
    ...compare(
      'opening',
      before.openings,
      after.openings,
      ({ name }) => name,
      ({ name, plugWith }) => ({
        name,
        'plug with': plugWith,
      }),
    ),
    ...compare(
      'need',
      before.needs,
      after.needs,
      ({ name }) => name,
      (need) => ({
        name: need.name,
        kind: need.kind,
        number: need.partNumber,
        'how many': need.count === undefined ? '' : String(need.count),
        note: need.note,
        'days to get': need.leadDays === undefined ? '' : String(need.leadDays),
        'at the end': need.atEnd?.words ?? '',
      }),
    ),
  ];
}

type Words = Readonly<Record<string, string>>;

const fieldsOf = (before: Words, after: Words): FieldChange[] =>
  [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((field) =>
    (before[field] ?? '') === (after[field] ?? '')
      ? []
      : [{ field, before: before[field] ?? '', after: after[field] ?? '' }],
  );

function compare<T extends { readonly id: string }>(
  what: Difference['what'],
  before: readonly T[],
  after: readonly T[],
  nameOf: (each: T) => string,
  wordsOf: (each: T) => Words,
): Difference[] {
  const old = new Map(before.map((each) => [each.id, each]));
  const kept = new Set(after.map(({ id }) => id));
  return [
    ...after.flatMap((each): Difference[] => {
      const was = old.get(each.id);
      if (was === undefined) return [{ what, id: each.id, name: nameOf(each), change: 'added', fields: [] }];
      const fields = fieldsOf(wordsOf(was), wordsOf(each));
      return fields.length === 0 ? [] : [{ what, id: each.id, name: nameOf(each), change: 'changed', fields }];
    }),
    ...before.flatMap((each): Difference[] =>
      kept.has(each.id) ? [] : [{ what, id: each.id, name: nameOf(each), change: 'removed', fields: [] }],
    ),
  ];
}

/** Items whose place changed: those outside the longest run that kept its order. */
function moved(before: readonly ProcedureItem[], after: readonly ProcedureItem[]): Difference[] {
  const placeBefore = new Map(before.map(({ id }, index) => [id, index]));
  const common = after.filter(({ id }) => placeBefore.has(id));
  const stays = longestRising(common.map(({ id }) => placeBefore.get(id) ?? 0));
  const placeAfter = new Map(after.map(({ id }, index) => [id, index]));
  return common.flatMap(({ id, name }, index): Difference[] =>
    stays.has(index)
      ? []
      : [
          {
            what: 'item',
            id,
            name,
            change: 'moved',
            fields: [
              {
                field: 'place',
                before: String((placeBefore.get(id) ?? 0) + 1),
                after: String((placeAfter.get(id) ?? 0) + 1),
              },
            ],
          },
        ],
  );
}

/** Indices of a longest rising run, by patience sorting (Fredman 1975). */
function longestRising(values: readonly number[]): Set<number> {
  const tops: number[] = [];
  const previous: number[] = [];
  for (const [index, value] of values.entries()) {
    let [low, high] = [0, tops.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((values[tops[middle] ?? 0] ?? 0) < value) low = middle + 1;
      else high = middle;
    }
    previous[index] = low === 0 ? -1 : (tops[low - 1] ?? -1);
    tops[low] = index;
  }
  const run = new Set<number>();
  for (let at = tops.at(-1) ?? -1; at >= 0; at = previous[at] ?? -1) run.add(at);
  return run;
}

function headDifference(before: Procedure, after: Procedure): Difference[] {
  const words = (procedure: Procedure): Words => ({
    name: procedure.name,
    engines: procedure.family,
    source: procedure.source ?? '',
    coolant:
      procedure.coolant === null
        ? ''
        : `${procedure.coolant.capacityL} L, ${Math.round(procedure.coolant.concentration * 100)} % ${procedure.coolant.glycol}, bleed at ${procedure.coolant.bleedPoint}`,
    relearn: procedure.relearn.join(', '),
  });
  const fields = fieldsOf(words(before), words(after));
  return fields.length === 0 ? [] : [{ what: 'procedure', id: after.id, name: after.name, change: 'changed', fields }];
}

function itemWords(item: ProcedureItem): Words {
  const group = item.fasteners;
  return {
    name: item.name,
    kind: item.kind,
    heading: item.section ?? '',
    'which of them': item.unitPlace ?? '',
    tool: item.tool,
    note: item.note,
    opens: item.opens.join(', '),
    'single use': item.singleUse ? 'yes' : '',
    number: item.partNumber,
    fasteners: group === null ? '' : `${group.count} × ${group.thread} into ${group.into}`,
    torque: group?.spec?.text ?? '',
    'torque source': group?.spec?.source ?? '',
    passes: group === null ? '' : group.fractions.map((share) => `${Math.round(share * 100)} %`).join(', '),
    places: group?.bolts.map(({ x, y, label }) => `${label || 'bolt'} at ${x}, ${y}`).join('; ') ?? '',
    'mm long': group?.bolts.flatMap(({ lengthMm }) => lengthMm ?? []).join(', ') ?? '',
    'stay in': group?.staysIn ? String(group.staysIn) : '',
    'to measure': item.restore?.map((kind) => RESTORE_KINDS[kind].toLowerCase()).join(', ') ?? '',
    'looks like': item.alike ?? '',
    tag: item.tag ?? '',
    'moves over from': item.swapFrom ?? '',
    'only on the way back, before': item.backBefore ?? '',
    'off after':
      item.offAfter
        ?.map(({ item: first, kind, reason }) => [first, OFF_REASONS[kind], reason].join(' ').trim())
        .join('; ') ?? '',
    'may stay connected, tied': item.mayStay ?? '',
    'on the bench as': item.part === undefined ? '' : UNIT_FORMS[item.part],
    minutes: item.minutes === undefined ? '' : `${item.minutes.off} off, ${item.minutes.back} back`,
    cautions: item.cautions.join(', '),
  };
}

/** A constraint as a plain sentence, without its reason. */
export function constraintWords(constraint: Constraint, nameOf: (id: string) => string): string {
  const low = (id: string): string => lowerFirst(nameOf(id));
  switch (constraint.kind) {
    case 'before':
      return `${nameOf(constraint.a)} before ${low(constraint.b)}`;
    case 'after-bench':
      return `${nameOf(constraint.item)} after the bench`;
    case 'needs':
      return `${nameOf(constraint.item)} needs ${constraint.part}`;
    case 'closes':
      return `${nameOf(constraint.item)} closes over ${low(constraint.plug)}`;
    case 'together':
      return `Together: ${constraint.items.map(nameOf).join(', ')}`;
  }
}
