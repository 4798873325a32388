<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import { gapFound } from './gapFound.ts';

/** Idle air found again, drawn as the gap around a closed plate before and after. */
const props = defineProps<{ job: Job }>();
const gap = computed(() => gapFound(props.job));
/** So small a gap is not seen as it is: it is drawn wider by this. */
const WIDER = 150;
const R = 42;
/** The plate in the drawing: as much smaller than its bore as the gap is wide. */
const plateR = (areaMm2: number): number => {
  const bore = gap.value?.boreMm ?? 50;
  const gapMm = areaMm2 / (Math.PI * bore);
  return Math.max(8, R * (1 - (2 * gapMm * WIDER) / bore));
};
const sides = computed(() =>
  gap.value === null
    ? []
    : [
        { when: 'before', area: gap.value.before, tone: 'text-oxide' },
        { when: 'after', area: gap.value.after, tone: 'text-moss' },
      ],
);
</script>

<template>
  <section v-if="gap" aria-label="Idle air found again" class="border-b border-line pb-4">
    <h3 class="text-sm font-bold">Idle air found again</h3>
    <p class="mt-1" :class="gap.found.shown ? (gap.found.value > 0 ? 'text-moss' : 'text-oxide') : 'text-soft'">
      <span class="figure text-figure-sm">{{ gap.found.value.toFixed(1).replace('-', '−') }}</span> mm²
    </p>
    <p v-if="!gap.found.shown" class="text-note text-soft">No difference that these recordings can show.</p>
    <p v-else class="text-sm text-soft">
      between {{ gap.found.low.toFixed(1).replace('-', '−') }} and {{ gap.found.high.toFixed(1).replace('-', '−') }},
      four times in five
    </p>
    <div class="mt-2 flex items-center gap-2">
      <template v-for="(side, index) in sides" :key="side.when">
        <svg v-if="index > 0" viewBox="0 0 28 16" class="w-7 shrink-0" aria-hidden="true">
          <path d="M1 8h24m-6-6l6 6l-6 6" fill="none" stroke="var(--soft)" stroke-width="2" />
        </svg>
        <figure class="text-center">
          <svg viewBox="0 0 100 100" class="w-24" aria-hidden="true">
            <circle cx="50" cy="50" :r="R + 3" fill="var(--ink)" />
            <circle cx="50" cy="50" :r="R" fill="#f0b429" />
            <circle cx="50" cy="50" :r="plateR(side.area)" fill="var(--metal)" stroke="var(--soft)" stroke-width="1" />
            <path
              :d="`M${50 - plateR(side.area)} 50H${50 + plateR(side.area)}`"
              stroke="var(--soft)"
              stroke-width="5"
            />
          </svg>
          <figcaption class="text-sm">
            {{ side.when }} <span class="font-bold" :class="side.tone">{{ side.area.toFixed(1) }}</span> mm²
          </figcaption>
        </figure>
      </template>
    </div>
    <p class="mt-1 text-sm text-soft">
      Closed plate, gap drawn {{ WIDER }} times as wide. Gap and leaks together: the light test and the leak check tell
      them apart.
    </p>
  </section>
</template>
