import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../core/job/index.ts';
import { item, off, open, pin, SAMPLE_FAMILY, SAMPLES } from '../../../core/job/testing/samples.ts';
import { SHIPPED_KNOWLEDGE } from '../../../core/diagnose/knowledge/index.ts';
import { useJob } from '../../stores/job.ts';
import { useKnowledge } from '../../stores/knowledge.ts';
import { useShop } from '../../stores/shop.ts';
import type { Pick } from '../../parts/picks.ts';
import { field, freshShop, pick, press, read, serve, showJob, stockItem, stubs } from '../../testing.ts';
import CleanHands from '../cleaning/CleanHands.vue';
import CoolantStage from '../coolant/CoolantStage.vue';
import InspectStage from '../inspection/InspectStage.vue';
import ReplaceView from '../rebuild/ReplaceView.vue';
import SeizedView from '../seized/SeizedView.vue';

vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push: vi.fn() }),
  useRoute: () => ({ params: { id: 'j' }, query: {} }),
}));
vi.mock('../../stores/liveJob.ts', () => ({ useLiveJob: () => undefined }));

const StageFrame = { template: '<div><slot name="head" /><slot /><aside><slot name="why" /></aside></div>' };
const global = { stubs: { ...stubs, StageFrame, RunPanel: true, SourceNote: true } };
const of = <K extends keyof typeof SAMPLES>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({ 'GET /api/stock': { rows: [] }, 'GET /api/units': { rows: [] } });
  const known = useKnowledge();
  known.versions = new Map([[1, SHIPPED_KNOWLEDGE]]);
  known.families = new Map([['twin', SAMPLE_FAMILY]]);
});
/** A job of the sample family on the screen. */
function show(...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  const store = useJob();
  store.confirmed = { ...shown.job(), vehicle: { ...shown.job().vehicle, familyId: 'twin' } };
  return shown;
}

describe('seized screws', () => {
  it('are noted and climbed rung by rung, the wait with a timer', async () => {
    const { sent, job } = show();
    useShop().settings = { ...useShop().settings, ratePerHourMinor: 5800 };
    const wrapper = mount(SeizedView, { global });
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Which screw? Say where it sits.');
    await wrapper.find('input').setValue('Body screw');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('The right bit, pressed hard');
    expect(read(wrapper)).toMatch(/Going on is worth it: \d+ % that all come out whole/);
    await press(wrapper, 'Not yet');
    expect(read(wrapper)).toContain('Room for hand and tool');
    // Any rung at any time; what was tried already asks what has changed.
    await press(wrapper, 'The right bittried');
    expect(read(wrapper)).toContain('What has changed since?');
    await press(wrapper, 'Not yet');
    expect(read(wrapper)).toContain('was tried already. What has changed since?');
    await press(wrapper, 'held in a vice');
    await press(wrapper, 'Not yet');
    await press(wrapper, 'Penetrating oil');
    await press(wrapper, 'Oiled, let it work');
    expect(sent.map(({ type }) => type)).toEqual(['note-seized', 'try-rung', 'try-rung', 'try-rung']);
    expect(sent[2]).toMatchObject({ data: { rung: 'right-bit', changed: 'vice' } });
    expect(read(wrapper)).toMatch(/1[56]:\d\d h|time is up/);
    await press(wrapper, 'It came out');
    // One tap, one undo: the wait ends with it.
    expect(sent.at(-1)?.type).toBe('try-rung');
    expect(job().timers.map(({ ended }) => ended?.outcome)).toEqual(['stopped']);
    expect(read(wrapper)).toContain('Out. A new one is on the list.');
  });
  it('are given up only with a reason', async () => {
    const { sent } = show(of('note-seized', { unit: 'throttle-body' }));
    const wrapper = mount(SeizedView, { global });
    await press(wrapper, 'Give it up');
    await press(wrapper, 'Give it up, for the reason above');
    expect(read(wrapper)).toContain('Why is it given up?');
    await wrapper.find('input').setValue('another body is cheaper');
    await press(wrapper, 'Give it up, for the reason above');
    expect(sent.at(-1)).toMatchObject({ type: 'give-up-screw' });
    expect(read(wrapper)).toContain('Given up.');
  });
});

