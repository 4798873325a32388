import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CommandBody, PictureRef } from '../../../core/job/index.ts';
import { open } from '../../../core/job/testing/samples.ts';
import { freshShop, read, serve, showJob, stubs } from '../../testing.ts';
// The test’s page has no canvas to draw on.
vi.mock('vue-konva', async () => ({ useImage: (await import('../../testing.ts')).noImage }));
import CompareSlider from './CompareSlider.vue';
import PictureGap from './PictureGap.vue';
import PicturesBlock from './PicturesBlock.vue';

const picture = (id: string, when: 'before' | 'after', hash = id.repeat(64).slice(0, 64)): CommandBody => ({
  type: 'attach-picture',
  data: { id, hash, subject: 'throttle-body', when, caption: `${when} it` },
});
const anchors = (id: string, ...spots: [number, number][]): CommandBody => ({
  type: 'mark-picture',
  data: { pictureId: id, rotation: 0, marks: [], anchors: spots.map(([x, y]) => ({ x, y })) },
});
beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
});
const pair = (...marked: CommandBody[]): { before: PictureRef; after: PictureRef } => {
  const { job } = showJob([open, picture('a', 'before'), picture('b', 'after'), ...marked]);
  const [before, after] = job().pictures;
  return { before: before!, after: after! };
};
/** Where the second picture's transform puts a place of it; both are 1200 × 900 until they are loaded. */
function placed(transform: string, [x, y]: [number, number]): [number, number] {
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = (/matrix\(([^)]*)\)/.exec(transform)?.[1] ?? '')
    .split(' ')
    .map(Number);
  return [a * x + c * y + e, b * x + d * y + f];
}

describe('before and after in one frame', () => {
  it('moves the edge between them', async () => {
    const wrapper = mount(CompareSlider, { props: { ...pair(), what: 'Throttle body' } });
    const clip = wrapper.find('clipPath rect');
    const [half, width] = [Number(clip.attributes('x')), Number(clip.attributes('width'))];
    expect(half).toBe(width);
    await wrapper.find('input[type="range"]').setValue('25');
    expect(Number(clip.attributes('x'))).toBe(half / 2);
    expect(read(wrapper)).toContain('Not lined up');
  });
  it('lines the second up with the first by two places', () => {
    const marked = pair(anchors('a', [0.2, 0.2], [0.8, 0.2]), anchors('b', [0.3, 0.4], [0.6, 0.4]));
    const wrapper = mount(CompareSlider, { props: { ...marked, what: 'Throttle body' } });
    expect(read(wrapper)).toContain('Lined up by two places.');
    const size = {
      width: Number(wrapper.find('image').attributes('width')),
      height: Number(wrapper.find('image').attributes('height')),
    };
    const transform = wrapper.findAll('image')[1]!.attributes('transform')!;
    for (const [from, onto] of [
      [
        [0.3, 0.4],
        [0.2, 0.2],
      ],
      [
        [0.6, 0.4],
        [0.8, 0.2],
      ],
    ] as [[number, number], [number, number]][]) {
      const [x, y] = placed(transform, [from[0] * size.width, from[1] * size.height]);
      expect(x).toBeCloseTo(onto[0] * size.width, 6);
      expect(y).toBeCloseTo(onto[1] * size.height, 6);
    }
  });
});

describe('pictures of a unit', () => {
  it('are small copies with what was marked; the last two are held against each other', async () => {
    const { job } = showJob([
      open,
      picture('a', 'before'),
      picture('c', 'before'),
      picture('b', 'after'),
      anchors('c', [0.1, 0.1], [0.9, 0.1]),
      {
        type: 'attach-picture',
        data: { id: 'x', hash: 'e'.repeat(64), subject: 'idle-valve', when: 'before', caption: '' },
      },
    ]);
    const wrapper = mount(PicturesBlock, {
      props: { job: job(), subject: 'throttle-body', what: 'Throttle body', when: 'before' },
      global: {
        stubs: { ...stubs, PictureMarker: { props: ['picture'], template: '<p>marking {{ picture.id }}</p>' } },
      },
    });
    expect(wrapper.findAll('img').map((each) => each.attributes('src'))).toEqual(
      ['a', 'c', 'b'].map((id) => `/api/pictures/${id.repeat(64)}?size=small`),
    );
    expect(read(wrapper)).toContain('lined up');
    expect(wrapper.findComponent(CompareSlider).props('before').id).toBe('c');
    await wrapper.findAll('li button[aria-label^="Mark"]')[2]!.trigger('click');
    await vi.dynamicImportSettled();
    await flushPromises();
    expect(read(wrapper)).toContain('marking b');
  });
  it('do not call a file lost that only the server could show', async () => {
    for (const [answer, words] of [
      [() => Promise.reject(new Error('no network')), 'was not taken along'],
      [() => Promise.resolve(new Response('{}')), 'its file cannot be read'],
    ] as const) {
      vi.stubGlobal('fetch', answer);
      const wrapper = mount(PictureGap, { props: { what: 'Throttle body' } });
      await flushPromises();
      expect(read(wrapper)).toContain(words);
    }
  });
  it('leave a named gap where a file is not to be had', async () => {
    const { job } = showJob([open, picture('a', 'before')]);
    const wrapper = mount(PicturesBlock, {
      props: { job: job(), subject: 'throttle-body', what: 'Throttle body', when: 'before' },
      global: { stubs },
    });
    await wrapper.find('img').trigger('error');
    expect(wrapper.findAll('img')).toEqual([]);
    expect(wrapper.find('[role="img"]').attributes('aria-label')).toMatch(/Throttle body, before.*not to be had/);
    expect(read(wrapper)).toContain('No photo here');
  });
  it('say what is wanted while there are none', () => {
    const { job } = showJob([open]);
    const wrapper = mount(PicturesBlock, {
      props: { job: job(), subject: 'throttle-body', what: 'Throttle body', when: 'before' },
      global: { stubs },
    });
    expect(read(wrapper)).toContain('No picture yet. One before, one after, from the same place.');
    expect(wrapper.findComponent(CompareSlider).exists()).toBe(false);
  });
});
