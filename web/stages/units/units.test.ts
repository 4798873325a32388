import { mount } from '@vue/test-utils';
import { nextTick } from 'vue';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { jobUnits, type CommandBody } from '../../../core/job/index.ts';
import { pointOf } from '../../../core/inspect/index.ts';
import { open, pin, SAMPLE_FAMILY, SAMPLES } from '../../../core/job/testing/samples.ts';
import { useJob } from '../../stores/job.ts';
import { useKnowledge } from '../../stores/knowledge.ts';
import { SHIPPED_KNOWLEDGE } from '../../../core/diagnose/knowledge/index.ts';
import { useShop } from '../../stores/shop.ts';
import { field, freshShop, press, read, serve, showJob, stockItem, stubs } from '../../testing.ts';
import CleaningLane from '../cleaning/CleaningLane.vue';
import CanForm from '../cleaning/CanForm.vue';
import WasteList from '../cleaning/WasteList.vue';
import GradeScale from '../inspection/GradeScale.vue';
import LightRing from '../inspection/LightRing.vue';
import PointPanel from '../inspection/PointPanel.vue';
import UnitDrawing from '../inspection/UnitDrawing.vue';
import MarkCanvas from '../pictures/MarkCanvas.vue';
import PictureMarker from '../pictures/PictureMarker.vue';
import PiecesBlock from '../rebuild/PiecesBlock.vue';
import SealRows from '../rebuild/SealRows.vue';
import SensorBlock from '../rebuild/SensorBlock.vue';
import TurnsBlock from '../rebuild/TurnsBlock.vue';

// The test’s page has no canvas to draw on.
vi.mock('vue-konva', async () => ({ useImage: (await import('../../testing.ts')).noImage }));

const global = { stubs };
const of = <K extends keyof typeof SAMPLES>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
const NOW = '2026-05-13T09:00:00.000Z';

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
  const known = useKnowledge();
  known.versions = new Map([[1, SHIPPED_KNOWLEDGE]]);
});
function bench(...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  const [body, valve] = jobUnits(shown.job(), SAMPLE_FAMILY);
  return { ...shown, body: body!, valve: valve! };
}

describe('a stop of the walk', () => {
  const panel = (id: string, ...bodies: CommandBody[]) => {
    const shown = bench(...bodies);
    const wrapper = mount(PointPanel, {
      props: { job: shown.job(), unit: shown.body, point: pointOf(id)!, when: 'before' },
      global,
    });
    return { wrapper, ...shown };
  };
  it('judges as it is typed, with the limit and where it is from', async () => {
    const { wrapper, sent } = panel('play');
    expect(read(wrapper)).toContain('Limit at most 0.15 mm: shop figure, verify.');
    await wrapper.find('input').setValue('0.3');
    expect(read(wrapper)).toContain('Bad. 0.3 mm; at most 0.15 mm.');
    expect(sent).toEqual([]);
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({ type: 'judge-point', data: { point: 'play', typed: ['0.3'], form: 'cable' } });
  });
  it('keeps what was typed when it cannot be read', async () => {
    const { wrapper, sent } = panel('play');
    await wrapper.find('input').setValue('wide');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('got “wide”');
    expect((wrapper.find('input').element as HTMLInputElement).value).toBe('wide');
    expect(sent).toEqual([]);
  });
  it('takes an answer by a tap, with a word to it', async () => {
    const { wrapper, sent } = panel('stop-screw');
    await press(wrapper, 'Add a word to it');
    await wrapper.find('input').setValue('blue paint');
    await press(wrapper, 'Mark broken');
    expect(sent[0]).toMatchObject({ data: { outcome: 'moved', note: 'blue paint' } });
  });
  it('asks which ring, and lists those that were judged', async () => {
    const ring = of('judge-point', { point: 'ring', which: 'idle screw', typed: ['90'] });
    const { wrapper, sent } = panel('ring', ring);
    expect(read(wrapper)).toContain('idle screw 90 Shore A; 55 to 82 Shore A.');
    const inputs = wrapper.findAll('input');
    await inputs[1]!.setValue('70');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Which one? Each has its own line.');
    await inputs[0]!.setValue('shaft');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({ data: { which: 'shaft', typed: ['70'] } });
  });
});

