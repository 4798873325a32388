import { flushPromises, mount } from '@vue/test-utils';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeStream, freshShop, read, refusal, serve } from '../testing.ts';
import { useFreshReads, useRead } from './read.ts';

const Shown = {
  props: { path: { type: String, default: null } },
  setup: (props: { path: string | null }) => {
    useFreshReads();
    return useRead<{ name: string }>(() => props.path);
  },
  template: '<p>{{ data?.name }} {{ failed }}</p>',
};
beforeEach(() => {
  freshShop();
  FakeStream.all.length = 0;
  vi.stubGlobal('EventSource', FakeStream);
});

describe('one thing that the server holds', () => {
  it('is asked for by its address, anew by another, and not at all without one', async () => {
    const asked = serve({ 'GET /api/units/a': { name: 'body' }, 'GET /api/units/b': { name: 'valve' } });
    const wrapper = mount(Shown, { props: { path: null as unknown as string } });
    await flushPromises();
    expect(asked).toEqual([]);
    await wrapper.setProps({ path: '/units/a' });
    await flushPromises();
    expect(read(wrapper)).toContain('body');
    await wrapper.setProps({ path: '/units/b' });
    await flushPromises();
    expect(read(wrapper)).toContain('valve');
    wrapper.unmount();
  });
  it('says in words why it cannot be read', async () => {
    serve({ 'GET /api/units/a': refusal(503, 'Another program holds the store.') });
    const wrapper = mount(Shown, { props: { path: '/units/a' } });
    await flushPromises();
    expect(read(wrapper)).toContain('Another program holds the store.');
    wrapper.unmount();
  });
  it('is asked for once for all that changes in a breath, and not for what is another list’s', async () => {
    const asked = serve({ 'GET /api/units/a': { name: 'body' } });
    const wrapper = mount(Shown, { props: { path: '/units/a' } });
    await flushPromises();
    FakeStream.say({ kind: 'rows', list: 'stock' });
    await new Promise((resolve) => setTimeout(resolve, 200));
    expect(asked).toHaveLength(1);
    for (let version = 1; version < 6; version += 1) FakeStream.say({ kind: 'job', id: 'j', version });
    FakeStream.say({ kind: 'rows', list: 'units' });
    await vi.waitFor(() => expect(asked).toHaveLength(2));
    await new Promise((resolve) => setTimeout(resolve, 200));
    expect(asked).toHaveLength(2);
    wrapper.unmount();
  });
});
