import { describe, expect, it } from 'vitest';
import { plainItem, type ProcedureItem } from '../../procedure/index.ts';
import type { Job } from '../job.ts';
import { play } from '../testing/play.ts';
import { open, pin } from '../testing/samples.ts';
import { itemOfUnit, unitItems } from './units.ts';

type Units = Job['vehicle']['units'];
const unit = (id: string, kind: Units[number]['kind'], place: string) => ({
  id,
  kind,
  place,
  partNumber: '',
  variant: '',
});
const item = (id: string, name: string, more: Partial<ProcedureItem> = {}): ProcedureItem => ({
  ...plainItem(id, name, 'unit'),
  ...more,
});
const pairs = (items: readonly ProcedureItem[], units: Units): string[] =>
  unitItems(items, units).map(({ itemId, unitId }) => `${unitId} is ${itemId}`);

describe('which item is which unit', () => {
  it('goes by the place that the item says, whatever it is called', () => {
    const items = [
      item('a', 'Right hand body', { unit: 'throttle-body', unitPlace: 'left bank' }),
      item('b', 'The other', { unit: 'throttle-body', unitPlace: ' Right bank ' }),
      item('c', 'Its actuator', { unit: 'idle-valve', unitPlace: 'right bank' }),
    ];
    const units = [
      unit('l', 'throttle-body', 'left bank'),
      unit('r', 'throttle-body', 'right bank'),
      unit('ri', 'idle-actuator', 'right bank'),
    ];
    expect(pairs(items, units)).toEqual(['l is a', 'r is b', 'ri is c']);
  });
  it('does not take an item of another place for it', () => {
    const items = [item('a', 'Body', { unit: 'throttle-body', unitPlace: 'left bank' })];
    expect(pairs(items, [unit('r', 'throttle-body', 'right bank')])).toEqual([]);
  });
  it('goes by name and place where a procedure says no places, and a bank on one flange is every body', () => {
    const sides = [item('a', 'Throttle body, left'), item('b', 'Throttle body, right')];
    expect(pairs(sides, [unit('r', 'throttle-body', 'right bank')])).toEqual(['r is b']);
    const bank = [item('bank', 'Bank of four', { unit: 'throttle-body' })];
    const cylinders = [unit('1', 'throttle-body', 'cylinder 1'), unit('2', 'throttle-body', 'cylinder 2')];
    expect(pairs(bank, cylinders)).toEqual(['1 is bank', '2 is bank']);
  });
  it('is kept with the job, and a typed item that is a unit points to it', () => {
    const { job } = play([open, pin]);
    expect(itemOfUnit(job!, 'u')?.id).toBe('body');
    expect(itemOfUnit(job!, 'unknown')).toBeUndefined();
    const typed = play([open, { type: 'add-item', data: { item: item('t', 'Throttle body', {}) } }]).job;
    expect(itemOfUnit(typed!, 'u')?.id).toBe('t');
  });
});
