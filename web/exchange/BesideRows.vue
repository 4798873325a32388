<script setup lang="ts">
import type { SignedLook } from '../../contract/index.ts';

/** What another shop does, each beside what is done here: the same, new, or different and how. */
defineProps<{ rows: NonNullable<SignedLook['knowHow']> }>();
const keys = defineModel<string[]>({ required: true });
type State = NonNullable<SignedLook['knowHow']>[number]['state'];
const STATES: Readonly<Record<State, string>> = {
  new: 'not here yet',
  same: 'as here',
  differs: 'other than here',
  'does-not-fit': 'does not fit here',
};
</script>

<template>
  <ul class="rows border-y border-line" aria-label="What is in it">
    <li v-for="row in rows" :key="row.key" class="py-2">
      <label
        class="flex items-baseline gap-3"
        :class="row.state === 'new' || row.state === 'differs' ? 'cursor-pointer' : ''"
      >
        <input
          v-model="keys"
          type="checkbox"
          class="size-4.5 shrink-0 translate-y-0.5 accent-bottle"
          :value="row.key"
          :disabled="row.state === 'same' || row.state === 'does-not-fit'"
        />
        <span class="min-w-0 flex-1 font-semibold">{{ row.name }}</span>
        <span
          class="text-note"
          :class="row.state === 'differs' ? 'text-brass' : row.state === 'does-not-fit' ? 'text-alarm' : 'text-soft'"
          >{{ STATES[row.state] }}</span
        >
      </label>
      <details v-if="row.lines.length > 2" class="ml-8 text-note">
        <summary class="text-soft">{{ row.lines.length }} differences</summary>
        <ul class="list-disc pl-5">
          <li v-for="(line, nth) in row.lines" :key="nth">{{ line }}</li>
        </ul>
      </details>
      <p
        v-for="(line, nth) in row.lines.length > 2 ? [] : row.lines"
        v-else
        :key="nth"
        class="ml-8 text-note text-soft"
      >
        {{ line }}
      </p>
    </li>
  </ul>
</template>
