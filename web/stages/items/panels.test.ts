import { mount, RouterLinkStub } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type CommandBody, itemOf, type Job, jobMayStart } from '../../../core/job/index.ts';
import { play } from '../../../core/job/testing/play.ts';
import { open, pinRich } from '../../../core/job/testing/world.ts';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import HoldsDialog from '../start/HoldsDialog.vue';
import { layOutTray } from './tray/trayLayout.ts';
import EndSteps from './EndSteps.vue';
import FlagForm from './FlagForm.vue';
import { jointFigures } from '../torque/jointFigures.ts';
import { FAR_ROWS, isFar, looseEnd } from './layout.ts';
import LockList from './LockList.vue';
import MeasureRows from './MeasureRows.vue';
import ObjectsBlock from './ObjectsBlock.vue';
import RetorqueRow from '../torque/RetorqueRow.vue';
import ThreadBlock from '../torque/ThreadBlock.vue';
import TwoPeople from './TwoPeople.vue';

const global = { stubs: { RouterLink: RouterLinkStub, teleport: true } };
const off = (itemId: string, more: object = {}): CommandBody => ({
  type: 'remove-item',
  data: { itemId, pocket: '', label: itemId, countedOut: null, ...more },
});
const wrench = {
  id: 'w',
  name: 'Click',
  scale: { unit: 'N·m', low: 2, high: 20, step: 0.5 },
  deviationPercent: null,
  calibratedOn: null,
} as const;

/** A job in the store; what is sent is decided for real and kept for looking at. */
function bench(...bodies: CommandBody[]): { job: () => Job; sent: { type: string; data: unknown }[] } {
  const store = useJob();
  store.id = 'j';
  store.confirmed = play([open, pinRich, ...bodies]).job;
  const sent: { type: string; data: unknown }[] = [];
  const real = store.send;
  vi.spyOn(store, 'send').mockImplementation((type, data) => {
    const refusal = real(type, data);
    if (refusal === null) sent.push({ type, data });
    return refusal;
  });
  return { job: () => store.job!, sent };
}
const press = async (
  wrapper: { findAll: (what: string) => { text: () => string; trigger: (what: string) => Promise<void> }[] },
  text: string,
) =>
  wrapper
    .findAll('button')
    .find((each) => each.text().includes(text))!
    .trigger('click');

beforeEach(() => {
  setActivePinia(createPinia());
  vi.stubGlobal('fetch', async () => new Promise(() => undefined));
  const shop = useShop();
  shop.people = [
    { id: 'tomas', name: 'Tomas Virk', role: 'technician', bay: '' },
    { id: 'isla', name: 'Isla Renn', role: 'lead', bay: '' },
  ];
  shop.personId = 'tomas';
  shop.wrenches = [wrench];
});
afterEach(() => vi.restoreAllMocks());

describe('the tray', () => {
  it('lays out the tray: pockets, elsewhere, and what nobody placed; what hangs is not missed', () => {
    const { job } = bench(
      { type: 'name-pocket', data: { pocket: 'B2', name: 'small' } },
      off('dashpot', { pocket: 'b2' }),
      off('unit', { pocket: 'bench' }),
      off('arm'),
      off('left-plug'),
    );
    const tray = layOutTray(job());
    expect(tray.rows.flat().filter(({ items }) => items.length > 0)).toMatchObject([
      { id: 'B2', name: 'small', items: [{ id: 'dashpot' }] },
    ]);
    expect(tray.elsewhere).toMatchObject([{ id: 'bench', items: [{ id: 'unit' }] }]);
    expect(tray.nowhere.map(({ id }) => id)).toEqual(['arm']);
  });
});

describe('far strings', () => {
  it('are drawn as two loose ends that bend towards their twin', () => {
    expect(isFar({ from: 0, to: FAR_ROWS })).toBe(false);
    expect(isFar({ from: FAR_ROWS + 1, to: 0 })).toBe(true);
    expect(looseEnd('left', 0, 20, 100, 43)).toBe(`M0 17 C10 17 17 17 20 ${17 + 43 * 0.42}`);
    expect(looseEnd('right', 0, 20, 100, 43)).toMatch(/^M100 877 C90 877 83 877 80 858\.9/);
  });
});

