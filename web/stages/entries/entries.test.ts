import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { type CommandBody, entryOf } from '../../../core/job/index.ts';
import { clockOf } from '../../../core/days/index.ts';
import { open } from '../../../core/job/testing/samples.ts';
import { useJob } from '../../stores/job.ts';
import { field, freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import CodesList from '../complaint/CodesList.vue';
import TallyStrip from '../start/TallyStrip.vue';
import { timeOn } from './clockTime.ts';
import EntriesSheet from './EntriesSheet.vue';
import PutRightSheet from './PutRightSheet.vue';
import StruckLines from './StruckLines.vue';

const SheetDialog = { props: ['title'], template: '<div role="dialog"><h2>{{ title }}</h2><slot /></div>' };
const global = { stubs: { ...stubs, SheetDialog, HoldsDialog: true } };
const code: CommandBody = {
  type: 'read-code',
  data: { id: 'k', code: 'P0505', status: 'stored', when: 'before', note: 'at the lights' },
};
const part: CommandBody = {
  type: 'use-part',
  data: { id: 'p', name: 'Gasket', partNumber: 'G-1', quantity: 1, priceMinor: 1250 },
};
const decided: CommandBody = {
  type: 'decide',
  data: { choice: 'relearn', reason: 'clean bore', departure: '', options: [] },
};
const handedOver: CommandBody = {
  type: 'hand-over',
  data: { watch: '', nextDue: null, labourMinutes: 30, ratePerHourMinor: 6000, currency: 'cr' },
};
const note: CommandBody = { type: 'make-note', data: { id: 'n', stage: 'strip', text: 'rusty' } };

function sheet(...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  const entry = shown.job().history!.fact;
  const wrapper = mount(PutRightSheet, { props: { job: shown.job(), entry }, global });
  return { ...shown, wrapper };
}

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
});

describe('a line put right where it stands', () => {
  it('is said anew in its own fields, as they were', async () => {
    const { wrapper, job } = sheet(code);
    expect(read(wrapper)).toContain('P0505 read');
    await wrapper.find(field(wrapper, 'Note')).setValue('on the hill');
    await wrapper
      .findAll('[role=radio]')
      .find((each) => each.text() === 'Pending')!
      .trigger('click');
    await wrapper.find(field(wrapper, 'Why, where it matters')).setValue('misread');
    await wrapper.find('form').trigger('submit');
    expect(job().codes).toMatchObject([{ code: 'P0505', status: 'pending', note: 'on the hill' }]);
    expect(job().struck).toMatchObject([{ words: 'P0505 read', why: 'misread', instead: 'P0505 read' }]);
    expect(wrapper.emitted('close')).toHaveLength(1);
  });
  it('says at the field what is wrong, and keeps what was typed', async () => {
    const { wrapper, job } = sheet(code);
    await wrapper.find(field(wrapper, 'Code')).setValue('nonsense');
    await wrapper.find('form').trigger('submit');
    expect(wrapper.find('[aria-invalid=true]').element).toHaveProperty('value', 'nonsense');
    expect(job().codes).toMatchObject([{ code: 'P0505' }]);
    await wrapper.find(field(wrapper, 'Code')).setValue('P0505');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('That is what it says already.');
  });
  it('takes money as it is written', async () => {
    const { wrapper, job } = sheet(part);
    expect(wrapper.find(field(wrapper, 'Price of one')).element).toHaveProperty('value', '12.50');
    await wrapper.find(field(wrapper, 'Price of one')).setValue('twelve');
    await wrapper.find('form').trigger('submit');
    expect(job().parts).toMatchObject([{ priceMinor: 1250 }]);
    expect(wrapper.find('[aria-invalid=true]').exists()).toBe(true);
    await wrapper.find(field(wrapper, 'Price of one')).setValue('15');
    await wrapper.find('form').trigger('submit');
    expect(job().parts).toMatchObject([{ priceMinor: 1500, name: 'Gasket' }]);
  });
  it('is struck with why, and what goes with it is said before', async () => {
    const { wrapper, job } = sheet(note);
    await press(wrapper, 'Strike it instead');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Say why it is struck');
    await wrapper.find(field(wrapper, 'Why it is struck')).setValue('other job');
    await wrapper.find('form').trigger('submit');
    expect(job().notes).toEqual([]);
    const lines = mount(StruckLines, { props: { job: job(), kinds: ['note-made'] } });
    expect(lines.find('s').text()).toBe('Note at strip');
    expect(read(lines)).toContain('other job. Tomas');
  });
  it('names what falls with it', async () => {
    const object: CommandBody = { type: 'place-object', data: { id: 'rag', what: 'Rag', where: 'inlet' } };
    const shown = showJob([open, object, { type: 'take-object-out', data: { id: 'rag' } }]);
    const entry = shown.job().history!.earlier!.fact;
    const wrapper = mount(PutRightSheet, { props: { job: shown.job(), entry }, global });
    expect(read(wrapper)).toContain('With it goes: Rag out');
    await wrapper.find(field(wrapper, 'Why it is struck')).setValue('never there');
    await wrapper.find('form').trigger('submit');
    expect(shown.job().objects).toEqual([]);
  });
  it('has its time put right by the clock on the wall', async () => {
    const { wrapper, job } = sheet(note);
    const at = job().notes[0]!.at;
    await wrapper.find(field(wrapper, 'When')).setValue('noon');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Expected a time of day such as 14:20.');
    await wrapper.find(field(wrapper, 'When')).setValue('08:01');
    await wrapper.find('form').trigger('submit');
    expect(job().notes[0]?.at).not.toBe(at);
    expect(job().notes[0]?.at).toMatch(/T08:01:00\.000Z$/);
    expect(job().moved).toHaveLength(1);
  });
  it('moves it once where a field beside it is refused first', async () => {
    const { wrapper, job } = sheet(code);
    await wrapper.find(field(wrapper, 'When')).setValue('08:01');
    await wrapper.find(field(wrapper, 'Code')).setValue('nonsense');
    await wrapper.find('form').trigger('submit');
    expect(wrapper.find('[aria-invalid=true]').element).toHaveProperty('value', 'nonsense');
    await wrapper.find(field(wrapper, 'Code')).setValue('P0506');
    await wrapper.find('form').trigger('submit');
    expect(job().codes).toMatchObject([{ code: 'P0506', at: expect.stringContaining('T08:01:00') }]);
    expect(job().moved).toHaveLength(1);
    expect(wrapper.emitted('close')).toHaveLength(1);
  });
  it('reads a time in the shop’s zone', () => {
    expect(timeOn('2026-05-13T08:00:00.000Z', '14:20', 'Europe/Oslo')).toBe('2026-05-13T12:20:00.000Z');
    expect(timeOn('2026-05-13T08:00:00.000Z', '25:00', 'UTC')).toBeNull();
  });
  it('offers it at the line itself; on a job that is handed over that opens it again, with why', async () => {
    const { job } = showJob([open, code, decided, handedOver]);
    const list = mount(CodesList, { props: { job: job(), when: 'before' }, global });
    expect(read(list)).toContain('Put right: P0505');
    const entry = entryOf(job(), 'code-read', { id: 'k' })!;
    const wrapper = mount(PutRightSheet, { props: { job: job(), entry }, global });
    await wrapper.find(field(wrapper, 'Note')).setValue('on the hill');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Say why: the job is opened again for it.');
    expect(job().status).toBe('closed');
    await wrapper.find(field(wrapper, 'Why, where it matters')).setValue('misheard');
    await wrapper.find(field(wrapper, 'When')).setValue('noon');
    await wrapper.find('form').trigger('submit');
    expect(job().status).toBe('closed');
    await wrapper.find(field(wrapper, 'When')).setValue(clockOf(entry.at, 'UTC'));
    await wrapper.find('form').trigger('submit');
    expect(job()).toMatchObject({ status: 'open', reopened: [{ reason: 'misheard' }] });
    expect(job().codes).toMatchObject([{ note: 'on the hill' }]);
  });
});

