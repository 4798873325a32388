import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lineProblems, readLine } from './index.ts';

const read = (text: string) => readLine(text).map(({ name, kind, count, thread }) => [name, kind, count, thread]);

describe('the standing line', () => {
  it('reads kind, count, thread, tool and place from one sentence', () => {
    expect(readLine('flange bolts 4 M6x25, 10 mm, tray B2')).toEqual([
      {
        name: 'Flange bolts',
        kind: 'fasteners',
        kindSaid: true,
        joint: 'flange',
        count: 4,
        thread: 'M6×25',
        tool: '10 mm',
        place: 'B2',
        torque: '',
        aside: '',
        plug: '',
      },
    ]);
  });
  it('tells things apart by semicolons, new lines, then, and by and where both sides name one', () => {
    expect(read('cover; duct\nidle valve then the breather hose and the vacuum pipe').map(([name]) => name)).toEqual([
      'Cover',
      'Duct',
      'Idle valve',
      'Breather hose',
      'Vacuum pipe',
    ]);
    expect(read('air box lid and filter')).toHaveLength(1);
  });
  it('takes what only holds a thing as its fasteners, not as another thing', () => {
    expect(read('cooler pipe 3 x M8x20')).toEqual([['Cooler pipe', 'coolant-hose', 3, 'M8×20']]);
    expect(read('engine stay, 2 bolts M10x1.25x40')).toEqual([['Engine stay', 'bracket', 2, 'M10×1.25×40']]);
    expect(read('valve, 2 screws').length).toBe(1);
  });
  it.each([
    ['0 bolts', 'count'],
    ['400 bolts', 'count'],
    ['4 bolts M7.3x20', 'thread'],
    ['12', 'name'],
    ['?!', 'name'],
  ])('%s is asked about: %s', (text, field) => {
    expect(
      readLine(text)
        .flatMap(lineProblems)
        .map((problem) => problem.field),
    ).toContain(field);
  });
  it('makes nothing of nothing', () => {
    expect(readLine('')).toEqual([]);
    expect(readLine('  ;\n ; ')).toEqual([]);
    // Words that mean something to the machine mean nothing here.
    expect(read('__proto__; constructor').map(([name]) => name)).toEqual(['__proto__', 'Constructor']);
  });
  it('never fails, whatever is typed, and loses no letter of a word that is no figure', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 120 }), (text) => {
        for (const { name, count } of readLine(text)) {
          expect(typeof name).toBe('string');
          expect(count === null || Number.isFinite(count)).toBe(true);
        }
      }),
      { numRuns: 2000 },
    );
    fc.assert(
      fc.property(
        fc.constantFrom('cover', 'duct', 'cable', 'bracket', 'gasket'),
        fc.integer({ min: 2, max: 99 }),
        (what, count) => {
          expect(read(`${what}, ${count} bolts M6x20`)).toEqual([
            [what.charAt(0).toUpperCase() + what.slice(1), expect.any(String), count, 'M6×20'],
          ]);
        },
      ),
    );
  });
  it.each([
    ['upper coolant hose, bung', [['Upper coolant hose', 'Bung']]],
    ['throttle body, clean cloth', [['Throttle body', 'Clean cloth']]],
    ['fuel line, cap', [['Fuel line', 'Cap']]],
    [
      'vacuum hose; bung',
      [
        ['Vacuum hose', ''],
        ['Bung', ''],
      ],
    ],
    ['engine cover, cap', [['Engine cover, cap', '']]],
  ])('takes a plug that is only named after what it plugs: %s', (text, things) => {
    expect(readLine(text).map(({ name, plug }) => [name, plug])).toEqual(things);
  });
  it.each([
    ['coolant hose left, tied aside, still connected', 'Coolant hose left', 'still connected'],
    ['tank propped up', 'Tank', 'propped up'],
    ['air box swung aside', 'Air box', 'swung aside'],
    ['throttle cable left connected', 'Throttle cable', 'left connected'],
  ])('knows what stays connected: %s', (text, name, aside) => {
    expect(readLine(text)).toMatchObject([{ name, aside }]);
  });
  it('takes what only hangs for what came off', () => {
    expect(readLine('breather hose tied back')).toMatchObject([{ name: 'Breather hose', aside: '' }]);
  });
});
