import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { nextTick } from 'vue';
import type { Met } from '../../core/practice/index.ts';
import type { Review } from '../../core/practice/index.ts';
import { apiUrl, storeName, worldOf } from '../data/world.ts';
import { practiceNow } from '../stores/clock.ts';
import TagBoard from './diagnose/TagBoard.vue';
import WayLine from './diagnose/WayLine.vue';
import LookPicture from './looks/LookPicture.vue';
import { blend, roughRing } from './looks/drawing.ts';
import WaysDrawing from './review/WaysDrawing.vue';
import RelearnTask from './drills/RelearnTask.vue';
import { relearnDrill } from '../../core/drills/index.ts';

beforeEach(() => {
  setActivePinia(createPinia());
  // No server stands behind these: names of causes stay ids.
  vi.stubGlobal('fetch', () => Promise.reject(new Error('away')));
});

describe('the world of a page', () => {
  it('is the shop, unless its address says that it is a practice job', () => {
    expect(worldOf('/jobs/j/diagnose')).toEqual({ practice: null, base: '', api: '/api' });
    expect(worldOf('/practice')).toMatchObject({ practice: null });
    expect(worldOf('/practice/jobs/p1/review')).toMatchObject({ practice: null });
    expect(worldOf('/practice/at/p-1/jobs/p-1/strip')).toEqual({
      practice: 'p-1',
      base: '/practice/at/p-1',
      api: '/api/practice/worlds/p-1',
    });
  });
  it('asks the shop who is signed in and what is practised, and its own world all else', () => {
    const world = worldOf('/practice/at/p-1/jobs/p-1');
    expect(apiUrl('/jobs/p-1?since=0', world)).toBe('/api/practice/worlds/p-1/jobs/p-1?since=0');
    expect(apiUrl('/session', world)).toBe('/api/session');
    expect(apiUrl('/practice/jobs/p-1', world)).toBe('/api/practice/jobs/p-1');
    // A list whose name only begins alike is the world's own.
    expect(apiUrl('/sessions-of-cleaning', world)).toBe('/api/practice/worlds/p-1/sessions-of-cleaning');
    expect(apiUrl('/jobs', worldOf('/bay'))).toBe('/api/jobs');
  });
  it('keeps what it does in stores of its own', () => {
    expect(storeName('answers', worldOf('/bay'))).toBe('answers');
    expect(storeName('answers', worldOf('/practice/at/p-1/bay'))).toBe('answers-practice-p-1');
  });
});

describe('the practice clock on the screen', () => {
  const heard = { at: 1000, heardAt: 50_000, fast: 20, until: 21_000 };
  it('runs ahead to the end of a wait, and at its own pace after', () => {
    expect(practiceNow(heard, 50_500)).toBe(1000 + 500 * 20);
    expect(practiceNow(heard, 51_000)).toBe(21_000);
    expect(practiceNow(heard, 51_300)).toBe(21_300);
    expect(practiceNow({ ...heard, fast: 0 }, 99_000)).toBe(1000);
    expect(practiceNow({ ...heard, until: 0 }, 50_700)).toBe(1700);
  });
});