describe('everything entered', () => {
  it('is one list with who and when, found by a few letters, struck lines among it', async () => {
    const { job } = showJob([open, code, note]);
    const entry = job().history!.fact;
    useJob().send('strike-entry', { command: entry.commandId, kind: 'note-made', nth: 0, why: 'x' });
    const wrapper = mount(EntriesSheet, { props: { job: job() }, global });
    expect(wrapper.findAll('ol > li').map((line) => line.find('s').exists())).toContain(true);
    await wrapper.find(field(wrapper, 'Find an entry')).setValue('p0505');
    expect(wrapper.findAll('ol > li')).toHaveLength(1);
    await wrapper.find(field(wrapper, 'Find an entry')).setValue('zzz');
    expect(read(wrapper)).toContain('No entry says that.');
  });
  it('is put right from the list too once the job is handed over, and not once it is called off', () => {
    const { job } = showJob([open, code, decided, handedOver]);
    const shown = (of: object) => read(mount(EntriesSheet, { props: { job: { ...job(), ...of } }, global }));
    expect(shown({})).toContain('Put right: P0505 read');
    expect(shown({ cancelled: { reason: 'not wanted', at: job().lastAt, by: 'isla' } })).not.toContain('Put right');
  });
});

describe('undo and redo', () => {
  it('say what they take back and do again', async () => {
    const shown = showJob([open, note]);
    const wrapper = mount(TallyStrip, { props: { job: shown.job() }, global });
    expect(read(wrapper)).toContain('Undo: Note at strip');
    await press(wrapper, 'Undo');
    await wrapper.setProps({ job: shown.job() });
    expect(shown.job().notes).toEqual([]);
    expect(read(wrapper)).toContain('Redo: Note at strip');
    await press(wrapper, 'Redo');
    expect(shown.job().notes).toHaveLength(1);
    expect(shown.job().redo).toBeNull();
  });
  it('ask before what somebody else did is taken back', async () => {
    const shown = showJob([open, note]);
    const others = { ...shown.job(), undo: { ...shown.job().undo!, by: 'isla' } };
    useJob().confirmed = others;
    const wrapper = mount(TallyStrip, { props: { job: others }, global });
    expect(read(wrapper)).toContain('Undo Isla’s: Note at strip');
    await press(wrapper, 'Undo Isla’s');
    expect(read(wrapper)).toContain('Take back what Isla did?');
    expect(shown.job().notes).toHaveLength(1);
    await press(wrapper, 'Take it back');
    expect(shown.job().notes).toEqual([]);
  });
});
