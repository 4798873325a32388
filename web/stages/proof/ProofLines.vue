<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  type Condition,
  conditionWords,
  type Job,
  type ProofLine,
  proofOf,
  type TriedVerdict,
  type Verdict,
} from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import PutRight from '../entries/PutRight.vue';
import { useForm } from '../useForm.ts';
import VerdictMark from './VerdictMark.vue';

/** The proof line by line: before, after, and whether it is gone. What only a person can say is said by a tap. */
const props = defineProps<{ job: Job; under: Condition }>();
const form = useForm();
const lines = computed(() => proofOf(props.job).lines);
/** A verdict that needs words before it is kept. */
const asking = ref<{ readonly line: string; readonly verdict: TriedVerdict } | null>(null);
const came = ref('');
const TAPS: readonly { readonly verdict: TriedVerdict; readonly name: string }[] = [
  { verdict: 'gone', name: 'Gone' },
  { verdict: 'still there', name: 'Still there' },
  { verdict: 'worse', name: 'Worse' },
];
/** What was wrong before stands out there. */
const WAS_WRONG: ReadonlySet<Verdict> = new Set<Verdict>(['gone', 'still there', 'worse', 'not tried']);
const isTried = ({ id }: ProofLine): boolean => props.job.tried.some(({ line }) => line === id);

function tap(line: ProofLine, verdict: TriedVerdict): void {
  if (verdict !== 'gone') {
    asking.value = { line: line.id, verdict };
    came.value = '';
  } else if (form.send('try-line', { line: line.id, words: '', verdict, came: '', ...props.under }))
    asking.value = null;
}
function keep(): void {
  if (asking.value === null) return;
  if (form.send('try-line', { ...asking.value, words: '', came: came.value, ...props.under })) asking.value = null;
}
</script>

<template>
  <div v-if="lines.length > 0" role="table" aria-label="The proof, line by line">
    <div
      role="row"
      class="hidden gap-x-4 border-b border-line pb-1 text-sm text-soft md:grid md:grid-cols-[minmax(0,2.2fr)_minmax(0,1.1fr)_minmax(0,1.4fr)_8.5rem]"
    >
      <span role="columnheader" class="sr-only">What</span>
      <span role="columnheader" class="md:col-start-2">before</span>
      <span role="columnheader">after</span>
      <span role="columnheader" class="sr-only">verdict</span>
    </div>
    <div
      v-for="line in lines"
      :key="line.id"
      role="row"
      class="grid gap-x-4 gap-y-1 border-b border-line py-2.5 md:grid-cols-[minmax(0,2.2fr)_minmax(0,1.1fr)_minmax(0,1.4fr)_8.5rem]"
    >
      <span role="cell" class="font-semibold wrap-break-word">{{ line.name }}</span>
      <span
        role="cell"
        class="wrap-break-word"
        :class="
          WAS_WRONG.has(line.verdict) && line.before !== '' && line.before !== 'as told' ? 'text-oxide' : 'text-soft'
        "
        ><span class="text-sm text-soft md:sr-only">before </span>{{ line.before || '—' }}</span
      >
      <span role="cell" class="wrap-break-word"
        ><span class="text-sm text-soft md:sr-only">after </span
        ><span class="font-semibold">{{ line.after || '—' }}</span
        ><span v-if="conditionWords(line.under)" class="block text-sm text-soft">{{ conditionWords(line.under) }}</span
        ><span
          v-if="line.remark"
          class="block text-sm"
          :class="line.verdict === 'not tried' ? 'text-brass' : 'text-soft'"
          >{{ line.remark }}</span
        ></span
      >
      <span role="cell"><VerdictMark :verdict="line.verdict" /></span>
      <div v-if="line.byHand && job.status === 'open'" role="cell" class="md:col-span-4">
        <fieldset class="flex flex-wrap items-center gap-2">
          <legend class="sr-only">{{ line.name }}: how is it now?</legend>
          <button
            v-for="{ verdict, name } in TAPS"
            :key="verdict"
            type="button"
            class="quiet"
            :aria-pressed="line.verdict === verdict"
            @click="tap(line, verdict)"
          >
            {{ name }}
          </button>
          <PutRight v-if="isTried(line)" :job="job" kind="line-tried" :holds="{ line: line.id }" :what="line.name" />
        </fieldset>
        <form v-if="asking?.line === line.id" class="mt-2 flex max-w-xl items-start gap-2" @submit.prevent="keep">
          <TextField
            v-model="came"
            class="flex-1"
            label="What did it do?"
            :error="form.error('came') ?? form.general('came')"
          />
          <button type="submit" class="quiet mt-6">Record</button>
        </form>
      </div>
    </div>
    <p v-if="form.general('came') && asking === null" class="mt-2 font-semibold text-alarm" role="alert">
      {{ form.general('came') }}
    </p>
  </div>
  <p v-else class="text-soft">Nothing was complained of, read or checked.</p>
</template>
