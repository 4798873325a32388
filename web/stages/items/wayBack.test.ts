import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import { type CommandBody, itemOf, type Job, tapOn, UNTYPED } from '../../../core/job/index.ts';
import { item, off, open } from '../../../core/job/testing/samples.ts';
import { field, freshShop, pick, press, read, serve, showJob, stubs } from '../../testing.ts';
import BackStepForm from './BackStepForm.vue';
import BenchPartForm from './BenchPartForm.vue';
import { layOut } from './layout.ts';
import LeaveOffForm from './LeaveOffForm.vue';
import OffFirst from './OffFirst.vue';
import OffOrderForm from './OffOrderForm.vue';
import { backNote, offNote } from './tagNotes.ts';
import { tapWords } from './tapWords.ts';
import TieAsideForm from './TieAsideForm.vue';
import UnitRows from './UnitRows.vue';
import { stepWords } from '../hands-busy/stepWords.ts';
import { layOutTray } from './tray/trayLayout.ts';

const global = { stubs };
const add = (id: string, more: Partial<ReturnType<typeof item>> = {}): CommandBody => ({
  type: 'add-item',
  data: { item: item(id, more) },
});
const listed = [add('cover'), add('plenum', { name: 'Plenum' }), add('rail', { name: 'Rail' })];
const step = add('vacuum', { name: 'Vacuum the valley', note: 'what lies there falls in', backBefore: 'plenum' });
const of = (job: Job, id: string) => itemOf(job, id)!;
const clock = (iso: string): string => iso.slice(11, 16);

beforeEach(() => {
  freshShop();
  serve({});
});

describe('a step of the way back on the sheet', () => {
  it('hangs beside what it belongs to and says when it is due, never that it is off', () => {
    const { job } = showJob([open, ...listed, step]);
    const sheet = layOut(job(), 'strip');
    expect(sheet.left.map(({ item: { id } }) => id)).toEqual(['cover', 'plenum', 'vacuum', 'rail']);
    expect(sheet.twines.every(({ from, to }) => from === to)).toBe(true);
    expect(offNote(job(), of(job(), 'vacuum'))).toBe('on the way back');
    const waits = showJob([open, ...listed, step, off('plenum')]).job();
    const tap = tapOn('refit', waits, of(waits, 'vacuum'), UNTYPED, null)!;
    expect(tapWords(tap)).toBe('Done');
    expect(stepWords('refit', of(waits, 'vacuum'), tap)).toMatchObject({
      title: 'Vacuum the valley',
      happens: 'before it goes on',
      detail: ['What lies there falls in'],
    });
    expect(layOutTray(waits).nowhere.map(({ id }) => id)).toEqual(['plenum']);
    const back: CommandBody = {
      type: 'put-back-item',
      data: { itemId: 'vacuum', renewed: false, fitted: '', countedBack: null, confirmed: false },
    };
    const done = showJob([open, ...listed, step, off('plenum'), back]).job();
    expect(backNote(of(done, 'vacuum'), 'refit', clock)).toMatch(/^done \d\d:\d\d$/);
  });
  it('is added at the item, or left out with its own words', async () => {
    const { job, sent } = showJob([open, ...listed]);
    const form = mount(BackStepForm, { props: { item: of(job(), 'plenum') }, global });
    await press(form, 'Something to do before it goes back');
    await form.find('form').trigger('submit');
    expect(read(form)).toContain('Give it a name');
    await form.find(field(form, 'To do before it goes back')).setValue('Clean the seat');
    await form.find(field(form, 'Because')).setValue('it leaks');
    await form.find('form').trigger('submit');
    expect(sent.at(-1)).toMatchObject({
      type: 'add-item',
      data: { item: { name: 'Clean the seat', note: 'it leaks', backBefore: 'plenum' } },
    });
    const leave = mount(LeaveOffForm, { props: { item: { ...of(job(), 'rail'), backBefore: 'plenum' } }, global });
    await press(leave, 'Leave it out on purpose');
    expect(read(leave)).toContain('Why is it left out?');
  });
});

