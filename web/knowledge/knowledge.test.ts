import { flushPromises, mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { SHIPPED_KNOWLEDGE } from '../../core/diagnose/knowledge/index.ts';
import { type CaseResult, summarise } from '../../core/diagnose/index.ts';
import { HOUSE_QUESTIONS } from '../../core/house/index.ts';
import { pick } from '../testing.ts';
import SettingsView from '../settings/SettingsView.vue';
import ShopFigures from '../settings/ShopFigures.vue';
import { useShop } from '../stores/shop.ts';
import PortraitRows from './PortraitRows.vue';
import type { CaseScore } from '../workers/judgingProtocol.ts';
import ScoreBlock from './ScoreBlock.vue';

beforeEach(() => setActivePinia(createPinia()));
afterEach(() => vi.unstubAllGlobals());

const [deposit] = SHIPPED_KNOWLEDGE.causes;
const RESULT: CaseResult = {
  id: 'a',
  placeTold: 2,
  placeEnd: 1,
  placeAll: 1,
  leads: { share: 0.95, right: true },
  leadsTold: { share: 0.4, right: true },
  brier: 0.1,
  named: null,
  dropped: { findings: 5, turned: 0 },
  checksToLead: 3,
  minutesToLead: 12,
  ledAtAll: true,
};
const rows = (more: object = {}) =>
  mount(PortraitRows, {
    props: { cause: deposit!, signs: SHIPPED_KNOWLEDGE.signs, edits: [], mayEdit: true, errors: {}, ...more },
  });

describe('what a cause shows', () => {
  it('is read by all, and changed by those who may', async () => {
    expect(rows({ mayEdit: false }).findAll('select')).toHaveLength(0);
    const view = rows();
    await view.find('select[aria-label="How often: stalls coming to rest"]').setValue('nearly always');
    await view.find('textarea[aria-label="Why: stalls coming to rest"]').setValue('seen it');
    expect(view.emitted('change')?.map(([edit]) => edit)).toMatchObject([
      {
        kind: 'likelihood',
        cause: 'deposit',
        sign: 'stalls',
        word: 'nearly always',
        why: 'the last of the closing leaves too little air',
      },
      { sign: 'stalls', word: expect.any(String), why: 'seen it' },
    ]);
  });
  it('takes a row for a sign it said nothing of, and shows what is wrong beside it', async () => {
    const view = rows({ errors: { 'deposit/duct-off-look': 'adds up to 120 %' } });
    expect(view.findAll('[role="alert"]')[0]?.text()).toBe('adds up to 120 %');
    await pick(view, 'It also shows', 'whistle', 'whistle or hiss');
    expect(view.find('select[aria-label="How often: whistle or hiss"]').exists()).toBe(true);
  });
});

describe('the score', () => {
  const result = (more: Partial<CaseResult> = {}): CaseResult => ({ ...RESULT, ...more });
  const scored = (minutes: number, listMinutes: number): CaseScore => ({
    guided: summarise([result({ minutesToLead: minutes }), result({ minutesToLead: minutes, placeAll: 5 })]),
    list: summarise([result({ minutesToLead: listMinutes })]),
    cases: [
      {
        id: 'a',
        title: 'Bus hunts',
        truth: ['deposit'],
        placeTold: 2,
        placeAll: 1,
        checks: 3,
        minutes: 12,
        listMinutes: 40,
      },
    ],
  });
  const text = (view: { text: () => string }): string => view.text().replace(/\s+/g, ' ');
  it('says what was measured, with its interval, and what it does not prove', async () => {
    const apart = { ...scored(30, 60), cases: [] };
    const view = mount(ScoreBlock, {
      props: { causes: SHIPPED_KNOWLEDGE.causes, work: scored(15, 60), apart, progress: null },
    });
    expect(text(view)).toContain('2 written cases set apart');
    expect(text(view)).toContain('50 % (9 to 91) have the true cause among the first three');
    expect(text(view)).toContain('30, list 60: 50 % fewer');
    expect(text(view)).toContain('not how good we are on yours');
    // Those set apart are shown as sums alone.
    expect(view.findAll('button')).toHaveLength(1);
    await view.find('button').trigger('click');
    expect(text(view)).toContain('place 2 when told, 1 at the end; 3 checks, 12 min (list 40)');
  });
  it('says how far it is while it is worked out', () => {
    const view = mount(ScoreBlock, {
      props: { causes: [], work: null, apart: null, progress: { done: 12, of: 190 } },
    });
    expect(text(view)).toContain('Working out 190 written cases: 12 done');
  });
});

describe('house rules', () => {
  const setUp = (role: 'lead' | 'technician') => {
    const shop = useShop();
    shop.people = [{ id: 'p', name: 'P', role, bay: '' }];
    shop.personId = 'p';
    shop.rules = { where: 'off' };
    return shop;
  };
  const put: { url: string; body: unknown }[] = [];
  beforeEach(() => {
    put.length = 0;
    vi.stubGlobal('fetch', async (url: string, init: { body: string }) => {
      put.push({ url, body: JSON.parse(init.body) });
      return new Response(JSON.stringify({ rules: { where: 'in-place' } }));
    });
  });
  const stubs = { global: { stubs: { RouterLink: true } } };
  it('are one plain question a row, answered by a lead', async () => {
    const shop = setUp('lead');
    const view = mount(SettingsView, stubs);
    expect(view.findAll('fieldset:has(input[type="radio"])')).toHaveLength(HOUSE_QUESTIONS.length);
    await view.find('input[name="where"][value="in-place"]').setValue(true);
    await flushPromises();
    expect(put).toEqual([{ url: '/api/house-rules/where', body: { by: 'p', answer: 'in-place' } }]);
    expect(shop.rules).toEqual({ where: 'in-place' });
  });
  it('cannot be changed by others', () => {
    setUp('technician');
    const view = mount(SettingsView, stubs);
    expect(
      view.findAll('fieldset:has(input[type="radio"])').every((each) => each.attributes('disabled') !== undefined),
    ).toBe(true);
    expect(view.text()).toContain('A lead or the owner sets them.');
  });
  it('figures that are none are refused beside the field', async () => {
    setUp('lead');
    const view = mount(SettingsView, stubs);
    const label = view.findAll('label').find((each) => each.text() === 'Labour an hour, cr')!;
    await view.find(`#${label.attributes('for')}`).setValue('much');
    const figures = view.findComponent(ShopFigures);
    await figures.find('form').trigger('submit');
    expect(figures.find('[role="alert"]').text()).toBe('Expected an amount in cr, such as 80.00; got “much”.');
    expect(put).toEqual([]);
  });
});
