import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h, nextTick } from 'vue';
import ClockNote from '../shell/ClockNote.vue';
import { api } from '../data/api.ts';
import { clockOffset, deviceIso, heardServerTime, nowIso, putRight } from './clock.ts';
import { useShop } from './shop.ts';
import { useToday } from './today.ts';

beforeEach(() => {
  setActivePinia(createPinia());
  vi.useFakeTimers({ now: new Date('2026-05-14T12:00:00.000Z') });
});
afterEach(() => {
  clockOffset.value = 0;
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the clock of this device', () => {
  it('is put right by what is heard at each contact', async () => {
    let shopTime = '2026-05-13T12:00:00.000Z';
    vi.stubGlobal('fetch', async () => new Response('{}', { headers: { 'x-shop-time': shopTime } }));
    await api.get('/health');
    expect([deviceIso(), nowIso()]).toEqual(['2026-05-14T12:00:00.000Z', '2026-05-13T12:00:00.000Z']);
    expect(putRight('2026-05-14T09:00:00.000Z')).toBe('2026-05-13T09:00:00.000Z');
    // Somebody has set it: the next contact says that it is right.
    shopTime = '2026-05-14T12:00:01.500Z';
    await api.get('/health');
    expect(nowIso()).toBe('2026-05-14T12:00:00.000Z');
  });
  it('is told about only when it is out by more than anybody would mind', async () => {
    const note = mount(ClockNote);
    heardServerTime('2026-05-14T12:00:40.000Z');
    await nextTick();
    expect(note.text()).toBe('');
    heardServerTime('2026-05-14T12:08:00.000Z');
    await nextTick();
    expect(note.text()).toContain('This tablet’s clock is 8 min behind.');
    heardServerTime('2026-05-13T12:00:00.000Z');
    await nextTick();
    expect(note.text()).toContain('This tablet’s clock is 24 h ahead.');
    heardServerTime('no time');
    await nextTick();
    expect(note.text()).toContain('24 h ahead');
  });
});

describe('today', () => {
  const show = () => {
    const seen: string[] = [];
    const wrapper = mount(
      defineComponent({
        setup: () => {
          const today = useToday();
          return () => {
            seen.push(today.value);
            return h('p', today.value);
          };
        },
      }),
    );
    return { wrapper, seen };
  };
  it('turns at midnight of the shop on an open page', async () => {
    useShop().settings = { ...useShop().settings, timeZone: 'Europe/London' };
    vi.setSystemTime(new Date('2026-05-14T22:59:00.000Z'));
    const { wrapper } = show();
    expect(wrapper.text()).toBe('2026-05-14');
    // 23:59 by the wall in London; a minute later the day has turned there, in universal time it has not.
    await vi.advanceTimersByTimeAsync(61_000);
    expect(wrapper.text()).toBe('2026-05-15');
    expect(deviceIso()).toMatch(/^2026-05-14/);
    await vi.advanceTimersByTimeAsync(24 * 3_600_000);
    expect(wrapper.text()).toBe('2026-05-16');
    wrapper.unmount();
    expect(vi.getTimerCount()).toBe(0);
  });
  it('is another where the shop is said to be elsewhere', async () => {
    vi.setSystemTime(new Date('2026-05-14T22:59:00.000Z'));
    const { wrapper } = show();
    expect(wrapper.text()).toBe('2026-05-14');
    useShop().settings = { ...useShop().settings, timeZone: 'Pacific/Auckland' };
    await nextTick();
    await nextTick();
    expect(wrapper.text()).toBe('2026-05-15');
  });
});
