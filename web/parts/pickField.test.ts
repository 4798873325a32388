import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { field, freshShop, pick, read } from '../testing.ts';
import PickField from './PickField.vue';

const picks = Array.from({ length: 90 }, (_, index) => ({
  id: `p${index}`,
  words: `Part ${index}`,
  about: `NP-${index}`,
}));
const show = (more: object = {}) =>
  mount(PickField, {
    props: { label: 'Part', modelValue: '', picks, ...more } as never,
    attachTo: document.body,
  });
const options = (wrapper: ReturnType<typeof show>) => wrapper.findAll('[role="option"]').map(read);
beforeEach(freshShop);

describe('one of many', () => {
  it('is shown at a tap into the field, so many of them, with how many more there are', async () => {
    const wrapper = show({ none: 'none of them' });
    expect(options(wrapper)).toEqual([]);
    await wrapper.find(field(wrapper, 'Part')).trigger('click');
    await vi.waitFor(() => expect(options(wrapper)).toHaveLength(61));
    expect(options(wrapper)[0]).toBe('none of them');
    expect(read(wrapper)).toContain('30 more; type on.');
    // A second tap into it does not take the list away.
    await wrapper.find(field(wrapper, 'Part')).trigger('click');
    expect(options(wrapper)).toHaveLength(61);
    wrapper.unmount();
  });
  it('is found by the beginning of its words, in any order, and by what tells it from others', async () => {
    const wrapper = show();
    await pick(wrapper, 'Part', '77 par', 'Part 77');
    expect(wrapper.emitted('update:modelValue')).toEqual([['p77']]);
    await wrapper.find(field(wrapper, 'Part')).setValue('np 12');
    await vi.waitFor(() => expect(options(wrapper)).toHaveLength(1));
    await wrapper.find(field(wrapper, 'Part')).setValue('nothing like it');
    await vi.waitFor(() => expect(read(wrapper)).toContain('Nothing fits “nothing like it”.'));
    wrapper.unmount();
  });
  it('is named by its label, says what is wrong, and what is picked', () => {
    const wrapper = show({ modelValue: 'p3', error: 'Which part?' });
    const input = wrapper.find<HTMLInputElement>(field(wrapper, 'Part'));
    expect(document.getElementById(input.attributes('aria-labelledby') ?? '')?.textContent).toBe('Part');
    expect(input.element.value).toBe('Part 3');
    expect(input.attributes('aria-invalid')).toBe('true');
    expect(read(wrapper)).toContain('Which part?');
    wrapper.unmount();
  });
  it('is looked for on the server; a late answer is dropped, and a failure is said', async () => {
    const answers: ((found: typeof picks) => void)[] = [];
    const look = vi.fn(() => new Promise<typeof picks>((resolve) => answers.push(resolve)));
    const wrapper = show({ picks: undefined, look });
    const input = wrapper.find(field(wrapper, 'Part'));
    await input.trigger('click');
    await input.setValue('p');
    await input.setValue('pa');
    answers.at(-1)?.(picks.slice(0, 2));
    await flushPromises();
    answers[0]?.(picks.slice(5, 9));
    await flushPromises();
    await vi.waitFor(() => expect(options(wrapper)).toHaveLength(2));
    look.mockRejectedValueOnce(new Error('The server is out of reach.'));
    await input.setValue('par');
    await vi.waitFor(() => expect(read(wrapper)).toContain('The server is out of reach.'));
    wrapper.unmount();
  });
});
