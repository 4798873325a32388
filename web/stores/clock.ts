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

/** The time, renewed every second while the component is on the screen. */
export function useNow(): Ref<string> {
  const now = ref(nowIso());
  let timer: ReturnType<typeof setInterval> | undefined;
  onMounted(() => {
    timer = setInterval(() => {
      now.value = nowIso();
    }, 1000);
  });
  onBeforeUnmount(() => clearInterval(timer));
  return now;
}

/** The time, renewed every half minute: for what changes by the minute and should not draw a sheet every second. */
export function useMinute(): Ref<string> {
  const now = ref(nowIso());
  let timer: ReturnType<typeof setInterval> | undefined;
  onMounted(() => {
    timer = setInterval(() => {
      now.value = nowIso();
    }, 30_000);
  });
  onBeforeUnmount(() => clearInterval(timer));
  return now;
}
