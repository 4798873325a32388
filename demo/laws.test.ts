import { describe, expect, it } from 'vitest';
import { checkProcedure } from '../core/procedure/index.ts';
import { recipeProblems } from '../core/relearn/index.ts';
import { checkVin } from '../core/vehicle/index.ts';
import { cableProcedure } from './procedures/cable.ts';
import { electronicProcedure } from './procedures/electronic.ts';
import { families } from './families.ts';
import { RECIPES } from './recipes.ts';
import { vehicles } from './vehicles.ts';

describe('the demo world', () => {
  it('has two procedures that can be worked from, the first large enough to be worth planning', () => {
    expect([...checkProcedure(cableProcedure), ...checkProcedure(electronicProcedure)]).toEqual([]);
    expect(cableProcedure.items.length).toBeGreaterThanOrEqual(24);
    expect(cableProcedure.constraints.length).toBeGreaterThanOrEqual(12);
  });
  it('is told when a procedure cannot be worked from', () => {
    const broken = {
      ...electronicProcedure,
      openings: [],
      constraints: [
        ...electronicProcedure.constraints,
        { kind: 'before' as const, id: 'x', a: 'bolts', b: 'seal', reason: 'wrong' },
      ],
    };
    expect(checkProcedure(broken).join(' ')).toMatch(/not described.*round in a circle/);
  });
  it('has recipes that can be worked by, for families that are there, in every way and with every kind of step', () => {
    expect(RECIPES.flatMap((recipe) => recipeProblems(recipe).map(({ words }) => `${recipe.id}: ${words}`))).toEqual(
      [],
    );
    const known = families.map(({ id }) => id);
    for (const { fits } of RECIPES) for (const id of fits.families) expect(known).toContain(id);
    expect(new Set(RECIPES.map(({ way }) => way))).toEqual(new Set(['steps', 'itself', 'none']));
    const kinds = new Set(RECIPES.flatMap(({ steps }) => steps.map(({ kind }) => kind)));
    expect([...kinds].sort()).toEqual(
      ['check', 'drive', 'hold rpm', 'idle until', 'key', 'pedal', 'tool', 'wait'].sort(),
    );
  });
  it('has VINs whose check digit agrees, or none', () => {
    for (const each of Object.values(vehicles))
      expect(each.vin === '' ? 'passes' : checkVin(each.vin).status).toBe('passes');
  });
});
