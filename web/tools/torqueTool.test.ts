import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { useShop } from '../stores/shop.ts';
import AdapterForm from '../stages/torque/AdapterForm.vue';
import OpeningHours from '../settings/OpeningHours.vue';
import { freshShop, press, read, refusal, serve, stubs } from '../testing.ts';
import { lowerFirst } from '../../core/words/index.ts';
import TorqueTool from './TorqueTool.vue';

const global = { stubs };
beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  useShop().wrenches = [
    {
      id: 'w',
      name: 'Small click',
      scale: { unit: 'N·m', low: 2, high: 20, step: 0.5 },
      deviationPercent: null,
      calibratedOn: null,
    },
  ];
});
const field = (wrapper: ReturnType<typeof mount>, label: string) => {
  const found = wrapper.findAll('label').find((each) => each.text() === label);
  if (found === undefined) throw new Error(`no field “${label}”`);
  return wrapper.find(`[id="${(found.element as HTMLLabelElement).htmlFor}"]`);
};

describe('torque without a job', () => {
  it('says what a figure does to bolt and thread', async () => {
    const wrapper = mount(TorqueTool, { global });
    // 9 N·m, M6, dry: 7.5 kN; die-cast, 12 mm: 146.3 mm² × 144 MPa over 9.9 / (0.14 × 6 mm).
    expect(read(wrapper)).toContain('7.5 kN');
    expect(read(wrapper)).toContain('1.8 ×');
    await field(wrapper, 'Grips, mm deep').setValue('4');
    expect(read(wrapper)).toContain('Stop: at the top of the band the thread may pull out');
    await field(wrapper, 'Grips, mm deep').setValue('none');
    expect(read(wrapper)).toContain('got “none”');
  });
  it('takes a shear strength of one’s own', async () => {
    const wrapper = mount(TorqueTool, { global });
    await field(wrapper, 'Shear strength, MPa').setValue('72');
    expect(read(wrapper)).toContain('0.9 ×');
    await field(wrapper, 'Shear strength, MPa').setValue('-1');
    expect(read(wrapper)).toContain('Expected more than 0 MPa.');
  });
  it('keeps the pull when the thread is oiled, and sets the wrench for it', async () => {
    const wrapper = mount(TorqueTool, { global });
    await field(wrapper, 'This thread is').setValue('oiled');
    expect(read(wrapper)).toContain('so that it pulls the same');
    expect(wrapper.findAll('.figure').some((each) => each.text() === '7')).toBe(true);
  });
  it('refuses pounds of nothing and passes that fall, and keeps what was typed', async () => {
    const wrapper = mount(TorqueTool, { global });
    await field(wrapper, 'Torque, as the book writes it').setValue('9 lb');
    expect(read(wrapper)).toContain('Pounds of what');
    await field(wrapper, 'Torque, as the book writes it').setValue('9 Nm');
    await field(wrapper, 'Passes, %').setValue('100, 50');
    expect(read(wrapper)).toContain('shares that rise to 100');
    expect((field(wrapper, 'Passes, %').element as HTMLInputElement).value).toBe('100, 50');
  });
});

describe('an adapter on the wrench', () => {
  it('is told in millimetres and degrees, and says what cannot be', async () => {
    const wrapper = mount(AdapterForm, { props: { modelValue: null } });
    await wrapper.find('input[type=checkbox]').setValue(true);
    expect(wrapper.emitted('update:modelValue')?.at(-1)).toEqual([{ leverMm: 250, lengthMm: 40, angleDeg: 0 }]);
    await field(wrapper, 'Angle, °').setValue('200');
    expect(wrapper.text()).toContain('Expected 0 to 180°.');
    expect(wrapper.emitted('update:modelValue')?.at(-1)).toEqual([null]);
    await field(wrapper, 'Angle, °').setValue('90');
    expect(wrapper.emitted('update:modelValue')?.at(-1)).toEqual([{ leverMm: 250, lengthMm: 40, angleDeg: 90 }]);
  });
});

describe('opening hours', () => {
  it('are kept as typed, wrong ones said beside their day', async () => {
    const asked = serve({ 'PUT /api/calendar': (body: { calendar: object }) => body.calendar });
    useShop().personId = 'isla';
    const wrapper = mount(OpeningHours, { props: { mayEdit: true } });
    await field(wrapper, 'Saturday').setValue('noon');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Expected hours such as 8:00–17:00, or closed.');
    expect(asked).toEqual([]);
    await field(wrapper, 'Saturday').setValue('9–13');
    await wrapper.find('form').trigger('submit');
    await vi.waitFor(() => expect(read(wrapper)).toContain('Kept.'));
    expect(useShop().calendar.hours[5]).toEqual({ from: 540, to: 780 });
  });
  it('say why they were not taken', async () => {
    serve({ 'PUT /api/calendar': () => refusal(403, 'The opening hours is changed by a lead or the owner.') });
    const wrapper = mount(OpeningHours, { props: { mayEdit: true } });
    await press(wrapper, 'Keep the hours');
    await wrapper.find('form').trigger('submit');
    await vi.waitFor(() => expect(wrapper.find('[role=alert]').text()).toContain('a lead or the owner'));
  });
});

describe('small words', () => {
  it('keep what must stay large', () => {
    expect(['Body gasket', 'O-ring', 'MAF plug', 'Über'].map(lowerFirst)).toEqual([
      'body gasket',
      'O-ring',
      'MAF plug',
      'über',
    ]);
  });
});
