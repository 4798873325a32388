import { onBeforeUnmount, onMounted, type Ref, ref } from 'vue';

/** The server's clock less this device's, ms. A device whose clock is wrong must not write wrong times into the log. */
let offset = 0;

/** Takes the server's time as heard now. Small differences are the network's. */
export function heardServerTime(iso: string): void {
  const difference = Date.parse(iso) - Date.now();
  offset = Math.abs(difference) > 2000 ? difference : 0;
}

/** Now, ISO, by the server's clock. */
export const nowIso = (): string => new Date(Date.now() + offset).toISOString();

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