describe('drawings that are tapped', () => {
  it('goes round each twelfth: none, thin, wide', async () => {
    const wrapper = mount(LightRing, { props: { marks: Array.from({ length: 12 }, () => 2) } });
    const sectors = wrapper.findAll('[role="button"]');
    expect(sectors).toHaveLength(12);
    expect(sectors[3]?.attributes('aria-label')).toBe('3 o’clock: wide');
    await sectors[3]?.trigger('keydown', { key: 'Enter' });
    expect((wrapper.emitted('mark')?.[0]?.[0] as number[])[3]).toBe(0);
    await wrapper.setProps({ disabled: true });
    await sectors[4]?.trigger('click');
    expect(wrapper.emitted('mark')).toHaveLength(1);
  });
  it('shows a grade in word, figure and picture', async () => {
    const wrapper = mount(GradeScale, { props: { grade: 3, label: 'Edge' } });
    const buttons = wrapper.findAll('button');
    expect(buttons.map((each) => each.attributes('aria-pressed'))).toEqual([
      'false',
      'false',
      'false',
      'true',
      'false',
    ]);
    await buttons[4]?.trigger('click');
    expect(wrapper.emitted('pick')).toEqual([[4]]);
  });
  it.each([
    'cable',
    'electronic',
    'diesel-flap',
    'bank',
    'plastic',
    'rotary-valve',
    'stepper-valve',
    'actuator',
  ] as const)('%s is drawn with its stops, each said in words', async (form) => {
    const point = pointOf('gasket-height')!;
    const wrapper = mount(UnitDrawing, {
      props: { form, points: [point], current: '', verdicts: { 'gasket-height': 'bad' }, deposit: 2 },
    });
    const stop = wrapper.find('.stop');
    expect(stop.attributes('aria-label')).toBe('Gasket height against new: bad');
    await stop.trigger('keydown', { key: ' ' });
    expect(wrapper.emitted('pick')).toEqual([['gasket-height']]);
  });
});

describe('a lane of cleaning', () => {
  const lane = (...bodies: CommandBody[]) => {
    const shown = bench(...bodies);
    const wrapper = mount(CleaningLane, { props: { job: shown.job(), unit: shown.body, now: NOW }, global });
    return { wrapper, renew: () => wrapper.setProps({ job: shown.job() }), ...shown };
  };
  it('leads from pass to pass, starts the soak’s timer, and asks for a look', async () => {
    const { wrapper, renew, sent } = lane();
    for (const words of ['Protect', 'First wet', 'Soak', 'Brush', 'Wipe']) {
      await press(wrapper, words);
      await renew();
    }
    expect(sent.map(({ data }) => (data as { kind: string }).kind)).toEqual([
      'protect',
      'wet',
      'soak',
      'brush',
      'wipe',
    ]);
    expect(sent[2]?.data).toMatchObject({
      soak: { minutes: 10, label: 'Throttle body soaks' },
      substance: 'throttle-cleaner',
    });
    expect(read(wrapper)).toContain('What does it look like now?');
    await press(wrapper, '2lacquer');
    await renew();
    expect(read(wrapper)).toContain('now lacquer: another round');
    expect(read(wrapper)).not.toContain('Look at the light first');
  });
  it('asks for the light before it dries, and goes another round while that is uneven', async () => {
    const round = (['protect', 'wet', 'soak', 'brush', 'wipe'] as const).map((kind): CommandBody => ({
      type: 'do-pass',
      data: { id: kind, unit: 'throttle-body', kind },
    }));
    const clean = of('judge-point', { id: 'g', point: 'deposit-edge', typed: [], marks: [0], when: 'after' });
    const light = of('judge-point', {
      id: 'l',
      point: 'light',
      typed: [],
      marks: [0, 0, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1],
      when: 'after',
    });
    expect(read(lane(...round, clean).wrapper)).toContain('Look at the light first');
    const dark = read(lane(...round, clean, light).wrapper);
    expect(dark).toContain('First wet');
    expect(dark).not.toContain('Look at the light first');
  });
  it('asks about what must never touch it, beside the button, and records it with why', async () => {
    const { job, body, sent } = bench({ type: 'do-pass', data: { id: 'p', unit: 'throttle-body', kind: 'protect' } });
    const unit = { ...body, form: 'electronic' as const };
    const wrapper = mount(CleaningLane, { props: { job: job(), unit, now: NOW }, global });
    await press(wrapper, 'Otherwise');
    await wrapper.find('select').setValue('carburettor-cleaner');
    await press(wrapper, 'Wipe');
    expect(read(wrapper)).toContain('Never carburettor cleaner on coated bore: takes the coating off');
    expect(read(wrapper)).toContain('What may touch what');
    expect(sent).toEqual([]);
    await press(wrapper, 'Not like that');
    expect(read(wrapper)).not.toContain('Never carburettor cleaner');
    await press(wrapper, 'Wipe');
    await wrapper.find(field(wrapper, 'Done all the same')).setValue('the coating is gone');
    await wrapper.find('form').trigger('submit');
    expect(job().passes.at(-1)?.against?.because).toBe('the coating is gone');
    sent.length = 0;
    await press(wrapper, 'Otherwise');
    await wrapper.find('select').setValue('isopropyl');
    await press(wrapper, 'Wipe');
    expect(sent[0]).toMatchObject({ data: { substance: 'isopropyl', how: 'wipe' } });
  });
});

