import { mount } from '@vue/test-utils';
import { describe, expect, it } from 'vitest';
import { compareOptions, type OptionTerms } from '../../../core/choose/index.ts';
import FlipLine from './FlipLine.vue';
import OptionRows from './OptionRows.vue';

const money = (minor: number): string => `${minor / 100} cr`;
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