describe('what is drawn of a look', () => {
  const drawn = (met: Met, lamp = 10) => mount(LookPicture, { props: { met, lamp } });
  const grades = [0, 0.25, 0.5, 0.75, 1];

  it('is darker and reaches further at every grade, and never says what that is', () => {
    const crusts = grades.map((cover) => {
      const picture = drawn({ kind: 'deposit', cover, object: null, oil: 0 });
      expect(picture.text()).not.toMatch(/film|ring|crust|clean|object/i);
      return picture.find('path').attributes('fill')!;
    });
    const sums = crusts.map((fill) => (fill.match(/\d+/g) ?? []).reduce((sum, each) => sum + Number(each), 0));
    for (const [index, sum] of sums.entries()) if (index > 0) expect(sum).toBeLessThan(sums[index - 1]!);
  });
  it('moves a shadow with the lamp and leaves an object where it lies', () => {
    const met: Met = { kind: 'deposit', cover: 0.5, object: 4, oil: 0 };
    const place = (lamp: number, what: 'shadow' | 'object') => {
      const found = drawn(met, lamp).find(`[data-testid="${what}"]`);
      const ellipse = what === 'object' ? found.findAll('ellipse')[1]! : found;
      return [ellipse.attributes('cx'), ellipse.attributes('cy')];
    };
    expect(place(2, 'shadow')).not.toEqual(place(8, 'shadow'));
    expect(place(2, 'object')).toEqual(place(8, 'object'));
    // Without one there is a shadow all the same.
    expect(
      drawn({ ...met, object: null })
        .find('[data-testid="object"]')
        .exists(),
    ).toBe(false);
    expect(
      drawn({ ...met, object: null })
        .find('[data-testid="shadow"]')
        .exists(),
    ).toBe(true);
  });
  it('of light is as wide as the gap, sector by sector', () => {
    const even = drawn({ kind: 'light', sectors: Array(12).fill(0.4) as number[] });
    const leaning = drawn({ kind: 'light', sectors: [0.9, 0.9, 0.6, 0.3, 0, 0, 0, 0, 0.3, 0.6, 0.9, 0.9] });
    expect(even.get('svg').attributes('aria-label')).toContain('4, 4, 4');
    expect(leaning.get('svg').attributes('aria-label')).toContain('9, 9, 6, 3, 0');
    expect(even.find('path').attributes('d')).not.toBe(leaning.find('path').attributes('d'));
  });
  it.each(['ring', 'pins', 'hose', 'gasket', 'gears', 'boot'] as const)(
    'of a %s is another picture sound and far gone',
    (what) => {
      const [sound, gone] = [0.05, 0.95].map((state) => drawn({ kind: 'part', what, state }));
      expect(sound!.html()).not.toBe(gone!.html());
      expect(sound!.get('svg').attributes('aria-label')).not.toBe(gone!.get('svg').attributes('aria-label'));
      for (const picture of [sound!, gone!])
        expect(picture.get('svg').attributes('aria-label')).not.toMatch(
          /bad|good|worn|hard|crushed|folded|cracked|broken/i,
        );
    },
  );
  it('of a meter is its figure to its own decimals, and “beyond its range” where it cannot show it', () => {
    const text = drawn({
      kind: 'figures',
      figures: [
        { name: 'Coil', value: 11.04, unit: 'Ω', decimals: 1 },
        { name: 'Motor', value: null, unit: 'Ω', decimals: 1 },
      ],
    }).text();
    expect(text).toContain('11.0 Ω');
    expect(text).toContain('beyond its range');
  });
  it('is rough by its seed alone, and blends between its colours', () => {
    expect(roughRing(() => 60, 3, 5)).toBe(roughRing(() => 60, 3, 5));
    expect(roughRing(() => 60, 3, 5)).not.toBe(roughRing(() => 60, 3, 6));
    expect(blend([0, 0, 0], [200, 100, 50], 0.5)).toBe('rgb(100 50 25)');
  });
});

describe('ten tags', () => {
  const causes = ['deposit', 'valve-stuck'].map((id) => ({ id, cause: id })) as never;
  it('are never more than ten, and are told together once the hand rests', async () => {
    vi.useFakeTimers();
    const board = mount(TagBoard, { props: { tags: { deposit: 9 }, causes }, global: { stubs: { PickField: true } } });
    const more = board.findAll('button').find((each) => each.text() === '+')!;
    expect(board.text()).toContain('one is left');
    await more.trigger('click');
    expect(board.text()).toContain('all placed');
    expect(more.attributes('disabled')).toBeDefined();
    expect(board.emitted('lay')).toBeUndefined();
    vi.advanceTimersByTime(600);
    expect(board.emitted('lay')).toEqual([[{ deposit: 10 }]]);
    vi.useRealTimers();
  });
  it('that are taken off a cause are no longer told of', async () => {
    vi.useFakeTimers();
    const board = mount(TagBoard, { props: { tags: { deposit: 1 }, causes }, global: { stubs: { PickField: true } } });
    await board
      .findAll('button')
      .find((each) => each.text() === '−')!
      .trigger('click');
    vi.advanceTimersByTime(600);
    expect(board.emitted('lay')).toEqual([[{}]]);
    vi.useRealTimers();
  });
});

