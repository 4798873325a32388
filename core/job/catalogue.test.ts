import { describe, expect, it } from 'vitest';
import { speaker } from '../sheet/index.ts';
import { type CommandBody, type CommandType, FACTS } from './catalogue.ts';
import type { Job } from './job.ts';
import { sheetOf } from './sheet.ts';
import { eventWords } from './words.ts';
import { play as playAs } from './testing/play.ts';
import { SAMPLES, sampleWorld } from './testing/samples.ts';

const kinds = Object.keys(SAMPLES) as CommandType[];
const bodyOf = (type: CommandType): CommandBody => ({ type, data: SAMPLES[type].data }) as CommandBody;

/** Plays commands by whoever a sample is of. */
const playFor = (of: CommandType, bodies: readonly CommandBody[]) => playAs(bodies, sampleWorld(of));

const say = speaker(new Map([['tomas', 'Tomas Virk']]), 'cr', 'UTC');
/** What stands under each heading of the sheet, as one text each. */
const sheetTexts = (job: Job): ReadonlyMap<string, string> => {
  const { identity, sections } = sheetOf(job, say);
  return new Map([
    ['identity', JSON.stringify(identity)],
    ...sections.map(({ title, rows }): [string, string] => [title, JSON.stringify(rows)]),
  ]);
};

/** What undo does not take back: openings and closings, cautions, and what happened on the vehicle itself. */
const STAYS: readonly CommandType[] = [
  'open-job',
  'acknowledge-caution',
  'take-step',
  'choose-knowledge',
  'clear-codes',
  'end-clearing',
  'hand-over',
  'cancel-job',
  'reopen-job',
  'undo',
  'redo',
];

describe('every command', () => {
  it.each(kinds)('%s leads to its events, and the job shows it', (type) => {
    const sample = SAMPLES[type];
    const before = playFor(type, sample.after);
    const after = playFor(type, [...sample.after, bodyOf(type)]);
    expect(after.log.slice(before.log.length).map((recorded) => recorded.type)).toEqual(sample.events);
    expect(sample.shows(after.job!)).toEqual(sample.as);
    // What it shows was not so before: a sample that proves nothing is no sample.
    if (before.job !== null) expect(sample.shows(before.job)).not.toEqual(sample.as);
  });

  it.each(kinds)('%s is said in a few words for the tally and the log', (type) => {
    const { log } = playFor(type, [...SAMPLES[type].after, bodyOf(type)]);
    const { job } = playFor(type, SAMPLES[type].after);
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
      const done = playFor(type, [...sample.after, bodyOf(type)]);
      const undone = playFor(type, [
        ...sample.after,
        bodyOf(type),
        { type: 'undo', data: { expected: done.job!.undo!.commandId } },
      ]);
      expect(sample.shows(undone.job!)).toEqual(sample.shows(playFor(type, sample.after).job!));
      expect(undone.log).toHaveLength(done.log.length + 1);
    },
  );
});

describe('every fact', () => {
  // Several facts of one command are one sample; a fact that only comes with others is told apart by its heading.
  const firstOf = new Map<string, CommandType>();
  for (const type of kinds) for (const name of SAMPLES[type].events) if (!firstOf.has(name)) firstOf.set(name, type);

  it.each([...FACTS.values()].map(({ type, sheet }) => [type, sheet] as const))(
    '%s stands on the sheet where it says, or says why it does not',
    (type, sheet) => {
      const by = firstOf.get(type)!;
      const before = playFor(by, SAMPLES[by].after).job;
      const after = playFor(by, [...SAMPLES[by].after, bodyOf(by)]).job!;
      const then = before === null ? new Map<string, string>() : sheetTexts(before);
      const changed = [...sheetTexts(after)]
        .filter(([title, rows]) => then.get(title) !== rows)
        .map(([title]) => title);
      if (typeof sheet === 'string') expect(changed).toContain(sheet);
      else {
        expect(sheet.no.length).toBeGreaterThan(10);
        if (SAMPLES[by].events.length === 1 && by !== 'undo' && by !== 'redo')
          // Minutes go on with every entry.
          expect(changed.filter((title) => title !== 'Time and money')).toEqual([]);
      }
    },
  );
});
