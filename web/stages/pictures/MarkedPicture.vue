<script setup lang="ts">
import { computed } from 'vue';
import { type PictureRef, turned } from '../../../core/job/index.ts';
import MarkLayer from './MarkLayer.vue';
import PictureGap from './PictureGap.vue';
import { usePictureSize } from './usePictureSize.ts';
import { apiUrl } from '../../data/world.ts';

/** A picture as it was marked: turned, with its arrows, circles and words. The original is not touched. */
const props = defineProps<{ picture: PictureRef; alt: string }>();
const { size, isLost } = usePictureSize(() => props.picture.hash);
const turn = computed(() => props.picture.marking?.rotation ?? 0);
const shown = computed(() => turned(turn.value, size.value));
</script>

<template>
  <PictureGap v-if="isLost" :what="alt" class="aspect-4/3" />
  <svg v-else :viewBox="`0 0 ${shown.frame[0]} ${shown.frame[1]}`" role="img" :aria-label="alt">
    <g :transform="`translate(${shown.shift[0]} ${shown.shift[1]}) rotate(${turn})`">
      <image :href="apiUrl(`/pictures/${picture.hash}`)" :width="size.width" :height="size.height" />
      <MarkLayer :marks="picture.marking?.marks ?? []" :size="size" :rotation="turn" />
    </g>
  </svg>
</template>
