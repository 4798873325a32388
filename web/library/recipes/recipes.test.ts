import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { type Recipe, recipeOf, STARTER_RECIPES, step } from '../../../core/relearn/index.ts';
import { useShop } from '../../stores/shop.ts';
import { field, freshShop, press, read, serve, stubs } from '../../testing.ts';
import { drawnWays, endsOf } from './drawnWays.ts';
import RecipeEditor from './RecipeEditor.vue';
import RecipesView from './RecipesView.vue';
import { durationText, readRecipeText, recipeText } from './recipeText.ts';

const push = vi.fn();
const route = vi.hoisted(() => ({ now: { name: 'recipe-new', params: {} as Record<string, string>, query: {} } }));
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push }),
  useRoute: () => route.now,
}));
const global = { stubs };
beforeEach(() => {
  freshShop();
  push.mockReset();
});

describe('a recipe as it is typed', () => {
  it.each(STARTER_RECIPES.map((recipe) => [recipe.id, recipe] as const))('%s comes back as it was', (_, recipe) => {
    expect(readRecipeText(recipeText(recipe))).toEqual({ recipe, problems: [] });
  });
  it('reads times as people write them, and figures in the unit that is chosen', () => {
    expect([10, 90, 180, 7200, 75].map(durationText)).toEqual(['10 s', '1.5 min', '3 min', '2 h', '75 s']);
    const text = recipeText(
      recipeOf({
        id: 'x',
        name: 'X',
        steps: [
          step({
            id: 'a',
            kind: 'drive',
            title: 'A',
            how: '',
            conditions: [{ kind: 'reading', name: 'ect', low: 176, high: null, unit: '°F', words: '' }],
          }),
        ],
      }),
    );
    const typed = (more: object) => readRecipeText({ ...text, steps: [{ ...text.steps[0]!, ...more }] });
    expect(typed({ seconds: '1 h 30' }).recipe.steps[0]?.seconds).toBe(5400);
    expect(typed({ seconds: 'a while' }).problems).toMatchObject([{ stepId: 'a', field: 'seconds', level: 'wrong' }]);
    expect(typed({ seconds: '-1' }).problems.length).toBeGreaterThan(0);
    expect(typed({}).recipe.steps[0]?.conditions[0]).toMatchObject({ low: 176, unit: '°F' });
    const condition = text.steps[0]!.conditions[0]!;
    expect(typed({ conditions: [{ ...condition, low: 'hot' }] }).problems[0]).toMatchObject({ field: 'conditions.0' });
  });
});

describe('ways beside the line', () => {
  const recipe = recipeOf({
    id: 'x',
    name: 'X',
    steps: [
      step({ id: 'a', kind: 'key', title: 'A', how: '', instead: [{ words: 'skip', goTo: 'c' }] }),
      step({ id: 'b', kind: 'key', title: 'B', how: '', again: { back: 'a', times: 3 } }),
      step({
        id: 'c',
        kind: 'check',
        title: 'C',
        how: '',
        answers: [
          { words: 'good', goTo: 'done' },
          { words: 'bad', goTo: 'failed' },
          { words: 'again', goTo: 'a' },
        ],
      }),
    ],
  });
  it('never run over one another, and leave out what is simply the next step', () => {
    const ways = drawnWays(recipe);
    expect(ways.map(({ from, to, kind }) => [from, to, kind])).toEqual([
      [1, 0, 'again'],
      [0, 2, 'instead'],
      [2, 0, 'answer'],
    ]);
    expect(new Set(ways.map(({ lane }) => lane)).size).toBe(3);
  });
  it('say where the run ends', () => {
    expect(endsOf(recipe, 2)).toEqual(['done', 'failed']);
    expect(endsOf(recipe, 0)).toEqual([]);
    expect(endsOf(STARTER_RECIPES[0]!, STARTER_RECIPES[0]!.steps.length - 1)).toEqual(['done']);
  });
});

