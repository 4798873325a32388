<script setup lang="ts">
import { GRADE_LOOKS, GRADES } from '../../../core/inspect/index.ts';

/** Our own card of deposit grades, drawn: the rim of a bore from above, as new on the left, coke on the right. */
defineProps<{ grade: number | null; disabled?: boolean; label: string }>();
defineEmits<{ pick: [grade: number] }>();
/** Lumps of each grade, fixed so that the card is always the same. */
const lumps = (grade: number): { x: number; r: number }[] =>
  Array.from({ length: grade < 2 ? 0 : grade * 5 }, (_, index) => ({
    x: 6 + ((index * 47) % 86),
    r: grade * (0.7 + ((index * 31) % 10) / 12),
  }));
</script>

<template>
  <fieldset class="grid grid-cols-5 gap-2" :disabled="disabled">
    <legend class="sr-only">{{ label }}, grade</legend>
    <button
      v-for="(name, index) in GRADES"
      :key="name"
      type="button"
      class="grade rounded-sm border-[1.5px] border-line bg-card p-1.5 text-left hover:border-bottle"
      :aria-pressed="grade === index"
      :title="GRADE_LOOKS[index]"
      @click="$emit('pick', index)"
    >
      <svg viewBox="0 0 98 46" class="h-auto w-full" aria-hidden="true">
        <rect width="98" height="46" fill="var(--band)" />
        <path d="M0 30Q49 22 98 30V46H0z" fill="var(--metal)" stroke="var(--soft)" />
        <path
          v-if="index > 0"
          d="M0 28Q49 20 98 28"
          fill="none"
          :stroke="index < 2 ? 'var(--brass)' : 'var(--coke)'"
          :stroke-width="index * 2.4"
          :opacity="index < 2 ? 0.7 : 0.55 + index * 0.11"
        />
        <circle
          v-for="(lump, at) in lumps(index)"
          :key="at"
          :cx="lump.x"
          :cy="27 - Math.sin(lump.x / 31) * 4"
          :r="lump.r"
          fill="var(--coke)"
          opacity="0.92"
        />
      </svg>
      <span class="mt-1 flex items-baseline gap-1.5"
        ><span class="figure text-xl">{{ index }}</span
        ><span class="text-sm">{{ name }}</span></span
      >
    </button>
  </fieldset>
</template>

<style scoped>
.grade[aria-pressed='true'] {
  border-color: var(--bottle);
  box-shadow: inset 0 0 0 1.5px var(--bottle);
}
</style>
