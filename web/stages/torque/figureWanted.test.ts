import { type DOMWrapper, flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { itemOf } from '../../../core/job/index.ts';
import { noFigure } from '../../../core/job/testing/steps.ts';
import { off, open } from '../../../core/job/testing/samples.ts';
import { freshShop, press, read, serve, showJob, stubs } from '../../testing.ts';
import FigureWanted from './FigureWanted.vue';

const LIKE = {
  jobId: 'j-7',
  number: 7,
  plate: 'AB 7',
  vehicle: 'Sule 650',
  name: 'Bracket bolts',
  text: '8 to 10 Nm',
  source: null,
  kin: 'family',
};
beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
});

/** The field under that label. */
const at = (wrapper: VueWrapper, label: string): DOMWrapper<HTMLInputElement> => {
  const found = wrapper.findAll('label').find((each) => each.text() === label)!;
  return wrapper.find<HTMLInputElement>(`#${found.attributes('for')!}`);
};
async function panel() {
  serve({ 'GET /api/jobs/j/like-figures': [LIKE] });
  const shown = showJob([open, noFigure, off('bracket')]);
  const wrapper = mount(FigureWanted, {
    props: { job: shown.job(), item: itemOf(shown.job(), 'bracket')! },
    global: { stubs },
  });
  await flushPromises();
  const refresh = async () => {
    await wrapper.setProps({ job: shown.job(), item: itemOf(shown.job(), 'bracket')! });
  };
  return { ...shown, wrapper, refresh };
}

describe('a torque figure that is wanted', () => {
  it('is taken from a like job by a tap, with that job', async () => {
    const { wrapper, job } = await panel();
    expect(read(wrapper)).toContain('job 7 on AB 7 Sule 650: its family');
    expect(read(wrapper)).toMatch(/Never above 13 N·m.*assumed.*A limit, not a figure/);
    await wrapper.find('[aria-label="Figures of like jobs"] button').trigger('click');
    expect(itemOf(job(), 'bracket')).toMatchObject({
      fasteners: { spec: { targetNm: 9 } },
      figureFrom: { jobId: 'j-7', number: 7, vehicle: 'AB 7' },
    });
  });
  it('is typed, and what is wrong stands at its field while the text stays', async () => {
    const { wrapper, job } = await panel();
    await at(wrapper, 'Figure').setValue('9 lb');
    await wrapper.findAll('form')[0]!.trigger('submit');
    expect(read(wrapper)).toContain('Pounds of what');
    expect(at(wrapper, 'Figure').element.value).toBe('9 lb');
    await at(wrapper, 'Figure').setValue('9 Nm');
    await at(wrapper, 'Read where').setValue('book, 12');
    await wrapper.findAll('form')[0]!.trigger('submit');
    expect(itemOf(job(), 'bracket')?.fasteners?.spec).toMatchObject({ text: '9 Nm', source: 'book, 12' });
  });
  it('or goes by feel, with why, and can be given later', async () => {
    const { wrapper, job, refresh } = await panel();
    await wrapper.findAll('form')[1]!.trigger('submit');
    expect(read(wrapper)).toContain('Say why there is no figure');
    await at(wrapper, 'Or by feel, because').setValue('no book');
    await wrapper.findAll('form')[1]!.trigger('submit');
    expect(itemOf(job(), 'bracket')?.byFeel?.why).toBe('no book');
    await refresh();
    expect(read(wrapper)).toContain('By feel: no book.');
    await press(wrapper, 'Give a figure instead');
    expect(read(wrapper)).toContain('Torque figure wanted');
  });
});
