import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { AirReply } from '../../contract/index.ts';
import type { Curve } from '../charts/curve.ts';
import CurveChart from '../charts/CurveChart.vue';
import BayAirForm from '../settings/BayAirForm.vue';
import { nowIso } from '../stores/clock.ts';
import { freshShop, press, read, refusal, serve, stubs } from '../testing.ts';
import AdviceView from './AdviceView.vue';
import AirView from './AirView.vue';
import { niceTop } from './airCurve.ts';
import CoolantTool from './CoolantTool.vue';

// The test’s page has no canvas to draw on.
vi.mock('../charts/chartOf.ts', () => ({ chartOf: () => ({ destroy: () => {} }), redraw: () => {} }));

const global = { stubs };
const air = (grams: number): AirReply => ({
  now: nowIso(),
  roomM3: 100,
  rates: { shut: 0.5, door: 6, fan: 12, both: 20 },
  state: 'shut',
  releases: [
    {
      jobId: 'j',
      number: 1,
      plate: 'TQ 417',
      substance: 'throttle-cleaner',
      grams,
      minutes: 0,
      at: nowIso(),
      safety: null,
    },
  ],
  airings: [],
});
beforeEach(freshShop);

describe('the air page', () => {
  it('says how much of each limit there is, how long to air, and opens a door', async () => {
    const asked = serve({ 'GET /api/air': air(400), 'POST /api/air': { ...air(400), state: 'both' } });
    const wrapper = mount(AirView, { global });
    await flushPromises();
    // 400 g in 100 m³ of acetone: 4000 mg/m³, 1684 ppm, 3.4 times 500 ppm.
    expect(read(wrapper)).toContain('1684 ppm now');
    expect(read(wrapper)).toContain('3.4 times it');
    expect(read(wrapper)).toMatch(/Air for \d+ minutes before anyone works here/);
    await press(wrapper, 'Door open, fan on');
    await flushPromises();
    expect(asked.at(-1)?.body).toEqual({ by: 'tomas', state: 'both' });
  });
  it('works out what a can more would do, and refuses what cannot be', async () => {
    serve({ 'GET /api/air': air(10) });
    const wrapper = mount(AirView, { global });
    await flushPromises();
    const [grams, , room] = wrapper.findAll('input');
    await room!.setValue('120');
    expect(read(wrapper)).toContain('210 ppm at most');
    await grams!.setValue('much');
    expect(read(wrapper)).toContain('Expected grams, minutes up to 600');
  });
  it('draws what was and what is expected, now and the limit, and says it as figures', async () => {
    serve({ 'GET /api/air': air(400) });
    const wrapper = mount(AirView, { global });
    await flushPromises();
    const { curve } = wrapper.getComponent(CurveChart).props() as { curve: Curve };
    expect(curve.marks.map(({ words }) => words)).toEqual(['now', 'exposure limit']);
    expect(curve.y.to).toBe(5);
    const [past, coming] = curve.lines;
    expect([past?.points[0]?.x, past?.points.at(-1)?.x, coming?.points[0]?.x]).toEqual([-90, 0, 0]);
    expect(past?.points.at(-1)?.y).toBeCloseTo(3.37, 2);
    // Doors shut, half a change an hour: after an hour e^-0.5 of it.
    const hour = coming?.points.findIndex(({ x }) => x >= 60) ?? -1;
    const at = coming?.points[hour];
    expect(at?.y).toBeCloseTo(3.368 * Math.exp(-(at?.x ?? 0) / 120), 1);
    expect(wrapper.findAll('tbody tr').map(read)).toContain('now 337 %337 %');
    expect(wrapper.get('canvas').attributes('aria-label')).toContain('Share of the exposure limit from 90 minutes ago');
  });
  it('takes the next round share for its height', () => {
    expect([0.04, 0.3, 0.99, 7].map(niceTop)).toEqual([0.1, 0.5, 2, 10]);
  });
});

describe('the advice page', () => {
  it('has a cell for each substance on each surface, and its reason beside it', async () => {
    const wrapper = mount(AdviceView, { global });
    const cells = wrapper.findAll('td button');
    expect(cells).toHaveLength(225);
    await wrapper.find('[aria-label="carburettor cleaner on EPDM rubber: never"]').trigger('click');
    expect(read(wrapper)).toContain('Swells within minutes and does not come back.');
    await wrapper.find('select').setValue('near-heat');
    await wrapper.find('[aria-label="brake cleaner, chlorinated on bare aluminium: never"]').trigger('click');
    expect(read(wrapper)).toContain('poison gas');
  });
});

describe('coolant without a job', () => {
  it('goes both ways, tops up, and says what does not mix', async () => {
    const wrapper = mount(CoolantTool, { global });
    expect(read(wrapper)).toContain('Let out 0.27 L first, then 0.67 L of concentrate.');
    const [share, celsius] = wrapper.findAll('input');
    await share!.setValue('140');
    expect(read(wrapper)).toContain('Expected 0 to 100 %.');
    await celsius!.setValue('-90');
    expect(read(wrapper)).toContain('Expected 0 to -48.3 °C');
    await wrapper.findAll('select')[1]!.setValue('IAT');
    expect(read(wrapper)).toContain('Do not mix');
    await wrapper.findAll('input').at(-1)!.setValue('x');
    expect(read(wrapper)).toContain('nothing that can be read');
  });
});

describe('the size of the bay', () => {
  it('is kept, and what is wrong stands beside its field', async () => {
    let wrong = true;
    const asked = serve({
      'GET /api/air': air(0),
      'PUT /api/air': () => (wrong ? refusal(400, 'no', { roomM3: 'Expected 10 to 100,000 m³.' }) : air(0)),
    });
    const wrapper = mount(BayAirForm, { props: { mayEdit: true }, global });
    await flushPromises();
    await wrapper.find('input').setValue('3');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(read(wrapper)).toContain('Expected 10 to 100,000 m³.');
    expect((wrapper.find('input').element as HTMLInputElement).value).toBe('3');
    wrong = false;
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(read(wrapper)).toContain('Kept.');
    expect(asked.at(-1)?.body).toMatchObject({ by: 'tomas', rates: { door: 6 } });
  });
});
