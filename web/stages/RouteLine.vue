<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { type Job, STAGE_NAMES, type Stage, STAGES, stagesSkipped } from '../../core/job/index.ts';

/** The stages as stops on one line, the current one open. */
const props = defineProps<{ job: Job; open: Stage }>();
const scroller = ref<HTMLElement | null>(null);

/** Gone past while something was missing there: a hollow stop until it is made good. */
const skipped = computed(() => new Map(stagesSkipped(props.job).map(({ stage, gaps }) => [stage, gaps.length])));
const stops = computed(() =>
  STAGES.map((stage, index) => ({
    stage,
    name: STAGE_NAMES[stage],
    passed: props.job.passed.includes(stage),
    skipped: skipped.value.get(stage) ?? 0,
    // The line is coloured as far as every stage before it is done.
    travelled: STAGES.slice(0, index).every((before) => props.job.passed.includes(before)) && index > 0,
  })),
);

/** One stop of the page's Tabs; left and right go along it. */
function move(by: 1 | -1): void {
  const links = [...(scroller.value?.querySelectorAll<HTMLElement>('a') ?? [])];
  links[links.findIndex((link) => link === document.activeElement) + by]?.focus();
}
/** On a narrow screen the open stop is brought into view. */
watch(
  [() => props.open, scroller],
  () => {
    const stop = scroller.value?.querySelector('[aria-current="step"]');
    if (stop instanceof HTMLElement && scroller.value)
      scroller.value.scrollLeft +=
        stop.getBoundingClientRect().left -
        scroller.value.getBoundingClientRect().left -
        (scroller.value.clientWidth - stop.clientWidth) / 2;
  },
  { flush: 'post', immediate: true },
);
</script>

<template>
  <nav ref="scroller" aria-label="Stages of this job" class="no-print overflow-x-auto px-2 md:px-5">
    <ol class="flex min-w-[860px]" @keydown.left.prevent="move(-1)" @keydown.right.prevent="move(1)">
      <li v-for="(stop, index) in stops" :key="stop.stage" class="relative flex-1">
        <span
          v-if="index > 0"
          aria-hidden="true"
          class="absolute right-1/2 top-[15px] z-0 h-0.5 w-full"
          :class="stop.travelled ? 'bg-moss' : 'bg-line'"
        />
        <RouterLink
          :to="`/jobs/${job.id}/${stop.stage}`"
          class="relative z-10 flex flex-col items-center pb-2 pt-1.5 text-fine"
          :class="stop.stage === open ? 'font-bold text-ink' : 'text-soft hover:text-ink'"
          :tabindex="stop.stage === open ? 0 : -1"
          :aria-current="stop.stage === open ? 'step' : undefined"
          :title="stop.skipped > 0 ? `${stop.name}: left with ${stop.skipped} open` : undefined"
        >
          <span class="grid size-5 place-items-center" aria-hidden="true">
            <span v-if="stop.stage === open" class="size-[18px] rounded-full border-4 border-oxide bg-paper" />
            <span v-else-if="stop.skipped > 0" class="size-3 rounded-full border-[2.5px] border-moss bg-paper" />
            <span v-else-if="stop.passed" class="size-2.5 rounded-full bg-moss" />
            <span v-else class="size-3 rounded-full border-2 border-line bg-paper" />
          </span>
          {{ stop.name }}<span v-if="stop.skipped > 0" class="sr-only">, left with {{ stop.skipped }} open</span
          ><span v-else-if="stop.passed" class="sr-only">, done</span>
        </RouterLink>
      </li>
    </ol>
  </nav>
</template>
