<script setup lang="ts">
import { computed, ref } from 'vue';
import { type Condition, type Job, ownLine, type TriedVerdict } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { useForm } from '../useForm.ts';

/** Something of one’s own that was tried, and how it was. */
const props = defineProps<{ job: Job; under: Condition }>();
const form = useForm();
const words = ref('');
const came = ref('');
const OFTEN = ['No click with key on', 'Lamp stays off', 'No misfire counted', 'Duct lip sits flat'] as const;
const offered = computed(() => OFTEN.filter((each) => !props.job.tried.some(({ line }) => line === ownLine(each))));
function keep(verdict: TriedVerdict): void {
  if (!form.send('try-line', { line: 'own:', words: words.value, verdict, came: came.value, ...props.under })) return;
  words.value = '';
  came.value = '';
}
</script>

<template>
  <div>
    <p v-if="offered.length > 0" class="flex flex-wrap gap-2">
      <button v-for="each in offered" :key="each" type="button" class="quiet" @click="words = each">{{ each }}</button>
    </p>
    <form
      class="mt-3 grid max-w-3xl items-start gap-x-3 gap-y-2 sm:grid-cols-[1fr_1fr_auto]"
      @submit.prevent="keep('good')"
    >
      <TextField
        v-model="words"
        label="Something else tried"
        :error="form.error('words') ?? form.general('words', 'came')"
      />
      <TextField v-model="came" label="What it did" :error="form.error('came')" />
      <span class="flex gap-2 sm:mt-6">
        <button type="submit" class="quiet">As it should be</button>
        <button type="button" class="quiet" @click="keep('failed')">Not right</button>
      </span>
    </form>
  </div>
</template>
