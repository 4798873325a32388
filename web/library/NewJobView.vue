<script setup lang="ts">
import { computed, reactive, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { VehicleFile } from '../../contract/index.ts';
import { format } from '../../core/quantity/index.ts';
import { engineLine, isLooseUnit, METER_FIELDS, readMeter, vehicleName } from '../../core/vehicle/index.ts';
import { JOB_KINDS } from '../../core/job/index.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import DraftNote from '../forms/DraftNote.vue';
import { dropDraft, keepDraft, readDraft } from '../forms/drafts.ts';
import FigureField from '../parts/FigureField.vue';
import TextField from '../parts/TextField.vue';
import { ApiError } from '../data/api.ts';
import { sendCommand } from '../data/jobs.ts';
import { readVehicle } from '../data/vehicles.ts';
import { nowIso } from '../stores/clock.ts';
import { freshId } from '../stores/job.ts';
import { useShop } from '../stores/shop.ts';

const route = useRoute();
const router = useRouter();
const shop = useShop();
const file = shallowRef<VehicleFile | null>(null);
const text = reactive({ complaint: '', reading: '', reason: '' });
const errors = ref<Readonly<Record<string, string>>>({});
const general = ref('');
const busy = ref(false);
// Made once, so that a second press opens no second job.
const jobId = freshId();
const commandId = freshId();
const planId = freshId();
/** What the job is for: planned work needs no fault. */
const kind = ref<keyof typeof JOB_KINDS | null>(route.query.planned === 'service' ? 'service' : 'fault');
const planned = computed(() => kind.value === 'service' || kind.value === 'replacement');

/** What was typed and not sent comes back, also over a reload. */
const restored = ref(false);
const draftName = (): string => `job.${String(route.params.id)}`;
const startWith = (typed: typeof text): void => void Object.assign(text, typed);
watch(text, (typed) => {
  if (Object.values(typed).every((each) => each === '')) dropDraft(draftName());
  else keepDraft(draftName(), { text: typed, basedOn: 0 });
});
function startAfresh(): void {
  startWith({ complaint: '', reading: '', reason: '' });
  restored.value = false;
}

watch(
  () => String(route.params.id),
  async (id) => {
    restored.value = false;
    const draft = readDraft(draftName(), text);
    if (draft !== null) startWith(draft.text);
    restored.value = draft !== null;
    file.value = await readVehicle(id).catch((error: unknown) => {
      general.value = error instanceof Error ? error.message : String(error);
      return null;
    });
  },
  { immediate: true },
);
const vehicle = computed(() => file.value?.vehicle ?? null);
const loose = computed(() => vehicle.value !== null && isLooseUnit(vehicle.value));
const asksReason = computed(
  () => errors.value['data.reading']?.includes('last reading') === true || text.reason !== '',
);

async function open(): Promise<void> {
  if (vehicle.value === null) return;
  const unit = vehicle.value.meterUnit;
  // A loose unit has no meter to read.
  const parsed = loose.value ? ({ ok: true, reading: { value: 0, unit } } as const) : readMeter(text.reading, unit);
  errors.value = parsed.ok ? {} : { 'data.reading': parsed.message };
  if (!parsed.ok) return;
  busy.value = true;
  general.value = '';
  try {
    const opened = await sendCommand(jobId, {
      id: commandId,
      at: nowIso(),
      by: shop.personId,
      seen: 0,
      type: 'open-job',
      data: {
        vehicleId: vehicle.value.id,
        reading: parsed.reading,
        readingReason: text.reason,
        complaint: text.complaint,
      },
    });
    if (planned.value && kind.value !== null)
      await sendCommand(jobId, {
        id: planId,
        at: nowIso(),
        by: shop.personId,
        seen: opened.version,
        type: 'plan-work',
        data: { kind: kind.value, what: text.complaint.trim() },
      });
    dropDraft(draftName());
    await router.push(`/jobs/${jobId}`);
  } catch (error) {
    if (error instanceof ApiError) errors.value = error.fields;
    if (Object.keys(errors.value).length === 0) general.value = error instanceof Error ? error.message : String(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <template v-if="vehicle">
      <div class="flex flex-wrap items-center gap-4">
        <span class="plate px-3 py-1 text-2xl">{{ vehicle.plate }}</span>
        <div>
          <h1 class="text-xl">A new job on {{ vehicleName(vehicle) }}</h1>
          <p class="text-soft">{{ engineLine(vehicle) }}</p>
        </div>
      </div>
      <DraftNote class="max-w-xl" :restored="restored" @afresh="startAfresh" />
      <form class="mt-6 grid max-w-xl gap-4" novalidate @submit.prevent="open">
        <ChoiceRow
          v-model="kind"
          label="What is it for"
          :options="Object.entries(JOB_KINDS).map(([id, name]) => ({ id: id as keyof typeof JOB_KINDS, name }))"
        />
        <TextField
          v-model="text.complaint"
          :label="planned ? 'What is planned?' : 'What does the owner say?'"
          :lines="3"
          :placeholder="
            planned ? 'Clean the throttle at its interval.' : 'Hunts at the quay, stalls when it comes to rest.'
          "
          :error="errors['data.complaint']"
        />
        <FigureField
          v-if="!loose"
          v-model="text.reading"
          :label="vehicle.meterUnit === 'h' ? 'Running hours' : `Odometer, ${vehicle.meterUnit}`"
          :field="METER_FIELDS[vehicle.meterUnit]"
          :placeholder="vehicle.lastReading ? format(vehicle.lastReading) : '148220'"
          :error="errors['data.reading']"
          v-bind="vehicle.lastReading ? { hint: `${format(vehicle.lastReading)} at the last job` } : {}"
        />
        <TextField
          v-if="asksReason"
          v-model="text.reason"
          label="Why is it less than before?"
          placeholder="cluster replaced"
        />
        <p v-if="general" class="font-semibold text-alarm" role="alert">{{ general }}</p>
        <button type="submit" class="primary justify-self-start" :disabled="busy">Open the job</button>
      </form>
    </template>
    <p v-else-if="general" role="alert">
      {{ general }} <RouterLink class="link" to="/vehicles">To the vehicles</RouterLink>
    </p>
    <p v-else class="text-soft" aria-busy="true">Opening the vehicle file</p>
  </section>
</template>
