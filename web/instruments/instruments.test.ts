import { flushPromises, mount } from '@vue/test-utils';
import { nextTick } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { InstrumentInfo, InstrumentNews } from '../../contract/index.ts';
import { FIELDS } from '../../core/quantity/index.ts';
import FigureField from '../parts/FigureField.vue';
import { freshShop, press, read } from '../testing.ts';
import InstrumentRows from './InstrumentRows.vue';
import { stationId } from './station.ts';
import { KEEPS_TAKEN, type TakenFigure, useInstruments } from './useInstruments.ts';

class FakeSource {
  static last: FakeSource | null = null;
  static readonly CLOSED = 2;
  readonly url: string;
  closed = false;
  #hear: (event: { data: string }) => void = () => undefined;
  constructor(url: string) {
    this.url = url;
    FakeSource.last = this;
  }
  addEventListener(kind: string, hear: (event: { data: string }) => void): void {
    if (kind === 'message') this.#hear = hear;
  }
  tell(news: Partial<InstrumentNews>): void {
    this.#hear({ data: JSON.stringify({ reading: null, words: '', gone: false, ...news }) });
  }
  close(): void {
    this.closed = true;
  }
}
const SCALE: InstrumentInfo = {
  id: 'scale-1', kind: 'scale', name: 'Can scale', low: 0, high: 5000, unit: 'g', calibratedOn: '2026-03-02', simulated: true, station: null,
}; // prettier-ignore
let rows: InstrumentInfo[] = [];
const sent: { path: string; body: unknown }[] = [];
beforeEach(() => {
  freshShop();
  sent.length = 0;
  rows = [{ ...SCALE, station: stationId() }];
  let now = 0;
  vi.spyOn(performance, 'now').mockImplementation(() => (now += 200));
  vi.stubGlobal('EventSource', FakeSource);
  vi.stubGlobal('fetch', (path: string, init: { method?: string; body?: string } = {}) => {
    if (init.method !== 'GET') sent.push({ path: `${init.method ?? ''} ${path}`, body: JSON.parse(init.body ?? '{}') });
    return Promise.resolve(
      new Response(JSON.stringify({ rows, next: null }), { headers: { 'content-type': 'application/json' } }),
    );
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});
const grams = (value: number | null, more: object = {}): Partial<InstrumentNews> => ({
  reading: { values: value === null ? null : [value], unit: 'g', peak: false, angleDeg: null, ...more },
});

describe('a field takes its figure from an instrument', () => {
  async function field(kind: keyof typeof FIELDS = 'canGrams') {
    const kept: TakenFigure[] = [];
    await useInstruments().refresh();
    const wrapper = mount(FigureField, {
      props: { label: 'Can before', field: FIELDS[kind] },
      global: { provide: { [KEEPS_TAKEN as symbol]: (figure: TakenFigure) => kept.push(figure) } },
    });
    await vi.dynamicImportSettled();
    await nextTick();
    return { wrapper, kept };
  }
  it('once it stands still; the instrument stays with the figure', async () => {
    const { wrapper, kept } = await field();
    await press(wrapper, 'Take it from the scale');
    expect(FakeSource.last!.url).toContain(`/api/instruments/scale-1/readings?station=${stationId()}`);
    FakeSource.last!.tell(grams(380));
    await nextTick();
    expect(read(wrapper)).toContain('380 g not still yet; calibrated Monday 2 March 2026');
    for (let each = 0; each < 8; each += 1) FakeSource.last!.tell(grams(412.3));
    await flushPromises();
    expect((wrapper.get('input').element as HTMLInputElement).value).toBe('412.3 g');
    expect(wrapper.emitted('leave')).toHaveLength(1);
    expect(kept).toMatchObject([
      { label: 'Can before', shown: '412.3 g', value: 412.3, instrument: { name: 'Can scale' } },
    ]);
    expect(FakeSource.last!.closed).toBe(true);
  });
  it('says so when it is over its range, in another unit, or gone; what was typed stays', async () => {
    const { wrapper } = await field();
    await wrapper.get('input').setValue('400 g');
    await press(wrapper, 'Take it from the scale');
    FakeSource.last!.tell(grams(null));
    await nextTick();
    expect(read(wrapper)).toContain('over its range');
    for (let each = 0; each < 8; each += 1) FakeSource.last!.tell(grams(3, { unit: 'V' }));
    await nextTick();
    expect(read(wrapper)).toContain('stands at V');
    await press(wrapper, 'Take it from the scale');
    FakeSource.last!.tell({ gone: true, words: 'The instrument is unplugged.' });
    await nextTick();
    expect(read(wrapper)).toContain('The instrument is unplugged. Type it instead.');
    expect((wrapper.get('input').element as HTMLInputElement).value).toBe('400 g');
  });
  it('asks for none on a station that was never paired', async () => {
    localStorage.clear();
    const asked = vi.fn(() => new Promise<Response>(() => undefined));
    vi.stubGlobal('fetch', asked);
    mount(FigureField, { props: { label: 'Can', field: FIELDS.canGrams } });
    await flushPromises();
    expect(asked).not.toHaveBeenCalled();
  });
  it('offers nothing where no instrument of this station measures it', async () => {
    expect(read((await field('sensorVolts')).wrapper)).not.toContain('Take it');
    rows = [{ ...SCALE, station: 'another' }];
    await useInstruments().refresh();
    expect(read((await field()).wrapper)).not.toContain('Take it');
  });
});

describe('instruments in Settings', () => {
  it('are paired with this station, and a stand-in is set', async () => {
    rows = [SCALE];
    const wrapper = mount(InstrumentRows);
    await flushPromises();
    expect(read(wrapper)).toContain('Can scale Scale, 0 to 5000 g; calibrated');
    await press(wrapper, 'Pair with this station');
    await flushPromises();
    expect(sent.at(-1)).toMatchObject({ path: 'PUT /api/instruments/scale-1/station', body: { station: stationId() } });
    await press(wrapper, 'What it shows');
    await wrapper.get('form input').setValue('fast');
    await wrapper.get('form').trigger('submit');
    expect(read(wrapper)).toContain('Expected a figure and its unit');
    await wrapper.get('form input').setValue('398,5 g');
    await wrapper.get('form').trigger('submit');
    await flushPromises();
    expect(sent.at(-1)).toMatchObject({
      path: 'PUT /api/instruments/scale-1/shows',
      body: { values: [398.5], unit: 'g', mood: 'steady' },
    });
  });
});
