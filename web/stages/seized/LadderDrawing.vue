<script setup lang="ts">
import type { RungState } from '../../../core/seized/index.ts';

/** The ladder, its foot below: tried rungs struck out, the present one filled, those left out dashed. */
defineProps<{ rungs: readonly RungState[]; current: string | null; outcomes: Readonly<Record<string, string>> }>();
</script>

<template>
  <div class="relative" aria-hidden="true">
    <div class="absolute inset-y-0 left-3 border-l-[3px] border-line" />
    <div class="absolute inset-y-0 left-[15.5rem] border-l-[3px] border-line max-sm:hidden" />
    <div
      v-for="{ rung, state } in [...rungs].reverse()"
      :key="rung.id"
      class="relative flex h-14 items-center gap-3 pl-1"
    >
      <span
        class="h-5 w-[15.5rem] rounded-sm border-2 px-2 text-sm leading-4"
        :class="
          current === rung.id
            ? 'border-bottle bg-bottle text-on-bottle'
            : state === 'tried'
              ? 'border-soft bg-band text-soft line-through'
              : state === 'left out'
                ? 'border-dashed border-line text-soft'
                : 'border-line bg-card'
        "
        >{{ rung.short }}</span
      >
      <span class="text-sm text-soft">{{
        state === 'tried' ? outcomes[rung.id] : state === 'left out' ? '' : `${Math.round(rung.chance * 100)} %`
      }}</span>
    </div>
  </div>
</template>
