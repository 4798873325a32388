import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { type Field, FIELDS } from '../../core/quantity/index.ts';
import { useShop } from '../stores/shop.ts';
import { freshShop, serve } from '../testing.ts';
import FigureField from './FigureField.vue';
import { minorIn, numberIn } from './numberIn.ts';
import { readTyped } from './readTyped.ts';

function show(field: Field | 'money', more: object = {}) {
  const typed: string[] = [];
  const wrapper = mount(FigureField, {
    attachTo: document.body,
    props: {
      label: 'Figure',
      field,
      modelValue: '',
      'onUpdate:modelValue': (text: string) => {
        typed.push(text);
        void wrapper.setProps({ modelValue: text });
      },
      ...more,
    },
  });
  const input = wrapper.find('input');
  const type = async (text: string): Promise<void> => {
    await input.trigger('focus');
    await input.setValue(text);
  };
  return { wrapper, input, type, typed };
}

beforeEach(() => {
  freshShop();
  vi.unstubAllGlobals();
});

describe('a figure field', () => {
  it('asks which of two was meant once the person goes on, and keeps what was typed until they say', async () => {
    const { wrapper, input, type, typed } = show(FIELDS.millimetres);
    await type('1,250');
    expect(wrapper.findAll('button')).toHaveLength(0);
    await input.trigger('blur');
    expect(wrapper.find('[role="status"]').text()).toBe('Which was meant: 1.250 mm or 1250 mm?');
    expect((input.element as HTMLInputElement).value).toBe('1,250');
    expect(input.attributes('aria-describedby')).toBe(wrapper.find('[role="status"]').attributes('id'));
    const changed = vi.fn();
    wrapper.element.addEventListener('change', changed);
    await wrapper.findAll('button')[1]!.trigger('click');
    expect(typed.at(-1)).toBe('1250 mm');
    expect(wrapper.findAll('button')).toHaveLength(0);
    // Whoever waits for a change, or for the field to be left, hears of a choice too.
    await wrapper.vm.$nextTick();
    expect(changed).toHaveBeenCalledOnce();
    expect(wrapper.emitted('leave')).toHaveLength(2);
  });
  it('asks at once where the form says that it cannot go on', async () => {
    const { wrapper, type } = show(FIELDS.torqueSpec, { error: 'Pounds of what: inch-pounds or foot-pounds?' });
    await type('9 lb');
    expect(wrapper.findAll('button').map((each) => each.text())).toEqual(['9 in·lb', '9 ft·lb']);
    expect(wrapper.find('[role="alert"]').exists()).toBe(false);
  });
  it('settles which gallon for the whole shop, and asks no more', async () => {
    const asked = serve({
      'PUT /api/settings/measures': { ...useShop().settings, measures: 'imperial' },
    });
    const { wrapper, input, type } = show(FIELDS.coolantLitres);
    await type('2 gallons');
    await input.trigger('blur');
    await wrapper.findAll('button')[1]!.trigger('click');
    await vi.waitFor(() => expect(useShop().settings.measures).toBe('imperial'));
    expect(asked.at(-1)?.body).toMatchObject({ measures: 'imperial' });
    await type('3 gal');
    await input.trigger('blur');
    expect(wrapper.findAll('button')).toHaveLength(0);
    expect(wrapper.text()).toContain('reads as 3 imp gal, 13.64 L');
  });
  it('says how it was read where that is not plain to see', async () => {
    const { wrapper, type } = show(FIELDS.odometerMi, { hint: 'From the cluster' });
    await type('56000');
    expect(wrapper.text()).toContain('From the cluster');
    await type('56.000');
    expect(wrapper.text()).toContain('reads as 56\u2009000 mi');
    await type('about 90 000 km');
    expect(wrapper.text()).toContain('reads as about 90\u2009000 km, 55\u2009920 mi');
  });
  it('says of the text what is wrong with it rather than what the form says', async () => {
    const { wrapper, type } = show(FIELDS.minutes, { error: 'Expected 0 to 600 minutes.' });
    await type('soon');
    expect(wrapper.find('[role="alert"]').text()).toBe('Expected a number, such as 20 min; got “soon”.');
    await type('700');
    expect(wrapper.find('[role="alert"]').text()).toBe('Expected 0 to 600 minutes.');
  });
  it('begins empty where nothing is typed yet', () => {
    const wrapper = mount(FigureField, { props: { label: 'Figure', field: FIELDS.minutes } });
    expect((wrapper.find('input').element as HTMLInputElement).value).toBe('');
  });
  it('takes money in the currency of the shop', async () => {
    useShop().settings = { ...useShop().settings, currency: 'KWD' };
    const { wrapper, input, type, typed } = show('money', { bare: true });
    expect(wrapper.find('label').classes()).toContain('sr-only');
    await type('1.250');
    await input.trigger('blur');
    await wrapper.findAll('button')[1]!.trigger('click');
    expect(typed.at(-1)).toBe('1·250 KWD');
    await type('1,250.5');
    expect(wrapper.text()).toContain('reads as 1250.500 KWD');
  });
});

describe('what a field makes of a text', () => {
  const shop = { currency: 'cr', measures: null };
  it.each([
    ['', FIELDS.portMm, { state: 'empty' }],
    ['52', FIELDS.portMm, { state: 'read', echo: '' }],
    ['52.5 mm', FIELDS.portMm, { state: 'read', echo: '' }],
    ['52,5', FIELDS.portMm, { state: 'read', echo: 'reads as 52.5 mm' }],
    ['2 1/16 in', FIELDS.portMm, { state: 'read', echo: 'reads as 2.0625 in, 52.39 mm' }],
    ['9 Nm', FIELDS.torqueSpec, { state: 'read', echo: '' }],
    ['780–880', FIELDS.idleBand, { state: 'read', echo: '' }],
    ['830 ± 50', FIELDS.idleBand, { state: 'read', echo: 'reads as 780 rpm to 880 rpm' }],
    ['5 Nm + ¼ turn', FIELDS.torqueSpec, { state: 'read', echo: 'reads as 5 N·m and 90°' }],
    ['80,50', 'money', { state: 'read', echo: 'reads as 80.50 cr' }],
    ['80.50', 'money', { state: 'read', echo: '' }],
  ] as const)('“%s” is %j', (text, field, typed) => {
    expect(readTyped(text, field, shop)).toEqual(typed);
  });
  it('is a number for a form, or none', () => {
    expect([numberIn('0,4', FIELDS.coolantLitres), numberIn('2 qt', FIELDS.coolantLitres, 'US')]).toEqual([
      0.4,
      expect.closeTo(1.892705892, 9) as number,
    ]);
    expect(numberIn('2 qt', FIELDS.coolantLitres)).toBeNaN();
    expect([minorIn('12,50', 'cr'), minorIn('1,250', 'JPY')]).toEqual([1250, 1250]);
    expect(minorIn('dear', 'cr')).toBeNaN();
  });
});
