import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { createMemoryHistory, createRouter } from 'vue-router';
import { SHIPPED_KNOWLEDGE } from '../../core/diagnose/knowledge/index.ts';
import { useShop } from '../stores/shop.ts';
import { field, freshShop, pick, press, read, refusal, serve } from '../testing.ts';
import CureRows from './CureRows.vue';
import GroupRows from './GroupRows.vue';
import KnowledgeView from './KnowledgeView.vue';
import OwnWords from './OwnWords.vue';

/** What a lead may change beside likelihoods, and what is seen before it is kept. */
const [deposit] = SHIPPED_KNOWLEDGE.causes;
const common = { edits: [], mayEdit: true, errors: {} };
beforeEach(() => {
  freshShop();
  vi.unstubAllGlobals();
});

describe('what cures a cause', () => {
  it('is changed by its word and its reason, and says what is wrong beside it', async () => {
    const view = mount(CureRows, {
      props: { cause: deposit!, ...common, errors: { 'deposit/relearn': 'Say why.' } },
    });
    expect(read(view)).toContain('70\u202f000 km'.replace('\u202f', ' '));
    await view.find('select[aria-label="How often it cures: Relearn only"]').setValue('sometimes');
    expect(view.emitted('change')?.[0]).toMatchObject([
      { kind: 'cure', cause: 'deposit', option: 'relearn', word: 'sometimes' },
    ]);
    expect(view.find('[role="alert"]').text()).toBe('Say why.');
    expect(mount(CureRows, { props: { cause: deposit!, ...common, mayEdit: false } }).findAll('select')).toEqual([]);
  });
});

describe('one observation, several views', () => {
  it('a view is taken out, and a new group is made with its reason', async () => {
    const view = mount(GroupRows, { props: { knowledge: SHIPPED_KNOWLEDGE, ...common } });
    const [group] = SHIPPED_KNOWLEDGE.groups;
    await press(view, 'out');
    expect(view.emitted('change')?.[0]).toMatchObject([{ kind: 'group', id: group!.id, signs: group!.signs.slice(1) }]);
    await view.find(field(view, 'A new group')).setValue('what is smelt');
    await view.find(field(view, 'Why it is one')).setValue('one nose');
    await pick(view, 'One view', 'whistle', 'Whistle or hiss');
    await pick(view, 'Another view', 'limp', 'Limp mode');
    await view.find('form').trigger('submit');
    expect(view.emitted('change')?.at(-1)).toMatchObject([
      { kind: 'group', name: 'what is smelt', signs: ['whistle', 'limp'], why: 'one nose' },
    ]);
  });
});

describe('our own codes and phrases', () => {
  it('a phrase is taught, a code is given words, and both can be forgotten', async () => {
    const knowledge = {
      ...SHIPPED_KNOWLEDGE,
      ownCodes: [{ code: 'P1999', meaning: 'flap motor', sign: null, outcome: null }],
      ownPhrases: [{ phrase: 'coughs', sign: 'stalls', outcome: 'yes' }],
    };
    const view = mount(OwnWords, { props: { knowledge, ...common, teach: 'does the tango' } });
    expect(view.find<HTMLInputElement>(field(view, 'When somebody says')).element.value).toBe('does the tango');
    await pick(view, 'We mean', 'hunts', 'idle hunts');
    await view.findAll('form')[1]!.trigger('submit');
    await view.find(field(view, 'Code')).setValue('P1234');
    await view.find(field(view, 'What it means')).setValue('our loom');
    await view.findAll('form')[0]!.trigger('submit');
    for (const button of view.findAll('button').filter((each) => each.text().startsWith('Forget')))
      await button.trigger('click');
    expect(view.emitted('change')?.map(([edit]) => edit)).toMatchObject([
      { kind: 'phrase', phrase: 'does the tango', sign: 'hunting', outcome: 'yes' },
      { kind: 'code', code: 'P1234', meaning: 'our loom', sign: null, outcome: null },
      { kind: 'forget-code', code: 'P1999' },
      { kind: 'forget-phrase', phrase: 'coughs' },
    ]);
  });
});

describe('before a change is kept', () => {
  const versions = [{ version: 1, at: '2026-05-13T12:00:00.000Z', by: '', note: 'As shipped', edits: 0 }];
  const page = { knowledge: SHIPPED_KNOWLEDGE, versions, newest: 1, cases: [] };
  const before = { name: 'Deposit', share: 0.5 };
  const shown = async (replies: Readonly<Record<string, unknown>>) => {
    const asked = serve({ 'GET /api/knowledge/newest/page': page, ...replies });
    const routes = ['/knowledge', '/jobs/:id/:stage'].map((path) => ({ path, component: { template: '<i />' } }));
    const router = createRouter({ history: createMemoryHistory(), routes });
    await router.push('/knowledge');
    useShop().personId = 'isla';
    const view = mount(KnowledgeView, { global: { plugins: [router] } });
    await flushPromises();
    await view.find('select[aria-label="How often it cures: Relearn only"]').setValue('never');
    return { asked, view };
  };
  const keep = (view: { findAll: (selector: string) => { text: () => string; element: Element }[] }) =>
    view.findAll('button').find((each) => each.text().startsWith('Keep as version 2'))!.element as HTMLButtonElement;
  it('what it would do to past jobs is seen', async () => {
    const changed = [{ jobId: 'a', number: 230, plate: 'TQ 417', before, after: { name: 'Valve', share: 0.6 } }];
    const { asked, view } = await shown({
      'POST /api/knowledge/trials': { jobs: 12, changed },
      'POST /api/knowledge': { version: 2 },
    });
    expect(keep(view).disabled).toBe(true);
    await press(view, 'What it would do to past jobs');
    await flushPromises();
    expect(read(view)).toContain('1 of the last 12 jobs would be led by another cause: Job 230, TQ 417');
    expect(keep(view).disabled).toBe(false);
    await view.find(field(view, 'What was changed')).setValue('never seen it help');
    await view.find('form').trigger('submit');
    await flushPromises();
    expect(asked.find(({ path, method }) => method === 'POST' && path === '/api/knowledge')?.body).toMatchObject({
      base: 1,
      note: 'never seen it help',
      edits: [{ kind: 'cure', option: 'relearn', word: 'never' }],
    });
  });
  it('what does not fit is said beside it, and stays', async () => {
    const { view } = await shown({
      'POST /api/knowledge/trials': refusal(400, 'Say why.', { 'deposit/relearn': 'Say why.' }),
    });
    await press(view, 'What it would do to past jobs');
    await flushPromises();
    expect(view.findAll('[role="alert"]').map((each) => each.text())).toContain('Say why.');
    expect(keep(view).disabled).toBe(true);
    expect(read(view)).toContain('1 change not kept yet');
  });
});
