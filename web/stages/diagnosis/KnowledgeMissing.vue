<script setup lang="ts">
import { computed } from 'vue';
import { useJob } from '../../stores/job.ts';
import { useKnowledge } from '../../stores/knowledge.ts';

/** A job from another shop may have been judged by knowledge that is not here: it can be judged by what is. */
const store = useJob();
const known = useKnowledge();
const missing = computed(() => store.job !== null && store.knowledge === null && known.problem !== '');

async function judgeByNewest(): Promise<void> {
  const newest = await known.needNewest();
  if (newest !== null) store.send('choose-knowledge', { version: newest.version });
}
</script>

<template>
  <p v-if="missing" class="mt-4 max-w-prose font-semibold text-brass" role="alert">
    {{ known.problem }} This job was judged by version {{ store.job?.knowledge }}.
    <button type="button" class="link" @click="judgeByNewest">Judge it by the newest that is here</button>
  </p>
</template>
