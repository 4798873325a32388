<script setup lang="ts">
import SheetDialog from '../parts/SheetDialog.vue';
import { PAGE_WORDS } from './pageWords.ts';

/** What the page behind is for, in a few sentences. */
const props = defineProps<{ page: string }>();
defineEmits<{ close: [] }>();
const words = PAGE_WORDS[props.page] ?? {
  title: 'This page',
  about: ['Nothing is written about this page. The keys that work on it are under ?.'],
  hint: '',
};
</script>

<template>
  <SheetDialog :title="words.title" @close="$emit('close')">
    <p v-for="sentence in words.about" :key="sentence" class="mb-2">{{ sentence }}</p>
    <p v-if="words.hint" class="mt-4 border-l-4 border-bottle pl-3">{{ words.hint }}</p>
  </SheetDialog>
</template>
