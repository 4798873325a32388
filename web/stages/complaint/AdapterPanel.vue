<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { AdapterLinkInfo, AdapterReading } from '../../../contract/index.ts';
import { type Job, sinceCleared, type When } from '../../../core/job/index.ts';
import { DRIVEN_SINCE_CLEARED } from '../../../core/obd/index.ts';
import { DTC_MEANINGS, type MeterReading } from '../../../core/vehicle/index.ts';
import { clearCodes, readLinks, readVehicleData } from '../../data/adapter.ts';
import { nowIso } from '../../stores/clock.ts';
import { freshId, useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';

/** The diagnostic adapter: reads codes, freeze frame and live values onto the job, and clears codes after asking. */
const props = defineProps<{ job: Job; when: When }>();
const store = useJob();
const shop = useShop();
const links = shallowRef<readonly AdapterLinkInfo[]>([]);
const chosen = ref('');
const busy = ref('');
const wrong = ref('');
const reading = shallowRef<AdapterReading | null>(null);
const asking = ref(false);

onMounted(async () => {
  try {
    links.value = await readLinks();
    chosen.value =
      links.value.find(({ vehicleId }) => vehicleId === props.job.vehicle.id)?.id ?? links.value[0]?.id ?? '';
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : String(error);
  }
});
const foreign = computed(
  () =>
    reading.value !== null &&
    reading.value.vin !== '' &&
    props.job.vehicle.vin !== '' &&
    reading.value.vin !== props.job.vehicle.vin,
);

async function work(words: string, step: () => Promise<void>): Promise<void> {
  busy.value = words;
  wrong.value = '';
  try {
    await step();
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : String(error);
  } finally {
    busy.value = '';
  }
}
const read = () =>
  work('Reading the vehicle', async () => {
    reading.value = null;
    reading.value = await readVehicleData(chosen.value, props.job.id);
  });

/** Onto the job: only what is not there yet. Codes that another vehicle sent are not taken unasked. */
function keep(): void {
  const got = reading.value;
  if (got === null) return;
  const refusals: string[] = [];
  const send = (refusal: ReturnType<typeof store.send>): void => {
    if (refusal !== null && refusal.code !== 'already-there') refusals.push(refusal.message);
  };
  for (const [codes, status] of [
    [got.stored, 'stored'],
    [got.pending, 'pending'],
  ] as const)
    for (const code of codes)
      send(store.send('read-code', { id: freshId(), code, status, when: props.when, note: '' }));
  if (got.codesRead && (props.when === 'after' || props.job.codesRead.before === null))
    send(store.send('read-codes-out', { when: props.when, ...drivenSinceCleared(got) }));
  if (got.frame !== null) send(store.send('read-frame', { id: freshId(), ...got.frame }));
  if (got.values.length > 0)
    send(store.send('read-values', { id: freshId(), when: props.when, values: got.values, from: chosen.value }));
  wrong.value = refusals.join(' ');
  if (refusals.length === 0) reading.value = null;
}
/** As the vehicle counts it; where it does not, what somebody typed since the clearing still stands. */
function drivenSinceCleared({ values }: AdapterReading): { driven?: MeterReading } {
  if (props.when === 'before') return {};
  const counted = values.find(({ pid }) => pid === DRIVEN_SINCE_CLEARED);
  const typed = sinceCleared(props.job).driven ? props.job.codesRead.after?.driven : undefined;
  const driven = counted === undefined ? typed : { value: counted.value, unit: 'km' as const };
  return driven === undefined ? {} : { driven };
}
const clear = () =>
  work('Clearing', async () => {
    asking.value = false;
    const reply = await clearCodes({
      link: chosen.value,
      jobId: props.job.id,
      commandId: freshId(),
      at: nowIso(),
      seen: store.confirmed?.version ?? 0,
    });
    store.take(reply);
  });
</script>

<template>
  <div class="grid gap-3">
    <div class="flex flex-wrap items-end gap-3">
      <label class="min-w-64 flex-1">
        <span class="mb-1 block text-sm font-semibold">Adapter</span>
        <select v-model="chosen" class="input">
          <option v-for="link in links" :key="link.id" :value="link.id">{{ link.name }}</option>
        </select>
      </label>
      <button type="button" class="primary" :disabled="chosen === '' || busy !== ''" @click="read">
        {{ busy || 'Read codes and values' }}
      </button>
    </div>
    <p v-if="wrong" class="font-semibold text-alarm" role="alert">{{ wrong }}</p>
    <div v-if="reading" class="grid gap-2 border-y border-line py-3" role="status">
      <p v-if="foreign" class="font-semibold text-alarm">
        This adapter is plugged into another vehicle: VIN {{ reading.vin }}, expected {{ job.vehicle.vin }}.
      </p>
      <p v-if="reading.gone" class="font-semibold text-brass">
        The adapter went away while reading. What came before is here.
      </p>
      <ul v-if="reading.stored.length + reading.pending.length > 0" class="rows">
        <li v-for="code in [...reading.stored, ...reading.pending]" :key="code" class="flex gap-3 py-1">
          <span class="code font-bold">{{ code }}</span>
          <span>{{ DTC_MEANINGS.get(code) ?? 'unknown here; it is kept' }}</span>
          <span class="ml-auto text-sm text-soft">{{ reading.stored.includes(code) ? 'stored' : 'pending' }}</span>
        </li>
      </ul>
      <p v-else-if="reading.codesRead">No codes stored or pending.</p>
      <dl v-if="reading.values.length > 0" class="grid grid-cols-2 gap-x-6 sm:grid-cols-3">
        <div
          v-for="value in reading.values"
          :key="value.pid"
          class="flex items-baseline justify-between gap-2 border-b border-line py-1"
        >
          <dt class="text-sm text-soft">{{ value.name }}</dt>
          <dd class="whitespace-nowrap font-bold">{{ value.value }} {{ value.unit }}</dd>
        </div>
      </dl>
      <p v-for="problem in reading.problems" :key="problem" class="text-sm text-brass">{{ problem }}</p>
      <button type="button" class="primary justify-self-start" @click="keep">
        {{ foreign ? 'Keep it on this job all the same' : 'Keep it on the job' }}
      </button>
    </div>
    <div v-if="job.status === 'open'" class="flex flex-wrap items-center gap-3">
      <button
        v-if="!asking"
        type="button"
        class="quiet text-sm"
        :disabled="chosen === '' || busy !== ''"
        @click="asking = true"
      >
        Clear the codes in the vehicle
      </button>
      <template v-else>
        <p class="w-full font-semibold">
          The vehicle forgets its codes, freeze frame and what it has learned of the mixture. What is stored is kept on
          this job first.
        </p>
        <button type="button" class="primary" @click="clear">Clear them</button>
        <button type="button" class="quiet" @click="asking = false">Leave them</button>
      </template>
    </div>
    <ul v-if="job.clearings.length > 0" class="text-sm text-soft">
      <li v-for="clearing in job.clearings" :key="clearing.id">
        {{ shop.say.time(clearing.at) }}: {{ clearing.codes.join(', ') || 'no codes' }}
        {{
          clearing.ended === null
            ? 'were to be cleared; how it ended is not known'
            : clearing.ended.outcome === 'cleared'
              ? 'cleared'
              : `not cleared: ${clearing.ended.words}`
        }}
      </li>
    </ul>
  </div>
</template>