describe('old against new', () => {
  it('says mark by mark what differs, and does not fit what does not', async () => {
    const { sent } = show();
    const wrapper = mount(ReplaceView, { global });
    await flushPromises();
    const field = (label: string) => {
      const found = wrapper.findAll('label').find((each) => each.text().startsWith(label));
      return wrapper.find(`[id="${found?.attributes('for')}"]`);
    };
    await field('Our tag for it').setValue('u 2');
    await field('Gasket outline').setValue('round');
    await field('Why the old one goes').setValue('F-10');
    await pick(wrapper, 'Why the old one goes', 'F-10', 'F-10');
    await wrapper.find('form').trigger('submit');
    expect(sent).toEqual([]);
    expect(read(wrapper)).toContain('Get the right one, or say why it goes on all the same.');
    await field('Gasket outline').setValue('oval');
    await field('Port diameter').setValue('42');
    expect(read(wrapper)).toContain('As expected.');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({
      type: 'replace-unit',
      data: {
        oldUnitId: 'u',
        failCode: 'F-10',
        fitted: { unitId: 'u-2', partNumber: 'S-1', priceMinor: 90_000, warrantyMonths: 24 },
      },
    });
    expect(read(wrapper)).toContain('Replaced by S-1, new, tag u-2.');
  });
  it('takes the list’s price for each way, until another is typed', async () => {
    show();
    const wrapper = mount(ReplaceView, { global });
    await flushPromises();
    const price = () => {
      const label = wrapper.findAll('label').find((each) => each.text().startsWith('Price'));
      return wrapper.find<HTMLInputElement>(`[id="${label?.attributes('for')}"]`);
    };
    expect(price().element.value).toBe('900.00');
    await press(wrapper, 'Used');
    expect(price().element.value).toBe('200.00');
    await price().setValue('180');
    await press(wrapper, 'New');
    expect(price().element.value).toBe('180');
  });
  it('says beside the field what cannot be read, and keeps it', async () => {
    const { sent } = show();
    const wrapper = mount(ReplaceView, { global });
    await flushPromises();
    await wrapper.find(field(wrapper, 'Our tag for it')).setValue('u-2');
    await pick(wrapper, 'Why the old one goes', 'F-10', 'F-10');
    await wrapper.find(field(wrapper, 'Price')).setValue('cheap');
    await wrapper.find(field(wrapper, 'Warranty')).setValue('long');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Expected an amount in cr, such as 80.00; got “cheap”.');
    expect(read(wrapper)).toContain('got “long”');
    await wrapper.find(field(wrapper, 'Price')).setValue('900');
    await wrapper.find(field(wrapper, 'Warranty')).setValue('400');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Expected 0 to 120 months, got 400.');
    expect(sent).toEqual([]);
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Warranty')).element.value).toBe('400');
  });
  it('takes a used one from the shelf with its life and what was paid', async () => {
    const used = {
      id: 'shelf-1',
      kind: 'throttle-body',
      partNumber: 'S-1',
      features: SAMPLE_FAMILY.unitTypes[0]!.expected,
      vehicleId: null,
      place: 'shelf P3',
      state: 'on the shelf',
    };
    serve({
      'GET /api/units': { rows: [used] },
      'GET /api/units/shelf-1': {
        unit: used,
        life: [
          {
            at: '2026-01-02T09:00:00.000Z',
            by: 'tomas',
            kind: 'bought',
            vehicleId: null,
            place: '',
            priceMinor: 14_000,
            note: 'breaker at the pier',
          },
        ],
      },
    });
    const { sent } = show();
    const wrapper = mount(ReplaceView, { global });
    await flushPromises();
    await press(wrapper, 'Used');
    await flushPromises();
    await press(wrapper, 'S-1');
    // What was tapped is picked before its life has come.
    expect(
      wrapper
        .findAll('button')
        .find((each) => each.text().includes('S-1'))!
        .attributes('aria-pressed'),
    ).toBe('true');
    await flushPromises();
    expect(read(wrapper)).toContain('Bought, Friday 2 January 2026, 09:00, 140.00 cr: breaker at the pier');
    await pick(wrapper, 'Why the old one goes', 'F-20', 'F-20');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({
      data: { fitted: { unitId: 'shelf-1', origin: 'used', priceMinor: 14_000, warrantyMonths: 3 } },
    });
  });
});

