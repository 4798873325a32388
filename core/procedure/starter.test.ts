import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planRefit } from '../refit/index.ts';
import {
  answersFor,
  backStepTies,
  figureWanted,
  procedureProblems,
  STARTER_HOLES,
  STARTER_REACHES,
  STARTER_SEALS,
  STARTER_UNITS,
  STARTER_VALVES,
  type StarterAnswers,
  starterProcedure,
} from './index.ts';

const head = { id: 's', name: 'Starter', family: 'one of a kind', familyId: null };
const cable: StarterAnswers = {
  unit: 'cable',
  reach: 'cover',
  bolts: 4,
  into: 'alloy',
  seal: 'gasket',
  hoses: 2,
  coolantHoses: 2,
  valve: 'on',
  plugs: 2,
};
const keyOf = <T extends object>(all: T) => fc.constantFrom(...(Object.keys(all) as (keyof T & string)[]));
const anyAnswers: fc.Arbitrary<StarterAnswers> = fc.record({
  unit: keyOf(STARTER_UNITS),
  reach: keyOf(STARTER_REACHES),
  bolts: fc.integer({ min: 0, max: 12 }),
  into: keyOf(STARTER_HOLES),
  seal: keyOf(STARTER_SEALS),
  hoses: fc.integer({ min: 0, max: 12 }),
  coolantHoses: fc.integer({ min: 0, max: 4 }),
  valve: keyOf(STARTER_VALVES),
  plugs: fc.integer({ min: 0, max: 8 }),
  bodies: fc.integer({ min: 1, max: 12 }),
});