describe('the order of coming off', () => {
  it('is said at the item, and then stands there while the other is still on', async () => {
    const { job, sent } = showJob([open, ...listed]);
    const form = mount(OffOrderForm, { props: { job: job(), item: of(job(), 'cover') }, global });
    await press(form, 'Something comes off before it');
    await pick(form, 'Off before it', 'rail', 'Rail');
    await form.find('select').setValue('drops');
    await form.find(field(form, 'In a few words')).setValue('it swings down');
    await form.find('form').trigger('submit');
    expect(sent.at(-1)).toMatchObject({
      data: { itemId: 'cover', first: 'rail', kind: 'drops', reason: 'it swings down' },
    });
    const first = mount(OffFirst, { props: { job: job(), item: of(job(), 'cover') }, global });
    expect(read(first)).toContain('Rail first: it would let it drop: it swings down.');
    expect(first.find('.border-alarm').exists()).toBe(true);
    const off2 = showJob([open, ...listed, sent.at(-1) as CommandBody, off('rail')]).job();
    expect(read(mount(OffFirst, { props: { job: off2, item: of(off2, 'cover') }, global }))).toBe('');
  });
});

describe('what stays connected', () => {
  it('is proposed where the procedure says that it may stay', async () => {
    const { job, sent } = showJob([open, add('hose', { mayStay: 'wing' })]);
    const form = mount(TieAsideForm, { props: { item: of(job(), 'hose') }, global });
    await press(form, 'It may stay connected: tie it aside');
    await form.find('form').trigger('submit');
    expect(sent.at(-1)).toMatchObject({ data: { itemId: 'hose', where: 'wing' } });
  });
  it('asks where it is tied, and says so on its tag until it is back in its place', async () => {
    const { job, sent } = showJob([open, ...listed]);
    const form = mount(TieAsideForm, { props: { item: of(job(), 'rail') }, global });
    await press(form, 'It stays connected, tied aside');
    await form.find('form').trigger('submit');
    expect(read(form)).toContain('Where is it tied?');
    await form.find('input').setValue('to the strut');
    await form.find('form').trigger('submit');
    expect(sent.at(-1)).toMatchObject({ type: 'tie-aside', data: { itemId: 'rail', where: 'to the strut' } });
    const rail = of(job(), 'rail');
    expect(offNote(job(), rail)).toBe('tied aside');
    // The key that takes off the next thing must not undo what was tied aside.
    expect(tapOn('strip', job(), rail, UNTYPED, null)).toBeNull();
    const home = tapOn('refit', job(), rail, UNTYPED, null)!;
    expect(tapWords(home)).toBe('Back in its place');
    expect(stepWords('refit', rail, home).detail).toContain('Tied aside: to the strut.');
  });
});

describe('an item that is cleaned on the bench', () => {
  it('is laid there as what it is, and leads to its lane', async () => {
    const { job, sent } = showJob([open, ...listed, off('rail')]);
    const form = mount(BenchPartForm, { props: { job: job(), item: of(job(), 'rail') }, global });
    await press(form, 'It is cleaned on the bench too');
    await form.find('select').setValue('passage');
    await form.find('form').trigger('submit');
    expect(sent.at(-1)).toMatchObject({
      type: 'lay-out-part',
      data: { form: 'passage', name: 'Rail', itemId: 'rail' },
    });
    await form.setProps({ job: job(), item: of(job(), 'rail') });
    expect(read(form)).toContain('On the bench as air or recirculation passage');
  });
  it('goes back as the other one once it was renewed there, unless somebody says otherwise', async () => {
    const lay: CommandBody = {
      type: 'lay-out-part',
      data: { id: 'l', form: 'passage', name: 'Rail', place: '', itemId: 'rail' },
    };
    const renew: CommandBody = {
      type: 'renew-part',
      data: { id: 'r', unit: 'part-l', partNumber: 'R-9', origin: 'new', priceMinor: 0, why: 'cracked' },
    };
    const { job } = showJob([open, ...listed, off('rail'), lay, renew]);
    const rows = mount(UnitRows, { props: { job: job(), item: of(job(), 'rail'), renew: null }, global });
    expect(read(rows)).toContain('The other one goes on, as decided on the bench');
    expect((rows.find('input').element as HTMLInputElement).checked).toBe(true);
    await rows.find('input').setValue(false);
    expect(rows.emitted('update:renew')).toEqual([[false]]);
  });
});
