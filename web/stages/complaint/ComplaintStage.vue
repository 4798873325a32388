<script setup lang="ts">
import { computed, ref } from 'vue';
import { SYMPTOMS } from '../../../core/job/index.ts';
import { format, parseQuantity } from '../../../core/quantity/index.ts';
import { type MeterUnit, parseDtc } from '../../../core/vehicle/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import CodesList from '../CodesList.vue';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';

const store = useJob();
const symptomForm = useForm();
const codeForm = useForm();
const historyForm = useForm();
const readingForm = useForm();
const words = ref('');
const code = ref('');
const status = ref<'stored' | 'pending' | null>('stored');
const note = ref('');
const since = ref(store.job?.since ?? '');
const doneBefore = ref(store.job?.doneBefore ?? '');
const correcting = ref(false);
const reading = ref('');
const reason = ref('');
const readingError = ref<string | null>(null);

const job = computed(() => store.job);
const open = computed(() => job.value?.status === 'open');
const explained = computed(() => {
  const parsed = parseDtc(code.value);
  return parsed.ok
    ? `${parsed.dtc.meaning ?? 'Not in our list; it is kept and marked unknown'}. ${parsed.dtc.scope === 'generic' ? 'Generic' : 'Maker’s own'}, ${parsed.dtc.group}.`
    : '';
});
const noted = (text: string) => job.value?.symptoms.find((symptom) => symptom.text === text);
function toggle(text: string): void {
  const known = noted(text);
  symptomForm.send(known ? 'strike-symptom' : 'note-symptom', known ? { id: known.id } : { id: freshId(), text });
}
function addWords(): void {
  if (symptomForm.send('note-symptom', { id: freshId(), text: words.value })) words.value = '';
}
function addCode(): void {
  if (
    codeForm.send('read-code', {
      id: freshId(),
      code: code.value,
      status: status.value ?? 'stored',
      when: 'before',
      note: note.value,
    })
  ) {
    code.value = '';
    note.value = '';
  }
}
function correct(): void {
  const unit = job.value?.reading.unit ?? 'km';
  const parsed = parseQuantity(reading.value, unit === 'h' ? 'duration' : 'distance', unit);
  readingError.value = parsed.ok ? null : parsed.message;
  if (
    parsed.ok &&
    readingForm.send('correct-reading', {
      reading: { value: parsed.quantity.value, unit: parsed.quantity.unit as MeterUnit },
      reason: reason.value,
    })
  )
    correcting.value = false;
}
</script>

<template>
  <StageFrame v-if="job" stage="complaint" title="Complaint" :lead="`“${job.complaint}”`">
    <fieldset class="mt-5" :disabled="!open">
      <legend class="mb-2 text-sm font-bold">What is noticed</legend>
      <div class="flex flex-wrap gap-2">
        <button
          v-for="text in SYMPTOMS"
          :key="text"
          type="button"
          class="quiet"
          :aria-pressed="Boolean(noted(text))"
          @click="toggle(text)"
        >
          {{ text }}
        </button>
        <button
          v-for="symptom in job.symptoms.filter(({ text }) => !SYMPTOMS.includes(text as never))"
          :key="symptom.id"
          type="button"
          class="quiet"
          aria-pressed="true"
          @click="toggle(symptom.text)"
        >
          {{ symptom.text }}
        </button>
      </div>
      <form class="mt-3 flex max-w-xl items-start gap-2" @submit.prevent="addWords">
        <TextField
          v-model="words"
          class="flex-1"
          label="In other words"
          placeholder="whistles on the hill"
          :error="symptomForm.error('text') ?? symptomForm.general('text')"
        />
        <button type="submit" class="quiet mt-6">Note it</button>
      </form>
    </fieldset>

    <h3 class="mb-1 mt-7 text-sm font-bold">Codes read before</h3>
    <CodesList :job="job" when="before" />
    <form v-if="open" class="mt-3 grid max-w-2xl gap-3 sm:grid-cols-[150px_auto_1fr]" @submit.prevent="addCode">
      <TextField
        v-model="code"
        label="Code"
        placeholder="P0505"
        :error="codeForm.error('code') ?? codeForm.general('code')"
      />
      <ChoiceRow
        v-model="status"
        label="Status"
        :options="[
          { id: 'stored', name: 'stored' },
          { id: 'pending', name: 'pending' },
        ]"
      />
      <TextField v-model="note" label="Freeze frame, in words" placeholder="warm, 610 rpm, 0 km/h" />
      <p v-if="explained" class="text-soft sm:col-span-3">{{ explained }}</p>
      <div class="flex gap-2 sm:col-span-3">
        <button type="submit" class="quiet">Add the code</button>
        <button
          v-if="job.codesRead.before === null"
          type="button"
          class="quiet"
          @click="codeForm.send('read-codes-out', { when: 'before' })"
        >
          {{ job.codes.some(({ when }) => when === 'before') ? 'That is all of them' : 'Read: none stored' }}
        </button>
      </div>
    </form>

    <h3 class="mb-2 mt-7 text-sm font-bold">Before this</h3>
    <form
      class="grid max-w-2xl gap-3 sm:grid-cols-2"
      @submit.prevent="historyForm.send('tell-history', { since, doneBefore })"
    >
      <TextField v-model="since" label="Since when" placeholder="about a month" />
      <TextField v-model="doneBefore" label="What was done before" placeholder="battery changed in spring" />
      <button
        v-if="open && (since !== job.since || doneBefore !== job.doneBefore)"
        type="submit"
        class="quiet justify-self-start"
      >
        Keep this
      </button>
    </form>

    <template #why>
      <div>
        <h3 class="text-lg">{{ job.reading.unit === 'h' ? 'Running hours' : 'Odometer' }}</h3>
        <p class="figure mt-2 text-[2.25rem]">{{ format(job.reading) }}</p>
        <p v-if="job.vehicle.lastReading" class="mt-1 text-sm text-soft">
          {{ format(job.vehicle.lastReading) }} at the last job
        </p>
        <p v-if="job.readingReason" class="mt-1 text-sm text-soft">{{ job.readingReason }}</p>
        <form v-if="correcting" class="mt-3 grid gap-2" @submit.prevent="correct">
          <TextField
            v-model="reading"
            label="Reading"
            :placeholder="format(job.reading)"
            :error="readingError ?? readingForm.error('reading')"
          />
          <TextField v-model="reason" label="Why, if it runs backwards" placeholder="cluster replaced" />
          <button type="submit" class="quiet">Correct it</button>
        </form>
        <button
          v-else-if="open"
          type="button"
          class="mt-1 min-h-8 text-sm text-soft underline underline-offset-2"
          @click="correcting = true"
        >
          Correct the reading
        </button>
      </div>
      <p class="text-[0.9375rem] text-soft">
        Owner: {{ job.vehicle.owner || 'not noted' }}. Codes say where the computer looked, not what is broken: write
        them down before anything is unplugged.
      </p>
    </template>
  </StageFrame>
</template>