describe('a starter procedure', () => {
  it('lists a cable body under a cover with coolant, valve, openings and needs', () => {
    const { procedure, reasons } = starterProcedure(cable, head);
    expect(procedure.items.map(({ name }) => name)).toEqual([
      'Cover',
      'Air duct',
      'Connector 1',
      'Connector 2',
      'Air or vacuum hose 1',
      'Air or vacuum hose 2',
      'Coolant hose 1',
      'Coolant hose 2',
      'Throttle cable',
      'Flange bolts',
      'Throttle body',
      'Body gasket',
      'Clean the face it seals on',
      'Idle air valve',
    ]);
    expect(procedure.openings.map(({ id }) => id)).toEqual(['inlet', 'pipe-1', 'pipe-2', 'valve-port']);
    expect(procedure.needs.map(({ kind, name }) => `${kind}: ${name}`)).toContain('part: Body gasket');
    expect(procedure.items.flatMap(({ cautions }) => cautions)).toEqual(['hot-coolant', 'hot-coolant', 'alloy']);
    expect(reasons.flange).toContain('a figure is wanted');
    expect(procedure.source).toBeNull();
  });
  it('takes no torque for granted: what holds the unit wants a figure', () => {
    const flange = starterProcedure(cable, head).procedure.items.find(({ id }) => id === 'flange')!;
    expect(flange.fasteners).toMatchObject({ count: 4, spec: null, staysIn: 2 });
    expect(figureWanted(flange)).toBe(true);
  });
  it('makes an electronic body safe first, and undoes that before the engine starts', () => {
    const { procedure } = starterProcedure({ ...cable, unit: 'electronic', valve: 'none', coolantHoses: 0 }, head);
    expect(procedure.needs[0]).toMatchObject({ id: 'battery', caution: 'battery', atEnd: { beforeStart: true } });
    expect(procedure.items.filter(({ cautions }) => cautions.includes('plate'))).toHaveLength(3);
    expect(procedure.openings.map(({ id }) => id)).toEqual(['inlet']);
  });
  it('has nothing that this one does not have', () => {
    const { procedure } = starterProcedure(
      cable,
      head,
      new Set(['coolant-1', 'coolant-2', 'cable', 'coolant', 'unit']),
    );
    expect(procedure.items.map(({ id }) => id)).not.toContain('cable');
    expect(procedure.openings.map(({ id }) => id)).toEqual(['valve-port']);
    expect(procedure.constraints).toEqual([]);
    expect(procedure.needs.map(({ id }) => id)).not.toContain('coolant');
    expect(procedureProblems(procedure).filter(({ level }) => level === 'wrong')).toEqual([]);
  });
  it('can be worked from whatever the answers are: no circle, nothing wrong, a reason for every line', () => {
    fc.assert(
      fc.property(anyAnswers, (answers) => {
        const { procedure, reasons } = starterProcedure(answers, head);
        expect(procedureProblems(procedure).filter(({ level }) => level === 'wrong')).toEqual([]);
        const plan = planRefit(
          procedure.items.map(({ id, name }, index) => ({ id, name, stripOrder: index + 1 })),
          [...procedure.constraints, ...backStepTies(procedure.items)],
        );
        expect(plan.ok).toBe(true);
        for (const { id } of [...procedure.items, ...procedure.needs]) expect(reasons[id]).toMatch(/\.$/);
        expect(procedure.items.every(({ minutes }) => minutes !== undefined)).toBe(true);
      }),
    );
  });
  it('brings a tank up or off with its caution, its line first, and the hoses under it on the way back', () => {
    const bank: StarterAnswers = { ...cable, unit: 'bank', reach: 'tank-off', coolantHoses: 0, bodies: 4 };
    const { procedure } = starterProcedure(bank, head);
    const tank = procedure.items.find(({ id }) => id === 'tank')!;
    expect(tank.cautions).toEqual(['fuel-tank']);
    expect(tank.offAfter).toEqual([{ item: 'fuel-line', kind: 'reach', reason: 'it would tear the line' }]);
    expect(procedure.items.find(({ id }) => id === 'fuel-line')).toMatchObject({
      opens: ['fuel-union'],
      cautions: ['fuel', 'fuel-tank'],
    });
    expect(procedure.items.filter(({ backBefore }) => backBefore !== undefined).map(({ id }) => id)).toEqual([
      'route',
      'face',
      'boot-look',
    ]);
    expect(procedure.needs.find(({ id }) => id === 'seal-part')?.count).toBe(4);
    expect(procedure.needs.map(({ id }) => id)).toContain('gauges');
    const up = starterProcedure({ ...bank, reach: 'tank-up' }, head).procedure;
    expect(up.items.map(({ id }) => id)).not.toContain('fuel-line');
    expect(up.openings.map(({ id }) => id)).not.toContain('fuel-union');
    const without = starterProcedure(bank, head, new Set(['tank', 'seal'])).procedure;
    expect(without.items.map(({ id }) => id)).not.toEqual(expect.arrayContaining(['route', 'face']));
    expect(procedureProblems(without).filter(({ level }) => level === 'wrong')).toEqual([]);
  });
  it('refuses counts that no unit has', () => {
    expect(() => starterProcedure({ ...cable, bolts: 13 }, head)).toThrow('Expected 0 to 12 bolts, got 13.');
    expect(() => starterProcedure({ ...cable, plugs: 1.5 }, head)).toThrow(RangeError);
  });
  it('asks only what the vehicle does not say', () => {
    expect(answersFor({ throttle: 'cable', idleValve: 'none' })).toEqual({ unit: 'cable', valve: 'none' });
    expect(answersFor({ throttle: 'cable', idleValve: 'stepper', use: 'outboard' })).toEqual({ unit: 'plastic' });
    const bike = { throttle: 'cable', idleValve: 'none', use: 'motorcycle' } as const;
    const bodies = (count: number) => Array.from({ length: count }, () => ({ kind: 'throttle-body' }));
    expect(answersFor(bike)).toEqual({ valve: 'none' });
    expect(answersFor({ ...bike, units: bodies(1) })).toEqual({ unit: 'boot', valve: 'none' });
    expect(answersFor({ ...bike, units: bodies(4) })).toEqual({ unit: 'bank', bodies: 4, valve: 'none' });
  });
});
