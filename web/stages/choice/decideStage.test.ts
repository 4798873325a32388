import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { askedPrices } from '../../../core/choose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../../core/diagnose/knowledge/index.ts';
import type { CommandBody } from '../../../core/job/index.ts';
import { open, SAMPLE_FAMILY } from '../../../core/job/testing/samples.ts';
import { useJob } from '../../stores/job.ts';
import { useKnowledge } from '../../stores/knowledge.ts';
import { useShop } from '../../stores/shop.ts';
import type { JudgingAnswer, JudgingTask } from '../../workers/judgingProtocol.ts';
import { freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import DecideStage from './DecideStage.vue';

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
  const known = useKnowledge();
  known.versions = new Map([[1, SHIPPED_KNOWLEDGE]]);
  known.families = new Map([[SAMPLE_FAMILY.id, SAMPLE_FAMILY]]);
  useShop().settings = { ...useShop().settings, ratePerHourMinor: 6000, comebackMinor: 9000 };
});
const found: CommandBody = {
  type: 'record-check',
  data: { id: 'k', check: 'duct-off-look', outcome: 'ring', typed: [], when: 'before' },
};
/** The stage of a job on a vehicle that counts in this. */
async function stage(meterUnit: 'km' | 'mi' | 'h', prices: object, ...bodies: CommandBody[]) {
  const shown = showJob([open, ...bodies]);
  const store = useJob();
  const { job } = store;
  store.confirmed = { ...job!, vehicle: { ...job!.vehicle, meterUnit, familyId: SAMPLE_FAMILY.id } };
  useKnowledge().families = new Map([
    [
      SAMPLE_FAMILY.id,
      { ...SAMPLE_FAMILY, unitTypes: SAMPLE_FAMILY.unitTypes.map((type) => ({ ...type, prices: prices as never })) },
    ],
  ]);
  const view = mount(DecideStage, { global: { stubs: { ...stubs, EstimateBlock: true } } });
  await flushPromises();
  return { ...shown, view };
}
/** Works out what it is asked when it is told to, as the worker does in its own time. */
class AnsweringWorker {
  static answer = (): void => undefined;
  #hear: (message: { readonly data: JudgingAnswer }) => void = () => undefined;
  addEventListener(_: string, hear: (message: { readonly data: JudgingAnswer }) => void): void {
    this.#hear = hear;
  }
  postMessage(task: JudgingTask): void {
    if (task.kind !== 'flips') return;
    AnsweringWorker.answer = () =>
      this.#hear({
        data: { kind: 'flips', id: task.id, price: null, chance: null, asked: askedPrices(task.choose) },
      });
  }
  terminate(): void {}
}
const PRICED = { new: 46_000, rebuilt: 24_000, used: 9000 };

describe('the stage of the decision', () => {
  it('leads with the plan, and answers in what the vehicle counts in', async () => {
    const km = (await stage('km', PRICED, found)).view;
    expect(km.find('h2').text()).toMatch(/^First .*: \d+ cr, \d+ min, and \d+ in 100 end there\.$/);
    const figure = (text: string, per: string): number =>
      Number(new RegExp(`([\\d.]+) cr ${per}`).exec(text.replace(/\s+/g, ' '))?.[1]);
    const kilometres = figure(read(km), 'per 10 000 km');
    const miles = figure(read((await stage('mi', PRICED, found)).view), 'per 10 000 mi');
    expect(miles / kilometres).toBeGreaterThan(1.5);
    expect(miles / kilometres).toBeLessThan(1.7);
    expect(read((await stage('h', PRICED, found)).view)).toContain('per 100 h');
  });
  it('names no winner while a price that could change it is not known', async () => {
    const worn: CommandBody = {
      type: 'record-check',
      data: { id: 'g', check: 'flatness', outcome: 'warped', typed: [], when: 'before' },
    };
    vi.stubGlobal('Worker', AnsweringWorker);
    const { view } = await stage('km', { new: null, rebuilt: null, used: 9000 }, worn);
    expect(view.find('h2').text()).toBe('Decide');
    AnsweringWorker.answer();
    await flushPromises();
    vi.unstubAllGlobals();
    expect(view.find('h2').text()).toBe('Which comes first depends on a price');
    expect(read(view)).toMatch(/Ask for a price first: Fit a (new|rebuilt)/);
  });
  it('takes a price from the supplier for the way that waits for it', async () => {
    const number = SAMPLE_FAMILY.unitTypes.find(({ kind }) => kind === 'throttle-body')!.partNumber;
    serve({
      'GET /api/supplier/offers': {
        reached: true,
        words: '',
        offers: [
          { partNumber: number, name: 'x', kind: 'new', priceMinor: 41_000, currency: 'cr', depositMinor: 0, inStock: 1, expected: null }, // prettier-ignore
        ],
      },
    });
    const { view, sent } = await stage('km', { new: null, rebuilt: 24_000, used: 9000 }, found);
    await press(view, 'Ask the supplier');
    await flushPromises();
    await press(view, 'Take it');
    expect(sent).toMatchObject([{ type: 'set-terms', data: { option: 'replace', partsMinor: 41_000 } }]);
  });
  it('expects a repair to hold as repairs of its kind held here, and says how many that is by', async () => {
    const row = {
      option: 'clean-bench',
      unitKind: 'throttle-body',
      unit: 'km',
      repairs: 14,
      failures: 9,
      median: 20_000,
    };
    serve({ 'GET /api/held': { rows: [row] } });
    const { view } = await stage('km', PRICED, found);
    expect(read(view.find('[aria-label="How long it held here"]'))).toMatch(
      /Clean on the bench: of 14 here 9 failed, half of them hold 20 000 km; so \d\d 000 km is expected, where 70 000 km is usual\.$/,
    );
    serve({});
    expect((await stage('km', PRICED, found)).view.find('[aria-label="How long it held here"]').exists()).toBe(false);
  });
  it('does not wait for ever on a slow line: after two seconds plans go by the causes alone', async () => {
    vi.useFakeTimers();
    vi.stubGlobal('fetch', () => new Promise(() => undefined));
    const waiting = stage('km', PRICED, found);
    await vi.advanceTimersByTimeAsync(1900);
    const { view } = await waiting;
    expect(view.find('[aria-busy="true"]').exists()).toBe(true);
    await vi.advanceTimersByTimeAsync(200);
    expect(view.find('h2').text()).toMatch(/^First /);
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });
  it('says what was decided where that is the first step of no plan', async () => {
    const decided: CommandBody = {
      type: 'decide',
      data: { choice: 'replace-used', reason: 'one lay here', departure: '', options: [], plan: ['replace-used'] },
    };
    const { view } = await stage('km', { ...PRICED, used: null }, found, decided);
    expect(view.find('h2').text()).toBe('Decided: replace, used unit');
  });
  it('asks nothing of a fault where the work is planned', async () => {
    const planned: CommandBody = { type: 'plan-work', data: { kind: 'replacement', what: 'New body at 200 000 km' } };
    const { view, sent } = await stage('km', PRICED, planned);
    expect(view.find('h2').text()).toBe('Planned: New body at 200 000 km');
    expect(view.find<HTMLInputElement>('input[type="radio"]').element.checked).toBe(true);
    for (const nagging of ['guess', 'What is believed', 'not worth trying', 'cured in the end'])
      expect(read(view)).not.toContain(nagging);
    await view.find('form:has(textarea)').trigger('submit');
    expect(sent).toMatchObject([
      {
        type: 'decide',
        data: { choice: 'replace', reason: 'New body at 200 000 km', plan: [expect.stringContaining('replace')] },
      },
    ]);
  });
});
