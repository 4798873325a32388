import { describe, expect, it } from 'vitest';
import { RICH_PROCEDURE } from '../job/testing/world.ts';
import type { Constraint } from '../refit/index.ts';
import {
  checkProcedure,
  constraintWords,
  diffProcedures,
  expectedMinutes,
  type Procedure,
  type ProcedureItem,
  procedureProblems,
} from './index.ts';

const change = (id: string, how: (item: ProcedureItem) => ProcedureItem): Procedure => ({
  ...RICH_PROCEDURE,
  items: RICH_PROCEDURE.items.map((item) => (item.id === id ? how(item) : item)),
});
const withReasons = (...constraints: readonly Constraint[]): Procedure => ({
  ...RICH_PROCEDURE,
  constraints: [...RICH_PROCEDURE.constraints, ...constraints],
});
const said = (procedure: Procedure, level: 'wrong' | 'look'): string =>
  procedureProblems(procedure)
    .filter((problem) => problem.level === level)
    .map(({ words }) => words)
    .join(' ');
const reason = (a: string, b: string): Constraint => ({ kind: 'before', id: `${a}-${b}`, a, b, reason: 'because' });

describe('procedureProblems', () => {
  it('finds nothing wrong with one that can be worked from', () => {
    expect(checkProcedure(RICH_PROCEDURE)).toEqual([]);
  });
  it.each<[string, Procedure, RegExp]>([
    [
      'two items of one id',
      { ...RICH_PROCEDURE, items: [...RICH_PROCEDURE.items, RICH_PROCEDURE.items[0]!] },
      /share the id “left-plug”/,
    ],
    ['an item without a name', change('arm', (item) => ({ ...item, name: ' ' })), /An item has no name/],
    [
      'an opening that is not described',
      change('arm', (item) => ({ ...item, opens: ['hole'] })),
      /opens “hole”, which is not described/,
    ],
    [
      'an opening with two closers',
      change('arm', (item) => ({ ...item, opens: ['inlet'] })),
      /opened by sample unit and sample arm: only one/,
    ],
    [
      'fewer places than fasteners',
      change('screws', (item) => ({ ...item, fasteners: { ...item.fasteners!, count: 5 } })),
      /5 fasteners but 4 places/,
    ],
    [
      'all staying in',
      change('screws', (item) => ({ ...item, fasteners: { ...item.fasteners!, staysIn: 4 } })),
      /4 of 4 cannot stay in/,
    ],
    ['a reason about nothing', withReasons(reason('arm', 'ghost')), /names “ghost”, which is not an item/],
    ['before itself', withReasons(reason('arm', 'arm')), /cannot come before itself/],
    ['a circle', withReasons(reason('screws', 'left-plug')), /round in a circle: .*before/],
    ['moving over from nothing', change('arm', (item) => ({ ...item, swapFrom: 'ghost' })), /moves over from “ghost”/],
    ['no name', { ...RICH_PROCEDURE, name: '' }, /The procedure has no name/],
  ])('does not let pass %s', (_, procedure, words) => {
    expect(said(procedure, 'wrong')).toMatch(words);
    expect(checkProcedure(procedure).length).toBeGreaterThan(0);
  });
  it.each<[string, Procedure, RegExp]>([
    [
      'a single-use part without a number',
      change('seal', (item) => ({ ...item, partNumber: '' })),
      /Sample seal must be renewed but has no part number/,
    ],
    [
      'an opening that nothing closes',
      { ...RICH_PROCEDURE, openings: [...RICH_PROCEDURE.openings, { id: 'x', name: 'Stub', plugWith: 'cap' }] },
      /Nothing opens or closes stub/,
    ],
    [
      'an opening without a plug',
      { ...RICH_PROCEDURE, openings: [{ id: 'inlet', name: 'Inlet', plugWith: '' }] },
      /Inlet: say what plugs it/,
    ],
    ['items tied to nothing', RICH_PROCEDURE, /Tied to nothing.*sample right-plug, sample dashpot, sample arm\./],
    [
      'a part that is not listed',
      withReasons({ kind: 'needs', id: 'q', item: 'arm', part: 'Z-9', reason: '' }),
      /needs “Z-9”, which is not on the list/,
    ],
    [
      'a torque without a source',
      change('screws', (item) => ({
        ...item,
        fasteners: { ...item.fasteners!, spec: { ...item.fasteners!.spec!, source: null } },
      })),
      /no source/,
    ],
    [
      'a thread with little to spare',
      change('screws', (item) => ({
        ...item,
        fasteners: { ...item.fasteners!, hole: { material: 'pa66-gf30', engagementMm: 6 } },
      })),
      /Sample screws: Stop/,
    ],
    ['two of one name', change('arm', (item) => ({ ...item, name: 'Sample seal' })), /Tell them apart/],
  ])('asks to look at %s, but can be worked from', (_, procedure, words) => {
    expect(said(procedure, 'look')).toMatch(words);
    expect(checkProcedure(procedure)).toEqual([]);
  });
});

