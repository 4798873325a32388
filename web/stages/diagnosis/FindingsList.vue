<script setup lang="ts">
import { computed } from 'vue';
import { findingWords, type Sign } from '../../../core/diagnose/index.ts';
import { type Job, type JobDiagnosis, whereIs } from '../../../core/job/index.ts';
import PutRight from '../entries/PutRight.vue';
import StruckLines from '../entries/StruckLines.vue';
import { useForm } from '../useForm.ts';

/** Everything found, with where it came from; what was said can be struck out, what was checked can be repeated. */
const props = defineProps<{ job: Job; diagnosis: JobDiagnosis; signs: readonly Sign[] }>();
defineEmits<{ again: [check: string] }>();
const form = useForm();

const SOURCES = {
  said: 'said',
  asked: 'answered',
  noted: 'noted',
  code: 'code',
  'codes read': 'codes read',
  measured: 'measured',
  checked: 'checked',
  adapter: 'read from the vehicle',
  compared: 'compared',
  tried: 'tried before',
} as const;
const signOf = (id: string) => props.signs.find((sign) => sign.id === id);
const found = computed(() =>
  props.diagnosis.findings
    .filter(({ source }) => source !== 'codes read')
    .map((finding) => {
      const sign = signOf(finding.sign);
      return {
        ...finding,
        name: sign?.name ?? finding.sign,
        words: `${findingWords(props.signs, finding)}${finding.unit && finding.unit.place !== 'only' ? `, ${whereIs(finding.unit)}` : ''}`,
        struck: finding.source === 'said' || finding.source === 'asked',
        attempt: props.job.attempts.some(({ id }) => id === finding.id),
        canRepeat: sign?.kind === 'check' && finding.source === 'checked',
      };
    }),
);
const after = computed(() => props.job.checks.filter(({ when }) => when === 'after'));
const own = computed(() => props.job.checks.filter(({ check }) => check === null));
const closed = computed(() => props.job.status === 'closed');
</script>

<template>
  <section aria-label="What was found">
    <h3 class="mb-1 text-sm font-bold">What was found</h3>
    <ul v-if="found.length > 0" class="rows border-y border-line">
      <li
        v-for="each in found"
        :key="each.id"
        class="grid grid-cols-[1fr_auto] items-baseline gap-x-4 py-1.5 sm:grid-cols-[8rem_1fr_auto]"
      >
        <span class="text-sm text-soft max-sm:hidden">{{ SOURCES[each.source] }}</span>
        <span
          ><span class="font-semibold">{{ each.words }}</span
          ><span v-if="each.detail && each.detail !== each.words" class="text-soft">, “{{ each.detail }}”</span></span
        >
        <button
          v-if="each.struck && !closed"
          type="button"
          class="link min-h-8 text-sm"
          @click="form.send('strike-sign', { id: each.id })"
        >
          Strike out<span class="sr-only"> {{ each.words }}</span>
        </button>
        <button
          v-else-if="each.attempt && !closed"
          type="button"
          class="link min-h-8 text-sm"
          @click="form.send('strike-attempt', { id: each.id })"
        >
          Strike out<span class="sr-only"> {{ each.words }}</span>
        </button>
        <button
          v-else-if="each.canRepeat && !closed"
          type="button"
          class="link min-h-8 text-sm"
          @click="$emit('again', each.sign)"
        >
          Check again<span class="sr-only"> {{ each.name }}</span>
        </button>
        <PutRight
          v-if="each.canRepeat"
          class="col-start-3"
          :job="job"
          kind="check-recorded"
          :holds="{ check: each.sign }"
          :what="each.name"
        />
      </li>
      <li v-for="check in own" :key="check.id" class="grid items-baseline gap-x-4 py-1.5 sm:grid-cols-[8rem_1fr_auto]">
        <span class="text-sm text-soft">not weighed</span>
        <span
          ><span class="font-semibold">{{ check.name }}:</span> {{ check.result }}</span
        >
        <PutRight :job="job" kind="check-done" :holds="{ id: check.id }" :what="check.name" />
      </li>
    </ul>
    <p v-else class="text-soft">
      Nothing yet. Say what is noticed at
      <RouterLink class="link" :to="`/jobs/${job.id}/complaint`">the complaint</RouterLink>, or do the first check.
    </p>
    <StruckLines :job="job" :kinds="['check-recorded', 'check-done']" />
    <template v-if="after.length > 0">
      <h3 class="mb-1 mt-5 text-sm font-bold">Checked again after the work</h3>
      <ul class="rows border-y border-line">
        <li v-for="check in after" :key="check.id" class="flex items-baseline justify-between gap-4 py-1.5">
          <span
            ><span class="font-semibold">{{ check.name }}:</span> {{ check.result }}</span
          >
          <span :class="check.verdict === 'normal' ? 'text-moss' : 'font-bold text-oxide'">{{
            check.verdict === 'normal' ? 'as it should be' : 'not as it should be'
          }}</span>
        </li>
      </ul>
    </template>
    <p v-if="job.passedOver.length > 0" class="mt-2 text-sm text-soft">
      Left out: {{ job.passedOver.map(({ name, why }) => (why === '' ? name : `${name} (${why})`)).join('; ') }}
    </p>
  </section>
</template>
