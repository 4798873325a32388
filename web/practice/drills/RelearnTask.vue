<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { judgeRelearn, relearnDrill } from '../../../core/drills/index.ts';
import JudgedLine from './JudgedLine.vue';

/**
 * Key and pedal by the recipe, by finger or by keyboard: K turns the key, P is the pedal for as long as it is pressed.
 * The time of a step runs from its own action to the next one.
 */
const props = defineProps<{ seed: number }>();
const emit = defineEmits<{ judged: [got: { right: number; of: number }] }>();
const drill = relearnDrill(props.seed);
const keyOn = ref(false);
const pedalDown = ref(false);
/** When each step began, ms. */
const began = ref<number[]>([]);
const wrong = ref('');
const now = ref(0);
const done = ref(false);
const seconds = ref<number[]>([]);
const step = computed(() => drill.steps[began.value.length] ?? null);
const judged = computed(() => judgeRelearn(drill, seconds.value));
const running = computed(() => {
  const last = began.value.at(-1);
  return last === undefined ? 0 : Math.max(0, (now.value - last) / 1000);
});

function act(control: 'key' | 'pedal', down: boolean): void {
  if (done.value) return;
  const wanted = step.value;
  if (control === 'key') keyOn.value = down;
  else pedalDown.value = down;
  const at = performance.now();
  if (wanted === null) return finish(at);
  if (wanted.control !== control || wanted.down !== down) {
    wrong.value = `Next is: ${wanted.words.toLowerCase()}`;
    return;
  }
  wrong.value = '';
  began.value = [...began.value, at];
  now.value = at;
}
/** The last step is kept up until somebody says that it is over. */
function finish(at = performance.now()): void {
  const starts = began.value;
  seconds.value = starts.map((start, index) => ((starts[index + 1] ?? at) - start) / 1000);
  done.value = true;
  const right = judged.value.filter(({ isRight }) => isRight).length;
  emit('judged', { right, of: drill.steps.length });
}

let frame: ReturnType<typeof setInterval> | undefined;
function press(event: KeyboardEvent): void {
  if (event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key.toLowerCase() === 'k') act('key', !keyOn.value);
  else if (event.key.toLowerCase() === 'p') act('pedal', true);
  else return;
  event.preventDefault();
  event.stopImmediatePropagation();
}
const release = (event: KeyboardEvent): void => {
  if (event.key.toLowerCase() === 'p' && pedalDown.value) act('pedal', false);
};
onMounted(() => {
  frame = setInterval(() => (now.value = performance.now()), 100);
  // Before the keys of the application: here K is the key of the vehicle.
  window.addEventListener('keydown', press, true);
  window.addEventListener('keyup', release, true);
});
onBeforeUnmount(() => {
  clearInterval(frame);
  window.removeEventListener('keydown', press, true);
  window.removeEventListener('keyup', release, true);
});
</script>

<template>
  <div class="max-w-3xl">
    <h2 class="text-heading">{{ drill.name }}</h2>
    <ol class="rows mt-2 border-y border-line">
      <li v-for="(each, index) in drill.steps" :key="index" class="flex min-h-11 flex-wrap items-baseline gap-x-4 py-2">
        <span class="w-6 text-right font-bold tabular-nums text-brass">{{ index + 1 }}</span>
        <span
          class="flex-1"
          :class="!done && index === began.length ? 'text-lg font-bold' : index < began.length ? 'text-soft' : ''"
          >{{ each.words }}</span
        >
        <span v-if="!done && index === began.length - 1" class="font-bold tabular-nums text-brass"
          >{{ running.toFixed(1) }} s</span
        >
        <span
          v-if="done"
          class="font-semibold tabular-nums"
          :class="judged[index]?.isRight ? 'text-moss' : 'text-oxide'"
          >{{ judged[index]?.words }}</span
        >
      </li>
    </ol>
    <template v-if="!done">
      <div class="mt-4 grid grid-cols-2 gap-4">
        <button
          type="button"
          class="min-h-28 rounded border-2 text-xl font-bold"
          :class="keyOn ? 'border-ink bg-ink text-paper' : 'border-line hover:border-bottle'"
          :aria-pressed="keyOn"
          @click="act('key', !keyOn)"
        >
          Key {{ keyOn ? 'on' : 'off' }} <kbd class="key ml-2" aria-hidden="true">K</kbd>
        </button>
        <button
          type="button"
          class="min-h-28 touch-none select-none rounded border-2 text-xl font-bold"
          :class="pedalDown ? 'border-ink bg-ink text-paper' : 'border-line hover:border-bottle'"
          :aria-pressed="pedalDown"
          @pointerdown="act('pedal', true)"
          @pointerup="pedalDown && act('pedal', false)"
          @pointerleave="pedalDown && act('pedal', false)"
        >
          Pedal {{ pedalDown ? 'down' : 'up' }} <kbd class="key ml-2" aria-hidden="true">P</kbd>
        </button>
      </div>
      <p class="mt-3 min-h-6 text-note" :class="wrong ? 'font-semibold text-oxide' : 'text-soft'" role="status">
        {{ wrong || 'A step lasts from its own action to the next. Count for yourself; the seconds stand beside it.' }}
      </p>
      <button v-if="step === null" type="button" class="primary mt-2" @click="finish()">The last wait is over</button>
    </template>
    <JudgedLine
      v-else
      class="mt-4"
      :right="judged.every(({ isRight }) => isRight)"
      :words="
        judged.every(({ isRight }) => isRight) ? 'It would have taken.' : 'It would not have taken, or not surely.'
      "
    />
  </div>
</template>
