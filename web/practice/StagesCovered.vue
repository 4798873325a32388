<script setup lang="ts">
import { computed } from 'vue';
import type { PracticeLine, PracticeProgress } from '../../contract/index.ts';
import { type Stage, STAGE_NAMES, STAGES } from '../../core/job/index.ts';
import type { DrillId } from './drills/list.ts';

/** The stages of a job, each with what was practised there: a dot for each job in which something was done there, and for each drill. */
const props = defineProps<{ jobs: readonly PracticeLine[]; drills: PracticeProgress['drills'] }>();

/** Where each drill belongs. */
const AT: Readonly<Record<DrillId, Stage>> = {
  'way-back': 'refit',
  relearn: 'relearn',
  trace: 'prove',
  look: 'inspect',
  wrench: 'refit',
  'still-in': 'refit',
  mix: 'coolant',
};
/** So many dots are enough to see where somebody has been often. */
const SHOWN = 5;
const stages = computed(() =>
  STAGES.map((stage) => {
    const drills = (Object.keys(AT) as DrillId[]).filter((id) => AT[id] === stage);
    const drilled = drills.filter((id) => props.drills.some(({ drill }) => drill === id)).length;
    const worked = props.jobs.filter((job) => job.stages.includes(stage)).length;
    return { stage, name: STAGE_NAMES[stage], done: Math.min(SHOWN, drilled + worked) };
  }),
);
</script>

<template>
  <section>
    <h2 class="text-heading">Along the stages</h2>
    <ol class="mt-3 grid grid-cols-[repeat(auto-fill,minmax(6rem,1fr))] gap-y-4">
      <li v-for="each in stages" :key="each.stage" class="text-center">
        <span class="block text-note font-semibold">{{ each.name }}</span>
        <span class="mt-1.5 flex justify-center gap-1" aria-hidden="true">
          <span
            v-for="dot in SHOWN"
            :key="dot"
            class="size-3 rounded-full border-2"
            :class="dot <= each.done ? 'border-bottle bg-bottle' : 'border-line'"
          />
        </span>
        <span class="sr-only">{{
          each.done === 0 ? 'not yet' : each.done < SHOWN ? `${each.done} times` : `${SHOWN} times or more`
        }}</span>
      </li>
    </ol>
  </section>
</template>
