<script setup lang="ts">
import { computed, ref } from 'vue';
import type { JobDiagnosis } from '../../../core/job/index.ts';
import { shareWords } from '../../stages/diagnosis/useDiagnosis.ts';
import { useCauseNames } from '../causeNames.ts';

/** The program's own ranking, kept back until it is asked for; asking is counted. */
const props = defineProps<{ asked: number; diagnosis: JobDiagnosis | null }>();
const emit = defineEmits<{ ask: [] }>();
const { nameOf } = useCauseNames();
const shown = ref(false);
const first = computed(() => props.diagnosis?.ranking.causes.slice(0, 5) ?? []);
function ask(): void {
  shown.value = true;
  emit('ask');
}
</script>

<template>
  <div>
    <template v-if="shown">
      <h4 class="text-sm font-bold">What the program believes</h4>
      <ol class="mt-1 text-note">
        <li v-for="cause in first" :key="cause.id" class="flex justify-between gap-2 py-0.5">
          {{ nameOf(cause.cause) }}<span class="whitespace-nowrap tabular-nums">{{ shareWords(cause.share) }}</span>
        </li>
      </ol>
      <button type="button" class="link min-h-9 text-note" @click="shown = false">Put it away</button>
    </template>
    <template v-else>
      <p class="text-note text-soft">
        The program keeps its own ranking, and says nothing about yours, until you have decided.
      </p>
      <button type="button" class="link min-h-10 text-note" @click="ask">Ask for it all the same</button>
    </template>
    <p v-if="asked > 0" class="text-sm text-soft">Asked {{ asked === 1 ? 'once' : `${asked} times` }}.</p>
  </div>
</template>
