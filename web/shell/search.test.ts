import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { freshShop, serve, stubs } from '../testing.ts';
import SearchSheet from './SearchSheet.vue';

vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ push: () => undefined }),
}));

beforeEach(() => {
  freshShop();
  vi.unstubAllGlobals();
});

const found = (ref: string) => ({
  groups: [{ kind: 'job', more: false, rows: [{ ref, title: ref, about: '', parts: [], status: 'open' }] }],
});

describe('search by keyboard', () => {
  it('goes into what was found for the words that stand there, never for those before', async () => {
    let answer: (reply: unknown) => void = () => undefined;
    const late = new Promise((resolve) => (answer = resolve));
    serve({ 'GET /api/search': found('job-1') });
    const wrapper = mount(SearchSheet, {
      global: { stubs: { ...stubs, SheetDialog: { template: '<div><slot /></div>' } } },
      attachTo: document.body,
    });
    const field = wrapper.find('input');
    await field.setValue('ring');
    await flushPromises();
    expect(wrapper.find('[data-found]').text()).toContain('job-1');
    vi.stubGlobal('fetch', async () => {
      await late;
      return new Response(JSON.stringify(found('job-2')), { status: 200 });
    });
    field.element.focus();
    await field.setValue('229');
    await field.trigger('keydown', { key: 'ArrowDown' });
    // What stands there still is of the words before.
    expect(document.activeElement).toBe(field.element);
    answer(null);
    await flushPromises();
    await field.trigger('keydown', { key: 'ArrowDown' });
    expect(document.activeElement?.textContent).toContain('job-2');
  });
});
