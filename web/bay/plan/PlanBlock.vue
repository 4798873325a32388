<script setup lang="ts">
import { useDraggable } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import type { DrawnBlock } from './planView.ts';

/** A piece of planned work: tapped, it is chosen; dragged, it is put elsewhere. What dragging does the panel does too. */
const { block, chosen, clashes, mine, text, label } = defineProps<{
  block: DrawnBlock;
  chosen: boolean;
  clashes: boolean;
  /** Whether it is in the hands of whoever looks. */
  mine: boolean;
  text: string;
  label: string;
}>();
const emit = defineEmits<{ choose: []; drop: [by: { dx: number; dy: number }] }>();
const element = useTemplateRef('element');
const from = ref({ x: 0, y: 0 });
const by = ref({ dx: 0, dy: 0 });
/** Less than this is a tap of a hand that shakes, px. */
const TAP = 6;
let dragged = false;
useDraggable(element, {
  preventDefault: false,
  onStart: ({ x, y }) => {
    from.value = { x, y };
    dragged = false;
  },
  onMove: ({ x, y }) => {
    by.value = { dx: x - from.value.x, dy: y - from.value.y };
    dragged ||= Math.hypot(by.value.dx, by.value.dy) > TAP;
  },
  onEnd: () => {
    const moved = by.value;
    by.value = { dx: 0, dy: 0 };
    if (dragged) emit('drop', moved);
  },
});
function tap(): void {
  if (!dragged) emit('choose');
  dragged = false;
}
const style = computed(() => ({
  left: `${block.left}%`,
  width: `${block.width}%`,
  ...(by.value.dx !== 0 || by.value.dy !== 0
    ? { transform: `translate(${by.value.dx}px, ${by.value.dy}px)`, zIndex: 20 }
    : {}),
}));
</script>

<template>
  <button
    ref="element"
    type="button"
    class="absolute inset-y-0 touch-none overflow-hidden rounded-sm border-2 bg-card px-1 text-left text-xs font-semibold leading-none"
    :class="[
      clashes ? 'border-oxide text-oxide' : mine ? 'border-bottle' : 'border-bottle/55',
      chosen ? 'outline-3 outline-offset-1 outline-bottle' : '',
      block.pinned ? 'border-l-[6px]' : '',
    ]"
    :style="style"
    :aria-pressed="chosen"
    :aria-label="label"
    :title="label"
    @click="tap"
  >
    <span class="block whitespace-nowrap">{{ text }}</span>
    <span
      v-if="!block.own && block.width > 4"
      aria-hidden="true"
      class="absolute right-1 top-1 size-1.5 rounded-full border border-soft"
    />
  </button>
</template>
