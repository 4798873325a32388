import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody } from '../../../core/job/index.ts';
import { item, off, open, SAMPLE_FAMILY, SAMPLES } from '../../../core/job/testing/samples.ts';
import { useJob } from '../../stores/job.ts';
import { useKnowledge } from '../../stores/knowledge.ts';
import { field, freshShop, pick, press, read, serve, showJob, stockItem, stubs } from '../../testing.ts';
import RebuildStage from './RebuildStage.vue';

vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRoute: () => ({ params: { id: 'j' }, query: {} }),
}));
const StageFrame = { template: '<div><slot /><aside><slot name="why" /></aside></div>' };
const global = { stubs: { ...stubs, StageFrame, VariantForm: { template: '<p>the form of marks</p>' } } };
const of = <K extends keyof typeof SAMPLES>(type: K, change: object = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
const kit = [
  {
    id: 'r',
    name: 'Shaft ring',
    partNumber: 'R-1',
    count: 1,
    rubber: 'fkm' as const,
    wayRound: 'lip inward',
    order: 1,
  },
];

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({ 'GET /api/stock': { rows: [stockItem({ id: 's', name: 'Flange gasket', partNumber: 'G-1', left: 2 })] } });
});
async function stage(unitTypes = SAMPLE_FAMILY.unitTypes, ...bodies: CommandBody[]) {
  useKnowledge().families = new Map([['twin', { ...SAMPLE_FAMILY, unitTypes }]]);
  const shown = showJob([open, ...bodies]);
  const store = useJob();
  store.confirmed = { ...shown.job(), vehicle: { ...shown.job().vehicle, familyId: 'twin' } };
  const wrapper = mount(RebuildStage, { global });
  await flushPromises();
  return { ...shown, wrapper };
}
const [body] = SAMPLE_FAMILY.unitTypes;

describe('the rebuild stage', () => {
  it('puts the kit of the unit first, and other gaskets that came off below', async () => {
    const gasket: CommandBody = {
      type: 'add-item',
      data: { item: item('gasket', { kind: 'gasket', singleUse: true, partNumber: 'G-9' }) },
    };
    const ofKit: CommandBody = {
      type: 'add-item',
      data: { item: item('ring', { kind: 'gasket', singleUse: true, partNumber: 'R-1' }) },
    };
    const { wrapper } = await stage([{ ...body!, kit }], gasket, ofKit, off('gasket'), off('ring'));
    const sections = wrapper.findAll('section').map((each) => read(each));
    expect(sections[0]).toContain('Kit of the throttle body');
    expect(sections[0]).toContain('Shaft ring');
    expect(sections[1]).toContain('Sample gasket');
    // What the kit names is not asked for twice.
    expect(sections[1]).not.toContain('Sample ring');
  });
  it('takes a seal that nobody listed', async () => {
    const { wrapper, sent } = await stage();
    expect(read(wrapper)).toContain('No other gasket or seal has come off.');
    await wrapper.find(field(wrapper, 'Another seal, renewed')).setValue('plenum seal');
    await wrapper.find('form').trigger('submit');
    expect(sent[0]).toMatchObject({ type: 'decide-seal', data: { name: 'plenum seal', decision: 'renewed' } });
    expect(read(wrapper)).toContain('plenum seal');
  });
  it('fits from stock with the stock’s number and price, and says what is left', async () => {
    const { wrapper, sent } = await stage();
    await pick(wrapper, 'Part', 'flange', 'G-1, 2 left');
    await wrapper.find(field(wrapper, 'How many')).setValue('none');
    const form = wrapper.findAll('form').at(-1)!;
    await form.trigger('submit');
    expect(sent).toEqual([]);
    expect(wrapper.find('[aria-invalid="true"]').exists()).toBe(true);
    await wrapper.find(field(wrapper, 'How many')).setValue('2');
    await form.trigger('submit');
    expect(sent[0]).toMatchObject({
      type: 'use-part',
      data: { name: 'Flange gasket', partNumber: 'G-1', quantity: 2, priceMinor: 640 },
    });
    expect(read(wrapper)).toContain('2 × Flange gasket');
    expect(read(wrapper)).toContain('12.80 cr');
  });
  it('says what replaced the unit, and compares its marks', async () => {
    const { wrapper } = await stage(SAMPLE_FAMILY.unitTypes, of('replace-unit'));
    expect(read(wrapper)).toContain('Replaced by S-1, used.');
    await press(wrapper, 'Compare it with what the computer expects');
    expect(read(wrapper)).toContain('the form of marks');
  });
});

describe('a part on the bench', () => {
  it('is renewed with why, a price that can be read, and then goes on as that one', async () => {
    const lay: CommandBody = { type: 'lay-out-part', data: { id: 'm', form: 'air-meter', name: '', place: '' } };
    const { wrapper, sent } = await stage(SAMPLE_FAMILY.unitTypes, lay);
    await press(wrapper, 'Air meter');
    expect(read(wrapper)).not.toContain('Replace it instead');
    await press(wrapper, 'Renew it');
    const form = wrapper.find('section[aria-label="Another part instead"] form');
    await form.trigger('submit');
    expect(read(wrapper)).toContain('Why does the old one not serve?');
    await wrapper.find(field(wrapper, 'Why does the old one not serve?')).setValue('film broken');
    await wrapper.find(field(wrapper, 'Price')).setValue('dear');
    await form.trigger('submit');
    expect(read(wrapper)).toContain('got “dear”');
    await wrapper.find(field(wrapper, 'Price')).setValue('42');
    await wrapper.find(field(wrapper, 'Number')).setValue('AM-2');
    await form.trigger('submit');
    expect(sent.at(-1)).toMatchObject({
      type: 'renew-part',
      data: { unit: 'part-m', partNumber: 'AM-2', origin: 'new', priceMinor: 4200, why: 'film broken' },
    });
    await flushPromises();
    expect(read(wrapper)).toContain('new one goes on AM-2');
  });
});
