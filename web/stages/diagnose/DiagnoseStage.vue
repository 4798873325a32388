<script setup lang="ts">
import { computed, ref } from 'vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import MeasureEntry from '../MeasureEntry.vue';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';
import { STANDARD_CHECKS } from './checks.ts';

const store = useJob();
const shop = useShop();
const form = useForm();
const name = ref('');
const result = ref('');
const verdict = ref<'normal' | 'abnormal' | 'unclear' | null>('normal');
const job = computed(() => store.job);
/** In the order that costs least before it tells most; one that is done is not offered again. */
const next = computed(() =>
  STANDARD_CHECKS.filter(
    ({ name: each, fits }) =>
      job.value !== null && fits(job.value.vehicle) && !job.value.checks.some((done) => done.name === each),
  ),
);
const how = computed(() => STANDARD_CHECKS.find((check) => check.name === name.value));

function record(): void {
  if (
    form.send('do-check', {
      id: freshId(),
      name: name.value,
      result: result.value,
      verdict: verdict.value ?? 'unclear',
    })
  ) {
    name.value = '';
    result.value = '';
    verdict.value = 'normal';
  }
}
const words = { normal: 'as it should be', abnormal: 'not as it should be', unclear: 'unclear' } as const;
</script>

<template>
  <StageFrame
    v-if="job"
    stage="diagnose"
    title="Diagnose before touching"
    lead="Look for what is not the throttle first: it costs least."
  >
    <h3 class="mb-1 mt-6 text-sm font-bold">Checked</h3>
    <ul v-if="job.checks.length > 0" class="rows border-y border-line">
      <li v-for="check in job.checks" :key="check.id" class="grid gap-x-4 py-2.5 sm:grid-cols-[1fr_1fr_11rem]">
        <span class="font-semibold">{{ check.name }}</span><span>{{ check.result }}</span>
        <span
          class="sm:text-right"
          :class="{
            'text-moss': check.verdict === 'normal',
            'font-bold text-oxide': check.verdict === 'abnormal',
            'text-brass': check.verdict === 'unclear',
          }"
          >{{ words[check.verdict] }}</span
        >
      </li>
    </ul>
    <p v-else class="text-soft">Nothing yet. Pick the first check on the right, or type your own.</p>

    <form v-if="job.status === 'open'" class="mt-6 grid max-w-2xl gap-3" @submit.prevent="record">
      <TextField v-model="name" label="Check" placeholder="Intake leak, hose by hose" :error="form.error('name')" />
      <ol v-if="how" class="list-decimal pl-6 text-soft">
        <li v-for="line in how.steps" :key="line">{{ line }}</li>
      </ol>
      <TextField
        v-model="result"
        label="What was found"
        :lines="2"
        :placeholder="how?.normal ?? 'no change anywhere'"
        :error="form.error('result') ?? form.general('name', 'result')"
      />
      <ChoiceRow
        v-model="verdict"
        label="That is"
        :options="[
          { id: 'normal', name: words.normal },
          { id: 'abnormal', name: words.abnormal },
          { id: 'unclear', name: words.unclear },
        ]"
      />
      <button type="submit" class="primary justify-self-start">Record the check</button>
    </form>

    <h3 class="mb-2 mt-8 text-sm font-bold">Measured before the work</h3>
    <MeasureEntry :job="job" when="before" />

    <template #why>
      <div>
        <h3 class="text-lg">Worth doing next</h3>
        <ul class="rows mt-1">
          <li v-for="check in next.slice(0, 7)" :key="check.name">
            <button
              type="button"
              class="flex min-h-11 w-full items-baseline justify-between gap-3 py-2 text-left font-semibold hover:text-bottle"
              :class="name === check.name ? 'text-bottle' : ''"
              @click="name = check.name"
            >
              {{ check.name
              }}<span class="whitespace-nowrap text-sm font-normal text-soft">{{ check.minutes }} min</span>
            </button>
          </li>
        </ul>
      </div>
      <p v-if="how" class="text-[0.9375rem] text-soft">{{ how.why }}</p>
      <p v-else class="text-[0.9375rem] text-soft">
        {{
          shop.person?.role === 'apprentice'
            ? 'Ask the lead before anything is unplugged.'
            : 'A unit of the wrong variant sets idle codes even when new: compare port, gasket and mark.'
        }}
      </p>
    </template>
  </StageFrame>
</template>
