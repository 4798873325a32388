import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { open, SAMPLES } from '../../core/job/testing/samples.ts';
import { useJob } from '../stores/job.ts';
import { useWritingUp } from '../stores/writingUp.ts';
import { freshShop, press, read, showJob, stubs } from '../testing.ts';
import WriteUpDialog from './WriteUpDialog.vue';
import WritingUpLine from './WritingUpLine.vue';
import { writeUpFor, yesterday } from './writeUp.ts';

const LONDON = { timeZone: 'Europe/London', now: '2026-10-26T12:00:00.000Z', knownSince: '2026-10-01' };

describe('the time that work is written up for', () => {
  it('is the wall’s', () => {
    expect(writeUpFor('2026-10-23', '16:40', LONDON)).toEqual({
      ok: true,
      instants: [{ at: '2026-10-23T15:40:00.000Z', words: 'Friday 23 October 2026, 16:40' }],
    });
    expect(yesterday('2026-10-26T23:30:00.000Z', 'Europe/London')).toBe('2026-10-25');
  });
  it('may be one of two in the hour that exists twice', () => {
    expect(writeUpFor('2026-10-25', '01:30', LONDON)).toEqual({
      ok: true,
      instants: [
        { at: '2026-10-25T00:30:00.000Z', words: '01:30, UTC+1' },
        { at: '2026-10-25T01:30:00.000Z', words: '01:30, UTC+0' },
      ],
    });
  });
  it.each([
    ['2026-10-27', '09:00', 'lies ahead'],
    ['2026-09-30', '09:00', 'before this vehicle was known here'],
    ['2026-10-23', 'noon', 'a time such as 16:40'],
    ['2026-02-30', '09:00', 'Pick the day'],
  ])('%s %s is refused', (day, time, message) => {
    const found = writeUpFor(day, time, LONDON);
    expect(found.ok ? 'taken' : found.message).toContain(message);
  });
  it('is none in the hour that clocks leave out', () => {
    const spring = { ...LONDON, now: '2026-04-01T12:00:00.000Z', knownSince: null };
    expect(writeUpFor('2026-03-29', '01:30', spring)).toMatchObject({ ok: false });
  });
});

describe('writing up', () => {
  beforeEach(() => {
    freshShop();
    vi.restoreAllMocks();
    vi.useFakeTimers({ now: new Date('2026-05-14T10:00:00.000Z'), toFake: ['Date'] });
  });

  it('keeps every entry with the time that was picked, until back to now', async () => {
    const { job } = showJob([open]);
    const global = { stubs: { ...stubs, SheetDialog: { template: '<div><slot /></div>' } } };
    const wrapper = mount(WriteUpDialog, { props: { job: job() }, global });
    const [day, time] = wrapper.findAll('input');
    expect((day!.element as HTMLInputElement).value).toBe('2026-05-13');
    await wrapper.find('form').trigger('submit');
    expect(wrapper.find('[role="alert"]').text()).toContain('16:40');
    await time!.setValue('16:40');
    await wrapper.find('form').trigger('submit');
    expect(wrapper.emitted('close')).toHaveLength(1);
    const line = mount(WritingUpLine, { props: { jobId: useJob().id }, global });
    expect(read(line)).toContain('Written up for Wednesday 13 May 2026, 16:40');
    expect(useWritingUp().timeFor(useJob().id)).toBe('2026-05-13T16:40:00.000Z');
    await press(line, 'Back to now');
    expect([line.text(), useWritingUp().timeFor(useJob().id)]).toEqual(['', null]);
  });
  it('sends that time as one that was named, and its own clock otherwise', async () => {
    const { useOutbox } = await import('../stores/outbox.ts');
    showJob([open]);
    vi.restoreAllMocks();
    const add = vi.spyOn(useOutbox(), 'add').mockImplementation(() => undefined);
    const note = SAMPLES['make-note'].data;
    useJob().send('make-note', note);
    useWritingUp().choose(useJob().id, '2026-05-13T16:40:00.000Z');
    useJob().send('make-note', { ...note, id: 'second' });
    const sent = add.mock.calls.map(([, { at, late }]) => [at, late]);
    expect(sent).toEqual([
      ['2026-05-14T10:00:00.000Z', undefined],
      ['2026-05-13T16:40:00.000Z', 'written-up'],
    ]);
    // Another job is entered at its own time.
    expect(useWritingUp().timeFor('another')).toBeNull();
  });
});
