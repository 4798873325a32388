<script setup lang="ts">
import { computed } from 'vue';
import { jobMayStart } from '../../../core/job/index.ts';
import { useJob } from '../../stores/job.ts';
import RunPanel from './RunPanel.vue';
import StageFrame from '../StageFrame.vue';

const store = useJob();
const job = computed(() => store.job);
const start = computed(() => (job.value === null ? { may: true as const } : jobMayStart(job.value)));
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
      <div v-if="!start.may">
        <h3 class="text-lg text-alarm">Engine held</h3>
        <ul class="rows mt-1 text-note">
          <li v-for="hold in start.holds.slice(0, 8)" :key="hold.code + hold.subject" class="py-1.5">
            {{ hold.words }}
          </li>
        </ul>
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