describe('the editor of recipes', () => {
  it('writes one from nothing: what is wrong is said where it is, and saving names it', async () => {
    const kept: Recipe[] = [];
    serve({
      'GET /api/families': { rows: [] },
      'GET /api/shop': {
        people: [],
        settings: {},
        wrenches: [],
        rules: {},
        tools: [],
        calendar: null,
        now: '',
        readOnly: false,
      },
    });
    vi.stubGlobal(
      'fetch',
      vi.fn(async (path: string, init?: { method?: string; body?: string }) => {
        if (init?.method === 'PUT') {
          const { recipe } = JSON.parse(init.body ?? '{}') as { recipe: Recipe };
          kept.push(recipe);
          return new Response(JSON.stringify({ ...recipe, version: 1 }), {
            status: 201,
            headers: { 'content-type': 'application/json' },
          });
        }
        const body = path.includes('/shop') ? { people: useShop().people, settings: useShop().settings } : { rows: [] };
        return new Response(JSON.stringify(body), { status: 200, headers: { 'content-type': 'application/json' } });
      }),
    );
    const wrapper = mount(RecipeEditor, { global });
    await flushPromises();
    await wrapper.find(field(wrapper, 'What is new')).setValue('first try');
    await wrapper.findAll('form').at(-1)!.trigger('submit');
    await flushPromises();
    expect(kept).toEqual([]);
    expect(read(wrapper)).toContain('What is it called?');
    expect(read(wrapper)).toContain('Step 1: Say what is done.');
    await wrapper.find(field(wrapper, 'Name')).setValue('Our pedal dance');
    await wrapper.find(field(wrapper, 'What is done')).setValue('Key on');
    await wrapper.find(field(wrapper, 'Held for')).setValue('20 s');
    await press(wrapper, 'Add below');
    await wrapper.find(field(wrapper, 'What is done')).setValue('Look at the lamp');
    await press(wrapper, 'Ask which way');
    await wrapper.find(field(wrapper, 'Answer 1')).setValue('Still lit');
    const select = wrapper.findAll('select').find((each) => (each.element as HTMLSelectElement).value === 'done')!;
    await select.setValue('step-1');
    expect(read(wrapper)).toContain('never comes to an end');
    await press(wrapper, 'Ask which way');
    await wrapper.find(field(wrapper, 'Answer 2')).setValue('Out');
    expect(read(wrapper)).not.toContain('never comes to an end');
    await wrapper.findAll('form').at(-1)!.trigger('submit');
    await flushPromises();
    expect(kept).toMatchObject([
      {
        name: 'Our pedal dance',
        steps: [
          { id: 'step-1', title: 'Key on', seconds: 20 },
          {
            id: 'step-2',
            answers: [
              { words: 'Still lit', goTo: 'step-1' },
              { words: 'Out', goTo: 'done' },
            ],
          },
        ],
      },
    ]);
    expect(push).toHaveBeenCalledWith('/recipes');
  });
  it('opens one that came with the program, moves and takes out steps, and keeps the draft', async () => {
    route.now = { name: 'recipe', params: { id: 'timed-idle' }, query: {} };
    const timed = STARTER_RECIPES.find(({ id }) => id === 'timed-idle')!;
    serve({
      'GET /api/recipes/timed-idle': timed,
      'GET /api/recipes/timed-idle/versions': { rows: [] },
      'GET /api/families': { rows: [] },
    });
    const wrapper = mount(RecipeEditor, { global });
    await flushPromises();
    expect(read(wrapper)).toContain('came with the program');
    expect(wrapper.find('li[style] button').text()).toContain('Key on, engine off');
    await press(wrapper, 'Down');
    expect(wrapper.find('li[style] button').text()).toContain('Key off');
    await press(wrapper, 'Take out');
    expect(wrapper.findAll('ol li[style]')).toHaveLength(5);
    const again = mount(RecipeEditor, { global });
    await flushPromises();
    expect(read(again)).toContain('did not keep is back');
    expect(again.findAll('ol li[style]')).toHaveLength(5);
    await press(again, 'Start afresh');
    expect(again.findAll('ol li[style]')).toHaveLength(6);
  });
});

describe('the list of recipes', () => {
  it('groups them by what they are for, and says what is wrong with a file', async () => {
    useShop().recipes = [
      recipeOf({ id: 'f', name: 'Fan', version: 2, fits: { families: ['t'], kinds: [], vehicles: [] } }),
    ];
    serve({ 'GET /api/families': { rows: [{ id: 't', name: 'Sample twin' }] } });
    const wrapper = mount(RecipesView, { global });
    await flushPromises();
    expect(wrapper.findAll('h2').map((each) => each.text())).toEqual([
      'Relearn, for some engines',
      'Relearn, for any engine',
      'Bleeding',
    ]);
    expect(read(wrapper)).toContain('Sample twin');
    const input = wrapper.find('input[type=file]');
    Object.defineProperty(input.element, 'files', { value: [{ name: 'x.json', text: async () => '{nope' }] });
    await input.trigger('change');
    await flushPromises();
    expect(read(wrapper)).toContain('x.json is not JSON');
  });
});