describe('diffProcedures', () => {
  it('finds nothing between a version and itself', () => {
    expect(diffProcedures(RICH_PROCEDURE, { ...RICH_PROCEDURE, version: 9 })).toEqual([]);
  });
  it('names what was added, removed and changed, with both sides', () => {
    const after: Procedure = {
      ...change('dashpot', (item) => ({ ...item, tool: '14 mm', minutes: { off: 3, back: 4 } })),
      constraints: [...RICH_PROCEDURE.constraints.slice(1), reason('arm', 'unit')],
      openings: [{ id: 'inlet', name: 'Inlet', plugWith: 'Bung' }],
      needs: RICH_PROCEDURE.needs.slice(1),
      source: 'the maker',
    };
    const lines = diffProcedures(RICH_PROCEDURE, after).map(({ what, name, change: how }) => `${what} ${name} ${how}`);
    expect(lines).toEqual([
      'procedure Rich sample changed',
      'item Sample dashpot changed',
      'reason Sample arm before sample unit added',
      'reason Sample unit before sample screws removed',
      'opening Inlet changed',
      'need Seal removed',
    ]);
    expect(diffProcedures(RICH_PROCEDURE, after).find(({ id }) => id === 'dashpot')?.fields).toEqual([
      { field: 'tool', before: '', after: '14 mm' },
      { field: 'minutes', before: '', after: '3 off, 4 back' },
    ]);
  });
  it('says of a moved item only that it moved, and not of those that made room', () => {
    const [first, ...rest] = RICH_PROCEDURE.items;
    const after = { ...RICH_PROCEDURE, items: [...rest, first!] };
    expect(diffProcedures(RICH_PROCEDURE, after)).toEqual([
      {
        what: 'item',
        id: 'left-plug',
        name: 'Sample left-plug',
        change: 'moved',
        fields: [{ field: 'place', before: '1', after: '7' }],
      },
    ]);
  });
  it('is the same the other way round, with sides exchanged', () => {
    const after = change('arm', (item) => ({ ...item, note: 'new' }));
    const [there] = diffProcedures(RICH_PROCEDURE, after);
    const [back] = diffProcedures(after, RICH_PROCEDURE);
    expect(back?.fields).toEqual(
      there?.fields.map(({ field, before, after: now }) => ({ field, before: now, after: before })),
    );
  });
});

describe('constraintWords', () => {
  const name = (id: string): string => id.toUpperCase();
  it.each<[Constraint, string]>([
    [reason('a', 'b'), 'A before b'],
    [{ kind: 'after-bench', id: 'x', item: 'a', unit: 'u', reason: '' }, 'A after the bench'],
    [{ kind: 'needs', id: 'x', item: 'a', part: 'P-1', reason: '' }, 'A needs P-1'],
    [{ kind: 'together', id: 'x', items: ['a', 'b'], reason: '' }, 'Together: A, B'],
    [{ kind: 'closes', id: 'x', item: 'a', plug: 'c', reason: '' }, 'A closes over c'],
  ])('says %o', (constraint, words) => expect(constraintWords(constraint, name)).toBe(words));
});

describe('expectedMinutes', () => {
  const screws = RICH_PROCEDURE.items.find(({ id }) => id === 'screws')!;
  it('believes the procedure, else goes by kind, fasteners and passes', () => {
    expect(expectedMinutes({ ...screws, minutes: { off: 7, back: 9 } }, 'back')).toBe(9);
    expect(expectedMinutes(screws, 'off')).toBeCloseTo(1 + 4 * 0.5, 9);
    expect(expectedMinutes(screws, 'back')).toBeCloseTo(1.5 + 4 * (0.5 + 0.4), 9);
  });
});
