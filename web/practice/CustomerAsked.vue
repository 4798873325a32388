<script setup lang="ts">
import { computed, ref } from 'vue';
import type { PracticeEntry } from '../../contract/index.ts';
import type { Sign } from '../../core/diagnose/index.ts';
import type { Job } from '../../core/job/index.ts';
import { useForm } from '../stages/useForm.ts';
import { freshId } from '../stores/job.ts';

/** The customer of a practice vehicle: asked, they answer in their words; what that amounts to is noted by the person. */
const props = defineProps<{ job: Job; signs: readonly Sign[]; entries: readonly PracticeEntry[] }>();
const emit = defineEmits<{ ask: [sign: string] }>();
const form = useForm();
const chosen = ref('');
const questions = computed(() =>
  props.signs.filter(({ kind, ask }) => kind !== 'check' && kind !== 'code' && ask !== ''),
);
const answers = computed(() =>
  props.entries
    .flatMap(({ seq, kind, what, answer }) => {
      const sign = kind === 'ask' ? props.signs.find(({ id }) => id === what) : undefined;
      return sign === undefined ? [] : [{ seq, sign, said: answer?.said ?? '' }];
    })
    .reverse(),
);
const noted = ({ id, outcomes }: Sign): string => {
  const found = props.job.signs.find(({ sign }) => sign === id);
  return found === undefined ? '' : (outcomes.find((each) => each.id === found.outcome)?.name ?? '');
};
/** The last answer of which nothing is noted yet. */
const toNote = computed(() => answers.value.find(({ sign }) => noted(sign) === '') ?? null);
function ask(): void {
  if (chosen.value === '') return;
  emit('ask', chosen.value);
  chosen.value = '';
}
const note = (sign: string, outcome: string): void =>
  void form.send('answer-question', { id: freshId(), sign, outcome });
</script>

<template>
  <div class="grid gap-2">
    <form class="grid gap-2" @submit.prevent="ask">
      <label class="block">
        <span class="mb-1 block text-sm font-bold">Ask the customer</span>
        <select v-model="chosen" class="input">
          <option value="">A question</option>
          <option v-for="sign in questions" :key="sign.id" :value="sign.id">{{ sign.ask }}</option>
        </select>
      </label>
      <button type="submit" class="quiet justify-self-start" :disabled="chosen === ''">Ask</button>
    </form>
    <dl
      v-if="answers.length > 0"
      class="rows max-h-64 overflow-y-auto border-y border-line text-note"
      role="log"
      tabindex="0"
      aria-label="What the customer said"
    >
      <div v-for="each in answers" :key="each.seq" class="py-1.5">
        <dt class="text-sm text-soft">{{ each.sign.ask }}</dt>
        <dd class="font-semibold">“{{ each.said }}”</dd>
        <dd v-if="noted(each.sign)" class="text-sm text-soft">Noted: {{ noted(each.sign) }}</dd>
      </div>
    </dl>
    <fieldset v-if="toNote">
      <legend class="text-sm font-bold">What you note of it: {{ toNote.sign.name }}</legend>
      <div class="mt-1 flex flex-wrap gap-2">
        <button
          v-for="outcome in toNote.sign.outcomes"
          :key="outcome.id"
          type="button"
          class="quiet text-sm"
          @click="note(toNote.sign.id, outcome.id)"
        >
          {{ outcome.name }}
        </button>
      </div>
    </fieldset>
    <p v-if="form.general()" class="text-sm font-semibold text-alarm" role="alert">{{ form.general() }}</p>
  </div>
</template>
