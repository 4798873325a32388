<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import MarkedPicture from '../pictures/MarkedPicture.vue';

/** The last picture before and the last after, side by side at the same size. */
const props = defineProps<{ job: Job; subject: string; what: string }>();
const of = (when: 'before' | 'after') =>
  props.job.pictures.filter((picture) => picture.subject === props.subject && picture.when === when).at(-1);
const pair = computed(
  () =>
    [
      { when: 'before', picture: of('before') },
      { when: 'after', picture: of('after') },
    ] as const,
);
</script>

<template>
  <div v-if="pair.some(({ picture }) => picture)" class="grid max-w-2xl grid-cols-2 gap-3">
    <figure v-for="side in pair" :key="side.when">
      <MarkedPicture
        v-if="side.picture"
        :picture="side.picture"
        :alt="`${what}, ${side.when}: ${side.picture.caption}`"
        class="aspect-4/3 w-full border border-line bg-band"
      />
      <div v-else class="grid aspect-4/3 place-items-center border border-dashed border-line text-sm text-soft">
        no picture yet
      </div>
      <figcaption class="mt-1 text-sm text-soft">
        {{ side.when }}{{ side.picture?.caption ? `, ${side.picture.caption}` : '' }}
      </figcaption>
    </figure>
  </div>
</template>
