import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h, ref } from 'vue';
import { play } from '../../core/job/testing/play.ts';
import { SAMPLES } from '../../core/job/testing/samples.ts';
import { useJob } from './job.ts';
import { useLiveJob } from './liveJob.ts';

/** A stream that the test speaks into. */
class FakeSource {
  static readonly all: FakeSource[] = [];
  onmessage: ((message: { data: string }) => void) | null = null;
  closed = false;
  readonly url: string;
  constructor(url: string) {
    this.url = url;
    FakeSource.all.push(this);
  }
  close(): void {
    this.closed = true;
  }
}

describe('a job that others work on too', () => {
  beforeEach(() => {
    FakeSource.all.length = 0;
    setActivePinia(createPinia());
    vi.useFakeTimers();
    vi.stubGlobal('EventSource', FakeSource);
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
    const id = ref('j');
    const view = mount(
      defineComponent(() => {
        useLiveJob(() => id.value);
        return () => h('p');
      }),
    );
    return { load, id, view };
  };
  const say = (version: number): void => FakeSource.all.at(-1)?.onmessage?.({ data: String(version) });

  it('is asked for when it has changed, but not for what is known', async () => {
    const { load, view } = look();
    say(2);
    await vi.advanceTimersByTimeAsync(200);
    expect(load).not.toHaveBeenCalled();
    say(3);
    say(4);
    await vi.advanceTimersByTimeAsync(200);
    expect(load).toHaveBeenCalledExactlyOnceWith('j');
    view.unmount();
  });
  it('is let go when another job is opened, when nobody looks, and at the end', async () => {
    const { id, view } = look();
    id.value = 'k';
    await view.vm.$nextTick();
    expect(FakeSource.all.map(({ url, closed }) => [url, closed])).toEqual([
      ['/api/jobs/j/changes', true],
      ['/api/jobs/k/changes', false],
    ]);
    const hidden = vi.spyOn(document, 'visibilityState', 'get').mockReturnValue('hidden');
    document.dispatchEvent(new Event('visibilitychange'));
    expect(FakeSource.all.at(-1)?.closed).toBe(true);
    hidden.mockReturnValue('visible');
    document.dispatchEvent(new Event('visibilitychange'));
    expect(FakeSource.all).toHaveLength(3);
    view.unmount();
    expect(FakeSource.all.at(-1)?.closed).toBe(true);
  });
});
