<script setup lang="ts">
import { ref } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import { format } from '../../../core/quantity/index.ts';
import { METER_FIELDS, readMeter } from '../../../core/vehicle/index.ts';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { useForm } from '../useForm.ts';

/** Odometer or hours, as entered, and how to correct them. */
const props = defineProps<{ job: Job }>();
const form = useForm();
const correcting = ref(false);
const reading = ref('');
const reason = ref('');
const error = ref<string | null>(null);

function correct(): void {
  const { unit } = props.job.reading;
  const parsed = readMeter(reading.value, unit);
  error.value = parsed.ok ? null : parsed.message;
  if (!parsed.ok) return;
  if (form.send('correct-reading', { reading: parsed.reading, reason: reason.value })) correcting.value = false;
}
</script>

<template>
  <div>
    <h3 class="text-sm font-bold">{{ job.reading.unit === 'h' ? 'Running hours' : 'Odometer' }}</h3>
    <p class="figure mt-1 text-title">{{ format(job.reading) }}</p>
    <p v-if="job.vehicle.lastReading" class="mt-1 text-sm text-soft">
      {{ format(job.vehicle.lastReading) }} at the last job
    </p>
    <p v-if="job.readingReason" class="mt-1 text-sm text-soft">{{ job.readingReason }}</p>
    <form v-if="correcting" class="mt-3 grid gap-2" @submit.prevent="correct">
      <FigureField
        v-model="reading"
        label="Reading"
        :field="METER_FIELDS[job.reading.unit]"
        :placeholder="format(job.reading)"
        :error="error ?? form.error('reading')"
      />
      <TextField v-model="reason" label="Why, if it runs backwards" placeholder="cluster replaced" />
      <button type="submit" class="quiet">Correct it</button>
    </form>
    <button v-else-if="job.status === 'open'" type="button" class="faint" @click="correcting = true">
      Correct the reading
    </button>
  </div>
</template>
