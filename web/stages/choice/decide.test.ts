import { mount } from '@vue/test-utils';
import { createPinia } from 'pinia';
import { majorOf } from '../../../core/quantity/index.ts';
import { describe, expect, it } from 'vitest';
import {
  type ChooseInput,
  compareOptions,
  flipChance,
  type OptionTerms,
  planOptions,
  type Way,
} from '../../../core/choose/index.ts';
import FlipLine from './FlipLine.vue';
import OptionRows from './OptionRows.vue';
import PlanRows from './PlanRows.vue';
import PlanSums from './PlanSums.vue';
import { daysWords, firstWords, ofHundred, thenWords, wayWords } from './planWords.ts';
import TermsForm from './TermsForm.vue';

const money = (minor: number): string => `${majorOf(minor, 'cr')} cr`;
const terms = (id: OptionTerms['id'], partsMinor: number | null, more: Partial<OptionTerms> = {}): OptionTerms => ({
  id,
  partsMinor,
  consumablesMinor: 0,
  minutes: 60,
  daysOff: id === 'replace' ? 3 : 0,
  life: 100_000,
  ...more,
});
const cures = (...cures: [OptionTerms['id'], 'nearly always'][]) =>
  cures.map(([option, word]) => ({ option, word, why: 'sample' }));
const input: ChooseInput = {
  belief: [
    { cause: 'deposit', share: 0.7 },
    { cause: 'worn', share: 0.3 },
  ],
  causes: [
    {
      id: 'deposit',
      cures: cures(['clean-bench', 'nearly always'], ['replace', 'nearly always'], ['replace-used', 'nearly always']),
      homes: [],
      returns: null,
    },
    {
      id: 'worn',
      cures: cures(['replace', 'nearly always'], ['replace-used', 'nearly always']),
      homes: [],
      returns: null,
    },
  ],
  terms: [terms('clean-bench', 700), terms('replace', 46_000), terms('replace-used', null), terms('relearn', 0)],
  results: [],
  ratePerHourMinor: 6000,
  dayPriceMinor: 0,
  comebackMinor: 9000,
  unsolvedMinor: 70_000,
  per: 'km',
};
const comparison = compareOptions(input);
const plans = planOptions(input);
const name = (way: Pick<Way, 'option' | 'terms'>): string => wayWords(way, 1);
const text = (view: { text: () => string }): string => view.text().replace(/\s+/g, ' ');

describe('options one by one', () => {
  const show = (more: object = {}) =>
    mount(OptionRows, {
      props: {
        options: comparison.options,
        name,
        per: 'per 10 000 km',
        perUse: (minor: number) => money(Math.round(minor)),
        lasts: (life: number) => `${life} km`,
        money,
        disabled: false,
        modelValue: 'replace',
        ...more,
      },
    });
  it('show chance, money and days, and which costs least for the distance', async () => {
    const view = show();
    const [first, ...rest] = view.findAll('label');
    expect(text(first!)).toMatch(/Clean on the bench ?least for the distance.*%.*67 cr/);
    expect(rest.map(text).join()).toMatch(/Relearn ?not worth trying/);
    expect(rest.map(text).join()).toMatch(/Fit a used unit ?no price/);
    expect(view.findAll('input').filter((each) => each.element.checked)).toHaveLength(1);
    await view.find('input').setValue(true);
    expect(view.emitted('update:modelValue')).toEqual([['clean-bench']]);
  });
  it('cannot be changed on a closed job', () => {
    expect(show({ disabled: true }).find('fieldset').attributes('disabled')).toBeDefined();
  });
});

describe('plans', () => {
  const [best] = plans.plans;
  const show = () =>
    mount(PlanRows, {
      props: {
        plans: plans.plans,
        per: 'per 10 000 km',
        perUse: (minor: number) => money(Math.round(minor)),
        lasts: (life: number) => `${life} km`,
        money,
        name,
        cause: ({ cause }: { cause: string }) => cause,
        disabled: false,
        modelValue: best!.steps[0]!.way.id,
      },
    });
  it('say each step with its money and time, how many come to it and end there, and what is left', async () => {
    const view = show();
    const [row, other] = view.findAll('label');
    expect(text(row!)).toContain('Step 1: Clean on the bench 67 cr 60 min, same day 100 of 100 come here');
    expect(text(row!)).toContain('Step 2: Fit a new unit');
    expect(text(row!)).toMatch(/It does not: then worn \d+ %/);
    const path = row!.find('svg').attributes('aria-label')!;
    const ends = best!.steps.map(({ ends: share }) => ofHundred(share));
    expect(path).toBe(
      `Of a hundred: ${ends[0]} end at step 1, ${ends[1]} end at step 2, ${ofHundred(best!.open)} stay open`,
    );
    await other!.find('input').setValue(true);
    expect(view.emitted('update:modelValue')).toEqual([[plans.plans[1]!.steps[0]!.way.id]]);
  });
  it('are summed up for a hundred, with what would change them', () => {
    const view = mount(PlanSums, {
      props: {
        plan: best!,
        per: 'per 10 000 km',
        perUse: (minor: number) => money(Math.round(minor)),
        lasts: (life: number) => `${life} km`,
        money,
        dayPriceMinor: 0,
        unsolvedMinor: 70_000,
        chanceFlip: flipChance(input, 'clean-bench'),
        name,
      },
    });
    expect(text(view)).toContain(`${100 - ofHundred(best!.open)}cured in the end`);
    expect(text(view)).toMatch(/under \d+: fit a new unit first/);
    const still = mount(PlanSums, { props: { ...view.props(), chanceFlip: null } as never });
    expect(text(still)).toContain('No chance of it changes what comes first.');
  });
  it('are told in a sentence', () => {
    expect(firstWords(best!.steps[0]!, name, money)).toMatch(
      /^First clean on the bench: 67 cr, 60 min, and \d+ in 100 end there\.$/,
    );
    expect(thenWords(best!, name)).toBe('If that does not help, fit a new unit.');
    expect(thenWords({ ...best!, steps: best!.steps.slice(0, 1) }, name)).toBe('');
  });
  it('name what each step is done to', () => {
    const valve = terms('replace', 1, { kind: 'idle-valve' });
    const way = (of: OptionTerms) => ({ option: of.id, terms: of });
    expect(wayWords(way(valve), 1)).toBe('Fit a new idle air valve');
    expect(wayWords(way({ ...valve, kind: 'throttle-body' }), 4)).toBe('Fit 4 new throttle bodies');
    expect(wayWords(way(terms('rebuild', 1, { kind: 'idle-actuator' })), 2)).toBe('Rebuild both idle actuators');
    expect(wayWords(way({ ...valve, unit: { kind: 'idle-valve', place: 'left' } }), 2)).toBe(
      'Fit a new idle air valve, left',
    );
    expect([daysWords(0), daysWords(0.01), daysWords(1), daysWords(2.25), daysWords(3)]).toEqual([
      'same day',
      'same day',
      '1 day',
      '2.3 days',
      '3 days',
    ]);
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
  const wayOf = (id: string): Way => plans.ways.find((way) => way.id === id)!;
  const props = {
    label: 'Parts',
    flip: { at: 12_000, below: wayOf('replace'), above: wayOf('clean-bench') },
    highest: 60_000,
    money,
    nameOf: name,
    modelValue: 46_000,
  };
  it('says where the choice flips, moves with a drag, and settles when let go', async () => {
    const line = mount(FlipLine, { props });
    expect(line.find('[role="status"]').text()).toBe('Below 120 cr: fit a new unit. Above: clean on the bench.');
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
