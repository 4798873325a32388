<script setup lang="ts">
import { computed, ref } from 'vue';
import type { PracticeEntry } from '../../contract/index.ts';
import type { Sign } from '../../core/diagnose/index.ts';

/** The customer of a practice vehicle: asked, they answer; what is kept of it stands in the conversation. */
const props = defineProps<{ signs: readonly Sign[]; entries: readonly PracticeEntry[] }>();
const emit = defineEmits<{ ask: [sign: string] }>();
const chosen = ref('');
const questions = computed(() =>
  props.signs.filter(({ kind, ask }) => kind !== 'check' && kind !== 'code' && ask !== ''),
);
const answers = computed(() =>
  props.entries
    .filter(({ kind }) => kind === 'ask')
    .map(({ seq, what, answer }) => ({
      seq,
      ask: props.signs.find(({ id }) => id === what)?.ask ?? what,
      said: answer?.said ?? '',
    }))
    .reverse(),
);
function ask(): void {
  if (chosen.value === '') return;
  emit('ask', chosen.value);
  chosen.value = '';
}
</script>

<template>
  <form class="grid gap-2" @submit.prevent="ask">
    <label class="block">
      <span class="mb-1 block text-sm font-bold">Ask the customer</span>
      <select v-model="chosen" class="input">
        <option value="">A question</option>
        <option v-for="sign in questions" :key="sign.id" :value="sign.id">{{ sign.ask }}</option>
      </select>
    </label>
    <button type="submit" class="quiet justify-self-start" :disabled="chosen === ''">Ask</button>
    <dl
      v-if="answers.length > 0"
      class="rows max-h-64 overflow-y-auto border-y border-line text-note"
      role="log"
      tabindex="0"
      aria-label="What the customer said"
    >
      <div v-for="each in answers" :key="each.seq" class="py-1.5">
        <dt class="text-sm text-soft">{{ each.ask }}</dt>
        <dd class="font-semibold">“{{ each.said }}”</dd>
      </div>
    </dl>
  </form>
</template>
