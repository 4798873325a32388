import { describe, expect, it } from 'vitest';
import { type CommandBody, itemOf, type Job, tapOn, torqueStep, UNTYPED, type Way } from '../../../core/job/index.ts';
import { play } from '../../../core/job/testing/play.ts';
import { off, open, pin, pinRich, SAMPLE_CONTEXT } from '../../../core/job/testing/samples.ts';
import { type StepWords, stepWords } from './stepWords.ts';

function words(way: Way, itemId: string, ...bodies: CommandBody[]): StepWords {
  const job: Job = play([open, ...bodies]).job!;
  const item = itemOf(job, itemId)!;
  const step = way === 'refit' ? torqueStep(item, SAMPLE_CONTEXT.wrenches, '') : null;
  return stepWords(way, item, tapOn(way, job, item, UNTYPED, step));
}

describe('the step in hand, in words', () => {
  it('says first what comes before it: a hole to plug, fasteners that hold', () => {
    expect(words('strip', 'cover', pin, off('body'))).toMatchObject({
      before: { done: 'Plugged' },
      title: 'Plug inlet',
      detail: ['With: cap.'],
    });
    const held: CommandBody = {
      type: 'remove-item',
      data: { itemId: 'screws', pocket: '', label: '', countedOut: 4, stayIn: 2 },
    };
    expect(words('strip', 'unit', pinRich, held)).toMatchObject({ before: { done: 'All out' }, detail: [] });
  });
  it('names the item, where it lies and what it wants', () => {
    expect(words('strip', 'cover', pin)).toMatchObject({ before: null, title: 'Sample cover', happens: 'comes off' });
    const placed: CommandBody = {
      type: 'remove-item',
      data: { itemId: 'cover', pocket: 'B2', label: '', countedOut: null },
    };
    expect(words('refit', 'cover', pin, placed)).toMatchObject({ happens: 'goes back', detail: ['From pocket B2.'] });
  });
  it('names the bolt and its pass', () => {
    const { title, detail } = words('refit', 'bolts', pin, off('bolts'));
    expect(title).toBe('Sample bolt 1');
    expect(detail[0]).toMatch(/^Bolt 1 of 1\. Pass 1 of 1, /);
  });
});
