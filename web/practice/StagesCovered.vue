<script setup lang="ts">
import { computed } from 'vue';
import type { PracticeLine, PracticeProgress } from '../../contract/index.ts';
import { type Stage, STAGE_NAMES, STAGES } from '../../core/job/index.ts';
import type { DrillId } from './drills/list.ts';

/** The stages of a job, each with what was practised there: a dot for a job that was found, and for each drill. */
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
/** What a practice job goes through. */
const BY_JOB: readonly Stage[] = ['complaint', 'diagnose', 'decide'];
const CURED: readonly Stage[] = ['strip', 'clean', 'prove'];
const SHOWN = 5;
const stages = computed(() => {
  const found = props.jobs.filter((job) => job.found === true).length;
  const cured = props.jobs.filter((job) => job.cured === true).length;
  return STAGES.map((stage) => {
    const drills = (Object.keys(AT) as DrillId[]).filter((id) => AT[id] === stage);
    const done = drills.filter((id) => props.drills.some(({ drill }) => drill === id)).length;
    const jobs = BY_JOB.includes(stage) ? found : CURED.includes(stage) ? cured : 0;
    const all = drills.length + (BY_JOB.includes(stage) || CURED.includes(stage) ? SHOWN - drills.length : 0);
    return { stage, name: STAGE_NAMES[stage], done: Math.min(all, done + jobs), all };
  });
});
</script>

<template>
  <section>
    <h2 class="text-heading">Along the stages</h2>
    <ol class="mt-3 grid grid-cols-[repeat(auto-fill,minmax(6rem,1fr))] gap-y-4">
      <li v-for="each in stages" :key="each.stage" class="text-center">
        <span class="block text-note font-semibold">{{ each.name }}</span>
        <span class="mt-1.5 flex justify-center gap-1" aria-hidden="true">
          <span
            v-for="dot in each.all"
            :key="dot"
            class="size-3 rounded-full border-2"
            :class="dot <= each.done ? 'border-bottle bg-bottle' : 'border-line'"
          />
          <span v-if="each.all === 0" class="text-sm text-soft">in jobs</span>
        </span>
        <span class="sr-only">{{ each.all === 0 ? 'practised within jobs' : `${each.done} of ${each.all}` }}</span>
      </li>
    </ol>
  </section>
</template>
