<script setup lang="ts">
import { computed, ref, useId } from 'vue';
import { lineUp, type Spot } from '../../../core/inspect/index.ts';
import type { PictureRef } from '../../../core/job/index.ts';
import PictureGap from './PictureGap.vue';
import { usePictureSize } from './usePictureSize.ts';
import { apiUrl } from '../../data/world.ts';

/** Before and after in one frame: the edge between them is moved; two picked places line the second up with the first. */
const props = defineProps<{ before: PictureRef; after: PictureRef; what: string }>();
const share = ref(50);
const clip = useId();
const { size: first, isLost: firstLost } = usePictureSize(() => props.before.hash);
const { size: second, isLost: secondLost } = usePictureSize(() => props.after.hash);

const pixels = (picture: PictureRef, size: { width: number; height: number }): readonly [Spot, Spot] | null => {
  const [a, b] = picture.marking?.anchors ?? [];
  return a === undefined || b === undefined
    ? null
    : [
        { x: a.x * size.width, y: a.y * size.height },
        { x: b.x * size.width, y: b.y * size.height },
      ];
};
const lined = computed(() => {
  const from = pixels(props.after, second.value);
  const onto = pixels(props.before, first.value);
  return from === null || onto === null ? null : lineUp(from, onto);
});
const matrix = computed(() => {
  const found = lined.value;
  if (found === null)
    return `scale(${first.value.width / second.value.width} ${first.value.height / second.value.height})`;
  return `matrix(${found.a} ${found.b} ${-found.b} ${found.a} ${found.e} ${found.f})`;
});
const edge = computed(() => (share.value / 100) * first.value.width);
</script>

<template>
  <figure class="max-w-2xl">
    <PictureGap
      v-if="firstLost || secondLost"
      class="aspect-4/3"
      :what="`${what}, ${firstLost ? 'before' : 'after'}`"
    />
    <svg
      v-else
      :viewBox="`0 0 ${first.width} ${first.height}`"
      class="h-auto w-full border border-line bg-band"
      role="img"
      :aria-label="`${what}: before on the left, after on the right`"
    >
      <image :href="apiUrl(`/pictures/${before.hash}`)" :width="first.width" :height="first.height" />
      <clipPath :id="clip"><rect :x="edge" y="0" :width="first.width - edge" :height="first.height" /></clipPath>
      <g :clip-path="`url(#${clip})`">
        <rect :width="first.width" :height="first.height" fill="var(--band)" />
        <image
          :href="apiUrl(`/pictures/${after.hash}`)"
          :width="second.width"
          :height="second.height"
          :transform="matrix"
        />
      </g>
      <path :d="`M${edge} 0V${first.height}`" stroke="#1a1206" :stroke-width="first.width / 160" />
      <path :d="`M${edge} 0V${first.height}`" stroke="#ffd34d" :stroke-width="first.width / 320" />
    </svg>
    <label v-if="!firstLost && !secondLost" class="mt-2 flex items-center gap-3 text-sm text-soft">
      before
      <input
        v-model.number="share"
        type="range"
        min="0"
        max="100"
        class="h-11 flex-1 accent-bottle"
        :aria-label="`${what}: edge between before and after`"
      />
      after
    </label>
    <figcaption v-if="!firstLost && !secondLost" class="text-sm text-soft">
      {{ lined ? 'Lined up by two places.' : 'Not lined up: mark the same two places on both.' }}
    </figcaption>
  </figure>
</template>
