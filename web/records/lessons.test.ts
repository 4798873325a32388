import { flushPromises, mount, RouterLinkStub } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CauseLine, LessonLine, LessonsReply } from '../../contract/index.ts';
import { useShop } from '../stores/shop.ts';
import { field, freshShop, press, read, refusal, serve, stubs } from '../testing.ts';

vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRoute: () => ({ path: '/records/lessons', params: {} }),
}));
const { default: LessonsView } = await import('./LessonsView.vue');

beforeEach(() => {
  freshShop();
  // A lead decides what becomes of a lesson.
  useShop().personId = 'isla';
});
const look = (nth: number, bad: boolean) => ({
  jobId: `j${nth}`,
  number: nth,
  plate: `TQ ${nth}`,
  meter: 90_000 + nth,
  bad,
});
const lesson = (more: Partial<LessonLine> = {}): LessonLine => ({
  id: 'norrland:rotary-valve:ring',
  familyId: 'norrland',
  family: 'Norrland 2.5 four',
  form: 'rotary-valve',
  thing: 'ring',
  here: { k: 4, n: 5 },
  elsewhere: { k: 0, n: 6 },
  expected: 0.07,
  oftener: true,
  p: 0.001,
  from: { steps: [{ meter: 90_003, share: 1 }], half: 90_003, p: 0.01 },
  hours: false,
  looks: [look(1, false), look(2, true), look(3, true), look(4, true), look(5, true)],
  part: { name: 'Valve O-ring', partNumber: 'NP-25-1131' },
  procedures: [{ id: 'p', name: 'Clean, 2.5', says: false }],
  need: 'Valve O-ring',
  stock: null,
  answers: [],
  ...more,
});
const cause: CauseLine = {
  id: 'cause:cable true:x',
  group: 'cable',
  cause: 'x',
  name: 'Object on the plate',
  here: { k: 6, n: 20 },
  expected: 0.02,
  p: 0.0001,
  is: 'rare',
  fits: 'common',
  jobs: ['j7'],
  numbers: [{ jobId: 'j7', number: 7, plate: 'TQ 7' }],
  answers: [],
};
const reply = (found: LessonLine[], causes: CauseLine[] = []): LessonsReply => ({ found, causes, looks: 11, vehicles: 11 }); // prettier-ignore
async function show(first: LessonsReply, replies: object = {}) {
  const asked = serve({ 'GET /api/lessons': first, ...replies });
  const wrapper = mount(LessonsView, { global: { stubs } });
  await flushPromises();
  return { wrapper, asked };
}

describe('lessons', () => {
  it('say how often, beside all others, from which reading on, and which vehicles', async () => {
    const { wrapper } = await show(reply([lesson()]));
    expect(read(wrapper)).toMatch(/O-ring hardness, rotary valve.*Norrland 2\.5 four/);
    expect(read(wrapper)).toMatch(
      /Bad on 4 of 5 of these, on 0 of 6 of all others\. More than half are bad from about 90.000 km on\./,
    );
    expect(wrapper.find('svg[role="img"]').attributes('aria-label')).toBe('4 bad and 1 not, by the meter');
    expect(wrapper.findAll('svg path')).toHaveLength(4);
    expect(wrapper.findAll('svg circle')).toHaveLength(1);
    expect(wrapper.findAllComponents(RouterLinkStub).map((each) => each.props('to'))).toContain('/jobs/j2');
  });
  it('are taken into a procedure and onto the shelf, and say so', async () => {
    const at = '2026-05-12T10:00:00.000Z';
    const done = lesson({
      procedures: [{ id: 'p', name: 'Clean, 2.5', says: true }],
      stock: { id: 's', orderAt: 0 },
      answers: [
        { what: 'procedure', subject: 'p', note: '', at, by: 'isla' },
        { what: 'stock', subject: 's', note: '', at, by: 'isla' },
      ],
    });
    const path = `POST /api/lessons/${encodeURIComponent('norrland:rotary-valve:ring')}/answers`;
    const { wrapper, asked } = await show(reply([lesson()]), { [path]: reply([done]) });
    expect(wrapper.findAll('button').map(read)).toEqual([
      expect.stringContaining('Add to “Clean, 2.5”:'),
      expect.stringContaining('Keep one on the shelf:'),
      expect.stringContaining('Set aside'),
    ]);
    await press(wrapper, 'Add to');
    await flushPromises();
    expect(asked.at(-1)?.body).toMatchObject({ what: 'procedure', procedureId: 'p' });
    expect(read(wrapper)).toMatch(/“Clean, 2\.5” says it \(Isla, .*\)\..*One is kept on the shelf/);
    expect(wrapper.findAll('button')).toHaveLength(1);
  });
  it('say on the first day that nothing was looked at yet', async () => {
    const { wrapper } = await show({ found: [], causes: [], looks: 0, vehicles: 0 });
    expect(read(wrapper)).toContain('Nothing was looked at on the bench yet.');
    expect(read(wrapper)).not.toContain('Of 0 looks');
  });
  it('are read by everybody, and taken by nobody but a lead', async () => {
    useShop().personId = 'tomas';
    const { wrapper } = await show(reply([lesson()]));
    expect(wrapper.findAll('button')).toHaveLength(0);
    expect(read(wrapper)).toContain('A lead decides what becomes of it.');
  });
  it('are set aside with why; without one it is asked for where it is typed', async () => {
    const path = `POST /api/lessons/${encodeURIComponent('norrland:rotary-valve:ring')}/answers`;
    const { wrapper } = await show(reply([lesson()]), {
      [path]: refusal(400, 'Say why.', { note: 'Say why: it is not shown again.' }),
    });
    await press(wrapper, 'Set aside');
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(read(wrapper)).toContain('Say why: it is not shown again.');
    await wrapper.find(field(wrapper, 'Because')).setValue('one batch');
    const answers = [{ what: 'set-aside', subject: '', note: 'one batch', at: '2026-05-12T10:00:00.000Z', by: 'isla' }] as const; // prettier-ignore
    serve({ [path]: reply([lesson({ answers })]) });
    await wrapper.find('form').trigger('submit');
    await flushPromises();
    expect(wrapper.find('[aria-label="What recurs"]').exists()).toBe(false);
    expect(read(wrapper)).toMatch(/Set aside.*O-ring hardness, rotary valve: Norrland 2\.5 four.*one batch/);
  });
  it('of causes offer the word that fits', async () => {
    const { wrapper, asked } = await show(reply([], [cause]), {
      [`POST /api/lessons/${encodeURIComponent(cause.id)}/answers`]: reply([], []),
    });
    expect(read(wrapper)).toMatch(/Object on the plate.*It led the decision in 6 of 20 jobs \(cable throttle\); by the knowledge it would be 2 in a hundred\./); // prettier-ignore
    await press(wrapper, '“rare” becomes “common”');
    await flushPromises();
    expect(asked.at(-1)?.body).toMatchObject({ what: 'knowledge' });
    expect(read(wrapper)).toContain('Nothing recurs that chance would not explain.');
  });
});
