<script setup lang="ts">
import { format } from '../../core/quantity/index.ts';
import {
  type Cause,
  CHANCE,
  isProofWord,
  type KnowledgeEdit,
  OPTIONS,
  type OptionId,
  type UsualWord,
} from '../../core/diagnose/index.ts';

/** What cures a cause, and how often: what a plan is made from, and what an attempt that failed says against it. */
const props = defineProps<{
  cause: Cause;
  edits: readonly KnowledgeEdit[];
  mayEdit: boolean;
  errors: Readonly<Record<string, string>>;
}>();
const emit = defineEmits<{ change: [edit: KnowledgeEdit] }>();
const WORDS = (Object.keys(CHANCE) as (keyof typeof CHANCE)[]).filter((word): word is UsualWord => !isProofWord(word));

const rowOf = (option: OptionId): { word: UsualWord; why: string; changed: boolean } => {
  const edit = props.edits.find(
    (each) => each.kind === 'cure' && each.cause === props.cause.id && each.option === option,
  );
  const known = props.cause.cures.find((cure) => cure.option === option);
  const own = edit?.kind === 'cure' ? edit : known;
  return { word: own?.word ?? 'never', why: own?.why ?? '', changed: edit !== undefined };
};
const options = Object.keys(OPTIONS) as OptionId[];
const edit = (option: OptionId, change: Partial<{ word: UsualWord; why: string }>): void => {
  const { word, why } = rowOf(option);
  emit('change', { kind: 'cure', cause: props.cause.id, option, word, why, ...change });
};
</script>

<template>
  <section aria-label="What cures it">
    <h3 class="mb-1 mt-5 text-sm font-bold">What cures it</h3>
    <p class="mb-1 text-sm text-soft">
      An attempt that did not help speaks against it by as much.
      <template v-if="cause.returns">
        Whatever is done, it is back after about {{ format({ value: cause.returns.km, unit: 'km' }) }} or
        {{ cause.returns.h }} h.</template
      >
    </p>
    <ul class="rows border-y border-line">
      <template v-for="option in options" :key="option">
        <li
          v-if="mayEdit || rowOf(option).word !== 'never'"
          class="grid items-center gap-x-4 py-1 sm:grid-cols-[15rem_9rem_1fr]"
        >
          <span class="font-semibold" :class="rowOf(option).changed ? 'text-brass' : ''">{{ OPTIONS[option] }}</span>
          <select
            v-if="mayEdit"
            class="input min-h-10!"
            :aria-label="`How often it cures: ${OPTIONS[option]}`"
            :value="rowOf(option).word"
            @change="edit(option, { word: ($event.target as HTMLSelectElement).value as UsualWord })"
          >
            <option v-for="word in WORDS" :key="word" :value="word">{{ word }}</option>
          </select>
          <span v-else>{{ rowOf(option).word }}</span>
          <textarea
            v-if="mayEdit"
            class="input min-h-10! field-sizing-content resize-none"
            rows="1"
            :aria-label="`Why it cures: ${OPTIONS[option]}`"
            :value="rowOf(option).why"
            placeholder="why"
            @change="edit(option, { why: ($event.target as HTMLTextAreaElement).value })"
          />
          <span v-else class="text-soft">{{ rowOf(option).why }}</span>
          <p v-if="errors[`${cause.id}/${option}`]" class="text-sm font-semibold text-alarm sm:col-span-3" role="alert">
            {{ errors[`${cause.id}/${option}`] }}
          </p>
        </li>
      </template>
    </ul>
  </section>
</template>