describe('cans and waste', () => {
  const can = stockItem({
    name: 'Cleaner',
    kind: 'cleaner',
    priceMinor: 800,
    detail: { substance: 'throttle-cleaner', contentsG: 400 },
  });
  it('works out the price by weight, and says what must be kept dry', async () => {
    const { job, body, valve, sent } = bench();
    const wrapper = mount(CanForm, { props: { job: job(), units: [body, valve], stock: [can] }, global });
    const [before, after, minutes] = wrapper.findAll('input');
    await before!.setValue('400 g');
    await after!.setValue('350 g');
    await minutes!.setValue('4');
    expect(read(wrapper)).toContain('1.00 cr');
    expect(read(wrapper)).toContain('it must not reach');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({
      data: {
        priceMinor: 100,
        minutes: 4,
        stockId: 's',
        surfaces: ['bare-aluminium', 'brass-plate', 'zinc-steel', 'gasket-face'],
      },
    });
    expect(wrapper.find('input').element.value).toBe('');
  });
  it('lists waste until it is taken away', async () => {
    const { job, sent } = bench(of('weigh-can'));
    const wrapper = mount(WasteList, { props: { job: job() } });
    expect(read(wrapper)).toContain('Solvent rags');
    await press(wrapper, 'Taken away');
    await wrapper.setProps({ job: job() });
    expect(sent[0]).toMatchObject({ type: 'take-waste', data: { kind: 'rags', where: 'closed metal bin' } });
    expect(read(wrapper)).toContain('Solvent rags: closed metal bin');
  });
});