describe('the torque step', () => {
  const item = () => itemOf(bench(off('screws')).job(), 'screws')!;
  it('works out pull, proof and margin, and warns where the thread has little to spare', () => {
    const group = { ...item().fasteners!, grade: '8.8', hole: { material: 'pa66-gf30', engagementMm: 8 } } as const;
    const figures = jointFigures(group);
    expect(figures.rows.map(({ label }) => label)).toEqual([
      'Pull, dry, plated',
      'Of proof, 8.8',
      'Thread in PA66-GF30',
    ]);
    expect(figures.rows[0]?.value).toBe('4.2 kN, ±30 %');
    expect(figures.warning).not.toBe('');
    expect(jointFigures({ ...group, thread: 'worm drive' })).toEqual({ rows: [], warning: '', repairs: [] });
    expect(jointFigures({ ...group, spec: null }).repairs.length).toBeGreaterThan(2);
  });
});

describe('panels beside the sheet', () => {
  it('say why an item waits, and finish the bench', async () => {
    const { job, sent } = bench(off('unit'));
    const wrapper = mount(LockList, { props: { job: job(), item: itemOf(job(), 'unit')! }, global });
    expect(wrapper.text()).toContain('Bench work on sample unit is not finished: clean and dry first.');
    await press(wrapper, 'Bench work is finished');
    expect(sent).toEqual([{ type: 'finish-bench', data: { itemId: 'unit', note: '' } }]);
  });
  it('take the word of who says that it is on already, with how, and offer to take it off again', async () => {
    const { job, sent } = bench(off('left-plug'), off('unit'), {
      type: 'finish-bench',
      data: { itemId: 'unit', note: '' },
    });
    const wrapper = mount(LockList, { props: { job: job(), item: itemOf(job(), 'unit')! }, global });
    await press(wrapper, 'It is on already');
    await wrapper.find('input').setValue('held aside');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({ type: 'put-back-item', data: { itemId: 'unit', against: 'held aside' } });
    const buried = mount(LockList, { props: { job: job(), item: itemOf(job(), 'left-plug')! }, global });
    expect(buried.text()).toContain('Sample unit covers it: take that off again first');
    await press(buried, 'Take sample unit off again');
    expect(itemOf(job(), 'unit')?.state).toBe('off');
  });
  it('ask for measures before, and for setting them again after', async () => {
    const { job, sent } = bench();
    const strip = mount(MeasureRows, { props: { job: job(), item: itemOf(job(), 'dashpot')!, way: 'strip' }, global });
    await strip.find('form').trigger('submit');
    expect(strip.text()).toContain('What is the measure or mark?');
    await strip.find('input').setValue('7.4 mm');
    await strip.find('form').trigger('submit');
    expect(sent).toEqual([{ type: 'keep-measure', data: { itemId: 'dashpot', kind: 'lock-nut', text: '7.4 mm' } }]);
    const back = mount(MeasureRows, { props: { job: job(), item: itemOf(job(), 'dashpot')!, way: 'refit' }, global });
    expect(back.text().replace(/\s+/g, ' ')).toContain('Lock-nut position: 7.4 mm');
    await press(back, 'Set again');
    expect(itemOf(job(), 'dashpot')?.kept[0]?.restored?.text).toBe('7.4 mm');
  });
  it('flag an item and put its part on the list', async () => {
    const { job, sent } = bench();
    const wrapper = mount(FlagForm, { props: { item: itemOf(job(), 'arm')!, closed: false }, global });
    await press(wrapper, 'Broken, seized, missing or wrong');
    const [text, number] = wrapper.findAll('form input');
    await text!.setValue('bent');
    await number!.setValue('A-9');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({
      type: 'flag-item',
      data: { itemId: 'arm', flag: 'broken', needs: 'part', partNumber: 'A-9' },
    });
    expect(job().ownNeeds).toMatchObject([{ name: 'Sample arm', partNumber: 'A-9' }]);
    const open2 = mount(FlagForm, { props: { item: itemOf(job(), 'arm')!, closed: false }, global });
    expect(open2.text().replace(/\s+/g, ' ')).toContain('Broken: bent. A new part.');
  });
  it('end a search only where something is said, and only a lead accepts a loss', async () => {
    const { job } = bench({ type: 'drop-object', data: { id: 'd', what: 'M5 screw', where: 'valley' } });
    const wrapper = mount(ObjectsBlock, { props: { job: job() }, global });
    await press(wrapper, 'End the search');
    await wrapper.find('form').trigger('submit');
    expect(wrapper.text()).toContain('Where was it found?');
    await wrapper.find('input').setValue('on the floor');
    await press(wrapper, 'Accept the loss');
    expect(wrapper.text()).toContain('Only a lead may accept that it stays lost.');
    expect((wrapper.find('input').element as HTMLInputElement).value).toBe('on the floor');
    useShop().personId = 'isla';
    await wrapper.vm.$nextTick();
    await press(wrapper, 'I accept');
    expect(job().searches[0]?.ended).toMatchObject({ outcome: 'accepted', by: 'isla' });
  });
  it('show what is undone last, and do it', async () => {
    const { job } = bench({ type: 'tick-need', data: { needId: 'battery-off', state: 'ready', expected: null } });
    const wrapper = mount(EndSteps, { props: { job: job() }, global });
    expect(wrapper.text()).toContain('Battery negative on');
    await press(wrapper, 'Done');
    expect(jobMayStart(job()).may).toBe(true);
  });
  it('offer ways out of a stripped thread with what each would hold', async () => {
    const { job } = bench(off('screws'));
    const wrapper = mount(ThreadBlock, { props: { item: itemOf(job(), 'screws')!, next: '1', closed: false }, global });
    await press(wrapper, 'It turns without end');
    await press(wrapper, 'It stripped');
    const broken = mount(ThreadBlock, { props: { item: itemOf(job(), 'screws')!, next: '2', closed: false }, global });
    expect(broken.text()).toContain('Thread stripped: upper left');
    expect(broken.findAll('li')).toHaveLength(4);
    await press(broken, 'Done this way');
    expect(itemOf(job(), 'screws')?.threads[0]?.repaired).not.toBeNull();
  });
  it('start the cooling and take down what moved', async () => {
    const tight = (pass: number, torqueText: string, method: 'wrench' | 'angle'): CommandBody => ({
      type: 'tighten-pass',
      data: { itemId: 'screws', pass, method, torqueText, wrenchId: 'w' },
    });
    const { job, sent } = bench(off('screws'), tight(1, '5 Nm', 'wrench'), tight(2, '45', 'angle'));
    const wrapper = mount(RetorqueRow, { props: { item: itemOf(job(), 'screws')! }, global });
    await press(wrapper, 'Engine is off');
    expect(sent[0]).toMatchObject({
      type: 'start-timer',
      data: { kind: 'heat-cycle', minutes: 120, itemId: 'screws' },
    });
    await press(wrapper, 'Some moved');
    expect(wrapper.text()).toContain('Say which moved and how far.');
    await press(wrapper, 'None moved');
    expect(itemOf(job(), 'screws')?.retorqued?.moved).toBe(false);
  });
  it('let a lead, and nobody else, let a hold pass', async () => {
    const { job } = bench(off('arm'));
    const mine = mount(HoldsDialog, {
      props: { job: job() },
      global: { stubs: { ...global.stubs, SheetDialog: { template: '<div><slot /></div>' } } },
    });
    expect(mine.text()).toContain('Only a lead may let the engine start');
    useShop().personId = 'isla';
    await mine.vm.$nextTick();
    await press(mine, 'Let some of it pass');
    await mine.find('input[type=checkbox]').trigger('change');
    await mine.find('form').trigger('submit');
    expect(mine.text()).toContain('Say why it may start all the same');
    await mine.find('form input').setValue('a test run');
    await mine.find('form').trigger('submit');
    expect(jobMayStart(job())).toMatchObject({ may: true, passed: [{ code: 'item-off' }] });
  });
  it('tell two people what the other has, and offer a step of one’s own', async () => {
    vi.useFakeTimers({ now: Date.parse('2026-05-13T08:12:00.000Z') });
    const { job } = bench(off('dashpot'), off('arm'), { type: 'take-step', data: { itemId: 'arm' } });
    useShop().personId = 'isla';
    const wrapper = mount(TwoPeople, { props: { job: job(), way: 'refit' }, global });
    expect(wrapper.text().replace(/\s+/g, ' ')).toContain('Tomas has sample arm in hand.');
    expect(wrapper.text()).toContain('sample dashpot');
    await press(wrapper, 'I take it');
    expect(job().hands.map(({ by, itemId }) => [by, itemId])).toEqual([
      ['tomas', 'arm'],
      ['isla', 'dashpot'],
    ]);
    vi.useRealTimers();
  });
});
