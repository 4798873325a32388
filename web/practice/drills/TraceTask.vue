<script setup lang="ts">
import { computed, ref } from 'vue';
import { TRACE_ANSWERS, type TraceAnswer, traceDrill } from '../../../core/drills/index.ts';
import { lowerFirst } from '../../../core/words/index.ts';
import AnswerForm from './AnswerForm.vue';
import JudgedLine from './JudgedLine.vue';

/** A trace of a warm engine whose pedal is pressed once: what does it show? */
const props = defineProps<{ seed: number }>();
const emit = defineEmits<{ judged: [got: { right: number; of: number }] }>();
const drill = traceDrill(props.seed);
/** What was answered; empty before. */
const given = ref('');
const WIDTH = 620;
const HEIGHT = 150;
const answers = (Object.keys(TRACE_ANSWERS) as TraceAnswer[]).map((id) => ({ id, name: TRACE_ANSWERS[id] }));

function lane(values: readonly number[], low: number, high: number) {
  const last = drill.seconds.at(-1) ?? 1;
  return values
    .map((value, index) => {
      const x = ((drill.seconds[index] ?? 0) / last) * WIDTH;
      const y = HEIGHT - ((value - low) / Math.max(1, high - low)) * HEIGHT;
      return `${x.toFixed(1)},${y.toFixed(1)}`;
    })
    .join(' ');
}
const lanes = computed(() => [
  {
    name: 'Speed, rpm',
    low: 400,
    high: Math.max(1500, Math.ceil(Math.max(...drill.rpm) / 500) * 500),
    values: drill.rpm,
  },
  {
    name: 'Throttle position, %',
    low: 0,
    high: Math.max(20, Math.ceil(Math.max(...drill.position) / 10) * 10),
    values: drill.position,
  },
]);
const words = computed(
  () =>
    `Speed every two seconds, rpm: ${drill.rpm.filter((_, index) => index % 20 === 0).join(', ')}. Position from second 5 to 8, each tenth: ${drill.position.slice(50, 80).join(', ')}.`,
);
function judge(answer: string): void {
  given.value = answer;
  emit('judged', { right: answer === drill.answer ? 1 : 0, of: 1 });
}
</script>

<template>
  <div class="grid max-w-5xl gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_15rem]">
    <figure role="img" :aria-label="words" class="grid gap-4">
      <div v-for="each in lanes" :key="each.name">
        <p class="text-sm font-bold">{{ each.name }}</p>
        <div class="mt-1 grid grid-cols-[3rem_minmax(0,1fr)] gap-2">
          <p class="flex flex-col justify-between text-right text-sm tabular-nums text-soft">
            <span>{{ each.high }}</span><span>{{ each.low }}</span>
          </p>
          <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" preserveAspectRatio="none" class="h-36 w-full border-y border-line">
            <polyline
              :points="lane(each.values, each.low, each.high)"
              fill="none"
              class="stroke-bottle"
              stroke-width="2"
              vector-effect="non-scaling-stroke"
            />
          </svg>
        </div>
      </div>
      <figcaption class="flex justify-between pl-14 text-sm text-soft">
        <span>0 s</span><span>pedal pressed once at 5 s</span><span>24 s</span>
      </figcaption>
    </figure>
    <AnswerForm :answers="answers" legend="What does it show?" @given="judge" />
    <JudgedLine
      v-if="given"
      class="lg:col-span-2"
      :right="given === drill.answer"
      :words="`${TRACE_ANSWERS[drill.answer]}: ${lowerFirst(drill.because)}`"
    />
  </div>
</template>
