import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h } from 'vue';
import { play } from '../../core/job/testing/play.ts';
import { SAMPLES } from '../../core/job/testing/samples.ts';
import { FakeStream } from '../testing.ts';
import { useJob } from './job.ts';
import { useLiveJob } from './liveJob.ts';

describe('a job that others work on too', () => {
  beforeEach(() => {
    FakeStream.all.length = 0;
    setActivePinia(createPinia());
    vi.useFakeTimers();
    vi.stubGlobal('EventSource', FakeStream);
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });
  const look = () => {
    const store = useJob();
    store.id = 'j';
    store.confirmed = play([{ type: 'open-job', data: SAMPLES['open-job'].data }]).job;
    const load = vi.spyOn(store, 'load').mockResolvedValue();
    const view = mount(
      defineComponent(() => {
        useLiveJob(() => 'j');
        return () => h('p');
      }),
    );
    return { load, view };
  };
  const say = (id: string, version: number): void => FakeStream.say({ kind: 'job', id, version });

  it('is asked for once when it has changed, but not for what is known or another', async () => {
    const { load, view } = look();
    say('j', useJob().confirmed!.version);
    await vi.advanceTimersByTimeAsync(200);
    say('k', 9);
    FakeStream.say({ kind: 'rows', list: 'stock' });
    await vi.advanceTimersByTimeAsync(200);
    expect(load).not.toHaveBeenCalled();
    say('j', useJob().confirmed!.version + 1);
    say('j', useJob().confirmed!.version + 2);
    await vi.advanceTimersByTimeAsync(200);
    expect(load).toHaveBeenCalledExactlyOnceWith('j');
    view.unmount();
  });
  it('is asked for after a break, and no more once it is left', async () => {
    const { load, view } = look();
    FakeStream.all[0]?.onopen?.();
    await vi.advanceTimersByTimeAsync(200);
    expect(load).toHaveBeenCalledOnce();
    say('j', 7);
    view.unmount();
    await vi.advanceTimersByTimeAsync(200);
    expect(load).toHaveBeenCalledOnce();
  });
});
