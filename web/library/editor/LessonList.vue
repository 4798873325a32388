<script setup lang="ts">
import type { Lesson } from '../../../core/job/index.ts';

/** What a finished job teaches, read before the procedure is saved. */
defineProps<{ lessons: readonly Lesson[] }>();
defineEmits<{ choose: [id: string] }>();
</script>

<template>
  <details class="mt-3 border-y border-line py-2" open>
    <summary class="font-semibold">
      {{ lessons.length }} {{ lessons.length === 1 ? 'thing was' : 'things were' }} other than the procedure said
    </summary>
    <ul class="mt-1 columns-1 gap-x-8 text-note md:columns-2">
      <li v-for="lesson in lessons" :key="lesson.words" class="break-inside-avoid py-1">
        <button
          v-if="lesson.itemId"
          type="button"
          class="text-left underline decoration-line underline-offset-2"
          @click="$emit('choose', lesson.itemId)"
        >
          {{ lesson.words }}
        </button>
        <template v-else>{{ lesson.words }}</template>
      </li>
    </ul>
  </details>
</template>
