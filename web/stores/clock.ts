import { onBeforeUnmount, onMounted, type Ref, ref } from 'vue';

/** Small differences are the network's, ms. */
const NETWORK_MS = 2000;

/** The server's clock less this device's, ms: measured at each contact, 0 where the network explains it. */
export const clockOffset = ref(0);

/** Takes the server's time as heard now. */
export function heardServerTime(iso: string): void {
  const difference = Date.parse(iso) - Date.now();
  if (Number.isNaN(difference)) return;
  clockOffset.value = Math.abs(difference) > NETWORK_MS ? difference : 0;
}

/** Now by this device's own clock, ISO: what an entry is sent with, beside when it was sent. */
export const deviceIso = (): string => new Date(Date.now()).toISOString();

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
