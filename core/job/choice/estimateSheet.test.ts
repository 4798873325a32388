import { describe, expect, it } from 'vitest';
import { speaker } from '../../sheet/index.ts';
import { type CommandBody, estimateMessage, estimateSheet, sheetOf } from '../index.ts';
import { play } from '../testing/play.ts';
import { SAMPLES } from '../testing/samples.ts';

const say = speaker(new Map([['tomas', 'Tomas Virk']]), 'cr', 'UTC');
const commands: CommandBody[] = [
  { type: 'open-job', data: SAMPLES['open-job'].data },
  { type: 'tell-complaint', data: { id: 't', text: 'Hunts when cold.' } },
  { type: 'answer-question', data: { id: 'a', sign: 'load', outcome: 'yes' } },
  { type: 'read-frame', data: SAMPLES['read-frame'].data },
  { type: 'compare-variant', data: SAMPLES['compare-variant'].data },
  { type: 'decide', data: { choice: 'clean-in-place', reason: 'ring', departure: 'front only', options: [] } },
  { type: 'make-estimate', data: { ...SAMPLES['make-estimate'].data, note: 'Ready on Friday.' } },
  { type: 'clear-codes', data: SAMPLES['clear-codes'].data },
  { type: 'end-clearing', data: SAMPLES['end-clearing'].data },
];
const answered: CommandBody = { type: 'answer-estimate', data: SAMPLES['answer-estimate'].data };
const job = play([...commands, answered]).job!;

describe('the estimate', () => {
  it('says what was told, what is proposed, the lines and the range', () => {
    const before = play(commands).job!;
    const sheet = estimateSheet(before, before.estimates[0]!, say);
    expect(sheet.finding).toMatch(
      /^You told us: hunts What we found speaks for: .+ \(\d+ in 100\)\. We propose: relearn only\.$/,
    );
    expect(sheet.lines).toEqual([{ words: 'Labour', money: '24.00 cr' }]);
    expect(sheet.range).toBe('24.00 cr to 30.00 cr');
    expect(sheet.answer).toBe('Not answered yet.');
  });
  it('carries the owner’s answer', () => {
    expect(estimateSheet(job, job.estimates[0]!, say).answer).toBe(
      'Approved up to 28.00 cr by the nurse, telephone, Wednesday 13 May 2026, 08:18.',
    );
  });
  it('fits into a message', () => {
    const message = estimateMessage(job, job.estimates[0]!, say, 'Tern Quay Garage');
    expect(message.split('\n')).toEqual([
      'Tern Quay Garage: AB 1, Sule 650',
      expect.stringContaining('You told us'),
      '- Labour: 24.00 cr',
      'Between 24.00 cr and 30.00 cr.',
      'Ready on Friday.',
      'We do nothing beyond the higher figure without asking. May we go ahead?',
    ]);
  });
});

describe('the sheet of a diagnosed job', () => {
  const rows = sheetOf(job, say).sections.flatMap((section) => section.rows);
  const of = (label: string) => rows.find((row) => row.label === label);
  it.each([
    ['Told', 'Hunts when cold.', ''],
    ['Asked', 'worse with load on', ''],
    ['Freeze frame of P0505', 'engine speed 610 rpm', ''],
    ['Cleared', 'P0505', 'done'],
    ['Departs from the house rule', 'On the vehicle, what can be reached', 'front only'],
    ['Estimate', '24.00 cr to 30.00 cr', 'approved up to 28.00 cr by the nurse'],
  ])('%s', (label, value, note) => {
    expect(of(label)).toEqual({ label, value, note });
  });
  it('keeps what was believed, and by which knowledge', () => {
    expect(of('Believed then')?.note).toBe('knowledge 1; our judgement, not a proof');
    expect(of('Variant, only')?.value).toMatch(/port diameter 44 mm, expected 42 mm/);
  });
});
