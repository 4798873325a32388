import { mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { type CommandBody, itemOf } from '../../../core/job/index.ts';
import { noFigure } from '../../../core/job/testing/steps.ts';
import { open } from '../../../core/job/testing/samples.ts';
import { field, freshShop, press, read, showJob, stubs } from '../../testing.ts';
import CorrectForm from './CorrectForm.vue';

const off: CommandBody = {
  type: 'remove-item',
  data: { itemId: 'bracket', pocket: 'A1', label: '', countedOut: 2 },
};
beforeEach(() => {
  freshShop();
  vi.restoreAllMocks();
});
function form() {
  const shown = showJob([open, noFigure, off]);
  const item = () => itemOf(shown.job(), 'bracket')!;
  const wrapper = mount(CorrectForm, { props: { job: shown.job(), item: item() }, global: { stubs } });
  const refresh = () => wrapper.setProps({ job: shown.job(), item: item() });
  return { ...shown, wrapper, item, refresh };
}

describe('a line that was wrong', () => {
  it('is put right where it stands, and shows what it was, by whom and why', async () => {
    const { wrapper, item, refresh } = form();
    await press(wrapper, 'Correct');
    expect(wrapper.find<HTMLInputElement>(field(wrapper, 'How many')).element.value).toBe('2');
    await wrapper.find(field(wrapper, 'How many')).setValue('none');
    await wrapper.find('form').trigger('submit');
    expect(read(wrapper)).toContain('Expected a number');
    await wrapper.find(field(wrapper, 'How many')).setValue('3');
    await wrapper.find(field(wrapper, 'Why, where it matters')).setValue('found a third');
    await wrapper.find('form').trigger('submit');
    expect(item().fasteners?.count).toBe(3);
    await refresh();
    expect(wrapper.find('[aria-label="Put right"]').text()).toMatch(
      /3 × M6×16 instead of 2 × M6×16: found a third\s*\. Tomas/,
    );
  });
  it('or never came off', async () => {
    const { wrapper, item } = form();
    await press(wrapper, 'It never came off');
    expect(read(wrapper)).toContain('goes back among what is still on');
    expect(item().state).toBe('off');
    await wrapper.find('form').trigger('submit');
    expect(item()).toMatchObject({ state: 'on', stripOrder: null });
  });
});
