<script setup lang="ts">
import { ref, watch } from 'vue';
import PictureGap from './PictureGap.vue';
import { apiUrl } from '../../data/world.ts';

/** The small copy of a photo, or the gap that is left of it. */
const props = defineProps<{ hash: string; alt: string }>();
const isLost = ref(false);
watch(
  () => props.hash,
  () => (isLost.value = false),
);
</script>

<template>
  <PictureGap v-if="isLost" small :what="alt" />
  <img v-else :src="apiUrl(`/pictures/${hash}?size=small`)" :alt="alt" loading="lazy" @error="isLost = true" />
</template>
