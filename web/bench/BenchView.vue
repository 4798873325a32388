<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { waitLeft } from '../../core/bay/index.ts';
import { formatClock, formatMinutes } from '../../core/quantity/index.ts';
import { upperFirst } from '../../core/words/index.ts';
import { useChanges } from '../data/changes.ts';
import { readPreference, writePreference } from '../shell/preferences.ts';
import { useBay } from '../stores/bay.ts';
import { useNow } from '../stores/clock.ts';
import { useDay } from '../stores/day.ts';
import { useShop } from '../stores/shop.ts';
import { benchSteps } from './bench.ts';
import { call } from './call.ts';

/** One person's bench: what now, what then, and a quiet call when a wait is over. */
const route = useRoute();
const shop = useShop();
const bay = useBay();
const plan = useDay();
const now = useNow();
onMounted(() => {
  void bay.load();
  void plan.load();
});
useChanges((change) => {
  bay.heard(change);
  plan.heard(change);
});
const personId = computed(() => String(route.params.person ?? '') || shop.personId);
const name = computed(() => shop.firstName(personId.value));
const steps = computed(() => benchSteps(personId.value, plan.woven, bay.byJob, plan.stretchOf, now.value));
const today = computed(() => shop.say.isoDay(now.value));
const ofToday = computed(() => steps.value.filter(({ from }) => shop.say.isoDay(from) === today.value));
const first = computed(() => ofToday.value[0] ?? null);
const rest = computed(() => ofToday.value.slice(1));
const tomorrow = computed(() => steps.value.find(({ from }) => shop.say.isoDay(from) > today.value) ?? null);
/** Waits of vehicles that this person worked on last or goes on with. */
const mine = computed(() => new Set(steps.value.map(({ jobId }) => jobId)));
const waits = computed(() =>
  bay.lines
    .flatMap((line) => line.waits.map((wait) => ({ ...wait, line, left: waitLeft(wait, now.value) })))
    .filter(({ line }) => mine.value.has(line.jobId) || line.job.lastBy === personId.value)
    .sort((a, b) => a.left - b.left),
);
const over = computed(() => waits.value.filter(({ left }) => left <= 0));
const sounds = ref(readPreference('call') === 'on');
function switchSound(): void {
  sounds.value = !sounds.value;
  writePreference('call', sounds.value ? 'on' : 'off');
  if (sounds.value) call();
}
watch(
  () => over.value.length,
  (count, before) => {
    if (sounds.value && count > before) call();
  },
);
const others = computed(() =>
  (plan.reply?.people ?? []).filter(({ id, does }) => id !== personId.value && does.length > 0),
);
</script>

<template>
  <div class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <div class="flex max-w-4xl flex-wrap items-baseline gap-x-5 gap-y-1">
      <h1 class="text-title">{{ name }}’s bench</h1>
      <RouterLink v-for="other in others" :key="other.id" class="faint" :to="`/bench/${other.id}`">{{
        shop.firstName(other.id)
      }}</RouterLink>
      <button type="button" class="faint ml-auto" :aria-pressed="sounds" @click="switchSound">
        {{ sounds ? 'A knock when a wait is over' : 'No sound when a wait is over' }}
      </button>
    </div>
    <p v-if="plan.failed" class="mt-2 font-semibold text-alarm" role="alert">{{ plan.failed }}</p>
    <div aria-live="polite" class="max-w-4xl">
      <p
        v-for="wait in over"
        :key="wait.line.jobId + wait.label"
        class="mt-4 border-l-4 border-brass bg-card py-2.5 pl-4 text-lg font-semibold"
      >
        <RouterLink class="hover:underline" :to="`/jobs/${wait.line.jobId}`"
          >{{ wait.line.job.plate }}: {{ wait.label }}, time is up</RouterLink
        >
      </p>
    </div>
    <section v-if="first" class="mt-6 max-w-4xl" aria-label="Now">
      <p class="text-soft">{{ first.from <= now ? 'Now' : `At ${shop.say.clock(first.from)}` }}</p>
      <RouterLink :to="`/jobs/${first.jobId}`" class="group block">
        <span class="block text-figure-md font-bold leading-tight group-hover:underline">{{
          upperFirst(first.what)
        }}</span>
        <span class="mt-1 block text-lg"
          ><b>{{ first.plate }}</b> {{ first.nickname }}, {{ formatMinutes(first.minutes) }}</span
        >
      </RouterLink>
      <RouterLink class="primary mt-4 inline-flex!" :to="`/jobs/${first.jobId}`"
        >Go to it <span aria-hidden="true">→</span></RouterLink
      >
    </section>
    <p v-else-if="plan.woven" class="mt-6 max-w-prose text-lg">
      {{
        tomorrow === null
          ? 'Nothing is planned here. Hands are free.'
          : `Nothing more is planned today. It goes on ${shop.say.nearTime(tomorrow.from)} with ${tomorrow.plate}.`
      }}
    </p>
    <section v-if="rest.length > 0" class="mt-8 max-w-4xl" aria-label="Then">
      <h2 class="text-sm font-bold">Then</h2>
      <ol class="rows mt-1 border-y border-line">
        <li v-for="step in rest" :key="step.key">
          <RouterLink :to="`/jobs/${step.jobId}`" class="group flex items-baseline gap-4 py-2.5">
            <span class="figure w-14">{{ shop.say.clock(step.from) }}</span>
            <span class="w-20 font-bold">{{ step.plate }}</span>
            <span class="group-hover:underline">{{ step.what }}</span>
            <span class="ml-auto whitespace-nowrap text-soft">{{ formatMinutes(step.minutes) }}</span>
          </RouterLink>
        </li>
      </ol>
    </section>
    <section v-if="waits.some(({ left }) => left > 0)" class="mt-8 max-w-4xl" aria-label="Waits">
      <h2 class="text-sm font-bold">Waits</h2>
      <ul class="rows mt-1 border-y border-line">
        <li
          v-for="wait in waits.filter(({ left }) => left > 0)"
          :key="wait.line.jobId + wait.label"
          class="flex items-baseline gap-4 py-2"
        >
          <span class="figure w-14 text-brass">{{ formatClock(wait.left) }}</span>
          <span class="w-20 font-bold">{{ wait.line.job.plate }}</span>
          <span>{{ wait.label }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>
