import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { boltOrder } from '../../../core/job/index.ts';
import { noFigure } from '../../../core/job/testing/steps.ts';
import { open } from '../../../core/job/testing/samples.ts';
import { freshShop, press, read, serve, showJob } from '../../testing.ts';
import PlaceBolts from './PlaceBolts.vue';

beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
  serve({});
});
const item = (job: ReturnType<typeof showJob>['job']) => job().items.find(({ id }) => id === 'bracket')!;
function shown() {
  const { job } = showJob([open, noFigure]);
  const wrapper = mount(PlaceBolts, { props: { item: item(job) } });
  return { job, wrapper };
}
const box = { left: 0, top: 0, width: 250, height: 190 } as DOMRect;

describe('where bolts sit', () => {
  it('is tapped on a flange, one after the other, and kept with the last', async () => {
    const { job, wrapper } = shown();
    await press(wrapper, 'Show where they sit');
    const svg = wrapper.find('svg');
    vi.spyOn(svg.element, 'getBoundingClientRect').mockReturnValue(box);
    await svg.trigger('click', { clientX: 20, clientY: 30 });
    expect(read(wrapper)).toContain('1 to go.');
    await svg.trigger('click', { clientX: 200, clientY: 160 });
    expect(item(job).fasteners?.bolts.map(({ id, x, y }) => [id, x, y])).toEqual([
      ['1', 20, 30],
      ['2', 200, 160],
    ]);
    expect(boltOrder(item(job))).toHaveLength(2);
  });
  it('tapped twice in one place is said, and begun again', async () => {
    const { job, wrapper } = shown();
    await press(wrapper, 'Show where they sit');
    const svg = wrapper.find('svg');
    vi.spyOn(svg.element, 'getBoundingClientRect').mockReturnValue(box);
    for (let tap = 0; tap < 2; tap += 1) await svg.trigger('click', { clientX: 20, clientY: 30 });
    expect(read(wrapper)).toContain('Two of them sit in one place.');
    expect(item(job).fasteners?.bolts).toEqual([]);
  });
  it('is a ring or a row by one press, for whoever has no pointer', async () => {
    const { job, wrapper } = shown();
    await press(wrapper, 'Show where they sit');
    await press(wrapper, 'Evenly round');
    expect(item(job).fasteners?.bolts).toHaveLength(2);
  });
});
