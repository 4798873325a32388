import { describe, expect, it } from 'vitest';
import { checkProcedure } from '../core/procedure/index.ts';
import { checkVin } from '../core/vehicle/index.ts';
import { cableProcedure } from './procedures/cable.ts';
import { electronicProcedure } from './procedures/electronic.ts';
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
  it('has VINs whose check digit agrees, or none', () => {
    for (const each of Object.values(vehicles))
      expect(each.vin === '' ? 'passes' : checkVin(each.vin).status).toBe('passes');
  });
});
