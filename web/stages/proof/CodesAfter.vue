<script setup lang="ts">
import { computed, ref } from 'vue';
import { codeStands, type Job, sinceCleared } from '../../../core/job/index.ts';
import { FIELDS, readFigure } from '../../../core/quantity/index.ts';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import CodesList from '../complaint/CodesList.vue';
import { useForm } from '../useForm.ts';

/** Codes read after the work, and how far it was driven since they were cleared. */
const props = defineProps<{ job: Job }>();
const form = useForm();
const outForm = useForm();
const code = ref('');
const driven = ref('');
const drivenError = ref<string | null>(null);
const wasCleared = computed(() => props.job.clearings.some(({ ended }) => ended?.outcome === 'cleared'));
const since = computed(() => sinceCleared(props.job));
/** Read, and nothing came off or was cleared since. */
const stands = computed(() => props.job.codesRead.after !== null && codeStands(props.job, props.job.codesRead.after));
const unit = computed(() => props.job.vehicle.meterUnit);
const DISTANCE = { ...FIELDS.odometerKm, plausible: [0, 5000] } as const;
const field = computed(() =>
  unit.value === 'h' ? FIELDS.runningHours : unit.value === 'mi' ? { ...DISTANCE, assume: 'mi' as const } : DISTANCE,
);
function addCode(): void {
  if (form.send('read-code', { id: freshId(), code: code.value, status: 'stored', when: 'after', note: '' }))
    code.value = '';
}
function readOut(): void {
  drivenError.value = null;
  const text = driven.value.trim();
  if (text === '') return void outForm.send('read-codes-out', { when: 'after' });
  const read = readFigure(text, field.value);
  if (!read.ok) drivenError.value = read.message;
  else if (
    outForm.send('read-codes-out', { when: 'after', driven: { value: read.value, unit: unit.value, text: read.text } })
  )
    driven.value = '';
}
</script>

<template>
  <div>
    <CodesList :job="job" when="after" />
    <p
      v-if="job.codesRead.after !== null && since.words"
      class="text-sm"
      :class="since.driven ? 'text-soft' : 'font-semibold text-brass'"
    >
      {{ since.words }}
    </p>
    <div v-if="job.status === 'open'" class="mt-2 flex max-w-3xl flex-wrap items-start gap-x-3 gap-y-2">
      <form class="flex items-start gap-2" @submit.prevent="addCode">
        <TextField
          v-model="code"
          label="A code that came back"
          placeholder="P0505"
          class="w-48"
          :error="form.error('code') ?? form.general('code')"
        />
        <button type="submit" class="quiet mt-6">Add</button>
      </form>
      <form class="flex items-start gap-2" @submit.prevent="readOut">
        <FigureField
          v-if="wasCleared"
          v-model="driven"
          class="w-52"
          :label="`Driven since cleared, ${unit}`"
          :field="field"
          :error="drivenError ?? outForm.error('driven')"
        />
        <button v-if="!stands || wasCleared" type="button" class="quiet mt-6" @click="readOut">
          {{
            job.codesRead.after !== null
              ? 'Read again'
              : job.codes.some(({ when }) => when === 'after')
                ? 'That is all'
                : 'Read: none stored'
          }}
        </button>
      </form>
    </div>
  </div>
</template>
