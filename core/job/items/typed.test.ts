import { describe, expect, it } from 'vitest';
import { readLine } from '../../line/index.ts';
import { plainItem } from '../../procedure/index.ts';
import { asItem, type CommandBody, itemOf, jobMayStart, jobTally, listedAs, takenOff } from '../index.ts';
import { play } from '../testing/play.ts';
import { open, pin } from '../testing/samples.ts';

const { job } = play([open]);
const things = (text: string, on = job!) => readLine(text).map((thing, index) => asItem(on, thing, `t${index}`));
const commands = (text: string, plug = ''): CommandBody[] =>
  things(text).map((thing, index) => ({
    type: 'take-off-typed',
    data: takenOff(job!, plug === '' ? thing : { ...thing, plug }, `p${index}`),
  }));
const codes = (steps: readonly CommandBody[]): string[] => {
  const verdict = jobMayStart(play([open, ...steps]).job!);
  return verdict.may ? [] : verdict.holds.map(({ code }) => code);
};

describe('a typed thing', () => {
  it('carries what was said, proposes the next pocket, and never a torque', () => {
    const [bolts] = things('flange bolts 4 M6x25, 10 mm');
    expect(bolts).toMatchObject({
      item: {
        name: 'Flange bolts',
        kind: 'fasteners',
        tool: '10 mm',
        fasteners: { count: 4, thread: 'M6×25', spec: null, joint: 'flange' },
      },
      pocket: 'A1',
      states: { count: 'said', thread: 'said', tool: 'said', place: 'proposed', torque: 'wanted' },
      problems: [],
    });
    expect(things('4 flange bolts M6x25, 8 to 10 Nm')[0]).toMatchObject({
      item: { fasteners: { spec: { lowNm: 8, highNm: 10 }, fractions: [0.5, 1] } },
      states: { torque: 'said' },
    });
    expect(things('cover 3 screws')[0]?.states.torque).toBeUndefined();
  });
  it.each([
    ['throttle body', 'Manifold inlet', ['plate']],
    ['throttle body left', 'Manifold inlet, left', ['plate']],
    ['idle valve', 'Idle air port', []],
    ['coolant hose, lower', 'Coolant circuit at coolant hose, lower', ['hot-coolant']],
    ['fuel line', 'Fuel rail', ['fuel']],
    ['duct', null, []],
    ['battery negative', null, ['battery']],
  ] as const)('%s opens %s, and calls for %j', (text, opens, cautions) => {
    const electronic = { ...job!, vehicle: { ...job!.vehicle, throttle: 'electronic' as const } };
    const [thing] = things(text, electronic);
    expect(thing?.opening?.name ?? null).toBe(opens);
    expect(thing?.item.cautions).toEqual(cautions);
    expect(thing?.states.plug).toBe(opens === null ? undefined : 'wanted');
  });
  it('gapes until it is plugged, and its plug must come out', () => {
    expect(codes(commands('throttle body'))).toContain('opening-open');
    const plugged = play([open, ...commands('throttle body', 'Clean cloth')]).job!;
    expect(jobTally(plugged)).toMatchObject({ openingsOpen: [], openingsPlugged: [{ name: 'Manifold inlet' }] });
    expect(itemOf(plugged, 'p0')).toMatchObject({ origin: 'plug', name: 'Clean cloth', state: 'off' });
    expect(play([open, ...commands('throttle body, clean cloth in the inlet')]).job!.openings[0]?.state).toBe(
      'plugged',
    );
  });
  it('tells a second bung from the first by what it sits in', () => {
    const { job: first } = play([open, ...commands('breather hose, plugged')]);
    const [hose] = things('coolant hose, plugged', first!);
    expect(takenOff(first!, hose!, 'p').plug?.what).toBe('Bung, coolant hose');
  });
  it('is tied to the unit of the vehicle', () => {
    expect(itemOf(play([open, ...commands('throttle body')]).job!, 't0')).toMatchObject({
      unitIds: ['u'],
      unit: 'throttle-body',
    });
    expect(things('the unit itself')[0]?.item.name).toBe('Throttle body');
  });
  it('wants a count of what is counted back, and a name of its own', () => {
    expect(things('flange bolts')[0]?.problems).toEqual([
      { field: 'count', message: 'How many? They are counted back.' },
    ]);
    const { job: worked } = play([open, ...commands('coolant hose', 'Bung')]);
    expect(things('coolant hose', worked!)[0]?.problems).toMatchObject([
      { field: 'name', message: expect.stringContaining('off already') as string },
    ]);
    expect(things('two coolant hoses')[0]?.item.name).toBe('Coolant hoses, two');
  });
  it('goes back in one undo', () => {
    const { job: after, log } = play([open, ...commands('throttle body', 'Cap')]);
    const commandId = after!.undo!.commandId;
    expect(log.filter((fact) => fact.commandId === commandId)).toHaveLength(4);
    const undone = play([
      open,
      ...commands('throttle body', 'Cap'),
      { type: 'undo', data: { expected: commandId } },
    ]).job!;
    expect([undone.items, undone.openings]).toEqual([[], []]);
  });
});

describe('what is listed already', () => {
  it('is found by a few letters while it is still on', () => {
    const { job: listed } = play([open, pin]);
    expect(listedAs(listed!, 'samp co').map(({ id }) => id)).toEqual(['cover']);
    expect(listedAs(listed!, '')).toEqual([]);
    expect(listedAs({ ...listed!, items: [{ ...listed!.items[0]!, ...plainItem('x', 'Other') }] }, 'sample')).toEqual(
      [],
    );
  });
  it('ties aside what is said to stay connected: nothing opened, nothing plugged, no count wanted', () => {
    const made = play([open]).job!;
    const [said] = readLine('coolant hose left, still connected, tied aside');
    const thing = asItem(made, said!, 'h');
    expect(thing).toMatchObject({ aside: 'still connected', opening: null, problems: [] });
    const body = { type: 'take-off-typed', data: takenOff(made, thing, 'p') } as CommandBody;
    const after = play([open, body]).job!;
    expect(itemOf(after, 'h')).toMatchObject({ state: 'off', aside: { where: 'still connected' } });
    expect(after.openings).toEqual([]);
  });
  it('warns of fuel at a tank that holds some, and not at one that holds water', () => {
    const cautions = (text: string) => asItem(play([open]).job!, readLine(text)[0]!, 'x').item.cautions;
    expect(cautions('tank propped up')).toEqual(['fuel-tank']);
    expect(cautions('expansion tank')).toEqual([]);
    expect(cautions('fuel line')).toEqual(['fuel']);
  });
});
