<script setup lang="ts">
import { ref } from 'vue';
import { scenarioFromJob } from '../../data/practice.ts';

/** Makes a practice vehicle of what this job found, by one tap and without anything of the vehicle or its people. */
const props = defineProps<{ jobId: string }>();
const made = ref(false);
const problem = ref('');
async function make(): Promise<void> {
  problem.value = '';
  try {
    await scenarioFromJob(props.jobId);
    made.value = true;
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <RouterLink v-if="made" class="quiet" to="/practice">It can be practised</RouterLink>
  <button v-else type="button" class="quiet" @click="make">Let others practise it</button>
  <span v-if="problem" class="w-full text-right font-semibold text-alarm" role="alert">{{ problem }}</span>
</template>
