import { onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import type { AdapterLinkInfo } from '../../../contract/index.ts';
import type { Job } from '../../../core/job/index.ts';
import { isWorthTelling, type ReadingName, READINGS, type Run } from '../../../core/relearn/index.ts';
import { readLinks, readVehicleData } from '../../data/adapter.ts';

/** How long to wait between two questions to the adapter, ms: it answers a handful a second at best. */
const EVERY_MS = 3000;

/**
 * The adapter's readings for the run on the screen, while somebody has it read: only what the step asks for and only
 * when it changes something is entered. Where no adapter answers, readings are typed.
 */
export function useAdapterReadings(
  job: () => Job | null,
  run: () => Run | null,
  take: (name: ReadingName, value: number) => void,
) {
  const links = shallowRef<readonly AdapterLinkInfo[]>([]);
  const chosen = ref('');
  const reading = ref(false);
  const wrong = ref('');
  let timer: ReturnType<typeof setTimeout> | undefined;
  let asked = 0;

  onMounted(async () => {
    try {
      links.value = await readLinks();
      chosen.value =
        links.value.find(({ vehicleId }) => vehicleId === job()?.vehicle.id)?.id ?? links.value[0]?.id ?? '';
    } catch {
      // Without an adapter everything is typed; the complaint says more.
    }
  });

  async function once(mine: number): Promise<void> {
    try {
      const { vin, values, gone, problems } = await readVehicleData(chosen.value, job()?.id ?? '', false);
      const own = job()?.vehicle.vin ?? '';
      if (mine !== asked) return;
      if (vin !== '' && own !== '' && vin !== own) return stop('The adapter is in another vehicle.');
      const now = run();
      if (now !== null)
        for (const [name, { pid }] of Object.entries(READINGS) as [ReadingName, { pid: number }][]) {
          const value = values.find((each) => each.pid === pid)?.value;
          if (value !== undefined && isWorthTelling(run() ?? now, name, value)) take(name, value);
        }
      if (gone) return stop(problems[0] ?? 'The adapter went away. Type the readings.');
      timer = setTimeout(() => void once(mine), EVERY_MS);
    } catch (error) {
      if (mine === asked) stop(error instanceof Error ? error.message : String(error));
    }
  }
  function start(): void {
    asked += 1;
    reading.value = true;
    wrong.value = '';
    void once(asked);
  }
  function stop(why = ''): void {
    asked += 1;
    reading.value = false;
    wrong.value = why;
    clearTimeout(timer);
  }
  onBeforeUnmount(() => stop());
  return { links, chosen, reading, wrong, start, stop };
}
