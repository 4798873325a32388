<script setup lang="ts">
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue';
import { SKILL_OF } from '../../../core/bay/index.ts';
import { STAGE_NAMES } from '../../../core/job/index.ts';
import { formatMinutes } from '../../../core/quantity/index.ts';
import { useDay } from '../../stores/day.ts';
import { nowIso } from '../../stores/clock.ts';
import { useShop } from '../../stores/shop.ts';
import type { DrawnBlock } from './planView.ts';

/** What can be said of a block: earlier, later, who does it, or as it falls. The same as dragging, by key and by finger. */
const { block } = defineProps<{ block: DrawnBlock }>();
const emit = defineEmits<{ close: [] }>();
const day = useDay();
const shop = useShop();
const problem = ref('');
const heading = useTemplateRef('heading');
onMounted(() => void nextTick(() => heading.value?.focus()));
watch(
  () => block.key,
  () => {
    problem.value = '';
    heading.value?.focus();
  },
);
const STEP = 15;
const stretch = computed(() => day.stretchOf(block));
const wished = computed(() =>
  day.reply?.wishes.find(({ jobId, stretch: id }) => jobId === block.jobId && id === block.stretch),
);
/** Those who usually do such work, then whoever else works here. */
const others = computed(() => {
  const skill = SKILL_OF[stretch.value?.stage ?? 'strip'];
  const all = (day.reply?.people ?? []).filter(({ id, does }) => id !== block.personId && does.length > 0);
  return all.map(({ id, does }) => ({ id, name: shop.firstName(id), usually: does.includes(skill) }));
});
async function shift(minutes: number): Promise<void> {
  const at = Math.max(Date.parse(block.from) + minutes * 60_000, Date.parse(nowIso()) + 60_000);
  problem.value = await day.wish({
    jobId: block.jobId,
    stretch: block.stretch,
    at: new Date(Math.ceil(at / 60_000) * 60_000).toISOString(),
    personId: block.personId,
  });
}
async function give(personId: string): Promise<void> {
  const { jobId, stretch: id } = block;
  problem.value = await day.wish({ jobId, stretch: id, at: wished.value?.at ?? null, personId });
}
async function letGo(): Promise<void> {
  const { jobId, stretch: id } = block;
  problem.value = await day.wish({ jobId, stretch: id, at: null, personId: null });
}
</script>

<template>
  <section aria-label="The chosen piece of work" @keydown.esc="emit('close')">
    <h2 ref="heading" tabindex="-1" class="text-xl">{{ block.plate }}: {{ block.words }}</h2>
    <p class="text-soft">
      {{ shop.firstName(block.personId ?? '') }}, {{ shop.say.nearTime(block.from) }} to
      {{ shop.say.clock(block.to) }}
    </p>
    <p v-if="stretch" class="mt-1 text-note text-soft">
      {{ formatMinutes(stretch.minutes) }},
      {{ block.own ? 'as this shop’s own jobs took' : 'by procedure and method, not yet from own jobs' }}.
      {{ STAGE_NAMES[stretch.stage] }}.
    </p>
    <p v-if="wished" class="mt-2 border-l-4 border-bottle pl-3 text-note">
      {{
        wished.at ? `Pinned for ${shop.say.nearTime(wished.at)}.` : `Given to ${shop.firstName(wished.personId ?? '')}.`
      }}
    </p>
    <div class="mt-3 grid grid-cols-2 gap-2">
      <button type="button" class="quiet" @click="shift(-STEP)">Earlier, {{ STEP }} min</button>
      <button type="button" class="quiet" @click="shift(STEP)">Later, {{ STEP }} min</button>
    </div>
    <template v-if="others.length > 0">
      <h3 class="mt-4 text-sm font-bold">Give it to</h3>
      <div class="mt-1 flex flex-wrap gap-2">
        <button v-for="other in others" :key="other.id" type="button" class="quiet" @click="give(other.id)">
          {{ other.name }}<span v-if="!other.usually" class="text-fine font-normal text-soft">not usually</span>
        </button>
      </div>
    </template>
    <p v-if="problem" class="mt-3 font-semibold text-alarm" role="alert">{{ problem }}</p>
    <div class="mt-4 flex flex-wrap gap-x-5">
      <button v-if="wished" type="button" class="faint" @click="letGo">As it falls</button>
      <RouterLink class="link" :to="`/jobs/${block.jobId}`">Open the job</RouterLink>
      <button type="button" class="faint ml-auto" @click="emit('close')">Close</button>
    </div>
  </section>
</template>
