<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, nextTick, shallowRef, useTemplateRef, watch } from 'vue';
import { DASHES } from './dashes.ts';
import type { DrawnBlock } from './planView.ts';

/** A string is a person: it runs from each piece of their work to the next, over the vehicles. Only one’s own is bright. */
const { blocks, people, me } = defineProps<{
  blocks: readonly DrawnBlock[];
  people: readonly string[];
  me: string;
}>();
const svg = useTemplateRef('svg');
const { width, height } = useElementSize(svg);
/** The middle of each vehicle’s track, px from the top. */
const rows = shallowRef<ReadonlyMap<string, number>>(new Map());
async function measure(): Promise<void> {
  await nextTick();
  const own = svg.value?.getBoundingClientRect();
  if (own === undefined) return;
  const tracks = svg.value?.parentElement?.querySelectorAll<HTMLElement>('[data-track]') ?? [];
  rows.value = new Map(
    [...tracks].map((track) => {
      const { top, height: high } = track.getBoundingClientRect();
      return [track.dataset.track ?? '', top + high / 2 - own.top];
    }),
  );
}
watch([() => blocks, width, height], () => void measure(), { immediate: true });

const strings = computed(() =>
  people.map((id, nth) => {
    const own = blocks.filter(({ personId }) => personId === id);
    const path = own.flatMap((block, at) => {
      const before = own[at - 1];
      const [from, to] = [rows.value.get(before?.jobId ?? ''), rows.value.get(block.jobId)];
      if (before === undefined || from === undefined || to === undefined || before.jobId === block.jobId) return [];
      const [x1, x2] = [before.left + before.width, block.left].map((share) => (share / 100) * width.value) as [
        number,
        number,
      ];
      const bend = Math.max(14, (x2 - x1) / 2);
      return [`M${x1} ${from}C${x1 + bend} ${from} ${x2 - bend} ${to} ${x2} ${to}`];
    });
    return { id, d: path.join(''), dash: DASHES[nth % DASHES.length] };
  }),
);
</script>

<template>
  <svg ref="svg" class="pointer-events-none absolute inset-0 size-full overflow-visible" aria-hidden="true">
    <path
      v-for="string in strings"
      :key="string.id"
      :d="string.d"
      fill="none"
      :stroke="string.id === me ? 'var(--ink)' : 'var(--soft)'"
      :stroke-width="string.id === me ? 1.75 : 1"
      :stroke-dasharray="string.dash"
      :opacity="string.id === me ? 1 : 0.55"
    />
  </svg>
</template>
