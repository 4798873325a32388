<script setup lang="ts">
import { computed } from 'vue';
import { useShop } from '../stores/shop.ts';
import { useWritingUp } from '../stores/writingUp.ts';

/** Stands under the identity as long as entries are kept with another time than now. */
const props = defineProps<{ jobId: string }>();
const shop = useShop();
const writingUp = useWritingUp();
const at = computed(() => writingUp.timeFor(props.jobId));
</script>

<template>
  <p
    v-if="at"
    class="flex flex-wrap items-center gap-x-4 border-y border-brass bg-band px-4 py-1.5 font-semibold md:px-7"
    role="status"
  >
    <span class="text-brass">Written up for {{ shop.say.time(at) }}</span>
    <span class="text-sm font-normal text-soft">Every entry is kept with that time.</span>
    <button type="button" class="quiet ml-auto" @click="writingUp.backToNow">Back to now</button>
  </p>
</template>
