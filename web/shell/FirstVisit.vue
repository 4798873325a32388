<script setup lang="ts">
import { ref, watch } from 'vue';
import { PAGE_WORDS } from './pageWords.ts';
import { readPreference, writePreference } from './preferences.ts';

/** One line on the first visit of a page, on this device; it never returns. */
const props = defineProps<{ page: string }>();
const hint = ref('');
watch(
  () => props.page,
  (page) => {
    hint.value = '';
    const seen = readPreference('hints') ?? '';
    const words = PAGE_WORDS[page]?.hint ?? '';
    if (words === '' || seen === 'all' || seen.split(' ').includes(page)) return;
    // Said is said: whether it is closed or left, it is not said again.
    writePreference('hints', `${seen} ${page}`.trim());
    hint.value = words;
  },
  { immediate: true },
);
function noMore(): void {
  writePreference('hints', 'all');
  hint.value = '';
}
</script>

<template>
  <div
    v-if="hint"
    role="note"
    class="no-print flex shrink-0 flex-wrap items-center gap-x-4 border-b border-line bg-card px-4 py-1 text-note md:px-7"
  >
    <span class="min-w-0 flex-1">{{ hint }}</span>
    <button type="button" class="link min-h-8" @click="hint = ''">Good</button>
    <button type="button" class="link min-h-8 text-soft" @click="noMore">No hints at all</button>
  </div>
</template>
