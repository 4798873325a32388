<script setup lang="ts">
import { ref } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { useJob } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';
import PutRight from '../entries/PutRight.vue';
import StruckLines from '../entries/StruckLines.vue';

/** Level and leaks, hot and cold again. */
const props = defineProps<{ job: Job }>();
const store = useJob();
const leaks = useForm();
const levelWords = { low: 'Low', right: 'Right', high: 'High' } as const;
const lastLevel = (when: 'hot' | 'cold') => props.job.levels.filter((level) => level.when === when).at(-1);
const leakAt = (when: 'hot' | 'cold') => props.job.leakChecks.find((each) => each.when === when);
const where = ref('');
const leaking = ref<'hot' | 'cold' | ''>('');
function sayLeak(when: 'hot' | 'cold'): void {
  if (leaks.send('check-leaks', { when, result: 'leaks', where: where.value })) [leaking.value, where.value] = ['', ''];
}
</script>

<template>
  <section id="level">
    <h3 class="text-lg">Level and leaks</h3>
    <div v-for="when in ['hot', 'cold'] as const" :key="when" class="mt-2 flex flex-wrap items-center gap-3">
      <span class="w-24 font-semibold">{{ when === 'hot' ? 'Hot' : 'Cold again' }}</span>
      <fieldset class="flex gap-2" :disabled="job.status === 'closed'">
        <legend class="sr-only">Level {{ when }}</legend>
        <button
          v-for="(name, level) in levelWords"
          :key="level"
          type="button"
          class="quiet"
          :aria-pressed="lastLevel(when)?.level === level"
          @click="store.send('check-level', { when, level })"
        >
          {{ name }}
        </button>
      </fieldset>
      <PutRight v-if="lastLevel(when)" :job="job" kind="level-checked" :holds="{ when }" :what="`level ${when}`" />
      <fieldset class="flex flex-wrap items-center gap-2" :disabled="job.status === 'closed'">
        <legend class="sr-only">Leaks {{ when }}</legend>
        <button
          type="button"
          class="quiet"
          :aria-pressed="leakAt(when)?.result === 'dry'"
          @click="leaks.send('check-leaks', { when, result: 'dry', where: '' })"
        >
          Dry
        </button>
        <button type="button" class="quiet" :aria-pressed="leakAt(when)?.result === 'leaks'" @click="leaking = when">
          Leaks
        </button>
        <span v-if="leakAt(when)?.where" class="font-semibold text-alarm">{{ leakAt(when)?.where }}</span>
      </fieldset>
      <form v-if="leaking === when" class="flex w-full items-start gap-2" @submit.prevent="sayLeak(when)">
        <TextField
          v-model="where"
          class="max-w-xs flex-1"
          label="Where does it leak?"
          placeholder="lower hose at the body"
          :error="leaks.error('where')"
        />
        <button type="submit" class="quiet mt-6">Note the leak</button>
      </form>
    </div>
    <StruckLines :job="job" :kinds="['level-checked']" />
  </section>
</template>
