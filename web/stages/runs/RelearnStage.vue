<script setup lang="ts">
import { computed } from 'vue';
import { engineHolds, reasonsNotTaken } from '../../../core/job/index.ts';
import { useJob } from '../../stores/job.ts';
import { useRouter } from 'vue-router';
import { useKeys } from '../../shell/keys.ts';
import GapList from '../GapList.vue';
import LiveData from '../recordings/LiveData.vue';
import RunPanel from './RunPanel.vue';
import StageFrame from '../StageFrame.vue';

const store = useJob();
const job = computed(() => store.job);
const holding = computed(() => (job.value === null ? [] : engineHolds(job.value)));
const router = useRouter();
useKeys([{ keys: 'h', does: 'Hands busy', run: () => void router.push(`/jobs/${store.id}/hands/run/relearn`) }]);
const reasons = computed(() =>
  job.value === null || store.knowledge === null ? [] : reasonsNotTaken(job.value, store.knowledge, store.family),
);
const percent = (share: number): string => `${Math.round(share * 100)} in 100`;
</script>

<template>
  <StageFrame
    v-if="job"
    stage="relearn"
    title="Relearn"
    lead="The computer finds its stops and its idle air again. The maker’s own procedure comes first."
  >
    <RunPanel class="mt-5" :job="job" purpose="relearn" />
    <LiveData class="mt-8" :job="job" when="after" :under="{}" />
    <template #why>
      <div v-if="holding.length > 0">
        <h3 class="text-lg text-alarm">Engine held</h3>
        <GapList class="mt-1 text-note" :job-id="job.id" :gaps="holding" :first="8" />
      </div>
      <div v-if="reasons.length > 0">
        <h3 class="text-lg">It did not take: likeliest why</h3>
        <ol class="rows mt-1 border-y border-line text-note">
          <li v-for="reason in reasons" :key="reason.cause" class="flex justify-between gap-3 py-1.5">
            <span>{{ reason.name }}</span><span class="figure shrink-0">{{ percent(reason.share) }}</span>
          </li>
        </ol>
        <p class="mt-1 text-note">
          <RouterLink class="link" :to="`/jobs/${job.id}/diagnose`">What to look at next</RouterLink>
        </p>
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
