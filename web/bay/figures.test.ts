import { describe, expect, it } from 'vitest';
import type { CommandBody } from '../../core/job/index.ts';
import { off, pin } from '../../core/job/testing/samples.ts';
import { speaker } from '../../core/sheet/index.ts';
import { bayLine } from '../testing.ts';
import { heldOf, notToStrip, offOf, tasksOf, waitsOf } from './figures.ts';

const say = speaker(new Map(), 'cr', 'Europe/London');
const ordered: CommandBody = {
  type: 'tick-need',
  data: { needId: 'need', state: 'ordered', expected: '2026-05-18' },
};
const soak = (id: string, minutes: number): CommandBody => ({
  type: 'start-timer',
  data: { id, label: `Soak ${id}`, minutes, kind: 'soak' },
});

describe('what the Bay works out of the jobs', () => {
  it('puts the wait that ends first before the others', () => {
    const waits = waitsOf([bayLine('j', soak('long', 60)), bayLine('j', soak('short', 5))], '2026-05-13T08:00:00.000Z');
    expect(waits.map(({ label }) => label)).toEqual(['Soak short', 'Soak long']);
    expect(waitsOf([bayLine('j')], '2026-05-13T08:00:00.000Z')).toEqual([]);
  });
  it('names what is better not stripped yet, until something is off', () => {
    const [named] = notToStrip([bayLine('j', pin, ordered)], say);
    expect(named?.words).toBe('its gasket is expected Monday 18 May');
    expect(notToStrip([bayLine('j', pin, ordered, off('cover'))], say)).toEqual([]);
    expect(notToStrip([bayLine('j', pin)], say)).toEqual([]);
  });
  it('counts what is off and which engines are held', () => {
    const jobs = [bayLine('j', pin), bayLine('j', pin, off('cover')), bayLine('j', pin, off('cover'), off('plug'))];
    expect(offOf(jobs)).toEqual([1, 2]);
    expect(heldOf(jobs)).toBe(2);
    expect(tasksOf(jobs, '2026-05-13T08:00:00.000Z').length).toBeGreaterThan(0);
  });
});