describe('rebuilding', () => {
  it('sends an injector to its own cylinder only', async () => {
    const { job, body, sent } = bench(of('set-apart'));
    const units = [1, 2].map((each) => ({ ...body, id: `u${each}`, place: `cylinder ${each}` }));
    const wrapper = mount(PiecesBlock, { props: { job: job(), unit: units[0]!, units }, global });
    await press(wrapper, 'cylinder 1');
    expect(read(wrapper)).toContain('came from cylinder 2: it goes back there.');
    await press(wrapper, 'cylinder 2');
    expect(sent.at(-1)).toMatchObject({ type: 'return-piece', data: { place: 'cylinder 2' } });
  });
  it('proposes what suits a rubber, and refuses what does not', async () => {
    const part = { id: 'r', name: 'Ring', partNumber: 'R', count: 1, rubber: 'epdm' as const, wayRound: '', order: 1 };
    const [type] = SAMPLE_FAMILY.unitTypes;
    useKnowledge().families = new Map([['twin', { ...SAMPLE_FAMILY, unitTypes: [{ ...type!, kit: [part] }] }]]);
    const { job, body, sent } = bench();
    const store = useJob();
    store.confirmed = { ...job(), vehicle: { ...job().vehicle, familyId: 'twin' } };
    const wrapper = mount(SealRows, { props: { job: store.job!, unit: body, stock: [], seals: [] }, global });
    const select = wrapper.find('select');
    expect((select.element as HTMLSelectElement).value).toBe('silicone-grease');
    await select.setValue('petroleum-jelly');
    await press(wrapper, 'Renew');
    expect(read(wrapper)).toContain('Never petroleum jelly on EPDM');
    expect(sent).toEqual([]);
    await select.setValue('silicone-grease');
    await press(wrapper, 'Renew');
    expect(sent[0]).toMatchObject({ data: { lubricant: 'silicone-grease', rubber: 'epdm' } });
  });
  it('judges the sensor while its screws are loose, and the sweep against a straight line', async () => {
    const { job, body, sent } = bench();
    useJob().confirmed = {
      ...job(),
      vehicle: {
        ...job().vehicle,
        figures: { ...job().vehicle.figures, closedVolts: { low: 0.45, high: 0.55, source: 'b' } },
      },
    };
    const wrapper = mount(SensorBlock, { props: { job: useJob().job!, unit: body }, global });
    const inputs = wrapper.findAll('input');
    await inputs[0]!.setValue('0.7');
    expect(read(wrapper)).toContain('0.20 V too high: turn it back');
    for (const [index, volts] of ['0.5', '1.5', '2.9', '3.5', '4.5'].entries()) await inputs[index]!.setValue(volts);
    expect(read(wrapper)).toContain('off the straight line at 50 %');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({ type: 'sweep-sensor', data: { typed: ['0.5', '1.5', '2.9', '3.5', '4.5'] } });
  });
  it('counts turns, and leaves the stop screw to a reason', async () => {
    useShop().rules = { 'stop-screw': 'never' };
    const { job, body, sent } = bench();
    const wrapper = mount(TurnsBlock, { props: { job: job(), unit: body }, global });
    await press(wrapper, 'Stop screw');
    const [turns] = wrapper.findAll('input');
    await turns!.setValue('0.25');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('never to touch the stop screw');
    await wrapper.findAll('input').at(-1)!.setValue('warped, until Friday');
    await wrapper.findAll('form').at(-1)!.trigger('submit');
    expect(sent.map(({ type }) => type)).toEqual(['depart-from-rule', 'turn-screw']);
    await wrapper.setProps({ job: job() });
    expect(read(wrapper)).toContain('¼ turn out');
  });
});

describe('marking a picture', () => {
  it('turns it, draws by keyboard and by hand, and refuses places that lie too near', async () => {
    const { job, sent } = bench(pin, ...(SAMPLES['mark-picture'].after.slice(1) as CommandBody[]));
    const wrapper = mount(PictureMarker, {
      props: { picture: job().pictures[0]!, what: 'Body' },
      global: { ...global, stubs: { ...stubs, MarkCanvas: true } },
    });
    const keys = async (...pressed: string[]): Promise<void> => {
      for (const key of pressed) await wrapper.get('[role="application"]').trigger('keydown', { key });
    };
    await keys('Enter', 'ArrowRight', 'Enter');
    const canvas = wrapper.getComponent(MarkCanvas);
    await press(wrapper, 'Circle');
    canvas.vm.$emit('press', { x: 0.2, y: 0.2 });
    canvas.vm.$emit('drag', { x: 0.4, y: 0.2 });
    await nextTick();
    expect(canvas.props('marks')).toHaveLength(2);
    canvas.vm.$emit('release', { x: 0.4, y: 0.2 });
    await press(wrapper, 'Words');
    canvas.vm.$emit('press', { x: 0.6, y: 0.6 });
    canvas.vm.$emit('release', { x: 0.6, y: 0.6 });
    await nextTick();
    expect(read(wrapper)).toContain('Type the words first.');
    await press(wrapper, 'Turn');
    await press(wrapper, 'Turn');
    await press(wrapper, 'Undo');
    await press(wrapper, 'Line up');
    await keys('Enter', 'Enter');
    await press(wrapper, 'Keep the marks');
    expect(read(wrapper)).toContain('lie too near each other');
    const down = Array.from({ length: 10 }, () => 'ArrowDown');
    await keys(...down, 'Enter', ...down, 'Enter');
    await press(wrapper, 'Keep the marks');
    const data = sent.at(-1)?.data as { rotation: number; marks: unknown[]; anchors: unknown[] };
    expect(data).toMatchObject({ rotation: 90, marks: [{ kind: 'arrow', x: 0.5, toX: 0.52 }, { kind: 'circle', x: 0.2 }] }); // prettier-ignore
    expect(data.anchors).toHaveLength(2);
    expect(wrapper.emitted('close')).toHaveLength(1);
  });
});

