<script setup lang="ts">
import { computed, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { nextStage, previousStage, type Stage } from '../../core/job/index.ts';
import { useKeys } from '../shell/keys.ts';
import { useJob } from '../stores/job.ts';
import { useLiveJob } from '../stores/liveJob.ts';
import { useKeepTaken } from '../instruments/useKeepTaken.ts';
import IdentityLine from './IdentityLine.vue';
import RouteLine from './RouteLine.vue';
import WritingUpLine from './WritingUpLine.vue';
import TallyStrip from './start/TallyStrip.vue';

const route = useRoute();
const router = useRouter();
const store = useJob();
useKeepTaken();
const jobId = computed(() => String(route.params.id));
const stage = computed(() => (route.meta.stage ?? 'complaint') as Stage);

watch(jobId, (id) => void store.load(id), { immediate: true });
useLiveJob(() => jobId.value);

/** Where the last key press leads; a second press may come before the first stage is on the screen. */
let aimed = stage.value;
watch(stage, (now) => (aimed = now));
const open = (next: Stage | null): void => {
  if (next === null) return;
  aimed = next;
  void router.push(`/jobs/${jobId.value}/${next}`);
};
useKeys([
  { keys: '[', does: 'Previous stage', run: () => open(previousStage(aimed)) },
  { keys: ']', does: 'Next stage', run: () => open(nextStage(aimed)) },
  {
    keys: 'h',
    does: 'Hands-busy view',
    run: () => void router.push(`/jobs/${jobId.value}/hands/${stage.value === 'strip' ? 'strip' : 'refit'}`),
  },
]);
</script>

<template>
  <div v-if="store.job && store.id === jobId" class="flex h-full flex-col short:overflow-y-auto">
    <!-- Where there is hardly any height the whole sheet scrolls, head and tally with it. -->
    <header class="shrink-0 border-b border-line">
      <IdentityLine :job="store.job" />
      <RouteLine :job="store.job" :open="stage" />
      <WritingUpLine :job-id="jobId" />
    </header>
    <div
      class="min-h-0 flex-1 overflow-y-auto lg:overflow-hidden short:min-h-fit short:flex-none short:overflow-visible!"
    >
      <RouterView :key="String(route.name)" />
    </div>
    <TallyStrip :job="store.job" class="shrink-0" />
  </div>
  <div v-else-if="store.fetching === 'failed'" class="p-8" role="alert">
    <h1 class="text-2xl">This job cannot be shown</h1>
    <p class="mt-2">
      {{ store.problem }} <button type="button" class="link" @click="store.load(jobId)">Try again</button> or
      <RouterLink class="link" to="/bay">go to the Bay</RouterLink>.
    </p>
  </div>
  <div v-else class="p-8 text-soft" aria-busy="true">
    <p class="sr-only">Opening the job</p>
    <div class="h-9 w-96 max-w-full bg-band" />
    <div class="mt-6 h-4 bg-band" />
    <div class="mt-10 grid gap-3"><div v-for="line in 7" :key="line" class="h-9 bg-band" /></div>
  </div>
</template>
