import { WORLD } from '../data/world.ts';
import { onBeforeUnmount, onMounted, type Ref, ref } from 'vue';

/** Small differences are the network's, ms. */
const NETWORK_MS = 2000;

/** The server's clock less this device's, ms: measured at each contact, 0 where the network explains it. */
export const clockOffset = ref(0);

/** The practice clock as it was heard: its time, how fast it ran then, and until which of its times. */
let practice: PracticeClock | null = null;
interface PracticeClock {
  readonly at: number;
  readonly heardAt: number;
  readonly fast: number;
  readonly until: number;
}

/** What a practice clock shows now. @param now ms since 1970, by this device */
export function practiceNow({ at, heardAt, fast, until }: PracticeClock, now: number): number {
  const passed = Math.max(0, now - heardAt);
  if (fast === 0) return at;
  const needs = Math.max(0, until - at) / fast;
  return passed < needs ? at + passed * fast : Math.max(at, until) + (passed - needs);
}

/**
 * Takes the server's time as heard now.
 * @param pace of a practice clock: `20 2026-…`, so many times as fast until then; `0` while it stands still
 */
export function heardServerTime(iso: string, pace: string | null = null): void {
  if (pace !== null) {
    // A page of the shop goes by the shop's clock, whatever it asks of practice.
    if (WORLD.practice === null) return;
    const [fast = '1', until = ''] = pace.split(' ');
    clockOffset.value = 0;
    practice = { at: Date.parse(iso), heardAt: Date.now(), fast: Number(fast), until: Date.parse(until) || 0 };
    return;
  }
  // What the shop answers meanwhile has the shop's time.
  if (practice !== null) return;
  const difference = Date.parse(iso) - Date.now();
  if (Number.isNaN(difference)) return;
  clockOffset.value = Math.abs(difference) > NETWORK_MS ? difference : 0;
}

/** Now by this device's own clock, ISO: what an entry is sent with, beside when it was sent. In practice by the practice clock. */
export const deviceIso = (): string =>
  new Date(practice === null ? Date.now() : practiceNow(practice, Date.now())).toISOString();

/** A time of this device's clock by the server's, as far as that was heard. */
export const putRight = (deviceAt: string): string => new Date(Date.parse(deviceAt) + clockOffset.value).toISOString();

/** Now, ISO, by the server's clock. A device whose clock is wrong must not show wrong times. */
export const nowIso = (): string => putRight(deviceIso());

/** The time, renewed while the component is on the screen. @param everyMs every second unless said otherwise */
export function useNow(everyMs = 1000): Ref<string> {
  const now = ref(nowIso());
  let timer: ReturnType<typeof setInterval> | undefined;
  onMounted(() => {
    timer = setInterval(() => {
      now.value = nowIso();
    }, everyMs);
  });
  onBeforeUnmount(() => clearInterval(timer));
  return now;
}

/** The time, renewed every half minute: for what changes by the minute and should not draw a sheet every second. */
export const useMinute = (): Ref<string> => useNow(30_000);
