import { mount } from '@vue/test-utils';
import { createPinia } from 'pinia';
import { majorOf } from '../../../core/quantity/index.ts';
import { describe, expect, it } from 'vitest';
import { compareOptions, type OptionTerms } from '../../../core/choose/index.ts';
import FlipLine from './FlipLine.vue';
import OptionRows from './OptionRows.vue';
import TermsForm from './TermsForm.vue';

const money = (minor: number): string => `${majorOf(minor, 'cr')} cr`;
const terms = (id: OptionTerms['id'], partsMinor: number | null): OptionTerms => ({
  id,
  partsMinor,
  consumablesMinor: 0,
  minutes: 60,
  daysOff: id === 'replace' ? 3 : 0,
  life: 100_000,
});
const comparison = compareOptions({
  belief: [{ cause: 'deposit', share: 1 }],
  terms: [terms('clean-bench', 700), terms('replace', 46_000), terms('replace-used', null)],
  results: [],
  ratePerHourMinor: 6000,
  dayPriceMinor: 0,
  comebackMinor: 0,
  per: 'km',
});

describe('options side by side', () => {
  it('show chance, money and days, and say which costs least for the distance', async () => {
    const rows = mount(OptionRows, {
      props: {
        options: comparison.options,
        first: comparison.first,
        per: 'per 10 000 km',
        money,
        disabled: false,
        modelValue: 'replace',
      },
    });
    const [first, , last] = rows.findAll('label');
    expect(first?.text()).toMatch(/Clean on the bench.*least for the distance.*90 %.*67 cr/);
    expect(last?.text()).toContain('no price');
    expect(rows.findAll('input').map((input) => input.element.checked)).toEqual([false, true, false]);
    await rows.find('input').setValue(true);
    expect(rows.emitted('update:modelValue')).toEqual([['clean-bench']]);
  });
  it('cannot be changed on a closed job', () => {
    const rows = mount(OptionRows, {
      props: { options: comparison.options, first: null, per: '', money, disabled: true, modelValue: 'replace' },
    });
    expect(rows.find('fieldset').attributes('disabled')).toBeDefined();
  });
});

describe('figures of an option', () => {
  const form = (more: object = {}) =>
    mount(TermsForm, {
      global: { plugins: [createPinia()] },
      props: { terms: terms('replace', null), priced: true, currency: 'cr', errors: {}, ...more },
    });
  it('are typed over what is usual, money in crowns', async () => {
    const view = form();
    const [parts, minutes] = view.findAll('input');
    expect(parts?.attributes('placeholder')).toBe('not known');
    await parts?.setValue('440,50');
    await parts?.trigger('change');
    await minutes?.setValue('90');
    await minutes?.trigger('change');
    expect(view.emitted('set')?.map(([change]) => change)).toContainEqual({ partsMinor: 44_050 });
    expect(view.emitted('set')?.map(([change]) => change)).toContainEqual({ minutes: 90 });
  });
  it('keep what cannot be read, and say so beside it', async () => {
    const view = form();
    const [parts] = view.findAll('input');
    await parts?.setValue('dear');
    await parts?.trigger('change');
    expect(view.find('[role="alert"]').text()).toBe('Expected an amount in cr, such as 80.00; got “dear”.');
    expect(parts?.element.value).toBe('dear');
    expect(form({ errors: { minutes: 'Expected 1 to 6000 minutes, got 0.' } }).text()).toContain('1 to 6000');
    expect(form({ priced: false }).findAll('input')).toHaveLength(2);
  });
});

describe('the line of a price', () => {
  const props = {
    label: 'Parts',
    flip: { priceMinor: 12_000, below: 'replace', above: 'clean-bench' } as const,
    highest: 60_000,
    money,
    nameOf: (id: string) => id.toUpperCase(),
    modelValue: 46_000,
  };
  it('says where the choice flips, moves with a drag, and settles when let go', async () => {
    const line = mount(FlipLine, { props });
    expect(line.find('[role="status"]').text()).toBe('Below 120 cr: replace. Above: clean-bench.');
    const slider = line.find('input');
    expect([slider.attributes('aria-valuetext'), slider.attributes('max')]).toEqual(['460 cr', '60000']);
    await slider.setValue('9000');
    expect(line.emitted('update:modelValue')).toEqual([[9000]]);
    await slider.trigger('change');
    expect(line.emitted('settle')?.length).toBeGreaterThan(0);
  });
  it('says when no price changes anything', () => {
    expect(mount(FlipLine, { props: { ...props, flip: null } }).text()).toContain(
      'No price of it changes what comes first.',
    );
  });
});