describe('the coolant page', () => {
  const hose: CommandBody = { type: 'add-item', data: { item: item('hose', { kind: 'coolant-hose' }) } };
  it('holds what was caught against the hoses, works out the top-up and takes it over', async () => {
    const { sent } = show(
      pin,
      hose,
      off('hose'),
      of('record-coolant', { kind: 'caught', amountText: '1 L', concentration: null }),
    );
    const wrapper = mount(CoolantStage, { global });
    await flushPromises();
    expect(read(wrapper)).toContain('1 hose off: about 0.25 L should have come out');
    expect(read(wrapper)).toContain('was another hose opened?');
    expect(read(wrapper)).toContain('1.00 L of ready-mix.');
    await press(wrapper, 'Take this');
    await wrapper.findAll('form')[1]!.trigger('submit');
    expect(sent[0]).toMatchObject({
      type: 'record-coolant',
      data: { kind: 'added', amountText: '1.00 L', concentration: 0.5 },
    });
  });
  it('pours from a bottle of the stock: its strength, inhibitor and price, and whether it is empty now', async () => {
    serve({
      'GET /api/stock': {
        rows: [
          stockItem({
            id: 'b',
            name: 'Concentrate, 1.5 L',
            kind: 'coolant',
            priceMinor: 1200,
            detail: { concentration: 0.95, inhibitor: 'IAT', contentsL: 1.5 },
          }),
          stockItem({ id: 'g' }),
        ],
      },
    });
    const { sent } = show(pin);
    const wrapper = mount(CoolantStage, { global });
    await flushPromises();
    await press(wrapper, 'Added');
    const bottles = wrapper.findAllComponents({ name: 'PickField' }).at(-1)!;
    expect((bottles.props('picks') as Pick[]).map(({ id }) => id)).toEqual(['b']);
    await pick(wrapper, 'From which bottle', 'conc', 'Concentrate');
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'Strength')).element.value).toBe('95');
    await wrapper.find(field(wrapper, 'How much')).setValue('0,5 L');
    await wrapper.find('input[type="checkbox"]').setValue(true);
    await wrapper.findAll('form')[1]!.trigger('submit');
    expect(sent[0]).toMatchObject({
      type: 'record-coolant',
      data: { concentration: 0.95, inhibitor: 'IAT', priceMinor: 400, stockId: 'b', emptied: true },
    });
    expect(wrapper.find<HTMLInputElement>('input[type="checkbox"]').element.checked).toBe(false);
  });
  it('goes by what was read, and reminds of the level', async () => {
    const { sent } = show(pin);
    const wrapper = mount(CoolantStage, { global });
    await wrapper.find(field(wrapper, 'Freezes at')).setValue('-25 °C');
    await wrapper.find(field(wrapper, 'Read with')).setValue('strip');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({
      type: 'test-coolant',
      data: { tool: 'strip', scale: 'ethylene', typed: '-25 °C' },
    });
    expect(read(wrapper)).toContain('Before, test strip −25 °C');
    await press(wrapper, 'Leaks');
    const leak = wrapper.findAll('form').find((form) => form.text().includes('Note the leak'))!;
    await leak.trigger('submit');
    expect(read(wrapper)).toContain('Where does it leak?');
    await leak.find('input').setValue('lower hose');
    await leak.trigger('submit');
    expect(sent.at(-1)).toMatchObject({ type: 'check-leaks', data: { where: 'lower hose' } });
    await wrapper.findAll('form').at(-1)!.trigger('submit');
    expect(sent.at(-1)).toMatchObject({ type: 'set-recheck' });
  });
});

describe('the inspect stage', () => {
  it('says what the decision will not cure, and goes on to the next stop', async () => {
    const { sent } = show(of('decide', { choice: 'clean-bench' }), of('judge-point'));
    const wrapper = mount(InspectStage, { global });
    expect(read(wrapper)).toContain('What was decided will not cure this');
    expect(read(wrapper)).toContain('1 of 16 looked at');
    const heading = () =>
      wrapper
        .findAll('h3')
        .find((each) => each.classes().includes('text-xl'))!
        .text();
    expect(heading()).toBe('Deposit, front');
    await press(wrapper, '1film');
    expect(sent[0]).toMatchObject({ data: { point: 'deposit-front', marks: [1] } });
    expect(heading()).toBe('Deposit, back');
  });
  it('stays at the stop that was picked when the server answers meanwhile', async () => {
    show();
    const store = useJob();
    const wrapper = mount(InspectStage, { global });
    await wrapper.findAll('ol button')[5]!.trigger('click');
    const heading = () => wrapper.find('h3.text-xl').text();
    const picked = heading();
    store.confirmed = { ...store.confirmed!, version: store.confirmed!.version + 1 };
    await flushPromises();
    expect(heading()).toBe(picked);
    expect(picked).not.toBe('Deposit, front');
  });
});

describe('hands busy at the bench', () => {
  it('shows one pass at a time, passes over what soaks, and looks when a round is over', async () => {
    const shown = show();
    vi.spyOn(useJob(), 'load').mockResolvedValue();
    const wrapper = mount(CleanHands, { global });
    const title = () => wrapper.find('h1').text();
    expect(title()).toBe('Protect');
    for (let step = 0; step < 3; step += 1) await press(wrapper, step === 2 ? 'Soaking now' : 'Done');
    expect(shown.job().timers).toHaveLength(1);
    // The body soaks: the valve is next.
    expect(read(wrapper)).toContain('Idle air valve');
    expect(title()).toBe('Protect');
    await press(wrapper, 'Not yet');
    expect(title()).toBe('Soaks');
    await press(wrapper, 'Soaked enough, brush done');
    expect(shown.job().timers[0]?.ended?.outcome).toBe('stopped');
    await press(wrapper, 'Undo');
    expect(shown.sent.at(-1)?.type).toBe('undo');
    expect(shown.job().timers[0]?.ended).toBeNull();
  });
});
