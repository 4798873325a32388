<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Knowledge, KnowledgeEdit } from '../../core/diagnose/index.ts';
import PickField from '../parts/PickField.vue';
import TextField from '../parts/TextField.vue';

/** What a shop has said of makers’ codes, and taught of how its people speak. */
const props = defineProps<{
  knowledge: Knowledge;
  edits: readonly KnowledgeEdit[];
  mayEdit: boolean;
  errors: Readonly<Record<string, string>>;
  /** A clause that was not understood, brought here to be taught. */
  teach?: string;
}>();
const emit = defineEmits<{ change: [edit: KnowledgeEdit] }>();

const code = ref('');
const meaning = ref('');
const codeSays = ref('');
const phrase = ref(props.teach ?? '');
const phraseSays = ref('');
const picks = computed(() =>
  props.knowledge.signs.flatMap((sign) =>
    sign.outcomes.map((outcome) => ({ id: `${sign.id}=${outcome.id}`, words: `${sign.name}: ${outcome.found}` })),
  ),
);
const wordsOf = (sign: string | null, outcome: string | null): string =>
  sign === null
    ? 'says nothing of a cause'
    : (props.knowledge.signs.find(({ id }) => id === sign)?.outcomes.find(({ id }) => id === outcome)?.found ?? '');
const staged = computed(() => props.edits.filter(({ kind }) => kind === 'code' || kind === 'phrase'));
function addCode(): void {
  const [sign = '', outcome = ''] = codeSays.value.split('=');
  emit('change', {
    kind: 'code',
    code: code.value,
    meaning: meaning.value,
    sign: sign === '' ? null : sign,
    outcome: sign === '' ? null : outcome,
  });
  code.value = meaning.value = codeSays.value = '';
}
function addPhrase(): void {
  const [sign = '', outcome = ''] = phraseSays.value.split('=');
  emit('change', { kind: 'phrase', phrase: phrase.value.trim().toLowerCase(), sign, outcome });
  phrase.value = phraseSays.value = '';
}
const wrong = computed(() =>
  staged.value.flatMap(
    (edit) => props.errors[edit.kind === 'code' ? edit.code : edit.kind === 'phrase' ? edit.phrase : ''] ?? [],
  ),
);
</script>

<template>
  <section aria-label="The shop’s own codes and phrases">
    <h2 class="text-heading">Our own codes and phrases</h2>
    <h3 class="mb-1 mt-4 text-sm font-bold">Codes that we gave words</h3>
    <ul v-if="knowledge.ownCodes.length > 0" class="rows border-y border-line">
      <li v-for="own in knowledge.ownCodes" :key="own.code" class="flex flex-wrap items-baseline gap-x-4 py-1.5">
        <span class="code font-bold">{{ own.code }}</span><span>{{ own.meaning }}</span
        ><span class="text-soft">{{ wordsOf(own.sign, own.outcome) }}</span>
        <button
          v-if="mayEdit"
          type="button"
          class="link ml-auto min-h-8 text-sm"
          @click="emit('change', { kind: 'forget-code', code: own.code })"
        >
          Forget<span class="sr-only"> {{ own.code }}</span>
        </button>
      </li>
    </ul>
    <p v-else class="text-soft">None yet. A maker’s own code says nothing until the shop gives it words.</p>
    <form
      v-if="mayEdit"
      class="mt-2 grid max-w-3xl gap-3 sm:grid-cols-[9rem_1fr_1fr_auto] sm:items-end"
      @submit.prevent="addCode"
    >
      <TextField v-model="code" label="Code" placeholder="P1234" />
      <TextField v-model="meaning" label="What it means" />
      <PickField v-model="codeSays" label="Speaks for" placeholder="nothing" :picks="picks" />
      <button type="submit" class="quiet" :disabled="code.trim() === ''">Add</button>
    </form>
    <h3 class="mb-1 mt-6 text-sm font-bold">Phrases that we taught</h3>
    <ul v-if="knowledge.ownPhrases.length > 0" class="rows border-y border-line">
      <li v-for="own in knowledge.ownPhrases" :key="own.phrase" class="flex flex-wrap items-baseline gap-x-4 py-1.5">
        <span class="font-semibold">“{{ own.phrase }}”</span
        ><span class="text-soft">{{ wordsOf(own.sign, own.outcome) }}</span>
        <button
          v-if="mayEdit"
          type="button"
          class="link ml-auto min-h-8 text-sm"
          @click="emit('change', { kind: 'forget-phrase', phrase: own.phrase })"
        >
          Forget<span class="sr-only"> {{ own.phrase }}</span>
        </button>
      </li>
    </ul>
    <p v-else class="text-soft">None yet. What was not understood at a complaint can be taught here.</p>
    <form
      v-if="mayEdit"
      class="mt-2 grid max-w-3xl gap-3 sm:grid-cols-[1fr_1fr_auto] sm:items-end"
      @submit.prevent="addPhrase"
    >
      <TextField v-model="phrase" label="When somebody says" placeholder="does the tango" />
      <PickField v-model="phraseSays" label="We mean" placeholder="idle hunts" :picks="picks" />
      <button type="submit" class="quiet" :disabled="phrase.trim() === '' || phraseSays === ''">Teach</button>
    </form>
    <p v-for="each in wrong" :key="each" class="mt-2 text-sm font-semibold text-alarm" role="alert">{{ each }}</p>
  </section>
</template>
