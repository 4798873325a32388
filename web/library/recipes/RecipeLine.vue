<script setup lang="ts">
import { computed } from 'vue';
import { conditionWords, type Recipe, type RecipeProblem } from '../../../core/relearn/index.ts';
import { durationText } from './recipeText.ts';
import { type DrawnWay, drawnWays, endsOf } from './drawnWays.ts';

/** A recipe as a line with a stop for each step; ways that are not simply the next step run beside it. */
const props = defineProps<{ recipe: Recipe; selected?: string; problems?: readonly RecipeProblem[] }>();
const emit = defineEmits<{ choose: [id: string] }>();

const ROW = 58;
const LANE = 15;
const ways = computed(() => drawnWays(props.recipe));
const lanes = computed(() => Math.max(0, ...ways.value.map(({ lane }) => lane + 1)));
const width = computed(() => 34 + lanes.value * LANE);
const height = computed(() => props.recipe.steps.length * ROW);
const middle = (index: number): number => index * ROW + ROW / 2;

const LOOKS: Readonly<Record<DrawnWay['kind'], string>> = {
  again: 'stroke-brass',
  answer: 'stroke-bottle',
  instead: 'stroke-soft',
  bad: 'stroke-oxide',
};
const DASHES: Readonly<Record<DrawnWay['kind'], string>> = { again: '7 3', answer: '', instead: '2 3', bad: '4 4' };
/** Out of the stop, along its lane, and into the other stop, a little off its middle so that both ends can be told apart. */
function path({ from, to, lane }: DrawnWay): string {
  const stem = width.value - 13;
  const out = stem - 12 - lane * LANE;
  const leave = middle(from) + 6;
  const enter = middle(to) - 6;
  const bend = Math.min(7, Math.abs(enter - leave) / 2);
  const down = enter > leave ? 1 : -1;
  return `M${stem} ${leave}H${out + bend}Q${out} ${leave} ${out} ${leave + down * bend}V${enter - down * bend}Q${out} ${enter} ${out + bend} ${enter}H${stem - 7}`;
}
const wrong = (id: string): boolean =>
  (props.problems ?? []).some(({ stepId, level }) => stepId === id && level === 'wrong');
function about(index: number): string {
  const step = props.recipe.steps[index];
  if (step === undefined) return '';
  const parts = [
    step.kind,
    step.seconds === null ? '' : durationText(step.seconds),
    ...step.conditions.map((condition) => conditionWords(props.recipe, condition)),
    step.again === null ? '' : `${step.again.times} times`,
    ...step.answers.map(({ words }) => words),
  ];
  return parts.filter(Boolean).join(' · ');
}
</script>

<template>
  <div class="relative" :style="{ paddingLeft: `${width}px` }">
    <svg
      class="pointer-events-none absolute left-0 top-0 overflow-visible"
      :width="width"
      :height="height"
      aria-hidden="true"
      fill="none"
    >
      <path
        v-if="recipe.steps.length > 1"
        :d="`M${width - 13} ${middle(0)}V${middle(recipe.steps.length - 1)}`"
        class="stroke-line"
        stroke-width="3"
      />
      <g v-for="way in ways" :key="`${way.from} ${way.to} ${way.kind} ${way.words}`" :class="LOOKS[way.kind]">
        <path :d="path(way)" stroke-width="2" :stroke-dasharray="DASHES[way.kind]" />
        <path
          :d="`M${width - 25} ${middle(way.to) - 10}l5 4l-5 4`"
          stroke-width="2"
          stroke-linecap="round"
          stroke-linejoin="round"
        />
      </g>
      <circle
        v-for="(step, index) in recipe.steps"
        :key="step.id"
        :cx="width - 13"
        :cy="middle(index)"
        r="6.5"
        stroke-width="3"
        :class="[
          wrong(step.id)
            ? 'fill-alarm stroke-alarm'
            : step.id === selected
              ? 'fill-bottle stroke-bottle'
              : 'fill-paper stroke-soft',
        ]"
      />
    </svg>
    <ol>
      <li v-for="(step, index) in recipe.steps" :key="step.id" :style="{ height: `${ROW}px` }">
        <button
          type="button"
          class="flex h-full w-full min-w-0 items-center gap-3 rounded px-3 text-left hover:bg-band"
          :class="step.id === selected ? 'bg-band' : ''"
          :aria-current="step.id === selected ? 'step' : undefined"
          @click="emit('choose', step.id)"
        >
          <span class="figure w-6 shrink-0 text-right text-soft">{{ index + 1 }}</span>
          <span class="min-w-0 flex-1"
            ><span class="block truncate font-semibold" :class="step.title === '' ? 'text-soft italic' : ''">{{
              step.title || 'not said yet'
            }}</span
            ><span class="block truncate text-sm text-soft">{{ about(index) }}</span></span
          >
          <span
            v-for="end in endsOf(recipe, index)"
            :key="end"
            class="shrink-0 text-sm font-bold"
            :class="end === 'done' ? 'text-moss' : 'text-oxide'"
            >{{ end === 'done' ? 'ends' : 'ends badly' }}</span
          >
        </button>
      </li>
    </ol>
  </div>
</template>