describe('the way so far', () => {
  it('marks what is yours to say, and sums minutes', () => {
    const line = mount(WayLine, {
      props: {
        minutes: 13,
        cost: '',
        marks: [
          { key: '1', name: 'Shake the PCV valve', minutes: 4, costMinor: 0, said: 'Rattles free', isOpen: false },
          { key: '2', name: 'Duct off', minutes: 9, costMinor: 0, said: '', isOpen: true },
        ],
      },
    });
    expect(line.text()).toContain('Rattles free');
    expect(line.text()).toContain('yours to say');
    expect(line.text()).toContain('13');
    expect(line.text()).not.toContain('cr');
  });
});

describe('both ways drawn', () => {
  const step = (kind: 'check' | 'work', id: string, minutes: number) =>
    ({ kind, id, outcome: '', minutes, costMinor: 0, bits: 0, share: 0 }) as const;
  const way = (...steps: ReturnType<typeof step>[]) => ({
    steps,
    minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
    costMinor: 0,
    left: [],
  });
  const review = {
    own: way(step('check', 'a', 10), step('check', 'b', 20), step('check', 'b', 20)),
    best: way(step('check', 'b', 20)),
    shared: ['check b'],
    partings: [
      { at: 0, steps: [], minutes: 10, costMinor: 0, bits: 0 },
      { at: 30, steps: [], minutes: 20, costMinor: 0, bits: 0 },
    ],
  } as unknown as Review;
  const drawing = mount(WaysDrawing, { props: { review, name: ({ id }) => id.toUpperCase(), said: () => '' } });
  it('join what is in both once, and outline what is in one only', () => {
    expect(drawing.findAll('path.stroke-bottle')).toHaveLength(1);
    expect(drawing.findAll('rect.fill-bottle')).toHaveLength(2);
    expect(drawing.findAll('rect.stroke-oxide')).toHaveLength(2);
  });
  it('have a letter where they part, on the scale of the minutes', () => {
    const circles = drawing.findAll('circle').map((each) => Number(each.attributes('cx')));
    expect(circles).toHaveLength(2);
    const [first, second] = circles as [number, number];
    const bars = drawing.findAll('rect.stroke-oxide').map((each) => Number(each.attributes('x')) - 1);
    expect(first).toBeCloseTo(bars[0]!, 1);
    expect(second).toBeCloseTo(bars[1]!, 1);
  });
  it('are told in words as well', () => {
    expect(drawing.get('svg').attributes('aria-label')).toContain('Your way, 50 min: A, 10 min; B, 20 min');
  });
});

describe('a relearn by keyboard', () => {
  it('takes K for the key and P for the pedal, and judges the times between', async () => {
    vi.useFakeTimers({ toFake: ['performance', 'setInterval', 'clearInterval'] });
    const seed = Array.from({ length: 50 }, (_, each) => each).find(
      (each) => relearnDrill(each).name === 'Pedal travel',
    )!;
    const task = mount(RelearnTask, { props: { seed }, attachTo: document.body });
    const { steps } = relearnDrill(seed);
    const press = (key: string, type: 'keydown' | 'keyup') => window.dispatchEvent(new KeyboardEvent(type, { key }));
    const rest = (nth: number) => vi.advanceTimersByTime(((steps[nth]!.low + steps[nth]!.high) / 2) * 1000);
    press('k', 'keydown');
    rest(0);
    press('p', 'keydown');
    rest(1);
    press('p', 'keyup');
    rest(2);
    press('k', 'keydown');
    rest(3);
    await nextTick();
    await task
      .findAll('button')
      .find((each) => each.text() === 'The last wait is over')!
      .trigger('click');
    expect(task.emitted('judged')).toEqual([[{ right: 4, of: 4 }]]);
    expect(task.text()).toContain('It would have taken.');
    task.unmount();
    vi.useRealTimers();
  });
  it('says what is next when something else was pressed, and counts nothing', async () => {
    const task = mount(RelearnTask, { props: { seed: 1 }, attachTo: document.body });
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'p' }));
    await nextTick();
    expect(task.text()).toContain('Next is: key on');
    expect(task.emitted('judged')).toBeUndefined();
    task.unmount();
  });
});
