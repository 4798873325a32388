<script setup lang="ts">
import { computed } from 'vue';
import { engineHolds } from '../../../core/job/index.ts';
import { useJob } from '../../stores/job.ts';
import GapList from '../GapList.vue';
import RunPanel from './RunPanel.vue';
import StageFrame from '../StageFrame.vue';

const store = useJob();
const job = computed(() => store.job);
const holding = computed(() => (job.value === null ? [] : engineHolds(job.value)));
</script>

<template>
  <StageFrame
    v-if="job"
    stage="relearn"
    title="Relearn"
    lead="The computer finds its stops and its idle air again. The maker’s own procedure comes first."
  >
    <RunPanel class="mt-5" :job="job" purpose="relearn" />
    <template #why>
      <div v-if="holding.length > 0">
        <h3 class="text-lg text-alarm">Engine held</h3>
        <GapList class="mt-1 text-note" :job-id="job.id" :gaps="holding" :first="8" />
      </div>
      <p class="text-note text-soft">
        Time counts only while the conditions hold. A run outlives a reload: it is counted from its entries, not from
        this page.
      </p>
      <p class="text-note text-soft">
        Expect it to start rough until cleaner has burned off. If it does not take, look for a leak before you try a
        third time.
      </p>
    </template>
  </StageFrame>
</template>
