import { describe, expect, it } from 'vitest';
import { type CommandBody, itemOf } from '../../../core/job/index.ts';
import { play } from '../../../core/job/testing/play.ts';
import { back, off, open, pin, pinRich, plug } from '../../../core/job/testing/samples.ts';
import { backName, backNote, offNote } from './tagNotes.ts';

const clock = (iso: string): string => iso.slice(11, 16);
const jobOf = (...bodies: CommandBody[]) => play([open, ...bodies]).job!;
const itemIn = (job: ReturnType<typeof jobOf>, id: string) => itemOf(job, id)!;

describe('words on the tag of what came off', () => {
  it('say nothing while it is on, then where it lies or what it is called', () => {
    expect(offNote(jobOf(pin), itemIn(jobOf(pin), 'cover'))).toBe('');
    const placed = jobOf(pin, {
      type: 'remove-item',
      data: { itemId: 'cover', pocket: 'B3', label: '', countedOut: null },
    });
    expect(offNote(placed, itemIn(placed, 'cover'))).toBe('B3');
    const benched = jobOf(pin, {
      type: 'remove-item',
      data: { itemId: 'cover', pocket: 'bench', label: '', countedOut: null },
    });
    expect(offNote(benched, itemIn(benched, 'cover'))).toBe('on the bench');
    const tagged = jobOf(pinRich, {
      type: 'remove-item',
      data: { itemId: 'left-plug', pocket: 'A1', label: 'left', countedOut: null },
    });
    expect(offNote(tagged, itemIn(tagged, 'left-plug'))).toBe('left');
  });
  it('say first how the opening stands that it left', () => {
    const gaping = jobOf(pin, off('body'));
    expect(offNote(gaping, itemIn(gaping, 'body'))).toBe('open');
    const closed = jobOf(pin, off('body'), plug);
    expect(offNote(closed, itemIn(closed, 'body'))).toBe('plugged');
    const bung = closed.items.find(({ origin }) => origin === 'plug')!;
    expect(offNote(closed, bung)).toBe('in');
    expect(backName(bung)).toBe(`${bung.name} out`);
  });
});

describe('words on the tag of what goes back', () => {
  it('say that a new one is due, and when it was back', () => {
    const seal = jobOf(pinRich, off('seal'));
    expect(backNote(itemIn(seal, 'seal'), 'refit', clock)).toBe('new');
    const again = jobOf(pin, off('cover'), back('cover'));
    expect(backNote(itemIn(again, 'cover'), 'refit', clock)).toBe('back 08:06');
    expect(backName(itemIn(again, 'cover'))).toBe('Sample cover');
  });
  it('count bolts at torque on the way back only', () => {
    const tight = jobOf(pin, off('bolts'), {
      type: 'tighten-bolt',
      data: { itemId: 'bolts', boltId: '1', pass: 1, torqueText: '9 Nm', method: 'wrench', wrenchId: 'w' },
    });
    const bolts = itemIn(tight, 'bolts');
    // The last good bolt puts the group back by itself.
    expect(backNote(bolts, 'refit', clock)).toMatch(/^back /);
    const half = { ...bolts, back: null };
    expect(backNote(half, 'refit', clock)).toBe('1 of 1');
    expect(backNote(half, 'strip', clock)).toBe('');
  });
});