describe('words for the eye and the hand', () => {
  it('stand beside the figure, are recorded by one tap, and are said to be no measure', async () => {
    const { job, body, sent } = bench();
    const wrapper = mount(PointPanel, {
      props: { job: job(), unit: body, point: pointOf('play')!, when: 'before' },
      global,
    });
    expect(read(wrapper)).toContain('Or by eye and hand: noted, not measured');
    await wrapper.find('input').setValue('0.');
    await press(wrapper, 'No play felt');
    expect(sent.at(-1)).toMatchObject({ data: { outcome: 'none-felt', typed: [''] } });
    await wrapper.setProps({ job: job() });
    expect(read(wrapper)).toContain('Noted. No play felt: by eye or hand, not measured.');
    const coil = mount(PointPanel, {
      props: { job: job(), unit: body, point: pointOf('coil')!, when: 'before' },
      global,
    });
    expect(read(coil)).not.toContain('by eye and hand');
  });
});

describe('several bores in one casting', () => {
  it('are gone through one by one at each stop that they have of their own', async () => {
    const { job, body, sent } = bench();
    const two = { ...body, bores: 2 };
    const store = useJob();
    const units = [
      {
        id: 'tb',
        kind: 'throttle-body' as const,
        place: 'only',
        partNumber: '',
        variant: '',
        features: { portMm: null, gasket: '', pins: null, drive: '', mark: '', bores: 2 },
      },
    ];
    store.confirmed = { ...job(), vehicle: { ...job().vehicle, units } };
    const wrapper = mount(PointPanel, {
      props: { job: job(), unit: two, point: pointOf('deposit-edge')!, when: 'before' },
      global,
    });
    expect(read(wrapper)).toContain('Bore 1Bore 2');
    await wrapper.findComponent(GradeScale).vm.$emit('pick', 1);
    expect(sent.at(-1)).toMatchObject({ data: { which: 'bore 1', marks: [1] } });
    expect(wrapper.emitted('done')).toBeUndefined();
    await wrapper.setProps({ job: job() });
    await wrapper.findComponent(GradeScale).vm.$emit('pick', 3);
    expect(sent.at(-1)).toMatchObject({ data: { which: 'bore 2', marks: [3] } });
    expect(wrapper.emitted('done')).toHaveLength(1);
  });
});

describe('a gasket whose decision changed', () => {
  it('shows the earlier one struck through beside the later', async () => {
    const seal = (decision: 'renewed' | 'reused', why: string): CommandBody =>
      ({
        type: 'decide-seal',
        data: { id: decision, name: 'Body gasket', decision, partNumber: '', why },
      }) as CommandBody;
    const { job } = bench(seal('reused', 'still proud'), seal('renewed', ''));
    const wrapper = mount(SealRows, {
      props: { job: job(), unit: null, stock: [], seals: [{ name: 'Body gasket', partNumber: '' }] },
      global: { stubs: { ...stubs, PutRight: true } },
    });
    expect(wrapper.find('s').text()).toBe('reused, still proud');
  });
});
