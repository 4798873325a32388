import { describe, expect, it } from 'vitest';
import type { CommandBody, CommandType } from './catalogue.ts';
import { eventWords } from './words.ts';
import { play } from './testing/play.ts';
import { SAMPLES } from './testing/samples.ts';

const kinds = Object.keys(SAMPLES) as CommandType[];
const bodyOf = (type: CommandType): CommandBody => ({ type, data: SAMPLES[type].data }) as CommandBody;

/** What undo does not take back: openings and closings, cautions, and what happened on the vehicle itself. */
const STAYS: readonly CommandType[] = [
  'open-job',
  'acknowledge-caution',
  'take-step',
  'choose-knowledge',
  'clear-codes',
  'end-clearing',
  'hand-over',
  'reopen-job',
  'undo',
];

describe('every command', () => {
  it.each(kinds)('%s leads to its events, and the job shows it', (type) => {
    const sample = SAMPLES[type];
    const before = play(sample.after);
    const after = play([...sample.after, bodyOf(type)]);
    expect(after.log.slice(before.log.length).map((recorded) => recorded.type)).toEqual(sample.events);
    expect(sample.shows(after.job!)).toEqual(sample.as);
    // What it shows was not so before: a sample that proves nothing is no sample.
    if (before.job !== null) expect(sample.shows(before.job)).not.toEqual(sample.as);
  });

  it.each(kinds)('%s is said in a few words for the tally and the log', (type) => {
    const { log } = play([...SAMPLES[type].after, bodyOf(type)]);
    const { job } = play(SAMPLES[type].after);
    if (job === null) return;
    const words = eventWords(log.at(-1)!, job);
    expect(words.length).toBeGreaterThan(3);
    expect(words.length).toBeLessThan(60);
    expect(words).not.toMatch(/undefined|null|\[object/);
  });

  it.each(kinds.filter((type) => !STAYS.includes(type)))(
    '%s can be taken back, and then nothing of it shows',
    (type) => {
      const sample = SAMPLES[type];
      const done = play([...sample.after, bodyOf(type)]);
      const undone = play([
        ...sample.after,
        bodyOf(type),
        { type: 'undo', data: { expected: done.job!.undo!.commandId } },
      ]);
      expect(sample.shows(undone.job!)).toEqual(sample.shows(play(sample.after).job!));
      expect(undone.log).toHaveLength(done.log.length + 1);
    },
  );
});
